import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import type { FindRecord } from '@pause/core';
import type { Evaluation } from '../../evaluate/evaluate';
import { characterName, commonName, lowerFirst, numberWord, upper } from '../../words/names';
import { Body, Button, colour, Heading, Small, space } from '../../ui';

/** Which taxon or mark the plan cannot get past. */
function standsInTheWay({ plan }: Evaluation): string {
  if (plan.feasible) return '';
  const said = plan.obstacles.flatMap((o) => (
    o.code === 'cannot-bar' ? [`${commonName(o.taxon)} cannot be ruled out`] : o.code === 'mark-unseen' ? [`${lowerFirst(characterName(o.character))} cannot be seen`] : []
  ));
  return said.length > 0 ? `: ${said.join(', ')}` : '';
}

/** Where no check is left: why, and the way to the verdict. */
export function NothingToAsk({ record, evaluation }: { readonly record: FindRecord; readonly evaluation: Evaluation }) {
  const router = useRouter();
  const { outcome } = evaluation.verdict;
  const text = outcome === 'collect' ? 'Every bar is filled and the target holds. Read the reasons, then decide.'
    : outcome === 'leave' ? 'Nothing more needs to be looked at. The reasons are on the next page.'
    : `At this stage the guide knows no further look that would settle it${standsInTheWay(evaluation)}. Walking away costs nothing.`;
  return (
    <View style={styles.next}>
      <Heading>Nothing more to ask</Heading>
      <Body soft>{text}</Body>
      <Button label="See the verdict" onPress={() => router.push({ pathname: '/find/[id]/verdict', params: { id: record.id } })} />
    </View>
  );
}

/** What about place and plant has not been told, and the way there. */
export function MissingAround({ record, evaluation }: { readonly record: FindRecord; readonly evaluation: Evaluation }) {
  const router = useRouter();
  const missing = evaluation.verdict.reasons.filter((r) => r.code === 'context-missing' || r.code === 'not-traced').length;
  if (missing === 0) return null;
  return (
    <View style={styles.missing}>
      <Small style={styles.grow}>
        {missing === 1 ? 'One thing' : `${upper(numberWord(missing))} things`} about place and plant {missing === 1 ? 'is' : 'are'} not told.
      </Small>
      <Button label="Tell" tone="outline" onPress={() => router.push({ pathname: '/find/[id]/around', params: { id: record.id } })} />
    </View>
  );
}

const styles = StyleSheet.create({
  next: { gap: space.m },
  missing: { flexDirection: 'row', alignItems: 'center', gap: space.m, borderTopWidth: 1, borderTopColor: colour.line, paddingTop: space.m },
  grow: { flex: 1 },
});
