import { StyleSheet } from 'react-native';
import { space, TARGET } from '../../components';

/** How places look. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl, alignItems: 'flex-start' },
  column: { gap: space.m },
  grow: { flex: 1 },
  below: { marginTop: space.s },
  line: { minHeight: TARGET + 10, flexDirection: 'row', gap: space.m, paddingVertical: space.m },
  number: { width: 28, alignItems: 'center' },
  first: { flexDirection: 'row', gap: space.m, alignItems: 'baseline' },
  chosen: { flex: 1, textDecorationLine: 'underline' },
  add: { alignSelf: 'flex-start', marginTop: space.m },
  form: { maxWidth: 560 },
  block: { gap: space.s, marginTop: space.m },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'center' },
  seen: { flexDirection: 'row', flexWrap: 'wrap', gap: space.xs },
});
