import { type CharacterId, type CompiledCharacter, effortOf, HANDLING_SECONDS, isNumber } from '../../guide';

/** A small set of checks that together bring all that is missing. */

/** What is missing, and what each check would bring of it. */
interface Missing {
  /** Bars wanted by each open row. */
  readonly wants: readonly number[];
  /** What a bar weighs to each row. */
  readonly weights: readonly number[];
  /** Bars that each check would bring each row. */
  readonly brought: ReadonlyMap<CompiledCharacter, Float64Array>;
  /** Marks of the signature that are not seen yet, and what one weighs. */
  readonly marks: ReadonlySet<string>;
  readonly markWeight: number;
}

/** What a bar weighs besides that many checks could give: it has to be filled all the same. */
const EASY = 0.05;

/** What brings less than this is chosen no more. */
const LEAST = 0.02;

/** Seconds that typing a number is worth avoiding: it takes a ruler and both hands. */
const NUMBER_SECONDS = 30;

const takes = ({ character }: CompiledCharacter): number =>
  HANDLING_SECONDS + effortOf(character) + (isNumber(character) ? NUMBER_SECONDS : 0);

/** More are never chosen. */
const MOST = 16;

/**
 * Chooses, one after the other, the check that brings most of what those before it leave missing, for its time
 * and damage, until nothing is missing. To one row only one check of each group counts, and only one that rests
 * on the same cause.
 *
 * @param causesOf - the causes (as bits) that a check rests on
 */
export function coverOf(
  { wants, weights, brought, marks, markWeight }: Missing,
  causesOf: (character: CompiledCharacter) => number,
): Set<CharacterId> {
  const left = [...wants];
  const groups = wants.map(() => new Set<number>());
  const causes = wants.map(() => 0);
  const counts = (character: CompiledCharacter, row: number) =>
    (left[row] as number) > 0 &&
    groups[row]?.has(character.group) !== true &&
    ((causes[row] as number) & causesOf(character)) === 0;
  const brings = (character: CompiledCharacter, by: Float64Array) =>
    by.reduce(
      (sum, change, row) =>
        change > 0 && counts(character, row)
          ? sum + Math.min(change, left[row] as number) * ((weights[row] as number) + EASY)
          : sum,
      marks.has(character.id) ? markWeight : 0,
    ) / takes(character);
  const open = new Map(brought);
  const chosen = new Set<CharacterId>();
  while (chosen.size < MOST) {
    let best: readonly [number, CompiledCharacter, Float64Array] | undefined;
    for (const [character, by] of open) {
      const value = brings(character, by);
      if (value * HANDLING_SECONDS > LEAST && value > (best?.[0] ?? 0)) best = [value, character, by];
    }
    if (!best) break;
    const [, character, by] = best;
    for (const [row, change] of by.entries()) {
      if (change <= 0 || !counts(character, row)) continue;
      left[row] = (left[row] as number) - change;
      groups[row]?.add(character.group);
      causes[row] = (causes[row] as number) | causesOf(character);
    }
    open.delete(character);
    chosen.add(character.id);
  }
  return chosen;
}
