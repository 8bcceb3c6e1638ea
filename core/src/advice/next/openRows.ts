import type { Look } from '../../case';
import { type CompiledCharacter, effortOf, HANDLING_SECONDS, type CompiledGuide } from '../../guide';
import { type Dangers, type Tally, moreWanted, SPARE_COUNTS } from '../../verdict';

/** The dangerous taxa that still lack bars, and what an answer changes about them. */

/**
 * The rows that a check can still move, by position in the tally, with the bars that each lacks and has to
 * spare.
 */
interface OpenRows {
  readonly at: readonly number[];
  /**
   * Bars wanted and not there; of a deadly taxon also those to spare, so that fewer second looks are left to
   * make.
   */
  readonly wants: readonly number[];
  /** Bars that it has beyond those that it needs; negative while it lacks some. */
  readonly spare: readonly number[];
}

export function openRows(dangers: Dangers, tallied: Tally): OpenRows {
  const at: number[] = [];
  const wants: number[] = [];
  const spare: number[] = [];
  for (const [i, { grade, listed }] of dangers.all.entries()) {
    const lack = dangers.needs[grade] - tallied.count(i);
    const want = grade === 'deadly' ? lack + moreWanted(listed) / SPARE_COUNTS : lack;
    // Rows with bars beyond that neither gain nor lose.
    if (want < 0) continue;
    at.push(i);
    wants.push(want);
    spare.push(-lack);
  }
  return { at, wants, spare };
}

/**
 * Nothing is dug out or waited for only to have a bar to spare: the two second looks that it saves cost less.
 */
function isDear({ character }: CompiledCharacter): boolean {
  return effortOf(character) > SPARE_COUNTS * HANDLING_SECONDS;
}

/**
 * Bars that a reading of this character would bring each open row, on the average over what is usual for the
 * target.
 */
export function changes(
  guide: CompiledGuide,
  tallied: Tally,
  rows: OpenRows,
  character: CompiledCharacter,
  looks: readonly Look[],
): Float64Array {
  const { tables } = guide;
  const dear = isDear(character);
  const by = new Float64Array(rows.at.length);
  for (const look of looks) {
    for (let row = 0; row < rows.at.length; row += 1) {
      const position = rows.at[row] as number;
      const column = tallied.taxa[position] as number;
      const wanted = (rows.wants[row] as number) > 0 && !(dear && (rows.spare[row] as number) >= 0);
      let change = 0;
      if (look.kind === 'states') {
        const cell = character.index * tables.taxa + column;
        const possible = tables.possible[cell] as number;
        if (possible === 0) continue;
        if ((look.mask & possible) === 0) {
          if (wanted) change = tallied.change(position, character.group, look.causes, 'against');
        } else if ((look.mask & (tables.usual[cell] as number)) !== 0) {
          change = tallied.change(position, character.group, look.causes, 'fits');
        }
      } else {
        const cell = ((tables.spanRow[character.index] as number) * tables.taxa + column) * 4;
        const against =
          look.high < (tables.spans[cell] as number) || look.low > (tables.spans[cell + 1] as number);
        if (against && wanted) change = tallied.change(position, character.group, look.causes, 'against');
      }
      if (change !== 0) by[row] = (by[row] as number) + change / looks.length;
    }
  }
  return by;
}

/** Of the bars that a check would bring, those that rows still need. */
export function barsMissing(rows: OpenRows, by: Float64Array): number {
  return by.reduce(
    (sum, change, row) => sum + (change > 0 && (rows.spare[row] as number) < 0 ? change : 0),
    0,
  );
}

/**
 * For each open row, how many bars all that can still be looked at could bring it: the best of each group.
 */
export function withinReach(
  brought: ReadonlyMap<CompiledCharacter, Float64Array>,
  size: number,
): Float64Array {
  const best = new Map<number, Float64Array>();
  for (const [{ group }, by] of brought) {
    const known = best.get(group) ?? new Float64Array(size);
    best.set(group, known);
    for (let row = 0; row < size; row += 1)
      if ((by[row] as number) > (known[row] as number)) known[row] = by[row] as number;
  }
  const reach = new Float64Array(size);
  for (const by of best.values())
    for (let row = 0; row < size; row += 1) reach[row] = (reach[row] as number) + (by[row] as number);
  return reach;
}
