import { StyleSheet } from 'react-native';
import { space, typeSize, corner, stroke, colour, TARGET } from '../../components';

/** How a new find looks. */

/** What is chosen by its drawing. */
const card = {
  flexGrow: 1,
  flexBasis: typeSize(92),
  alignItems: 'center',
  gap: 2,
  padding: space.xs,
  borderRadius: corner,
  borderWidth: stroke.thin,
  borderColor: colour.line,
  backgroundColor: colour.card,
} as const;

export const styles = StyleSheet.create({
  plans: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  before: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  quick: { ...card, maxWidth: typeSize(132) },
  quickName: { textAlign: 'center' },
  plan: { ...card, maxWidth: typeSize(124), minHeight: 96, justifyContent: 'center' },
  planWide: { flexBasis: typeSize(124) },
  planName: { textAlign: 'center' },
  chosen: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  chosenPlan: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.m },
  planChosen: { borderColor: colour.ink, borderWidth: stroke.thick },
  field: { gap: space.s },
  unnamed: { alignSelf: 'flex-start' },
  taxon: {
    minHeight: TARGET + 12,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingVertical: space.s,
  },
  pressed: { opacity: 0.6 },
  grow: { flex: 1 },
  scientific: { fontStyle: 'italic' },
});
