import fc from 'fast-check';
import { bladeOutline, OUTLINES, halfWidth } from '../../src/drawing';
import { rulerFromCard, lengthOnScreen, bladeForm, outlineTerm, type Pixel } from '../../src/measuring';

describe('the ruler on the screen', () => {
  test('a card laid on it once', () => {
    const ruler = rulerFromCard(428)!;
    expect(ruler.pixelsPerMillimetre).toBe(5);
    expect(lengthOnScreen(150, ruler)).toEqual({
      millimetres: 30,
      error: expect.closeTo(1 + 30 / 85.6, 9) as number,
    });
  });
  test.each([[40], [4000], [0], [Number.NaN]])('%p pixels are no card', (pixels) =>
    expect(rulerFromCard(pixels)).toBeUndefined(),
  );
});

describe('the outline of a leaf', () => {
  test.each(['ovate', 'elliptic', 'obovate', 'lanceolate', 'linear', 'round'] as const)(
    '%s, as it is drawn, comes to that term',
    (term) => {
      const form = bladeForm(bladeOutline(OUTLINES[term], 100))!;
      expect(outlineTerm(form).term).toBe(term);
      expect(form.ratio).toBeCloseTo(OUTLINES[term].ratio, 1);
    },
  );

  test('length to width, and where it is broadest, of any form, turned and sized in any way', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(0.4, 1.2),
        number(0.4, 1.2),
        number(1.3, 6),
        number(0, 360),
        number(20, 600),
        (base, tip, ratio, turn, size) => {
          const a = (turn * Math.PI) / 180;
          const drawn = bladeOutline({ base, tip, ratio }, size).map(([x, y]): Pixel => [
            x * Math.cos(a) - y * Math.sin(a) + 300,
            x * Math.sin(a) + y * Math.cos(a) + 200,
          ]);
          const form = bladeForm(drawn)!;
          expect(form.ratio / ratio).toBeCloseTo(1, 1);
          expect(form.broadest).toBeCloseTo(base / (base + tip), 1);
        },
      ),
    );
  });

  test('a tip that is drawn sharper has the smaller angle', () => {
    const angles = [1.6, 1.2, 0.8, 0.5].map(
      (tip) => bladeForm(bladeOutline({ base: 0.5, tip, ratio: 2 }, 100))!.tipAngle,
    );
    expect([...angles].sort((a, b) => a - b)).toEqual(angles);
    // By hand: a quarter before the tip it is `halfWidth` of a quarter of the length wide on each side.
    const half = halfWidth({ base: 0.5, tip: 1.2, ratio: 2 }, 0.75) * 0.25;
    expect(angles[1]).toBeCloseTo((2 * Math.atan2(half, 0.25) * 180) / Math.PI, 0);
  });

  test('near a border it says what comes next, and how near', () => {
    const named = outlineTerm({ ratio: 2.9, broadest: 0.5, baseAngle: 60, tipAngle: 60, parallel: 0.3 });
    expect(named).toEqual({
      term: 'elliptic',
      next: { term: 'lanceolate', by: 'ratio', away: expect.closeTo(3 / 2.9 - 1, 9) as number },
    });
    expect(
      outlineTerm({ ratio: 2, broadest: 0.41, baseAngle: 60, tipAngle: 60, parallel: 0.3 }).next,
    ).toEqual({ term: 'ovate', by: 'broadest', away: expect.closeTo(0.01, 9) as number });
    expect(
      outlineTerm({ ratio: 1.1, broadest: 0.3, baseAngle: 60, tipAngle: 60, parallel: 0.3 }),
    ).toMatchObject({ term: 'round', next: { term: 'ovate' } });
  });

  test('a stroke, a dot and nothing are no outline', () => {
    expect(bladeForm([])).toBeUndefined();
    expect(bladeForm(Array.from({ length: 20 }, () => [5, 5] as const))).toBeUndefined();
    expect(bladeForm(Array.from({ length: 20 }, (_, i) => [i, i] as const))).toBeUndefined();
  });
});
