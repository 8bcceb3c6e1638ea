import { StyleSheet } from 'react-native';
import { space, TARGET, colour, stroke, corner, font, typeSize } from '../../components';
import { HEADING } from './answers/fit';

/** How the card of a question looks. */

export const styles = StyleSheet.create({
  card: { gap: space.s + 2 },
  fitted: { gap: space.s },
  head: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: TARGET },
  fittedQuestion: {
    flex: 1,
    fontSize: typeSize(HEADING.size),
    lineHeight: typeSize(HEADING.line),
    letterSpacing: -0.2,
  },
  effort: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.s },
  howFramed: {
    minWidth: 62,
    alignItems: 'center',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
  },
  howOpen: { backgroundColor: colour.shade },
  meta: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    minHeight: TARGET,
    marginVertical: -space.s,
  },
  grow: { flex: 1 },
  how: { minHeight: TARGET, justifyContent: 'center' },
  underlined: { textDecorationLine: 'underline' },
  again: {
    borderLeftWidth: 5,
    borderLeftColor: colour.ink,
    backgroundColor: colour.pause,
    padding: space.m,
    gap: space.xs,
  },
  sureness: {
    flexDirection: 'row',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    overflow: 'hidden',
  },
  sure: { flex: 1, minHeight: TARGET, alignItems: 'center', justifyContent: 'center' },
  sureNext: { borderLeftWidth: stroke.thin, borderLeftColor: colour.ink },
  sureChosen: { backgroundColor: colour.ink },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s + 2 },
  way: { flexGrow: 1, paddingHorizontal: space.s },
  more: { alignSelf: 'flex-start', minHeight: TARGET },
  note: {
    minHeight: 76,
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
