import { useRouter } from 'expo-router';
import { useState, useEffect } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { type Read, confusionOf } from '@pause/core/practice';
import { Screen, Loading, Title, Body, ChipRow, Chip, Notice, Small } from '../../components';
import { usePractice } from '../../notebook/practice';
import { useApp, type Thunk, useAct } from '../../notebook/store';
import { t } from '../../text/en/practice';
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
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  return (
    <Screen>
      <View>
        <Title>{t.whatIsTakenForWhat}</Title>
        <Body>{t.fromPracticeWhereItIs}</Body>
      </View>
      {kept && kept.length > 0 ? (
        <ChipRow label={t.whose}>
          <Chip label={t.mine} chosen={of === 'mine'} onPress={() => setOf('mine')} />
          {kept.map(({ id, name }) => (
            <Chip key={id} label={name} chosen={of === id} onPress={() => setOf(id)} />
          ))}
        </ChipRow>
      ) : null}
      {group ? (
        <OfGroup key={group.id} id={group.id} name={group.name} />
      ) : practice.history.reads.length === 0 && practice.history.taken.length === 0 ? (
        <Notice
          title={t.nothingWasPractisedYet}
          text={t.afterAWalkInThe}
          action={t.toPractice}
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
  if (answer === undefined) return <Loading what={t.addingUp} />;
  if (answer === 'away')
    return (
      <Notice
        title={t.theNotebookDoesNotAnswer}
        text={t.aGroupsPictureIsAdded}
        action={t.tryAgain}
        onAction={() => {
          setAnswer(undefined);
          setAgain(again + 1);
        }}
      />
    );
  if (answer.reads.length === 0 && answer.taken.length === 0) {
    return (
      <Notice
        title={t.tooFewToTell}
        text={t.letTheirsCountFromThree(
          answer.people === 1 ? t.onePersonOf : answer.people === 0 ? t.nobodyOf : t.peopleOf(answer.people),
          name,
        )}
      />
    );
  }
  const reads = answer.reads.flatMap(({ times, ...read }) =>
    Array.from({ length: times }, () => read as Read),
  );
  return (
    <>
      <Small soft>{t.peopleOfLetTheirsCount(answer.people, name)}</Small>
      <Picture
        confusion={confusionOf(reads)}
        pairs={answer.pairs}
        taken={[...answer.taken].sort((a, b) => b.times - a.times)}
      />
    </>
  );
}
