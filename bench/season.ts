import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { compileGuide, type Guide } from '@pause/core';
import { dayOf, dayOfYear, isoOf, newYear, type Day } from '@pause/core/lib/day';
import {
  fewestVisits,
  Forecaster,
  lagsOf,
  Learned,
  missedBy,
  onsetsOf,
  Season,
  spreadsOf,
  weekSteps,
  type SeenPlace,
} from '@pause/core/season';
import { seeded, simulateWeather } from '@pause/core/season/weather';
import { shippedGuide } from '@pause/guide';
import { fungusSightingsOf, guide, MATURE, sightingsOf, world, type World } from './season/truth';

/**
 * How well the beginning of a stage is foreseen in synthetic years whose true dates are known, beside two
 * simple ways; how many walks it takes to miss hardly anything; and how long the list of a week takes. `npm
 * run bench:season` writes docs/season.md.
 */
const YEAR = 2026;
const YEARS = [0, 1, 3, 6];

export interface Score {
  readonly name: string;
  readonly cases: number;
  /** Mean of how many days off it was. */
  readonly error: number;
  /** Share of the true dates from `low` to `high`, of a spread that should hold eight of ten. */
  readonly coverage?: number;
  /** Days from `low` to `high`, on average. */
  readonly width?: number;
}

const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length);

/** The tenth day of the first of the months that the guide gives for a stage, at the height of a place. */
function byCalendar(of: World['taxa'][number], stage: string, elevation: number): Day | undefined {
  const bands = (of.taxon.phenology ?? []).filter((one) => one.stage === stage);
  const band = bands.find(({ elevation: [low, high] }) => elevation >= low && elevation <= high) ?? bands[0];
  return band && newYear(YEAR) + Math.round((band.months[0] - 1) * 30.44) + 10;
}

/** Places as somebody knows them who walked by every week in the years before. */
function seenIn(of: World, years: number, seed: number): SeenPlace[] {
  const random = seeded(seed + 99);
  return of.places.map((place) => {
    const weekday = Math.floor(random() * 7);
    return {
      id: place.id,
      site: place.site,
      sightings: of.taxa.flatMap((taxon) =>
        Array.from({ length: years }, (_, back) =>
          sightingsOf(of, place, taxon, YEAR - 1 - back, weekday),
        ).flat(),
      ),
    };
  });
}

/** Rows of a table of how far off what was foreseen is, as they come in. */
class Tally {
  readonly #rows = new Map<string, { errors: number[]; held: boolean[]; widths: number[] }>();

  note(name: string, error: number, held?: boolean, width?: number): void {
    const row = this.#rows.get(name) ?? { errors: [], held: [], widths: [] };
    row.errors.push(error);
    if (held !== undefined) row.held.push(held);
    if (width !== undefined) row.widths.push(width);
    this.#rows.set(name, row);
  }

