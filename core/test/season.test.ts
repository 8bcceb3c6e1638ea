/** Foreseeing: warmth summed over days, rain and frost, what was seen before, and when to look again. */
import * as fc from 'fast-check';
import type { Need } from '../src/guide/taxon';
import { dayAt, dayOf, dayOfYear, isoOf, monthOf, newYear } from '../src/lib/day';
import {
  AS_THE_GUIDE_SAYS,
  beginsOf,
  degreeDays,
  degreesAt,
  endsOf,
  fewestVisits,
  firstReaching,
  joinedVisits,
  lagsOf,
  Learned,
  missedBy,
  NEVER,
  onsetsOf,
  quantile,
  Season,
  Scenario,
  scenariosOf,
  seenThisSeason,
  SPREADS,
  stageSpan,
  week,
  why,
  yearsOf,
  type SeenPlace,
  type Span,
} from '../src/season';
import { simulateWeather, VALLEY, type WeatherSeries } from '../src/season/weather';
import { guide } from './finds';

describe('days', () => {
  test('are whole numbers that read back, leap days included', () => {
    expect([dayOf('1970-01-01'), dayOf('1970-03-01'), dayOf('2028-02-29') - dayOf('2028-02-28')]).toEqual([
      0, 59, 1,
    ]);
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 40_000 }), (day) => {
        expect(dayOf(isoOf(day))).toBe(day);
      }),
    );
    for (const none of ['2026-02-29', '2026-13-01', '26-1-1', '', '2026-09-14T00:00:00Z'])
      expect(() => dayOf(none)).toThrow(/is not a day/);
    expect([
      monthOf(dayOf('2026-09-30')),
      dayOfYear(dayOf('2026-02-01')),
      newYear(2027) - newYear(2026),
    ]).toEqual([9, 31, 365]);
  });

  test('an instant is another day elsewhere', () => {
    const late = new Date('2026-09-14T22:30:00.000Z');
    expect([0, 120, -600].map((ahead) => isoOf(dayAt(late, ahead)))).toEqual([
      '2026-09-14',
      '2026-09-15',
      '2026-09-14',
    ]);
  });
});

describe('degree-days of a day', () => {
  test.each([
    // Wholly above the base: the mean over it. Wholly below: nothing.
    [10, 20, 5, 10],
    [-5, 5, 5, 0],
    [5, 5, 5, 0],
    // A base in the middle: a half-wave of height 10 over half a day is 10 / π.
    [0, 20, 10, 10 / Math.PI],
    // Base at a quarter of the wave's way: θ = asin(0.5) = π/6; ((10 − 15)(π/2 − π/6) + 10 cos π/6) / π.
    [0, 20, 15, (-5 * (Math.PI / 3) + 10 * Math.cos(Math.PI / 6)) / Math.PI],
  ])('from %d to %d over %d', (least, most, base, expected) => {
    expect(degreeDays(least, most, base)).toBeCloseTo(expected, 12);
  });

  test('are the area under the wave, whatever the day', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: -5, max: 15, noNaN: true }),
        (least, range, base) => {
          let sum = 0;
          for (let step = 0; step < 2000; step += 1)
            sum +=
              Math.max(
                0,
                least + range / 2 + (range / 2) * Math.sin((2 * Math.PI * (step + 0.5)) / 2000) - base,
              ) / 2000;
          expect(degreeDays(least, least + range, base)).toBeCloseTo(sum, 2);
        },
      ),
      { numRuns: 60 },
    );
  });
});

test('the first that reaches a value', () => {
  expect([0, 1, 3, 3.5, 9].map((value) => firstReaching([1, 3, 3, 8], value))).toEqual([0, 0, 1, 3, 4]);
});

test('a place is warmer than the station by height, slope and shade', () => {
  // 300 m lower: 1.95; a south slope 0.8; half shade −0.3.
  expect(degreesAt(640, { elevation: 340, aspect: 's', shade: 'half' })).toBeCloseTo(2.5, 1);
  expect(degreesAt(640, {})).toBe(0);
  expect(degreesAt(640, { elevation: 1640, aspect: 'n' })).toBeCloseTo(-7.3, 1);
});

