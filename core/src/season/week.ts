import type { CompiledGuide, CompiledTaxon, Part } from '../guide';
import { dayOfYear, isoOf, newYear, yearOf, type Day } from '../lib/day';
import { Learned } from './learn';
import { onsetsOf, seenThisSeason, type SeenPlace } from './onset';
import { Forecaster, type Forecast } from './predict';
import { lagsOf, type LagBelief } from './rain';
import { warmerThan } from './site';
import type { WeatherSeries } from './weather';
import type { Span } from './window';

/**
 * What is worth going for: of everything that was ever seen at a person's places, what can be had now, soon,
 * and for the last days.
 */

export type When = 'now' | 'last' | 'soon' | 'later';
export interface Outlook {
  readonly taxon: CompiledTaxon;
  readonly part: Part;
  readonly place: string;
  readonly when: When;
  readonly forecast: Forecast;
}

/** Days until which something counts as coming soon, and as going soon. */
const SOON = 21;
const LAST = 10;
/** From so likely on something counts as there. */
const THERE = 0.5;
/** With less than this it is taken to be over. */
const STILL = 0.25;
/** A season that began last year is still going on until this day of the next one. */
const WINTER_ENDS = 119;

/** How far plants differ from the guide, by taxon and stage. */
export function spreadsOf(guide: CompiledGuide): (what: string) => number {
  const all = new Map<string, number>(
    guide.taxa.flatMap(({ id, taxon }) =>
      (taxon.needs ?? []).map((need) => [`${id} ${need.stage}`, need.begins.warmth?.spread ?? 0.12] as const),
    ),
  );
  return (what) => all.get(what) ?? 0.12;
}

/** Everything needed to see ahead from one day, made once. */
export class Season {
  readonly learned: Learned;
  /** By taxon, of those that wait for rain. */
  readonly lags: ReadonlyMap<string, LagBelief>;
  readonly #forecasters: readonly Forecaster[];
  /** What was seen since the last winter, by place and taxon. */
  readonly #recent = new Map<SeenPlace, Map<string, SeenPlace['sightings'][number][]>>();

  constructor(
    readonly guide: CompiledGuide,
    readonly series: WeatherSeries,
    readonly places: readonly SeenPlace[],
    readonly today: Day,
  ) {
    const year = yearOf(today);
    this.learned = new Learned(onsetsOf(places, guide, series, newYear(year)), spreadsOf(guide));
    this.lags = lagsOf(places, guide, series, newYear(year));
    const years = dayOfYear(today) <= WINTER_ENDS ? [year - 1, year] : [year];
    this.#forecasters = years.map((one) => new Forecaster(series, one, today, this.learned, this.lags));
  }

