import { getTimes } from 'suncalc';
import { GRADES, type CompiledGuide, type CompiledTaxon } from '../guide';
import type { Geometry, Habitat, Hazard, Moisture, PlaceFields } from '../notebook/page';
import { metresBetween, middleOf } from '../notebook/page/shape';
import { expectedHere } from '../verdict';

/** A walk: the order of its places, how long there is light, what to bring, and what to look out for. */

/**
 * Pace over rough ground with looking about, in metres an hour, and metres of climb that cost another hour
 * (after Naismith's rule, slowed down).
 */
const PACE = 2500;
const CLIMB = 400;

export interface Stop {
  readonly id: string;
  readonly shape?: Geometry | undefined;
  readonly elevation?: number | undefined;
}
export interface Leg {
  readonly to: string;
  /** In a straight line. */
  readonly metres: number;
  readonly minutes: number;
}

/**
 * The order of places that makes the walk short, from a beginning or from whichever place is best: the
 * nearest next, from each place in turn, and then every crossing undone (2-opt; Croes 1958). Places that
 * nobody drew come last, as they were given.
 */
export function orderOfPlaces(stops: readonly Stop[], from?: readonly [number, number]): readonly string[] {
  const placed = stops.filter((stop): stop is Stop & { shape: Geometry } => stop.shape !== undefined);
  const rest = stops.filter(({ shape }) => !shape).map(({ id }) => id);
  const points = placed.map(({ shape }) => middleOf(shape));
  const metres = (a: number, b: number) => {
    const [p, q] = [points[a], points[b]];
    return p && q ? metresBetween(p, q) : 0;
  };
  const start = (a: number) => {
    const p = points[a];
    return from && p ? metresBetween(from, p) : 0;
  };
  const length = (order: readonly number[]) =>
    order.reduce((sum, at, index) => sum + (index === 0 ? start(at) : metres(order[index - 1] ?? at, at)), 0);
  let best: number[] = [];
  for (let first = 0; first < placed.length; first += 1) {
    const order = [first];
    while (order.length < placed.length) {
      const here = order.at(-1) ?? first;
      const left = [...points.keys()].filter((at) => !order.includes(at));
      order.push(left.reduce((nearest, at) => (metres(here, at) < metres(here, nearest) ? at : nearest)));
    }
    const improved = uncrossed(order, length);
    if (best.length === 0 || length(improved) < length(best)) best = improved;
  }
  return [...best.flatMap((at) => placed[at]?.id ?? []), ...rest];
}

function uncrossed(order: readonly number[], length: (order: readonly number[]) => number): number[] {
  let now = [...order];
  for (let better = true; better;) {
    better = false;
    for (let a = 0; a < now.length - 1; a += 1) {
      for (let b = a + 1; b < now.length; b += 1) {
        const turned = [...now.slice(0, a), ...now.slice(a, b + 1).reverse(), ...now.slice(b + 1)];
        if (length(turned) < length(now) - 1e-6) {
          now = turned;
          better = true;
        }
      }
    }
  }
  return now;
}

/** From place to place, as the crow flies, with the time it takes by foot over rough ground. */
export function legs(stops: readonly Stop[], order: readonly string[]): Leg[] {
  const by = new Map(stops.map((stop) => [stop.id, stop]));
  return order.slice(1).flatMap((id, index): Leg[] => {
    const [a, b] = [by.get(order[index] ?? ''), by.get(id)];
    if (!a?.shape || !b?.shape) return [];
    const metres = metresBetween(middleOf(a.shape), middleOf(b.shape));
    const climb = Math.max(0, (b.elevation ?? 0) - (a.elevation ?? b.elevation ?? 0));
    return [
      { to: id, metres: Math.round(metres), minutes: Math.round((metres / PACE + climb / CLIMB) * 60) },
    ];
  });
}

/**
 * Sunrise, sunset and the end of light to see by, at a position on a day; none of them where the sun does not
 * rise or set.
 */
export function daylight(
  day: string,
  [longitude, latitude]: readonly [number, number],
): { readonly sunrise?: Date; readonly sunset?: Date; readonly dusk?: Date } {
  const { sunrise, sunset, dusk } = getTimes(new Date(`${day}T12:00:00Z`), latitude, longitude);
  return { ...(sunrise ? { sunrise } : {}), ...(sunset ? { sunset } : {}), ...(dusk ? { dusk } : {}) };
}

export type KitReason =
  | { readonly code: 'checks'; readonly taxa: readonly string[] }
  | { readonly code: 'parts'; readonly parts: readonly string[] }
  | { readonly code: 'hazard'; readonly hazard: Hazard }
  | { readonly code: 'child' | 'always' | 'ground' };
