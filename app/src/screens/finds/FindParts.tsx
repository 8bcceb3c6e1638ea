import { type FindRecord, blindAsk, countOf } from '@pause/core';
import { useApp, useAct } from '../../notebook/store';
import { Small, Strong, Button, OutcomeMark, colour, Body, Heading, Rule } from '../../components';
import { memberName, readerName } from '../../text/people';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { styles } from './findStyles';
import {
  OUTCOME,
  CHOICE,
  lowerFirst,
  stageName,
  CONDITION,
  partName,
  CONTAMINATION,
  cautionFor,
  openNameWords,
  commonName,
} from '../../text/names';
import { stripLine } from '../../text/strip';
import { consent } from '../../notebook/actions';
import { momentWords } from '../../text/days';

/** The parts of a find on record. */

/** Whose find it is, where it is in a group's notebook. */
export function Shared({ record }: { readonly record: FindRecord }) {
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  if (!group) return null;
  return (
    <Small soft>
      {record.person === person?.id ? 'Your find' : `Found by ${memberName(group, record.person)}`}, in the
      notebook of {group.name}.
    </Small>
  );
}

/** Other eyes: who was asked, who looked, and the way to ask. */
export function SecondLooks({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  if (!record.pieces.length || record.readings.length === 0) return null;
  const params = { id: record.id };
  const looked = [...new Set(record.readings.filter((r) => r.blind === true).map((r) => r.by))];
  const waiting = [...new Set(record.asks.map((ask) => ask.of))].filter((of) => blindAsk(record, of));
  return (
    <View style={styles.now}>
      <View style={styles.grow}>
        <Strong>A second look</Strong>
        <Small soft>
          {looked.length > 0
            ? `${looked.map((of) => readerName(record, group, of)).join(', ')} looked without knowing the answers.`
            : waiting.length > 0
              ? ''
              : 'Nobody else has looked at it blind.'}
          {waiting.length > 0
            ? ` ${waiting.map((of) => readerName(record, group, of)).join(', ')} ${waiting.length === 1 ? 'has' : 'have'} been asked.`
            : ''}
        </Small>
      </View>
      <Button
        label={looked.length > 0 ? 'Side by side' : 'Ask'}
        tone="outline"
        onPress={() =>
          router.push({ pathname: looked.length > 0 ? '/find/[id]/together' : '/find/[id]/ask', params })
        }
      />
    </View>
  );
}

/** What the notebook reached from all that is on record there, where a verdict made elsewhere was another. */
export function Differs({ record }: { readonly record: FindRecord }) {
  const last = record.verdicts.at(-1);
  if (!last?.arrival) return null;
  const { because, verdict } = last.arrival;
  return (
    <View style={styles.differs} role="note" aria-label="The notebook reached another verdict">
      <OutcomeMark outcome={verdict.outcome} size={30} colour={colour.ink} />
      <View style={styles.grow}>
        <Strong>
          {last.verdict.outcome === verdict.outcome
            ? `The notebook says ${OUTCOME[verdict.outcome].toLowerCase()} too, for other reasons`
            : `The notebook says ${OUTCOME[verdict.outcome].toLowerCase()}; the device said ${OUTCOME[last.verdict.outcome].toLowerCase()}`}
        </Strong>
        <Small>
          {BECAUSE[because]} {stripLine(verdict)} Both are kept.
        </Small>
      </View>
    </View>
  );
}

const BECAUSE = {
  guide: 'It was decided there by another version of the guide.',
  policy: 'The group’s rules were other ones by then.',
  record: 'More was on record by then than the device knew.',
  unknown: 'Why is not known.',
} as const;

/** A young member waits for an adult's word, and an adult can give it. */
export function Asked({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  const asked = record.verdicts.at(-1);
  const finder = group?.members.find((m) => m.person === record.person);
  if (!person || !group || !asked || finder?.role !== 'young' || asked.verdict.outcome !== 'collect')
    return null;
  if (record.decisions.some((d) => d.verdict === asked.id)) return null;
  const agreed = record.consents.find((c) => c.verdict === asked.id);
  if (agreed)
    return (
      <Body>
        {memberName(group, agreed.by)} agreed that {finder.name} collects it.
      </Body>
    );
  if (group.role === 'young') return <Body soft>It waits for an adult of the group.</Body>;
  return (
    <View style={styles.differs}>
      <View style={styles.grow}>
        <Strong>{finder.name} asks whether to collect it</Strong>
        <Small>
          Nothing on record speaks against it. Look at the readings, best at the plant itself, before you
          agree.
        </Small>
      </View>
      <Button label="I agree" tone="outline" onPress={() => void act(consent(record.id, asked.id))} />
    </View>
  );
}

/** Pieces gone through after it was collected, and the way to go through more. */
export function Counted({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const { passed, strays } = countOf(record);
  if (record.decisions.at(-1)?.choice !== 'collect') return null;
  return (
    <View style={styles.collected}>
      {lastOutcome(record) === 'collect' ? (
        <Button
          label="How much to take, and how"
          style={styles.start}
          onPress={() => router.push({ pathname: '/find/[id]/take', params: { id: record.id } })}
        />
      ) : null}
      <Body>
        {passed + strays > 0
          ? `Piece by piece: ${passed} passed, ${strays} ${strays === 1 ? 'stray' : 'strays'}.`
          : 'The rest of the patch has not been gone through.'}
      </Body>
      {lastOutcome(record) === 'collect' && record.kingdom === 'Plantae' ? (
        <Button
          label="Eaten where it stood"
          tone="outline"
          style={styles.start}
          onPress={() => router.push({ pathname: '/portion', params: { find: record.id } })}
        />
      ) : null}
      <Button
        label="Someone is ill after it"
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/sheet/[id]', params: { id: record.id } })}
      />
      <Button
        label="Piece by piece"
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/find/[id]/pieces', params: { id: record.id } })}
      />
    </View>
  );
}

/** What the verdict was when the person last decided. */
export function lastOutcome(record: FindRecord): string | undefined {
  const last = record.decisions.at(-1);
  return record.verdicts.find((v) => v.id === last?.verdict)?.verdict.outcome;
}

export function Decisions({ record }: { readonly record: FindRecord }) {
  if (record.decisions.length === 0) return <Body soft>Nobody has decided yet.</Body>;
  return (
    <View role="list" aria-label="Decisions" style={styles.decisions}>
      {[...record.decisions].reverse().map((decision) => {
        const verdict = record.verdicts.find((v) => v.id === decision.verdict)?.verdict;
        const outcome = verdict?.outcome ?? 'pause';
        const odds = decision.choice === 'collect' && outcome !== 'collect';
        return (
          <View key={decision.id} role="listitem" style={styles.decision}>
            <OutcomeMark
              outcome={outcome}
              size={34}
              colour={outcome === 'collect' ? colour.collect : colour.ink}
            />
            <View style={styles.grow}>
              <Heading>
                {CHOICE[decision.choice]}
                {odds ? ', against the verdict' : ''}
              </Heading>
              <Small soft>
                {momentWords(new Date(decision.at))} · the verdict was {OUTCOME[outcome].toLowerCase()}
              </Small>
              {decision.reason ? <Body>“{decision.reason}”</Body> : null}
            </View>
          </View>
        );
      })}
    </View>
  );
}

export function AroundTold({
  record,
  target,
}: {
  readonly record: FindRecord;
  readonly target: string | undefined;
}) {
  const { context } = record;
  const told = [
    context.stages && ['Stage', context.stages.map((s) => lowerFirst(stageName(s))).join(', ')],
    context.condition && ['Condition', lowerFirst(CONDITION[context.condition])],
    context.part && target && ['Wanted', partName(target, context.part)],
    context.permission && [
      'Picking here',
      { allowed: 'allowed', forbidden: 'not allowed', unknown: 'not known' }[context.permission],
    ],
    context.contamination && ['What spoils it', lowerFirst(CONTAMINATION[context.contamination])],
    context.protection && [
      'Protected',
      { allowed: 'no, looked up', protected: 'yes', unknown: 'not known' }[context.protection],
    ],
    context.tracedToBase !== undefined && ['Traced to one base', context.tracedToBase ? 'yes' : 'no'],
    context.eaters !== undefined && [
      'Who will eat it',
      context.eaters
        .flatMap((e) => e.cautions)
        .map((c) => lowerFirst(cautionFor(c)))
        .join(', ') || 'nobody who has to mind it',
    ],
    context.elevation !== undefined && ['Height', `${context.elevation} m`],
    context.openName && ['Named', openNameWords(context.openName)],
    record.targets.length > 1 && [
      'Taken for before',
      record.targets
        .slice(0, -1)
        .map((t) => commonName(t.taxon))
        .join(', '),
    ],
  ].filter((line): line is string[] => Array.isArray(line));
  if (told.length === 0) return null;
  return (
    <>
      <Heading>Place and condition</Heading>
      <View>
        <Rule />
        {told.map(([name, value]) => (
          <View key={name}>
            <View style={styles.told}>
              <Small soft style={styles.toldName}>
                {name}
              </Small>
              <Body style={styles.grow}>{value}</Body>
            </View>
            <Rule />
          </View>
        ))}
      </View>
    </>
  );
}
