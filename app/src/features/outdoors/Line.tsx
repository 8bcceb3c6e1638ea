import { dayOf } from '@pause/core/day';
import { Field, useText } from '../../ui';

interface LineProps {
  readonly label: string;
  readonly value: string;
  readonly most?: number;
  readonly hint?: string | undefined;
  readonly placeholder?: string;
  /** Whether it can be told as it is; without this anything can. */
  readonly check?: (text: string) => boolean;
  /** What would be right. */
  readonly wrong?: string;
  readonly onTell: (text: string) => void;
}

/** A line that is told when it is left, if it is as it should be. */
export function Line({ label, value, most = 120, hint, placeholder, check = () => true, wrong = '', onTell }: LineProps) {
  const [text, setText] = useText(value);
  const said = text.trim();
  const bad = said !== '' && !check(said);
  return <Field label={label} value={text} onChangeText={setText} maxLength={most} {...(placeholder ? { placeholder } : {})} {...(hint ? { hint } : {})} {...(bad ? { wrong } : {})} onBlur={() => { if (!bad && said !== value) onTell(said); }} />;
}

export const isTime = (text: string): boolean => /^([01]\d|2[0-3]):[0-5]\d$/.test(text);
export function isDay(text: string): boolean {
  try {
    dayOf(text);
    return true;
  } catch {
    return false;
  }
}
