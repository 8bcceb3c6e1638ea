/**
 * Days of the calendar as whole numbers, so that they can be reckoned with: 0 is 1 January 1970. A day has no
 * hours and no time zone.
 */
export type Day = number;

const DAY_MS = 86_400_000;
const FORM = /^(\d{4})-(\d\d)-(\d\d)$/;

/** @throws RangeError for a text that is no day, like 2026-02-30 */
export function dayOf(iso: string): Day {
  const [, year, month, date] = FORM.exec(iso) ?? [];
  const day = Date.UTC(Number(year), Number(month) - 1, Number(date)) / DAY_MS;
  if (!Number.isInteger(day) || isoOf(day) !== iso) throw new RangeError(`"${iso}" is not a day`);
  return day;
}

export function isoOf(day: Day): string {
  return new Date(day * DAY_MS).toISOString().slice(0, 10);
}

export const yearOf = (day: Day): number => new Date(day * DAY_MS).getUTCFullYear();
export const newYear = (year: number): Day => Date.UTC(year, 0, 1) / DAY_MS;
/** From 0 for 1 January. */
export const dayOfYear = (day: Day): number => day - newYear(yearOf(day));
/** From 1 to 12. */
export const monthOf = (day: Day): number => new Date(day * DAY_MS).getUTCMonth() + 1;

/** The day of an instant by a clock that is so many minutes ahead of UTC. */
export function dayAt(instant: Date, minutesAhead: number): Day {
  return Math.floor((instant.getTime() + minutesAhead * 60_000) / DAY_MS);
}
