import { useLocalSearchParams, useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { blindAsk, type CharacterId, type Check, type FindRecord } from '@pause/core';
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
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { Pictures } from '../../../components/photos/late';
import { read } from '../../../notebook/actions';
import { useAct, useApp } from '../../../notebook/store';
import { t } from '../../../text/en/second';
import { characterOf, timeWords, upper } from '../../../text/names';
import { memberName } from '../../../text/people';
import { AnswerCard, cardKey, type Answer } from '../card';
import { reveal } from './actions';

/** Somebody else reads what was asked, knowing neither the name nor the first answers. */
export function SecondLookScreen() {
  return <FindFrame blind render={({ record }) => <Looking record={record} />} />;
}

function asCheck(character: CharacterId): Check {
  const known = characterOf(character);
  return {
    character,
    why: 'brings-nearer',
    seconds: known?.seconds ?? 0,
    damage: known?.damage ?? 'none',
    skin: [],
    gain: 0,
  };
}

function Looking({ record }: { readonly record: FindRecord }) {
  const { of } = useLocalSearchParams<{ of?: string }>();
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  // Face to face the other person answers on the phone of whoever asked.
  const beside = record.asks.find((ask) => ask.here && ask.of === of && ask.by === person?.id);
  const reader = beside ? beside.of : (person?.id ?? '');
  const open = blindAsk(record, reader);
  const [begun, setBegun] = useState(false);
  const [passed, setPassed] = useState<readonly CharacterId[]>([]);
  const answering = useRef<CharacterId>(undefined);
  const asker = open && group ? memberName(group, open.ask.by) : t.theFinder;
  const together = { pathname: '/find/[id]/together' as const, params: { id: record.id } };
  if (!open) {
    const looked = record.readings.some((r) => r.by === reader && r.blind === true);
    return (
      <Screen>
        {looked ? (
          <Notice
            whole
            title={t.thankYouAllOfIt}
            text={beside ? t.giveThePhoneBackNow : t.nowBothCanLieSide}
            action={t.sideBySide}
            onAction={() => router.replace(together)}
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
  const order = [
    ...open.left.filter((c) => !passed.includes(c)),
    ...passed.filter((c) => open.left.includes(c)),
  ];
  const [next] = order;
  const seconds = open.left.reduce((sum, c) => sum + (characterOf(c)?.seconds ?? 0), 0);
  if (!begun) {
    const who = beside?.name ?? (group ? memberName(group, reader) : '');
    return (
      <Screen rooms={false}>
        <View style={wide ? styles.narrow : styles.all}>
          <WaysOut />
          <Title>{beside ? t.for(who) : t.aSecondLookIsAsked}</Title>
          <Body>
            {t.toLookAtThingsOn(
              asker,
              beside ? t.handsYouThePhone : t.asksYou,
              open.left.length,
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
          <Button label={beside ? t.iHaveThePhone : t.begin} onPress={() => setBegun(true)} />
          {beside ? null : (
            <View style={styles.all}>
              <Button
                label={t.showMeEverythingInstead}
                tone="plain"
                style={styles.start}
                onPress={() =>
                  void act(reveal(record.id)).then(
                    (kept) => kept && router.replace({ pathname: '/find/[id]', params: { id: record.id } }),
                  )
                }
              />
              <Small soft>{t.thenYourLookIsNot}</Small>
            </View>
          )}
        </View>
      </Screen>
    );
  }
  const answer = ({ value, sureness, note }: Answer) => {
    if (!next || answering.current === next) return;
    answering.current = next;
    void act(
      read(record.id, {
        piece: open.ask.piece,
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
        <View style={styles.head} role="status">
          <SmallStrong style={styles.grow}>{t.aSecondLookBlind}</SmallStrong>
          <Small soft>{t.left(open.left.length)}</Small>
        </View>
        {next ? (
          <AnswerCard
            key={cardKey(asCheck(next), open.left.length + passed.length)}
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
  head: { flexDirection: 'row', alignItems: 'baseline', gap: space.m },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
