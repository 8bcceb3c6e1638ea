import type { CaseView, Look } from '../case';
import type { CompiledGuide, CompiledTaxon, TaxonId } from '../guide';
import { relationOverall } from './relation';
import { STRAIN_SHARE, type TargetHolds } from './target';

/**
 * So many independent things have to speak against another taxon before a find counts as not being it: more where
 * somebody might collect that one.
 */
const grounds = ({ taxon }: CompiledTaxon): number => (taxon.parts.length > 0 ? 2 : 1);
/** Of more taxa than these together nobody can make anything. */
const MOST_ALIKE = 3;

/**
 * Whether a find is its target as far as the guide goes: as many independent things fit it as a wanted taxon
 * needs, nothing is open or against it, and something speaks against everything else of its kingdom in the
 * guide. It is for what nobody collects: there a name warns others, and clears nothing.
 *
 * @returns the others of which this does not hold, where they are few and nobody collects them either; nothing
 *   where the find is not identified
 */
export function identifiedAs(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  held: TargetHolds,
): readonly TaxonId[] | undefined {
  const settled = [...held.settled.values()];
  if (
    held.fitGroups.length < held.groupsNeeded ||
    held.strains * STRAIN_SHARE > held.readings ||
    held.stageDisputes.length > 0 ||
    held.otherPieces.length > 0 ||
    settled.some(({ outcome }) => outcome !== 'agreed')
  )
    return undefined;
  const alike = alikeTo(guide, view, target, held);
  const warns = alike.length <= MOST_ALIKE && alike.every(({ taxon: { taxon } }) => taxon.parts.length === 0);
  return warns ? alike.map(({ taxon }) => taxon.id) : undefined;
}

/** A taxon that is not told apart from the target yet, and the independence groups that speak against it. */
export interface Alike {
  readonly taxon: CompiledTaxon;
  readonly against: ReadonlySet<number>;
}

/** What of its kingdom is not told apart from the target yet by what was surely seen, at whatever stage. */
export function alikeTo(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  held: TargetHolds,
): readonly Alike[] {
  const sure = [...held.settled.values()]
    .flatMap(({ looks }) => looks)
    .filter(({ reading }) => reading.sureness === 'sure');
  return guide.taxa
    .filter((one) => one.id !== target.id && one.taxon.kingdom === view.find.kingdom)
    .map((taxon) => ({ taxon, against: groupsAgainst(sure, taxon) }))
    .filter(({ taxon, against }) => against.size < grounds(taxon));
}

function groupsAgainst(looks: readonly Look[], taxon: CompiledTaxon): ReadonlySet<number> {
  return new Set(
    looks
      .filter((look) => relationOverall(look, taxon) === 'against')
      .map(({ character }) => character.group),
  );
}
