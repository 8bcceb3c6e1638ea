import { answerPlate, boxOfMarks, ANSWER, pathData } from '../../src/drawing';
import { guide } from '../finds';

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

  test('colours appear only where the colour is what is asked', () => {
    const coloured = asked.flatMap(([character, states]) =>
      states.flatMap((state) =>
        answerPlate(character, state)!.marks.some((mark) => mark.fill.startsWith('#')) ? [character] : [],
      ),
    );
    expect([...new Set(coloured)].sort()).toEqual(['cap.bruising', 'fruit.skin', 'latex', 'stem.sap']);
  });
});