/** Every day alike. */
const flat = (degrees: number, rain: readonly number[] = [], days = 486) =>
  new Scenario(
    0,
    Array<number>(days).fill(degrees),
    Array<number>(days).fill(degrees),
    [...rain, ...Array<number>(days - rain.length).fill(0)],
    0,
  );
const need = (begins: Need['begins'], ends: Need['ends'] = { days: 10 }) =>
  ({ stage: 'fruiting', begins, ends }) as Need;
const spanOf = (one: number): [number, number] | undefined =>
  one === NEVER ? undefined : [beginsOf(one), endsOf(one)];
const WARM = { base: 5, sum: 100, spread: 0.1 };

describe('a stage lasts', () => {
  test('from the warmth it waits for until the warmth that ends it, or so many days', () => {
    // Ten degrees over the base of five are five a day: a hundred after twenty days.
    expect(spanOf(stageSpan(need({ warmth: WARM }), flat(10), 0, AS_THE_GUIDE_SAYS))).toEqual([19, 28]);
    expect(
      spanOf(stageSpan(need({ warmth: WARM }, { warmth: { sum: 150 } }), flat(10), 0, AS_THE_GUIDE_SAYS)),
    ).toEqual([19, 28]);
    expect(spanOf(stageSpan(need({ warmth: WARM }), flat(10), 5, AS_THE_GUIDE_SAYS))).toEqual([9, 18]);
    expect(spanOf(stageSpan(need({ warmth: WARM }), flat(10), 0, { factor: 1.5, lag: 0 }))).toEqual([29, 38]);
    expect(stageSpan(need({ warmth: WARM }), flat(5), 0, AS_THE_GUIDE_SAYS)).toBe(NEVER);
  });

  test('not before a cool spell of ten days, nor after a frost', () => {
    const cooling = new Scenario(
      0,
      Array.from({ length: 486 }, (_, day) => 20 - day / 10),
      Array.from({ length: 486 }, (_, day) => 20 - day / 10),
      Array<number>(486).fill(0),
      0,
    );
    // The mean of ten days up to day d is 20 − (d − 4.5) / 10: 10 at 104.5.
    expect(
      spanOf(stageSpan(need({ cool: { below: 10 } }, { days: 5 }), cooling, 0, AS_THE_GUIDE_SAYS)),
    ).toEqual([105, 109]);
    // The night of minus two is day 220.
    expect(
      spanOf(
        stageSpan(need({ cool: { below: 10 } }, { frost: { below: -2 } }), cooling, 0, AS_THE_GUIDE_SAYS),
      ),
    ).toEqual([105, 219]);
  });

  test('from so many days after a soaking rain; rains that follow closely are one flush, later ones another', () => {
    const rain = { millimetres: 20, days: 3, lag: 10, spread: 2 };
    const wet = flat(15, [
      ...Array<number>(50).fill(0),
      10,
      5,
      6,
      ...Array<number>(5).fill(0),
      25,
      ...Array<number>(60).fill(0),
      30,
    ]);
    const fungus = need({ warmth: WARM, rain }, { days: 8 });
    // Soaked on 52 (10 + 5 + 6), on 58 to 60 by the 25; and on 119 to 121.
    expect(spanOf(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS))).toEqual([62, 77]);
    expect(spanOf(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS, 77))).toEqual([62, 77]);
    expect(spanOf(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS, 78))).toEqual([129, 138]);
    expect(spanOf(stageSpan(fungus, wet, 0, { factor: 1, lag: 1 }))).toEqual([64, 79]);
    expect(stageSpan(fungus, wet, 0, AS_THE_GUIDE_SAYS, 139)).toBe(NEVER);
    expect(stageSpan(fungus, flat(15), 0, AS_THE_GUIDE_SAYS)).toBe(NEVER);
  });
});

