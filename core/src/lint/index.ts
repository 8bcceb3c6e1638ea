import { BARS_NEEDED } from '../bars';
import type { CharacterId, CompiledCharacter, CompiledGuide, CompiledTaxon, HarmGrade, StageId, TaxonId } from '../guide';
import { partings } from '../part';
import { countBars } from '../plan';
import { CAUSE_BIT, millimetres } from '../guide';

/**
 * What a guide would have to mend before it can be trusted, beyond being well-formed. `weak` findings say that a
 * target cannot be told well enough from a dangerous taxon; `note` findings are to be known, not mended.
 */
export type LintFinding = { readonly level: 'weak' | 'note' } & (
  | { readonly code: 'few-groups'; readonly target: TaxonId; readonly taxon: TaxonId; readonly most: number; readonly need: number }
  | { readonly code: 'few-bars'; readonly target: TaxonId; readonly taxon: TaxonId; readonly stage: StageId; readonly most: number; readonly need: number }
  | { readonly code: 'few-statements'; readonly taxon: TaxonId; readonly have: number; readonly need: number }
  | { readonly code: 'unused-character'; readonly character: CharacterId }
  | { readonly code: 'unused-state'; readonly character: CharacterId; readonly state: string }
  | { readonly code: 'name-means-two'; readonly name: string; readonly taxa: readonly TaxonId[] }
  | { readonly code: 'unreviewed'; readonly taxa: number }
);

/** Groups in some stage, and bars in every stage, that must separate a target from a taxon of its own body plan. */
const WANTED: Readonly<Record<HarmGrade, { readonly groups: number; readonly bars: number }>> = {
  deadly: { groups: 7, bars: 4 }, serious: { groups: 6, bars: 3 }, unpleasant: { groups: 3, bars: 2 }, none: { groups: 0, bars: 0 },
};
const STATEMENTS_WANTED = 24;

/** Lints a compiled guide. Findings come in a fixed order; weak ones first. */
export function lint(guide: CompiledGuide): LintFinding[] {
  const wanted = guide.taxa.filter((t) => t.taxon.parts.length > 0);
  const dangerous = guide.taxa.filter((t) => t.grade !== 'none');
  // A target with a near-double is never collected, so nothing hangs on how well it can be told from the others.
  const collectable = wanted.filter((t) => (t.taxon.nearDoubles ?? []).length === 0);
  const pairs = collectable.flatMap((target) => dangerous
    .filter((other) => other.index !== target.index && other.taxon.kingdom === target.taxon.kingdom)
    .flatMap((other) => lintPair(guide, target, other)));
  const findings: LintFinding[] = [
    ...pairs, ...statements(guide), ...unused(guide), ...names(guide),
    { level: 'note', code: 'unreviewed', taxa: guide.taxa.filter((t) => t.taxon.review.reviewedBy === null).length },
  ];
  return [...findings.filter((f) => f.level === 'weak'), ...findings.filter((f) => f.level === 'note')];
}

function lintPair(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon): LintFinding[] {
  const need = other.taxon.bodyPlan === target.taxon.bodyPlan ? WANTED[other.grade] : { groups: BARS_NEEDED[other.grade], bars: BARS_NEEDED[other.grade] };
  const stages = [...new Set(target.taxon.parts.flatMap((part) => part.stages))];
  const apart = stages.map((stage) => ({ stage, ...separation(guide, target, other, stage) }));
  const most = Math.max(0, ...apart.map((a) => a.groups));
  return [
    ...(most < need.groups ? [{ level: 'weak', code: 'few-groups', target: target.id, taxon: other.id, most, need: need.groups } as const] : []),
    ...apart.filter((a) => a.bars < need.bars)
      .map(({ stage, bars }) => ({ level: 'weak', code: 'few-bars', target: target.id, taxon: other.id, stage, most: bars, need: need.bars } as const)),
  ];
}

/** Groups, and bars that share no cause, by which all usual states of the target lie outside what is known of the other. */
export function separation(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon, stage: StageId): { groups: number; bars: number } {
  const apart = [...partings(guide, target, other, [stage]).flatMap(({ character: id, target: usual }) => {
    const character = guide.character(id);
    if (!character) return [];
    const absent = usual.some((state) => ((character.stateBit.get(state) ?? 0) & character.absentMask) !== 0);
    return [{ group: character.group, causes: character.restsOn | (absent ? CAUSE_BIT.absence : 0) }];
  }), ...guide.characters.flatMap((character) => (numbersPart(character, target, other, stage) ? [{ group: character.group, causes: character.restsOn }] : []))];
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

function statements(guide: CompiledGuide): LintFinding[] {
  return guide.taxa
    .filter((t) => t.taxon.parts.length > 0 || t.grade === 'deadly' || t.grade === 'serious')
    .filter((t) => t.taxon.statements.length < STATEMENTS_WANTED)
    .map((t) => ({ level: 'weak', code: 'few-statements', taxon: t.id, have: t.taxon.statements.length, need: STATEMENTS_WANTED }));
}

function unused(guide: CompiledGuide): LintFinding[] {
  return guide.characters.flatMap((character): LintFinding[] => {
    const stated = guide.taxa.flatMap((t) => t.taxon.statements.filter((s) => s.character === character.id));
    if (stated.length === 0) return [{ level: 'note', code: 'unused-character', character: character.id }];
    const used = new Set<string>(stated.flatMap((s) => ('usual' in s ? [...s.usual, ...(s.occasional ?? [])] : [])));
    return [...character.stateBit.keys()].filter((state) => !used.has(state))
      .map((state) => ({ level: 'note', code: 'unused-state', character: character.id, state }));
  });
}

/** Names, in any language, that mean more than one taxon; whoever searches one is warned. */
function names(guide: CompiledGuide): LintFinding[] {
  const means = new Map<string, Set<TaxonId>>();
  for (const taxon of guide.taxa) {
    for (const name of Object.values(taxon.taxon.vernacularNames).flat()) {
      const key = name.toLowerCase();
      means.set(key, (means.get(key) ?? new Set<TaxonId>()).add(taxon.id));
    }
  }
  return [...means].filter(([, taxa]) => taxa.size > 1).sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, taxa]) => ({ level: 'note', code: 'name-means-two', name, taxa: [...taxa].sort() }));
}
