import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { t } from './en/names';

/**
 * Day and month names and their order as the device's language has them. Making one takes long, so it is made
 * when the first day is written.
 */
export const formatBy = (parts: Intl.DateTimeFormatOptions) => {
  let made: Intl.DateTimeFormat | undefined;
  return (day: Date): string => (made ??= new Intl.DateTimeFormat(undefined, parts)).format(day);
};
const time = formatBy({ hour: 'numeric', minute: '2-digit' });
const dayOfYear = formatBy({ day: 'numeric', month: 'long' });
const dayAndYear = formatBy({ day: 'numeric', month: 'long', year: 'numeric' });

/** A day as people say it, seen from `today`: "today, 09:20", "yesterday, 07:05", "11 September". */
export function dayWords(day: Date, today: Date): string {
  const ago = differenceInCalendarDays(today, day);
  if (ago === 0) return t.today(time(day));
  if (ago === 1) return t.yesterday(time(day));
  return (day.getFullYear() === today.getFullYear() ? dayOfYear : dayAndYear)(day);
}

export function momentWords(day: Date): string {
  return `${dayAndYear(day)}, ${time(day)}`;
}
