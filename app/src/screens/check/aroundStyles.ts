import { StyleSheet } from 'react-native';
import { space, corner, stroke, colour, font, typeSize } from '../../components';

/** How the questions about the place look. */

export const styles = StyleSheet.create({
  around: { gap: space.xl },
  ask: { gap: space.s },
  stage: {
    width: '30.5%',
    maxWidth: 150,
    flexGrow: 1,
    minHeight: 150,
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: space.xs,
    padding: space.xs,
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.line,
    backgroundColor: colour.card,
  },
  stageChosen: { borderColor: colour.ink, borderWidth: stroke.thick },
  unknown: { flex: 1, justifyContent: 'center', padding: space.xs },
  centred: { textAlign: 'center' },
  height: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  input: {
    width: 110,
    minHeight: 52,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    fontFamily: font.readBold,
    fontSize: typeSize(21),
    color: colour.ink,
    paddingHorizontal: space.m,
  },
});
