import { newYear, yearOf, type Day } from '../lib/day';
import { degreeDays } from './warmth';
import { endOf, type WeatherSeries } from './weather';

/** A season is reckoned from 1 January and reaches into the next spring: what fruits in winter ends there. */
export const SEASON_DAYS = 366 + 120;
const COOL_DAYS = 10;

/** One number for two that have no more than a tenth. */
const keyOf = (a: number, b: number) => Math.round(a * 10) * 100_000 + Math.round(b * 10);

/**
 * One way in which the weather of a season may go: what is known of it by today, and then as it went in
 * another year.
 */
export class Scenario {
  readonly #warmth = new Map<number, Float64Array>();
  readonly #frosts = new Map<number, readonly number[]>();
  #tenDays: Float64Array | undefined;
  readonly #soaked = new Map<number, readonly number[]>();

  /** @param known how many of its days are known, from the first on */
  constructor(
    readonly from: Day,
    readonly least: readonly number[],
    readonly most: readonly number[],
    readonly rain: readonly number[],
    readonly known: number,
  ) {}

  /** Degree-days summed up to the end of each day, where it is so much warmer than at the station. */
  warmth(base: number, warmer: number): Float64Array {
    const key = keyOf(base, warmer);
    const have = this.#warmth.get(key);
    if (have) return have;
    const sums = new Float64Array(this.least.length);
    let sum = 0;
    for (let day = 0; day < sums.length; day += 1) {
      sum += degreeDays((this.least[day] ?? 0) + warmer, (this.most[day] ?? 0) + warmer, base);
      sums[day] = sum;
    }
    this.#warmth.set(key, sums);
    return sums;
  }

  /** The mean temperature of the ten days up to each day, at the station. */
  get tenDays(): Float64Array {
    if (this.#tenDays) return this.#tenDays;
    const means = new Float64Array(this.least.length);
    let sum = 0;
    for (let day = 0; day < means.length; day += 1) {
      sum += ((this.least[day] ?? 0) + (this.most[day] ?? 0)) / 2;
      if (day >= COOL_DAYS)
        sum -= ((this.least[day - COOL_DAYS] ?? 0) + (this.most[day - COOL_DAYS] ?? 0)) / 2;
      means[day] = sum / Math.min(day + 1, COOL_DAYS);
    }
    this.#tenDays = means;
    return means;
  }

  /** The days with a night as cold as that, where it is so much warmer than at the station. */
  frosts(below: number, warmer: number): readonly number[] {
    const key = keyOf(below, warmer);
    const have = this.#frosts.get(key);
    if (have) return have;
    const days = [...this.least.keys()].filter((day) => (this.least[day] ?? 0) + warmer <= below);
    this.#frosts.set(key, days);
    return days;
  }

  /** The days up to which so much rain fell within so many days. */
  soaked(millimetres: number, within: number): readonly number[] {
    const key = keyOf(millimetres, within);
    const have = this.#soaked.get(key);
    if (have) return have;
    const days: number[] = [];
    let sum = 0;
    for (const [day, fell] of this.rain.entries()) {
      sum += fell - (day >= within ? (this.rain[day - within] ?? 0) : 0);
      if (sum >= millimetres) days.push(day);
    }
    this.#soaked.set(key, days);
    return days;
  }
}

/** The whole years of a series. */
export function yearsOf(series: WeatherSeries): number[] {
  const last = yearOf(endOf(series) - 1);
  const years: number[] = [];
  for (let year = yearOf(series.from); year <= last; year += 1)
    if (series.from <= newYear(year) && endOf(series) >= newYear(year + 1)) years.push(year);
  return years;
}

const pastYears = new WeakMap<WeatherSeries, Map<number, Scenario | undefined>>();

/**
 * The way in which a year went that is on record whole; made once, so that everything that is learned of it
 * shares its sums.
 */
export function pastYear(series: WeatherSeries, year: number): Scenario | undefined {
  const years = pastYears.get(series) ?? new Map<number, Scenario | undefined>();
  pastYears.set(series, years);
  if (!years.has(year))
    years.set(
      year,
      newYear(year) >= series.from && newYear(year + 1) <= endOf(series)
        ? scenariosOf(series, year, newYear(year + 1))[0]
        : undefined,
    );
  return years.get(year);
}

/**
 * The ways in which the season of a year may go, seen from a day: one for each whole year on record besides
 * it. Where the whole season is known by then, the one way in which it went.
 *
 * @param today the first day of which nothing is known yet
 * @throws RangeError where no year is on record whole
 */
export function scenariosOf(series: WeatherSeries, year: number, today: Day): Scenario[] {
  const from = newYear(year);
  const end = Math.min(today, endOf(series));
  const known = Math.max(0, Math.min(end - from, SEASON_DAYS));
  const others = yearsOf(series).filter((other) => other !== year);
  const donors = others.length > 0 ? others : yearsOf(series);
  if (donors.length === 0 && known < SEASON_DAYS) throw new RangeError('a whole year of weather is needed');
  const at = (list: readonly number[], day: Day) => list[day - series.from];
  const way = (donor: number): Scenario => {
    const start = newYear(donor);
    const [least, most, rain]: [number[], number[], number[]] = [[], [], []];
    for (let day = 0; day < SEASON_DAYS; day += 1) {
      // Beyond the other year's end as it went on, or where that is not known, as it had begun.
      let source = day < known && from >= series.from ? from + day : start + day;
      if (source >= endOf(series) || source < series.from) source = start + (day % 365);
      least.push(at(series.least, source) ?? 0);
      most.push(at(series.most, source) ?? 0);
      rain.push(at(series.rain, source) ?? 0);
    }
    return new Scenario(from, least, most, rain, from >= series.from ? known : 0);
  };
  return known === SEASON_DAYS && from >= series.from ? [way(year)] : donors.map(way);
}
