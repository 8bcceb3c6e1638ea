import fc from 'fast-check';
import {
  ANSWER,
  SHEET,
  answerPlate,
  bladeOutline,
  boxOf,
  boxOfMarks,
  halfWidth,
  inside,
  labels,
  OUTLINES,
  pairPlates,
  pathData,
  taxonPlate,
  veins,
  type Point,
} from '../src/drawing';
import { individual } from '../src/drawing/build';
import { guide, taxon } from './finds';

const asked = guide.characters
  .filter((c) => c.character.kind === 'states')
  .map((c) => [c.id as string, [...c.stateBit.keys()]] as const);

describe('answers are drawings', () => {
  test.each(asked)(
    '%s: each of its states is drawn, inside the sheet, and no two alike',
    (character, states) => {
      const seen = new Map<string, string>();
      for (const state of states) {
        const plate = answerPlate(character, state);
        if (!plate) throw new Error(`${character} = ${state} is not drawn`);
        const { left, right, top, bottom } = boxOfMarks(plate.marks);
        expect({
          state,
          within: left >= 0 && top >= 0 && right <= ANSWER.width && bottom <= ANSWER.height,
        }).toEqual({ state, within: true });
        const drawn = plate.marks.map((mark) => pathData(mark) + mark.fill + mark.ink).join();
        expect({ state, as: seen.get(drawn) }).toEqual({ state, as: undefined });
        seen.set(drawn, state);
        for (const mark of plate.marks) {
          expect(mark.line.length).toBeGreaterThanOrEqual(mark.closed ? 3 : 2);
          expect(mark.line.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
        }
        // Something is drawn in full, not only its surroundings.
        expect(plate.marks.some((mark) => mark.ink !== 'faint' || mark.fill !== 'none')).toBe(true);
      }
    },
  );

  test('the same answer gives the same marks; what nobody has drawn gives none', () => {
    expect(answerPlate('stem.marks', 'spotted')).toEqual(answerPlate('stem.marks', 'spotted'));
    expect(answerPlate('stem.marks', 'striped')).toBeUndefined();
    expect(answerPlate('wing.beat', 'fast')).toBeUndefined();
    expect(answerPlate('constructor', 'toString')).toBeUndefined();
  });
});

/** Marks of an answer that are closed outlines of this fill. */
const filled = (character: string, state: string, fill: string) =>
  answerPlate(character, state)!.marks.filter((mark) => mark.closed && mark.fill === fill);
const count = (character: string, state: string, ink: string) =>
  answerPlate(character, state)!.marks.filter((mark) => mark.ink === ink).length;
const widthOf = (character: string, state: string) => {
  const box = boxOfMarks(answerPlate(character, state)!.marks.filter((mark) => mark.ink === 'bold'));
  return (box.right - box.left) / (box.bottom - box.top);
};

describe('an answer shows what its words say', () => {
  test('petals: a cross has four, a star five, a lily six', () => {
    // Each petal is an outline of paper; the middle is shaded.
    expect(filled('flower.form', 'cross', 'paper')).toHaveLength(4);
    expect(filled('flower.form', 'star', 'paper')).toHaveLength(5);
    expect(filled('flower.form', 'six-star', 'paper')).toHaveLength(6);
  });

  test('gills: crowded are more than medium, medium more than distant', () => {
    const lines = (state: string) =>
      answerPlate('hymenophore.spacing', state)!.marks.filter((mark) => !mark.closed).length;
    expect(lines('crowded')).toBeGreaterThan(lines('medium') * 1.5);
    expect(lines('medium')).toBeGreaterThan(lines('distant') * 1.5);
  });

  test('bracts: none, few and many differ by nothing but their number', () => {
    expect([
      count('umbel.bracts', 'none', 'bold'),
      count('umbel.bracts', 'few', 'bold'),
      count('umbel.bracts', 'many', 'bold'),
    ]).toEqual([0, 2, 6]);
    const surroundings = (state: string) =>
      answerPlate('umbel.bracts', state)!.marks.filter((mark) => mark.ink !== 'bold');
    expect(surroundings('many')).toEqual(surroundings('none'));
  });

  test('bracteoles on one side hang on that side only, and the long ones further down', () => {
    const lowest = (state: string) =>
      boxOfMarks(answerPlate('umbel.bracteoles', state)!.marks.filter((mark) => mark.ink === 'bold'));
    expect(lowest('one-sided-short').left).toBeGreaterThanOrEqual(60);
    expect(lowest('one-sided-long').left).toBeGreaterThanOrEqual(60);
    expect(lowest('one-sided-long').bottom).toBeGreaterThan(lowest('one-sided-short').bottom + 5);
    expect(lowest('ring').left).toBeLessThan(50);
  });

  test('hollow is dark inside, solid is not', () => {
    for (const character of ['stem.core', 'stipe.interior']) {
      expect(filled(character, 'hollow', 'ink').length).toBeGreaterThan(0);
      expect(
        filled(character, 'solid', 'ink').filter(
          (mark) => boxOfMarks([mark]).right - boxOfMarks([mark]).left > 10,
        ),
      ).toEqual([]);
    }
  });

  test('sections: a winged stem is far wider than high, a round one as wide as high', () => {
    expect(widthOf('stem.section', 'round')).toBeCloseTo(1, 2);
    expect(widthOf('stem.section', 'square')).toBeCloseTo(1, 1);
    expect(widthOf('stem.section', 'winged')).toBeGreaterThan(1.8);
  });

  test('leaves in pairs are the mirror of each other; one by one they are not', () => {
    const xs = (state: string) =>
      answerPlate('leaf.arrangement', state)!
        .marks.filter((mark) => mark.closed)
        .map((mark) => boxOfMarks([mark]));
    const mirrored = (state: string) =>
      xs(state).every((box) =>
        xs(state).some(
          (other) =>
            Math.abs(other.left - (120 - box.right)) < 0.01 &&
            Math.abs(other.right - (120 - box.left)) < 0.01 &&
            Math.abs(other.top - box.top) < 0.01,
        ),
      );
    expect(mirrored('opposite')).toBe(true);
    expect(mirrored('alternate')).toBe(false);
  });

  test('leaflets: three, three times three, and ever more of them', () => {
    expect(filled('leaf.division', 'simple', 'paper')).toHaveLength(1);
    expect(filled('leaf.division', 'ternate', 'paper')).toHaveLength(3);
    expect(filled('leaf.division', 'biternate', 'paper')).toHaveLength(9);
    expect(filled('leaf.division', 'pinnate', 'paper').length % 2).toBe(1);
  });

  test('the sac of a volva goes below the ground, a ring does not', () => {
    expect(boxOfMarks(filled('volva', 'sac', 'shade')).bottom).toBeGreaterThan(70);
    expect(
      boxOfMarks(answerPlate('veil', 'hanging')!.marks.filter((mark) => mark.ink === 'bold')).bottom,
    ).toBeLessThan(64);
  });

  test('colours appear only where the colour is what is told', () => {
    const coloured = asked.flatMap(([character, states]) =>
      states.flatMap((state) =>
        answerPlate(character, state)!.marks.some((mark) => mark.fill.startsWith('#')) ? [character] : [],
      ),
    );
    expect([...new Set(coloured)].sort()).toEqual(['cap.bruising', 'fruit.skin', 'latex', 'stem.sap']);
  });
});

describe('blades', () => {
  const outline = fc.record({
    base: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
    tip: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
    ratio: fc.double({ min: 1, max: 12, noNaN: true }),
  });

  test('measured length to width is what was stated, and the broadest place is where the exponents say', () => {
    fc.assert(
      fc.property(outline, fc.double({ min: 20, max: 200, noNaN: true }), (stated, length) => {
        const line = bladeOutline(stated, length);
        const { left, right, top, bottom } = boxOf([line]);
        expect((bottom - top) / (right - left)).toBeGreaterThan(stated.ratio * 0.98);
        expect((bottom - top) / (right - left)).toBeLessThan(stated.ratio * 1.02);
        const widest = line.reduce((a, b) => (b[0] > a[0] ? b : a));
        expect(-widest[1] / length).toBeCloseTo(stated.base / (stated.base + stated.tip), 1);
        expect(halfWidth(stated, stated.base / (stated.base + stated.tip))).toBeCloseTo(1, 10);
      }),
    );
  });

  test('the outline closes, is the same on both sides, and the veins stay inside it', () => {
    fc.assert(
      fc.property(
        outline,
        fc.constantFrom('net', 'arching', 'pleated', 'parallel', 'curved-pairs', 'one'),
        (stated, venation) => {
          const line = bladeOutline(stated, 60);
          expect(line[0]).toEqual([0, -0]);
          for (const [x, y] of line)
            expect(line.some(([ox, oy]) => Math.abs(ox + x) < 1e-9 && Math.abs(oy - y) < 1e-9)).toBe(true);
          // A hair wider, so that rounding on the very edge does not count.
          const wider = bladeOutline({ ...stated, ratio: stated.ratio * 0.9 }, 60.5);
          for (const vein of veins(stated, 60, venation))
            for (const [x, y] of vein.slice(1, -1)) expect(inside([x, y - 0.1] as Point, wider)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('teeth add to the edge and never turn it inside out', () => {
    const smooth = bladeOutline(OUTLINES.elliptic, 60);
    for (const margin of [
      'finely-serrate',
      'coarsely-serrate',
      'double-serrate',
      'rounded-teeth',
      'bristle-toothed',
    ] as const) {
      const line = bladeOutline(OUTLINES.elliptic, 60, margin);
      const right = line.slice(0, Math.floor(line.length / 2));
      expect(right.every(([x]) => x >= -1e-9)).toBe(true);
      expect(boxOf([line]).right).toBeGreaterThan(boxOf([smooth]).right);
    }
  });
});

describe('individuals', () => {
  const gentian = taxon('gentiana-lutea');
  const statesOf = (id: string) =>
    gentian.taxon.statements
      .filter((s) => s.character === id && (s.stages ?? gentian.taxon.stages).includes('flowering' as never))
      .flatMap((s) => ('usual' in s ? s.usual : [])) as string[];

  test('the typical one is what is named first, and the middle of each range', () => {
    const one = individual(guide, gentian, 'flowering' as never, 0);
    expect(one.state('leaf.outline')).toBe(statesOf('leaf.outline')[0]);
    expect(one.size('leaf.length')).toBe(225);
    expect(one.size('plant.height')).toBe(950);
  });

  test('every other one shows only what is usual, and between them they show all of it', () => {
    const seen = new Set<string>();
    for (let seed = 1; seed < 60; seed += 1) {
      const one = individual(guide, gentian, 'flowering' as never, seed);
      seen.add(one.state('leaf.outline')!);
      expect(one.size('leaf.length')).toBeGreaterThanOrEqual(150);
      expect(one.size('leaf.length')).toBeLessThanOrEqual(300);
    }
    expect([...seen].sort()).toEqual(statesOf('leaf.outline').sort());
  });

  test('what is not stated, or cannot be seen at the stage, is not there', () => {
    const one = individual(guide, gentian, 'vegetative' as never, 0);
    expect(one.state('flower.form')).toBeUndefined();
    expect(one.size('plant.height')).toBeUndefined();
    expect(one.state('volva')).toBeUndefined();
    expect(one.state('no.such')).toBeUndefined();
  });
});

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
        expect(width).toBeGreaterThanOrEqual(known.usual[0] - 0.01);
        expect(width).toBeLessThanOrEqual(known.usual[1] + 0.01);
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
    expect((left + right) / 2).toBeCloseTo(SHEET.width / 2, 1);
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
      unit(taxonPlate(guide, small, 'mature' as never)),
      unit(taxonPlate(guide, large, 'mature' as never)),
    ]);
  });

  test('numbers stand on the sheet, on what they point at, and never on each other', () => {
    for (const known of guide.taxa) {
      const plate = taxonPlate(guide, known, known.taxon.stages.at(-1)!);
      const characters = [...new Set(plate.parts.flatMap((part) => part.of))].slice(0, 7);
      const told = labels(plate, [...characters, 'no.such'], 13);
      expect(told.map((label) => label.character)).toEqual(characters);
      for (const [
        i,
        {
          character,
          at: [x, y],
        },
      ] of told.entries()) {
        expect(x >= 13 && x <= SHEET.width - 13 && y >= 13 && y <= SHEET.height - 13).toBe(true);
        for (const earlier of told.slice(0, i))
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
    expect(labels({ ...SHEET, marks: [], parts: [], scale: undefined }, ['cap.shape'], 13)).toEqual([]);
  });
});

test('how leaves stand is not made up: without a statement one leaf stands beside the stem, without an outline none', () => {
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
  const blades = (plate: ReturnType<typeof taxonPlate>) =>
    plate.parts
      .filter((part) => part.of.includes('leaf.outline'))
      .flatMap((part) => part.marks)
      .filter((mark) => mark.closed).length;
  expect(blades(taxonPlate(guide, gentian, 'flowering' as never))).toBeGreaterThan(2);
  expect(blades(without('leaf.arrangement'))).toBe(1);
  expect(blades(without('leaf.outline'))).toBe(0);
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
