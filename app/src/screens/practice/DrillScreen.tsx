import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Sureness } from '@pause/core';
import { drillFor, type CardId, type Drill, type PracticeAnswer } from '@pause/core/practice';
import {
  Body,
  Button,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  Title,
  WaysOut,
} from '../../components';
import { useNeededPlates, type Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { now } from '../../notebook/add';
import { cardsNow, usePractice, type Practice } from '../../notebook/practice';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/practice';
import { cardName, TO_PRACTICE } from '../../text/practice';
import { DrillCard } from './DrillCard';
import { type DrillAnswer } from './drillStyles';
import { picturesBy } from './pictures';
import { useSitting } from './useSitting';

/** A sitting of a few minutes: what is due, one question after another. */
export function DrillScreen() {
  const practice = usePractice();
  const plates = useNeededPlates();
  const { cards, minutes } = useLocalSearchParams<{ cards?: string; minutes?: string }>();
  // Kept here, so that the questions stay the same where the device learns meanwhile whose it is.
  const [seed] = useState(newSeed);
  if (!practice.ready || !plates)
    return (
      <Screen>
        <Loading what={t.lookingOutWhatIsDue} />
      </Screen>
    );
  return (
    <Sitting
      practice={practice}
      plates={plates}
      chosen={cards?.split(',').filter((one) => one !== '')}
      minutes={Number(minutes) > 0 ? Number(minutes) : undefined}
      seed={seed}
    />
  );
}

interface SittingProps {
  readonly practice: Practice;
  readonly plates: Plates;
  /** Asked for, in place of what is due. */
  readonly chosen: readonly CardId[] | undefined;
  readonly minutes: number | undefined;
  readonly seed: number;
}

function Sitting({ practice, plates, chosen, minutes, seed }: SittingProps) {
  const pictures = useMemo(() => picturesBy(plates), [plates]);
  const [drills] = useState(() => drillsFor(chosen ?? cardsNow(practice, pictures, minutes), pictures, seed));
  const { keep, kept, flush } = useSitting('drill');
  return (
    <Drills
      drills={drills}
      plates={plates}
      answers={kept.answers}
      gentle={practice.learner.gentle}
      onAnswer={(answer) => keep({ answers: [answer] })}
      onEnd={flush}
      empty={chosen ? t.theGuideKnowsNothingOf : t.nothingIsDueWhatYou}
    />
  );
}

/** Each sitting asks anew. */
export const newSeed = (): number => Math.floor(Math.random() * 1e6);

/** Questions for these cards. @param seed decides how each of them is asked */
export function drillsFor(
  cards: readonly CardId[],
  pictures: ReturnType<typeof picturesBy>,
  seed: number,
): Drill[] {
  return cards.flatMap((card, index) => drillFor(guide, card, seed + index, pictures) ?? []);
}

interface DrillsProps {
  readonly drills: readonly Drill[];
  readonly plates: Plates;
  readonly answers: readonly PracticeAnswer[];
  readonly onAnswer: (answer: PracticeAnswer) => void;
  /** The last one was answered. */
  readonly onEnd: () => void;
  readonly empty: string;
  /** The set for a child. */
  readonly gentle?: boolean;
  /** Shown with a question, by whoever made the lesson. */
  readonly noteOf?: (card: CardId) => React.ReactNode;
}

export function Drills({
  drills,
  plates,
  answers,
  onAnswer,
  onEnd,
  empty,
  gentle = false,
  noteOf,
}: DrillsProps) {
  const router = useRouter();
  const act = useAct();
  const [at, setAt] = useState(0);
  const drill = drills[at];
  const toPractice = () => (router.canGoBack() ? router.back() : router.replace('/practice'));
  if (drills.length === 0)
    return (
      <Screen>
        <Notice whole title={t.nothingToPractiseNow} text={empty} action={t.back} onAction={toPractice} />
      </Screen>
    );
  if (!drill) return <SittingEnd answers={answers} gentle={gentle} onBack={toPractice} />;
  const answered = ({ right, sureness, look }: DrillAnswer, sure: Sureness) =>
    onAnswer({
      card: drill.card,
      at: act(now()),
      right,
      sureness: sureness ?? sure,
      ...(look ? { look } : {}),
    });
  return (
    <Screen rooms={false}>
      <WaysOut ways={TO_PRACTICE} />
      <Small soft role="heading" aria-level={1}>
        {t.practiceOf(at + 1, drills.length)}
      </Small>
      <DrillCard
        key={at}
        drill={drill}
        plates={plates}
        note={noteOf?.(drill.card)}
        onAnswer={answered}
        onNext={() => {
          if (at + 1 === drills.length) onEnd();
          setAt(at + 1);
        }}
        last={at + 1 === drills.length}
      />
      <Button label={t.stopHere} tone="plain" style={styles.start} onPress={toPractice} />
    </Screen>
  );
}

function SittingEnd({
  answers,
  gentle,
  onBack,
}: {
  readonly answers: readonly PracticeAnswer[];
  readonly gentle: boolean;
  readonly onBack: () => void;
}) {
  const right = answers.filter((one) => one.right).length;
  const wrong = answers.filter((one) => !one.right);
  return (
    <Screen>
      <View>
        <Small soft>{t.practiceHeading}</Small>
        <Title>{t.ofRight(right, answers.length)}</Title>
        <Body>
          {gentle
            ? t.whateverYouFindOutdoorsShow
            : wrong.length === 0
              ? t.whatWasLookedAtComes
              : t.whatWasMistakenComesBack}
        </Body>
      </View>
      <View role="list" aria-label={t.whatWasAsked}>
        <Rule />
        {answers.map((one, index) => (
          <View key={index} role="listitem">
            <View style={styles.row}>
              <Strong style={styles.grow}>{cardName(one.card)}</Strong>
              <SmallStrong>
                {one.right
                  ? one.sureness === 'sure'
                    ? t.known
                    : t.rightNotSure
                  : one.sureness === 'sure'
                    ? t.sureAndWrong
                    : t.wrongLower}
              </SmallStrong>
            </View>
            <Rule />
          </View>
        ))}
      </View>
      <Button label={t.done} onPress={onBack} />
    </Screen>
  );
}

const styles = StyleSheet.create({
  start: { alignSelf: 'flex-start' },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: 48 },
  grow: { flex: 1 },
});
