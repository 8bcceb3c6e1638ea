import { BARS_NEEDED } from '../bars';
import { CAUSE_BIT, millimetres, type CompiledCharacter, type CompiledGuide, type CompiledTaxon, type HarmGrade, type StageId } from '../guide';
import { partings } from '../part';
import { countBars } from '../plan';
import type { LintFinding } from './finding';

/** Groups in some stage, and bars in every stage, that must part a target from a taxon of its own body plan. */
const WANTED: Readonly<Record<HarmGrade, { readonly groups: number; readonly bars: number }>> = {
  deadly: { groups: 7, bars: 4 }, serious: { groups: 6, bars: 3 }, unpleasant: { groups: 3, bars: 2 }, none: { groups: 0, bars: 0 },
};

/** Targets that are not told well enough from a dangerous taxon. One with a near-double is never collected, and is passed over. */
export function lintPairs(guide: CompiledGuide): LintFinding[] {
  const targets = guide.taxa.filter((t) => t.taxon.parts.length > 0 && (t.taxon.nearDoubles ?? []).length === 0);
  const dangerous = guide.taxa.filter((t) => t.grade !== 'none');
  return targets.flatMap((target) => dangerous
    .filter((other) => other.index !== target.index && other.taxon.kingdom === target.taxon.kingdom)
    .flatMap((other) => lintPair(guide, target, other)));
}

function lintPair(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon): LintFinding[] {
  const need = other.taxon.bodyPlan === target.taxon.bodyPlan ? WANTED[other.grade] : { groups: BARS_NEEDED[other.grade], bars: BARS_NEEDED[other.grade] };
  const stages = [...new Set(target.taxon.parts.flatMap((part) => part.stages))];
  const apart = stages.map((stage) => ({ stage, ...separation(guide, target, other, stage) }));
  const most = Math.max(0, ...apart.map((a) => a.groups));
  const pair = { level: 'weak', target: target.id, taxon: other.id } as const;
  return [
    ...(most < need.groups ? [{ ...pair, code: 'few-groups', most, need: need.groups, unsaid: unsaid(guide, target, other, stages) } as const] : []),
    ...apart.filter((a) => a.bars < need.bars)
      .map(({ stage, bars }) => ({ ...pair, code: 'few-bars', stage, most: bars, need: need.bars, unsaid: unsaid(guide, target, other, [stage]) } as const)),
  ];
}

/** Groups, and bars that share no cause, by which all that is usual for the target lies outside what is known of the other. */
export function separation(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon, stage: StageId): { groups: number; bars: number } {
  const states = partings(guide, target, other, [stage]).flatMap(({ character: id, target: usual }) => {
    const character = guide.character(id);
    if (!character) return [];
    const absent = usual.some((state) => ((character.stateBit.get(state) ?? 0) & character.absentMask) !== 0);
    return [{ group: character.group, causes: character.restsOn | (absent ? CAUSE_BIT.absence : 0) }];
  });
  const numbers = guide.characters
    .filter((character) => numbersPart(character, target, other, stage))
    .map((character) => ({ group: character.group, causes: character.restsOn }));
  const apart = [...states, ...numbers];
  return {
    groups: new Set(apart.map((a) => a.group)).size,
    bars: countBars(apart.map((a) => a.group), apart.map((a) => a.causes)),
  };
}

/** Whether every number usual for the target at this stage, the usual error of its ruler allowed for, lies outside all that is known of the other. */
function numbersPart(character: CompiledCharacter, target: CompiledTaxon, other: CompiledTaxon, stage: StageId): boolean {
  const mine = character.stages.has(stage) ? target.atStage.get(character.index)?.get(stage) : undefined;
  const theirs = other.overall.get(character.index);
  if (character.place || mine?.kind !== 'number' || theirs?.kind !== 'number') return false;
  const { character: stated } = character;
  const error = stated.kind === 'measure' ? millimetres(stated.error, stated.unit) : 0;
  return mine.usual[0] - error > theirs.possible[1] || mine.usual[1] + error < theirs.possible[0];
}

function unsaid(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon, stages: readonly StageId[]) {
  return guide.characters
    .filter((c) => !c.place && !other.overall.has(c.index) && stages.some((stage) => c.stages.has(stage) && target.atStage.get(c.index)?.has(stage)))
    .map((c) => c.id);
}
