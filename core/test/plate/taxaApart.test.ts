import { pathData, pairPlates, taxonPlate } from '../../src/drawing';
import { guide, taxon } from '../finds';
import { isListed } from '../listed';
import { apart, raster } from './raster';

describe('a plate tells one taxon from another', () => {
  const stages = guide.taxa.flatMap((known) => known.taxon.stages.map((stage) => ({ known, stage })));

  test('no two taxa share a plate, at any stage of theirs', () => {
    const seen = new Map<string, string>();
    for (const { known, stage } of stages) {
      const drawn = taxonPlate(guide, known, stage, 0, 'small')
        .marks.map((m) => pathData(m) + m.fill)
        .join();
      const other = seen.get(drawn);
      expect({ taxon: known.id, shares: other !== undefined && other !== known.id }).toEqual({
        taxon: known.id,
        shares: false,
      });
      seen.set(drawn, known.id);
    }
  });

  test('side by side, a target and what it is mistaken for differ in a twentieth of what is drawn', () => {
    for (const [target, other] of isListed()) {
      const stage = taxon(target).taxon.stages.find((s) => taxon(other).taxon.stages.includes(s));
      if (!stage) continue;
      const { plates } = pairPlates(guide, [
        { taxon: taxon(target), stage },
        { taxon: taxon(other), stage },
      ]);
      const [one, two] = [raster(plates[0]), raster(plates[1])];
      const drawn = one.filter((cell, i) => cell !== '' || two[i] !== '').length;
      expect({ target, other, differ: apart(one, two) > drawn / 20 }).toEqual({
        target,
        other,
        differ: true,
      });
    }
  });

  test('of what nothing is stated nothing is drawn, and it is to no scale', () => {
    const silent = taxon('amanita-phalloides');
    const plate = taxonPlate(
      guide,
      { ...silent, taxon: { ...silent.taxon, statements: [] }, atStage: new Map() },
      'mature' as never,
    );
    expect(plate.marks).toEqual([]);
    expect(plate.scale).toBeUndefined();
  });

  test('a small plate is the same thing with less ink, and leaves the section out', () => {
    for (const id of ['boletus-edulis', 'conium-maculatum', 'vaccinium-myrtillus']) {
      const known = taxon(id);
      const stage = known.taxon.stages.at(-1)!;
      const [small, full] = [taxonPlate(guide, known, stage, 0, 'small'), taxonPlate(guide, known, stage)];
      const bytes = (plate: typeof small) => plate.marks.map(pathData).join('').length;
      expect(bytes(small)).toBeLessThan(bytes(full) * 0.7);
      expect(small.parts.some((part) => part.of.includes('section'))).toBe(false);
    }
    expect(
      taxonPlate(guide, taxon('boletus-edulis'), 'mature' as never).parts.some((part) =>
        part.of.includes('section'),
      ),
    ).toBe(true);
  });
});
