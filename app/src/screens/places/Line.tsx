import type { Day } from '@pause/core/lib/day';
import { readDay, readTime, yearsAround, type Typed } from '@pause/core/lib/typed';
import { Field, useText } from '../../components';
import { t } from '../../text/en/places';

interface LineProps {
  readonly label: string;
  readonly value: string;
  readonly most?: number;
  readonly hint?: string | undefined;
  readonly placeholder?: string;
  /** Reads what was typed; without it any text is kept as it is. */
  readonly read?: (text: string) => Typed<string>;
  readonly onChange: (text: string) => void;
}

const asItIs = (text: string): Typed<string> => ({ value: text });

/** A line that is recorded when it is left, if it can be read; then it shows how it was read. */
export function Line({ label, value, most = 120, hint, placeholder, read = asItIs, onChange }: LineProps) {
  const [text, setText] = useText(value);
  const typed = text.trim();
  const parsed: Typed<string> = typed === '' ? { value: '' } : read(typed);
  const put = () => {
    if ('problem' in parsed) return;
    setText(parsed.value);
    if (parsed.value !== value) onChange(parsed.value);
  };
  return (
    <Field
      label={label}
      value={text}
      onChangeText={setText}
      maxLength={most}
      {...(placeholder ? { placeholder } : {})}
      {...(hint ? { hint } : {})}
      {...('problem' in parsed ? { wrong: parsed.problem } : {})}
      onBlur={put}
    />
  );
}

interface DayLineProps extends Omit<LineProps, 'read' | 'placeholder' | 'most'> {
  readonly today: Day;
  /** So many years before this one, and after it, can be meant. */
  readonly back: number;
  readonly ahead: number;
}

/** A day, as people write it. */
export function DayLine({ today, back, ahead, ...line }: DayLineProps) {
  return (
    <Line
      {...line}
      placeholder={t.n31October2026}
      read={(text) => readDay(text, yearsAround(today, back, ahead))}
    />
  );
}

/** A time of the day, as people write it. */
export const TimeLine = (line: Omit<LineProps, 'read' | 'placeholder' | 'most'>) => (
  <Line {...line} placeholder="8:30" read={readTime} />
);
