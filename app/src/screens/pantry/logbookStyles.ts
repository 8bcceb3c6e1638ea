import { StyleSheet } from 'react-native';
import { space, typeSize } from '../../components';

/** How the logbook looks. */

export const HEIGHT = 130;

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.m },
  numbers: { flexDirection: 'row', flexWrap: 'wrap', rowGap: space.m },
  number: { flexGrow: 1, flexBasis: typeSize(104) },
  chart: { height: HEIGHT },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
