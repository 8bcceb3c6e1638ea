import type { Case, CaseView } from '../../case';
import type { CompiledGuide, CompiledTaxon, GuideTables, HarmGrade, Route, TaxonId } from '../../guide';

/** Bars that each harm grade needs: deadly 3, serious 2, unpleasant 1. */
export const BARS_NEEDED: Readonly<Record<HarmGrade, number>> = {
  none: 0,
  unpleasant: 1,
  serious: 2,
  deadly: 3,
};

/** Taxa that the target is barred against, by their harm in the use intended, with what each needs. */
export interface Dangers {
  /** Indices into `guide.taxa` of those of the find's own kingdom, in the order of their rows. */
  readonly same: Int32Array;
  /**
   * By position in `same`: what a row says of it whatever was read, so that no taxon has to be looked up for
   * a row.
   */
  readonly all: readonly Danger[];
  /** Of the other kingdom: ruled out by that alone. */
  readonly other: readonly Danger[];
  readonly needs: Readonly<Record<HarmGrade, number>>;
  /** How the wanted use reaches the body. */
  readonly route: Route;
}

/** One danger, as it relates to a target by a route. */
export interface Danger {
  readonly taxon: TaxonId;
  readonly grade: HarmGrade;
  /** Whether the target names it as a lookalike. */
  readonly listed: boolean;
  /** The place of its row: smaller comes first. */
  readonly key: number;
}

/** The harm that a taxon does by this route; where the guide says nothing of a route, as if eaten. */
export function gradeBy(taxon: CompiledTaxon, route: Route): HarmGrade {
  return taxon.taxon.harm.byRoute?.[route] ?? taxon.grade;
}

/** The route of the use that is wanted; eaten where it is not known. */
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
 * The order of rows: listed lookalikes first, then the deadlier, then by id: a fixed order, so that rows do
 * not jump.
 */
function rowKey(guide: CompiledGuide, taxon: CompiledTaxon, grade: HarmGrade, listed: boolean): number {
  return ((listed ? 0 : 4) + GRADE_ORDER[grade]) * guide.tables.taxa + taxon.rank;
}

type Sorted = Pick<Dangers, 'same' | 'all' | 'other'>;

/**
 * Who is dangerous to a target by a route never changes with the find: sorted out once for each that is asked
 * about.
 */
const sorted = new WeakMap<GuideTables, Map<string, Sorted>>();

function sortedFor(guide: CompiledGuide, view: CaseView, target: CompiledTaxon, route: Route): Sorted {
  const known = sorted.get(guide.tables) ?? new Map<string, Sorted>();
  sorted.set(guide.tables, known);
  const name = `${view.find.kingdom} ${route} ${target.id}`;
  const before = known.get(name);
  if (before) return before;
  const listed = new Set<string>(target.taxon.lookalikes);
  const dangerous = guide.taxa
    .flatMap((taxon) => {
      const grade = gradeBy(taxon, route);
      if (taxon.index === target.index || grade === 'none') return [];
      const danger: Danger = {
        taxon: taxon.id,
        grade,
        listed: listed.has(taxon.id),
        key: rowKey(guide, taxon, grade, listed.has(taxon.id)),
      };
      return [{ taxon, danger }];
    })
    .sort((a, b) => a.danger.key - b.danger.key);
  const same = dangerous.filter(({ taxon }) => taxon.taxon.kingdom === view.find.kingdom);
  const now: Sorted = {
    same: Int32Array.from(same, ({ taxon }) => taxon.index),
    all: same.map(({ danger }) => danger),
    other: dangerous
      .filter(({ taxon }) => taxon.taxon.kingdom !== view.find.kingdom)
      .map(({ danger }) => danger),
  };
  known.set(name, now);
  return now;
}

export function dangersOf(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  extra: number,
): Dangers {
  const route = routeOf(view.find, target);
  const { same, all, other } = sortedFor(guide, view, target, route);
  return { same, all, other, needs: needsOf(view, extra), route };
}

/** Bars that this danger needs. */
export function needOf(dangers: Dangers, taxon: CompiledTaxon): number {
  return dangers.needs[gradeBy(taxon, dangers.route)];
}
