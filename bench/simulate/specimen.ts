import type {
  CompiledCharacter,
  CompiledGuide,
  CompiledTaxon,
  Known,
  ReadingValue,
  StageId,
  StateId,
} from '@pause/core';

/** An individual that never existed: what it would show to somebody who misreads nothing. */
export interface Specimen {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
  readonly value: (character: CompiledCharacter) => ReadingValue;
}

const USUAL_SHARE = 0.9;

function pick<T>(items: readonly T[], next: () => number): T {
  const item = items[Math.floor(next() * items.length)];
  if (item === undefined) throw new Error('nothing to pick from');
  return item;
}

function states(character: CompiledCharacter, mask: number): StateId[] {
  return [...character.stateBit].filter(([, bit]) => (mask & bit) !== 0).map(([state]) => state as StateId);
}

/** A value within what is known; where nothing is known, nature may show anything. */
function drawn(character: CompiledCharacter, known: Known | undefined, next: () => number): ReadingValue {
  if (character.stateBit.size > 0) {
    if (known?.kind !== 'states')
      return { kind: 'states', states: [pick([...character.stateBit.keys()] as StateId[], next)] };
    const occasional = (known.possible & ~known.usual) >>> 0;
    const mask = occasional !== 0 && next() > USUAL_SHARE ? occasional : known.usual;
    return { kind: 'states', states: [pick(states(character, mask), next)] };
  }
  const [low, high] =
    known?.kind === 'number' ? (next() < USUAL_SHARE ? known.usual : known.possible) : [1, 300];
  const number = low + next() * (high - low);
  return character.character.kind === 'count'
    ? { kind: 'count', number: Math.round(number) }
    : { kind: 'measure', number, unit: 'mm' };
}

/** One individual of a taxon at a stage. Values are drawn when first asked for, and then stay. */
export function grow(
  guide: CompiledGuide,
  taxon: CompiledTaxon,
  stage: StageId,
  next: () => number,
): Specimen {
  const shown = new Map<number, ReadingValue>();
  return {
    taxon,
    stage,
    value: (character) => {
      const before = shown.get(character.index);
      if (before) return before;
      const value = drawn(
        character,
        taxon.atStage.get(character.index)?.get(stage) ?? taxon.overall.get(character.index),
        next,
      );
      shown.set(character.index, value);
      return value;
    },
  };
}
