import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Field,
  Loading,
  Screen,
  Small,
  SmallStrong,
  Title,
  Stack,
  Row,
} from '../../components';
import { begin } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { useOpenPages } from '../../notebook/useOpenPages';
import { t } from '../../text/en/practice';
import { LessonRows } from './LessonRows';
import { loadLesson } from './lessons';

/** Lessons, and beginning one. */
export function LessonsScreen() {
  const ready = useOpenPages();
  if (!ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  return (
    <Screen>
      <View>
        <Title>{t.lessons}</Title>
        <Body>{t.pairsToBePractisedTogether}</Body>
      </View>
      <LessonRows />
      <NewLesson />
    </Screen>
  );
}

function NewLesson() {
  const router = useRouter();
  const act = useAct();
  const groups = useApp((state) => state.me.person?.groups);
  const keeps = (groups ?? []).filter(({ role }) => role === 'keeper');
  const [title, setTitle] = useState('');
  const [group, setGroup] = useState<string>();
  const [remarks, setRemarks] = useState<readonly string[]>([]);
  const open = (id: string | undefined) => {
    if (id !== undefined) router.push({ pathname: '/practice/lesson/[id]', params: { id } });
  };
  const load = () =>
    void act(loadLesson(group)).then(({ id, remarks: fromFile }) => {
      setRemarks(fromFile);
      open(id);
    });
  return (
    <Stack gap="m">
      <Field
        label={t.aNewLessonWhatIt}
        value={title}
        onChangeText={setTitle}
        maxLength={120}
        placeholder={t.whiteGillsWhiteSpores}
      />
      {keeps.length > 0 ? (
        <>
          <SmallStrong>{t.forWhom}</SmallStrong>
          <ChipRow label={t.forWhom}>
            <Chip label={t.myself} chosen={group === undefined} onPress={() => setGroup(undefined)} />
            {keeps.map(({ id, name }) => (
              <Chip key={id} label={name} chosen={group === id} onPress={() => setGroup(id)} />
            ))}
          </ChipRow>
        </>
      ) : (
        <Small soft>{t.aLessonForAGroup}</Small>
      )}
      <Row wrap gap="m">
        <Button
          label={t.beginIt}
          disabled={title.trim() === ''}
          onPress={() => void act(begin('lesson', { title: title.trim(), pairs: [] }, group)).then(open)}
        />
        <Button label={t.loadOneFromAFile} tone="outline" onPress={load} />
      </Row>
      {remarks.length > 0 ? (
        <View role="alert">
          {remarks.map((one) => (
            <Body key={one}>{one}</Body>
          ))}
        </View>
      ) : null}
    </Stack>
  );
}
