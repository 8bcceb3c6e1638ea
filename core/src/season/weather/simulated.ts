import { dayOfYear, newYear, type Day } from '../../lib/day';
import { seeded } from '../../lib/seeded';
import type { WeatherSeries } from './series';

/**
 * Made-up daily weather of an invented valley, for demonstrations and tests: a yearly course, warm and cool
 * spells of some days, years that are warmer or later as a whole, and rain that comes in spells too. The same
 * seed gives the same weather, and a longer series begins as a shorter one.
 */

export interface Climate {
  /** Metres above the sea of the made-up station. */
  readonly elevation: number;
  /**
   * Mean temperature of the year, and half the difference between the warmest and the coldest time of it, in
   * degrees.
   */
  readonly mean: number;
  readonly swing: number;
  /**
   * How far years differ as a whole (standard deviation, degrees), and how far their course is early or late
   * (days).
   */
  readonly yearly: number;
  readonly shift: number;
}
/** A limestone valley at 640 m in the middle of Europe. */
export const VALLEY: Climate = { elevation: 640, mean: 7.6, swing: 9.6, yearly: 0.7, shift: 6 };

export { seeded };
/** Normally distributed numbers, mean 0 and deviation 1 (Box and Muller 1958). */
export function normal(random: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

const COLDEST = 18;

/** @param until the first day that is not made */
export function simulateWeather(
  seed: number,
  firstYear: number,
  until: Day,
  climate: Climate = VALLEY,
): WeatherSeries {
  const from = newYear(firstYear);
  const [least, most, rain]: [number[], number[], number[]] = [[], [], []];
  const random = seeded(seed);
  const draw = normal(random);
  let [spell, wet, year] = [0, false, { warmer: 0, later: 0 }];
  for (let day = from; day < until; day += 1) {
    const at = dayOfYear(day);
    if (at === 0) year = { warmer: draw() * climate.yearly, later: draw() * climate.shift };
    spell = 0.82 * spell + draw() * 1.7;
    // Wet days follow wet ones.
    wet = random() < (wet ? 0.58 : 0.24);
    const course =
      climate.mean - climate.swing * Math.cos((2 * Math.PI * (at - COLDEST - year.later)) / 365.25);
    const mean = course + year.warmer + spell - (wet ? 0.8 : -0.4);
    const half = (3.2 + 2.4 * Math.sin((Math.PI * at) / 365)) * (wet ? 0.65 : 1.15);
    const round = (degrees: number) => Math.round(degrees * 10) / 10;
    least.push(round(mean - half));
    most.push(round(mean + half));
    rain.push(wet ? Math.round(-Math.log(1 - random()) * 65) / 10 : 0);
  }
  return { elevation: climate.elevation, from, least, most, rain, simulated: true };
}
