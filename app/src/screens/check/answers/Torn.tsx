import { StyleSheet, View } from 'react-native';
import type { StateId } from '@pause/core';
import { Button, space, TARGET } from '../../../components';
import { t } from '../../../text/en/answer';

interface TornProps {
  readonly torn: readonly StateId[] | undefined;
  readonly setTorn: (torn: readonly StateId[] | undefined) => void;
  readonly onAnswer: (chosen: readonly StateId[]) => void;
}

/** Torn between some: two or more are named, and one more tap answers. */
export function Torn({ torn, setTorn, onAnswer }: TornProps) {
  if (!torn)
    return <Button label={t.tornBetweenSome} tone="plain" onPress={() => setTorn([])} style={styles.torn} />;
  return (
    <View style={styles.ways}>
      <Button label={t.oneAnswerOnly} tone="outline" style={styles.way} onPress={() => setTorn(undefined)} />
      <Button
        label={torn.length < 2 ? t.nameTwoOrMore : t.itIsOneOfThese}
        style={styles.way}
        disabled={torn.length < 2}
        onPress={() => onAnswer(torn)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', gap: space.s + 2 },
  way: { flex: 1 },
  torn: { alignSelf: 'flex-start', minHeight: TARGET },
});
