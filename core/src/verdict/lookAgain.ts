import type { CaseView } from '../case';
import { effortOf, HANDLING_SECONDS, type CharacterId, type CompiledGuide, type TaxonId } from '../guide';
import type { BarRow, Dangers, Tally } from './bars';

/**
 * What is wanted against a deadly taxon beyond the bars it needs, before anything is collected: a bar to
 * spare counts two, a bar that was seen twice counts one.
 */
const MORE_WANTED = { listed: 4, other: 2 } as const;
export const SPARE_COUNTS = 2;
/** Points that are wanted against a deadly taxon, by whether the target lists it. */
export const moreWanted = (listed: boolean): number => (listed ? MORE_WANTED.listed : MORE_WANTED.other);
/** Points beyond those that are wanted. */
const beyondWanted = (spare: number, twice: number, listed: boolean) =>
  spare * SPARE_COUNTS + twice - moreWanted(listed);

/** A character to look at once more, and the deadly taxa against which that helps. */
export interface LookAgain {
  readonly character: CharacterId;
  readonly taxa: readonly TaxonId[];
}

/**
 * How far a row is beyond what it needs. A deadly taxon needs bars to spare, or bars that were seen twice,
 * besides: whoever wants it to be the target misreads towards it, and single looks are soon misread. One more
 * independent bar says more than one more look at the same thing. Where every bar was seen twice, nothing
 * more is asked. Negative where something is missing.
 *
 * @param place of the row among all dangers
 * @param at its position in the tally, where that counts only some of them
 */
export function slackOf(view: CaseView, dangers: Dangers, tallied: Tally, place: number, at = place): number {
  const danger = dangers.all[place];
  if (!danger) throw new Error(`no row ${place}`);
  const bars = tallied.count(at);
  const spare = bars - dangers.needs[danger.grade];
  if (danger.grade !== 'deadly' || spare < 0) return spare;
  const twice = seenTwice(view, tallied, at);
  const beyond = beyondWanted(spare, twice, danger.listed);
  return twice === bars ? Math.max(0, beyond) : beyond;
}

const timesSeen = (view: CaseView, index: number): number => view.onPiece.get(index)?.length ?? 0;

/** With a look go at most what its bar counts to spare, and that it was seen twice. */
const MOST_LOST = SPARE_COUNTS + 1;

/** Whether the loss of one look could make a row short. */
export function isTight(view: CaseView, dangers: Dangers, tallied: Tally, place: number): boolean {
  return slackOf(view, dangers, tallied, place) <= (dangers.all[place]?.grade === 'deadly' ? MOST_LOST : 0);
}

/**
 * The same of a row of a verdict, which names only as many bars as are needed: it may be said of
 * one that could not.
 */
export function mayFallShort(
  guide: CompiledGuide,
  view: CaseView,
  { grade, listed, need, have, bars }: BarRow,
): boolean {
  if (grade !== 'deadly' || have <= need) return have <= need;
  const twice = bars.filter(
    ({ character }) => timesSeen(view, guide.character(character)?.index ?? -1) > 1,
  ).length;
  return beyondWanted(have - need, twice, listed) <= MOST_LOST;
}

function seenTwice(view: CaseView, tallied: Tally, at: number): number {
  return tallied.looks(at, tallied.count(at)).filter((look) => timesSeen(view, look.character.index) > 1)
    .length;
}

/**
 * The fewest characters, chosen one after the other, that have to be looked at a second time before every
 * deadly taxon is as far off as wanted. It is for finds of which no row lacks bars.
 */
export function looksAgain(
  guide: CompiledGuide,
  view: CaseView,
  dangers: Dangers,
  tallied: Tally,
): LookAgain[] {
  let rows = dangers.all.flatMap(({ taxon }, at) => {
    const slack = slackOf(view, dangers, tallied, at);
    if (slack >= 0) return [];
    const once = tallied
      .looks(at, tallied.count(at))
      .filter((look) => timesSeen(view, look.character.index) === 1);
    return [{ taxon, lack: -slack, characters: [...new Set(once.map((look) => look.character.id))] }];
  });
  const chosen: LookAgain[] = [];
  while (rows.length > 0) {
    const helps = new Map<CharacterId, number>();
    for (const row of rows) for (const id of row.characters) helps.set(id, (helps.get(id) ?? 0) + 1);
    const rate = ([id, n]: readonly [CharacterId, number]) => {
      const known = guide.character(id)?.character;
      return n / (HANDLING_SECONDS + (known ? effortOf(known) : 0));
    };
    const [best] = [...helps].sort((a, b) => rate(b) - rate(a) || (a[0] < b[0] ? -1 : 1));
    if (!best) break;
    const [character] = best;
    const served = rows.filter((row) => row.characters.includes(character));
    chosen.push({ character, taxa: served.map((row) => row.taxon) });
    rows = rows
      .map((row) =>
        row.characters.includes(character)
          ? { ...row, lack: row.lack - 1, characters: row.characters.filter((id) => id !== character) }
          : row,
      )
      .filter((row) => row.lack > 0);
  }
  return chosen;
}

/** Whether nothing is missing but second looks. */
export function lacksOnlySecondLooks({
  outcome,
  reasons,
}: {
  readonly outcome: string;
  readonly reasons: readonly { readonly weight: string; readonly code: string }[];
}): boolean {
  return (
    outcome === 'pause' && reasons.every(({ weight, code }) => weight === 'note' || code === 'look-again')
  );
}
