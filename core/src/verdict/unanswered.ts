import { isDug, mayBeDug, needsDigging, type CaseView } from '../case';
import type { CharacterId, CompiledGuide, CompiledTaxon } from '../guide';

/** Of the checks proposed, this many may go unanswered. */
export const UNANSWERED_FREE = 1;

/**
 * Characters of the decided piece that were skipped, or could not be seen, without a valid answer, and of
 * which the guide states something for the target. Sorted by id.
 */
export function passedOver(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): CharacterId[] {
  const passed = new Set<CharacterId>();
  for (const skip of view.find.skips ?? []) if (skip.piece === view.piece) passed.add(skip.character);
  for (const reading of view.find.readings) {
    if (reading.value.kind === 'cant-tell' && reading.piece === view.piece) passed.add(reading.character);
  }
  return [...passed]
    .filter((id) => {
      const character = guide.character(id);
      return (
        character !== undefined &&
        !character.place &&
        !view.onPiece.has(character.index) &&
        target.atStage.has(character.index)
      );
    })
    .sort();
}

/**
 * Whether a look at the root of the decided piece was passed over. One root shows all of it, so nothing else
 * about it is asked.
 */
export function rootPassedOver(guide: CompiledGuide, view: CaseView): boolean {
  const { readings, skips = [] } = view.find;
  return [...skips, ...readings.filter(({ value }) => value.kind === 'cant-tell')].some(
    ({ piece, character }) => piece === view.piece && needsDigging(guide, character),
  );
}

/**
 * Of those, the ones whose answer could have spoken against the target. What cannot be there does not count:
 * flowers at fruiting time, spores of a young cap, a root that nobody may dig. Of a root that may be dug one
 * thing counts for all of it. Until the stage is known, nothing counts as being there.
 */
export function unanswered(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): CharacterId[] {
  const stages = view.find.context.stages ?? [];
  const diggable = mayBeDug(view.find, target);
  let root = false;
  return passedOver(guide, view, target).filter((id) => {
    const character = guide.character(id);
    if (!character) return false;
    if (isDug(character)) {
      if (!diggable || root) return false;
      root = true;
    }
    const stated = target.atStage.get(character.index);
    return stages.some((stage) => character.stages.has(stage) && stated?.has(stage) === true);
  });
}
