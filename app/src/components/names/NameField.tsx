import { Input } from '..';

interface NameFieldProps {
  readonly text: string;
  readonly placeholder: string;
  readonly onText: (text: string) => void;
}

/** A name, in any language, or scientific. */
export function NameField({ text, placeholder, onText }: NameFieldProps) {
  return (
    <Input
      aria-label="Name, in any language, or scientific"
      value={text}
      onChangeText={onText}
      autoCapitalize="none"
      autoCorrect={false}
      placeholder={placeholder}
    />
  );
}
