import type { Case, CaseView } from '../case';
import type { CompiledGuide, CompiledTaxon, GuideTables, HarmGrade, Route } from '../guide';

/** Bars that each harm grade needs: deadly 3, serious 2, unpleasant 1. */
export const BARS_NEEDED: Readonly<Record<HarmGrade, number>> = { none: 0, unpleasant: 1, serious: 2, deadly: 3 };

/** Taxa that the target is barred against, by their harm in the use intended, with what each needs. */
export interface Dangers {
  /** Indices into `guide.taxa` of those of the find's own kingdom, in the order of their rows. */
  readonly same: Int32Array;
  /** By position in `same`: whether the target names it as a lookalike. */
  readonly listed: Uint8Array;
  /** Of the other kingdom: ruled out by that alone. */
  readonly other: readonly { readonly taxon: CompiledTaxon; readonly listed: boolean }[];
  readonly needs: Readonly<Record<HarmGrade, number>>;
  /** How the wanted use reaches the body. */
  readonly route: Route;
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

const GRADE_ORDER: Readonly<Record<HarmGrade, number>> = { deadly: 0, serious: 1, unpleasant: 2, none: 3 };

/**
 * Where a row stands: listed lookalikes first, then the deadlier, then by id: a fixed order, so that rows do not jump.
 * Smaller comes first.
 */
export function rowKey(guide: CompiledGuide, taxon: CompiledTaxon, grade: HarmGrade, listed: boolean): number {
  return ((listed ? 0 : 4) + GRADE_ORDER[grade]) * guide.tables.taxa + taxon.rank;
}

type Standing = Pick<Dangers, 'same' | 'listed' | 'other'>;

/** Who is dangerous to a target by a route never changes with the find: sorted out once for each that is asked about. */
const standing = new WeakMap<GuideTables, Map<string, Standing>>();

function standingOf(guide: CompiledGuide, view: CaseView, target: CompiledTaxon, route: Route): Standing {
  const known = standing.get(guide.tables) ?? new Map<string, Standing>();
  standing.set(guide.tables, known);
  const name = `${view.find.kingdom} ${route} ${target.id}`;
  const before = known.get(name);
  if (before) return before;
  const listed = new Set<string>(target.taxon.lookalikes);
  const dangerous = guide.taxa
    .flatMap((taxon) => {
      const grade = gradeBy(taxon, route);
      return taxon.index === target.index || grade === 'none' ? [] : [{ taxon, key: rowKey(guide, taxon, grade, listed.has(taxon.id)) }];
    })
    .sort((a, b) => a.key - b.key)
    .map(({ taxon }) => taxon);
  const same = dangerous.filter((taxon) => taxon.taxon.kingdom === view.find.kingdom);
  const now: Standing = {
    same: Int32Array.from(same, (taxon) => taxon.index),
    listed: Uint8Array.from(same, (taxon) => (listed.has(taxon.id) ? 1 : 0)),
    other: dangerous.filter((taxon) => taxon.taxon.kingdom !== view.find.kingdom).map((taxon) => ({ taxon, listed: listed.has(taxon.id) })),
  };
  known.set(name, now);
  return now;
}

export function dangersOf(guide: CompiledGuide, view: CaseView, target: CompiledTaxon, extra: number): Dangers {
  const route = routeOf(view.find, target);
  const { same, listed, other } = standingOf(guide, view, target, route);
  return { same, listed, other, needs: needsOf(view, extra), route };
}

/** Bars that this danger needs. */
export function needOf(dangers: Dangers, taxon: CompiledTaxon): number {
  return dangers.needs[gradeBy(taxon, dangers.route)];
}
