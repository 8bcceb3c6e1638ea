import { t } from './en/names';
import { t as units } from './en/units';

/** Spans of hours as people say them. */

export const hoursWords = (hours: number) => (hours === 1 ? t.anHour : many(...lasting(hours)));
const TIME = { hour: units.hours, day: units.days, week: units.weeks } as const;
const many = (amount: number, unit: keyof typeof TIME) => TIME[unit](amount);
const MOST_DAYS = 30;
/**
 * Hours up to two days, days up to a month, weeks beyond.
 *
 * @param inDays written in days even where hours would do
 */
function lasting(
  hours: number,
  inDays = hours >= 48,
): readonly [amount: number, unit: 'hour' | 'day' | 'week'] {
  if (!inDays) return [hours, 'hour'];
  return hours <= MOST_DAYS * 24 ? [Math.round(hours / 24), 'day'] : [Math.round(hours / (7 * 24)), 'week'];
}
/** "6 to 24 hours", "12 hours to 2 days", "2 to 21 days", "1 day to 12 weeks". */
export function spanOfHours([from, to]: readonly [number, number]): string {
  const [least, unitOfLeast] = lasting(from, from >= 24);
  const [most, unitOfMost] = lasting(to, from >= 24 || to >= 48);
  return unitOfLeast === unitOfMost
    ? t.spanOfOneUnit(least, many(most, unitOfMost))
    : t.spanOfTimes(many(least, unitOfLeast), many(most, unitOfMost));
}
