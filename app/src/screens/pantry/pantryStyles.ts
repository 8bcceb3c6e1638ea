import { StyleSheet } from 'react-native';
import { space } from '../../components';

/** How the pantry looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.m, rowGap: space.s },
  start: { alignSelf: 'flex-start' },
});
