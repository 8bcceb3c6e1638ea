import type { CompiledTaxon, StageId, Need, Part } from '../guide';
import { newYear, type Day } from '../lib/day';
import { SPREADS, type Belief, type Learned } from './learn';
import { asTheGuide, type LagBelief } from './rain';
import { scenariosOf, SEASON_DAYS, type Scenario } from './scenario';
import { degreesAt, roughDegreesAt, type Site } from './site';
import type { WeatherSeries } from './weather';
import {
  beginsOf,
  endsOf,
  firstFrost,
  NEVER,
  packed,
  stageSpan,
  type Deviation,
  type Packed,
  type Span,
} from './window';

/**
 * A day that nobody knows exactly: in one of ten cases it is before `low`, in one of ten after `high`, and as
 * often before `mid` as after it.
 */
export interface Spread {
  readonly low: Day;
  readonly mid: Day;
  readonly high: Day;
}
/** When a part can be had at a place. */
export interface Forecast {
  readonly begins: Spread;
  readonly ends: Spread;
  /** From 0 to 1: how likely it is that it can be had on the day asked about. */
  readonly chance: number;
  /** How likely it is that it comes at all, or comes again, this season. */
  readonly comes: number;
  /** In how many years its stage was seen at this very place. */
  readonly years: number;
}

type Warm = Need & { readonly begins: { readonly warmth: NonNullable<Need['begins']['warmth']> } };
/**
 * Rain and cool spells open a season of their own; when they come says little of the warmth that was needed.
 */
export const decidedByWarmth = (need: Need): need is Warm =>
  need.begins.warmth !== undefined && !need.begins.rain && !need.begins.cool;

/**
 * What was seen this season at a place of one stage: not yet on `after`, there by `by` and still on `still`,
 * and over on `over`.
 */
export interface ThisSeason {
  readonly after?: Day | undefined;
  readonly by?: Day | undefined;
  readonly still?: Day | undefined;
  readonly over?: Day | undefined;
}

/** The means of five equal shares of the normal distribution: they stand for everything in them. */
const Z = [-1.3998, -0.5314, 0, 0.5314, 1.3998];
/** How long after rain is taken in another order than how much warmth, so that the two do not go together. */
const LAG_ORDER = [2, 4, 0, 3, 1];

export const whatOf = (taxon: string, stage: string): string => `${taxon} ${stage}`;

type Wanted = Pick<Part, 'stages' | 'afterFrost'>;
interface Where {
  readonly id: string;
  readonly site: Site;
}

/** Sees ahead from one day, over one season. */
export class Forecaster {
  readonly scenarios: readonly Scenario[];
  readonly from: Day;
  readonly #alike = new Map<string, Packed[]>();
  /** What comes of spans that several places share. */
  readonly #summed = new WeakMap<Packed[], Forecast>();

  /**
   * @param year of the season, which begins on 1 January
   * @param today the day that is asked about; the weather is known up to the day before it
   * @param lags by taxon, what was learned of how long after rain it comes
   */
  constructor(
    readonly series: WeatherSeries,
    year: number,
    readonly today: Day,
    readonly learned?: Learned,
    readonly lags: ReadonlyMap<string, LagBelief> = new Map(),
  ) {
    this.scenarios = scenariosOf(series, year, today);
    this.from = newYear(year);
  }

