import type { CompiledGuide, CompiledTaxon, StageId } from '../guide';
import { seeded } from './geometry';

/**
 * What one individual of a taxon looks like at a stage: one state or number of each character that is stated.
 */
export interface Individual {
  /** A usual state; undefined where nothing is stated. */
  readonly state: (character: string) => string | undefined;
  /** A size within the usual range, in millimetres, or a count; undefined where nothing is stated. */
  readonly size: (character: string) => number | undefined;
}

/** Caps from closed to open. */
const OPENING = [
  'globe',
  'cylinder',
  'bell',
  'conical',
  'thimble',
  'convex',
  'umbonate',
  'irregular',
  'flat',
  'funnel',
];

/** How far within its usual sizes the typical one is. */
const GROWN: Readonly<Record<string, number>> = { young: 0.2, old: 0.7 };

/**
 * What the typical one shows: what is named first, but of the forms that a cap goes through the most closed
 * one while it is young and the most open one when it is old.
 */
function typical(character: string, stage: StageId, usual: readonly string[]): string | undefined {
  if (character !== 'cap.shape' || !['young', 'old'].includes(stage)) return usual[0];
  const known = OPENING.filter((shape) => usual.includes(shape));
  return known.at(stage === 'young' ? 0 : -1) ?? usual[0];
}

/**
 * Draws an individual from the statements of a taxon at a stage. Seed 0 is the typical one: what is named
 * first, and the middle of each range; every other seed is another individual, inside what is usual. The same
 * seed gives the same one.
 */
export function individual(
  guide: CompiledGuide,
  taxon: CompiledTaxon,
  stage: StageId,
  seed: number,
): Individual {
  const stated = (id: string) => {
    const character = guide.character(id);
    // What cannot be seen at this stage is not there to be drawn.
    if (!character?.stages.has(stage)) return undefined;
    return taxon.taxon.statements.find(
      (s) => s.character === character.id && (s.stages ?? taxon.taxon.stages).includes(stage),
    );
  };
  const chance = (id: string) => seeded(seed * 7919 + (guide.character(id)?.index ?? 0) * 104729)();
  return {
    state: (id) => {
      const statement = stated(id);
      if (!statement || !('usual' in statement)) return undefined;
      return seed === 0
        ? typical(id, stage, statement.usual)
        : statement.usual[Math.floor(chance(id) * statement.usual.length)];
    },
    size: (id) => {
      const character = guide.character(id);
      const known = stated(id) && character && taxon.atStage.get(character.index)?.get(stage);
      if (known?.kind !== 'number') return undefined;
      const share = seed === 0 ? (GROWN[stage] ?? 0.5) : chance(id);
      return known.usual[0] + (known.usual[1] - known.usual[0]) * share;
    },
  };
}