  scores(): Score[] {
    return [...this.#rows]
      .sort(([a], [b]) => Number(b.startsWith('Pause')) - Number(a.startsWith('Pause')))
      .map(([name, { errors, held, widths }]) => ({
        name,
        cases: errors.length,
        error: mean(errors),
        ...(held.length > 0 ? { coverage: mean(held.map(Number)), width: mean(widths) } : {}),
      }));
  }
}

const withRecords = (years: number) =>
  `Pause, ${years === 0 ? 'no records' : years === 1 ? '1 year of records' : `${years} years of records`}`;

/**
 * When a fungus comes next, asked every tenth day of its season, where it came within so many days.
 *
 * @param within days from the day that is asked to the true beginning
 * @param records years in which somebody looked for it before
 */
export function measureFungi(
  seeds: readonly number[],
  places: number,
  within: number,
  records: readonly number[] = YEARS,
): Score[] {
  const tally = new Tally();
  for (const seed of seeds) {
    const of = world(seed, places);
    const random = seeded(seed + 7);
    const weekdays = of.places.map(() => Math.floor(random() * 7));
    for (const years of records) {
      const seen = of.places.map((place, index): SeenPlace => ({
        id: place.id,
        site: place.site,
        sightings: of.fungi.flatMap((taxon) =>
          Array.from({ length: years }, (_, back) =>
            fungusSightingsOf(of, place, taxon, YEAR - 1 - back, weekdays[index] ?? 0),
          ).flat(),
        ),
      }));
      const lags = lagsOf(seen, guide, of.series, newYear(YEAR));
      for (let asked = newYear(YEAR) + 120; asked < newYear(YEAR) + 290; asked += 10) {
        const forecaster = new Forecaster(of.series, YEAR, asked, undefined, lags);
        for (const place of of.places) {
          for (const taxon of of.fungi) {
            const truth = of.flushes(place, taxon, YEAR).find(({ ends }) => ends >= asked)?.begins;
            const forecast =
              truth !== undefined && truth > asked && truth - asked <= within
                ? forecaster.part(taxon, { stages: [MATURE] }, place)
                : undefined;
            if (truth === undefined || !forecast) continue;
            const { low, mid, high } = forecast.begins;
            tally.note(withRecords(years), Math.abs(mid - truth), truth >= low && truth <= high, high - low);
            if (years !== records[0]) continue;
            const last = of.flushes(place, taxon, YEAR - 1).find(({ ends }) => ends >= asked - 365)?.begins;
            if (last !== undefined)
              tally.note('The same date as last year', Math.abs(newYear(YEAR) + dayOfYear(last) - truth));
            const calendar = byCalendar(taxon, 'mature', place.site.elevation);
            if (calendar !== undefined)
              tally.note('The months of the guide, by height', Math.abs(calendar - truth));
          }
        }
      }
    }
  }
  return tally.scores();
}

/**
 * @param ahead days before the true date at which it is asked at the latest; it is asked on every so many-th
 * day of the year
 */
export function measure(seeds: readonly number[], places: number, ahead: number): Score[] {
  const tally = new Tally();
  for (const seed of seeds) {
    const of = world(seed, places);
    for (const years of YEARS) {
      const learned = new Learned(
        onsetsOf(seenIn(of, years, seed), guide, of.series, newYear(YEAR)),
        spreadsOf(guide),
      );
      const forecasters = new Map<Day, Forecaster>();
      for (const place of of.places) {
        for (const taxon of of.taxa) {
          for (const { stage, begins } of taxon.taxon.needs ?? []) {
            const truth = of.onset(place, taxon, stage, YEAR);
            if (
              !begins.warmth ||
              begins.rain ||
              begins.cool ||
              truth === undefined ||
              dayOfYear(truth) < ahead
            )
              continue;
            const asked = newYear(YEAR) + Math.floor((dayOfYear(truth) - ahead) / ahead) * ahead;
            const forecaster = forecasters.get(asked) ?? new Forecaster(of.series, YEAR, asked, learned);
            forecasters.set(asked, forecaster);
            const forecast = forecaster.part(taxon, { stages: [stage] }, place);
            if (!forecast) continue;
            const { low, mid, high } = forecast.begins;
            tally.note(withRecords(years), Math.abs(mid - truth), truth >= low && truth <= high, high - low);
            if (years !== 1) continue;
            const last = of.onset(place, taxon, stage, YEAR - 1);
            if (last !== undefined)
              tally.note('The same date as last year', Math.abs(newYear(YEAR) + dayOfYear(last) - truth));
            const calendar = byCalendar(taxon, stage, place.site.elevation);
            if (calendar !== undefined)
              tally.note('The months of the guide, by height', Math.abs(calendar - truth));
          }
        }
      }
    }
  }
  return tally.scores();
}

export interface VisitScore {
  readonly name: string;
  readonly cases: number;
  readonly missed: number;
  readonly walks: number;
}

/**
 * Walks planned once, at the first of May, against walks every week through the months of the guide. Good
 * days are those of fruit, from ripe to over.
 */
export function visits(seeds: readonly number[], places: number, risk: number): VisitScore[] {
  const rows = { planned: [[], []], replanned: [[], []], weekly: [[], []], fortnightly: [[], []] } as Record<
    string,
    [number[], number[]]
  >;
  const note = (name: string, days: readonly Day[], good: { begins: Day; ends: Day }) => {
    rows[name]?.[0].push(missedBy([good], days));
    rows[name]?.[1].push(days.length);
  };
  for (const seed of seeds) {
    const of = world(seed, places);
    const seen = seenIn(of, 1, seed);
    const [from, to] = [dayOf(`${YEAR}-05-01`), dayOf(`${YEAR}-11-15`)];
    const asked = new Map<Day, Season>();
    const seasonAt = (day: Day) => {
      const have = asked.get(day) ?? new Season(guide, of.series, seen, day);
      asked.set(day, have);
      return have;
    };
    for (const [index, place] of of.places.entries()) {
      for (const taxon of of.taxa) {
        const part = taxon.taxon.parts.find((one) => one.part === 'fruit' && one.afterFrost === undefined);
        const good = part && of.lasts(place, taxon, 'fruiting', YEAR);
        const at = seen[index];
        if (!part || !good || !at || good.begins < from || good.ends > to) continue;
        note('planned', fewestVisits(seasonAt(from).spans(taxon, part, at), from, to, risk), good);
        note(
          'replanned',
          walked(
            seasonAt,
            at,
            (season, place) => fewestVisits(season.spans(taxon, part, place), season.today, to, risk),
            taxon.id,
            good,
            from,
          ),
          good,
        );
        const bands = (taxon.taxon.phenology ?? []).filter((one) => one.stage === 'fruiting');
        const months = bands.map(({ months: [first, last] }) => [first, last] as const);
        const [first, last] = [Math.min(...months.map(([m]) => m)), Math.max(...months.map(([, m]) => m))];
        for (const [name, every] of [
          ['weekly', 7],
          ['fortnightly', 14],
        ] as const) {
          const begin = dayOf(`${YEAR}-${String(first).padStart(2, '0')}-01`);
          note(
            name,
            Array.from(
              { length: Math.ceil(((last - first + 1) * 30.4) / every) },
              (_, step) => begin + step * every,
            ),
            good,
          );
        }
      }
    }
  }
  const names: Readonly<Record<string, string>> = {
    planned: 'Planned once, on 1 May',
    replanned: 'Planned anew after each walk',
    weekly: 'Every week, through the months of the guide',
    fortnightly: 'Every other week',
  };
  return Object.entries(rows).map(([name, [missed, walks]]) => ({
    name: names[name] ?? name,
    cases: missed.length,
    missed: mean(missed),
    walks: mean(walks),
  }));
}

/**
 * Goes on the first day planned, writes down what is there, and plans anew; until the good days were met, or
 * are over.
 */
function walked(
  seasonAt: (day: Day) => Season,
  place: SeenPlace,
  plan: (season: Season, place: SeenPlace) => readonly Day[],
  taxon: string,
  good: { begins: Day; ends: Day },
  from: Day,
): Day[] {
  const went: Day[] = [];
  let now = from;
  let at = place;
  while (went.length < 12) {
    const fresh = seasonAt(now);
    const next = plan(fresh, at).find((day) => day >= now);
    if (next === undefined) return went;
    went.push(next);
    if (next >= good.begins) return went;
    at = {
      ...at,
      sightings: [
        ...at.sightings,
        { taxon: taxon as never, what: 'seen', stages: ['flowering' as never], on: isoOf(next) },
      ],
    };
    now = next + 1;
  }
  return went;
}

/** A guide with so many wanted taxa: those that ship, and copies of them under other names. */
function manyWanted(count: number): Guide {
  const shipped = shippedGuide();
  const wanted = shipped.taxa.filter(({ parts, needs }) => parts.length > 0 && needs);
  const copies = Array.from({ length: count }, (_, index) => {
    const taxon = wanted[index % wanted.length];
    if (!taxon) throw new Error('the guide has nothing wanted');
    return index < wanted.length
      ? taxon
      : {
          ...taxon,
          id: `${taxon.id}-${Math.floor(index / wanted.length)}` as typeof taxon.id,
          lookalikes: [],
          nearDoubles: [],
        };
  });
  return { ...shipped, taxa: [...shipped.taxa.filter((taxon) => !wanted.includes(taxon)), ...copies] };
}

export interface Timed {
  readonly places: number;
  readonly taxa: number;
  readonly everything: boolean;
  readonly listed: number;
  readonly learning: number;
  readonly listing: number;
}

/**
 * Milliseconds for the list of a week, with three years of weather and, at every place, three years of
 * records of ten taxa.
 *
 * @param everything whether everything wanted is looked up everywhere, and not only what was seen at each
 * place, as the application does
 */
export function timed(places: number, taxa: number, everything = true): Timed {
  const many = compileGuide(manyWanted(taxa));
  const series = simulateWeather(3, YEAR - 3, dayOf(`${YEAR}-08-10`));
  const random = seeded(places);
  const wanted = many.taxa.filter(({ taxon }) => taxon.parts.length > 0 && taxon.needs);
  const all = Array.from({ length: places }, (_, index): SeenPlace => ({
    id: `place-${index}`,
    site: {
      elevation: Math.round(450 + random() * 1100),
      aspect: (['n', 'e', 's', 'w', 'flat'] as const)[Math.floor(random() * 5)],
      shade: (['open', 'half', 'shaded'] as const)[Math.floor(random() * 3)],
    },
    sightings: Array.from({ length: 10 }, () => wanted[Math.floor(random() * wanted.length)]).flatMap(
      (taxon) =>
        taxon
          ? [1, 2, 3].flatMap(
              (back) =>
                [
                  { taxon: taxon.id, what: 'nothing', on: `${YEAR - back}-04-2${Math.floor(random() * 9)}` },
                  {
                    taxon: taxon.id,
                    what: 'seen',
                    stages: [taxon.taxon.stages[1] ?? taxon.taxon.stages[0]],
                    on: `${YEAR - back}-06-1${Math.floor(random() * 9)}`,
                  },
                ] as SeenPlace['sightings'],
            )
          : [],
    ),
  }));
  const start = performance.now();
  const season = new Season(many, series, all, dayOf(`${YEAR}-08-10`));
  const learnt = performance.now();
  const steps = weekSteps(season, () => true, everything);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return {
    places,
    taxa,
    everything,
    listed: step.value.length,
    learning: learnt - start,
    listing: performance.now() - learnt,
  };
}

export function table(scores: readonly Score[]): string {
  return [
    '| foreseen by | days off, on average | true date within its 80 % spread | width of that, days |',
    '|---|---|---|---|',
    ...scores.map(
      ({ name, error, coverage, width }) =>
        `| ${name} | ${error.toFixed(1)} | ${coverage === undefined ? '' : `${(100 * coverage).toFixed(0)} %`} | ${width === undefined ? '' : width.toFixed(0)} |`,
    ),
  ].join('\n');
}

const PROSE = `# When what stands where

*Written by \`npm run bench:season\`.*

A stage begins when enough warmth has been summed up at the place itself: degree-days over a base from 1 January, by the sine through each day's least and greatest
temperature (Baskerville and Emin 1969). Some wait for a cool spell besides, some for a night of frost (sloes are sweet after it), fungi for a soaking rain some days
before. It ends with more warmth, with frost, or after so many days, whichever comes first (\`core/src/season/window.ts\`).

- **The place**: 6.5 degrees a kilometre of height (ISO 2533), up to 0.8 degrees by the slope it faces, up to 0.7 by shade. General microclimatology, rounded; only
  where to begin (\`site.ts\`).
- **The guide's needs** are general phenology, no more: they were derived from the months that the guide gives for the lowest band of height and a usual year of a
  middle-European valley, and rounded. A test holds them against the months of every band. How far plants differ from them is taken as 10 to 12 %.
- **The weather** is known up to today; after that it may go as in each other year on record (\`scenario.ts\`).
- **What was seen** moves all of this: a taxon's need everywhere, a place's own climate for everything that grows there, both shrunk towards the guide, less with
  each year (\`learn.ts\`). Nobody looks every day: a record says only that a stage began between two visits. What was seen this year overrules.
- **Rain**: which rain brought a fungus nobody sees, so every lag is tried on every visit, with it there or not, and those that agree are believed more; shrunk towards
  the guide's (\`rain.ts\`). In the guide's spread of the lag, one kind in one region differs from it by 0.8 of it and one year from another by 0.6.
- **Always a spread, never one date**: the days between which the beginning falls in eight of ten cases.

## How good it is

In synthetic years whose true dates are known. They are made by other rules than it believes: air cools by 5.6 degrees a kilometre, slopes count more, every hollow
has a climate of its own in degrees, taxa differ from the guide, and each single year has a shift of three days that no weather explains. Whoever keeps the records
walks by once a week.

What is left a month or more ahead is the weather still to come, which no records can tell.
`;

function run(): void {
  const seeds = [1, 2, 3, 4, 5];
  const [near, far] = [measure(seeds, 12, 10), measure(seeds, 12, 30)];
  const fungi = measureFungi(seeds, 12, 12);
  const walks = visits(seeds, 12, 0.1);
  timed(20, 40);
  const times = [timed(125, 80), timed(250, 80), timed(500, 80), timed(500, 40), timed(500, 80, false)];
  const part = [
    PROSE,
    `### Ten to twenty days ahead\n\n${table(near)}`,
    `### One to two months ahead\n\n${table(far)}`,
    `${near[0]?.cases} cases in each row: ${seeds.length} synthetic valleys of 12 places.`,
    `### Fungi, up to twelve days ahead\n\nWhere a fungus came within twelve days of the day that was asked; every tenth day of its season was. Its true lag differs from the guide's by three days, and by a day and a half from year to year and patch to patch, and it wants a tenth more rain. Further ahead than its lag no rain is known yet, and records tell hardly more than the guide.\n\n${table(fungi)}\n\n${fungi[0]?.cases} cases in each row.`,
    `### Walks to look whether it is ripe\n\nAn accepted risk of 10 % to miss the good days of a fruit.\n\n| walks | good days missed | walks for each patch and fruit |\n|---|---|---|\n${walks.map(({ name, missed, walks: went }) => `| ${name} | ${(100 * missed).toFixed(0)} % | ${went.toFixed(1)} |`).join('\n')}\n\n${walks[0]?.cases} cases in each row.`,
    `### Time\n\nThree years of weather; at every place three years of records of ten taxa. In the last row only what was seen at each place, as the application asks; above it everything that the guide wants at every place. Node.js ${process.version}, one core of ${cpus()[0]?.model ?? 'this machine'}.\n\n| places | taxa | in the list | learning from records | the list |\n|---|---|---|---|---|\n${times.map((one) => `| ${one.places} | ${one.taxa}${one.everything ? '' : ', seen ones only'} | ${one.listed} | ${one.learning.toFixed(0)} ms | ${one.listing.toFixed(0)} ms |`).join('\n')}`,
  ].join('\n\n');
  console.log(part);
  writeFileSync('docs/season.md', `${part}\n`);
}

if (process.argv[1]?.endsWith('season.ts')) run();
