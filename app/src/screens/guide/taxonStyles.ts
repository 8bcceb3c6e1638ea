import { StyleSheet } from 'react-native';
import { space, colour, TARGET, stroke, typeSize } from '../../components';

/** How a taxon looks. */

export const styles = StyleSheet.create({
  page: { padding: space.l, paddingBottom: space.xl },
  sheet: { gap: space.xl, width: '100%', maxWidth: 960, alignSelf: 'center' },
  top: { gap: space.m },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: space.s },
  block: { gap: space.s },
  scientific: { fontStyle: 'italic' },
  grade: {
    backgroundColor: colour.leave,
    alignSelf: 'flex-start',
    paddingHorizontal: space.m,
    paddingVertical: space.xs,
  },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, paddingTop: space.s },
  harm: { borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  other: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET,
    paddingVertical: space.s,
  },
  underlined: { textDecorationLine: 'underline' },
  use: { borderLeftWidth: stroke.thick, borderLeftColor: colour.line, paddingLeft: space.m },
  columns: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.m },
  column: { width: '47%' },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.s, paddingVertical: space.xs },
  glyph: { width: 22 },
  name: { width: typeSize(116) },
  about: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(160) },
  value: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(150) },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
