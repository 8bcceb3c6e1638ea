import { StyleSheet } from 'react-native';
import { space, typeSize } from '../../components';

/** How practice looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  block: { gap: space.s },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  pair: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(160) },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.m,
    minHeight: 56,
    paddingVertical: space.xs,
  },
});
