import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Case, FindRecord } from '@pause/core';
import { Body, Button, colour, Heading, Small, space, stroke, Stack } from '../../components';
import type { Evaluation } from '../../deciding/evaluate';
import { changeContext } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/check';
import { characterName, commonName, lowerFirst, numberWord, upper } from '../../text/names';
import { MAY_DIG, MAY_DIG_HINT, wouldDigHelp } from './digging';

/** Which taxon or mark the plan cannot get past. */
function standsInTheWay({ plan }: Evaluation): string {
  if (plan.feasible) return '';
  const obstacles = plan.obstacles.flatMap((o) =>
    o.code === 'cannot-bar'
      ? [t.cannotBeRuledOut(commonName(o.taxon))]
      : o.code === 'mark-unseen'
        ? [t.cannotBeSeen(lowerFirst(characterName(o.character)))]
        : [],
  );
  return obstacles.length > 0 ? `: ${obstacles.join(', ')}` : '';
}

/** Where no check is left: why, and the way to the verdict. */
export function NothingToAsk({
  record,
  find,
  evaluation,
}: {
  readonly record: FindRecord;
  readonly find: Case;
  readonly evaluation: Evaluation;
}) {
  const act = useAct();
  const router = useRouter();
  const { outcome } = evaluation.verdict;
  const rootHelps = useMemo(() => outcome === 'pause' && wouldDigHelp(find), [find, outcome]);
  const text =
    outcome === 'collect'
      ? t.everyBarIsFilledAnd
      : outcome === 'leave'
        ? t.nothingMoreNeedsToBe
        : t.atThisStageTheGuideKnows(standsInTheWay(evaluation));
  return (
    <Stack gap="m">
      <Heading>{t.nothingMoreToAsk}</Heading>
      <Body soft>{text}</Body>
      {rootHelps ? (
        <View style={styles.dig}>
          <Body>{t.itsRootWouldTellMore(MAY_DIG, MAY_DIG_HINT)}</Body>
          <Button
            label={t.yesOneMayBeDug}
            tone="outline"
            style={styles.start}
            onPress={() => void act(changeContext(record.id, { mayDig: true }))}
          />
        </View>
      ) : null}
      <Button
        label={t.seeTheVerdict}
        onPress={() => router.push({ pathname: '/find/[id]/verdict', params: { id: record.id } })}
      />
    </Stack>
  );
}

/** What about place and plant has not been recorded, and the way there. */
export function MissingAround({
  record,
  evaluation,
}: {
  readonly record: FindRecord;
  readonly evaluation: Evaluation;
}) {
  const router = useRouter();
  const missing = evaluation.verdict.reasons.filter(
    (r) => r.code === 'context-missing' || r.code === 'not-traced',
  ).length;
  if (missing === 0) return null;
  return (
    <View style={styles.missing}>
      <Small style={styles.grow}>{t.thingsAboutPlaceAndPlant(missing, upper(numberWord(missing)))}</Small>
      <Button
        label={t.tell}
        tone="outline"
        onPress={() => router.push({ pathname: '/find/[id]/around', params: { id: record.id } })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  dig: { gap: space.s, paddingLeft: space.m, borderLeftWidth: stroke.thick, borderLeftColor: colour.ink },
  start: { alignSelf: 'flex-start' },
  missing: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    borderTopWidth: 1,
    borderTopColor: colour.line,
    paddingTop: space.m,
  },
  grow: { flex: 1 },
});
