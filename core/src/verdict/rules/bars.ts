import { HarmGrade, TaxonId } from '../../guide';
import { short, type BarRow } from '../bars';
import { looksAgain } from '../lookAgain';
import { rule, type BarsBasis } from './rule';
import { character, count, haveAndNeed, taxa } from './shapes';

/** What the bars say. */

export const barsShort = rule({
  code: 'bars-short',
  weight: 'pause',
  parameters: { taxon: TaxonId, grade: HarmGrade, ...haveAndNeed },
  readingsCanUndo: true,
  applies: ({ rows }: { readonly rows: readonly BarRow[] }) =>
    rows
      .filter((row) => short(row) > 0)
      .map(({ taxon, grade, have, need }) => ({ taxon, grade, have, need })),
});

/**
 * Everything else is there, but these deadly taxa are ruled out by too few bars to spare and too few second
 * looks.
 */
export const lookAgain = rule({
  code: 'look-again',
  weight: 'pause',
  parameters: { ...character, taxa },
  readingsCanUndo: true,
  applies: ({ guide, view, rows, dangers, tallied, settledOrOpen }: BarsBasis) =>
    settledOrOpen || rows.some((row) => short(row) > 0) ? [] : looksAgain(guide, view, dangers, tallied),
});

/** Pieces were started afresh or the name was changed, after something had been read. */
export const shopping = rule({
  code: 'shopping',
  weight: 'note',
  parameters: { freshPieces: count, changedTargets: count, extraBars: count },
  readingsCanUndo: false,
  applies: ({ shopped }: BarsBasis) => (shopped.freshPieces + shopped.changedTargets > 0 ? [shopped] : []),
});
