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
import { usePractice, type Practice, saveLearner, cardsNow, aboutSoon } from '../../notebook/practice';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/practice';
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

function Home({ practice, plates }: { readonly practice: Practice; readonly plates: Plates | undefined }) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const { learner } = practice;
  const due = useDue(practice, plates);
  const groups = useApp((state) => state.me.person?.groups ?? []);
  const start = (
    <View style={[styles.column, wide && styles.grow]}>
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
              chosen={learner.minutes === one}
              onPress={() => {
                void act(saveLearner(() => ({ minutes: one })));
              }}
            />
          ))}
        </ChipRow>
        <Button
          label={
            learner.minutes === 2
              ? t.practiseForTwoMinutes
              : t.practiseForMinutes(numberWord(learner.minutes))
          }
          disabled={due?.length === 0}
          onPress={() => router.push('/practice/drill')}
        />
      </View>
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
          onPress={() => {
            void act(saveLearner(({ gentle }) => ({ gentle: !gentle })));
          }}
        />
      </ChipRow>
    </View>
  );
  return (
    <Screen>
      <View>
        <Title>{t.practiceHeading}</Title>
        <Small soft>{t.pairByPairByLooking}</Small>
      </View>
      <View style={wide ? styles.columns : styles.column}>
        {start}
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
                      onPress={() => {
                        void act(
                          saveLearner(({ countsFor }) => ({
                            countsFor: countsFor.includes(id)
                              ? countsFor.filter((one) => one !== id)
                              : [...countsFor, id],
                          })),
                        );
                      }}
                    />
                  ))}
                </ChipRow>
              </>
            ) : null}
          </View>
        </View>
      </View>
    </Screen>
  );
}

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
  return `${upper(parts.join(', '))}.${about > 0 ? t.ofWhatStandsAroundNow(upper(numberWord(about))) : ''}`;
}
