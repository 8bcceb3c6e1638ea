import { StyleSheet } from 'react-native';
import { space } from '../../components';

/** How a group looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  block: { gap: space.s },
  change: { gap: space.s, paddingBottom: space.m },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  rule: { gap: space.s, paddingTop: space.m },
});
