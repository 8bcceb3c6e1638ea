import { dayOf, newYear } from '../../src/lib/day';
import {
  Scenario,
  NEVER,
  beginsOf,
  endsOf,
  stageSpan,
  AS_THE_GUIDE_SAYS,
  yearsOf,
  scenariosOf,
  quantile,
} from '../../src/season';
import { simulateWeather } from '../../src/season/weather';
import { need } from './kit';

/** Every day alike. */
const flat = (degrees: number, rain: readonly number[] = [], days = 486) =>
  new Scenario(
    0,
    Array<number>(days).fill(degrees),
    Array<number>(days).fill(degrees),
    [...rain, ...Array<number>(days - rain.length).fill(0)],
    0,
  );
const spanOf = (one: number): [number, number] | undefined =>
  one === NEVER ? undefined : [beginsOf(one), endsOf(one)];
const WARM = { base: 5, sum: 100, spread: 0.1 };
describe('a stage lasts', () => {
  test('from the warmth it waits for until the warmth that ends it, or so many days', () => {
    // Ten degrees over the base of five are five a day: a hundred after twenty days.
    expect(spanOf(stageSpan(need({ warmth: WARM }), flat(10), 0, AS_THE_GUIDE_SAYS))).toEqual([19, 28]);
    expect(
      spanOf(stageSpan(need({ warmth: WARM }, { warmth: { sum: 150 } }), flat(10), 0, AS_THE_GUIDE_SAYS)),
    ).toEqual([19, 28]);
    expect(spanOf(stageSpan(need({ warmth: WARM }), flat(10), 5, AS_THE_GUIDE_SAYS))).toEqual([9, 18]);
    expect(spanOf(stageSpan(need({ warmth: WARM }), flat(10), 0, { factor: 1.5, lag: 0 }))).toEqual([29, 38]);
    expect(stageSpan(need({ warmth: WARM }), flat(5), 0, AS_THE_GUIDE_SAYS)).toBe(NEVER);
  });

  test('not before a cool spell of ten days, nor after a frost', () => {
    const cooling = new Scenario(
      0,
      Array.from({ length: 486 }, (_, day) => 20 - day / 10),
      Array.from({ length: 486 }, (_, day) => 20 - day / 10),
      Array<number>(486).fill(0),
      0,
    );
    // The mean of ten days up to day d is 20 − (d − 4.5) / 10: 10 at 104.5.
    expect(
      spanOf(stageSpan(need({ cool: { below: 10 } }, { days: 5 }), cooling, 0, AS_THE_GUIDE_SAYS)),
    ).toEqual([105, 109]);
    // The night of minus two is day 220.
    expect(
      spanOf(
        stageSpan(need({ cool: { below: 10 } }, { frost: { below: -2 } }), cooling, 0, AS_THE_GUIDE_SAYS),
      ),
    ).toEqual([105, 219]);
  });

  test('from so many days after a soaking rain; rains that follow closely are one flush, later ones another', () => {
    const rain = { millimetres: 20, days: 3, lag: 10, spread: 2 };
    const wet = flat(15, [
      ...Array<number>(50).fill(0),
      10,
      5,
      6,
      ...Array<number>(5).fill(0),
      25,
      ...Array<number>(60).fill(0),
      30,
    ]);
    const fungus = need({ warmth: WARM, rain }, { days: 8 });
    // Soaked on 52 (10 + 5 + 6), on 58 to 60 by the 25; and on 119 to 121.
    expect(spanOf(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS))).toEqual([62, 77]);
    expect(spanOf(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS, 77))).toEqual([62, 77]);
    expect(spanOf(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS, 78))).toEqual([129, 138]);
    expect(spanOf(stageSpan(fungus, wet, 0, { factor: 1, lag: 1 }))).toEqual([64, 79]);
    expect(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS, 139)).toBe(NEVER);
    expect(stageSpan(fungus, flat(15), 0, AS_THE_GUIDE_SAYS)).toBe(NEVER);
  });
});

describe('the ways a season may go', () => {
  const series = simulateWeather(1, 2020, dayOf('2026-06-01'));

  test('are what is known, and then as it went in each other year', () => {
    expect(yearsOf(series)).toEqual([2020, 2021, 2022, 2023, 2024, 2025]);
    const ways = scenariosOf(series, 2026, dayOf('2026-05-01'));
    expect(ways).toHaveLength(6);
    const known = dayOf('2026-05-01') - newYear(2026);
    for (const way of ways) {
      expect(way.known).toBe(known);
      expect(way.least.slice(0, known)).toEqual(
        series.least.slice(newYear(2026) - series.from, newYear(2026) - series.from + known),
      );
    }
    const first = newYear(2020) - series.from;
    expect(ways[0]!.least[known + 10]).toBe(series.least[first + known + 10]);
    expect(new Set(ways.map((way) => way.least[200])).size).toBeGreaterThan(3);
  });

  test('of a year that is over, the one way in which it went', () => {
    const [only, ...more] = scenariosOf(series, 2024, dayOf('2026-06-01'));
    expect(more).toEqual([]);
    expect(only!.most[366 + 31]).toBe(series.most[dayOf('2025-02-01') - series.from]);
  });

  test('need a whole year of weather', () => {
    expect(() =>
      scenariosOf(simulateWeather(1, 2026, dayOf('2026-06-01')), 2026, dayOf('2026-05-01')),
    ).toThrow(/whole year/);
  });
});

test('quantiles of a short list', () => {
  const list = Float64Array.from([10, 20, 30, 40, 50]);
  // Each value stands for the middle of its fifth: 10 at 0.1, 20 at 0.3, …
  expect([0, 0.1, 0.2, 0.5, 0.9, 1].map((share) => quantile(list, share))).toEqual([10, 10, 15, 30, 50, 50]);
});