describe('the ways a season may go', () => {
  const series = simulateWeather(1, 2020, dayOf('2026-06-01'));

  test('are what is known, and then as it went in each other year', () => {
    expect(yearsOf(series)).toEqual([2020, 2021, 2022, 2023, 2024, 2025]);
    const ways = scenariosOf(series, 2026, dayOf('2026-05-01'));
    expect(ways).toHaveLength(6);
    const known = dayOf('2026-05-01') - newYear(2026);
    for (const way of ways) {
      expect(way.known).toBe(known);
      expect(way.least.slice(0, known)).toEqual(
        series.least.slice(newYear(2026) - series.from, newYear(2026) - series.from + known),
      );
    }
    const first = newYear(2020) - series.from;
    expect(ways[0]!.least[known + 10]).toBe(series.least[first + known + 10]);
    expect(new Set(ways.map((way) => way.least[200])).size).toBeGreaterThan(3);
  });

  test('of a year that is over, the one way in which it went', () => {
    const [only, ...more] = scenariosOf(series, 2024, dayOf('2026-06-01'));
    expect(more).toEqual([]);
    expect(only!.most[366 + 31]).toBe(series.most[dayOf('2025-02-01') - series.from]);
  });

  test('need a whole year of weather', () => {
    expect(() =>
      scenariosOf(simulateWeather(1, 2026, dayOf('2026-06-01')), 2026, dayOf('2026-05-01')),
    ).toThrow(/whole year/);
  });
});

test('quantiles of a short list', () => {
  const list = Float64Array.from([10, 20, 30, 40, 50]);
  // Each value stands for the middle of its fifth: 10 at 0.1, 20 at 0.3, …
  expect([0, 0.1, 0.2, 0.5, 0.9, 1].map((share) => quantile(list, share))).toEqual([10, 10, 15, 30, 50, 50]);
});

describe('what own records say', () => {
  const onset = (what: string, place: string, year: number, log: number, error = 0.02) => ({
    what,
    place,
    year,
    log,
    error,
  });

  test('one of them moves belief by how sure it is beside what was believed', () => {
    const learned = new Learned([onset('a', 'here', 2025, 0.3, 0.02)], () => 0.1);
    // Before: taxon 0.1² and place 0.08²; the record: a year's 0.07² and its own 0.02².
    const [before, seen] = [0.1 ** 2 + SPREADS.place ** 2, SPREADS.year ** 2 + 0.02 ** 2];
    expect(learned.belief('a', 'here').mean).toBeCloseTo((0.3 * before) / (before + seen), 10);
    expect(learned.belief('a', 'here').deviation ** 2).toBeCloseTo(
      (before * seen) / (before + seen) + SPREADS.year ** 2,
      10,
    );
    // Of the place a share goes to everything else that grows there, of the taxon a share to every other
    // place.
    expect(learned.belief('b', 'here').mean).toBeCloseTo((0.3 * SPREADS.place ** 2) / (before + seen), 10);
    expect(learned.belief('a', 'there').mean).toBeCloseTo((0.3 * 0.1 ** 2) / (before + seen), 10);
    expect(learned.belief('b', 'there')).toEqual({
      mean: 0,
      deviation: Math.sqrt(0.1 ** 2 + SPREADS.place ** 2 + SPREADS.year ** 2),
    });
    expect([learned.years('a', 'here'), learned.years('b', 'here')]).toEqual([1, 0]);
  });

  test('with every year less is left to the guide, and never more uncertainty than before', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            what: fc.constantFrom('a', 'b', 'c'),
            place: fc.constantFrom('x', 'y'),
            log: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        (rows) => {
          let before = Infinity;
          for (let count = 0; count <= rows.length; count += 1) {
            const { deviation } = new Learned(
              rows.slice(0, count).map(({ what, place, log }, year) => onset(what, place, year, log)),
              () => 0.1,
            ).belief('a', 'x');
            expect(deviation).toBeLessThanOrEqual(before + 1e-12);
            expect(deviation).toBeGreaterThan(SPREADS.year);
            before = deviation;
          }
        },
      ),
      { numRuns: 50 },
    );
    const six = new Learned(
      Array.from({ length: 6 }, (_, year) => onset('a', 'x', year, 0.2)),
      () => 0.1,
    ).belief('a', 'x').mean;
    expect(six).toBeGreaterThan(0.185);
    expect(six).toBeLessThan(0.2);
  });
});

