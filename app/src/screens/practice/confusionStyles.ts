import { StyleSheet } from 'react-native';
import { space } from '../../components';

/** How the picture looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  block: { gap: space.s },
  grow: { flex: 1 },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 48, paddingVertical: space.xs },
});
