import { StyleSheet } from 'react-native';
import { space, colour, stroke, corner, typeSize } from '../../components';

/** How a lesson looks. */

export const styles = StyleSheet.create({
  block: { gap: space.s },
  making: { gap: space.m },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  start: { alignSelf: 'flex-start' },
  note: { borderLeftWidth: 4, borderLeftColor: colour.ink, paddingLeft: space.m },
  cards: { gap: space.l, flexDirection: 'row', flexWrap: 'wrap' },
  card: {
    gap: space.m,
    padding: space.m,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    flexGrow: 1,
    flexBasis: 320,
    maxWidth: 560,
  },
  two: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  half: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(110), gap: 2 },
  right: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
  scientific: { fontStyle: 'italic' },
  photos: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  photo: { flexBasis: 160, flexGrow: 1, maxWidth: 260, gap: 2 },
  image: { width: '100%', height: 150, borderRadius: corner },
});
