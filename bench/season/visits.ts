import { dayOf, isoOf, type Day } from '@pause/core/lib/day';
import { fewestVisits, missedBy, Season, type SeenPlace } from '@pause/core/season';
import { seeded } from '@pause/core/season/weather';
import { guide, sightingsOf, world, type World } from './truth';

/**
 * How well the beginning of a stage is foreseen in synthetic years whose true dates are known, beside two
 * simple ways; how many walks it takes to miss hardly anything; and how long the list of a week takes. `npm
 * run bench:season` writes docs/season.md.
 */
export const YEAR = 2026;

export const mean = (all: readonly number[]) =>
  all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length);

/** Places as somebody knows them who walked by every week in the years before. */
export function seenIn(of: World, years: number, seed: number): SeenPlace[] {
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
