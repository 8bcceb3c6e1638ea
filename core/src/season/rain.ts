import type { CompiledGuide, Need } from '../guide';
import { dayOf, isoOf, type Day } from '../lib/day';
import type { SeenPlace } from './onset';
import { pastYear, type Scenario } from './scenario';
import { roughDegreesAt } from './site';
import { firstReaching } from './warmth';
import type { WeatherSeries } from './weather';
import { AS_THE_GUIDE_SAYS, withinSeason } from './window';

/**
 * How long after rain a fungus comes, beside what the guide says. Which rain brought it nobody sees; but each
 * visit, with it there or not, agrees with some lags and not with others. So every lag is tried on every
 * visit (Bayes' rule on a grid of days), and what is believed afterwards moves all its stages at once: shrunk
 * towards the guide, less with each year of records.
 *
 * A visit says little by itself: rain falls in patches, and a single one is overlooked.
 */
export interface LagBelief {
  /** Days longer (or, below nothing, shorter) than the guide's. */
  readonly mean: number;
  /** Of the coming season, what differs from year to year included. */
  readonly deviation: number;
  /** In how many years it was looked for. */
  readonly years: number;
}

/**
 * How the guide's spread comes about: one kind in one region differs from it, and one year from another.
 * Together they are the whole of it.
 */
const OF_TAXON = 0.8;
const OF_YEAR = 0.6;
/** How often it is there although rain and lag say no, or not seen there although they say yes. */
const OTHERWISE = 0.15;
const TIMES = (1 - OTHERWISE) / OTHERWISE;
/** However often a lag was wrong, it is not impossible. */
const LEAST = 1e-200;
const Z = [-1.3998, -0.5314, 0, 0.5314, 1.3998];
/** Days of lag that are tried either way. */
const REACH = 8;
/** Beyond them, for a year of its own; together they fit into the bits of a number. */
const YEAR_REACH = 6;

type Rainy = Need & { readonly begins: { readonly rain: NonNullable<Need['begins']['rain']> } };
const isRainy = (need: Need): need is Rainy => need.begins.rain !== undefined;

/** A visit, as it bears on one stage. */
interface Look {
  readonly day: number;
  readonly there: boolean;
  readonly need: Rainy;
  readonly season: ReturnType<typeof withinSeason>;
}

/**
 * For which lags it should be there on the day of a visit: one bit for each, the lowest for the shortest. It
 * is there where some soaking rain fell so long before as the lag, and not longer before than it lasts
 * besides.
 */
function lagsThatBring(
  {
    need: {
      begins: { rain },
    },
    season: { first, over, lasts },
    day,
  }: Look,
  scenario: Scenario,
  shortest: number,
  count: number,
): number {
  if (first < 0 || day < first || day >= over) return 0;
  const soaked = scenario.soaked(rain.millimetres, rain.days);
  const every = 2 ** count - 1;
  let bits = 0;
  for (let at = firstReaching(soaked, day - shortest - count - lasts + 2); at < soaked.length; at += 1) {
    // The longest lag with which this rain has brought it by now, and how many shorter ones are not over yet.
    const longest = day - (soaked[at] ?? 0) - shortest;
    if (longest < 0) break;
    const least = longest - lasts + 1;
    const run = 2 ** Math.min(lasts, longest + 1, count) - 1;
    bits |= (least > 0 ? run * 2 ** Math.min(least, 30) : run) & every;
  }
  return bits;
}

