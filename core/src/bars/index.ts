import type { Case, CaseView, Look, ReadingId } from '../case';
import { causesIn, type CharacterId, type CompiledGuide, type CompiledTaxon, type HarmGrade, type Route, type SharedCause, type TaxonId } from '../guide';
import { couldFit, relationOverall } from '../relation';
import type { Tally } from './tally';

export { tally, type Tally } from './tally';

/** Bars that each harm grade needs: deadly 3, serious 2, unpleasant 1. */
export const BARS_NEEDED: Readonly<Record<HarmGrade, number>> = { none: 0, unpleasant: 1, serious: 2, deadly: 3 };

/** One ground against one taxon. */
export interface Bar {
  readonly reading: ReadingId;
  readonly character: CharacterId;
  readonly group: string;
  readonly causes: readonly SharedCause[];
}

/** What stands between the find and one dangerous taxon. */
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

/** A reading that could be a bar: its group, and the shared causes it rests on as bits. */
export interface Ground {
  readonly group: number;
  readonly causes: number;
}

/**
 * The largest set of grounds that share no cause: at most one a group, at most one on each shared cause.
 * Exact: groups one after the other, over the 16 sets of shared causes used so far
 * (a maximum set packing, small because only four causes are shared between groups).
 * Grounds named first are preferred among equals, so the answer is the same for the same order.
 *
 * @example
 * largestIndependent([{ group: 0, causes: 1 }, { group: 1, causes: 1 }, { group: 2, causes: 0 }])
 * // the first and the third: two of them rest on colour
 */
export function largestIndependent<G extends Ground>(grounds: readonly G[]): G[] {
  const groups = new Map<number, G[]>();
  for (const ground of grounds) groups.set(ground.group, [...(groups.get(ground.group) ?? []), ground]);

  let best: (readonly G[] | undefined)[] = new Array<readonly G[] | undefined>(16).fill(undefined);
  best[0] = [];
  for (const members of groups.values()) {
    const next = [...best];
    for (let used = 0; used < 16; used += 1) {
      const chosen = best[used];
      if (!chosen) continue;
      for (const ground of members) {
        if ((used & ground.causes) !== 0) continue;
        const now = used | ground.causes;
        if ((next[now]?.length ?? -1) < chosen.length + 1) next[now] = [...chosen, ground];
      }
    }
    best = next;
  }
  return [...best.reduce<readonly G[]>((top, chosen) => (chosen && chosen.length > top.length ? chosen : top), [])];
}

interface LookGround extends Ground {
  readonly look: Look;
}

/** Grounds against a taxon: sure, undisputed looks of the decided piece, in groups where nothing fits the taxon. */
export function groundsAgainst(view: CaseView, taxon: CompiledTaxon, disputed: ReadonlySet<number>): LookGround[] {
  const spoiled = new Set<number>();
  const notAgainst = new Set<number>();
  for (const look of view.looks) {
    if (couldFit(look, taxon)) spoiled.add(look.character.group);
    if (look.kind === 'number' && relationOverall(look, taxon) !== 'against') notAgainst.add(look.character.index);
  }
  const grounds: LookGround[] = [];
  for (const look of view.looks) {
    const { character, reading } = look;
    if (reading.piece !== view.piece || reading.sureness !== 'sure' || character.place) continue;
    if (disputed.has(character.index) || spoiled.has(character.group) || notAgainst.has(character.index)) continue;
    if (relationOverall(look, taxon) === 'against') grounds.push({ group: character.group, causes: look.causes, look });
  }
  return grounds;
}

/** The harm that a taxon does by this route; what is not told of a route is as if eaten. */
export function gradeBy(taxon: CompiledTaxon, route: Route): HarmGrade {
  return taxon.taxon.harm.byRoute?.[route] ?? taxon.grade;
}

/** The route of the use that is wanted; eaten where nobody has said. */
export function routeOf(find: Case, target: CompiledTaxon): Route {
  const { part, use } = find.context;
  return target.taxon.parts.find((p) => p.part === part && p.use === use)?.route ?? 'eaten';
}

