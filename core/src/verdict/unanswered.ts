import type { CaseView } from '../case';
import type { CharacterId, CompiledGuide, CompiledTaxon } from '../guide';

/** Of the checks proposed, this many may go unanswered. */
export const UNANSWERED_FREE = 1;

/**
 * Characters of the decided piece that were skipped, or could not be told, with no answer that stands,
 * and whose answer could have spoken against the target. Sorted by id.
 */
export function unanswered(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): CharacterId[] {
  const passed = new Set<CharacterId>();
  for (const skip of view.find.skips ?? []) if (skip.piece === view.piece) passed.add(skip.character);
  for (const reading of view.find.readings) {
    if (reading.value.kind === 'cant-tell' && reading.piece === view.piece) passed.add(reading.character);
  }
  return [...passed]
    .filter((id) => {
      const character = guide.character(id);
      if (!character || character.place || view.onPiece.has(character.index)) return false;
      return target.atStage.has(character.index);
    })
    .sort();
}
