import type { Dangers, Tally } from '../bars';
import type { CaseView } from '../case';
import type { CharacterId, CompiledGuide, HarmGrade, TaxonId } from '../guide';
import type { Reason } from './reason';

/** Bars to spare, or bars seen twice, that are wanted against a deadly taxon before anything is collected. */
export const SPARE_WANTED = { listed: 2, other: 1 } as const;
/** Seconds around any look, so that few looks are preferred to many quick ones. */
const AROUND_A_LOOK = 60;

/** A character to look at once more, and the deadly taxa against which that helps. */
export interface LookAgain {
  readonly character: CharacterId;
  readonly taxa: readonly TaxonId[];
}

/**
 * How far a row is beyond what it needs. A deadly taxon needs bars to spare, or bars that were seen twice, besides:
 * whoever wants it to be the target misreads towards it, and single looks are soon misread. Negative where something is
 * missing, zero where nothing can be lost.
 *
 * @param at position in the tally
 */
export function slackOf(view: CaseView, { grade, listed, need }: { readonly grade: HarmGrade; readonly listed: boolean; readonly need: number }, tallied: Tally, at: number): number {
  const spare = tallied.count(at) - need;
  if (grade !== 'deadly') return spare;
  return spare + seenTwice(view, tallied, at) - (listed ? SPARE_WANTED.listed : SPARE_WANTED.other);
}

function seenTwice(view: CaseView, tallied: Tally, at: number): number {
  return tallied.looks(at, tallied.count(at)).filter((look) => (view.onPiece.get(look.character.index)?.length ?? 0) > 1).length;
}

/**
 * The fewest characters, chosen one after the other, that have to be looked at a second time before every deadly taxon
 * is as far off as wanted. Empty while some row lacks bars: those come first.
 */
export function looksAgain(guide: CompiledGuide, view: CaseView, dangers: Dangers, tallied: Tally): LookAgain[] {
  let rows = dangers.standing.flatMap(({ taxon, grade, listed }, at) => {
    const slack = slackOf(view, { grade, listed, need: dangers.needs[grade] }, tallied, at);
    if (slack >= 0) return [];
    const once = tallied.looks(at, tallied.count(at)).filter((look) => view.onPiece.get(look.character.index)?.length === 1);
    return [{ taxon, lack: -slack, characters: [...new Set(once.map((look) => look.character.id))] }];
  });
  const chosen: LookAgain[] = [];
  while (rows.length > 0) {
    const helps = new Map<CharacterId, number>();
    for (const row of rows) for (const id of row.characters) helps.set(id, (helps.get(id) ?? 0) + 1);
    const rate = ([id, n]: readonly [CharacterId, number]) => n / (AROUND_A_LOOK + (guide.character(id)?.character.seconds ?? 0));
    const [best] = [...helps].sort((a, b) => rate(b) - rate(a) || (a[0] < b[0] ? -1 : 1));
    if (!best) break;
    const [character] = best;
    const served = rows.filter((row) => row.characters.includes(character));
    chosen.push({ character, taxa: served.map((row) => row.taxon) });
    rows = rows
      .map((row) => (row.characters.includes(character) ? { ...row, lack: row.lack - 1, characters: row.characters.filter((id) => id !== character) } : row))
      .filter((row) => row.lack > 0);
  }
  return chosen;
}

/** Whether nothing is missing but second looks. */
export function lacksOnlySecondLooks({ outcome, reasons }: { readonly outcome: string; readonly reasons: readonly Reason[] }): boolean {
  return outcome === 'pause' && reasons.every(({ weight, code }) => weight === 'note' || code === 'look-again');
}
