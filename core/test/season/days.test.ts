import * as fc from 'fast-check';
import { dayOf, isoOf, monthOf, dayOfYear, newYear, dayAt } from '../../src/lib/day';
import { degreeDays, firstReaching, degreesAt } from '../../src/season';

describe('days', () => {
  test('are whole numbers that read back, leap days included', () => {
    expect([dayOf('1970-01-01'), dayOf('1970-03-01'), dayOf('2028-02-29') - dayOf('2028-02-28')]).toEqual([
      0, 59, 1,
    ]);
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 40_000 }), (day) => {
        expect(dayOf(isoOf(day))).toBe(day);
      }),
    );
    for (const none of ['2026-02-29', '2026-13-01', '26-1-1', '', '2026-09-14T00:00:00Z'])
      expect(() => dayOf(none)).toThrow(/is not a day/);
    expect([
      monthOf(dayOf('2026-09-30')),
      dayOfYear(dayOf('2026-02-01')),
      newYear(2027) - newYear(2026),
    ]).toEqual([9, 31, 365]);
  });

  test('an instant is another day elsewhere', () => {
    const late = new Date('2026-09-14T22:30:00.000Z');
    expect([0, 120, -600].map((ahead) => isoOf(dayAt(late, ahead)))).toEqual([
      '2026-09-14',
      '2026-09-15',
      '2026-09-14',
    ]);
  });
});

describe('degree-days of a day', () => {
  test.each([
    // Wholly above the base: the mean over it. Wholly below: nothing.
    [10, 20, 5, 10],
    [-5, 5, 5, 0],
    [5, 5, 5, 0],
    // A base in the middle: a half-wave of height 10 over half a day is 10 / π.
    [0, 20, 10, 10 / Math.PI],
    // Base at a quarter of the wave's way: θ = asin(0.5) = π/6; ((10 − 15)(π/2 − π/6) + 10 cos π/6) / π.
    [0, 20, 15, (-5 * (Math.PI / 3) + 10 * Math.cos(Math.PI / 6)) / Math.PI],
  ])('from %d to %d over %d', (least, most, base, expected) => {
    expect(degreeDays(least, most, base)).toBeCloseTo(expected, 12);
  });

  test('are the area under the wave, whatever the day', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: -5, max: 15, noNaN: true }),
        (least, range, base) => {
          let sum = 0;
          for (let step = 0; step < 2000; step += 1)
            sum +=
              Math.max(
                0,
                least + range / 2 + (range / 2) * Math.sin((2 * Math.PI * (step + 0.5)) / 2000) - base,
              ) / 2000;
          expect(degreeDays(least, least + range, base)).toBeCloseTo(sum, 2);
        },
      ),
      { numRuns: 60 },
    );
  });
});

test('the first that reaches a value', () => {
  expect([0, 1, 3, 3.5, 9].map((value) => firstReaching([1, 3, 3, 8], value))).toEqual([0, 0, 1, 3, 4]);
});

test('a place is warmer than the station by height, slope and shade', () => {
  // 300 m lower: 1.95; a south slope 0.8; half shade −0.3.
  expect(degreesAt(640, { elevation: 340, aspect: 's', shade: 'half' })).toBeCloseTo(2.5, 1);
  expect(degreesAt(640, {})).toBe(0);
  expect(degreesAt(640, { elevation: 1640, aspect: 'n' })).toBeCloseTo(-7.3, 1);
});
