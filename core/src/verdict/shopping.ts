import type { CaseView } from '../case';
import type { CompiledGuide, CompiledTaxon } from '../guide';
import { unanswered } from './unanswered';

/** From this many fresh starts on, every deadly taxon needs a bar more. */
export const FRESH_STARTS_FREE = 1;

/** Pieces started afresh and targets changed, counted once something had been read. */
export interface Shopping {
  readonly freshPieces: number;
  readonly changedTargets: number;
  readonly extraBars: number;
}

export function shopping(view: CaseView): Shopping {
  const first = view.firstReadingAt;
  if (first === undefined) return { freshPieces: 0, changedTargets: 0, extraBars: 0 };
  const deciding = view.find.pieces.filter((p) => p.purpose === 'decide');
  const freshPieces = Math.min(deciding.length - 1, deciding.filter((p) => p.startedAt > first).length);
  const changedTargets = (view.find.earlierTargets ?? []).filter((t) => t.at > first).length;
  return { freshPieces, changedTargets, extraBars: freshPieces + changedTargets > FRESH_STARTS_FREE ? 1 : 0 };
}

/**
 * Bars that every deadly taxon needs more: one for shopping, and one while a check is passed over that could
 * have spoken against the target.
 */
export function extraBars(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): number {
  return shopping(view).extraBars + (unanswered(guide, view, target).length > 0 ? 1 : 0);
}