export interface KitItem {
  readonly item: string;
  readonly reason: KitReason;
}

const BY_HAZARD: Partial<Readonly<Record<Hazard, string>>> = {
  steep: 'boots',
  bog: 'boots',
  ditch: 'boots',
  tidal: 'tide-table',
  ticks: 'long-sleeves',
  wasps: 'long-sleeves',
  rockfall: 'helmet',
  stream: 'stick',
  traffic: 'bright-vest',
};
/**
 * What goes into a bag of its own, so that roots do not soil leaves and one basket does not hold everything.
 */
const BAG: Readonly<Record<string, string>> = {
  root: 'bag-roots',
  leaf: 'bag-leaves',
  shoot: 'bag-leaves',
  flower: 'bag-flowers',
  fruit: 'box-fruit',
  cone: 'box-fruit',
  'fruiting-body': 'basket-fungi',
  cap: 'basket-fungi',
};

/**
 * What to bring, each thing once with why: what the planned checks need, a bag for every kind of part, and
 * what the ground asks for.
 *
 * @param gearOf the gear of the checks planned for each target
 */
export function kitFor(
  targets: readonly { readonly taxon: CompiledTaxon; readonly part: string }[],
  gearOf: ReadonlyMap<string, readonly string[]>,
  hazards: readonly Hazard[],
  {
    child = false,
    moisture = [],
  }: { readonly child?: boolean; readonly moisture?: readonly Moisture[] } = {},
): KitItem[] {
  const kit = new Map<string, KitReason>();
  const add = (item: string, reason: KitReason) => {
    if (!kit.has(item)) kit.set(item, reason);
  };
  const wanted = new Map<string, string[]>();
  for (const { taxon } of targets)
    for (const item of gearOf.get(taxon.id) ?? [])
      wanted.set(item, [...new Set([...(wanted.get(item) ?? []), taxon.id])]);
  for (const [item, taxa] of wanted) add(item, { code: 'checks', taxa });
  const bags = new Map<string, string[]>();
  for (const { part } of targets) {
    const bag = BAG[part] ?? 'bag';
    bags.set(bag, [...new Set([...(bags.get(bag) ?? []), part])]);
  }
  for (const [bag, parts] of bags) add(bag, { code: 'parts', parts });
  for (const hazard of hazards) {
    const item = BY_HAZARD[hazard];
    if (item) add(item, { code: 'hazard', hazard });
  }
  if (moisture.includes('wet')) add('boots', { code: 'ground' });
  if (child) add('whistle', { code: 'child' });
  for (const item of ['water', 'gloves', 'phone']) add(item, { code: 'always' });
  return [...kit].map(([item, reason]) => ({ item, reason }));
}

/**
 * The dangerous lookalikes of a target, first those that this month and height make likely. They order; none
 * is ever left out.
 */
export function lookalikesToExpect(
  guide: CompiledGuide,
  target: CompiledTaxon,
  { month, elevation }: { readonly month: number; readonly elevation?: number | undefined },
): { readonly taxon: CompiledTaxon; readonly likely: boolean }[] {
  const rank = { fits: 0, silent: 1, strains: 2, against: 3 } as const;
  return target.taxon.lookalikes
    .flatMap((id) => guide.taxon(id) ?? [])
    .filter(({ grade }) => grade !== 'none')
    .map((taxon) => ({
      taxon,
      seen: expectedHere(taxon, undefined, { month, ...(elevation === undefined ? {} : { elevation }) }),
    }))
    .sort(
      (a, b) =>
        GRADES.indexOf(b.taxon.grade) - GRADES.indexOf(a.taxon.grade) ||
        rank[a.seen.season] + rank[a.seen.height] - rank[b.seen.season] - rank[b.seen.height],
    )
    .map(({ taxon, seen }) => ({ taxon, likely: seen.season !== 'against' && seen.height !== 'against' }));
}

/** What the ground of a place allows or asks for, for the sheet. */
export function groundOf({ moisture, habitat = [], soil = [] }: Partial<PlaceFields>): {
  readonly moisture?: Moisture;
  readonly habitat: readonly Habitat[];
  readonly digging: 'easy' | 'hard' | 'never' | 'unknown';
} {
  const digging = habitat.includes('bog')
    ? 'never'
    : soil.includes('stones') || habitat.includes('scree')
      ? 'hard'
      : soil.some((one) => one === 'sand' || one === 'loam' || one === 'rich')
        ? 'easy'
        : 'unknown';
  return { ...(moisture ? { moisture } : {}), habitat, digging };
}
