import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
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
  space,
  Title,
} from '../../components';
import { begin } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { useOpenPages } from '../../notebook/useOpenPages';
import { LessonRows } from './LessonRows';
import { loadLesson } from './lessons';

/** Lessons, and beginning one. */
export function LessonsScreen() {
  const router = useRouter();
  const act = useAct();
  const ready = useOpenPages();
  const groups = useApp((state) => state.me.person?.groups);
  const keeps = (groups ?? []).filter(({ role }) => role === 'keeper');
  const [title, setTitle] = useState('');
  const [group, setGroup] = useState<string>();
  const [remarks, setRemarks] = useState<readonly string[]>([]);
  const open = (id: string | undefined) => {
    if (id !== undefined) router.push({ pathname: '/practice/lesson/[id]', params: { id } });
  };
  if (!ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  return (
    <Screen>
      <View>
        <Title>Lessons</Title>
        <Body>Pairs to be practised together, with what whoever made it has to say of them.</Body>
      </View>
      <LessonRows />
      <View style={styles.block}>
        <Field
          label="A new lesson: what it is called"
          value={title}
          onChangeText={setTitle}
          maxLength={120}
          placeholder="White gills, white spores"
        />
        {keeps.length > 0 ? (
          <>
            <SmallStrong>For whom</SmallStrong>
            <ChipRow label="For whom">
              <Chip label="Myself" chosen={group === undefined} onPress={() => setGroup(undefined)} />
              {keeps.map(({ id, name }) => (
                <Chip key={id} label={name} chosen={group === id} onPress={() => setGroup(id)} />
              ))}
            </ChipRow>
          </>
        ) : (
          <Small soft>A lesson for a group is made by one of its keepers.</Small>
        )}
        <View style={styles.ways}>
          <Button
            label="Begin it"
            disabled={title.trim() === ''}
            onPress={() => {
              void act(begin('lesson', { title: title.trim(), pairs: [] }, group)).then(open);
            }}
          />
          <Button
            label="Load one from a file"
            tone="outline"
            onPress={() => {
              void act(loadLesson(group)).then(({ id, remarks: fromFile }) => {
                setRemarks(fromFile);
                open(id);
              });
            }}
          />
        </View>
        {remarks.length > 0 ? (
          <View role="alert">
            {remarks.map((one) => (
              <Body key={one}>{one}</Body>
            ))}
          </View>
        ) : null}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.m },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
});
