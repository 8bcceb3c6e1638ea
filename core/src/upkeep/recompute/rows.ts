import { viewCase, type Case } from '../../case';
import type { CompiledGuide, TaxonId } from '../../guide';
import {
  rowAgain,
  tally,
  type BarRow,
  barsShort,
  mayFallShort,
  staysMissing,
  type Verdict,
} from '../../verdict';
import { asksOfRows, disputedCharacters } from '../../verdict';

/**
 * The verdict under a version in which only these dangers stand otherwise to what was read: their rows are
 * counted again, the others are taken over. `undefined` where more than rows could have changed, and all must
 * be decided anew.
 *
 * It is enough to count rows where nothing else rests on them: when *collect* has bars and second looks
 * enough against each of them before and after, also without one reading, or when *pause* misses what no bar
 * and no lost reading mends.
 */
export function withRowsAgain(
  guide: CompiledGuide,
  find: Case,
  verdict: Verdict,
  touched: ReadonlySet<TaxonId>,
): Verdict | undefined {
  if ((find.withdrawals ?? []).length > 0 || asksOfRows(find.policy)) return undefined;
  const settled =
    verdict.outcome === 'pause' && staysMissing(verdict.reasons) && nothingAgainst(find, verdict);
  if (!settled && verdict.outcome !== 'collect') return undefined;

  const version = { id: guide.guide.id, version: guide.version };
  const places: number[] = [];
  verdict.rows.forEach((row, at) => {
    if (!row.otherKingdom && touched.has(row.taxon)) places.push(at);
  });
  if (places.length === 0) return { ...verdict, guide: version };
  const view = viewCase(guide, find);
  const tight = (row: BarRow) => mayFallShort(guide, view, row);
  if (!settled && places.some((at) => tight(verdict.rows[at] as BarRow))) return undefined;

  const taxa = Int32Array.from(places, (at) => guide.taxon((verdict.rows[at] as BarRow).taxon)?.index ?? -1);
  const tallied = tally(guide, view, disputedCharacters(view), taxa);
  const rows = [...verdict.rows];
  places.forEach((at, i) => {
    rows[at] = rowAgain(guide, rows[at] as BarRow, tallied, i);
  });
  if (!settled)
    return places.some((at) => tight(rows[at] as BarRow)) ? undefined : { ...verdict, guide: version, rows };
  const others = verdict.reasons.filter((reason) => reason.code !== 'bars-short');
  const notes = others.findIndex((reason) => reason.weight === 'note');
  const end = notes < 0 ? others.length : notes;
  return {
    ...verdict,
    guide: version,
    rows,
    reasons: [...others.slice(0, end), ...barsShort(rows), ...others.slice(end)],
  };
}

/**
 * Whether no look is against the target: none is open or against on another piece, and no character was read
 * often enough to outvote one.
 */
function nothingAgainst(find: Case, { reasons }: Verdict): boolean {
  if (reasons.some(({ code }) => code === 'contradicted-open' || code === 'other-piece-against'))
    return false;
  const looked = new Set<string>();
  for (const { character } of find.readings) {
    if (looked.has(character)) return false;
    looked.add(character);
  }
  return true;
}
