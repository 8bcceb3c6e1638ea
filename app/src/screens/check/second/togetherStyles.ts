import { StyleSheet } from 'react-native';
import { space, colour, stroke } from '../../../components';

/** How two looks beside each other look. */

export const styles = StyleSheet.create({
  differ: { gap: space.s, padding: space.m, backgroundColor: colour.pause },
  pair: { gap: space.s, paddingVertical: space.m },
  loud: { borderLeftWidth: stroke.thick + 2, borderLeftColor: colour.ink, paddingLeft: space.m },
  head: { flexDirection: 'row', gap: space.s, alignItems: 'center' },
  sides: { flexDirection: 'row', gap: space.m },
  side: { flex: 1, gap: 2 },
  grow: { flex: 1 },
  block: { gap: space.s },
  scale: { gap: space.xs, maxWidth: 480 },
  line: {
    height: 22,
    justifyContent: 'center',
    borderBottomWidth: stroke.thin,
    borderBottomColor: colour.ink,
  },
  range: { position: 'absolute', height: 10, backgroundColor: colour.line, bottom: 0 },
  mark: { position: 'absolute', width: stroke.thick, height: 20, backgroundColor: colour.ink, bottom: 0 },
  ends: { flexDirection: 'row', justifyContent: 'space-between' },
  start: { alignSelf: 'flex-start' },
});
