import { StyleSheet } from 'react-native';
import { space, colour, corner } from '../../components';

/** How a find looks. */

export const styles = StyleSheet.create({
  scientific: { fontStyle: 'italic' },
  now: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  collected: { gap: space.s },
  start: { alignSelf: 'flex-start' },
  grow: { flex: 1 },
  note: { gap: space.s },
  differs: {
    flexDirection: 'row',
    gap: space.m,
    alignItems: 'center',
    padding: space.m,
    backgroundColor: colour.pause,
    borderRadius: corner,
  },
  ways: { flexDirection: 'row', gap: space.m },
  way: { flex: 1 },
  decisions: { gap: space.m },
  decision: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  fact: { flexDirection: 'row', gap: space.m, paddingVertical: space.s },
  factName: { width: 130, paddingTop: 2 },
});
