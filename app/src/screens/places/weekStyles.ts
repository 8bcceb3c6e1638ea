import { StyleSheet } from 'react-native';
import { space, TARGET } from '../../components';

/** How a week looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  block: { gap: space.xs },
  grow: { flex: 1 },
  line: { minHeight: TARGET, gap: space.xs, paddingVertical: space.m },
  first: { flexDirection: 'row', gap: space.m, alignItems: 'baseline' },
  start: { alignSelf: 'flex-start' },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
});
