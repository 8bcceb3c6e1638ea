import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';

// Day and month names and their order follow the language of the device.
const TIME = new Intl.DateTimeFormat(undefined, { hour: 'numeric', minute: '2-digit' });
const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'long' });
const DAY_AND_YEAR = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'long', year: 'numeric' });

/** A day as people say it, seen from `today`: "today, 09:20", "yesterday, 07:05", "11 September". */
export function dayWords(day: Date, today: Date): string {
  const ago = differenceInCalendarDays(today, day);
  if (ago === 0) return `today, ${TIME.format(day)}`;
  if (ago === 1) return `yesterday, ${TIME.format(day)}`;
  return (day.getFullYear() === today.getFullYear() ? DAY : DAY_AND_YEAR).format(day);
}

export function momentWords(day: Date): string {
  return `${DAY_AND_YEAR.format(day)}, ${TIME.format(day)}`;
}
