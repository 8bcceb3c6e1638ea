import type { CaseView, Look } from '../case';
import type { CompiledTaxon, StageId } from '../guide';
import { relationAtStages, type Relation } from '../relation';

/** Only so many looks at one character count; after that looking on is shopping. */
export const LOOKS_THAT_COUNT = 5;

/**
 * Characters (by index) on which looks disagree, over every piece of the find. They give no bar on this find.
 * Looks disagree when they have nothing in common: no state, or no value within both errors.
 * Two measures of different leaves differ by nature, so a number only disagrees about a taxon (see `bars`).
 */
export function disputedCharacters(view: CaseView): Set<number> {
  const disputed = new Set<number>();
  const seen = new Map<number, Look[]>();
  for (const look of view.looks) {
    const before = seen.get(look.character.index) ?? [];
    if (look.kind === 'states' && before.some((other) => other.kind === 'states' && (other.mask & look.mask) === 0)) {
      disputed.add(look.character.index);
    }
    seen.set(look.character.index, [...before, look]);
  }
  return disputed;
}

/** Looks against the target, and the most of all looks, that settle it: what was misread once is often misread twice. */
export const LOOKS_TO_LEAVE = 3;

/** Where the looks at one character of the decided piece stand to the target. */
export interface Settled {
  readonly looks: readonly Look[];
  readonly against: number;
  /**
   * `agreed`: no look is against. `outvoted`: some are, a majority of three to five is not.
   * `open`: contradicted once or twice, or a tie. `contradicted`: a majority of at least three looks is against.
   */
  readonly outcome: 'agreed' | 'outvoted' | 'open' | 'contradicted';
  /** Of what is settled; `silent` while open. */
  readonly relation: Relation;
  /** A fit that was sure, by the same majority. */
  readonly sureFit: boolean;
}

/** Settles the looks at one character for the target: a majority of three to five decides. */
export function settle(looks: readonly Look[], target: CompiledTaxon, stages: readonly StageId[] | undefined): Settled {
  const counted = looks.slice(0, LOOKS_THAT_COUNT);
  const relations = counted.map((look) => relationAtStages(look, target, stages));
  const against = relations.filter((r) => r === 'against').length;
  const sureFits = counted.filter((look, i) => relations[i] === 'fits' && look.reading.sureness === 'sure').length;
  const best: Relation = relations.includes('fits') ? 'fits' : relations.includes('strains') ? 'strains' : 'silent';
  if (against === 0) return { looks: counted, against, outcome: 'agreed', relation: best, sureFit: sureFits > 0 };

  const majorityAgainst = against * 2 > counted.length;
  if (against >= LOOKS_TO_LEAVE && majorityAgainst) return { looks: counted, against, outcome: 'contradicted', relation: 'against', sureFit: false };
  if (counted.length >= 3 && against * 2 < counted.length) {
    return { looks: counted, against, outcome: 'outvoted', relation: best, sureFit: sureFits * 2 > counted.length };
  }
  return { looks: counted, against, outcome: 'open', relation: 'silent', sureFit: false };
}
