/**
 * Whoever answers honestly is never left standing: no way through the checks ends at *pause* with everything
 * filled and nothing to do, or for something passed over that is not asked for again. Walked at random over
 * all that is collected, at every stage, by somebody who cannot see everything, is not always sure, leaves
 * the order, and tells the stage late.
 */
import { grow } from '../../bench/simulate/specimen';
import {
  isCollectable,
  isDug,
  toLook,
  weighAndAsk,
  type Case,
  type CompiledCharacter,
  type CompiledTaxon,
  type Reading,
  type StageId,
} from '../src';
import { parseCase } from '../src/case/parse';
import { seeded } from '../src/lib/seeded';
import { guide } from './finds';

/** Pairs of walks: with what cannot be there passed over before, and without. */
const PAIRS = 24;
const MOST_STEPS = 60;
const at = (step: number) => new Date(Date.UTC(2026, 8, 14, 8, 0, step)).toISOString();

/** How a walk ended, and what was missing, if anything. */
interface Ended {
  readonly outcome: 'collect' | 'leave' | 'pause';
  readonly asks: boolean;
  readonly filled: boolean;
  /** Something that could be seen was passed over, and has its price. */
  readonly open: boolean;
  readonly reasons: readonly string[];
}

/** @param passes decides what is passed over before anybody asks for the stage */
function walk(target: CompiledTaxon, stage: StageId, next: () => number, passes: () => number): Ended {
  const part = target.taxon.parts.find(({ stages }) => stages.includes(stage));
  const specimen = grow(guide, target, stage, next);
  const cannotSee = new Set<number>(guide.characters.filter(() => next() < 0.04).map(({ index }) => index));
  let readings: Reading[] = [];
  let skips: NonNullable<Case['skips']> = [];
  let context: Case['context'] = {
    ...(next() < 0.7 ? { stages: [stage] } : {}),
    condition: 'fresh',
    permission: 'allowed',
    contamination: 'none-seen',
    protection: 'allowed',
    tracedToBase: true,
    ...(part ? { part: part.part, use: part.use } : {}),
  };
  const mayDig = next() < 0.4;
  if (mayDig) {
    context = { ...context, mayDig, patchSize: 'tens', patchThrives: true };
    // Who may dig one up does not always see much of its root.
    if (next() < 0.5) for (const one of guide.characters) if (isDug(one)) cannotSee.add(one.index);
  }
  const raw = () => ({
    guide: { id: guide.guide.id },
    kingdom: target.taxon.kingdom,
    target: target.id,
    pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
    readings,
    skips,
    context,
  });
  // What cannot be seen was looked for all the same, before anybody asked for the stage: nothing flowers out
  // of its time, and nothing is dug up that may not be.
  const cannotBe = (one: CompiledCharacter) => (isDug(one) && !mayDig) || !one.stages.has(stage);
  for (const one of guide.characters) {
    if (one.character.kingdom === target.taxon.kingdom && cannotBe(one) && passes() < 0.2)
      skips = [...skips, { character: one.id, piece: 'p1' as never, at: at(0) }];
  }
  for (let step = 1; step <= MOST_STEPS; step += 1) {
    const { outcome, reasons, rows, checks } = weighAndAsk(guide, parseCase(raw(), guide));
    const pause = reasons.filter(({ weight }) => weight === 'pause');
    if (
      pause.some((reason) => reason.code === 'context-missing' && reason.field === 'stages') &&
      (checks.length === 0 || next() < 0.2)
    ) {
      context = { ...context, stages: [stage] };
      continue;
    }
    const filled =
      rows.every(({ have, need }) => have >= need) &&
      !pause.some(({ code }) => code === 'groups-short' || code === 'signature-missing');
    const possible = checks.filter((one) => {
      const known = guide.character(one.character);
      return known !== undefined && !cannotBe(known);
    });
    const check = next() < 0.8 ? possible[0] : possible[Math.floor(next() * possible.length)];
    if (outcome !== 'pause' || check === undefined || step === MOST_STEPS)
      return {
        outcome,
        asks: check !== undefined,
        filled,
        open: reasons.some(({ code }) => code === 'passed-over' || code === 'unanswered'),
        reasons: pause.map(({ code }) => code),
      };
    const character = guide.character(check.character);
    if (!character) throw new Error(check.character);
    if (cannotSee.has(character.index) && check.why !== 'unanswered' && next() < 0.5) {
      skips = [...skips, { character: character.id, piece: 'p1' as never, at: at(step) }];
      continue;
    }
    // In other light, or through a lens, it is seen after all.
    const unseen = cannotSee.has(character.index) && check.why !== 'unanswered';
    const reading: Reading = {
      id: `r${step}` as never,
      piece: 'p1' as never,
      character: character.id,
      value: unseen ? { kind: 'cant-tell' } : specimen.value(character),
      sureness: next() < 0.85 ? 'sure' : next() < 0.7 ? 'fairly' : 'guess',
      by: 'mirel',
      at: at(step),
    };
    // Somebody who is not sure looks again until the look says something.
    readings = [...readings, reading];
    if (!unseen && toLook(guide, reading) === undefined) throw new Error(`no look at ${character.id}`);
  }
  throw new Error('not reached');
}

const walks = guide.taxa
  .filter(isCollectable)
  .flatMap((target) =>
    [...new Set(target.taxon.parts.flatMap(({ stages }) => stages))].map(
      (stage) => [target.id, stage, target] as const,
    ),
  )
  .map((one, n) => [...one, 7 + n * 1009] as const);

test.each(walks)('%s, %s', (_, stage, target, seed) => {
  const passing = seeded(seed);
  const pairs = Array.from(
    { length: PAIRS },
    (_, n) =>
      [
        walk(target, stage, seeded(seed + n), passing),
        walk(target, stage, seeded(seed + n), () => 1),
      ] as const,
  );
  const ended = pairs.flat();
  expect(ended.filter(({ outcome, asks, filled }) => outcome === 'pause' && filled && !asks)).toEqual([]);
  // What was passed over can still be made good.
  expect(ended.filter(({ outcome, asks, open }) => outcome === 'pause' && open && !asks)).toEqual([]);
  // What cannot be there changes nothing, however often it was passed over.
  for (const [passed, asked] of pairs) expect(passed).toEqual(asked);
  // What is true of it gets through, mostly: else the test would show nothing.
  expect(ended.filter(({ outcome }) => outcome === 'collect').length).toBeGreaterThan(0);
});
