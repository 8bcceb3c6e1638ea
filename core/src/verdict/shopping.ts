import type { CaseView } from '../case';

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
