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
  useTwoPanes,
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
import { PHONE_SIDE } from '../checkStyles';
import { PhoneScreen } from '../phone/PhoneScreen';
import { useFitted, usePhone } from '../phone/usePhone';
import { useToCard } from '../useToCard';
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

/** The next question of those that are left, and answering it; those that were passed over come last. */
function useQuestions({ record, asked, reader }: LookProps) {
  const act = useAct();
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
  const pass = () => {
    if (next) setPassed([...passed.filter((c) => c !== next), next]);
  };
  const key = next ? cardKey(asCheck(next), asked.left.length + passed.length) : '';
  return { next, key, answer, pass };
}

/** The questions, one by one; on a phone each with all its answers on one screen. */
function Questions(props: LookProps) {
  const { next, key, answer, pass } = useQuestions(props);
  const left = props.asked.left.length;
  const wide = useWide();
  const tablet = useTwoPanes();
  const onPhone = useFitted() && !tablet;
  const { toCard, follow } = useToCard(true);
  const { fitted, phone } = usePhone({
    key,
    isAsked: next !== undefined,
    answering: { last: undefined, back: () => undefined },
    toTop: toCard,
  });
  const howMany = (
    <Row align="baseline" gap="m" role="status" style={onPhone ? styles.band : undefined}>
      <SmallStrong style={styles.grow}>{t.answersHidden}</SmallStrong>
      <Small soft>{t.left(left)}</Small>
    </Row>
  );
  const question = next ? (
    <AnswerCard
      key={key}
      check={asCheck(next)}
      target={undefined}
      stages={undefined}
      effects={[]}
      keys={wide}
      onAnswer={answer}
      onPass={pass}
      fitted={onPhone ? fitted : undefined}
    />
  ) : null;
  if (onPhone)
    return (
      <PhoneScreen title={t.aSecondLook} band={howMany} strip={null} phone={phone} follow={follow}>
        {question}
      </PhoneScreen>
    );
  return (
    <Screen rooms={false}>
      <View style={wide ? styles.narrow : styles.all}>
        <WaysOut />
        <Title>{t.aSecondLook}</Title>
        {howMany}
        {question}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  all: { gap: space.m },
  narrow: { gap: space.m, maxWidth: 760 },
  grow: { flex: 1 },
  band: { paddingHorizontal: PHONE_SIDE, paddingVertical: space.s },
  start: { alignSelf: 'flex-start' },
});
