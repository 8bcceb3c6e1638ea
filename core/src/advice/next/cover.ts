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
  const left = Float64Array.from(wants);
  const usedCauses = new Int32Array(wants.length);
  const usedGroups = new Map<number, Uint8Array>();
  const checks = [...brought].map(([character, by]) => {
    const used = usedGroups.get(character.group) ?? new Uint8Array(wants.length);
    usedGroups.set(character.group, used);
    return { character, by, used, causes: causesOf(character), value: 0, round: 0 };
  });
  type One = (typeof checks)[number];
  const counts = ({ by, used, causes }: One, row: number) =>
    (by[row] as number) > 0 &&
    (left[row] as number) > 0 &&
    used[row] === 0 &&
    ((usedCauses[row] as number) & causes) === 0;
  const valueOf = (one: One): number => {
    let sum = marks.has(one.character.id) ? markWeight : 0;
    for (let row = 0; row < left.length; row += 1)
      if (counts(one, row))
        sum += Math.min(one.by[row] as number, left[row] as number) * ((weights[row] as number) + EASY);
    return sum / takes(one.character);
  };
  for (const one of checks) one.value = valueOf(one);
  const chosen = new Set<CharacterId>();
  while (chosen.size < MOST) {
    // What a check brings only falls as others are chosen, so only the best is worked out anew.
    let best = bestOf(checks);
    while (best && best.round < chosen.size) {
      best.value = valueOf(best);
      best.round = chosen.size;
      best = bestOf(checks);
    }
    if (!best || best.value * HANDLING_SECONDS <= LEAST) break;
    for (let row = 0; row < left.length; row += 1) {
      if (!counts(best, row)) continue;
      left[row] = (left[row] as number) - (best.by[row] as number);
      best.used[row] = 1;
      usedCauses[row] = (usedCauses[row] as number) | best.causes;
    }
    chosen.add(best.character.id);
    best.value = 0;
  }
  return chosen;
}

const bestOf = <One extends { readonly value: number }>(checks: readonly One[]): One | undefined =>
  checks.reduce<One | undefined>((best, one) => (one.value > (best?.value ?? 0) ? one : best), undefined);
