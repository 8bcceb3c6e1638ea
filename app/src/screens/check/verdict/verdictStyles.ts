import { StyleSheet } from 'react-native';
import { space, corner, colour, stroke, font, typeSize } from '../../../components';

/** How a verdict looks. */

export const styles = StyleSheet.create({
  band: {
    flexDirection: 'row',
    gap: space.l,
    alignItems: 'center',
    padding: space.l,
    borderRadius: corner,
    marginBottom: space.s,
  },
  pause: { backgroundColor: colour.pause },
  leave: { backgroundColor: colour.leave },
  collect: { backgroundColor: colour.collect },
  grow: { flex: 1 },
  scientific: { fontStyle: 'italic' },
  group: { gap: space.s, marginBottom: space.m },
  reason: {
    flexDirection: 'row',
    gap: space.m,
    alignItems: 'center',
    borderTopWidth: 1,
    borderTopColor: colour.line,
    paddingTop: space.s,
  },
  start: { alignSelf: 'flex-start', marginTop: space.m },
  oneLine: { minHeight: 54 },
  why: {
    minHeight: 88,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    fontFamily: font.read,
    fontSize: typeSize(17),
    color: colour.ink,
    padding: space.m,
    textAlignVertical: 'top',
  },
});
