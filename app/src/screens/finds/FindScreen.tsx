import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type FindRecord, verbatimIdentificationOf } from '@pause/core';
import {
  Screen,
  Small,
  SmallStrong,
  Title,
  OutcomeMark,
  colour,
  Strong,
  Button,
  Heading,
} from '../../components';
import { FindFrame } from '../../components/FindFrame';
import { Pictures } from '../../components/photos/late';
import type { Evaluation } from '../../deciding/evaluate';
import { useApp } from '../../notebook/store';
import { momentWords } from '../../text/days';
import { t } from '../../text/en/find';
import { CommonName, scientificName, OUTCOME } from '../../text/names';
import { readerName } from '../../text/people';
import { stripLine } from '../../text/strip';
import { Seen } from '../check/Seen';
import { Decisions, lastOutcome, Counted, ContextFacts } from './FindDecisions';
import { Shared, Differs, Asked, SecondLooks } from './FindParts';
import { styles } from './findStyles';
import { Place } from './Place';
import { Written } from './Written';

/** One find, with all that was read, judged and decided. */
export function FindScreen() {
  return (
    <FindFrame render={({ record, evaluation }) => <FindView record={record} evaluation={evaluation} />} />
  );
}

interface FindViewProps {
  readonly record: FindRecord;
  readonly evaluation: Evaluation | undefined;
}

function FindView({ record, evaluation }: FindViewProps) {
  const target = record.targets.at(-1)?.taxon;
  const group = useApp((state) => state.me.person?.groups.find((one) => one.id === record.group));
  const names =
    new Set(record.readings.map((r) => r.by)).size > 1
      ? (by: string) => readerName(record, group, by)
      : undefined;
  return (
    <Screen>
      <FindHead record={record} />
      <Shared record={record} />
      <Decisions record={record} />
      <Differs record={record} />
      <Asked record={record} />
      <ByThisGuideNow record={record} evaluation={evaluation} />
      <GoOn record={record} />
      <SecondLooks record={record} />
      <Counted record={record} />
      <Heading>{t.photosAndSketches}</Heading>
      <Pictures find={record.id} />
      <Heading>{t.everyReading}</Heading>
      <Seen record={record} slips={false} names={names} />
      <ContextFacts record={record} target={target} />
      <Place record={record} />
      <View style={styles.note}>
        <Heading>{t.aNote}</Heading>
        <Written
          record={record}
          field="note"
          label={t.aNoteOnThisFind}
          placeholder={t.anythingWorthKeepingWhoeverReads}
          most={2000}
        />
      </View>
    </Screen>
  );
}

function FindHead({ record }: Pick<FindViewProps, 'record'>) {
  const target = record.targets.at(-1)?.taxon;
  const typed = verbatimIdentificationOf(record);
  return (
    <View>
      <Small soft>
        {[
          record.number ? t.find(record.number) : t.newFind,
          momentWords(new Date(record.startedAt)),
          record.placeNote,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Small>
      <Title>{target ? CommonName(target) : typed ? `“${typed}”` : t.noNameYet}</Title>
      {typed ? <SmallStrong>{target ? t.typedAs(typed) : t.notInTheGuide}</SmallStrong> : null}
      {target ? (
        <Small soft style={styles.scientific}>
          {scientificName(target)}
        </Small>
      ) : null}
    </View>
  );
}

/** What this guide says now, where that differs from the last verdict. */
function ByThisGuideNow({ record, evaluation }: FindViewProps) {
  if (!evaluation || evaluation.verdict.outcome === lastOutcome(record)) return null;
  const { verdict } = evaluation;
  return (
    <View style={styles.now}>
      <OutcomeMark outcome={verdict.outcome} size={30} colour={colour.ink} />
      <View style={styles.grow}>
        <Strong>{t.byThisGuideNow(OUTCOME[verdict.outcome])}</Strong>
        <Small soft>{stripLine(verdict)}</Small>
      </View>
    </View>
  );
}

function GoOn({ record }: Pick<FindViewProps, 'record'>) {
  const router = useRouter();
  const named = record.targets.length > 0;
  const params = { id: record.id };
  return (
    <View style={styles.ways}>
      <Button
        label={named ? t.goOnChecking : t.goOnNamingIt}
        tone="outline"
        onPress={() => router.push({ pathname: named ? '/find/[id]/check' : '/find/[id]/name', params })}
        style={styles.way}
      />
      {named ? (
        <Button
          label={t.reasons}
          tone="outline"
          onPress={() => router.push({ pathname: '/find/[id]/verdict', params })}
          style={styles.way}
        />
      ) : null}
    </View>
  );
}
