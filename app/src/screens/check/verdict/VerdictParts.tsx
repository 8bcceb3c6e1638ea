import { View } from 'react-native';
import { type Verdict, type Reason, type AskedPlan, type FindRecord, short } from '@pause/core';
import { OutcomeMark, colour, Small, VerdictWord, Body, Heading, Strong, Button } from '../../../components';
import { Uprights } from '../../../components/Uprights';
import { guide } from '../../../deciding/guide';
import {
  commonName,
  scientificName,
  OUTCOME,
  CommonName,
  characterName,
  timeWords,
  DAMAGE,
  lowerFirst,
  readingWords,
} from '../../../text/names';
import { reasonWords } from '../../../text/reasons';
import { stripLine, aboutPart } from '../../../text/strip';
import { styles } from './verdictStyles';

/** The parts of a verdict. */

export function Band({ verdict }: { readonly verdict: Verdict }) {
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

export function Group({
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
export function WouldChange({ verdict, plan }: { readonly verdict: Verdict; readonly plan: AskedPlan }) {
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
    const obstacles = plan.obstacles.map((o) =>
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
        {obstacles.slice(0, 5).map((line) => (
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
export function SeenFor({ record, verdict }: { readonly record: FindRecord; readonly verdict: Verdict }) {
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

export function LeansOn({
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
export function Before({ verdict, record }: { readonly verdict: Verdict; readonly record: FindRecord }) {
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
