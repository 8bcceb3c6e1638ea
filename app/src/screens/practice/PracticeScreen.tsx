import { useRouter } from 'expo-router';
import { useState, useMemo, useEffect } from 'react';
import { View } from 'react-native';
import type { CardId } from '@pause/core/practice';
import {
  Screen,
  Loading,
  useWide,
  Heading,
  Body,
  ChipRow,
  Chip,
  Button,
  Title,
  Small,
} from '../../components';
import { usePlates, type Plates } from '../../components/plates/usePlates';
import type { Group } from '../../notebook/api';
import { toggled } from '../../notebook/changeFields';
import { usePractice, type Practice, saveLearner, cardsNow, aboutSoon } from '../../notebook/practice';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/practice';
import { sentences } from '../../text/messages';
import { upper, numberWord } from '../../text/names';
import { LessonRows } from './LessonRows';
import { Pairs } from './Pairs';
import { picturesBy } from './pictures';
import { styles } from './practiceStyles';

/** Learning the pairs, a little at a time. */
export function PracticeScreen() {
  const practice = usePractice();
  const plates = usePlates();
  if (!practice.ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  return <Home practice={practice} plates={plates} />;
}

const MINUTES = [2, 5, 10, 15] as const;

interface HomeProps {
  readonly practice: Practice;
  readonly plates: Plates | undefined;
}

function Home({ practice, plates }: HomeProps) {
  const router = useRouter();
  const wide = useWide();
  return (
    <Screen>
      <View>
        <Title>{t.practiceHeading}</Title>
        <Small soft>{t.pairByPairByLooking}</Small>
      </View>
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <Begin practice={practice} plates={plates} />
        </View>
        <View style={[styles.column, wide && styles.grow]}>
          <Pairs practice={practice} />
          <View style={styles.block}>
            <Heading>{t.lessons}</Heading>
            <LessonRows />
            <Button
              label={t.makeOrLoadALesson}
              tone="plain"
              style={styles.start}
              onPress={() => router.push('/practice/lessons')}
            />
          </View>
          <TakenForWhat practice={practice} />
        </View>
      </View>
    </Screen>
  );
}

/** What is due, the practice wood, and how one wants to practise. */
function Begin({ practice, plates }: HomeProps) {
  const act = useAct();
  const router = useRouter();
  const { learner } = practice;
  return (
    <>
      <Due practice={practice} plates={plates} />
      <View style={styles.block}>
        <Heading>{t.thePracticeWood}</Heading>
        <Body>{t.fiveFindsThatNeverExisted}</Body>
        <Button label={t.walkIntoTheWood} tone="outline" onPress={() => router.push('/practice/wood')} />
      </View>
      <ChipRow label={t.set}>
        <Chip
          kind="checkbox"
          label={t.aGentlerSetForA}
          chosen={learner.gentle}
          onPress={() => void act(saveLearner(({ gentle }) => ({ gentle: !gentle })))}
        />
      </ChipRow>
    </>
  );
}

function Due({ practice, plates }: HomeProps) {
  const act = useAct();
  const router = useRouter();
  const { minutes } = practice.learner;
  const due = useDue(practice, plates);
  return (
    <View style={styles.block}>
      <Heading>
        {due === undefined
          ? t.lookingOutWhatIsDue
          : due.length === 0
            ? t.nothingIsDueToday
            : t.toLookAtNow(upper(numberWord(due.length)))}
      </Heading>
      {due && due.length > 0 ? <Body>{dueWords(due, practice)}</Body> : null}
      <ChipRow label={t.minutesADay}>
        {MINUTES.map((one) => (
          <Chip
            key={one}
            label={t.min(one)}
            chosen={minutes === one}
            onPress={() => void act(saveLearner(() => ({ minutes: one })))}
          />
        ))}
      </ChipRow>
      <Button
        label={minutes === 2 ? t.practiseForTwoMinutes : t.practiseForMinutes(numberWord(minutes))}
        disabled={due?.length === 0}
        onPress={() => router.push('/practice/drill')}
      />
    </View>
  );
}

/** What is taken for what, and in which groups it counts. */
function TakenForWhat({ practice: { learner } }: Pick<HomeProps, 'practice'>) {
  const act = useAct();
  const router = useRouter();
  const groups = useApp((state) => state.me.person?.groups ?? NO_GROUPS);
  return (
    <View style={styles.block}>
      <Heading>{t.whatIsTakenForWhat}</Heading>
      <Button
        label={t.seeThePicture}
        tone="outline"
        style={styles.start}
        onPress={() => router.push('/practice/confusion')}
      />
      {groups.length > 0 ? (
        <>
          <Small soft>{t.yoursMayCountInA}</Small>
          <ChipRow label={t.countsFor}>
            {groups.map(({ id, name }) => (
              <Chip
                key={id}
                kind="checkbox"
                label={name}
                chosen={learner.countsFor.includes(id)}
                onPress={() =>
                  void act(saveLearner(({ countsFor }) => ({ countsFor: toggled(countsFor, id) })))
                }
              />
            ))}
          </ChipRow>
        </>
      ) : null}
    </View>
  );
}

const NO_GROUPS: readonly Group[] = [];

/** Worked out after the screen is drawn: it takes a moment on an old phone. */
function useDue(practice: Practice, plates: Plates | undefined): readonly CardId[] | undefined {
  const [due, setDue] = useState<readonly CardId[]>();
  const { history, learner, soon } = practice;
  const pictures = useMemo(() => plates && picturesBy(plates), [plates]);
  useEffect(() => {
    if (!pictures) return undefined;
    const soonish = setTimeout(
      () => setDue(cardsNow({ history, learner, soon, now: practice.now }, pictures)),
      0,
    );
    return () => clearTimeout(soonish);
    // The clock alone asks nothing anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [history, learner, soon, pictures]);
  return due;
}

function dueWords(cards: readonly CardId[], { history, soon, now }: Practice): string {
  const known = cards.flatMap((id) => history.cards.get(id) ?? []);
  const due = known.filter(({ memory }) => Date.parse(memory.due) <= now.getTime()).length;
  const about = cards.filter((id) => aboutSoon(id, soon) > 0).length;
  const facts = [
    [due, t.due],
    [cards.length - known.length, t.new],
    [known.length - due, t.beforeItFades],
  ] as const;
  const parts = facts.filter(([count]) => count > 0).map(([count, word]) => `${numberWord(count)} ${word}`);
  return sentences(
    `${upper(parts.join(', '))}.`,
    about > 0 && t.ofWhatStandsAroundNow(upper(numberWord(about))),
  );
}
