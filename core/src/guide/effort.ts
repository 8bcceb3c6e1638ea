import type { Damage } from './ids';
import type { Character } from './kinds';

/**
 * Seconds that any check is worth avoiding, whatever it takes: finding the place on the specimen, answering,
 * and the chance of one more mistake. Few good looks are preferred to many quick ones.
 */
export const HANDLING_SECONDS = 60;

/** Seconds that a damage is counted as, so that harmless checks come before harmful ones. */
export const DAMAGE_SECONDS: Readonly<Record<Damage, number>> = { none: 0, slight: 10, part: 60, whole: 240 };

/** What looking at a character takes: its own seconds, and its damage counted as seconds. */
export const effortOf = ({ seconds, damage }: Pick<Character, 'seconds' | 'damage'>): number =>
  seconds + DAMAGE_SECONDS[damage];

/** Seconds that somebody standing before a find waits rather than cut it. */
const A_WHILE = 300;

const costsPiece = ({ damage }: Pick<Character, 'damage'>): boolean =>
  damage === 'part' || damage === 'whole';

/**
 * Puts off what costs a piece of the specimen while something harmless, that takes minutes at most, would
 * bring as much.
 *
 * @param checks best first
 * @param worth what a check would bring, whatever it takes
 */
export function harmlessFirst<Check extends Pick<Character, 'seconds' | 'damage'>>(
  checks: readonly Check[],
  worth: (check: Check) => number,
): Check[] {
  const ordered: Check[] = [];
  for (const one of checks) {
    const harmless = !costsPiece(one) && one.seconds <= A_WHILE;
    const place = harmless
      ? ordered.findIndex((before) => costsPiece(before) && worth(before) <= worth(one))
      : -1;
    ordered.splice(place < 0 ? ordered.length : place, 0, one);
  }
  return ordered;
}
