import { StyleSheet } from 'react-native';
import { space, stroke, colour, corner } from '../../components';

/** How a sheet looks. */

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  // Paper is white, whatever the screen is.
  sheet: {
    gap: space.m,
    padding: space.l,
    backgroundColor: '#FFFFFF',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
  },
  part: { gap: 2 },
  ink: { color: '#14201B' },
  start: { alignSelf: 'flex-start' },
});
