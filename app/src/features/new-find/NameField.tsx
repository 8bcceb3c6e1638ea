import { StyleSheet, TextInput } from 'react-native';
import { colour, corner, font, space, stroke, typeSize } from '../../ui';

interface NameFieldProps {
  readonly text: string;
  readonly placeholder: string;
  readonly onText: (text: string) => void;
}

/** A name, in any language, or scientific. */
export function NameField({ text, placeholder, onText }: NameFieldProps) {
  return (
    <TextInput
      aria-label="Name, in any language, or scientific"
      value={text}
      onChangeText={onText}
      autoCapitalize="none"
      autoCorrect={false}
      placeholder={placeholder}
      placeholderTextColor={colour.inkSoft}
      style={styles.input}
    />
  );
}

const styles = StyleSheet.create({
  input: {
    minHeight: 54, borderWidth: stroke.thin, borderColor: colour.ink, borderRadius: corner, backgroundColor: colour.card,
    fontFamily: font.read, fontSize: typeSize(17), color: colour.ink, paddingHorizontal: space.m,
  },
});
