import { StyleSheet, View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { Body, Button, colour, Heading, space } from '../../../components';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/theirWord';
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
    <View style={styles.card} role="group" aria-label={t.theWordOf(name)}>
      <Heading>{t.nowGiveItTo(name)}</Heading>
      <Body>{t.lookAtTheSameSpot(name, lowerFirst(seen))}</Body>
      <Button label={t.iAmAndISee(name)} onPress={() => onWord(true)} />
      <Button label={t.iAmAndISeeIt(name)} tone="outline" onPress={() => onWord(false)} />
      <Button label={t.backToTheQuestion} tone="plain" style={styles.start} onPress={onBack} />
    </View>
  );
}

const styles = StyleSheet.create({
  card: { gap: space.m, padding: space.m, backgroundColor: colour.pause },
  start: { alignSelf: 'flex-start' },
});
