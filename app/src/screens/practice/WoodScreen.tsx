import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState, useMemo } from 'react';
import { statesRead } from '@pause/core';
import type { StateId } from '@pause/core';
import {
  walkOf,
  type Encounter,
  type LookedAt,
  type WalkDecision,
  scoreOf,
  type Scored,
  type PracticeFind,
} from '@pause/core/practice';
import { Screen, Loading, Notice } from '../../components';
import { useNeededPlates, type Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { now } from '../../notebook/add';
import { usePractice, type Practice } from '../../notebook/practice';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/practice';
import { picturesBy } from './pictures';
import { useSitting } from './useSitting';
import { type Done, WalkEnd } from './WalkEnd';
import { Meeting } from './WoodMeeting';
import { Review } from './WoodReview';

const FINDS = 5;

/** A walk in the practice wood: finds that never existed, met as in the field. */
export function WoodScreen() {
  const practice = usePractice();
  const plates = useNeededPlates();
  const { seed } = useLocalSearchParams<{ seed?: string }>();
  if (!practice.ready || !plates)
    return (
      <Screen>
        <Loading what={t.walkingIntoTheWood} />
      </Screen>
    );
  return <Wood key={seed ?? ''} practice={practice} plates={plates} seed={seed} />;
}

function seedOf(seed: string | undefined): number {
  const number = Number(seed);
  return seed !== undefined && Number.isInteger(number) && number >= 0 && number < 1e9
    ? number
    : Math.floor(Math.random() * 1e6);
}

interface WoodProps {
  readonly practice: Practice;
  readonly plates: Plates;
  readonly seed: string | undefined;
}

/** The finds of a walk: what the next walk is for; else what can be found now and is due. */
function encountersOf(practice: Practice, seed: number, shared: boolean): readonly Encounter[] {
  const due = [...practice.history.cards]
    .filter(([, { memory }]) => Date.parse(memory.due) <= practice.now.getTime())
    .map(([id]) => id);
  const planned = [...practice.soon].filter(([, soon]) => soon === 2);
  const around = [...practice.soon].filter(
    ([taxon]) => due.length === 0 || due.some((id) => id.split(':').includes(taxon)),
  );
  const rather = new Set((planned.length > 0 ? planned : around).map(([taxon]) => taxon));
  // A walk that was shared is the same for everybody, whatever they practised.
  return walkOf(guide, {
    seed,
    finds: FINDS,
    ...(shared ? {} : { month: practice.now.getMonth() + 1, rather }),
  });
}

/** A walk, and what was decided on it so far. */
function useWalk({ practice, seed: givenSeed }: Omit<WoodProps, 'plates'>) {
  const act = useAct();
  const [seed] = useState(() => seedOf(givenSeed));
  const [walk] = useState(() => encountersOf(practice, seed, givenSeed !== undefined));
  const [done, setDone] = useState<readonly Done[]>([]);
  const [review, setReview] = useState(false);
  const { keep } = useSitting('walk');
  const decide = (one: Encounter, looks: readonly LookedAt[], decided: WalkDecision) => {
    const scored = scoreOf(guide, { ...one, looks, decided });
    setDone([...done, { encounter: one, decided, looks, scored }]);
    setReview(true);
    keep({ finds: [practiceFind(one, looks, decided, scored, act(now()))] });
  };
  return { seed, walk, done, review: review ? done.at(-1) : undefined, goOn: () => setReview(false), decide };
}

function Wood({ practice, plates, seed: givenSeed }: WoodProps) {
  const router = useRouter();
  const { gentle } = practice.learner;
  const { seed, walk, done, review, goOn, decide } = useWalk({ practice, seed: givenSeed });
  const drawable = useMemo(() => picturesBy(plates).state, [plates]);
  const encounter = walk[done.length];
  if (walk.length === 0)
    return (
      <Screen>
        <Notice
          whole
          title={t.thePracticeWoodIsEmpty}
          text={t.thisGuideHasNothingThat}
          action={t.back}
          onAction={() => router.back()}
        />
      </Screen>
    );
  if (review) return <Review plates={plates} done={review} at={done.length} of={walk.length} onNext={goOn} />;
  if (!encounter)
    return (
      <WalkEnd
        done={done}
        seed={seed}
        gentle={gentle}
        onAgain={() =>
          router.replace({
            pathname: '/practice/wood',
            params: { seed: String(Math.floor(Math.random() * 1e6)) },
          })
        }
      />
    );
  return (
    <Meeting
      key={done.length}
      plates={plates}
      encounter={encounter}
      drawable={drawable}
      at={done.length + 1}
      of={walk.length}
      gentle={gentle}
      onDecide={(looks, decided) => decide(encounter, looks, decided)}
    />
  );
}

function practiceFind(
  { specimen, target }: Encounter,
  looks: readonly LookedAt[],
  decided: WalkDecision,
  { points, risked, open }: Scored,
  at: string,
): PracticeFind {
  const states = (value: LookedAt['value'] | undefined): StateId | undefined => statesRead(value)[0];
  return {
    at,
    target: target.id,
    was: specimen.taxon,
    stage: specimen.stage,
    seed: specimen.seed,
    strain: specimen.strained.length,
    decided,
    points: Math.round(points * 10) / 10,
    risked,
    ...(open === undefined ? {} : { open }),
    looks: looks.flatMap(({ character, value, sureness }) => {
      const [shown, read] = [states(specimen.shows.get(character)), states(value)];
      // What was given and not read says nothing of one's eye.
      return shown !== undefined && read !== undefined ? [{ character, shown, read, sureness }] : [];
    }),
  };
}
