import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { format } from 'date-fns/format';

/** A day as people say it, seen from `today`: "today, 09:20", "yesterday, 07:05", "11 September". */
export function dayWords(day: Date, today: Date): string {
  const ago = differenceInCalendarDays(today, day);
  if (ago === 0) return `today, ${format(day, 'HH:mm')}`;
  if (ago === 1) return `yesterday, ${format(day, 'HH:mm')}`;
  return format(day, day.getFullYear() === today.getFullYear() ? 'd MMMM' : 'd MMMM yyyy');
}

export function momentWords(day: Date): string {
  return format(day, 'd MMMM yyyy, HH:mm');
}