/** Bars needed by harm grade: the model's, what shopping costs, and what the group adds. */
function needsOf(view: CaseView, extra: number): Readonly<Record<HarmGrade, number>> {
  const more = view.find.policy?.extraBars ?? {};
  return {
    none: 0,
    unpleasant: BARS_NEEDED.unpleasant + (more.unpleasant ?? 0),
    serious: BARS_NEEDED.serious + (more.serious ?? 0),
    deadly: BARS_NEEDED.deadly + extra + (more.deadly ?? 0),
  };
}

/** Taxa that the target is barred against, by their harm in the use intended, with what each needs. */
export interface Dangers {
  /** Indices into `guide.taxa` of those of the find's own kingdom. */
  readonly same: Int32Array;
  /** Of the other kingdom: ruled out by that alone. */
  readonly other: readonly CompiledTaxon[];
  readonly needs: Readonly<Record<HarmGrade, number>>;
  /** How the wanted use reaches the body. */
  readonly route: Route;
}

/** Bars that this danger needs. */
export function needOf(dangers: Dangers, taxon: CompiledTaxon): number {
  return dangers.needs[gradeBy(taxon, dangers.route)];
}

export function dangersOf(guide: CompiledGuide, view: CaseView, target: CompiledTaxon, extra: number): Dangers {
  const route = routeOf(view.find, target);
  const same: number[] = [];
  const other: CompiledTaxon[] = [];
  for (const taxon of guide.taxa) {
    if (taxon.index === target.index || gradeBy(taxon, route) === 'none') continue;
    if (taxon.taxon.kingdom === view.find.kingdom) same.push(taxon.index);
    else other.push(taxon);
  }
  return { same: Int32Array.from(same), other, needs: needsOf(view, extra), route };
}

/** How many bars a row still lacks. */
export function short(row: BarRow): number {
  return row.otherKingdom ? 0 : Math.max(0, row.need - row.have);
}

const GRADE_ORDER: Readonly<Record<HarmGrade, number>> = { deadly: 0, serious: 1, unpleasant: 2, none: 3 };

/**
 * Rows of every dangerous taxon of the guide except the target itself: listed lookalikes first, then the deadlier,
 * then by id, a fixed order so that rows do not jump about.
 */
export function barRows(guide: CompiledGuide, target: CompiledTaxon, dangers: Dangers, tallied: Tally): BarRow[] {
  const listed = new Set<string>(target.taxon.lookalikes);
  const bars = new Map<Look, Bar>();
  const barOf = (look: Look): Bar => {
    const known = bars.get(look);
    if (known) return known;
    const bar: Bar = {
      reading: look.reading.id, character: look.character.id, group: guide.groups[look.character.group] ?? '', causes: causesIn(look.causes),
    };
    bars.set(look, bar);
    return bar;
  };
  const keyed: { readonly key: number; readonly row: BarRow }[] = [];
  const add = (taxon: CompiledTaxon, have: number, chosen: readonly Bar[], otherKingdom: boolean) => {
    const grade = gradeBy(taxon, dangers.route);
    const isListed = listed.has(taxon.id);
    keyed.push({
      key: ((isListed ? 0 : 4) + GRADE_ORDER[grade]) * guide.taxa.length + taxon.rank,
      row: { taxon: taxon.id, grade, listed: isListed, need: dangers.needs[grade], have, bars: chosen, otherKingdom },
    });
  };
  for (const taxon of dangers.other) add(taxon, 0, [], true);
  for (let i = 0; i < tallied.taxa.length; i += 1) {
    const taxon = guide.taxa[tallied.taxa[i] as number];
    if (taxon) add(taxon, tallied.count(i), tallied.looks(i, needOf(dangers, taxon)).map(barOf), false);
  }
  return keyed.sort((a, b) => a.key - b.key).map(({ row }) => row);
}
