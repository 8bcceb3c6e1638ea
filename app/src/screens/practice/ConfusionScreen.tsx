import { useRouter } from 'expo-router';
import { useState, useEffect } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { type Read, confusionOf } from '@pause/core/practice';
import { Screen, Loading, Title, Body, ChipRow, Chip, Notice, Small } from '../../components';
import { usePractice } from '../../notebook/practice';
import { useApp, type Thunk, useAct } from '../../notebook/store';
import { Picture } from './ConfusionPicture';

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
    let cancelled = false;
    void act(askGroup(id)).then((answer) => {
      if (!cancelled) setAnswer(answer ?? 'away');
    });
    return () => {
      cancelled = true;
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