  #seen(
    taxon: CompiledTaxon,
    place: SeenPlace,
    { from }: Forecaster,
  ): ReturnType<typeof seenThisSeason> | undefined {
    let recent = this.#recent.get(place);
    if (!recent) {
      recent = new Map();
      const first = isoOf(this.#forecasters[0]?.from ?? from);
      for (const one of place.sightings)
        if (one.on >= first) recent.set(one.taxon, [...(recent.get(one.taxon) ?? []), one]);
      this.#recent.set(place, recent);
    }
    const sightings = recent.get(taxon.id);
    const seen = sightings && seenThisSeason({ sightings }, taxon, from, this.today);
    return seen && seen.size > 0 ? seen : undefined;
  }

  /** When a part can be had at a place: of two seasons that meet in winter the one that is not over. */
  forecast(taxon: CompiledTaxon, part: Part, place: SeenPlace): Forecast | undefined {
    const all = this.#forecasters.flatMap(
      (forecaster) => forecaster.part(taxon, part, place, this.#seen(taxon, place, forecaster)) ?? [],
    );
    return all.find((one) => !isOver(one, this.today)) ?? all.at(-1);
  }

  /** Every way in which the good days may fall, as days of the calendar. */
  spans(taxon: CompiledTaxon, part: Part, place: SeenPlace): Span[] {
    const forecaster = this.#forecasters.at(-1);
    return forecaster?.spans(taxon, part, place, this.#seen(taxon, place, forecaster)) ?? [];
  }

  outlook(taxon: CompiledTaxon, part: Part, place: SeenPlace): Outlook | undefined {
    const forecast = this.forecast(taxon, part, place);
    if (!forecast || isOver(forecast, this.today)) return undefined;
    return { taxon, part, place: place.id, forecast, when: whenOf(forecast, this.today) };
  }
}

const isOver = ({ begins, chance }: Forecast, today: Day) => begins.mid <= today && chance < STILL;

function whenOf({ begins, ends, chance }: Forecast, today: Day): When {
  if (chance >= THERE) return ends.mid - today <= LAST ? 'last' : 'now';
  if (begins.mid > today) return begins.mid - today <= SOON ? 'soon' : 'later';
  return ends.mid >= today ? 'now' : 'last';
}

/** The taxa that were seen at a place, in any year. */
export function taxaSeenAt({ sightings }: Pick<SeenPlace, 'sightings'>): Set<string> {
  return new Set(sightings.filter(({ what }) => what === 'seen').map(({ taxon }) => taxon));
}

const ORDER: readonly When[] = ['last', 'now', 'soon', 'later'];

/**
 * What is worth going for, first what goes soon.
 *
 * @param wanted whether a household and its group have any use for it
 * @param everything whether everything wanted is looked up everywhere, and not only what was seen at each
 * place
 * @returns in steps, each telling the share that is done; `false` given back to one stops there, and what was
 * found by then is the list
 */
export function* weekSteps(
  season: Season,
  wanted: (taxon: CompiledTaxon, part: Part) => boolean,
  everything = false,
): Generator<number, Outlook[], boolean | undefined> {
  const all: Outlook[] = [];
  const taxa = season.guide.taxa.filter(({ taxon }) => taxon.parts.length > 0 && taxon.needs);
  for (const [index, place] of season.places.entries()) {
    const seen = everything ? undefined : taxaSeenAt(place);
    for (const taxon of taxa) {
      if (seen && !seen.has(taxon.id)) continue;
      for (const part of taxon.taxon.parts) {
        if (!wanted(taxon, part)) continue;
        const one = season.outlook(taxon, part, place);
        if (one) all.push(one);
      }
    }
    if ((yield (index + 1) / season.places.length) === false) break;
  }
  const near = ({ when, forecast }: Outlook) =>
    when === 'last' ? forecast.ends.mid : when === 'now' ? -forecast.chance : forecast.begins.mid;
  return all.sort((a, b) => ORDER.indexOf(a.when) - ORDER.indexOf(b.when) || near(a) - near(b));
}

export function week(
  season: Season,
  wanted: (taxon: CompiledTaxon, part: Part) => boolean = () => true,
): Outlook[] {
  const steps = weekSteps(season, wanted);
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}

/**
 * Why it comes when it comes: days earlier (less than 0) or later than on open, level ground at the station's
 * height in a usual year.
 */
export interface Why {
  /** By height, slope and shade. */
  readonly place: number;
  /** By what was seen there and elsewhere in other years. */
  readonly records: number;
  /** By this year's weather so far. */
  readonly year: number;
  /** Metres above the station; slope and shade as recorded, in degrees. */
  readonly warmer: ReturnType<typeof warmerThan>;
  readonly metres: number;
}

export function why(
  season: Season,
  { taxon, part, place }: Pick<Outlook, 'taxon' | 'part' | 'place'>,
): Why | undefined {
  const at = season.places.find(({ id }) => id === place);
  // When the rain came decides it, and not how warm the place is.
  if (!at || taxon.taxon.needs?.some(({ stage, begins }) => begins.rain && part.stages.includes(stage)))
    return undefined;
  const year = yearOf(season.today);
  const usual = new Forecaster(season.series, year, newYear(year));
  const level = usual.part(taxon, part, { id: '', site: {} })?.begins.mid;
  const here = usual.part(taxon, part, at)?.begins.mid;
  const known = new Forecaster(season.series, year, newYear(year), season.learned).part(taxon, part, at)
    ?.begins.mid;
  const now = season.forecast(taxon, part, at)?.begins.mid;
  if (level === undefined || here === undefined || known === undefined || now === undefined) return undefined;
  const { elevation } = season.series;
  return {
    place: here - level,
    records: known - here,
    year: now - known,
    warmer: warmerThan(elevation, at.site),
    metres: (at.site.elevation ?? elevation) - elevation,
  };
}
