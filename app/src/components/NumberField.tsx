import { useState } from 'react';
import { inUnit, readQuantity, type Quantity } from '@pause/core/harvest/preparing';
import { readNumber } from '@pause/core/lib/typed';
import { t } from '../text/en/components';
import { Field } from '.';

interface NumberProps {
  readonly label: string;
  readonly value: number | undefined;
  /** What would be right; shown where the text is no such number. */
  readonly right: string;
  /** Left out: anything above nothing. */
  readonly check?: (value: number) => boolean;
  readonly whole?: boolean;
  readonly placeholder?: string;
  readonly hint?: string;
  /** Left out: the number is kept, and the field says so. */
  readonly keeps?: boolean;
  readonly onChange: (value: number | undefined) => void;
}
const KEPT = t.kept;

/** More than this is no amount that anybody has in a kitchen or a basket. */
const MOST = 1e6;

/** A number that is recorded when its field is left, if it is as it should be. */
export function NumberField({
  label,
  value,
  right,
  check = (one) => one > 0,
  whole = false,
  placeholder,
  hint,
  keeps = true,
  onChange,
}: NumberProps) {
  const [kept, setKept] = useState(false);
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const number = readNumber(text);
  const wrong =
    number !== undefined &&
    !(Number.isFinite(number) && check(number) && (!whole || Number.isInteger(number)) && number <= MOST);
  const put = () => {
    if (wrong || number === value) return;
    onChange(number);
    setKept(keeps && number !== undefined);
  };
  const below = kept ? KEPT : hint;
  return (
    <Field
      label={label}
      inputMode="decimal"
      value={text}
      onChangeText={(typed) => {
        setText(typed);
        setKept(false);
      }}
      {...(placeholder ? { placeholder } : {})}
      {...(below ? { hint: below } : {})}
      {...(wrong ? { wrong: right } : {})}
      onBlur={put}
    />
  );
}

interface QuantityProps {
  readonly label: string;
  readonly of: Quantity['of'];
  /** Grams or millilitres. */
  readonly value: number | undefined;
  readonly hint?: string;
  readonly onChange: (value: number | undefined) => void;
}

/** An amount as a kitchen keeps it, with its unit, which is never guessed; it is recorded in grams or millilitres. */
export function QuantityField({ label, of, value, hint, onChange }: QuantityProps) {
  const base = of === 'mass' ? 'g' : 'ml';
  const [kept, setKept] = useState(false);
  const [text, setText] = useState(value === undefined ? '' : `${Math.round(value * 10) / 10} ${base}`);
  const read = text.trim() === '' ? undefined : readQuantity(text, of);
  const problem = read && 'problem' in read ? read.problem : undefined;
  const understood = read && 'quantity' in read ? inUnit(read.quantity, base) : undefined;
  const put = () => {
    if (problem !== undefined || understood === value) return;
    onChange(understood);
    setKept(understood !== undefined);
  };
  const below = kept ? KEPT : hint;
  return (
    <Field
      label={label}
      value={text}
      onChangeText={(typed) => {
        setText(typed);
        setKept(false);
      }}
      maxLength={30}
      placeholder={of === 'mass' ? t.exampleOfAWeight : t.exampleOfAVolume}
      {...(below ? { hint: below } : {})}
      {...(problem === undefined ? {} : { wrong: problem })}
      onBlur={put}
    />
  );
}
