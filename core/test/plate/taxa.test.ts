import { taxonPlate, boxOfMarks, SHEET, pairPlates, labels } from '../../src/drawing';
import { guide, taxon } from '../finds';

describe('whole taxa', () => {
  const stages = guide.taxa.flatMap((t) =>
    t.taxon.stages.map((stage) => [t.id as string, stage as string] as const),
  );

  test('every taxon has a plate at every stage, inside its sheet', () => {
    for (const [id, stage] of stages)
      for (const seed of [0, 1, 2]) {
        const plate = taxonPlate(guide, taxon(id), stage as never, seed);
        expect({ id, stage, marks: plate.marks.length > 0 }).toEqual({ id, stage, marks: true });
        const { left, right, top, bottom } = boxOfMarks(plate.marks);
        expect({
          id,
          stage,
          within: left >= 0 && top >= 0 && right <= SHEET.width && bottom <= SHEET.height,
        }).toEqual({ id, stage, within: true });
        expect(plate.parts.flatMap((part) => part.marks)).toEqual(plate.marks);
      }
  });

  test('only what is stated is drawn: without a statement its part is gone, and so is the scale without a size', () => {
    const cap = taxon('amanita-phalloides');
    const less = {
      ...cap,
      taxon: {
        ...cap.taxon,
        statements: cap.taxon.statements.filter((s) => !['volva', 'cap.width', 'veil'].includes(s.character)),
      },
    };
    const of = (plate: ReturnType<typeof taxonPlate>) => plate.parts.flatMap((part) => part.of);
    expect(of(taxonPlate(guide, cap, 'mature' as never))).toEqual(
      expect.arrayContaining(['volva', 'veil', 'cap.shape']),
    );
    expect(of(taxonPlate(guide, less, 'mature' as never))).not.toEqual(expect.arrayContaining(['volva']));
    expect(of(taxonPlate(guide, less, 'mature' as never))).not.toEqual(expect.arrayContaining(['veil']));
    expect(taxonPlate(guide, cap, 'mature' as never).scale).toBeDefined();
    expect(taxonPlate(guide, less, 'mature' as never).scale).toBeUndefined();
  });

  test('measured on the sheet, a cap is as wide as the guide states, whichever individual it is', () => {
    const widths = new Set<number>();
    for (const id of ['amanita-phalloides', 'boletus-edulis', 'galerina-marginata', 'entoloma-sinuatum']) {
      const known = taxon(id)
        .atStage.get(guide.character('cap.width')!.index)
        ?.get('mature' as never);
      if (known?.kind !== 'number') throw new Error('a measure is stated');
      for (let seed = 0; seed < 12; seed += 1) {
        const plate = taxonPlate(guide, taxon(id), 'mature' as never, seed);
        const cap = boxOfMarks(plate.parts.find((part) => part.of.includes('cap.width'))!.marks);
        const width = ((cap.right - cap.left) * plate.scale!.millimetres) / plate.scale!.units;
        // The pen is as wide as a line, and trembles by half of one.
        const line = (3 * plate.scale!.millimetres) / plate.scale!.units;
        expect(width).toBeGreaterThanOrEqual(known.usual[0] - line);
        expect(width).toBeLessThanOrEqual(known.usual[1] + line);
        widths.add(Math.round(width));
      }
    }
    expect(widths.size).toBeGreaterThan(20);
  });

  test('the same seed is the same individual; a leaf of one pair faces the other', () => {
    expect(taxonPlate(guide, taxon('gentiana-lutea'), 'flowering' as never, 5)).toEqual(
      taxonPlate(guide, taxon('gentiana-lutea'), 'flowering' as never, 5),
    );
    const leaves = taxonPlate(guide, taxon('gentiana-lutea'), 'flowering' as never).parts.find((part) =>
      part.of.includes('leaf.arrangement'),
    )!;
    const { left, right } = boxOfMarks(leaves.marks);
    expect(Math.abs((left + right) / 2 - SHEET.width / 2)).toBeLessThan(SHEET.width * 0.06);
  });
});

