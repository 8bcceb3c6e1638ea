import { StyleSheet } from 'react-native';
import { space } from '../../components';

/** How these questions look. */

export const styles = StyleSheet.create({
  block: { gap: space.s },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
