import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View, TextInput } from 'react-native';
import { type FindRecord, type Verdict, type Choice, sameValue } from '@pause/core';
import { Heading, Body, Strong, colour, Button, Small } from '../../../components';
import { guide } from '../../../deciding/guide';
import { recordDecision, recordVerdict } from '../../../notebook/actions';
import { useAct, useApp } from '../../../notebook/store';
import { OUTCOME } from '../../../text/names';
import { HoldButton } from './HoldButton';
import { styles } from './verdictStyles';

/** What a person decides after a verdict. */

export function OwnDecision({ record, verdict }: { readonly record: FindRecord; readonly verdict: Verdict }) {
  const act = useAct();
  const router = useRouter();
  const [reason, setReason] = useState('');
  const [against, setAgainst] = useState(false);
  const [deciding, setDeciding] = useState(false);
  const me = useApp((state) => state.me.person?.id ?? '');
  const decide = (choice: Choice) => {
    const word = choice === 'collect' && child ? `An adult, ${adult.trim()}, looked at it.` : '';
    const why = [word, reason.trim()].filter(Boolean).join(' ') || undefined;
    const toFind = () => router.replace({ pathname: '/find/[id]', params: { id: record.id } });
    // The same decision on the same verdict, held twice, is one decision.
    const before = record.decisions.at(-1);
    if (before?.verdict === shown && before?.by === me && before.choice === choice && before.reason === why)
      return toFind();
    setDeciding(true);
    return void act(
      recordDecision(record.id, verdict, choice, why, young && agreed ? shown : undefined),
    ).then((kept) => (kept ? toFind() : setDeciding(false)));
  };
  const collects = verdict.outcome === 'collect';
  const child = useApp((state) => state.look.child);
  const [adult, setAdult] = useState('');
  // A young member of a group decides on the verdict that an adult agreed to.
  const young = useApp(
    (state) => state.me.person?.groups.find((one) => one.id === record.group)?.role === 'young',
  );
  const last = record.verdicts.at(-1);
  const shown = last && sameValue(last.verdict, verdict) ? last.id : undefined;
  const agreed = record.consents.some((c) => c.verdict === shown);
  const waits = (child && adult.trim() === '') || (young && !agreed);
  const reasonMissing = !collects && reason.trim() === '';
  return (
    <View style={styles.group}>
      <Heading>What you do</Heading>
      <Body soft>Pause keeps the record; the person decides. Leaving costs nothing.</Body>
      {collects && child ? (
        <View style={styles.group}>
          <Strong>Show it to an adult. Their word is needed here.</Strong>
          <TextInput
            aria-label="Name of the adult who looked at it"
            value={adult}
            onChangeText={setAdult}
            maxLength={80}
            placeholder="Who looked at it?"
            placeholderTextColor={colour.inkSoft}
            style={[styles.why, styles.oneLine]}
          />
        </View>
      ) : null}
      {collects && young && !agreed ? (
        <View style={styles.group}>
          <Strong>
            {shown
              ? 'An adult of the group has been asked. Until they agree it waits.'
              : 'Collecting waits for an adult of the group.'}
          </Strong>
          {shown ? null : (
            <Button
              label="Ask the adults of the group"
              tone="outline"
              style={styles.start}
              onPress={() => void act(recordVerdict(record.id, verdict))}
            />
          )}
        </View>
      ) : null}
      {collects ? (
        <HoldButton
          label="I collect it"
          hint={waits ? 'An adult says so first' : 'Hold to record'}
          tone="collect"
          disabled={waits || deciding}
          onHeld={() => decide('collect')}
        />
      ) : null}
      {collects ? (
        <Button
          label="Check the rest of the patch"
          tone="outline"
          onPress={() => router.push({ pathname: '/find/[id]/pieces', params: { id: record.id } })}
        />
      ) : null}
      <HoldButton
        label="I leave it"
        hint="Hold to record"
        tone={collects ? 'outline' : 'ink'}
        disabled={deciding}
        onHeld={() => decide('leave')}
      />
      <HoldButton
        label="I come back later"
        hint="Hold to record"
        tone="outline"
        disabled={deciding}
        onHeld={() => decide('later')}
      />
      {collects || !guide.taxon(verdict.target)?.taxon.parts.length ? null : against ? (
        <View style={styles.group}>
          <Strong>It was collected all the same</Strong>
          <Body soft>This is kept as what happened, and marks everything that comes of it.</Body>
          <TextInput
            aria-label="Why was it collected against the verdict?"
            value={reason}
            onChangeText={setReason}
            maxLength={500}
            multiline
            placeholder="Why?"
            placeholderTextColor={colour.inkSoft}
            style={styles.why}
          />
          {reasonMissing ? <Small soft>Give the reason first.</Small> : null}
          <HoldButton
            label={`Collected against “${OUTCOME[verdict.outcome].toLowerCase()}”`}
            hint="Hold to record"
            tone="outline"
            disabled={reasonMissing || deciding}
            onHeld={() => decide('collect')}
          />
        </View>
      ) : (
        <Button
          label="It was collected all the same"
          tone="plain"
          onPress={() => setAgainst(true)}
          style={styles.start}
        />
      )}
    </View>
  );
}
