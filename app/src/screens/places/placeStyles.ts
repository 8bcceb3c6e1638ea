import { StyleSheet } from 'react-native';
import { space, colour, stroke } from '../../components';

/** How a place looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  danger: {
    gap: space.xs,
    padding: space.m,
    backgroundColor: colour.card,
    borderLeftWidth: stroke.thick * 2,
    borderLeftColor: colour.ink,
  },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  line: { gap: space.xs, paddingTop: space.m },
  first: { flexDirection: 'row', gap: space.m, alignItems: 'baseline' },
  seen: { paddingVertical: space.s },
  start: { alignSelf: 'flex-start' },
});
