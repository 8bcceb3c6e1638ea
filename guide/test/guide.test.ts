import { BARS_NEEDED, compileGuide, largestIndependent, type CompiledTaxon, type StageId } from '@pause/core';
import { shippedGuide } from '../src';

const guide = compileGuide(shippedGuide());
const wanted = guide.taxa.filter((t) => t.taxon.parts.length > 0);
const dangerous = guide.taxa.filter((t) => t.grade !== 'none');

test('sixteen taxa, each with twenty statements or more', () => {
  expect(guide.taxa).toHaveLength(16);
  for (const taxon of guide.taxa) expect([taxon.id, taxon.taxon.statements.length >= 20]).toEqual([taxon.id, true]);
});

test('every taxon is either wanted or dangerous, and nobody has reviewed it', () => {
  for (const taxon of guide.taxa) {
    expect(taxon.taxon.parts.length > 0).toBe(taxon.grade === 'none');
    expect(taxon.taxon.review.reviewedBy).toBeNull();
  }
});

test('names in three languages, author and family', () => {
  for (const { taxon } of guide.taxa) {
    expect(Object.keys(taxon.vernacularNames).sort()).toEqual(['de', 'en', 'fr']);
    expect(taxon.scientificNameAuthorship.length).toBeGreaterThan(1);
    expect(taxon.family).toMatch(/ceae$/);
  }
});

test('no name means two taxa', () => {
  const names = guide.taxa.flatMap((t) => Object.values(t.taxon.vernacularNames).flat());
  expect(new Set(names).size).toBe(names.length);
});

test('every character and every state is used', () => {
  for (const character of guide.characters) {
    const used = guide.taxa.some((t) => t.atStage.has(character.index));
    expect([character.id, used]).toEqual([character.id, true]);
  }
});

/**
 * Grounds by which a usual specimen of the target at this stage is told from the other:
 * with `all`, only where every usual state lies outside what is known of the other; else where some does.
 */
function separatingGrounds(target: CompiledTaxon, other: CompiledTaxon, stage: StageId, all: boolean) {
  return guide.characters.flatMap((character) => {
    if (character.place || !character.stages.has(stage)) return [];
    const mine = target.atStage.get(character.index)?.get(stage);
    const theirs = other.overall.get(character.index);
    if (mine?.kind !== 'states' || theirs?.kind !== 'states') return [];
    const outside = mine.usual & ~theirs.possible;
    if (all ? outside !== mine.usual : outside === 0) return [];
    const absence = (outside & ~character.absentMask) === 0 ? 8 : 0;
    return [{ group: character.group, causes: character.restsOn | absence }];
  });
}

const pairs = wanted.flatMap((target) => dangerous
  .filter((other) => other.taxon.kingdom === target.taxon.kingdom)
  .map((other) => [target.id, other.id, target, other] as const));

test.each(pairs)('%s can be told from %s at a stage at which it is collected', (_, __, target, other) => {
  const stages = new Set(target.taxon.parts.flatMap((p) => p.stages));
  const most = Math.max(...[...stages].map((stage) => largestIndependent(separatingGrounds(target, other, stage, target.taxon.lookalikes.includes(other.id))).length));
  expect(most).toBeGreaterThanOrEqual(BARS_NEEDED[other.grade]);
});

test('the deadly ones among the listed lookalikes leave a bar to spare', () => {
  for (const target of wanted) {
    const stages = [...new Set(target.taxon.parts.flatMap((p) => p.stages))];
    for (const id of target.taxon.lookalikes) {
      const other = guide.taxon(id);
      if (other?.grade !== 'deadly') continue;
      const most = Math.max(...stages.map((stage) => largestIndependent(separatingGrounds(target, other, stage, true)).length));
      expect([target.id, id, most >= 4]).toEqual([target.id, id, true]);
    }
  }
});
