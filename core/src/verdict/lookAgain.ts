import type { Dangers, Tally } from '../bars';
import type { CaseView } from '../case';
import type { CharacterId, CompiledGuide, TaxonId } from '../guide';
import type { Reason } from './reason';

/** Bars to spare, or bars seen twice, that are wanted against a deadly taxon before anything is collected. */
const SPARE_WANTED = { listed: 2, other: 1 } as const;
/**
 * Seconds that any check is worth avoiding, whatever it takes: finding the place on the specimen, answering, and the
 * chance of one more mistake. Few good looks are preferred to many quick ones.
 */
export const HANDLING_SECONDS = 60;

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
 * @param place of the row among all dangers
 * @param at its position in the tally, where that counts only some of them
 */
export function slackOf(view: CaseView, dangers: Dangers, tallied: Tally, place: number, at = place): number {
  const standing = dangers.standing[place];
  if (!standing) throw new Error(`no row ${place}`);
  const spare = tallied.count(at) - dangers.needs[standing.grade];
  if (standing.grade !== 'deadly') return spare;
  return spare + seenTwice(view, tallied, at) - (standing.listed ? SPARE_WANTED.listed : SPARE_WANTED.other);
}

const timesSeen = (view: CaseView, index: number): number => view.onPiece.get(index)?.length ?? 0;

function seenTwice(view: CaseView, tallied: Tally, at: number): number {
  return tallied.looks(at, tallied.count(at)).filter((look) => timesSeen(view, look.character.index) > 1).length;
}

/**
 * The fewest characters, chosen one after the other, that have to be looked at a second time before every deadly taxon
 * is as far off as wanted. It is for finds of which no row lacks bars.
 */
export function looksAgain(guide: CompiledGuide, view: CaseView, dangers: Dangers, tallied: Tally): LookAgain[] {
  let rows = dangers.standing.flatMap(({ taxon }, at) => {
    const slack = slackOf(view, dangers, tallied, at);
    if (slack >= 0) return [];
    const once = tallied.looks(at, tallied.count(at)).filter((look) => timesSeen(view, look.character.index) === 1);
    return [{ taxon, lack: -slack, characters: [...new Set(once.map((look) => look.character.id))] }];
  });
  const chosen: LookAgain[] = [];
  while (rows.length > 0) {
    const helps = new Map<CharacterId, number>();
    for (const row of rows) for (const id of row.characters) helps.set(id, (helps.get(id) ?? 0) + 1);
    const rate = ([id, n]: readonly [CharacterId, number]) => n / (HANDLING_SECONDS + (guide.character(id)?.character.seconds ?? 0));
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