  /** Every way in which a stage may last, each as likely as the others. */
  #stage(taxon: CompiledTaxon, need: Need, place: Where, seen: ThisSeason | undefined): Packed[] {
    const what = whatOf(taxon.id, need.stage);
    const own = this.#own(need, what, place.id);
    const warmer = this.#warmer(place.site, need);
    const key = own || seen ? undefined : `${what} ${warmer}`;
    const have = key === undefined ? undefined : this.#alike.get(key);
    if (have) return have;
    const { mean, deviation } = own ?? {
      mean: 0,
      deviation: Math.hypot(need.begins.warmth?.spread ?? 0, SPREADS.place, SPREADS.year),
    };
    const notBefore = this.today - this.from;
    const spread = need.begins.rain?.spread ?? 1;
    const lag = this.lags.get(taxon.id) ?? asTheGuide(spread);
    const deviations = Z.map((z, index): Deviation => ({
      factor: need.begins.warmth ? Math.exp(mean + deviation * z) : 1,
      lag: (lag.mean + lag.deviation * (Z[LAG_ORDER[index] ?? 0] ?? 0)) / spread,
    }));
    const all: Packed[] = [];
    for (const scenario of this.scenarios)
      for (const one of deviations) all.push(stageSpan(need, scenario, warmer, one, notBefore));
    if (key !== undefined) this.#alike.set(key, all);
    return seen ? lasting(corrected(all, this.#since(seen)), this.#since(seen)) : all;
  }

  #since({ after, by, still, over }: ThisSeason): Required<ThisSeason> {
    const day = (one: Day | undefined) => (one === undefined ? undefined : one - this.from);
    return { after: day(after), by: day(by), still: day(still), over: day(over) };
  }

  /** What was learned that matters to a stage at a place, if anything was. */
  #own(need: Need, what: string, place: string): Belief | undefined {
    return this.learned && decidedByWarmth(need) && this.learned.knows(what, place)
      ? this.learned.belief(what, place)
      : undefined;
  }

  #warmer(site: Site, need: Need): number {
    return need.begins.rain
      ? roughDegreesAt(this.series.elevation, site)
      : degreesAt(this.series.elevation, site);
  }

  /** Every way in which a part may be had. */
  #part(
    taxon: CompiledTaxon,
    part: Wanted,
    place: Where,
    seen: ReadonlyMap<StageId, ThisSeason> | undefined,
  ): Packed[] | undefined {
    const needs = (taxon.taxon.needs ?? []).filter(({ stage }) => part.stages.includes(stage));
    // A part that is good at a stage of which nothing is known cannot be foreseen.
    if (needs.length < part.stages.length || needs.length === 0) return undefined;
    const [first, ...rest] = needs.map((need) => this.#stage(taxon, need, place, seen?.get(need.stage)));
    const joined = rest.reduce((a, b) => a.map((span, index) => union(span, b[index] ?? NEVER)), first ?? []);
    if (part.afterFrost === undefined) return joined;
    const warmer = degreesAt(this.series.elevation, place.site);
    const { afterFrost } = part;
    return joined.map((span, index) => {
      const scenario = this.scenarios[Math.floor(index / Z.length)];
      if (span === NEVER || !scenario) return NEVER;
      const frost = firstFrost(scenario, warmer, afterFrost, beginsOf(span));
      return frost <= endsOf(span) && frost < SEASON_DAYS ? packed(frost, endsOf(span)) : NEVER;
    });
  }

  /**
   * Every way in which a part may be had, as days of the calendar; those in which it does not come are left
   * out.
   */
  spans(taxon: CompiledTaxon, part: Wanted, place: Where, seen?: ReadonlyMap<StageId, ThisSeason>): Span[] {
    return (this.#part(taxon, part, place, seen) ?? []).flatMap((span) =>
      span === NEVER ? [] : [{ begins: this.from + beginsOf(span), ends: this.from + endsOf(span) }],
    );
  }

  /**
   * @returns nothing where the guide does not say what the part waits for, or where it does not come any more
   */
  part(
    taxon: CompiledTaxon,
    part: Wanted,
    place: Where,
    seen?: ReadonlyMap<StageId, ThisSeason>,
  ): Forecast | undefined {
    const spans = this.#part(taxon, part, place, seen);
    if (!spans) return undefined;
    const known = this.#summed.get(spans);
    if (known) return known;
    const sure = spans.filter((span) => span !== NEVER);
    if (sure.length === 0) return undefined;
    const today = this.today - this.from;
    let [there, comes] = [0, 0];
    for (const span of sure) {
      const ends = endsOf(span);
      if (ends < today) continue;
      comes += 1;
      if (beginsOf(span) <= today) there += 1;
    }
    const years = Math.max(
      0,
      ...part.stages.map((stage) => this.learned?.years(whatOf(taxon.id, stage), place.id) ?? 0),
    );
    const forecast = {
      begins: this.#spread(sure.map(beginsOf)),
      ends: this.#spread(sure.map(endsOf)),
      years,
      chance: there / spans.length,
      comes: comes / spans.length,
    };
    if (years === 0) this.#summed.set(spans, forecast);
    return forecast;
  }

  #spread(days: readonly number[]): Spread {
    const sorted = inOrder(days);
    const at = (share: number) => this.from + Math.round(quantile(sorted, share));
    return { low: at(0.1), mid: at(0.5), high: at(0.9) };
  }
}

