import { StyleSheet } from 'react-native';
import { space, colour, corner } from '../../components';
import { t } from '../../text/en/making';
import { numberWord } from '../../text/names';

/** How a batch looks. */

export function daysWords(days: number): string {
  if (days >= 700) return t.years(Math.round(days / 365));
  if (days >= 330) return t.aYear;
  if (days >= 60) return t.months(Math.round(days / 30));
  if (days >= 14 && days % 7 === 0) return t.weeks(numberWord(days / 7));
  return days === 1 ? t.aDay : t.daysLong(days);
}

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  held: { gap: space.s, padding: space.m, backgroundColor: colour.leave, borderRadius: corner },
  onDark: { backgroundColor: colour.ground, alignSelf: 'flex-start' },
  start: { alignSelf: 'flex-start' },
});
