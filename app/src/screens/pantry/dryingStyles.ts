import { StyleSheet } from 'react-native';
import { space } from '../../components';

/** How drying looks. */

export const HEIGHT = 150;

export const styles = StyleSheet.create({
  block: { gap: space.s },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  low: { marginTop: 24 },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  chart: { height: HEIGHT },
});