/** A short list from least to most; that it is short is why it is put in order by insertion. */
function inOrder(list: readonly number[]): Float64Array {
  const sorted = Float64Array.from(list);
  for (let i = 1; i < sorted.length; i += 1) {
    const value = sorted[i] ?? 0;
    let at = i - 1;
    for (; at >= 0 && (sorted[at] ?? 0) > value; at -= 1) sorted[at + 1] = sorted[at] ?? 0;
    sorted[at + 1] = value;
  }
  return sorted;
}

/**
 * Between the two nearest of a sorted list (type 5 of Hyndman and Fan, "Sample quantiles in statistical
 * packages", 1996: each value stands for the middle of its share).
 */
export function quantile(sorted: Float64Array, share: number): number {
  const place = Math.min(Math.max(share * sorted.length - 0.5, 0), sorted.length - 1);
  const [below, above] = [sorted[Math.floor(place)] ?? 0, sorted[Math.ceil(place)] ?? 0];
  return below + (above - below) * (place - Math.floor(place));
}

function union(a: Packed, b: Packed): Packed {
  if (a === NEVER || b === NEVER) return Math.max(a, b);
  return packed(Math.min(beginsOf(a), beginsOf(b)), Math.max(endsOf(a), endsOf(b)));
}

const A_WEEK = 7;
/**
 * Only what agrees with what was seen, as often as it takes to stand for all; where nothing does, what is
 * nearest to it.
 */
function corrected(
  all: readonly Packed[],
  { after = -Infinity, by = Infinity }: Pick<ThisSeason, 'after' | 'by'>,
): Packed[] {
  const agree = all.filter((span) =>
    span === NEVER ? by === Infinity : beginsOf(span) > after && beginsOf(span) <= by,
  );
  if (agree.some((span) => span !== NEVER))
    return all.map((span, index) => (agree.includes(span) ? span : (agree[index % agree.length] ?? NEVER)));
  return all.map((span) => {
    if (span === NEVER) return by === Infinity ? NEVER : packed(by, by + A_WEEK);
    const begins = Math.min(Math.max(beginsOf(span), after + 1), by);
    return packed(begins, Math.max(endsOf(span) + begins - beginsOf(span), begins));
  });
}

/**
 * What was still there on a day lasts beyond it, by a week or a fifth of the time foreseen for all of it;
 * what was over by then lasts no longer.
 */
function lasting(
  all: readonly Packed[],
  { still = -Infinity, over = Infinity }: Pick<ThisSeason, 'still' | 'over'>,
): Packed[] {
  if (still === -Infinity && over === Infinity) return [...all];
  return all.map((span) => {
    if (span === NEVER) return NEVER;
    const [begins, ends] = [beginsOf(span), endsOf(span)];
    const lasts = ends > still ? ends : still + Math.max(A_WEEK, Math.round((ends - begins) / STILL_LEFT));
    return over <= begins ? NEVER : packed(begins, Math.max(begins, Math.min(lasts, over - 1)));
  });
}
const STILL_LEFT = 5;