describe('two side by side', () => {
  const at = (id: string, stage: string) => ({ taxon: taxon(id), stage: stage as never });
  const unit = ({ scale }: ReturnType<typeof taxonPlate>) => scale!.units / scale!.millimetres;

  test('what is of like size shares one scale, so that the smaller is the smaller on the sheet', () => {
    const {
      plates: [one, other],
      oneScale,
    } = pairPlates(guide, [at('gentiana-lutea', 'flowering'), at('veratrum-album', 'flowering')]);
    expect(oneScale).toBe(true);
    expect(unit(one)).toBeCloseTo(unit(other), 10);
    expect(Math.max(unit(one), unit(other))).toBeCloseTo(
      Math.min(
        ...['gentiana-lutea', 'veratrum-album'].map((id) =>
          unit(taxonPlate(guide, taxon(id), 'flowering' as never)),
        ),
      ),
      10,
    );
  });

  test('what is far smaller keeps its own scale, and says so', () => {
    const small = taxon('galerina-marginata');
    const large = taxon('boletus-edulis');
    const {
      plates: [one, other],
      oneScale,
    } = pairPlates(guide, [at(small.id, 'mature'), at(large.id, 'mature')]);
    expect(oneScale).toBe(false);
    expect([unit(one), unit(other)]).toEqual([
      unit(taxonPlate(guide, small, 'mature' as never, 0, 'small')),
      unit(taxonPlate(guide, large, 'mature' as never, 0, 'small')),
    ]);
  });

  test('numbers stand on the sheet, on what they point at, and never on each other', () => {
    for (const known of guide.taxa) {
      const plate = taxonPlate(guide, known, known.taxon.stages.at(-1)!);
      const characters = [...new Set(plate.parts.flatMap((part) => part.of))].slice(0, 7);
      const shown = labels(plate, [...characters, 'no.such'], 13);
      expect(shown.map((label) => label.character)).toEqual(characters);
      for (const [
        i,
        {
          character,
          at: [x, y],
        },
      ] of shown.entries()) {
        expect(x >= 13 && x <= SHEET.width - 13 && y >= 13 && y <= SHEET.height - 13).toBe(true);
        for (const earlier of shown.slice(0, i))
          expect(Math.hypot(earlier.at[0] - x, earlier.at[1] - y)).toBeGreaterThan(13);
        const box = boxOfMarks(
          plate.parts.filter((part) => part.of.includes(character)).flatMap((part) => part.marks),
        );
        expect(x >= box.left - 20 && x <= box.right + 20 && y >= box.top - 14 && y <= box.bottom + 14).toBe(
          true,
        );
      }
    }
  });

  test('an empty sheet has no numbers', () => {
    expect(
      labels({ ...SHEET, marks: [], parts: [], unknown: [], scale: undefined }, ['cap.shape'], 13),
    ).toEqual([]);
  });
});

test('leaf position is not made up: unstated, one leaf lies beside the stem; without outline, none', () => {
  const gentian = taxon('gentiana-lutea');
  const without = (...characters: string[]) =>
    taxonPlate(
      guide,
      {
        ...gentian,
        taxon: {
          ...gentian.taxon,
          statements: gentian.taxon.statements.filter((s) => !characters.includes(s.character)),
        },
      },
      'flowering' as never,
    );
  const parts = (plate: ReturnType<typeof taxonPlate>) =>
    plate.parts.filter((part) => part.of.includes('leaf.outline'));
  const area = (plate: ReturnType<typeof taxonPlate>) =>
    parts(plate)
      .map((part) => boxOfMarks(part.marks))
      .reduce((sum, { left, right, top, bottom }) => sum + (right - left) * (bottom - top), 0);
  const whole = taxonPlate(guide, gentian, 'flowering' as never);
  expect(area(without('leaf.arrangement'))).toBeLessThan(area(whole) * 0.6);
  expect(parts(without('leaf.arrangement'))).toHaveLength(1);
  expect(parts(without('leaf.outline'))).toHaveLength(0);
});

test('an umbel in fruit is still an umbel, with one of its fruits beside it', () => {
  const parts = (stage: string) =>
    taxonPlate(guide, taxon('conium-maculatum'), stage as never)
      .parts.filter((part) => part.marks.length > 0)
      .flatMap((part) => part.of);
  expect(parts('flowering')).toEqual(expect.arrayContaining(['flower.inflorescence']));
  expect(parts('fruiting')).toEqual(expect.arrayContaining(['umbel.bracts', 'fruit.type']));
  expect(parts('vegetative')).not.toEqual(expect.arrayContaining(['umbel.bracts']));
});
