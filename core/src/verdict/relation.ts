import type { Look } from '../case';
import { compare, isUsual, type CompiledTaxon, type Relation, type StageId } from '../guide';

/** How a reading relates to a taxon. */

/** Against a taxon over all its stages together, so that a mistaken stage makes no difference. */
export function relationOverall(look: Look, taxon: CompiledTaxon): Relation {
  const known = taxon.overall.get(look.character.index);
  return known ? compare(look, known) : 'silent';
}

/** Whether nothing that was read speaks against a taxon, whatever its stage. A place never does. */
export function fitsAll(looks: readonly Look[], taxon: CompiledTaxon): boolean {
  return looks.every((look) => look.character.place || relationOverall(look, taxon) !== 'against');
}

/** Whether some of what was read is usual in the taxon at some stage: then its group gives no bar. */
export function couldFit(look: Look, taxon: CompiledTaxon): boolean {
  const known = taxon.overall.get(look.character.index);
  return known !== undefined && isUsual(look, known);
}

/**
 * For the target, at the stages recorded. With several stages on one plant the reading may come from any of
 * them: it is against only if all of them speak and all exclude it. Without a recorded stage all stages
 * count. What fades is never against the target for being absent.
 */
export function relationAtStages(
  look: Look,
  taxon: CompiledTaxon,
  stages: readonly StageId[] | undefined,
): Relation {
  const stated = taxon.atStage.get(look.character.index);
  if (!stated) return 'silent';
  let seen = 0;
  let strains = false;
  let silent = false;
  for (const stage of stages ?? taxon.taxon.stages) {
    if (!look.character.stages.has(stage)) continue;
    seen += 1;
    const known = stated.get(stage);
    const relation = known ? compare(look, known) : 'silent';
    if (relation === 'fits') return 'fits';
    strains ||= relation === 'strains';
    silent ||= relation === 'silent';
  }
  if (strains) return 'strains';
  if (seen === 0 || silent) return 'silent';
  if (look.character.character.fades && showsOnlyAbsence(look)) return 'silent';
  return 'against';
}

/**
 * A reading of something that cannot be seen at any recorded stage: the stage must be wrong, or the reading.
 */
export function disputesStage(look: Look, stages: readonly StageId[]): boolean {
  if (stages.some((stage) => look.character.stages.has(stage))) return false;
  return look.kind === 'states' ? !showsOnlyAbsence(look) : look.high > 0;
}

/** Whether it is read that the organ or the mark is not there, and nothing else. */
function showsOnlyAbsence(look: Look): boolean {
  return look.kind === 'states' && (look.mask & ~look.character.absentMask) === 0;
}
