import {
  BARS_NEEDED,
  disputedCharacters,
  groundsAgainst,
  holds,
  largestIndependent,
  viewCase,
  type Case,
  type CaseView,
  type CompiledGuide,
  type CompiledTaxon,
} from '@pause/core';

/**
 * The same rules over plain objects and arrays, taxon by taxon: what the core did before it counted all taxa
 * at once. The baseline of the speed bench, and of nothing else.
 */

function rows(guide: CompiledGuide, view: CaseView, target: CompiledTaxon) {
  const disputed = disputedCharacters(view);
  return guide.taxa
    .filter((taxon) => taxon.grade !== 'none' && taxon.index !== target.index)
    .map((taxon) => ({
      need: BARS_NEEDED[taxon.grade],
      bars: largestIndependent(groundsAgainst(view, taxon, disputed)),
    }));
}

function deficit(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): number {
  const held = holds(guide, view, target);
  return (
    rows(guide, view, target).reduce((sum, row) => sum + Math.max(0, row.need - row.bars.length), 0) +
    2 * held.signature.filter((mark) => !mark.held).length +
    Math.max(0, held.groupsNeeded - held.fitGroups.length)
  );
}

/** Decides, works out what it leans on by deciding again without each reading, and scores every check. */
export function plainDecideAndNext(guide: CompiledGuide, find: Case, checks: number): number {
  const target = guide.taxon(find.target);
  if (!target) throw new Error('no target');
  let sum = deficit(guide, viewCase(guide, find), target);
  for (const reading of find.readings)
    sum += deficit(
      guide,
      viewCase(guide, { ...find, readings: find.readings.filter((r) => r !== reading) }),
      target,
    );
  const read = new Set(find.readings.map((r) => r.character));
  for (const character of guide.characters.filter((c) => !read.has(c.id)).slice(0, checks)) {
    const [state] = character.stateBit.keys();
    const supposed = {
      ...find.readings[0],
      id: 'supposed',
      character: character.id,
      value: { kind: 'states', states: [state] },
    } as unknown as Case['readings'][number];
    sum += deficit(guide, viewCase(guide, { ...find, readings: [...find.readings, supposed] }), target);
  }
  return sum;
}
