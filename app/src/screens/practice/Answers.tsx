import { Pressable, StyleSheet } from 'react-native';
import { colour, corner, space, stroke, Strong, TARGET, Row } from '../../components';
import { t } from '../../text/en/practice';

interface AnswersProps<T extends string> {
  readonly answers: readonly { readonly id: T; readonly label: string }[];
  readonly disabled?: boolean;
  readonly onAnswer: (id: T) => void;
}

/** Words to choose from; one tap answers. As wide as they are, so that many of them fit under a drawing. */
export function Answers<T extends string>({ answers, disabled = false, onAnswer }: AnswersProps<T>) {
  return (
    <Row wrap gap="s" role="group" aria-label={t.answers}>
      {answers.map(({ id, label }) => (
        <Pressable
          key={id}
          role="button"
          disabled={disabled}
          onPress={() => onAnswer(id)}
          style={({ pressed }) => [styles.answer, pressed && styles.pressed, disabled && styles.disabled]}
        >
          <Strong style={styles.label}>{label}</Strong>
        </Pressable>
      ))}
    </Row>
  );
}

const styles = StyleSheet.create({
  answer: {
    minHeight: TARGET + 4,
    maxWidth: '100%',
    flexGrow: 1,
    paddingHorizontal: space.m + 2,
    paddingVertical: space.s,
    justifyContent: 'center',
    alignItems: 'center',
    borderRadius: corner,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    backgroundColor: colour.card,
  },
  label: { textAlign: 'center' },
  pressed: { opacity: 0.7 },
  disabled: { opacity: 0.45 },
});
