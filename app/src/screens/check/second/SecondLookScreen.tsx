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
  // Face to face the one who stands beside answers on the phone of whoever asked.
  const beside = record.asks.find((ask) => ask.here && ask.of === of && ask.by === person?.id);
  const reader = beside ? beside.of : (person?.id ?? '');
  const open = blindAsk(record, reader);
  const [begun, setBegun] = useState(false);
  const [passed, setPassed] = useState<readonly CharacterId[]>([]);
  const answering = useRef<CharacterId>(undefined);
  const asker = open && group ? memberName(group, open.ask.by) : 'The finder';
  const together = { pathname: '/find/[id]/together' as const, params: { id: record.id } };
  if (!open) {
    const looked = record.readings.some((r) => r.by === reader && r.blind === true);
    return (
      <Screen>
        {looked ? (
          <Notice
            whole
            title="Thank you: all of it is read"
            text={
              beside
                ? 'Give the phone back. Now both can lie side by side.'
                : 'Now both can lie side by side.'
            }
            action="Side by side"
            onAction={() => router.replace(together)}
          />
        ) : (
          <Notice
            whole
            title="Nothing is asked of you here"
            text="Or you know the answers by now."
            action="Open the find"
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
          <Title>{beside ? `For ${who}` : 'A second look is asked of you'}</Title>
          <Body>
            {asker} {beside ? 'hands you the phone' : 'asks you'} to look at{' '}
            {open.left.length === 1 ? 'one thing' : `${open.left.length} things`} on {beside ? 'this' : 'a'}{' '}
            specimen, and not to be told what it is taken for or what was read. {upper(timeWords(seconds))} or
            so.
          </Body>
          <Body>
            Say what you see. “Can’t see it” is an answer too. Nobody is right or wrong by it: where you
            differ, both look again together.
          </Body>
          {beside ? null : (
            <>
              <Heading>What there is to see</Heading>
              <Pictures find={record.id} />
            </>
          )}
          <Button label={beside ? 'I have the phone' : 'Begin'} onPress={() => setBegun(true)} />
          {beside ? null : (
            <View style={styles.all}>
              <Button
                label="Show me everything instead"
                tone="plain"
                style={styles.start}
                onPress={() =>
                  void act(reveal(record.id)).then(
                    (kept) => kept && router.replace({ pathname: '/find/[id]', params: { id: record.id } }),
                  )
                }
              />
              <Small soft>Then your look is not blind any more, and counts as any other.</Small>
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
          <SmallStrong style={styles.grow}>A second look, blind</SmallStrong>
          <Small soft>{open.left.length === 1 ? 'the last one' : `${open.left.length} left`}</Small>
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
