import { StyleSheet, TextInput, type TextInputProps } from 'react-native';
import { Stack } from './layout';
import { colour, corner, font, space, stroke, typeSize } from './tokens';
import { Small, SmallStrong } from './Words';

interface InputProps extends Omit<TextInputProps, 'style'> {
  readonly wrong?: boolean;
}

/** A line to write in, or with `multiline` a few of them. */
export function Input({ wrong = false, ...props }: InputProps) {
  return (
    <TextInput
      aria-invalid={wrong}
      placeholderTextColor={colour.inkSoft}
      {...props}
      style={[styles.input, props.multiline && styles.tall, wrong && styles.wrong]}
    />
  );
}

interface FieldProps extends Omit<TextInputProps, 'style'> {
  readonly label: string;
  readonly hint?: string;
  /** What is wrong with it. */
  readonly wrong?: string | undefined;
}

/** The same with its name above and what is wrong with it below. */
export function Field({ label, hint, wrong, ...props }: FieldProps) {
  return (
    <Stack gap="xs">
      <SmallStrong>{label}</SmallStrong>
      <Input aria-label={label} wrong={wrong !== undefined} {...props} />
      {wrong === undefined ? (
        hint ? (
          <Small soft>{hint}</Small>
        ) : null
      ) : (
        <SmallStrong role="alert">{wrong}</SmallStrong>
      )}
    </Stack>
  );
}

const styles = StyleSheet.create({
  input: {
    minHeight: 54,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    fontFamily: font.read,
    fontSize: typeSize(17),
    color: colour.ink,
    paddingHorizontal: space.m,
  },
  tall: { minHeight: 96, paddingVertical: space.m },
  wrong: { borderWidth: stroke.thick },
});
