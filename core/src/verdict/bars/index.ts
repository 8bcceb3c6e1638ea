import type { CaseView, Look, ReadingId } from '../../case';
import {
  causesIn,
  type CharacterId,
  type CompiledGuide,
  type CompiledTaxon,
  type HarmGrade,
  type SharedCause,
  type TaxonId,
} from '../../guide';
import { couldFit, relationOverall } from '../relation';
import type { Danger, Dangers } from './dangers';
import type { Ground } from './independent';
import type { Tally } from './tally';

export { BARS_NEEDED, dangersOf, gradeBy, needOf, routeOf, type Dangers } from './dangers';
export { countBars, largestIndependent, type Ground } from './independent';
export { tally, type Tally } from './tally';

/** One ground against one taxon. */
export interface Bar {
  readonly reading: ReadingId;
  readonly character: CharacterId;
  readonly group: string;
  readonly causes: readonly SharedCause[];
}

/** The bars between the find and one dangerous taxon. */
export interface BarRow {
  readonly taxon: TaxonId;
  readonly grade: HarmGrade;
  /** Named by the target as a lookalike. */
  readonly listed: boolean;
  readonly need: number;
  /** Size of the largest set of grounds that share no cause. */
  readonly have: number;
  /** The first of them, as many as are needed. */
  readonly bars: readonly Bar[];
  /** A fungus is no plant: that alone rules it out. */
  readonly otherKingdom: boolean;
}

interface LookGround extends Ground {
  readonly look: Look;
}

/**
 * Grounds against a taxon: sure, undisputed looks of the decided piece, in groups where nothing fits the
 * taxon.
 */
export function groundsAgainst(
  view: CaseView,
  taxon: CompiledTaxon,
  disputed: ReadonlySet<number>,
): LookGround[] {
  const spoiled = new Set<number>();
  const notAgainst = new Set<number>();
  for (const look of view.looks) {
    if (couldFit(look, taxon)) spoiled.add(look.character.group);
    if (look.kind === 'number' && relationOverall(look, taxon) !== 'against')
      notAgainst.add(look.character.index);
  }
  const grounds: LookGround[] = [];
  for (const look of view.looks) {
    const { character, reading } = look;
    if (reading.piece !== view.piece || reading.sureness !== 'sure' || character.place) continue;
    if (disputed.has(character.index) || spoiled.has(character.group) || notAgainst.has(character.index))
      continue;
    if (relationOverall(look, taxon) === 'against')
      grounds.push({ group: character.group, causes: look.causes, look });
  }
  return grounds;
}

/** How many of the bars that a row needs are there. */
export function filled(row: BarRow): number {
  return Math.min(row.need, row.have);
}

/** How many bars a row still lacks. */
export function short(row: BarRow): number {
  return row.otherKingdom ? 0 : Math.max(0, row.need - row.have);
}

function toBar(guide: CompiledGuide, look: Look): Bar {
  return {
    reading: look.reading.id,
    character: look.character.id,
    group: guide.groups[look.character.group] ?? '',
    causes: causesIn(look.causes),
  };
}

/** The same row, as its taxon is counted now at this position. */
export function rowAgain(guide: CompiledGuide, row: BarRow, tallied: Tally, position: number): BarRow {
  return {
    ...row,
    have: tallied.count(position),
    bars: tallied.looks(position, row.need).map((look) => toBar(guide, look)),
  };
}

/** Rows of every dangerous taxon of the guide except the target itself, in the order of `rowKey`. */
export function barRows(guide: CompiledGuide, dangers: Dangers, tallied: Tally): BarRow[] {
  const bars = new Map<Look, Bar>();
  const barOf = (look: Look): Bar => {
    const known = bars.get(look);
    if (known) return known;
    const bar = toBar(guide, look);
    bars.set(look, bar);
    return bar;
  };
  // Most rows share their bars with many others: one list for all of them.
  const lists = new Map<readonly Look[], readonly Bar[]>();
  const barsOf = (looks: readonly Look[]): readonly Bar[] => {
    const known = lists.get(looks);
    if (known) return known;
    const list = looks.map(barOf);
    lists.set(looks, list);
    return list;
  };
  const rows: BarRow[] = [];
  const ruledOut = otherKingdomRows(dangers);
  let next = 0;
  for (let i = 0; i < dangers.all.length; i += 1) {
    const { taxon, grade, listed, key } = dangers.all[i] as Danger;
    for (; next < ruledOut.length && (ruledOut[next] as Ruled).key < key; next += 1)
      rows.push((ruledOut[next] as Ruled).row);
    const need = dangers.needs[grade];
    rows.push({
      taxon,
      grade,
      listed,
      need,
      have: tallied.count(i),
      bars: barsOf(tallied.looks(i, need)),
      otherKingdom: false,
    });
  }
  for (; next < ruledOut.length; next += 1) rows.push((ruledOut[next] as Ruled).row);
  return rows;
}

interface Ruled {
  readonly key: number;
  readonly row: BarRow;
}

/** Rows of the other kingdom are the same for every find with these needs. */
const ruled = new WeakMap<Dangers['other'], Map<string, readonly Ruled[]>>();

function otherKingdomRows({ other, needs }: Dangers): readonly Ruled[] {
  const known = ruled.get(other) ?? new Map<string, readonly Ruled[]>();
  ruled.set(other, known);
  const name = `${needs.deadly} ${needs.serious} ${needs.unpleasant}`;
  const before = known.get(name);
  if (before) return before;
  const now = other.map(({ taxon, grade, listed, key }): Ruled => ({
    key,
    row: { taxon, grade, listed, need: needs[grade], have: 0, bars: [], otherKingdom: true },
  }));
  known.set(name, now);
  return now;
}
