import fc from 'fast-check';
import { bladeOutline, boxOf, halfWidth, veins, inside, type Point, OUTLINES } from '../../src/drawing';
import { individual } from '../../src/drawing/build';
import { taxon, guide } from '../finds';

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
