import {
  type CharacterId,
  type Damage,
  type TaxonId,
  type CompiledGuide,
  HANDLING_SECONDS,
  effortOf,
} from '../../guide';

/** One check, and which of two comes first. */

/** Why a check is proposed. */
export type CheckWhy =
  /**
   * A look contradicted the target, or looks are at a tie: look again, elsewhere on the piece, in other
   * light.
   */
  | 'contradicted'
  /** An answer was taken back. */
  | 'taken-back'
  /** A mark of the target was seen, but not sure, or only nearly: look again. */
  | 'mark-unsure'
  /** A decision would rest on one look at it. */
  | 'look-again'
  /** It brings bars, a signature mark or a group that is still missing. */
  | 'brings-nearer'
  /**
   * Anybody who gathers looks at it: underside, flesh, colour, base and ground of a mushroom; leaf, stem,
   * smell, flower or fruit of a plant.
   */
  | 'essential'
  /** It was passed over, and too many were. */
  | 'unanswered';

export interface Check {
  readonly character: CharacterId;
  readonly why: CheckWhy;
  readonly seconds: number;
  readonly damage: Damage;
  /** Dangers not ruled out yet that harm the skin, where the check touches: gloves first. */
  readonly skin: readonly TaxonId[];
  /**
   * What this check would bring if it shows what is usual for the target (see `gains`): a number to compare
   * checks by.
   */
  readonly gain: number;
}

export function check(guide: CompiledGuide, id: CharacterId, why: CheckWhy, gain: number): Check {
  const character = guide.character(id)?.character;
  return {
    character: id,
    why,
    seconds: character?.seconds ?? 0,
    damage: character?.damage ?? 'none',
    skin: [],
    gain,
  };
}

const takes = (c: Check): number => HANDLING_SECONDS + effortOf(c);
export const rate = (c: Check): number => c.gain / takes(c);

/**
 * Whether one check is to be preferred to another that shows the same thing: it brings more for what it
 * takes, or takes less.
 */
export function easier(one: Check, other: Check): boolean {
  return rate(one) > rate(other) || (rate(one) === rate(other) && takes(one) < takes(other));
}

export function onlyLooks(guide: CompiledGuide, c: Check): boolean {
  return guide.character(c.character)?.character.observe === 'look';
}
