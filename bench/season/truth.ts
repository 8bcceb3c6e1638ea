import { compileGuide, type CompiledTaxon, type Need, type StageId } from '@pause/core';
import { dayOf, isoOf, newYear, type Day } from '@pause/core/lib/day';
import { degreeDays, type SeenPlace } from '@pause/core/season';
import { normal, seeded, simulateWeather, type WeatherSeries } from '@pause/core/season/weather';
import { shippedGuide } from '@pause/guide';

/**
 * Synthetic years whose true dates are known. They are not made by the model that is tested: air cools
 * otherwise with height than it believes, slopes and hollows have a climate of their own in degrees and not
 * in shares, taxa differ from the guide, and every single year has a shift in days that no weather explains.
 */
export const guide = compileGuide(shippedGuide());
const TRUE_LAPSE = 0.0056;
const FIRST_YEAR = 2010;

export interface TruePlace {
  readonly id: string;
  readonly site: {
    readonly elevation: number;
    readonly aspect: keyof typeof TRUE_ASPECT;
    readonly shade: keyof typeof TRUE_SHADE;
  };
  /** Degrees by which it is warmer than its height tells, its slope and its hollow. */
  readonly own: number;
}

export interface World {
  readonly series: WeatherSeries;
  readonly places: readonly TruePlace[];
  readonly taxa: readonly CompiledTaxon[];
  /** The day on which a stage begins; nothing where it does not in this year. */
  readonly onset: (place: TruePlace, taxon: CompiledTaxon, stage: string, year: number) => Day | undefined;
  /** Fungi that wait for rain. */
  readonly fungi: readonly CompiledTaxon[];
  /** Every coming of a fungus, ripe, in one year. */
  readonly flushes: (
    place: TruePlace,
    taxon: CompiledTaxon,
    year: number,
  ) => readonly { readonly begins: Day; readonly ends: Day }[];
  /** From there to its last day, where warmth ends it. */
  readonly lasts: (
    place: TruePlace,
    taxon: CompiledTaxon,
    stage: string,
    year: number,
  ) => { readonly begins: Day; readonly ends: Day } | undefined;
}

const TRUE_ASPECT = { flat: 0, n: -1, ne: -0.6, e: 0.1, se: 0.7, s: 1, sw: 0.7, w: 0.1, nw: -0.6 } as const;
/**
 * Fungi differ from the guide in how long after rain they come, and one patch in one year from another. They
 * want a little more rain than it says.
 */
const TRUE_LAG_SPREAD = 3;
const TRUE_YEAR_SPREAD = 1.5;
const TRUE_SOAKING = 1.1;
const ASPECTS = Object.keys(TRUE_ASPECT) as (keyof typeof TRUE_ASPECT)[];
const TRUE_SHADE = { open: 0, half: -0.4, shaded: -0.9 } as const;
const SHADES = ['open', 'half', 'shaded'] as const;

