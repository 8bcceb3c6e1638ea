import { useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { Button, Chip, ChipRow, colour, space, Strong, TARGET, Stack } from '../../../components';
import { t } from '../../../text/en/answer';
import { numberInput } from './numberInput';
import { numberProblem } from './numberProblem';
import type { AnswerProps, OfKind } from './props';

/** Counted with two big buttons, or typed; and nobody needs to count beyond what tells. */
export function CountAnswer({ character: { id: character }, onAnswer }: AnswerProps<OfKind<'count'>>) {
  const [text, setText] = useState('');
  const [orMore, setOrMore] = useState(false);
  const wrong = numberProblem(text, character, 'count', 'mm');
  const number = text.trim() === '' || wrong ? undefined : Number(text);
  const step = (by: number) => setText(String(Math.max(0, (number ?? (by > 0 ? 0 : 1)) + by)));
  return (
    <Stack gap="m">
      <View style={styles.stepper}>
        <Button
          label="−"
          aria-label={t.oneLess}
          tone="outline"
          style={styles.step}
          onPress={() => step(-1)}
        />
        <TextInput
          aria-label={t.count}
          aria-invalid={wrong !== undefined}
          inputMode="numeric"
          value={text}
          onChangeText={setText}
          style={[styles.input, styles.grow]}
          placeholder="?"
          placeholderTextColor={colour.inkSoft}
        />
        <Button label="+" aria-label={t.oneMore} tone="outline" style={styles.step} onPress={() => step(1)} />
      </View>
      <ChipRow label={t.exactlyOrMore}>
        <Chip kind="checkbox" label={t.thatManyOrMore} chosen={orMore} onPress={() => setOrMore(!orMore)} />
      </ChipRow>
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
      <Button
        label={t.recordIt}
        disabled={number === undefined}
        onPress={() => {
          if (number !== undefined) onAnswer({ kind: 'count', number, ...(orMore ? { orMore } : {}) });
        }}
      />
    </Stack>
  );
}

const styles = StyleSheet.create({
  stepper: { flexDirection: 'row', gap: space.m, alignItems: 'stretch' },
  step: { width: 88, minHeight: TARGET + 24 },
  grow: { flex: 1, minWidth: 0, textAlign: 'center' },
  input: numberInput,
});
