import {
  causesIn,
  causesOf,
  see,
  type CompiledCharacter,
  type CompiledTaxon,
  type ReadingValue,
  type StageId,
  type StateId,
} from '@pause/core';
import type { Specimen } from './specimen';

/** How somebody misreads: whole causes at once, and, if hopeful, towards what they want it to be. */
export interface Temper {
  /** Chance that a cause goes wrong on a find. */
  readonly misread: number;
  /** Chance that a second look at the same thing repeats the first mistake. */
  readonly repeat: number;
  /** Misreads twice as often, nine times of ten towards the target; skips what it dislikes; starts again. */
  readonly hopeful: boolean;
}

export interface Observer {
  readonly look: (character: CompiledCharacter) => ReadingValue;
}

const TOWARDS_TARGET = 0.9;

/** Somebody in front of one specimen who takes it for the target. */
export function observe(
  specimen: Specimen,
  target: CompiledTaxon,
  stage: StageId,
  temper: Temper,
  next: () => number,
): Observer {
  const rate = Math.min(0.9, temper.misread * (temper.hopeful ? 2 : 1));
  const wrong = new Map<string, boolean>();
  const goesWrong = (cause: string) => {
    const before = wrong.get(cause);
    if (before !== undefined) return before;
    const now = next() < rate;
    wrong.set(cause, now);
    return now;
  };
  const last = new Map<number, ReadingValue>();

  const causesToGoWrong = (character: CompiledCharacter, value: ReadingValue): string[] => {
    const seen = value.kind === 'cant-tell' ? undefined : see(value, character);
    return [
      `group ${character.group}`,
      ...causesIn(seen ? causesOf(character, seen) : character.restsOn).map((cause) => `shared ${cause}`),
    ];
  };

  const mistaken = (character: CompiledCharacter, truth: ReadingValue): ReadingValue => {
    if (truth.kind !== 'states') {
      return truth.kind === 'measure'
        ? { ...truth, number: truth.number * (next() < 0.5 ? 0.4 : 2.5) }
        : truth;
    }
    const known = target.atStage.get(character.index)?.get(stage);
    const others = [...character.stateBit.keys()].filter(
      (s) => !truth.states.includes(s as StateId),
    ) as StateId[];
    const wanted =
      known?.kind === 'states'
        ? others.filter((s) => (known.usual & (character.stateBit.get(s) ?? 0)) !== 0)
        : [];
    const from = temper.hopeful && wanted.length > 0 && next() < TOWARDS_TARGET ? wanted : others;
    const state = from[Math.floor(next() * from.length)];
    return state === undefined ? truth : { kind: 'states', states: [state] };
  };

  return {
    look: (character) => {
      const truth = specimen.value(character);
      const before = last.get(character.index);
      // A mistake is repeated by chance until it is seen through once; then it stays seen through.
      const repeated =
        before && JSON.stringify(before) !== JSON.stringify(truth) && next() < temper.repeat ? before : truth;
      const value = before
        ? repeated
        : causesToGoWrong(character, truth).some(goesWrong)
          ? mistaken(character, truth)
          : truth;
      last.set(character.index, value);
      return value;
    },
  };
}
