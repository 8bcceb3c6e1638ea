import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { type Case, type FindRecord, looksAreDone } from '@pause/core';
import { Body, Button, colour, Heading, Small, space, stroke, Stack } from '../../components';
import type { Evaluation } from '../../deciding/evaluate';
import { t } from '../../text/en/check';
import { t as digging } from '../../text/en/digging';
import { characterName, commonName, lowerFirst, numberWord, upper } from '../../text/names';
import { StillOpen } from './Around';
import { DigFirst } from './DigFirst';
import { wouldDigHelp } from './digging';
import { WarnOthers } from './late';
import { useEatersQuestion } from './useHousehold';

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
  const router = useRouter();
  const { outcome } = evaluation.verdict;
  const open = useOpen(record, evaluation);
  const rootHelps = useMemo(() => outcome === 'pause' && wouldDigHelp(find), [find, outcome]);
  const isSeen = outcome === 'collect' || looksAreDone(evaluation.verdict);
  if (open > 0 && isSeen)
    return (
      <Stack gap="m">
        <Heading>{t.stillOpen}</Heading>
        <Body soft>{t.theRestIsOpen}</Body>
        <StillOpen record={record} target={find.target} />
      </Stack>
    );
  if (evaluation.verdict.reasons.some(({ code }) => code === 'not-wanted'))
    return <WarnOthers record={record} verdict={evaluation.verdict} />;
  const text =
    outcome === 'collect'
      ? t.everyBarIsFilledAnd
      : outcome === 'leave'
        ? t.nothingMoreNeedsToBe
        : isSeen
          ? t.theLooksAreDone
          : t.atThisStageTheGuideKnows(standsInTheWay(evaluation));
  return (
    <Stack gap="m">
      <Heading>{t.nothingMoreToAsk}</Heading>
      <Body soft>{text}</Body>
      {rootHelps ? (
        <View style={styles.dig}>
          <Body>{digging.itsRootWouldTellMore}</Body>
          <DigFirst record={record} />
        </View>
      ) : null}
      <Button
        label={t.seeTheVerdict}
        onPress={() => router.push({ pathname: '/find/[id]/verdict', params: { id: record.id } })}
      />
    </Stack>
  );
}

/** How many things about place, plant and eaters are still to be answered. */
function useOpen(record: FindRecord, { verdict }: Evaluation): number {
  const eaters = useEatersQuestion(record, record.targets.at(-1)?.taxon ?? '');
  const missing = verdict.reasons.filter((r) => r.code === 'context-missing' || r.code === 'not-traced');
  return missing.length + (eaters.open ? 1 : 0);
}

/** What about place, plant and eaters has not been answered, and the way there. */
export function MissingAround({
  record,
  evaluation,
}: {
  readonly record: FindRecord;
  readonly evaluation: Evaluation;
}) {
  const router = useRouter();
  const open = useOpen(record, evaluation);
  if (open === 0) return null;
  return (
    <View style={styles.missing}>
      <Small style={styles.grow}>{t.thingsAboutPlaceAndPlant(open, upper(numberWord(open)))}</Small>
      <Button
        label={t.tell}
        tone="outline"
        onPress={() => router.push({ pathname: '/find/[id]/around', params: { id: record.id, open: '1' } })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  dig: { gap: space.s, paddingLeft: space.m, borderLeftWidth: stroke.thick, borderLeftColor: colour.ink },
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
