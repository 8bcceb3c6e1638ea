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
  const { looks } = view;
  for (let i = 1; i < looks.length; i += 1) {
    const look = looks[i] as Look;
    if (look.kind !== 'states') continue;
    for (let j = 0; j < i; j += 1) {
      const other = looks[j] as Look;
      if (other.kind === 'states' && other.character === look.character && (other.mask & look.mask) === 0) disputed.add(look.character.index);
    }
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
  const counted = looks.length > LOOKS_THAT_COUNT ? looks.slice(0, LOOKS_THAT_COUNT) : looks;
  let against = 0;
  let sureFits = 0;
  let best: Relation = 'silent';
  for (const look of counted) {
    const relation = relationAtStages(look, target, stages);
    if (relation === 'against') against += 1;
    else if (relation === 'fits') {
      best = 'fits';
      if (look.reading.sureness === 'sure') sureFits += 1;
    } else if (relation === 'strains' && best === 'silent') best = 'strains';
  }
  if (against === 0) return { looks: counted, against, outcome: 'agreed', relation: best, sureFit: sureFits > 0 };

  const majorityAgainst = against * 2 > counted.length;
  if (against >= LOOKS_TO_LEAVE && majorityAgainst) return { looks: counted, against, outcome: 'contradicted', relation: 'against', sureFit: false };
  if (counted.length >= 3 && against * 2 < counted.length) {
    return { looks: counted, against, outcome: 'outvoted', relation: best, sureFit: sureFits * 2 > counted.length };
  }
  return { looks: counted, against, outcome: 'open', relation: 'silent', sureFit: false };
}
