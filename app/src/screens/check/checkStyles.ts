import { StyleSheet } from 'react-native';
import { space, colour, TARGET, stroke } from '../../components';

/** How the check looks. */

/** Around what is fitted into a phone's screen, in CSS pixels. */
export const PHONE_SIDE = 10;
export const PHONE_TOP = 6;

export const styles = StyleSheet.create({
  phone: { paddingHorizontal: space.l, paddingTop: space.s, paddingBottom: space.xl, gap: space.m },
  fill: { flex: 1 },
  fitted: { paddingHorizontal: PHONE_SIDE, paddingTop: PHONE_TOP, paddingBottom: space.xl, gap: space.m },
  panes: { flex: 1, flexDirection: 'row', minHeight: 0 },
  // By its parts: what scrolls has a share of its own, which `flex` as a whole would not replace.
  pane: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  second: { flexGrow: 1.1, borderLeftWidth: 1, borderColor: colour.line },
  middle: { flexGrow: 1.15, borderLeftWidth: 1, borderRightWidth: 1, borderColor: colour.line },
  widePane: { flexGrow: 1.6 },
  paneContent: { padding: space.l + 4, gap: space.m },
  urgent: { marginTop: space.l, gap: space.s },
  header: { flexDirection: 'row', gap: space.m, alignItems: 'flex-end' },
  scientific: { fontStyle: 'italic' },
  topLink: { minHeight: TARGET, justifyContent: 'center' },
  bleed: { marginHorizontal: -space.l, marginTop: space.xs },
  underlined: { textDecorationLine: 'underline' },
  next: { gap: space.m },
  last: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    borderLeftWidth: stroke.thick,
    borderLeftColor: colour.ink,
    paddingLeft: space.m,
  },
  grow: { flex: 1 },
});
