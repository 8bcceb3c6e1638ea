import { StyleSheet } from 'react-native';
import { space } from '../../components';

/** How the facts of a place look. */

export const styles = StyleSheet.create({
  block: { gap: space.s },
  column: { gap: space.l, marginTop: space.m },
  field: { gap: space.xs },
  start: { alignSelf: 'flex-start' },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'center' },
});
