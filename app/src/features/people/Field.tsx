import { StyleSheet, TextInput, View, type TextInputProps } from 'react-native';
import { colour, corner, font, Small, SmallStrong, space, stroke, typeSize } from '../../ui';

interface FieldProps extends Omit<TextInputProps, 'style'> {
  readonly label: string;
  readonly hint?: string;
  /** What is wrong with it. */
  readonly wrong?: string | undefined;
}

/** A line to write in, with its name above and what is wrong with it below. */
export function Field({ label, hint, wrong, ...props }: FieldProps) {
  return (
    <View style={styles.field}>
      <SmallStrong>{label}</SmallStrong>
      <TextInput aria-label={label} aria-invalid={wrong !== undefined} placeholderTextColor={colour.inkSoft} {...props} style={[styles.input, wrong !== undefined && styles.wrong]} />
      {wrong === undefined ? hint ? <Small soft>{hint}</Small> : null : <SmallStrong role="alert">{wrong}</SmallStrong>}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space.xs },
  input: {
    minHeight: 54, borderWidth: stroke.thin, borderColor: colour.ink, borderRadius: corner, backgroundColor: colour.card,
    fontFamily: font.read, fontSize: typeSize(17), color: colour.ink, paddingHorizontal: space.m,
  },
  wrong: { borderWidth: stroke.thick },
});