const bilberry = guide.taxon('vaccinium-myrtillus')!;
const series = simulateWeather(4, 2016, dayOf('2026-11-01'));
const at = (id: string, site: SeenPlace['site'], sightings: SeenPlace['sightings'] = []): SeenPlace => ({
  id,
  site,
  sightings,
});
const saw = (on: string, ...stages: string[]) =>
  ({
    taxon: bilberry.id,
    what: stages.length > 0 ? 'seen' : 'nothing',
    ...(stages.length > 0 ? { stages } : {}),
    on,
  }) as SeenPlace['sightings'][number];

describe('sightings', () => {
  test('tell between which two visits a stage began; what flowers has begun to have leaves', () => {
    const seen = seenThisSeason(
      at('here', {}, [
        saw('2026-04-02'),
        saw('2026-05-20', 'flowering'),
        saw('2026-07-01', 'flowering', 'fruiting'),
        saw('2025-07-01', 'fruiting'),
      ]),
      bilberry,
      newYear(2026),
      dayOf('2026-09-14'),
    );
    const days = Object.fromEntries(
      [...seen].map(([stage, { after, by }]) => [
        stage,
        [after === undefined ? '' : isoOf(after), by === undefined ? '' : isoOf(by)],
      ]),
    );
    expect(days).toEqual({
      vegetative: ['2026-04-02', '2026-05-20'],
      flowering: ['2026-04-02', '2026-05-20'],
      fruiting: ['2026-05-20', '2026-07-01'],
    });
  });

  test('of other years become onsets in warmth, as sure as the visits were close', () => {
    const [close, wide] = [
      ['2025-06-20', '2025-06-24'],
      ['2025-05-25', '2025-07-10'],
    ].map(([before, by]) =>
      onsetsOf(
        [at('here', {}, [saw(before!, 'flowering'), saw(by!, 'fruiting')])],
        guide,
        series,
        newYear(2026),
      ).find(({ what }) => what === 'vaccinium-myrtillus fruiting')!,
    );
    expect(close).toMatchObject({ place: 'here', year: 2025 });
    expect(wide!.error).toBeGreaterThan(4 * close!.error);
    expect(onsetsOf([at('here', {}, [saw('2026-07-01', 'fruiting')])], guide, series, newYear(2026))).toEqual(
      [],
    );
    expect(onsetsOf([at('here', {}, [saw('2011-07-01', 'fruiting')])], guide, series, newYear(2026))).toEqual(
      [],
    );
  });
});

describe('how long after rain it comes', () => {
  const chanterelle = guide.taxon('cantharellus-cibarius')!;
  const need = chanterelle.taxon.needs!.find(({ stage }) => stage === 'mature')!;
  const here = { elevation: series.elevation };
  /**
   * Looked at every fifth day of so many summers, by somebody whose chanterelles come so many days later than
   * the guide has it.
   */
  const watched = (years: readonly number[], later: number): SeenPlace =>
    at(
      'here',
      here,
      years.flatMap((year) => {
        const [scenario] = scenariosOf(series, year, newYear(year + 1));
        return Array.from({ length: 36 }, (_, at) => 140 + 5 * at).map((day) => {
          const span = stageSpan(
            need,
            scenario!,
            0,
            { factor: 1, lag: later / need.begins.rain!.spread },
            day,
          );
          const there = span !== NEVER && beginsOf(span) <= day;
          return {
            taxon: chanterelle.id,
            what: there ? 'seen' : 'nothing',
            ...(there ? { stages: ['mature'] } : {}),
            on: isoOf(newYear(year) + day),
          } as SeenPlace['sightings'][number];
        });
      }),
    );
  const lag = (years: readonly number[], later: number) =>
    lagsOf([watched(years, later)], guide, series, newYear(2026)).get(chanterelle.id)!;

  test.each([-4, -2, 0, 3, 5])('is found from visits: %d days beside the guide', (later) => {
    const found = lag([2020, 2021, 2022, 2023, 2024, 2025], later);
    expect(Math.abs(found.mean - later)).toBeLessThan(2);
    expect(found.years).toBe(6);
  });

  test('is known the better the more years there are, and never better than one year is like another', () => {
    const [one, three, six] = [[2025], [2023, 2024, 2025], [2020, 2021, 2022, 2023, 2024, 2025]].map(
      (years) => lag(years, 4),
    );
    expect(six!.deviation).toBeLessThanOrEqual(three!.deviation);
    expect(three!.deviation).toBeLessThanOrEqual(one!.deviation);
    expect(one!.deviation).toBeLessThan(need.begins.rain!.spread);
    expect(six!.deviation).toBeGreaterThanOrEqual(0.6 * need.begins.rain!.spread);
  });

  test('moves what is foreseen for every patch; of this year, and of what nothing was seen of, nothing is learned', () => {
    const known = watched([2021, 2022, 2023, 2024, 2025], 5);
    const other = at('there', here);
    const begins = (places: SeenPlace[]) =>
      new Season(guide, series, places, dayOf('2026-08-01')).forecast(
        chanterelle,
        { ...chanterelle.taxon.parts[0]!, stages: [need.stage] },
        other,
      )!.begins;
    expect(begins([known, other]).mid).toBeGreaterThan(begins([other]).mid);
    expect(lagsOf([watched([2025], 3)], guide, series, newYear(2025)).size).toBe(0);
    expect(
      lagsOf([at('here', here, [saw('2025-07-01', 'fruiting')])], guide, series, newYear(2026)).size,
    ).toBe(0);
  });
});