/** What sightings of earlier years say of each taxon that waits for rain. */
export function lagsOf(
  places: readonly SeenPlace[],
  guide: CompiledGuide,
  series: WeatherSeries,
  before: Day,
): ReadonlyMap<string, LagBelief> {
  /** Logarithm of how well each lag agrees with all that was seen. */
  const agrees = new Map<
    string,
    { readonly logs: Float64Array; readonly spread: number; readonly years: Set<number> }
  >();
  const needsOf = new Map<string, readonly Rainy[]>();
  const seasonsOf = new Map<string, readonly Pick<Look, 'need' | 'season'>[]>();
  for (const place of places) {
    const warmer = roughDegreesAt(series.elevation, place.site);
    for (const { id, needs, year, sightings } of byTaxonAndYear(place, before, (id) =>
      kept(needsOf, id, () => (guide.taxon(id)?.taxon.needs ?? []).filter(isRainy)),
    )) {
      const scenario = pastYear(series, year);
      if (!scenario) continue;
      const seasons = kept(seasonsOf, `${id} ${year} ${warmer}`, () =>
        needs.map((need) => ({ need, season: withinSeason(need, scenario, warmer, AS_THE_GUIDE_SAYS) })),
      );
      const looks = sightings.flatMap((one) => looksOf(one, seasons, scenario.from));
      if (looks.length === 0) continue;
      const spread = needs[0]?.begins.rain.spread ?? 3;
      const row = kept(agrees, id, () => ({
        logs: new Float64Array(2 * REACH + 1),
        spread,
        years: new Set<number>(),
      }));
      row.years.add(year);
      // Longer or shorter by what one year differs from another, each of five equal shares.
      const ofYear = Z.map((z) =>
        Math.max(-YEAR_REACH, Math.min(Math.round(z * OF_YEAR * spread), YEAR_REACH)),
      );
      const count = 2 * (REACH + YEAR_REACH) + 1;
      const asForeseen = new Int32Array(count);
      for (const look of looks) {
        const bits = lagsThatBring(
          look,
          scenario,
          Math.round(look.need.begins.rain.lag) - REACH - YEAR_REACH,
          count,
        );
        for (let at = 0; at < count; at += 1)
          if (((bits >>> at) & 1) === Number(look.there)) asForeseen[at] = (asForeseen[at] ?? 0) + 1;
      }
      // As a share of the likeliest: each visit that agrees makes a lag so many times likelier.
      const most = asForeseen.reduce((a, b) => Math.max(a, b), 0);
      const likely = Float64Array.from(asForeseen, (agreeing) => Math.max(LEAST, TIMES ** (agreeing - most)));
      for (let at = 0; at < row.logs.length; at += 1) {
        row.logs[at] =
          (row.logs[at] ?? 0) +
          Math.log(ofYear.reduce((sum, longer) => sum + (likely[at + YEAR_REACH + longer] ?? 0), 0));
      }
    }
  }
  return new Map(
    [...agrees].map(([id, { logs, spread, years }]) => [id, believed(logs, spread, years.size)]),
  );
}

/** What nothing was seen of: the guide's lag, and the whole of its spread. */
export const asTheGuide = (spread: number): LagBelief => ({
  mean: 0,
  deviation: spread * Math.hypot(OF_TAXON, OF_YEAR),
  years: 0,
});

function believed(logs: Float64Array, spread: number, years: number): LagBelief {
  const prior = (days: number) => -0.5 * (days / (OF_TAXON * spread)) ** 2;
  const posterior = Array.from(logs, (log, at) => log + prior(at - REACH));
  const top = Math.max(...posterior);
  const weights = posterior.map((log) => Math.exp(log - top));
  const sum = weights.reduce((a, b) => a + b, 0);
  const mean = weights.reduce((all, weight, at) => all + weight * (at - REACH), 0) / sum;
  const variance = weights.reduce((all, weight, at) => all + weight * (at - REACH - mean) ** 2, 0) / sum;
  return { mean, deviation: Math.sqrt(variance + (OF_YEAR * spread) ** 2), years };
}

function kept<K, V extends object>(map: Map<K, V>, key: K, make: () => V): V {
  const have = map.get(key);
  if (have !== undefined) return have;
  const made = make();
  map.set(key, made);
  return made;
}

interface Watched {
  readonly id: string;
  readonly needs: readonly Rainy[];
  readonly year: number;
  readonly sightings: SeenPlace['sightings'][number][];
}

/** What was seen of those that wait for rain, in each year that is over. */
function byTaxonAndYear(
  { sightings }: SeenPlace,
  before: Day,
  needsOf: (taxon: string) => readonly Rainy[],
): Iterable<Watched> {
  const all = new Map<string, Watched>();
  const last = isoOf(before);
  for (const one of sightings) {
    const needs = one.on < last ? needsOf(one.taxon) : [];
    if (needs.length === 0) continue;
    const year = Number(one.on.slice(0, 4));
    kept(all, `${one.taxon} ${year}`, () => ({ id: one.taxon, needs, year, sightings: [] })).sightings.push(
      one,
    );
  }
  return all.values();
}

/** Seen at a stage: that stage is there. Looked for in vain: none of them is. */
function looksOf(
  { what, stages, on }: SeenPlace['sightings'][number],
  seasons: readonly Pick<Look, 'need' | 'season'>[],
  from: Day,
): Look[] {
  if (what === 'suspected' || (what === 'seen' && !stages)) return [];
  const there = what === 'seen';
  const day = dayOf(on) - from;
  return seasons
    .filter(({ need }) => !there || stages?.includes(need.stage))
    .map((one) => ({ ...one, day, there }));
}
