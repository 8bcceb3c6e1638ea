import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { confusionOf, rateOf, type Confusion, type PairTold, type Read } from '@pause/core/practice';
import {
  Body,
  Chip,
  ChipRow,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  Title,
  useWide,
} from '../../components';
import { guide } from '../../deciding/guide';
import { usePractice } from '../../notebook/practice';
import { useAct, useApp, type Thunk } from '../../notebook/store';
import { characterName, CommonName, commonName, GRADE, lowerFirst } from '../../text/names';
import { cardName, stateLabel } from '../../text/practice';
import { BarKey, RateBar, spanWords } from './charts';

type Taken = readonly { readonly was: string; readonly as: string; readonly times: number }[];

/** What one takes for what, and how sure one was; and for a keeper, what the group does. */
export function ConfusionScreen() {
  const router = useRouter();
  const practice = usePractice();
  const kept = useApp((state) => state.me.person?.groups.filter(({ role }) => role === 'keeper'));
  const [of, setOf] = useState('mine');
  const [group] = (kept ?? []).filter(({ id }) => id === of);
  if (!practice.ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  return (
    <Screen>
      <View>
        <Title>What is taken for what</Title>
        <Body>
          From practice, where it is known what was shown. It says what to look at twice; it takes away no
          bar.
        </Body>
      </View>
      {kept && kept.length > 0 ? (
        <ChipRow label="Whose">
          <Chip label="Mine" chosen={of === 'mine'} onPress={() => setOf('mine')} />
          {kept.map(({ id, name }) => (
            <Chip key={id} label={name} chosen={of === id} onPress={() => setOf(id)} />
          ))}
        </ChipRow>
      ) : null}
      {group ? (
        <OfGroup key={group.id} id={group.id} name={group.name} />
      ) : practice.history.reads.length === 0 && practice.history.taken.length === 0 ? (
        <Notice
          title="Nothing was practised yet"
          text="After a walk in the practice wood, or a few drills, it is shown here."
          action="To practice"
          onAction={() => router.push('/practice')}
        />
      ) : (
        <Picture
          confusion={practice.confusion}
          pairs={practice.history.pairs}
          taken={practice.history.taken}
        />
      )}
    </Screen>
  );
}

function Picture({
  confusion,
  pairs: told,
  taken,
}: {
  readonly confusion: Confusion;
  readonly pairs: readonly PairTold[];
  readonly taken: Taken;
}) {
  const wide = useWide();
  const { byCharacter, pairs, calibration } = confusion;
  // One or two looks without a slip say nothing yet.
  const misread = [...byCharacter]
    .filter(([, { times, wrong }]) => wrong > 0 || times >= SAYS)
    .sort(([a, x], [b, y]) => y.mid - x.mid || (a < b ? -1 : 1))
    .slice(0, SHOWN);
  const mistaken = told
    .filter(({ wrong }) => wrong > 0)
    .slice(0, SHOWN)
    .map((one) => ({ ...one, rate: rateOf(one.wrong, one.times) }));
  const most = Math.max(0.2, ...misread.map(([, { high }]) => high));
  const words = [
    ['sure', 'Sure'],
    ['fairly', 'Fairly'],
    ['guess', 'A guess'],
  ] as const;
  return (
    <View style={wide ? styles.columns : styles.column}>
      <View style={[styles.column, wide && styles.grow]}>
        <View style={styles.block}>
          <Heading>When you said …</Heading>
          <View role="list" aria-label="How often each word of sureness was wrong">
            {words.map(([id, label]) => (
              <RateBar
                key={id}
                name={label}
                rate={calibration[id]}
                usual={PROMISED[id]}
                most={0.6}
                line={calibration[id].times === 0 ? 'not said yet' : `wrong ${spanWords(calibration[id])}`}
              />
            ))}
          </View>
          <BarKey usual="what the word promises" />
        </View>
        {mistaken.length > 0 ? (
          <View style={styles.block}>
            <Heading>Pairs not told apart</Heading>
            <View role="list" aria-label="Pairs not told apart">
              {mistaken.map(({ card, rate }) => (
                <RateBar
                  key={card}
                  name={cardName(card)}
                  rate={rate}
                  most={Math.max(0.4, ...mistaken.map((one) => one.rate.high))}
                  line={spanWords(rate)}
                />
              ))}
            </View>
          </View>
        ) : null}
        <View style={styles.block}>
          <Heading>Collected, and it was another</Heading>
          {taken.length === 0 ? (
            <Small soft>None, in all walks of the practice wood.</Small>
          ) : (
            <View role="list" aria-label="Collected, and it was another">
              {taken.slice(0, SHOWN).map(({ was, as, times }) => (
                <View key={`${was} ${as}`} role="listitem">
                  <View style={styles.row}>
                    <View style={styles.grow}>
                      <Strong>{CommonName(was)}</Strong>
                      <Small soft>taken for {commonName(as)}</Small>
                    </View>
                    <SmallStrong>
                      {GRADE[guide.taxon(was)?.grade ?? 'none']}
                      {times > 1 ? `, ${times} times` : ''}
                    </SmallStrong>
                  </View>
                  <Rule />
                </View>
              ))}
            </View>
          )}
        </View>
      </View>
      <View style={[styles.column, wide && styles.grow]}>
        <View style={styles.block}>
          <Heading>Misread, by character</Heading>
          <View role="list" aria-label="Misread, by character">
            {misread.map(([character, rate]) => (
              <RateBar
                key={character}
                name={characterName(character)}
                rate={rate}
                usual={guide.character(character)?.character.misread}
                most={most}
                line={spanWords(rate)}
              />
            ))}
          </View>
          <BarKey usual="what the guide reckons with" />
        </View>
        {pairs.length > 0 ? (
          <View style={styles.block}>
            <Heading>Read as another</Heading>
            <View role="list" aria-label="Read as another">
              {pairs.slice(0, SHOWN).map(({ character, shown, read, times }) => (
                <View key={`${character} ${shown} ${read}`} role="listitem">
                  <View style={styles.row}>
                    <View style={styles.grow}>
                      <Strong>
                        {stateLabel(character, shown)} read as {lowerFirst(stateLabel(character, read))}
                      </Strong>
                      <Small soft>{characterName(character)}</Small>
                    </View>
                    <SmallStrong>{times === 1 ? 'once' : `${times} times`}</SmallStrong>
                  </View>
                  <Rule />
                </View>
              ))}
            </View>
          </View>
        ) : null}
      </View>
    </View>
  );
}
const SHOWN = 8;
const SAYS = 8;
/** How often whoever uses these words may be wrong, for them to mean anything. */
const PROMISED = { sure: 0.02, fairly: 0.1, guess: 0.4 } as const;

const Answer = z.object({
  people: z.number(),
  reads: z.array(
    z.object({
      character: z.string(),
      shown: z.string(),
      read: z.string(),
      sureness: z.enum(['sure', 'fairly', 'guess']),
      times: z.number().int().max(100_000),
    }),
  ),
  pairs: z
    .array(
      z
        .object({
          card: z.string(),
          times: z.number().int().nonnegative(),
          wrong: z.number().int().nonnegative(),
        })
        .refine(({ times, wrong }) => wrong <= times),
    )
    .default([]),
  taken: z.array(z.object({ was: z.string(), as: z.string(), times: z.number() })),
});
const askGroup =
  (group: string): Thunk<Promise<z.infer<typeof Answer> | undefined>> =>
  async (_, __, { api }) =>
    Answer.safeParse(await api.ask('GET', `/groups/${group}/confusion`).catch(() => undefined)).data;

function OfGroup({ id, name }: { readonly id: string; readonly name: string }) {
  const act = useAct();
  const [answer, setAnswer] = useState<z.infer<typeof Answer> | 'away'>();
  const [again, setAgain] = useState(0);
  useEffect(() => {
    let gone = false;
    void act(askGroup(id)).then((told) => {
      if (!gone) setAnswer(told ?? 'away');
    });
    return () => {
      gone = true;
    };
  }, [act, id, again]);
  if (answer === undefined) return <Loading what="Adding up …" />;
  if (answer === 'away')
    return (
      <Notice
        title="The notebook does not answer"
        text="A group’s picture is added up there. Yours is on this device."
        action="Try again"
        onAction={() => {
          setAnswer(undefined);
          setAgain(again + 1);
        }}
      />
    );
  if (answer.reads.length === 0 && answer.taken.length === 0) {
    return (
      <Notice
        title="Too few to tell"
        text={`${answer.people === 1 ? 'One person of' : answer.people === 0 ? 'Nobody of' : `${answer.people} people of`} ${name} let theirs count. From three on it is added up, without names; with fewer, one could see who it was.`}
      />
    );
  }
  const reads = answer.reads.flatMap(({ times, ...read }) =>
    Array.from({ length: times }, () => read as Read),
  );
  return (
    <>
      <Small soft>
        {answer.people} people of {name} let theirs count, added up without names: what to practise together.
      </Small>
      <Picture
        confusion={confusionOf(reads)}
        pairs={answer.pairs}
        taken={[...answer.taken].sort((a, b) => b.times - a.times)}
      />
    </>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  block: { gap: space.s },
  grow: { flex: 1 },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 48, paddingVertical: space.xs },
});
