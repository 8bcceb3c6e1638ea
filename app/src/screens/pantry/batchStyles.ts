import { StyleSheet } from 'react-native';
import { space, colour, corner } from '../../components';
import { numberWord } from '../../text/names';

/** How a batch looks. */

export function daysWords(days: number): string {
  if (days >= 700) return `${Math.round(days / 365)} years`;
  if (days >= 330) return 'a year';
  if (days >= 60) return `${Math.round(days / 30)} months`;
  if (days >= 14 && days % 7 === 0) return `${numberWord(days / 7)} weeks`;
  return days === 1 ? 'a day' : `${days} days`;
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
