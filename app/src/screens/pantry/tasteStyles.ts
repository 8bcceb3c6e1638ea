import { StyleSheet } from 'react-native';
import { space, colour, corner, stroke } from '../../components';

/** How a taste looks. */

export const styles = StyleSheet.create({
  block: { gap: space.s },
  stop: { gap: space.s, padding: space.m, backgroundColor: colour.leave, borderRadius: corner },
  onDark: { backgroundColor: colour.ground, alignSelf: 'flex-start' },
  wait: {
    gap: space.xs,
    padding: space.m,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  start: { alignSelf: 'flex-start' },
});
