import { dayOf, isoOf, newYear, yearOf, type Day } from './day';

/**
 * What people type into a field: numbers, days and times, as they write them. Anything that can be read in
 * two ways is refused.
 */

export type Typed<Value> = { readonly value: Value } | { readonly problem: string };

/** A thousand as some write it, or one and a bit as others do. */
const AMBIGUOUS = /^[1-9]\d{0,2},\d{3}$/;

/**
 * A number with a point or a comma, with spaces between thousands: `2.5`, `2,5`, `1 500`.
 *
 * @returns nothing where nothing was typed, NaN where it is no number or could be two
 */
export function readNumber(text: string): number | undefined {
  const typed = text.trim();
  if (typed === '') return undefined;
  if (AMBIGUOUS.test(typed)) return Number.NaN;
  const joined = /^[+-]?\d{1,3}([ \u00A0\u202F]\d{3})+([.,]\d+)?$/.test(typed)
    ? typed.replace(/[ \u00A0\u202F]/g, '')
    : typed;
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(joined) ? Number(joined.replace(',', '.')) : Number.NaN;
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const monthOfName = (name: string): number =>
  name.length < 3 ? 0 : MONTHS.indexOf(name.slice(0, 3).toLowerCase()) + 1;
/** A day without a year is the one that is nearest to come; one that was just before is meant as it was. */
const JUST_BEFORE = 60;

interface DayRange {
  readonly today: Day;
  /** First and last day that can be meant. */
  readonly from: Day;
  readonly to: Day;
}

/** Year, month and day as they stand in a text; the year may be left out. */
function partsOfDay(
  text: string,
): readonly [year: number | undefined, month: number, date: number] | 'ambiguous' | undefined {
  const iso = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})$/.exec(text);
  if (iso) return [Number(iso[1]), Number(iso[2]), Number(iso[3])];
  const dots = /^(\d{1,2})\. ?(\d{1,2})\.? ?(\d{4})?$/.exec(text);
  if (dots) return [dots[3] === undefined ? undefined : Number(dots[3]), Number(dots[2]), Number(dots[1])];
  const slashed = /^(\d{1,2})[/-](\d{1,2})[/-](\d{4})$/.exec(text);
  if (slashed) {
    const [first, second, year] = [Number(slashed[1]), Number(slashed[2]), Number(slashed[3])];
    if (first <= 12 && second <= 12 && first !== second) return 'ambiguous';
    return first > 12 ? [year, second, first] : [year, first, second];
  }
  const named = /^(\d{1,2})\.? ([a-z]+)\.?(?:,? (\d{4}))?$/i.exec(text) ?? undefined;
  if (named)
    return [
      named[3] === undefined ? undefined : Number(named[3]),
      monthOfName(named[2] ?? ''),
      Number(named[1]),
    ];
  const american = /^([a-z]+)\.? (\d{1,2})(?:,? (\d{4}))?$/i.exec(text) ?? undefined;
  return (
    american && [
      american[3] === undefined ? undefined : Number(american[3]),
      monthOfName(american[1] ?? ''),
      Number(american[2]),
    ]
  );
}

const two = (number: number) => String(number).padStart(2, '0');
function dayIn(year: number, month: number, date: number): Day | undefined {
  try {
    return dayOf(`${String(year).padStart(4, '0')}-${two(month)}-${two(date)}`);
  } catch {
    return undefined;
  }
}

/**
 * A day: `2026-10-31`, `31.10.2026`, `31 October`, `Oct 31, 2026`, `today`, `tomorrow`. Where the year is
 * left out, it is the next such day, or one that is hardly over.
 *
 * @returns the day in ISO 8601, or what is wrong with it
 */
export function readDay(text: string, { today, from, to }: DayRange): Typed<string> {
  const typed = text.trim().replace(/\s+/g, ' ');
  const word = /^(today|tomorrow|yesterday)$/i.exec(typed)?.[1]?.toLowerCase();
  const parts = word === undefined ? partsOfDay(typed) : undefined;
  if (parts === 'ambiguous') return { problem: 'with the month as a word: it could be two days' };
  let day =
    word === 'today' ? today : word === 'tomorrow' ? today + 1 : word === 'yesterday' ? today - 1 : undefined;
  if (parts) {
    const [year, month, date] = parts;
    const thisYear = yearOf(today);
    const years =
      year === undefined
        ? [thisYear - 1, thisYear, thisYear + 1, thisYear + 2, thisYear + 3, thisYear + 4]
        : [year];
    day = years
      .map((one) => dayIn(one, month, date))
      .find((one) => one !== undefined && (year !== undefined || one >= today - JUST_BEFORE));
    // There is no 31 February, in whatever year.
    if (day === undefined) return { problem: 'a day that the calendar has' };
  }
  if (day === undefined) return { problem: 'a day like 31 October 2026, 31.10.2026 or 2026-10-31' };
  return day < from || day > to
    ? { problem: `a day from ${isoOf(from)} to ${isoOf(to)}` }
    : { value: isoOf(day) };
}

/** Days that a plan can be made for: from so many years back to so many ahead, counted in whole years. */
export const yearsAround = (today: Day, back: number, ahead: number): DayRange => ({
  today,
  from: newYear(yearOf(today) - back),
  to: newYear(yearOf(today) + ahead + 1) - 1,
});

/**
 * A time of the day: `8`, `8:30`, `08.30`, `17`, `5 pm`, `17h30`, `noon`.
 *
 * @returns it as `08:30`, or what is wrong with it
 */
export function readTime(text: string): Typed<string> {
  const typed = text.trim().toLowerCase();
  if (typed === 'noon') return { value: '12:00' };
  const read = /^(\d{1,2})(?:(?:[:.h]| ?uhr ?)(\d{2})?)? ?(am|pm|a\.m\.|p\.m\.|h|uhr|o’clock|o'clock)?$/.exec(
    typed,
  );
  const [hour, minute] = [Number(read?.[1] ?? Number.NaN), Number(read?.[2] ?? 0)];
  const half = read?.[3]?.startsWith('p') ? 'pm' : read?.[3]?.startsWith('a') ? 'am' : undefined;
  const hours =
    half === undefined ? hour : hour < 1 || hour > 12 ? Number.NaN : (hour % 12) + (half === 'pm' ? 12 : 0);
  return hours >= 0 && hours <= 23 && minute <= 59
    ? { value: `${two(hours)}:${two(minute)}` }
    : { problem: 'a time like 8:30, 17 or 5 pm' };
}
