import { colourDistance, compileGuide, type State, statesOfCharacter } from '@pause/core';
import { shippedGuide } from '../src';

/** Answers that are like each other are next to each other, whatever the find is taken for. */

const characters = compileGuide(shippedGuide()).characters.map(({ character }) => character);

test('states that shade into each other are at most two places apart', () => {
  const apart = characters.flatMap((character) => {
    const states = statesOfCharacter(character).map(({ id }) => id);
    const shades = 'shades' in character ? (character.shades ?? []) : [];
    return shades
      .filter(([a, b]) => Math.abs(states.indexOf(a) - states.indexOf(b)) > 2)
      .map((pair) => `${character.id}: ${pair.join(', ')}`);
  });
  expect(apart).toEqual([]);
});

/** Going from swatch to swatch in the order of the guide is hardly longer than the shortest way through all. */
const LONGER = 1.3;

test('colours go from one to the next like it', () => {
  const coloured = characters
    .map((character) => ({ id: character.id, swatches: swatchesOf(statesOfCharacter(character)) }))
    .filter(({ swatches }) => swatches.length >= 4);
  expect(coloured.length).toBeGreaterThan(7);
  const jumping = coloured.filter(({ swatches }) => lengthOf(swatches) > LONGER * shortest(swatches));
  expect(jumping.map(({ id }) => id)).toEqual([]);
});

const swatchesOf = (states: readonly State[]) => states.flatMap(({ swatch }) => (swatch ? [swatch] : []));

const lengthOf = (swatches: readonly string[]) =>
  swatches.slice(1).reduce((sum, swatch, at) => sum + colourDistance(swatches[at] ?? swatch, swatch), 0);

/** The shortest way from the first through all others, by Held and Karp: over all sets that end in each. */
function shortest(swatches: readonly string[]): number {
  const count = swatches.length;
  const best = new Float64Array(2 ** count * count).fill(Infinity);
  best[count] = 0;
  for (let set = 1; set < 2 ** count; set += 1)
    for (let last = 0; last < count; last += 1) {
      const until = best[set * count + last] ?? Infinity;
      if (until === Infinity) continue;
      for (let next = 0; next < count; next += 1) {
        if (set & (1 << next)) continue;
        const at = (set | (1 << next)) * count + next;
        const whole = until + colourDistance(swatches[last] ?? '', swatches[next] ?? '');
        best[at] = Math.min(best[at] ?? Infinity, whole);
      }
    }
  return Math.min(...best.slice((2 ** count - 1) * count));
}
