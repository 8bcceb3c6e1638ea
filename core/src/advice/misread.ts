import type { CompiledCharacter } from '../guide';

/** Whoever is wrong as often as not tells nothing by looking. */
const MOST = 0.49;

/**
 * How often a character is misread: by this person where that was measured, else by the guide's own estimate.
 */
export const misreadOf = (
  { id, character }: CompiledCharacter,
  own: ReadonlyMap<string, number> | undefined,
): number => Math.min(MOST, own?.get(id) ?? character.misread);