describe('a forecast', () => {
  const [part] = bilberry.taxon.parts;
  const begins = (place: SeenPlace, today: string, places = [place]) =>
    new Season(guide, series, places, dayOf(today)).forecast(bilberry, part!, place)!.begins;

  test('is earlier lower down, on a south slope and in the open', () => {
    const mid = (site: SeenPlace['site']) => begins(at('here', site), '2026-04-01').mid;
    const order = [
      { elevation: 500, aspect: 's' },
      { elevation: 500 },
      { elevation: 800 },
      { elevation: 800, aspect: 'n' },
      { elevation: 800, aspect: 'n', shade: 'shaded' },
      { elevation: 1300, aspect: 'n', shade: 'shaded' },
    ] as SeenPlace['site'][];
    const days = order.map(mid);
    expect([...days].sort((a, b) => a - b)).toEqual(days);
    expect(new Set(days).size).toBe(days.length);
  });

  test('has a spread that narrows as the season comes, where the place is known', () => {
    const known = [2020, 2021, 2022, 2023, 2024, 2025].flatMap((year) => [
      saw(`${year}-07-18`, 'flowering'),
      saw(`${year}-07-20`, 'fruiting'),
    ]);
    const width = (today: string) => {
      const { low, mid, high } = begins(at('here', { elevation: 640 }, known), today);
      expect(low).toBeLessThanOrEqual(mid);
      expect(mid).toBeLessThanOrEqual(high);
      return high - low;
    };
    expect(width('2026-07-10')).toBeLessThan(width('2026-01-01'));
  });

  test('moves to what was seen there in other years, and narrows', () => {
    const late = [2022, 2023, 2024, 2025].flatMap((year) => [
      saw(`${year}-08-18`, 'flowering'),
      saw(`${year}-08-22`, 'fruiting'),
    ]);
    const [guessed, known] = [
      begins(at('here', { elevation: 640 }), '2026-05-01'),
      begins(at('here', { elevation: 640 }, late), '2026-05-01'),
    ];
    expect(known.mid).toBeGreaterThan(guessed.mid + 10);
    expect(known.mid).toBeLessThan(dayOf('2026-09-05'));
    expect(known.high - known.low).toBeLessThanOrEqual(guessed.high - guessed.low);
  });

  test('lasts beyond the day on which it was still seen, and no longer than the day on which it was over', () => {
    const ends = (...seen: SeenPlace['sightings']) =>
      new Season(guide, series, [at('here', { elevation: 640 }, seen)], dayOf('2026-09-20')).forecast(
        bilberry,
        part!,
        at('here', { elevation: 640 }, seen),
      )!.ends;
    expect(ends(saw('2026-08-01', 'fruiting'), saw('2026-09-18', 'fruiting')).low).toBeGreaterThan(
      dayOf('2026-09-18'),
    );
    expect(ends(saw('2026-07-20', 'fruiting'), saw('2026-07-30')).high).toBeLessThan(dayOf('2026-07-30'));
  });

  test('gives way to what was seen this year', () => {
    const place = at('here', { elevation: 640 });
    const { mid } = begins(place, '2026-07-20');
    const looked = begins(at('here', { elevation: 640 }, [saw(isoOf(mid), 'flowering')]), isoOf(mid + 1));
    expect(looked.low).toBeGreaterThan(mid);
    expect(
      begins(at('here', { elevation: 640 }, [saw('2026-06-01', 'fruiting')]), '2026-07-20').high,
    ).toBeLessThanOrEqual(dayOf('2026-06-01'));
  });

  test('of sloes waits for frost; of chanterelles for rain', () => {
    const [sloe, chanterelle] = ['prunus-spinosa', 'cantharellus-cibarius'].map((id) => guide.taxon(id)!);
    const season = new Season(guide, series, [at('here', { elevation: 640 })], dayOf('2026-09-14'));
    const fruit = sloe!.taxon.parts[0]!;
    const frost = season.forecast(sloe!, fruit, season.places[0]!)!.begins.mid;
    const ripe = season.forecast(sloe!, { ...fruit, afterFrost: undefined }, season.places[0]!)!.begins.mid;
    expect(frost).toBeGreaterThan(ripe + 14);
    const dry: WeatherSeries = { ...series, rain: series.rain.map(() => 0) };
    expect(season.forecast(chanterelle!, chanterelle!.taxon.parts[0]!, season.places[0]!)).toBeDefined();
    expect(
      new Season(guide, dry, season.places, dayOf('2026-09-14')).forecast(
        chanterelle!,
        chanterelle!.taxon.parts[0]!,
        season.places[0]!,
      ),
    ).toBeUndefined();
  });

  test('in winter is of the season that began in autumn', () => {
    const oyster = guide.taxon('pleurotus-ostreatus')!;
    const long = simulateWeather(4, 2016, dayOf('2026-03-01'), { ...VALLEY, elevation: 300 });
    const begins = ['2026-01-05', '2026-01-15', '2026-01-25', '2026-02-05', '2026-02-15'].map((today) => {
      const season = new Season(guide, long, [at('here', { elevation: 300 })], dayOf(today));
      return isoOf(season.forecast(oyster, oyster.taxon.parts[0]!, season.places[0]!)!.begins.mid);
    });
    // While it is still about, or comes once more, it is this winter's; then the next one's.
    expect(begins.some((day) => day < '2026-03-15')).toBe(true);
    expect(begins.every((day) => day < '2026-03-15' || day > '2026-08-15')).toBe(true);
  });
});

