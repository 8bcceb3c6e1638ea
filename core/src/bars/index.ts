import type { CaseView, Look, ReadingId } from '../case';
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
export function routeOf(view: Pick<CaseView, 'find'>, target: CompiledTaxon): Route {
  const { part, use } = view.find.context;
  return target.taxon.parts.find((p) => p.part === part && p.use === use)?.route ?? 'eaten';
}

/** Bars needed against a taxon: by its harm in the use intended, what shopping costs, and what the group adds. */
export function barsNeeded(view: CaseView, target: CompiledTaxon, taxon: CompiledTaxon, extra: number): number {
  const grade = gradeBy(taxon, routeOf(view, target));
  if (grade === 'none') return 0;
  return BARS_NEEDED[grade] + (grade === 'deadly' ? extra : 0) + (view.find.policy?.extraBars?.[grade] ?? 0);
}

/** Taxa that the target is barred against, by their harm in the use intended, with what each needs. */
export interface Dangers {
  /** Indices into `guide.taxa` of those of the find's own kingdom. */
  readonly same: Int32Array;
  /** Of the other kingdom: ruled out by that alone. */
  readonly other: readonly CompiledTaxon[];
}

export function dangersOf(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): Dangers {
  const route = routeOf(view, target);
  const dangerous = guide.taxa.filter((taxon) => taxon.index !== target.index && gradeBy(taxon, route) !== 'none');
  return {
    same: Int32Array.from(dangerous.filter((t) => t.taxon.kingdom === view.find.kingdom).map((t) => t.index)),
    other: dangerous.filter((t) => t.taxon.kingdom !== view.find.kingdom),
  };
}

/** How many bars a row still lacks. */
export function short(row: BarRow): number {
  return row.otherKingdom ? 0 : Math.max(0, row.need - row.have);
}

const GRADE_ORDER: readonly HarmGrade[] = ['deadly', 'serious', 'unpleasant', 'none'];

/** Listed lookalikes first, then the deadlier, then by name: a fixed order, so that rows do not jump about. */
export function byUrgency(a: BarRow, b: BarRow): number {
  if (a.listed !== b.listed) return a.listed ? -1 : 1;
  const grade = GRADE_ORDER.indexOf(a.grade) - GRADE_ORDER.indexOf(b.grade);
  return grade !== 0 ? grade : a.taxon < b.taxon ? -1 : a.taxon > b.taxon ? 1 : 0;
}

/** Rows of every dangerous taxon of the guide except the target itself. `extra` bars are asked on top for deadly ones. */
export function barRows(
  guide: CompiledGuide, view: CaseView, target: CompiledTaxon, dangers: Dangers, tallied: Tally, extra: number,
): BarRow[] {
  const route = routeOf(view, target);
  const listed = new Set<string>(target.taxon.lookalikes);
  const row = (taxon: CompiledTaxon, have: number, looks: (most: number) => readonly Look[]): BarRow => {
    const need = barsNeeded(view, target, taxon, extra);
    return {
      taxon: taxon.id,
      grade: gradeBy(taxon, route),
      listed: listed.has(taxon.id),
      need,
      have,
      bars: looks(need).map((look) => ({
        reading: look.reading.id,
        character: look.character.id,
        group: guide.groups[look.character.group] ?? '',
        causes: causesIn(look.causes),
      })),
      otherKingdom: taxon.taxon.kingdom !== view.find.kingdom,
    };
  };
  const rows = dangers.other.map((taxon) => row(taxon, 0, () => []));
  for (let i = 0; i < tallied.taxa.length; i += 1) {
    const taxon = guide.taxa[tallied.taxa[i] as number];
    if (taxon) rows.push(row(taxon, tallied.count(i), (most) => tallied.looks(i, most)));
  }
  return rows.sort(byUrgency);
}
