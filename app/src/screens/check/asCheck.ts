import type { CharacterId, Check } from '@pause/core';
import { characterOf } from '../../text/names';

/** A character as a check of its own, where no target says why it is asked. */
export function asCheck(character: CharacterId): Check {
  const known = characterOf(character);
  return {
    character,
    why: 'brings-nearer',
    seconds: known?.seconds ?? 0,
    damage: known?.damage ?? 'none',
    skin: [],
    gain: 0,
  };
}
