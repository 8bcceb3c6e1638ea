import {
  relationAtStages,
  toLook,
  type Case,
  type CompiledGuide,
  type CompiledTaxon,
  type PieceId,
  type Reading,
  type ReadingId,
  type StageId,
} from '@pause/core';
import { observe, type Temper } from './observer';
import { EVERY_RULE, type Rules } from './rules';
import { grow } from './specimen';

/** What came of one find. */
export interface Ended {
  readonly outcome: 'collect' | 'leave' | 'pause';
  readonly checks: number;
  readonly seconds: number;
}

const MOST_STEPS = 40;
const START = Date.UTC(2026, 8, 14, 8);
const at = (step: number) => new Date(START + step * 10_000).toISOString();

/**
 * Somebody follows the next checks on a specimen of `truth`, taking it for `target`, until the verdict is no
 * pause.
 */
export function followPause(
  guide: CompiledGuide,
  truth: CompiledTaxon,
  target: CompiledTaxon,
  stage: StageId,
  temper: Temper,
  next: () => number,
  rules: Rules = EVERY_RULE,
): Ended {
  const seen = rules.see(guide);
  const trueStage = truth.taxon.stages.includes(stage)
    ? stage
    : (truth.taxon.stages[Math.floor(next() * truth.taxon.stages.length)] ?? stage);
  const part = target.taxon.parts.find((p) => p.stages.includes(stage)) ?? target.taxon.parts[0];
  let observer = observe(grow(guide, truth, trueStage, next), target, stage, temper, next);
  let pieces: Case['pieces'] = [{ id: 'p0' as PieceId, startedAt: at(0), purpose: 'decide' }];
  let readings: Reading[] = [];
  let skips: NonNullable<Case['skips']> = [];
  let seconds = 0;
  let checks = 0;
  const find = (): Case => ({
    guide: { id: guide.guide.id },
    kingdom: target.taxon.kingdom,
    target: target.id,
    pieces,
    readings,
    skips,
    context: {
      stages: [stage],
      condition: 'fresh',
      part: part?.part,
      use: part?.use,
      permission: 'allowed',
      contamination: 'none-seen',
      protection: 'allowed',
      tracedToBase: true,
      mayDig: true,
      patchSize: 'tens',
      patchThrives: true,
    },
  });
  for (let step = 1; step <= MOST_STEPS; step += 1) {
    const { outcome, checks: proposed } = rules.judge(seen, find());
    if (outcome === 'collect') return { outcome: 'collect', checks, seconds };
    const [check] = proposed;
    const stuck = outcome === 'leave' || check === undefined;
    if (stuck) {
      // The hopeful try another piece of the same plant before they give up.
      if (!temper.hopeful || pieces.length > 2) return { outcome, checks, seconds };
      pieces = [...pieces, { id: `p${pieces.length}` as PieceId, startedAt: at(step), purpose: 'decide' }];
      observer = observe(grow(guide, truth, trueStage, next), target, stage, temper, next);
      continue;
    }
    const character = guide.character(check.character);
    const piece = pieces.at(-1)?.id;
    if (!character || piece === undefined) throw new Error('a check asks for a character of the guide');
    const reading: Reading = {
      id: `r${step}` as ReadingId,
      piece,
      character: character.id,
      value: observer.look(character),
      sureness: 'sure',
      by: 'observer',
      at: at(step),
    };
    checks += 1;
    seconds += character.character.seconds;
    const look = toLook(guide, reading);
    const disliked = look !== undefined && relationAtStages(look, target, [stage]) === 'against';
    if (temper.hopeful && disliked && !skips.some((s) => s.character === character.id) && next() < 0.5) {
      skips = [...skips, { character: character.id, piece, at: at(step) }];
    } else readings = [...readings, reading];
  }
  return { outcome: rules.judge(seen, find()).outcome, checks, seconds };
}
