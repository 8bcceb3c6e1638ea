import { StyleSheet, View } from 'react-native';
import type { StateId } from '@pause/core';
import { Button, space, TARGET } from '../../../components';
import { t } from '../../../text/en/answer';

/** Height of the two buttons, and the space below them, in CSS pixels. */
export const SEVERAL_HEIGHT = 52 + space.s + 2;

interface SeveralProps {
  readonly several: readonly StateId[] | undefined;
  readonly setSeveral: (several: readonly StateId[] | undefined) => void;
  readonly onAnswer: (chosen: readonly StateId[]) => void;
}

/** Unsure between several: two or more are named, and one more tap answers. */
export function Several({ several, setSeveral, onAnswer }: SeveralProps) {
  if (!several)
    return (
      <Button
        label={t.unsureBetweenSeveral}
        tone="plain"
        onPress={() => setSeveral([])}
        style={styles.begin}
      />
    );
  return (
    <View style={styles.ways}>
      <Button
        label={t.oneAnswerOnly}
        tone="outline"
        style={styles.way}
        onPress={() => setSeveral(undefined)}
      />
      <Button
        label={several.length < 2 ? t.nameTwoOrMore : t.itIsOneOfThese}
        style={styles.way}
        disabled={several.length < 2}
        onPress={() => onAnswer(several)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', gap: space.s + 2 },
  way: { flex: 1, paddingHorizontal: space.s },
  begin: { alignSelf: 'flex-start', minHeight: TARGET },
});
