import {
  relationAtStages,
  toLook,
  type Case,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type PieceId,
  type Reading,
  type ReadingId,
  type StageId,
  type Unnamed,
} from '@pause/core';
import { identify } from '@pause/core/questions';
import { observe, type Temper } from './observer';
import type { Ended } from './protocol';
import { grow } from './specimen';

/** Other ways to decide, on the same specimens and with the same eyes. */

const AT = new Date(Date.UTC(2026, 8, 14, 8)).toISOString();

function readable(guide: CompiledGuide, target: CompiledTaxon, stage: StageId): CompiledCharacter[] {
  return guide.characters.filter(
    (c) =>
      !c.place &&
      c.character.kingdom === target.taxon.kingdom &&
      c.stateBit.size > 0 &&
      c.stages.has(stage) &&
      c.character.seconds < 3600,
  );
}

function eyes(
  guide: CompiledGuide,
  truth: CompiledTaxon,
  target: CompiledTaxon,
  stage: StageId,
  temper: Temper,
  next: () => number,
) {
  const trueStage = truth.taxon.stages.includes(stage) ? stage : (truth.taxon.stages[0] ?? stage);
  const observer = observe(grow(guide, truth, trueStage, next), target, stage, temper, next);
  return (character: CompiledCharacter): Reading => ({
    id: `r${character.index}` as ReadingId,
    piece: 'p' as PieceId,
    character: character.id,
    value: observer.look(character),
    sureness: 'sure',
    by: 'observer',
    at: AT,
  });
}

/** Everything is read; what matches most is it. */
export function mostMatched(
  guide: CompiledGuide,
  truth: CompiledTaxon,
  target: CompiledTaxon,
  stage: StageId,
  temper: Temper,
  next: () => number,
): Ended {
  const see = eyes(guide, truth, target, stage, temper, next);
  const characters = readable(guide, target, stage);
  const looks = characters.flatMap((c) => toLook(guide, see(c)) ?? []);
  const score = (taxon: CompiledTaxon) =>
    looks.filter(
      (look) =>
        relationAtStages(look, taxon, taxon.taxon.stages.includes(stage) ? [stage] : undefined) === 'fits',
    ).length;
  const rivals = guide.taxa.filter(
    (t) => t.taxon.kingdom === target.taxon.kingdom && t.index !== target.index,
  );
  const mine = score(target);
  const collect = rivals.every((rival) => score(rival) < mine);
  return {
    outcome: collect ? 'collect' : 'leave',
    checks: looks.length,
    seconds: characters.reduce((sum, c) => sum + c.character.seconds, 0),
  };
}

/** The telling checks are followed until the target is this probable, or another one is. */
export function probable(threshold: number) {
  return (
    guide: CompiledGuide,
    truth: CompiledTaxon,
    target: CompiledTaxon,
    stage: StageId,
    temper: Temper,
    next: () => number,
  ): Ended => {
    const see = eyes(guide, truth, target, stage, temper, next);
    const readings: Reading[] = [];
    let seconds = 0;
    for (let step = 0; step < 25; step += 1) {
      const find: Unnamed = {
        guide: { id: guide.guide.id },
        kingdom: target.taxon.kingdom,
        pieces: [{ id: 'p', startedAt: AT, purpose: 'decide' }] as Case['pieces'],
        readings,
        context: { stages: [stage] },
      };
      const found = identify(guide, find, { hands: { longest: 3600 } });
      const best = found.candidates[0];
      if (best && best.probability > threshold)
        return { outcome: best.taxon === target.id ? 'collect' : 'leave', checks: step, seconds };
      const check = found.checks.find((c) => guide.character(c.character)?.place === false);
      const character = check && guide.character(check.character);
      if (!character) break;
      seconds += character.character.seconds;
      readings.push(see(character));
    }
    return { outcome: 'pause', checks: readings.length, seconds };
  };
}

interface Fork {
  readonly character: CompiledCharacter;
  readonly ways: ReadonlyMap<string, Key>;
}

type Key = Fork | { readonly taxa: readonly CompiledTaxon[] };

/** A branching key grown from the guide: at each fork the character that parts the taxa most evenly. */
function growKey(
  taxa: readonly CompiledTaxon[],
  characters: readonly CompiledCharacter[],
  stage: StageId,
): Key {
  if (taxa.length <= 1 || characters.length === 0) return { taxa };
  const waysOf = (c: CompiledCharacter) =>
    new Map(
      [...c.stateBit]
        .map(
          ([state, bit]) =>
            [
              state,
              taxa.filter((t) => {
                const known = t.atStage.get(c.index)?.get(stage) ?? t.overall.get(c.index);
                return known?.kind !== 'states' || (known.usual & bit) !== 0;
              }),
            ] as const,
        )
        .filter(([, left]) => left.length > 0),
    );
  const largest = (c: CompiledCharacter) => Math.max(...[...waysOf(c).values()].map((left) => left.length));
  const best = characters.reduce((a, b) => (largest(b) < largest(a) ? b : a));
  if (largest(best) === taxa.length) return { taxa };
  const rest = characters.filter((c) => c !== best);
  return {
    character: best,
    ways: new Map([...waysOf(best)].map(([state, left]) => [state, growKey(left, rest, stage)])),
  };
}

const keys = new Map<string, Key>();

/** The key is walked down once; whoever ends at the target alone has it. */
export function branchingKey(
  guide: CompiledGuide,
  truth: CompiledTaxon,
  target: CompiledTaxon,
  stage: StageId,
  temper: Temper,
  next: () => number,
): Ended {
  const name = `${guide.version} ${target.taxon.kingdom} ${stage}`;
  let key =
    keys.get(name) ??
    growKey(
      guide.taxa.filter((t) => t.taxon.kingdom === target.taxon.kingdom),
      readable(guide, target, stage),
      stage,
    );
  keys.set(name, key);
  const see = eyes(guide, truth, target, stage, temper, next);
  let checks = 0;
  let seconds = 0;
  while ('character' in key) {
    const { value } = see(key.character);
    checks += 1;
    seconds += key.character.character.seconds;
    const way: Key | undefined = value.kind === 'states' ? key.ways.get(value.states[0] ?? '') : undefined;
    if (!way) return { outcome: 'leave', checks, seconds };
    key = way;
  }
  return { outcome: key.taxa.length === 1 && key.taxa[0] === target ? 'collect' : 'leave', checks, seconds };
}
