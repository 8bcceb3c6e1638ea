import type { CompiledGuide, CompiledTaxon, StageId } from '../guide';
import { dayOf, yearOf, type Day } from '../lib/day';
import type { Sighting } from '../notebook/page';
import type { Onset } from './learn';
import { decidedByWarmth, whatOf } from './predict';
import { pastYear } from './scenario';
import { degreesAt, type Site } from './site';
import { type ThisSeason } from './thisSeason';
import { firstReaching } from './warmth';
import type { WeatherSeries } from './weather';

/**
 * What sightings say of when a stage began: nobody looked every day, so only that it was between two visits.
 */

/** A place with everything seen there. */
export interface SeenPlace {
  readonly id: string;
  readonly site: Site;
  readonly sightings: readonly Pick<Sighting, 'taxon' | 'stages' | 'what' | 'on'>[];
}

interface Visit {
  readonly on: Day;
  /** Positions in the order of growth; empty where nothing was there. */
  readonly stages: readonly number[];
}

/** A taxon's stages as they follow one another through its year: some flower before they have leaves. */
function inOrder({ taxon }: CompiledTaxon): readonly StageId[] {
  const known = ordered.get(taxon);
  if (known) return known;
  const month = (stage: StageId) =>
    Math.min(
      ...(taxon.phenology ?? []).filter((one) => one.stage === stage).map(({ months }) => months[0]),
      13,
    );
  const stages = [...taxon.stages].sort(
    (a, b) => month(a) - month(b) || taxon.stages.indexOf(a) - taxon.stages.indexOf(b),
  );
  ordered.set(taxon, stages);
  return stages;
}
const ordered = new WeakMap<CompiledTaxon['taxon'], readonly StageId[]>();

function visitsOf(sightings: SeenPlace['sightings'], taxon: CompiledTaxon): Visit[] {
  const order = inOrder(taxon);
  return sightings
    .filter(
      (one) => one.taxon === taxon.id && (one.what === 'nothing' || (one.what === 'seen' && one.stages)),
    )
    .map(({ on, what, stages = [] }) => ({
      on: dayOf(on),
      stages: what === 'nothing' ? [] : stages.map((stage) => order.indexOf(stage)).filter((at) => at >= 0),
    }))
    .sort((a, b) => a.on - b.on);
}

/**
 * The last visit at which a stage had not begun, the first and the last at which it was there, and the first
 * after that at which it was over.
 */
function bounds(visits: readonly Visit[], at: number): ThisSeason {
  const by = visits.find(({ stages }) => stages.some((stage) => stage >= at))?.on;
  const after = visits
    .filter(({ on, stages }) => (by === undefined || on < by) && stages.every((stage) => stage < at))
    .at(-1)?.on;
  const still = visits.filter(({ stages }) => stages.includes(at)).at(-1)?.on;
  const over =
    by === undefined
      ? undefined
      : visits.find(({ on, stages }) => on > (still ?? by) && !stages.includes(at))?.on;
  return { after, by, ...(still === undefined ? {} : { still }), ...(over === undefined ? {} : { over }) };
}

/** Of one taxon at a place, this season: for each stage that something was seen of. */
export function seenThisSeason(
  { sightings }: Pick<SeenPlace, 'sightings'>,
  taxon: CompiledTaxon,
  from: Day,
  until: Day,
): ReadonlyMap<StageId, ThisSeason> {
  const visits = visitsOf(sightings, taxon).filter(({ on }) => on >= from && on <= until);
  if (visits.length === 0) return new Map();
  return new Map(
    inOrder(taxon)
      .map((stage, at) => [stage, bounds(visits, at)] as const)
      .filter(([, { after, by }]) => after !== undefined || by !== undefined),
  );
}

/**
 * Every year's onset of every stage that warmth decides, as far as sightings and weather reach back; this
 * season's own not.
 */
export function onsetsOf(
  places: readonly SeenPlace[],
  guide: CompiledGuide,
  series: WeatherSeries,
  before: Day,
): Onset[] {
  return places.flatMap((place) => {
    const warmer = degreesAt(series.elevation, place.site);
    const byTaxon = new Map<string, SeenPlace['sightings'][number][]>();
    for (const one of place.sightings) {
      const others = byTaxon.get(one.taxon);
      if (others) others.push(one);
      else byTaxon.set(one.taxon, [one]);
    }
    return [...byTaxon].flatMap(([id, sightings]) => {
      const taxon = guide.taxon(id);
      const needs = (taxon?.taxon.needs ?? []).filter(decidedByWarmth);
      if (!taxon || needs.length === 0) return [];
      const visits = visitsOf(sightings, taxon).filter(({ on }) => on < before);
      return [...new Set(visits.map(({ on }) => yearOf(on)))].flatMap((year) => {
        const scenario = pastYear(series, year);
        if (!scenario) return [];
        return needs.flatMap((need): Onset[] => {
          const { by, after } = bounds(
            visits.filter(({ on }) => yearOf(on) === year),
            inOrder(taxon).indexOf(need.stage),
          );
          const { base, sum } = need.begins.warmth;
          const sums = scenario.warmth(base, warmer);
          const at = (day: Day) => Math.max(1, sums[day - scenario.from] ?? 1);
          if (by === undefined) return [];
          // Never looked before it was there: it may have begun as long ago as it can last.
          const least =
            after === undefined ? at(by) * (need.ends.warmth ? sum / need.ends.warmth.sum : 0.6) : at(after);
          const [low, high] = [Math.log(Math.min(least, at(by))), Math.log(at(by))];
          const middle =
            after === undefined ? undefined : (firstReaching(sums, at(after)) + by - scenario.from) / 2;
          const log =
            middle === undefined ? (low + high) / 2 : Math.log(Math.max(1, sums[Math.round(middle)] ?? 1));
          return [
            {
              what: whatOf(id, need.stage),
              place: place.id,
              year,
              log: log - Math.log(sum),
              error: Math.max(0.01, (high - low) / Math.sqrt(12)),
            },
          ];
        });
      });
    });
  });
}
