import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View, TextInput } from 'react-native';
import { type FindRecord, type Verdict, type Choice, sameValue } from '@pause/core';
import { Heading, Body, Strong, colour, Button, Small } from '../../../components';
import { guide } from '../../../deciding/guide';
import { recordDecision, recordVerdict } from '../../../notebook/decisions';
import { useAct, useApp } from '../../../notebook/store';
import { t } from '../../../text/en/verdict';
import { OUTCOME } from '../../../text/names';
import { HoldButton } from './HoldButton';
import { LeaveButtons } from './LeaveButtons';
import { styles } from './verdictStyles';

/** What a person decides after a verdict. */

interface OwnDecisionProps {
  readonly record: FindRecord;
  readonly verdict: Verdict;
}

/** What the person decides: kept with the verdict that it was made on. */
function useDecision({ record, verdict }: OwnDecisionProps) {
  const act = useAct();
  const router = useRouter();
  const me = useApp((state) => state.me.person?.id ?? '');
  const child = useApp((state) => state.look.child);
  // A young member of a group decides on the verdict that an adult agreed to.
  const young = useApp(
    (state) => state.me.person?.groups.find((one) => one.id === record.group)?.role === 'young',
  );
  const [reason, setReason] = useState('');
  const [adult, setAdult] = useState('');
  const [deciding, setDeciding] = useState(false);
  const last = record.verdicts.at(-1);
  const onRecord = last && sameValue(last.verdict, verdict) ? last.id : undefined;
  const agreed = record.consents.some((c) => c.verdict === onRecord);
  const decide = (choice: Choice) => {
    const word = choice === 'collect' && child ? t.anAdultLookedAtIt(adult.trim()) : '';
    const why = [word, reason.trim()].filter(Boolean).join(' ') || undefined;
    const toFind = () => router.replace({ pathname: '/find/[id]', params: { id: record.id } });
    // The same decision on the same verdict, held twice, is one decision.
    const before = record.decisions.at(-1);
    if (
      before?.verdict === onRecord &&
      before?.by === me &&
      before.choice === choice &&
      before.reason === why
    )
      return toFind();
    setDeciding(true);
    return void act(
      recordDecision(record.id, verdict, choice, why, young && agreed ? onRecord : undefined),
    ).then((kept) => (kept ? toFind() : setDeciding(false)));
  };
  return {
    collects: verdict.outcome === 'collect',
    child,
    adult,
    setAdult,
    reason,
    setReason,
    deciding,
    decide,
    onRecord,
    asksAdults: young && !agreed,
    /** An adult has to say so first. */
    waits: (child && adult.trim() === '') || (young && !agreed),
  };
}
type DecisionForm = ReturnType<typeof useDecision>;

export function OwnDecision({ record, verdict }: OwnDecisionProps) {
  const router = useRouter();
  const form = useDecision({ record, verdict });
  const { collects, waits, deciding, decide } = form;
  return (
    <View style={styles.group}>
      <Heading>{t.whatYouDo}</Heading>
      <Body soft>{t.pauseKeepsTheRecordThe}</Body>
      {collects ? (
        <>
          <Adults record={record} verdict={verdict} form={form} />
          <HoldButton
            label={t.iCollectIt}
            hint={waits ? t.anAdultSaysSoFirst : t.holdToRecord}
            tone="collect"
            disabled={waits || deciding}
            onHeld={() => decide('collect')}
          />
          <Button
            label={t.checkTheRestOfThe}
            tone="outline"
            onPress={() => router.push({ pathname: '/find/[id]/pieces', params: { id: record.id } })}
          />
        </>
      ) : null}
      <LeaveButtons first={!collects} disabled={deciding} onHeld={decide} />
      {collects || !guide.taxon(verdict.target)?.taxon.parts.length ? null : (
        <CollectedAgainst verdict={verdict} form={form} />
      )}
    </View>
  );
}

/** A child shows it to an adult; a young member of a group waits for one who agrees. */
function Adults({ record, verdict, form }: OwnDecisionProps & { readonly form: DecisionForm }) {
  const act = useAct();
  const { child, adult, setAdult, asksAdults, onRecord } = form;
  return (
    <>
      {child ? (
        <View style={styles.group}>
          <Strong>{t.showItToAnAdult}</Strong>
          <TextInput
            aria-label={t.nameOfTheAdultWho}
            value={adult}
            onChangeText={setAdult}
            maxLength={80}
            placeholder={t.whoLookedAtIt}
            placeholderTextColor={colour.inkSoft}
            style={[styles.why, styles.oneLine]}
          />
        </View>
      ) : null}
      {asksAdults ? (
        <View style={styles.group}>
          <Strong>{onRecord ? t.anAdultOfTheGroup : t.collectingWaitsForAnAdult}</Strong>
          {onRecord ? null : (
            <Button
              label={t.askTheAdultsOfThe}
              tone="outline"
              style={styles.start}
              onPress={() => void act(recordVerdict(record.id, verdict))}
            />
          )}
        </View>
      ) : null}
    </>
  );
}

/** It was collected against the verdict: kept as what it is, with a reason. */
function CollectedAgainst({ verdict, form }: { readonly verdict: Verdict; readonly form: DecisionForm }) {
  const [open, setOpen] = useState(false);
  const { reason, setReason, deciding, decide } = form;
  const reasonMissing = reason.trim() === '';
  if (!open)
    return (
      <Button
        label={t.itWasCollectedAllThe}
        tone="plain"
        onPress={() => setOpen(true)}
        style={styles.start}
      />
    );
  return (
    <View style={styles.group}>
      <Strong>{t.itWasCollectedAllThe}</Strong>
      <Body soft>{t.thisIsKeptAsWhat}</Body>
      <TextInput
        aria-label={t.whyWasItCollectedAgainst}
        value={reason}
        onChangeText={setReason}
        maxLength={500}
        multiline
        placeholder={t.why}
        placeholderTextColor={colour.inkSoft}
        style={styles.why}
      />
      {reasonMissing ? <Small soft>{t.giveTheReasonFirst}</Small> : null}
      <HoldButton
        label={t.collectedAgainst(OUTCOME[verdict.outcome].toLowerCase())}
        hint={t.holdToRecord}
        tone="outline"
        disabled={reasonMissing || deciding}
        onHeld={() => decide('collect')}
      />
    </View>
  );
}
