import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type FindRecord, blindAsk } from '@pause/core';
import { Small, Strong, Button, OutcomeMark, colour, Body } from '../../components';
import { consent } from '../../notebook/actions';
import { useApp, useAct } from '../../notebook/store';
import { OUTCOME } from '../../text/names';
import { memberName, readerName } from '../../text/people';
import { stripLine } from '../../text/strip';
import { styles } from './findStyles';

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
