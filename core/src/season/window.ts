import type { Need } from '../guide';
import type { Scenario } from './scenario';
import { firstReaching } from './warmth';

/** Days of a season, counted from its 1 January: the first and the last on which something is so. */
export interface Span {
  readonly begins: number;
  readonly ends: number;
}

/** A span as one number, so that many of them are quickly gone through; `NEVER` where there is none. */
export type Packed = number;
export const NEVER: Packed = -1;
const WIDTH = 4096;
export const packed = (begins: number, ends: number): Packed => begins * WIDTH + ends;
export const beginsOf = (span: Packed): number => Math.floor(span / WIDTH);
export const endsOf = (span: Packed): number => span % WIDTH;

/** Warmth that is not there by the end of the year does not come of the next one. */
const YEAR_ENDS = 365;

/** How one season and one patch of plants differ from what the guide says. */
export interface Deviation {
  /** The warmth they need, as a factor of the guide's. */
  readonly factor: number;
  /** How much longer after rain they come, in standard deviations of the guide's. */
  readonly lag: number;
}
export const AS_THE_GUIDE_SAYS: Deviation = { factor: 1, lag: 0 };

/**
 * When a stage lasts in one scenario at a place.
 *
 * @param warmer degrees to add to the station's
 * @param notBefore the first day of interest: of what comes again after each rain, the first that is not over
 * by then
 * @returns `NEVER` where it does not begin in this season
 */
export function stageSpan(
  need: Need,
  scenario: Scenario,
  warmer: number,
  deviation: Deviation,
  notBefore = 0,
): Packed {
  const days = scenario.least.length;
  const {
    begins: { rain },
    ends,
  } = need;
  const { first, over, lasts } = withinSeason(need, scenario, warmer, deviation);
  if (first < 0) return NEVER;
  if (!rain) {
    const last = Math.min(over, ends.days === undefined ? days : first + ends.days, days) - 1;
    return packed(first, Math.max(first, last));
  }
  return flush(scenario, { rain, first, over, lasts, lag: deviation.lag, notBefore });
}

/**
 * The days within which it can come at all: from `first`, which is -1 where it does not begin in this season,
 * to the day before `over`; and how many days each coming lasts.
 */
export function withinSeason(
  { begins, ends }: Need,
  scenario: Scenario,
  warmer: number,
  { factor }: Deviation,
): { readonly first: number; readonly over: number; readonly lasts: number } {
  const days = scenario.least.length;
  const { warmth, cool } = begins;
  let first = warmth ? firstReaching(scenario.warmth(warmth.base, warmer), warmth.sum * factor) : 0;
  if (cool) while (first < days && (scenario.tenDays[first] ?? 0) + warmer > cool.below) first += 1;
  if (first >= days || (warmth && first >= YEAR_ENDS)) return { first: -1, over: -1, lasts: 0 };
  const over = Math.min(
    ends.warmth && warmth
      ? Math.min(firstReaching(scenario.warmth(warmth.base, warmer), ends.warmth.sum * factor), YEAR_ENDS)
      : days,
    ends.frost ? firstFrost(scenario, warmer, ends.frost.below, first) : days,
  );
  return { first, over, lasts: ends.days ?? 14 };
}

/** Days from a soaking rain to what it brings. */
export const lagDays = (days: number): number => Math.max(1, Math.round(days));

/** The first day from one on with a frost of so many degrees; the number of days where there is none. */
export function firstFrost(scenario: Scenario, warmer: number, below: number, from: number): number {
  const days = scenario.frosts(below, warmer);
  return days[firstReaching(days, from)] ?? scenario.least.length;
}

interface Flushing {
  readonly rain: {
    readonly millimetres: number;
    readonly days: number;
    readonly lag: number;
    readonly spread: number;
  };
  readonly first: number;
  readonly over: number;
  readonly lasts: number;
  readonly lag: number;
  readonly notBefore: number;
}

/**
 * Fruit bodies come some days after each soaking rain, and those of rains that follow closely are one flush.
 */
function flush(scenario: Scenario, { rain, first, over, lasts, lag, notBefore }: Flushing): Packed {
  const later = lagDays(rain.lag + lag * rain.spread);
  let [begins, ends] = [-1, -1];
  for (const day of scenario.soaked(rain.millimetres, rain.days)) {
    const [from, to] = [Math.max(first, day + later), day + later + lasts - 1];
    if (to < first || from >= over) continue;
    if (begins >= 0 && from > ends + 1) {
      if (ends >= notBefore) break;
      begins = from;
    } else if (begins < 0) begins = from;
    ends = Math.max(ends, to);
  }
  return begins < 0 || ends < notBefore ? NEVER : packed(begins, Math.min(ends, over - 1));
}