export function world(seed: number, places = 20, until = '2026-12-31'): World {
  const series = simulateWeather(seed, FIRST_YEAR, dayOf(until) + 1);
  const random = seeded(seed * 7 + 1);
  const draw = normal(random);
  const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
  const all = Array.from({ length: places }, (_, index): TruePlace => ({
    id: `place-${index}`,
    site: { elevation: Math.round(450 + random() * 900), aspect: one(ASPECTS), shade: one(SHADES) },
    own: draw() * 0.6,
  }));
  const taxa = guide.taxa.filter(
    ({ taxon }) =>
      taxon.parts.length > 0 &&
      taxon.needs?.some(({ begins }) => begins.warmth && !begins.rain && !begins.cool),
  );
  const factors = new Map<string, number>();
  const shifts = new Map<string, number>();
  const kept = (from: Map<string, number>, key: string, make: () => number) => {
    const have = from.get(key);
    if (have !== undefined) return have;
    const made = make();
    from.set(key, made);
    return made;
  };
  const reaching = (
    place: TruePlace,
    taxon: CompiledTaxon,
    stage: string,
    year: number,
    wanted: (need: Need) => number | undefined,
  ): Day | undefined => {
    const need = taxon.taxon.needs?.find((n) => n.stage === stage);
    const { warmth } = need?.begins ?? {};
    const amount = need && wanted(need);
    if (!warmth || amount === undefined) return undefined;
    const factor = kept(factors, `${taxon.id} ${stage}`, () => Math.exp(draw() * warmth.spread));
    const shift = kept(shifts, `${taxon.id} ${stage} ${place.id} ${year}`, () => draw() * 3);
    const warmer =
      TRUE_LAPSE * (series.elevation - place.site.elevation) +
      TRUE_ASPECT[place.site.aspect] +
      TRUE_SHADE[place.site.shade] +
      place.own;
    let sum = 0;
    for (let day = newYear(year); day < newYear(year + 1); day += 1) {
      sum += degreeDays(
        (series.least[day - series.from] ?? 0) + warmer,
        (series.most[day - series.from] ?? 0) + warmer,
        warmth.base,
      );
      if (sum >= amount * factor) return day + Math.round(shift);
    }
    return undefined;
  };
  const onset: World['onset'] = (place, taxon, stage, year) =>
    reaching(place, taxon, stage, year, ({ begins }) => begins.warmth?.sum);
  const lasts: World['lasts'] = (place, taxon, stage, year) => {
    const [begins, ends] = [
      onset(place, taxon, stage, year),
      reaching(place, taxon, stage, year, (need) => need.ends.warmth?.sum),
    ];
    return begins === undefined || ends === undefined ? undefined : { begins, ends };
  };
  const fungi = guide.taxa.filter(
    ({ taxon }) =>
      taxon.parts.length > 0 &&
      taxon.needs?.some(
        ({ stage, begins }) => stage === 'mature' && begins.rain && begins.warmth && !begins.cool,
      ),
  );
  const flushes: World['flushes'] = (place, taxon, year) => {
    const rain = taxon.taxon.needs?.find(({ stage }) => stage === 'mature')?.begins.rain;
    const first = onset(place, taxon, 'mature', year);
    if (!rain || first === undefined) return [];
    const lag =
      rain.lag +
      kept(shifts, `${taxon.id} lag`, () => draw() * TRUE_LAG_SPREAD) +
      kept(shifts, `${taxon.id} ${place.id} ${year} lag`, () => draw() * TRUE_YEAR_SPREAD);
    const lasts = taxon.taxon.needs?.find(({ stage }) => stage === 'mature')?.ends.days ?? 14;
    const found: { begins: Day; ends: Day }[] = [];
    for (let day = newYear(year) + rain.days; day < newYear(year) + 320; day += 1) {
      let fell = 0;
      for (let back = 0; back < rain.days; back += 1) fell += series.rain[day - back - series.from] ?? 0;
      if (fell < rain.millimetres * TRUE_SOAKING) continue;
      const [begins, ends] = [Math.max(first, day + Math.round(lag)), day + Math.round(lag) + lasts - 1];
      const last = found.at(-1);
      if (ends < first) continue;
      if (last && begins <= last.ends + 1)
        found[found.length - 1] = { begins: last.begins, ends: Math.max(last.ends, ends) };
      else found.push({ begins, ends });
    }
    return found;
  };
  return { series, places: all, taxa, fungi, onset, flushes, lasts };
}

/** What somebody wrote down who walked by once a week, in one year. */
export function sightingsOf(
  of: World,
  place: TruePlace,
  taxon: CompiledTaxon,
  year: number,
  weekday: number,
): SeenPlace['sightings'] {
  const begun = taxon.taxon.stages
    .map((stage) => ({ stage, on: of.onset(place, taxon, stage, year) }))
    .filter((one): one is { stage: typeof one.stage; on: number } => one.on !== undefined);
  const all: SeenPlace['sightings'][number][] = [];
  for (let day = newYear(year) + 45 + weekday; day < newYear(year) + 320; day += 7) {
    const there = begun.filter(({ on }) => on <= day).sort((a, b) => b.on - a.on)[0];
    all.push(
      there
        ? { taxon: taxon.id, what: 'seen', stages: [there.stage], on: isoOf(day) }
        : { taxon: taxon.id, what: 'nothing', on: isoOf(day) },
    );
  }
  return all;
}

export const MATURE = 'mature' as StageId;

/** The same of a fungus that comes after rain. */
export function fungusSightingsOf(
  of: World,
  place: TruePlace,
  taxon: CompiledTaxon,
  year: number,
  weekday: number,
): SeenPlace['sightings'] {
  const flushes = of.flushes(place, taxon, year);
  return Array.from({ length: 40 }, (_, week) => newYear(year) + 45 + weekday + 7 * week).map((day) =>
    flushes.some(({ begins, ends }) => day >= begins && day <= ends)
      ? { taxon: taxon.id, what: 'seen', stages: [MATURE], on: isoOf(day) }
      : { taxon: taxon.id, what: 'nothing', on: isoOf(day) },
  );
}
