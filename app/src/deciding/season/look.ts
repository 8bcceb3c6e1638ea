import type { CompiledGuide, TaxonId } from '@pause/core';
import { newYear, yearOf, type Day } from '@pause/core/lib/day';
import {
  joinedVisits,
  Season,
  weekSteps,
  why,
  type Outlook,
  type SeenPlace,
  type Spread,
  type When,
  type Why,
} from '@pause/core/season';
import { simulateWeather, type WeatherSeries } from '@pause/core/season/weather';
import { compiled, type GuideFile } from '../guide';

/** Looking ahead over all places, away from the thread that draws. */

export interface Ahead {
  readonly taxon: TaxonId;
  /** Which of the taxon's parts. */
  readonly part: number;
  readonly place: string;
  readonly when: When;
  readonly begins: Spread;
  readonly ends: Spread;
  readonly chance: number;
  readonly years: number;
  readonly why?: Why;
}
export interface Looked {
  readonly today: Day;
  readonly list: readonly Ahead[];
  /** No weather of one's own is here: that of a made-up valley is used. */
  readonly simulated: boolean;
  /** It was stopped after so many of its places, as a share from 0 to 1. */
  readonly stoppedAt?: number;
}
export interface Question {
  readonly places: readonly SeenPlace[];
  readonly today: Day;
  readonly weather?: WeatherSeries | undefined;
}
/** Days to look again at some places, and how likely each of what ripens there is missed all the same. */
export interface LookAgain {
  readonly days: readonly Day[];
  readonly missed: readonly {
    readonly taxon: TaxonId;
    readonly part: number;
    readonly place: string;
    readonly chance: number;
  }[];
}

const SEED = 4;
const YEARS_BACK = 10;
const VISITS_WITHIN = 120;
let guide: CompiledGuide | undefined;
let standIn: { readonly today: Day; readonly series: WeatherSeries } | undefined;

export function takeGuide(file: GuideFile): void {
  guide = compiled(file);
}

/** The same made-up weather every day, up to the day before. */
function madeUp(today: Day): WeatherSeries {
  if (standIn?.today !== today) standIn = { today, series: simulateWeather(SEED, 2016, today) };
  return standIn.series;
}

function seasonOf({ places, today, weather }: Question): Season {
  if (!guide) throw new Error('there is no guide yet');
  // Ten years say as much of what may come as thirty, in a third of the time.
  const whole = weather ?? madeUp(today);
  const from = newYear(yearOf(today) - YEARS_BACK);
  const skip = Math.max(0, from - whole.from);
  const series =
    skip === 0
      ? whole
      : {
          ...whole,
          from: whole.from + skip,
          least: whole.least.slice(skip),
          most: whole.most.slice(skip),
          rain: whole.rain.slice(skip),
        };
  return new Season(guide, series, places, today);
}

const MOST_EXPLAINED = 40;
const aheadOf = (
  season: Season,
  { taxon, part, place, when, forecast }: Outlook,
  explained: boolean,
): Ahead => {
  const because = explained ? why(season, { taxon, part, place }) : undefined;
  const { begins, ends, chance, years } = forecast;
  return {
    taxon: taxon.id,
    part: taxon.taxon.parts.indexOf(part),
    place,
    when,
    begins,
    ends,
    chance,
    years,
    ...(because ? { why: because } : {}),
  };
};

const TELL_MS = 250;
let stopAsked = 0;

/** Stops the looking ahead that is going on; what it found by then is its answer. */
export function stopLooking(): void {
  stopAsked += 1;
}

/**
 * Everything that was seen at these places and can be had now or later this season.
 *
 * @param progress gets the share done, from 0 to 1
 */
export async function lookAhead(
  question: Question,
  progress: (share: number) => void = () => undefined,
): Promise<Looked> {
  const begun = stopAsked;
  const season = seasonOf(question);
  const steps = weekSteps(season, () => true);
  let step = steps.next();
  let stoppedAt: number | undefined;
  for (let lastReport = Date.now(); !step.done; step = steps.next(stoppedAt === undefined)) {
    if (Date.now() - lastReport < TELL_MS) continue;
    lastReport = Date.now();
    progress(step.value);
    // Whoever wants it to stop has to be heard.
    await new Promise((resolve) => {
      setTimeout(resolve, 0);
    });
    if (stopAsked !== begun) stoppedAt ??= step.value;
  }
  const list = step.value.map((one, index) => aheadOf(season, one, index < MOST_EXPLAINED));
  return {
    today: question.today,
    simulated: season.series.simulated === true,
    list,
    ...(stoppedAt === undefined ? {} : { stoppedAt }),
  };
}

/**
 * When to look again at what ripens, with no more than this chance to miss its good days.
 *
 * @param walks the places that one walk joins, each of them planned by itself
 */
export function lookAgain(
  question: Question,
  walks: readonly (readonly string[])[],
  risk: number,
): LookAgain[] {
  const season = seasonOf(question);
  return walks.map((at) => {
    const coming = season.places
      .filter(({ id }) => at.includes(id))
      .flatMap((place) =>
        weekOf(season, place)
          .filter(({ when }) => when === 'soon' || when === 'later')
          .map((outlook) => {
            const part = outlook.taxon.taxon.parts.indexOf(outlook.part);
            return {
              key: `${outlook.taxon.id} ${part} ${place.id}`,
              taxon: outlook.taxon.id,
              part,
              place: place.id,
              spans: season.spans(outlook.taxon, outlook.part, place),
            };
          }),
      );
    const { days, missed } = joinedVisits(
      coming.map(({ key, spans }) => ({ id: key, spans })),
      question.today + 1,
      question.today + VISITS_WITHIN,
      risk,
    );
    return {
      days,
      missed: coming.map(({ key, taxon, part, place }) => ({
        taxon,
        part,
        place,
        chance: missed.get(key) ?? 0,
      })),
    };
  });
}

function weekOf(season: Season, place: SeenPlace): Outlook[] {
  const seen = new Set(place.sightings.filter(({ what }) => what === 'seen').map(({ taxon }) => taxon));
  return season.guide.taxa
    .filter(({ id }) => seen.has(id))
    .flatMap((taxon) => taxon.taxon.parts.flatMap((part) => season.outlook(taxon, part, place) ?? []));
}
