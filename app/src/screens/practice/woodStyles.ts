import { StyleSheet } from 'react-native';
import { space, stroke, colour, TARGET, typeSize } from '../../components';

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
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  scientific: { fontStyle: 'italic' },
  block: { gap: space.s },
  column: { gap: space.l },
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  lenses: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  covered: { width: typeSize(106) },
  choice: { alignItems: 'center', gap: space.xs, minHeight: TARGET, paddingVertical: space.xs },
  glass: {
    width: typeSize(72),
    height: typeSize(72),
    borderRadius: typeSize(36),
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    backgroundColor: colour.shade,
    alignItems: 'center',
    justifyContent: 'center',
  },
  centred: { textAlign: 'center' },
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