describe('a week', () => {
  const seen = (taxon: string, stage: string) =>
    ({
      taxon: guide.taxon(taxon)!.id,
      what: 'seen',
      stages: [stage],
      on: '2025-08-20',
    }) as SeenPlace['sightings'][number];
  const heath = at('heath', { elevation: 1480, aspect: 'n' }, [
    seen('vaccinium-myrtillus', 'fruiting'),
    seen('vaccinium-vitis-idaea', 'fruiting'),
  ]);
  const slope = at('slope', { elevation: 560, aspect: 's' }, [
    seen('vaccinium-myrtillus', 'fruiting'),
    seen('castanea-sativa', 'fruiting'),
  ]);

  test('lists only what was seen there, first what goes soon, and nothing that is over', () => {
    const season = new Season(guide, series, [heath, slope], dayOf('2026-08-05'));
    const list = week(season);
    expect(new Set(list.map(({ taxon, place }) => `${taxon.id} ${place}`)).size).toBe(list.length);
    expect(
      list.every(({ taxon, place }) =>
        [heath, slope].find(({ id }) => id === place)!.sightings.some((one) => one.taxon === taxon.id),
      ),
    ).toBe(true);
    const order = list.map(({ when }) => ['last', 'now', 'soon', 'later'].indexOf(when));
    expect([...order].sort((a, b) => a - b)).toEqual(order);
    expect(
      week(new Season(guide, series, [slope], dayOf('2026-10-25'))).map(({ taxon }) => taxon.id),
    ).not.toContain('vaccinium-myrtillus');
    expect(week(season, ({ id }) => id === 'castanea-sativa').map(({ taxon }) => taxon.id)).toEqual([
      'castanea-sativa',
    ]);
  });

  test('says why: so many days by the place, by own records, by the year', () => {
    const season = new Season(guide, series, [heath, slope], dayOf('2026-05-01'));
    const [part] = bilberry.taxon.parts;
    const [up, down] = [heath, slope].map(({ id }) =>
      why(season, { taxon: bilberry, part: part!, place: id })!,
    );
    expect(up!.place).toBeGreaterThan(14);
    expect(up!.metres).toBe(840);
    expect(down!.place).toBeLessThan(0);
    expect(down!.warmer.aspect).toBeGreaterThan(0);
    expect(Math.abs(up!.year)).toBeLessThan(40);
    expect(why(season, { taxon: bilberry, part: part!, place: 'nowhere' })).toBeUndefined();
  });
});

