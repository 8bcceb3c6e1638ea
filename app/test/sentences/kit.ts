import * as fc from 'fast-check';
import { guide } from '../../src/deciding/guide';

export const at = (minute: number) => new Date(Date.UTC(2026, 8, 14, 8, minute)).toISOString();
/** What somebody may have answered to a question of the guide. */
export function value(character: (typeof guide.characters)[number]['character']): fc.Arbitrary<object> {
  const cannot = fc.constant({ kind: 'cant-tell' });
  if (character.kind === 'count')
    return fc.oneof(
      cannot,
      fc.record({ kind: fc.constant('count'), number: fc.integer({ min: 0, max: 12 }) }),
    );
  if (character.kind === 'measure')
    return fc.oneof(
      cannot,
      fc.record({
        kind: fc.constant('measure'),
        number: fc.integer({ min: 1, max: 90 }),
        unit: fc.constantFrom('mm', 'cm'),
      }),
    );
  return fc.oneof(
    cannot,
    fc
      .subarray(
        character.states.map(({ id }) => id),
        { minLength: 1, maxLength: 2 },
      )
      .map((states) => ({ kind: 'states', states })),
  );
}
