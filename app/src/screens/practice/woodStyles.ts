import { StyleSheet } from 'react-native';
import { space, stroke, colour, TARGET } from '../../components';

/** How the wood looks. */

export const styles = StyleSheet.create({
  strip: {
    flexDirection: 'row',
    gap: space.s,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
    backgroundColor: colour.ground,
    justifyContent: 'center',
  },
  way: { flex: 1, maxWidth: 360, minHeight: 56, paddingHorizontal: space.s },
  afar: { flexDirection: 'row', gap: space.l, alignItems: 'center' },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  scientific: { fontStyle: 'italic' },
  block: { gap: space.s },
  column: { gap: space.l },
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  choice: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: TARGET },
  pressed: { opacity: 0.7 },
  band: { padding: space.l, gap: space.xs },
  bad: { backgroundColor: colour.leave },
  good: { backgroundColor: colour.collect },
  even: { backgroundColor: colour.pause },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 48, paddingVertical: space.xs },
  two: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, gap: space.xs },
  rightHalf: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
});
