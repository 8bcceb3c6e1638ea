import { useLocalSearchParams, useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { blindAsk, type CharacterId, type FindRecord } from '@pause/core';
import {
  Body,
  Button,
  Heading,
  Notice,
  Screen,
  Small,
  SmallStrong,
  space,
  Title,
  useWide,
  WaysOut,
  Stack,
  Row,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { Pictures } from '../../../components/photos/late';
import { read } from '../../../notebook/actions';
import { useAct, useApp } from '../../../notebook/store';
import { t } from '../../../text/en/second';
import { characterOf, timeWords, upper } from '../../../text/names';
import { memberName } from '../../../text/people';
import { asCheck } from '../asCheck';
import { AnswerCard, cardKey, type Answer } from '../card';
import { reveal } from './actions';

/** Somebody else reads what was asked, knowing neither the name nor the first answers. */
export function SecondLookScreen() {
  return <FindFrame blind render={({ record }) => <Looking record={record} />} />;
}

type Asked = NonNullable<ReturnType<typeof blindAsk>>;
interface LookProps {
  readonly record: FindRecord;
  readonly asked: Asked;
  /** Who reads it. */
  readonly reader: string;
}

function Looking({ record }: { readonly record: FindRecord }) {
  const { of } = useLocalSearchParams<{ of?: string }>();
  const me = useApp((state) => state.me.person?.id);
  // Face to face the other person answers on the phone of whoever asked.
  const beside = record.asks.find((ask) => ask.here && ask.of === of && ask.by === me);
  const reader = beside ? beside.of : (me ?? '');
  const asked = blindAsk(record, reader);
  const [begun, setBegun] = useState(false);
  if (!asked) return <NothingLeft record={record} reader={reader} beside={beside !== undefined} />;
  return begun ? (
    <Questions record={record} asked={asked} reader={reader} />
  ) : (
    <Begin record={record} asked={asked} reader={reader} beside={beside} onBegin={() => setBegun(true)} />
  );
}

interface NothingLeftProps {
  readonly record: FindRecord;
  readonly reader: string;
  readonly beside: boolean;
}

/** All of it was looked at, or nothing was asked. */
function NothingLeft({ record, reader, beside }: NothingLeftProps) {
  const router = useRouter();
  const looked = record.readings.some((r) => r.by === reader && r.blind === true);
  return (
    <Screen>
      {looked ? (
        <Notice
          whole
          title={t.thankYouAllOfIt}
          text={beside ? t.giveThePhoneBackNow : t.nowBothCanLieSide}
          action={t.sideBySide}
          onAction={() => router.replace({ pathname: '/find/[id]/together', params: { id: record.id } })}
        />
      ) : (
        <Notice
          whole
          title={t.nothingIsAskedOfYou}
          text={t.orYouKnowTheAnswers}
          action={t.openTheFind}
          onAction={() => router.replace({ pathname: '/find/[id]', params: { id: record.id } })}
        />
      )}
    </Screen>
  );
}

/** What is asked, and by whom; one begins, or has everything shown. */
function Begin({
  record,
  asked,
  reader,
  beside,
  onBegin,
}: LookProps & { readonly beside: Asked['ask'] | undefined; readonly onBegin: () => void }) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const group = useApp(({ me: { person } }) => person?.groups.find((one) => one.id === record.group));
  const nameOf = (person: string, otherwise: string) => (group ? memberName(group, person) : otherwise);
  const seconds = asked.left.reduce((sum, c) => sum + (characterOf(c)?.seconds ?? 0), 0);
  const showAll = () =>
    void act(reveal(record.id)).then(
      (kept) => kept && router.replace({ pathname: '/find/[id]', params: { id: record.id } }),
    );
  return (
    <Screen rooms={false}>
      <View style={wide ? styles.narrow : styles.all}>
        <WaysOut />
        <Title>{beside ? t.for(beside.name ?? nameOf(reader, '')) : t.aSecondLookIsAsked}</Title>
        <Body>
          {t.toLookAtThingsOn(
            nameOf(asked.ask.by, t.theFinder),
            beside ? t.handsYouThePhone : t.asksYou,
            asked.left.length,
            beside ? t.this : t.a,
            upper(timeWords(seconds)),
          )}
        </Body>
        <Body>{t.sayWhatYouSeeCant}</Body>
        {beside ? null : (
          <>
            <Heading>{t.whatThereIsToSee}</Heading>
            <Pictures find={record.id} />
          </>
        )}
        <Button label={beside ? t.iHaveThePhone : t.begin} onPress={onBegin} />
        {beside ? null : (
          <Stack gap="m">
            <Button label={t.showMeEverythingInstead} tone="plain" style={styles.start} onPress={showAll} />
            <Small soft>{t.thenYourLookIsNot}</Small>
          </Stack>
        )}
      </View>
    </Screen>
  );
}

/** The questions, one by one; those that were passed over come last. */
function Questions({ record, asked, reader }: LookProps) {
  const act = useAct();
  const wide = useWide();
  const [passed, setPassed] = useState<readonly CharacterId[]>([]);
  const answering = useRef<CharacterId>(undefined);
  const [next] = [
    ...asked.left.filter((c) => !passed.includes(c)),
    ...passed.filter((c) => asked.left.includes(c)),
  ];
  const answer = ({ value, sureness, note }: Answer) => {
    if (!next || answering.current === next) return;
    answering.current = next;
    void act(
      read(record.id, {
        piece: asked.ask.piece,
        character: next,
        value,
        sureness,
        blind: true,
        by: reader,
        ...(note ? { note } : {}),
      }),
    ).then(() => {
      answering.current = undefined;
    });
  };
  return (
    <Screen rooms={false}>
      <View style={wide ? styles.narrow : styles.all}>
        <WaysOut />
        <Row align="baseline" gap="m" role="status">
          <SmallStrong style={styles.grow}>{t.aSecondLookBlind}</SmallStrong>
          <Small soft>{t.left(asked.left.length)}</Small>
        </Row>
        {next ? (
          <AnswerCard
            key={cardKey(asCheck(next), asked.left.length + passed.length)}
            check={asCheck(next)}
            target={undefined}
            stages={undefined}
            effects={[]}
            keys={wide}
            onAnswer={answer}
            onPass={() => setPassed([...passed.filter((c) => c !== next), next])}
          />
        ) : null}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  all: { gap: space.m },
  narrow: { gap: space.m, maxWidth: 760 },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
