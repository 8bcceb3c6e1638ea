import type { Sureness } from '@pause/core';
import { Chip, ChipRow } from '../../components';

const ALL: readonly (readonly [Sureness, string])[] = [
  ['sure', 'Sure'],
  ['fairly', 'Fairly'],
  ['guess', 'A guess'],
];

/** How sure somebody is, told before the answer. */
export function HowSure({
  sureness,
  onChange,
}: {
  readonly sureness: Sureness;
  readonly onChange: (sureness: Sureness) => void;
}) {
  return (
    <ChipRow label="How sure are you?">
      {ALL.map(([id, label]) => (
        <Chip key={id} label={label} chosen={sureness === id} onPress={() => onChange(id)} />
      ))}
    </ChipRow>
  );
}
