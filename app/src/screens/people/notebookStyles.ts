import { StyleSheet } from 'react-native';
import { space, TARGET } from '../../components';

/** How the notebook looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  block: { gap: space.s },
  line: {
    minHeight: TARGET + 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingVertical: space.s,
  },
  grow: { flex: 1 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  start: { alignSelf: 'flex-start' },
});
