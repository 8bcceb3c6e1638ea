import { Input } from '..';
import { t } from '../../text/en/components';

interface NameFieldProps {
  readonly text: string;
  readonly placeholder: string;
  readonly onText: (text: string) => void;
}

/** A name, in any language, or scientific. */
export function NameField({ text, placeholder, onText }: NameFieldProps) {
  return (
    <Input
      aria-label={t.nameInAnyLanguageOr}
      value={text}
      onChangeText={onText}
      autoCapitalize="none"
      autoCorrect={false}
      placeholder={placeholder}
    />
  );
}
