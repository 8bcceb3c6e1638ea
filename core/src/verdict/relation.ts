import type { Look } from '../case';
import type { CompiledTaxon, Known, StageId } from '../guide';

/**
 * How a reading relates to a taxon.
 * `fits`: usual. `strains`: only occasional, or the outer range, or torn with a state that is.
 * `against`: everything read lies outside all that is known. `silent`: nothing is known.
 */
export type Relation = 'fits' | 'strains' | 'against' | 'silent';

function compare(look: Look, known: Known): Relation {
  if (look.kind === 'states' && known.kind === 'states') {
    if ((look.mask & known.possible) === 0) return 'against';
    return (look.mask & ~known.usual) === 0 ? 'fits' : 'strains';
  }
  if (look.kind === 'number' && known.kind === 'number') {
    if (look.high < known.possible[0] || look.low > known.possible[1]) return 'against';
    const meetsUsual = look.high >= known.usual[0] && look.low <= known.usual[1];
    // A measure so vague that it reaches beyond all that is known is no fit.
    const within = look.low >= known.possible[0] && look.high <= known.possible[1];
    return meetsUsual && (within || look.high - look.low <= (known.usual[1] - known.usual[0]) / 2)
      ? 'fits'
      : 'strains';
  }
  return 'silent';
}

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
  if (!known) return false;
  if (look.kind === 'states' && known.kind === 'states') return (look.mask & known.usual) !== 0;
  return (
    look.kind === 'number' &&
    known.kind === 'number' &&
    look.high >= known.usual[0] &&
    look.low <= known.usual[1]
  );
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
  const onlyAbsent = look.kind === 'states' && (look.mask & ~look.character.absentMask) === 0;
  if (look.character.character.fades && onlyAbsent) return 'silent';
  return 'against';
}

/**
 * A reading of something that cannot be seen at any recorded stage: the stage must be wrong, or the reading.
 */
export function disputesStage(look: Look, stages: readonly StageId[]): boolean {
  if (stages.some((stage) => look.character.stages.has(stage))) return false;
  if (look.kind === 'states') return (look.mask & ~look.character.absentMask) !== 0;
  return look.high > 0;
}
