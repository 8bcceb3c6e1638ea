import { StyleSheet } from 'react-native';
import { space, corner, colour, stroke, TARGET } from '../../components';

/** How sorting looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  block: { gap: space.s },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  state: { gap: space.xs, padding: space.m, borderRadius: corner },
  hold: { backgroundColor: colour.leave },
  open: { backgroundColor: colour.pause },
  done: { borderWidth: stroke.medium, borderColor: colour.ink, backgroundColor: colour.card },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  big: {
    flex: 1,
    minWidth: 140,
    minHeight: 84,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: corner,
    borderWidth: stroke.thick,
    borderColor: colour.ink,
    backgroundColor: colour.card,
  },
  dark: { backgroundColor: colour.ink },
  pressed: { opacity: 0.7 },
  line: { minHeight: TARGET, flexDirection: 'row', alignItems: 'center', gap: space.m },
});
