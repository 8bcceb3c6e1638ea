import { StyleSheet } from 'react-native';
import { colour, space, typeSize, stroke } from '../../../components';

/** How naming looks. */

export const styles = StyleSheet.create({
  panes: { flex: 1, flexDirection: 'row', minHeight: 0 },
  pane: { flex: 1 },
  second: { borderLeftWidth: 1, borderLeftColor: colour.line },
  paneContent: { padding: space.l, paddingBottom: space.xl, gap: space.m },
  block: { gap: space.s },
  candidate: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.m,
    minHeight: 80,
    paddingVertical: space.s,
  },
  plate: { width: 62, alignItems: 'center' },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(132), gap: 2 },
  ways: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.s,
    alignItems: 'center',
    paddingBottom: space.s,
  },
  start: { alignSelf: 'flex-start' },
  strip: {
    paddingHorizontal: space.l,
    paddingVertical: space.m,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
    backgroundColor: colour.pause,
    gap: 2,
  },
  briefStrip: { paddingHorizontal: space.m, paddingVertical: space.s, gap: 0 },
});
