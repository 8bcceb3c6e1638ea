import { compileGuide, parseGuide, type CompiledGuide, type TaxonId } from '@pause/core';
import { newYear, yearOf, type Day } from '@pause/core/day';
import { joinedVisits, Season, weekSteps, why, type Outlook, type SeenPlace, type Spread, type When, type Why } from '@pause/core/season';
import { simulateWeather, type WeatherSeries } from '@pause/core/weather';

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
  /** No weather of one's own is here: a made-up valley stands in. */
  readonly simulated: boolean;
}
export interface Question {
  readonly places: readonly SeenPlace[];
  readonly today: Day;
  readonly weather?: WeatherSeries | undefined;
}
/** Days to look again at some places, and how likely each of what ripens there is missed all the same. */
export interface LookAgain {
  readonly days: readonly Day[];
  readonly missed: readonly { readonly taxon: TaxonId; readonly part: number; readonly place: string; readonly chance: number }[];
}

const SEED = 4;
const YEARS_BACK = 10;
const VISITS_WITHIN = 120;
let guide: CompiledGuide | undefined;
let standIn: { readonly today: Day; readonly series: WeatherSeries } | undefined;

export function takeGuide(raw: unknown): void {
  guide = compileGuide(parseGuide(raw));
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
  const series = skip === 0 ? whole : { ...whole, from: whole.from + skip, least: whole.least.slice(skip), most: whole.most.slice(skip), rain: whole.rain.slice(skip) };
  return new Season(guide, series, places, today);
}

const MOST_EXPLAINED = 40;
const aheadOf = (season: Season, { taxon, part, place, when, forecast }: Outlook, explained: boolean): Ahead => {
  const because = explained ? why(season, { taxon, part, place }) : undefined;
  const { begins, ends, chance, years } = forecast;
  return { taxon: taxon.id, part: taxon.taxon.parts.indexOf(part), place, when, begins, ends, chance, years, ...(because ? { why: because } : {}) };
};

/** Everything that was seen at these places and can be had now or later this season. @param progress is told the share done, from 0 to 1 */
export function lookAhead(question: Question, progress: (share: number) => void = () => undefined): Looked {
  const season = seasonOf(question);
  const steps = weekSteps(season, () => true);
  let step = steps.next();
  for (let told = Date.now(); !step.done; step = steps.next()) {
    if (Date.now() - told < 250) continue;
    told = Date.now();
    progress(step.value);
  }
  return { today: question.today, simulated: season.series.simulated === true, list: step.value.map((one, index) => aheadOf(season, one, index < MOST_EXPLAINED)) };
}

/** When to look again at what ripens at some places, with no more than this chance to miss its good days. */
export function lookAgain(question: Question, at: readonly string[], risk: number): LookAgain {
  const season = seasonOf(question);
  const coming: { key: string; taxon: TaxonId; part: number; place: string; spans: ReturnType<Season['spans']> }[] = [];
  for (const place of season.places.filter(({ id }) => at.includes(id))) {
    for (const outlook of weekOf(season, place)) {
      if (outlook.when !== 'soon' && outlook.when !== 'later') continue;
      const part = outlook.taxon.taxon.parts.indexOf(outlook.part);
      coming.push({ key: `${outlook.taxon.id} ${part} ${place.id}`, taxon: outlook.taxon.id, part, place: place.id, spans: season.spans(outlook.taxon, outlook.part, place) });
    }
  }
  const { days, missed } = joinedVisits(coming.map(({ key, spans }) => ({ id: key, spans })), question.today + 1, question.today + VISITS_WITHIN, risk);
  return { days, missed: coming.map(({ key, taxon, part, place }) => ({ taxon, part, place, chance: missed.get(key) ?? 0 })) };
}

function weekOf(season: Season, place: SeenPlace): Outlook[] {
  const seen = new Set(place.sightings.filter(({ what }) => what === 'seen').map(({ taxon }) => taxon));
  return season.guide.taxa.filter(({ id }) => seen.has(id)).flatMap((taxon) => taxon.taxon.parts.flatMap((part) => season.outlook(taxon, part, place) ?? []));
}
