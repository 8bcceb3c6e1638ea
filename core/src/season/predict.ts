import type { Need, Part, CompiledTaxon, StageId } from '../guide';
import { type Day, newYear } from '../lib/day';
import { type Learned, SPREADS, type Belief } from './learn';
import { type LagBelief, asTheGuide } from './rain';
import { type Scenario, scenariosOf, SEASON_DAYS } from './scenario';
import { type Site, roughDegreesAt, degreesAt } from './site';
import { type Spread, union, inOrder, quantile } from './spread';
import { type ThisSeason, lasting, corrected } from './thisSeason';
import type { WeatherSeries } from './weather';
import {
  type Packed,
  type Deviation,
  stageSpan,
  NEVER,
  firstFrost,
  beginsOf,
  endsOf,
  packed,
  type Span,
} from './window';

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
