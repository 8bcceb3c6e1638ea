import { StyleSheet } from 'react-native';
import type { Sureness } from '@pause/core';
import type { PracticeAnswer } from '@pause/core/practice';
import { space, colour, typeSize, stroke, corner } from '../../components';

/** How a drill looks. */

export interface DrillAnswer {
  readonly right: boolean;
  /** Where the drill itself tells it. */
  readonly sureness?: Sureness;
  readonly look?: PracticeAnswer['look'];
}

export const styles = StyleSheet.create({
  card: { gap: space.m },
  result: { padding: space.m, gap: 2 },
  right: { backgroundColor: colour.collect },
  wrong: { backgroundColor: colour.pause },
  options: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  picture: {
    flexGrow: 1,
    flexBasis: typeSize(140),
    minHeight: 120,
    padding: space.s,
    gap: space.xs,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  third: { flexBasis: typeSize(96) },
  chosen: { borderColor: colour.collect, borderWidth: stroke.thick },
  swatch: {
    alignSelf: 'stretch',
    height: 84,
    borderRadius: corner,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
  two: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, gap: space.xs, alignItems: 'center' },
  tiles: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  tile: {
    flexGrow: 1,
    flexBasis: typeSize(96),
    padding: space.s,
    gap: space.xs,
    alignItems: 'center',
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  marked: { borderColor: colour.ink, borderWidth: stroke.thick },
  stray: { backgroundColor: colour.pause },
  stripes: {
    flexDirection: 'row',
    height: 96,
    borderRadius: corner,
    overflow: 'hidden',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
  stripe: { flex: 1 },
});
