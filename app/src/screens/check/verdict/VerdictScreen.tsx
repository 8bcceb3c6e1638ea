import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import {
  sameValue,
  short,
  type AskedPlan,
  type Choice,
  type FindRecord,
  type Reason,
  type Verdict,
} from '@pause/core';
import {
  Body,
  Button,
  colour,
  corner,
  font,
  Heading,
  Loading,
  OutcomeMark,
  Rule,
  Screen,
  Small,
  space,
  Strong,
  stroke,
  VerdictWord,
  typeSize,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { Uprights } from '../../../components/Uprights';
import type { Evaluation } from '../../../deciding/evaluate';
import { guide } from '../../../deciding/guide';
import { recordDecision, recordVerdict } from '../../../notebook/actions';
import { useAct, useApp } from '../../../notebook/store';
import {
  characterName,
  CommonName,
  commonName,
  DAMAGE,
  lowerFirst,
  OUTCOME,
  readingWords,
  scientificName,
  timeWords,
} from '../../../text/names';
import { aboutPart, few, reasonWords, stripLine } from '../../../text/reasons';
import { HoldButton } from './HoldButton';

export function VerdictScreen() {
  return (
    <FindFrame
      render={({ record, evaluation, current }) =>
        // A verdict that does not know the newest answer never says collect.
        evaluation && (current || evaluation.verdict.outcome !== 'collect') ? (
          <VerdictView record={record} evaluation={evaluation} />
        ) : (
          <Screen>
            <Loading what="Comparing with the guide …" />
          </Screen>
        )
      }
    />
  );
}

const PLACE = new Set([
  'place-forbidden',
  'place-contaminated',
  'protected',
  'place-doubt',
  'place-strains',
  'not-traced',
]);
/** Looks that spoke against it, even where they have not settled anything yet. */
const SPEAKS_AGAINST = new Set(['contradicted-open', 'other-piece-against', 'stage-disputed']);
/** What depends on who will eat it. */
const EATER = new Set(['not-for-eater', 'ask-for-eater']);
const aboutPlace = (reason: Reason) =>
  PLACE.has(reason.code) ||
  (reason.code === 'context-missing' &&
    ['permission', 'contamination', 'protection', 'tracedToBase'].includes(reason.field));

function VerdictView({
  record,
  evaluation: { verdict, plan },
}: {
  readonly record: FindRecord;
  readonly evaluation: Evaluation;
}) {
  const router = useRouter();
  const against = verdict.reasons.filter(
    (r) =>
      (r.weight === 'leave' || SPEAKS_AGAINST.has(r.code)) &&
      !aboutPlace(r) &&
      !aboutPart(r) &&
      !EATER.has(r.code),
  );
  const missing = verdict.reasons
    .filter(
      (r) =>
        r.weight === 'pause' &&
        !aboutPlace(r) &&
        !SPEAKS_AGAINST.has(r.code) &&
        r.code !== 'signature-missing' &&
        !EATER.has(r.code),
    )
    .sort((a, b) => Number(b.code === 'bars-short') - Number(a.code === 'bars-short'));
  // Of the dangerous ones that are no listed lookalikes, more than a few are told in one line; the check
  // shows them all.
  const unlisted = missing.flatMap((r) =>
    r.code === 'bars-short' && verdict.rows.find((row) => row.taxon === r.taxon)?.listed === false ? [r] : [],
  );
  const named =
    unlisted.length > 3 ? missing.filter((r) => !(unlisted as readonly Reason[]).includes(r)) : missing;
  const marks = verdict.reasons.flatMap((r) =>
    r.code === 'signature-missing' ? [lowerFirst(characterName(r.character))] : [],
  );
  const place = verdict.reasons.filter(aboutPlace);
  const part = verdict.reasons.filter(aboutPart);
  const notes = verdict.reasons.filter((r) => r.weight === 'note' && !aboutPlace(r));
  const toCheck = () => router.push({ pathname: '/find/[id]/check', params: { id: record.id } });
  return (
    <Screen>
      <Band verdict={verdict} />
      <Group title="Against it" reasons={against} verdict={verdict} />
      <Group
        title={against.length > 0 ? 'Also still missing' : 'Still missing'}
        reasons={named}
        verdict={verdict}
        more={[
          ...(named === missing
            ? []
            : [
                `Of the other dangerous ones of the guide ${unlisted.length} are not ruled out: ${few(unlisted.map((r) => commonName(r.taxon)))}.`,
              ]),
          ...(marks.length > 0 ? [`Its own marks, still to be seen for sure: ${marks.join('; ')}.`] : []),
        ]}
      />
      <Group title="About the part" reasons={part} verdict={verdict} />
      <Group title="About the place" reasons={place} verdict={verdict} />
      <Group
        title="About who eats it"
        reasons={verdict.reasons.filter((r) => EATER.has(r.code))}
        verdict={verdict}
      />
      <WouldChange verdict={verdict} plan={plan} />
      {verdict.outcome === 'pause' || (part.length > 0 && against.length === 0) ? (
        <Button label="Go on with the check" onPress={toCheck} />
      ) : null}
      <SeenFor record={record} verdict={verdict} />
      <LeansOn
        record={record}
        verdict={verdict}
        onAgain={() =>
          router.push({
            pathname: '/find/[id]/check',
            params: { id: record.id, again: verdict.leansOn.join(',') },
          })
        }
      />
      <Group title="What it does not cover" reasons={notes} verdict={verdict} />
      <Before verdict={verdict} record={record} />
      <Rule strong />
      <OwnDecision record={record} verdict={verdict} />
    </Screen>
  );
}

function Band({ verdict }: { readonly verdict: Verdict }) {
  const on = verdict.outcome === 'pause' ? 'light' : 'dark';
  return (
    <View style={[styles.band, styles[verdict.outcome]]} role="status">
      <OutcomeMark outcome={verdict.outcome} size={56} colour={on === 'dark' ? colour.onDark : colour.ink} />
      <View style={styles.grow}>
        <Small on={on} role="heading" aria-level={1}>
          {commonName(verdict.target)} ·{' '}
          <Small on={on} style={styles.scientific}>
            {scientificName(verdict.target)}
          </Small>
        </Small>
        <VerdictWord on={on}>{OUTCOME[verdict.outcome]}</VerdictWord>
        <Body on={on}>{stripLine(verdict)}</Body>
      </View>
    </View>
  );
}

function Group({
  title,
  reasons,
  verdict,
  more = [],
}: {
  readonly title: string;
  readonly reasons: readonly Reason[];
  readonly verdict: Verdict;
  readonly more?: readonly string[];
}) {
  if (reasons.length === 0 && more.length === 0) return null;
  return (
    <View style={styles.group}>
      <Heading>{title}</Heading>
      {reasons.map((reason) => {
        const row =
          reason.code === 'bars-short' ? verdict.rows.find((r) => r.taxon === reason.taxon) : undefined;
        return (
          <View key={JSON.stringify(reason)} style={styles.reason}>
            <Body style={styles.grow}>{reasonWords(reason, verdict)}</Body>
            {row ? <Uprights row={row} size="small" /> : null}
          </View>
        );
      })}
      {more.map((line) => (
        <View key={line} style={styles.reason}>
          <Body style={styles.grow}>{line}</Body>
        </View>
      ))}
    </View>
  );
}

/** What would have to be seen for another verdict, and how long that takes; or why nothing will do now. */
function WouldChange({ verdict, plan }: { readonly verdict: Verdict; readonly plan: AskedPlan }) {
  if (verdict.outcome === 'collect') return null;
  if (verdict.outcome === 'leave') {
    return (
      <View style={styles.group}>
        <Heading>What would change it</Heading>
        <Body>
          {verdict.reasons.some((r) => r.weight === 'leave' && r.code.startsWith('contradicted'))
            ? 'Nothing that is read on this piece. Another piece is another find’s worth of looks, and starting again is listed.'
            : verdict.reasons.some(aboutPart)
              ? 'Another part, or another stage. Looking on still shows what it is.'
              : 'Not another look: what rules it out lies in what it is, where it stands, or when.'}
        </Body>
      </View>
    );
  }
  if (!plan.feasible) {
    const said = plan.obstacles.map((o) =>
      o.code === 'cannot-bar'
        ? `${CommonName(o.taxon)} cannot be ruled out at this stage: at most ${o.most} of ${o.need} grounds.`
        : o.code === 'mark-unseen'
          ? `${characterName(o.character)}, one of its own marks, cannot be seen now.`
          : o.code === 'too-few-groups'
            ? `Only ${o.most} independent things can fit now; ${o.need} are needed.`
            : 'Everything could be filled alone, but not together.',
    );
    return (
      <View style={styles.group}>
        <Heading>What would change it</Heading>
        {said.slice(0, 5).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
        <Body soft>Another stage, or other gear. Walking away costs nothing.</Body>
      </View>
    );
  }
  if (plan.checks.length === 0) return null;
  return (
    <View style={styles.group}>
      <Heading>What would change it</Heading>
      <Body>
        {plan.checks.length === 1 ? 'One more check' : `${plan.checks.length} more checks`},{' '}
        {plan.walked
          ? 'as they will be asked if each shows what is usual'
          : 'if each shows what is usual; others may be asked first'}
        ; about {timeWords(plan.seconds)}
        {plan.gear.length > 0 ? `, with ${plan.gear.join(', ')}` : ''}.
      </Body>
      {plan.checks.map((c, at) => (
        <View key={`${at} ${c.character}`} style={styles.reason}>
          <Body style={styles.grow}>
            {characterName(c.character)}
            {c.again ? ', once more' : ''}
          </Body>
          <Small soft>
            {[timeWords(c.seconds), ...(c.damage === 'none' ? [] : [DAMAGE[c.damage]])].join(' · ')}
          </Small>
        </View>
      ))}
    </View>
  );
}

/** What speaks for it: how many independent things fit, its own marks, and what is ruled out. */
function SeenFor({ record, verdict }: { readonly record: FindRecord; readonly verdict: Verdict }) {
  const { fitGroups, groupsNeeded, signature } = verdict.holds;
  const out = verdict.rows.filter((row) => short(row) === 0);
  if (record.readings.length === 0) return null;
  return (
    <View style={styles.group}>
      <Heading>Seen for it</Heading>
      <Body>
        {fitGroups.length === 1 ? 'One independent thing fits' : `${fitGroups.length} independent things fit`}
        ; {groupsNeeded} are needed.
      </Body>
      {signature.length > 0 ? (
        <Body>
          Its own marks:{' '}
          {signature
            .map((mark) => `${lowerFirst(characterName(mark.character))} ${mark.held ? 'seen' : 'not yet'}`)
            .join(', ')}
          .
        </Body>
      ) : null}
      <Body>
        {out.length} of {verdict.rows.length} dangerous ones of the guide are ruled out.
      </Body>
    </View>
  );
}

function LeansOn({
  record,
  verdict,
  onAgain,
}: {
  readonly record: FindRecord;
  readonly verdict: Verdict;
  readonly onAgain: () => void;
}) {
  const readings = verdict.leansOn.flatMap((id) => record.readings.find((r) => r.id === id) ?? []);
  if (readings.length === 0 || verdict.outcome === 'pause') return null;
  return (
    <View style={styles.group}>
      <Heading>What it leans on</Heading>
      <Body soft>
        Without any one of these it would not be {OUTCOME[verdict.outcome].toLowerCase()}. Look at exactly
        these again, on another piece.
      </Body>
      {readings.map((reading) => (
        <View key={reading.id} style={styles.reason}>
          <Body style={styles.grow}>
            <Strong>{characterName(reading.character)}: </Strong>
            {lowerFirst(readingWords(reading))}
          </Body>
        </View>
      ))}
      <Button label="Look again on another piece" tone="outline" onPress={onAgain} style={styles.start} />
    </View>
  );
}

/** What must be done first, and for whom it is not. Only where collecting is in question. */
function Before({ verdict, record }: { readonly verdict: Verdict; readonly record: FindRecord }) {
  const taxon = guide.taxon(verdict.target)?.taxon;
  const part = taxon?.parts.find((p) => p.part === record.context.part);
  const lines = [
    ...(part?.before ?? []),
    ...(part ? (taxon?.cautions ?? []).map((caution) => caution.text) : []),
  ];
  if (verdict.outcome === 'leave' || lines.length === 0) return null;
  return (
    <View style={styles.group}>
      <Heading>Before anyone eats it</Heading>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
    </View>
  );
}

function OwnDecision({ record, verdict }: { readonly record: FindRecord; readonly verdict: Verdict }) {
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

const styles = StyleSheet.create({
  band: {
    flexDirection: 'row',
    gap: space.l,
    alignItems: 'center',
    padding: space.l,
    borderRadius: corner,
    marginBottom: space.s,
  },
  pause: { backgroundColor: colour.pause },
  leave: { backgroundColor: colour.leave },
  collect: { backgroundColor: colour.collect },
  grow: { flex: 1 },
  scientific: { fontStyle: 'italic' },
  group: { gap: space.s, marginBottom: space.m },
  reason: {
    flexDirection: 'row',
    gap: space.m,
    alignItems: 'center',
    borderTopWidth: 1,
    borderTopColor: colour.line,
    paddingTop: space.s,
  },
  start: { alignSelf: 'flex-start', marginTop: space.m },
  oneLine: { minHeight: 54 },
  why: {
    minHeight: 88,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    fontFamily: font.read,
    fontSize: typeSize(17),
    color: colour.ink,
    padding: space.m,
    textAlignVertical: 'top',
  },
});
