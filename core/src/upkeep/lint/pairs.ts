import {
  causesOf,
  isCollectable,
  isPossible,
  typicallySeen,
  wantedStages,
  withError,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
} from '../../guide';
import { BARS_NEEDED, countBars } from '../../verdict';
import type { LintFinding } from './finding';

/**
 * Targets that cannot be told well enough from a dangerous taxon. One with a near-double is never collected,
 * and is passed over.
 */
export function lintPairs(guide: CompiledGuide): LintFinding[] {
  const targets = guide.taxa.filter(isCollectable);
  const dangerous = guide.taxa.filter((t) => t.grade !== 'none');
  return targets.flatMap((target) =>
    dangerous
      .filter((other) => other.index !== target.index && other.taxon.kingdom === target.taxon.kingdom)
      .flatMap((other) => lintPair(guide, target, other)),
  );
}

function lintPair(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon): LintFinding[] {
  const need = BARS_NEEDED[other.grade];
  const stages = wantedStages(target);
  return stages
    .map((stage) => ({ stage, bars: separation(guide, target, other, stage) }))
    .filter(({ bars }) => bars < need)
    .map(({ stage, bars }) => ({
      level: 'weak',
      code: 'few-bars',
      target: target.id,
      taxon: other.id,
      stage,
      most: bars,
      need,
      unstated: unstated(guide, target, other, [stage]),
    }));
}

/**
 * How many bars that share no cause a typical specimen of the target gives against the other, if everything
 * is looked at.
 */
export function separation(
  guide: CompiledGuide,
  target: CompiledTaxon,
  other: CompiledTaxon,
  stage: StageId,
): number {
  const apart = guide.characters.flatMap((character) => {
    const mine = character.stages.has(stage) ? target.atStage.get(character.index)?.get(stage) : undefined;
    const theirs = other.overall.get(character.index);
    if (character.place || !mine || !theirs) return [];
    const typical = typicallySeen(mine);
    if (isPossible(withError(typical, character), theirs)) return [];
    return [{ group: character.group, causes: causesOf(character, typical) }];
  });
  return countBars(
    apart.map((a) => a.group),
    apart.map((a) => a.causes),
  );
}

function unstated(
  guide: CompiledGuide,
  target: CompiledTaxon,
  other: CompiledTaxon,
  stages: readonly StageId[],
) {
  return guide.characters
    .filter(
      (c) =>
        !c.place &&
        !other.overall.has(c.index) &&
        stages.some((stage) => c.stages.has(stage) && target.atStage.get(c.index)?.has(stage)),
    )
    .map((c) => c.id);
}
