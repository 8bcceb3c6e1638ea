import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { pairsOf, pairCard, type CardId } from '@pause/core/practice';
import { Screen, Loading, Notice, Small, Body } from '../../components';
import { useNeededPlates, type Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { useOpenPages } from '../../notebook/useOpenPages';
import { t } from '../../text/en/practice';
import { drillsFor, Drills, newSeed } from './DrillScreen';
import { Reading } from './LessonReading';
import { lessonsOf, type Lesson } from './lessons';
import { styles } from './lessonStyles';
import { picturesBy } from './pictures';
import { useSitting } from './useSitting';

/** One lesson: read it, do it, print its cards; and for whoever keeps it, make it. */
export function LessonScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const ready = useOpenPages();
  const plates = useNeededPlates();
  const pages = useApp((state) => state.pages.all);
  const lesson = useMemo(() => lessonsOf(pages).find((one) => one.id === id), [pages, id]);
  const [doing, setDoing] = useState(false);
  if (!ready || !plates)
    return (
      <Screen>
        <Loading what={t.openingTheLesson} />
      </Screen>
    );
  if (!lesson)
    return (
      <Screen>
        <Notice
          whole
          title={t.noSuchLesson}
          text={t.itIsNotInThis}
          action={t.lessons}
          onAction={() => router.replace('/practice/lessons')}
        />
      </Screen>
    );
  return doing ? (
    <Doing lesson={lesson} plates={plates} />
  ) : (
    <Reading lesson={lesson} plates={plates} onDo={() => setDoing(true)} />
  );
}

/** Each pair twice, in another order the second time. */
function Doing({ lesson, plates }: { readonly lesson: Lesson; readonly plates: Plates }) {
  const pictures = useMemo(() => picturesBy(plates), [plates]);
  const { known } = pairsOf(guide, lesson.fields);
  const [drills] = useState(() => {
    const cards = known.map(({ target, other }) => pairCard(target.id, other.id));
    return drillsFor([...cards, ...[...cards].reverse()], pictures, newSeed());
  });
  const { keep, kept, flush } = useSitting('lesson', lesson.id);
  const noteOf = (card: CardId) => {
    const pair = known.find(({ target, other }) => pairCard(target.id, other.id) === card);
    return pair?.note ? (
      <View style={styles.note}>
        <Small soft>{lesson.fields.title}</Small>
        <Body>{pair.note}</Body>
      </View>
    ) : null;
  };
  return (
    <Drills
      drills={drills}
      plates={plates}
      answers={kept.answers}
      onAnswer={(answer) => keep({ answers: [answer] })}
      onEnd={flush}
      empty={t.nothingOfItsPairsCan}
      noteOf={noteOf}
    />
  );
}
