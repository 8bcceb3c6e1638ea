import {
  millimetres,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type Known,
  type StageId,
} from '@pause/core';
import { entryOf, type Reading } from '@pause/guide/readings';
import type { WantedEntry } from '@pause/guide/wanted';

/**
 * Taxa as somebody else than the guide describes them, for specimens that do not come from its own
 * statements.
 */

function mask(character: CompiledCharacter, states: readonly string[] = []): number {
  return states.reduce((bits, state) => (bits | (character.stateBit.get(state) ?? 0)) >>> 0, 0);
}

function span({ character }: CompiledCharacter, range: readonly [number, number]): readonly [number, number] {
  const [low, high] = range.map((value) =>
    character.kind === 'measure' ? millimetres(value, character.unit) : value,
  );
  return [low ?? 0, high ?? 0];
}

/**
 * The taxon with some characters as described here, the same at every stage; of the others what the guide says.
 */
function described(
  guide: CompiledGuide,
  taxon: CompiledTaxon,
  tell: (character: CompiledCharacter) => Known | undefined,
): CompiledTaxon {
  const atStage = new Map(taxon.atStage);
  for (const character of guide.characters) {
    const known = tell(character);
    if (known)
      atStage.set(character.index, new Map(taxon.taxon.stages.map((stage) => [stage, known] as const)));
  }
  return { ...taxon, atStage };
}

/** A dangerous taxon as a reading describes it: every state that can be seen as often as any other. */
export function asRead(guide: CompiledGuide, taxon: CompiledTaxon, reading: Reading): CompiledTaxon {
  return described(guide, taxon, (character) => {
    const entry = entryOf(reading, taxon.id, character.id);
    const can = mask(character, entry?.can);
    if (can !== 0) return { kind: 'states', usual: can, typical: can, possible: can };
    if (!entry?.outer || character.stateBit.size > 0) return undefined;
    return { kind: 'number', usual: span(character, entry.outer), possible: span(character, entry.outer) };
  });
}

/** A wanted taxon as its reading describes it at the stages at which it is gathered. */
export function asWanted(
  guide: CompiledGuide,
  taxon: CompiledTaxon,
  entries: Readonly<Record<string, 'na' | WantedEntry>>,
): CompiledTaxon {
  return described(guide, taxon, (character) => {
    const entry = entries[character.id];
    if (!entry || entry === 'na') return undefined;
    const usual = mask(character, entry.usual);
    if (usual !== 0)
      return {
        kind: 'states',
        usual,
        typical: usual,
        possible: (usual | mask(character, entry.occasional)) >>> 0,
      };
    if (!entry.usualRange || character.stateBit.size > 0) return undefined;
    return {
      kind: 'number',
      usual: span(character, entry.usualRange),
      possible: span(character, entry.outer ?? entry.usualRange),
    };
  });
}

/** A danger of which the guide is wrong in some statements: there it shows what is usual for the target. */
export function nearerToTarget(
  truth: CompiledTaxon,
  target: CompiledTaxon,
  stage: StageId,
  share: number,
  next: () => number,
): CompiledTaxon {
  const atStage = new Map(truth.atStage);
  for (const index of truth.atStage.keys()) {
    const shown = target.atStage.get(index)?.get(stage);
    if (next() >= share || !shown) continue;
    atStage.set(index, new Map(truth.taxon.stages.map((at) => [at, shown] as const)));
  }
  return { ...truth, atStage };
}
