import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { Screen, Small, Title, OutcomeMark, colour, Strong, Button, Heading } from '../../components';
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

function FindView({
  record,
  evaluation,
}: {
  readonly record: FindRecord;
  readonly evaluation: Evaluation | undefined;
}) {
  const router = useRouter();
  const target = record.targets.at(-1)?.taxon;
  const group = useApp((state) => state.me.person?.groups.find((one) => one.id === record.group));
  const names =
    new Set(record.readings.map((r) => r.by)).size > 1
      ? (by: string) => readerName(record, group, by)
      : undefined;
  const params = { id: record.id };
  return (
    <Screen>
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
        <Title>{target ? CommonName(target) : t.noNameYet}</Title>
        {target ? (
          <Small soft style={styles.scientific}>
            {scientificName(target)}
          </Small>
        ) : null}
      </View>
      <Shared record={record} />
      <Decisions record={record} />
      <Differs record={record} />
      <Asked record={record} />
      {evaluation && evaluation.verdict.outcome !== lastOutcome(record) ? (
        <View style={styles.now}>
          <OutcomeMark outcome={evaluation.verdict.outcome} size={30} colour={colour.ink} />
          <View style={styles.grow}>
            <Strong>{t.byThisGuideNow(OUTCOME[evaluation.verdict.outcome])}</Strong>
            <Small soft>{stripLine(evaluation.verdict)}</Small>
          </View>
        </View>
      ) : null}
      <View style={styles.ways}>
        <Button
          label={target ? t.goOnChecking : t.goOnNamingIt}
          tone="outline"
          onPress={() => router.push({ pathname: target ? '/find/[id]/check' : '/find/[id]/name', params })}
          style={styles.way}
        />
        {target ? (
          <Button
            label={t.reasons}
            tone="outline"
            onPress={() => router.push({ pathname: '/find/[id]/verdict', params })}
            style={styles.way}
          />
        ) : null}
      </View>
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