describe('return visits', () => {
  const spans = fc.array(
    fc
      .tuple(fc.integer({ min: 0, max: 18 }), fc.integer({ min: 0, max: 6 }))
      .map(([begins, lasts]): Span => ({ begins, ends: begins + lasts })),
    { minLength: 1, maxLength: 8 },
  );
  /** The fewest by trying all sets of days. */
  function fewest(all: readonly Span[], from: number, to: number, risk: number): number {
    const days = Array.from({ length: to - from + 1 }, (_, index) => from + index);
    const sets = (size: number, start: number): number[][] =>
      size === 0
        ? [[]]
        : days
            .slice(start)
            .flatMap((day, index) => sets(size - 1, start + index + 1).map((rest) => [day, ...rest]));
    for (let size = 0; size <= 4; size += 1)
      if (sets(size, 0).some((set) => missedBy(all, set) <= risk + 1e-9)) return size;
    return 5;
  }

  test('are the fewest that keep the risk, whatever may happen', () => {
    fc.assert(
      fc.property(spans, fc.constantFrom(0, 0.1, 0.25, 0.5), (all, risk) => {
        const reachable = all.filter(({ begins }) => begins <= 20);
        const found = fewestVisits(reachable, 0, 20, risk);
        expect(missedBy(reachable, found)).toBeLessThanOrEqual(risk + 1e-9);
        const least = fewest(reachable, 0, 20, risk);
        if (least < 5) expect(found).toHaveLength(least);
      }),
      { numRuns: 80 },
    );
  });

  test('joined over several patches miss none of them more than was accepted, with fewer walks than each by itself', () => {
    fc.assert(
      fc.property(
        fc.array(spans, { minLength: 2, maxLength: 4 }),
        fc.constantFrom(0.1, 0.3),
        (patches, risk) => {
          const all = patches.map((one, index) => ({
            id: `p${index}`,
            spans: one.filter(({ begins }) => begins <= 20),
          }));
          const { days, missed } = joinedVisits(all, 0, 24, risk);
          for (const chance of missed.values()) expect(chance).toBeLessThanOrEqual(risk + 1e-9);
          const alone = all.reduce((sum, one) => sum + fewestVisits(one.spans, 0, 24, risk).length, 0);
          expect(days.length).toBeLessThanOrEqual(alone);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('nothing to come asks for no walk; what cannot be met asks for no more than is reasonable', () => {
    expect(fewestVisits([], 0, 30, 0.1)).toEqual([]);
    expect(fewestVisits([{ begins: 3, ends: 5 }], 9, 30, 0.1)).toEqual([]);
    expect(
      fewestVisits(
        Array.from({ length: 40 }, (_, day) => ({ begins: day * 2, ends: day * 2 })),
        0,
        100,
        0,
      ),
    ).toHaveLength(12);
    expect(
      joinedVisits(
        [
          { id: 'a', spans: [] },
          { id: 'b', spans: [] },
        ],
        0,
        30,
        0.1,
      ),
    ).toEqual({
      days: [],
      missed: new Map([
        ['a', 0],
        ['b', 0],
      ]),
    });
  });
});
