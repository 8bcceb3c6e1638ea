import type { CaseView, Look } from '../case';
import { overlap, type CompiledTaxon, type Relation, type StageId } from '../guide';
import { relationAtStages } from './relation';

/** Only so many looks at one character count; after that looking on is shopping. */
export const LOOKS_THAT_COUNT = 7;

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
      if (other.character === look.character && !overlap(other, look)) disputed.add(look.character.index);
    }
  }
  return disputed;
}

/**
 * So many looks against the target, most of all looks made, settle it: what was misread once is often misread
 * twice and three times.
 */
export const LOOKS_TO_LEAVE = 4;
/** So many looks have to be made before those that fit can outvote one that does not. */
const LOOKS_TO_OUTVOTE = 3;

/** Where the looks at one character of the decided piece stand to the target. */
export interface Settled {
  readonly looks: readonly Look[];
  readonly against: number;
  /**
   * `agreed`: no look is against. `outvoted`: some are, a majority of three to seven is not.
   * `open`: contradicted up to three times, or a tie. `contradicted`: a majority of at least four looks is
   * against.
   */
  readonly outcome: 'agreed' | 'outvoted' | 'open' | 'contradicted';
  /** Of what is settled; `silent` while open. */
  readonly relation: Relation;
  /** A fit that was sure, by the same majority. */
  readonly sureFit: boolean;
  /** What is settled is a sure reading of what the target shows only now and then. */
  readonly sureStrain: boolean;
}

/**
 * Whether what people saw differently was looked at again by all of them: since the first look of the last of
 * them, each looked once more, or gave their word to somebody who did. Who alone looked first and looked
 * blind has nothing to settle with anybody.
 */
function allLookedAgain(looks: readonly Look[]): boolean {
  const readings = looks.map(({ reading }) => reading);
  const people = [...new Set(readings.map(({ by }) => by))];
  if (people.length < 2 || !readings.some(({ blind }) => blind === true)) return true;
  const last = Math.max(...people.map((person) => readings.findIndex(({ by }) => by === person)));
  const since = readings.slice(last + 1);
  return people.every((person) =>
    since.some(({ by, together }) => by === person || together?.includes(person) === true),
  );
}

/**
 * Settles the looks at one character for the target: a majority of three to seven decides. Where two people
 * differ, it takes both to settle it for the target.
 */
export function settle(
  looks: readonly Look[],
  target: CompiledTaxon,
  stages: readonly StageId[] | undefined,
): Settled {
  const counted = looks.length > LOOKS_THAT_COUNT ? looks.slice(0, LOOKS_THAT_COUNT) : looks;
  let against = 0;
  let sureFits = 0;
  let sureStrains = 0;
  let best: Relation = 'silent';
  for (const look of counted) {
    const relation = relationAtStages(look, target, stages);
    if (relation === 'against') against += 1;
    else if (relation === 'fits') {
      best = 'fits';
      if (look.reading.sureness === 'sure') sureFits += 1;
    } else if (relation === 'strains') {
      if (best === 'silent') best = 'strains';
      if (isOneState(look) && look.reading.sureness === 'sure') sureStrains += 1;
    }
  }
  const unsettled = { looks: counted, against, sureFit: false, sureStrain: false };
  if (against >= LOOKS_TO_LEAVE && against * 2 > counted.length)
    return { ...unsettled, outcome: 'contradicted', relation: 'against' };
  if (
    against > 0 &&
    (counted.length < LOOKS_TO_OUTVOTE || against * 2 >= counted.length || !allLookedAgain(counted))
  )
    return { ...unsettled, outcome: 'open', relation: 'silent' };
  // Where looks disagree, a majority of them has to be sure; where none is against, one is enough.
  const enough = against === 0 ? 1 : Math.floor(counted.length / 2) + 1;
  return {
    looks: counted,
    against,
    outcome: against === 0 ? 'agreed' : 'outvoted',
    relation: best,
    sureFit: sureFits >= enough,
    sureStrain: best === 'strains' && sureStrains >= enough,
  };
}

/** Not torn between several states, and not a number. */
function isOneState({ reading }: Look): boolean {
  return reading.value.kind === 'states' && reading.value.states.length === 1;
}
