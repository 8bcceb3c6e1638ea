import { cpus } from 'node:os';
import { dayOfYear, newYear, type Day } from '@pause/core/lib/day';
import { Forecaster, lagsOf, Learned, onsetsOf, spreadsOf, type SeenPlace } from '@pause/core/season';
import { seeded } from '@pause/core/season/weather';
import { writePage } from './page';
import { type Score, PROSE, table } from './season/report';
import { timed } from './season/timed';
import { fungusSightingsOf, guide, MATURE, world, type World } from './season/truth';
import { YEAR, mean, seenIn, visits } from './season/visits';

const YEARS = [0, 1, 3, 6];

/** The tenth day of the first of the months that the guide gives for a stage, at the height of a place. */
function byCalendar(of: World['taxa'][number], stage: string, elevation: number): Day | undefined {
  const bands = (of.taxon.phenology ?? []).filter((one) => one.stage === stage);
  const band = bands.find(({ elevation: [low, high] }) => elevation >= low && elevation <= high) ?? bands[0];
  return band && newYear(YEAR) + Math.round((band.months[0] - 1) * 30.44) + 10;
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

async function run(): Promise<void> {
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
    `### Fungi, up to twelve days ahead\n\nWhere a fungus came within twelve days of the day that was ` +
      `asked; every tenth day of its season was. Its true lag differs from the guide's by three days, and by a ` +
      `day and a half from year to year and patch to patch, and it wants a tenth more rain. Further ahead than ` +
      `its lag no rain is known yet, and records tell hardly more than the ` +
      `guide.\n\n${table(fungi)}\n\n${fungi[0]?.cases} cases in each row.`,
    `### Walks to look whether it is ripe\n\nAn accepted risk of 10 % to miss the good days of a ` +
      `fruit.\n\n| walks | good days missed | walks for each patch and fruit ` +
      `|\n|---|---|---|\n${walks
        .map(
          ({ name, missed, walks: went }) =>
            `| ${name} | ${(100 * missed).toFixed(0)} % | ${went.toFixed(1)} |`,
        )
        .join('\n')}\n\n${walks[0]?.cases} cases in each row.`,
    `### Time\n\nThree years of weather; at every place three years of records of ten taxa. In the last row ` +
      `only what was seen at each place, as the application asks; above it everything that the guide wants at ` +
      `every place. Node.js ${process.version}, one core of ${cpus()[0]?.model ?? 'this machine'}.\n\n| places | ` +
      `taxa | in the list | learning from records | the list ` +
      `|\n|---|---|---|---|---|\n${times.map((one) => `| ${one.places} | ${one.taxa}${one.everything ? '' : ', seen ones only'} | ${one.listed} | ${one.learning.toFixed(0)} ms | ${one.listing.toFixed(0)} ms |`).join('\n')}`,
  ].join('\n\n');
  console.log(part);
  await writePage('season', part);
}

if (process.argv[1]?.endsWith('season.ts')) void run();
