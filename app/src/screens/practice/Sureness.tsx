import type { Sureness } from '@pause/core';
import { Chip, ChipRow } from '../../components';
import { t } from '../../text/en/practice';

const ALL: readonly (readonly [Sureness, string])[] = [
  ['sure', t.sure],
  ['fairly', t.fairly],
  ['guess', t.aGuess],
];

/** How sure somebody is, asked before the answer. */
export function HowSure({
  sureness,
  onChange,
}: {
  readonly sureness: Sureness;
  readonly onChange: (sureness: Sureness) => void;
}) {
  return (
    <ChipRow label={t.howSureAreYou}>
      {ALL.map(([id, label]) => (
        <Chip key={id} label={label} chosen={sureness === id} onPress={() => onChange(id)} />
      ))}
    </ChipRow>
  );
}
