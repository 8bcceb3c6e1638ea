import { StyleSheet, View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { Body, Button, colour, Heading, space } from '../../../components';
import { useApp } from '../../../notebook/store';
import { lowerFirst } from '../../../text/names';
import { readerName } from '../../../text/people';

interface TheirWordProps {
  readonly record: FindRecord;
  /** Whose word is asked for. */
  readonly person: string;
  /** What was seen, in words. */
  readonly seen: string;
  readonly onWord: (same: boolean) => void;
  readonly onBack: () => void;
}

/** The device goes over to whoever looks along: only with their word the look is of both. */
export function TheirWord({ record, person, seen, onWord, onBack }: TheirWordProps) {
  const group = useApp((state) => state.me.person?.groups.find((one) => one.id === record.group));
  const name = readerName(record, group, person);
  return (
    <View style={styles.card} role="group" aria-label={`The word of ${name}`}>
      <Heading>Now give it to {name}</Heading>
      <Body>
        {name}, look at the same spot. Seen here just now: {lowerFirst(seen)}. Do you see it so too?
      </Body>
      <Button label={`I am ${name}, and I see it so`} onPress={() => onWord(true)} />
      <Button label={`I am ${name}, and I see it otherwise`} tone="outline" onPress={() => onWord(false)} />
      <Button label="Back to the question" tone="plain" style={styles.start} onPress={onBack} />
    </View>
  );
}

const styles = StyleSheet.create({
  card: { gap: space.m, padding: space.m, backgroundColor: colour.pause },
  start: { alignSelf: 'flex-start' },
});
