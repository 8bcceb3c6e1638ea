/** Weather: a station's table, whatever its order and units, and the made-up stand-in. */
import * as fc from 'fast-check';
import { dayOf, dayOfYear } from '../src/lib/day';
import { endOf, parseWeather, simulateWeather, VALLEY } from '../src/season/weather';

const TABLE =
  '# elevation_m: 640\ndate,tmin_c,tmax_c,rain_mm\n2026-05-01,4.2,15.1,0\n2026-05-02,5,16,12.5\n2026-05-03,3,11,2\n';
const series = (text: string, elevation?: number) => {
  const parsed = parseWeather(text, elevation);
  if ('problems' in parsed) throw new Error(JSON.stringify(parsed.problems));
  return parsed;
};
const problems = (text: string, elevation?: number) => {
  const parsed = parseWeather(text, elevation);
  return 'problems' in parsed ? parsed.problems.map(({ field, reason }) => `${field}: ${reason}`) : [];
};
const day = (on: string, rest = '4,15,0') => `${on},${rest}\n`;
const HEAD = '# elevation_m: 640\ndate,tmin_c,tmax_c,rain_mm\n';

test('a table is read, with the height of its station', () => {
  expect(series(TABLE)).toEqual({
    series: {
      elevation: 640,
      from: dayOf('2026-05-01'),
      least: [4.2, 5, 3],
      most: [15.1, 16, 11],
      rain: [0, 12.5, 2],
    },
    filled: [],
  });
});

test('in another order, with more columns, quotes, a byte order mark, decimal commas, °F and inches', () => {
  const other =
    '\uFEFFstation;rain_in;tmax_f;DATE;tmin_f\r\nweir;0,5;59;2026-05-02;41\r\n"weir";0;50;2026-05-01;32\r\n\r\n';
  expect(series(other, 512)).toEqual({
    series: { elevation: 512, from: dayOf('2026-05-01'), least: [0, 5], most: [10, 15], rain: [0, 12.7] },
    filled: [],
  });
});

test('a few days that are missing are filled in on a straight line, and reported', () => {
  const {
    series: { least, rain },
    filled,
  } = series(`${HEAD}${day('2026-05-01', '2,10,5')}2026-05-02,,,\n${day('2026-05-04', '8,16,1')}`);
  expect(least).toEqual([2, 4, 6, 8]);
  expect(rain).toEqual([5, 0, 0, 1]);
  expect(filled).toEqual(['2026-05-02', '2026-05-03']);
});

test.each<[string, string, RegExp]>([
  ['no height of the station', 'date,tmin_c,tmax_c,rain_mm\n2026-05-01,1,2,0\n', /^elevation_m: /],
  ['no column of days', '# elevation_m: 1\ntmin_c,tmax_c,rain_mm\n1,2,3\n', /^date: /],
  [
    'temperatures without a unit',
    '# elevation_m: 1\ndate,tmin,tmax_c,rain_mm\n2026-05-01,1,2,0\n',
    /^tmin_c or tmin_f: /,
  ],
  ['nothing but a header', HEAD, /^date: there is no day/],
  ['a day that is none', HEAD + day('2026-02-30'), /^line 3: "2026-02-30" is not a day/],
  ['a day as somebody else writes it', HEAD + day('05/01/2026'), /^line 3: .* is not a day/],
  ['a temperature that is text', HEAD + day('2026-05-01', 'cold,15,0'), /^line 3: tmin_c: "cold"/],
  [
    'degrees Fahrenheit in a column of degrees Celsius',
    HEAD + day('2026-07-01', '61,88,0'),
    /^line 3: tmin_c: "61"/,
  ],
  ['rain that is less than none', HEAD + day('2026-05-01', '4,15,-999'), /^line 3: rain_mm: "-999"/],
  ['least above greatest', HEAD + day('2026-05-01', '16,15,0'), /^line 3: the least/],
  ['a day twice', HEAD + day('2026-05-01') + day('2026-05-01'), /^date: 2026-05-01 is there twice/],
  [
    'a gap of weeks',
    HEAD + day('2026-05-01') + day('2026-06-01'),
    /^date: 2026-05-02 to 2026-05-31 are missing/,
  ],
  ['more days than any station has', HEAD + day('1800-01-01') + day('2026-06-01'), /^date: no more than/],
  ['something else altogether', '<gpx></gpx>', /^elevation_m: /],
])('refused with its reason: %s', (_, text, expected) => {
  const all = problems(text);
  expect(all[0]).toMatch(expected);
  expect(all.length).toBeLessThanOrEqual(8);
});

test('the stand-in is the same for the same seed, longer where more is asked for, and says that it is made up', () => {
  const [short, long] = [
    simulateWeather(7, 2024, dayOf('2025-03-01')),
    simulateWeather(7, 2024, dayOf('2026-01-01')),
  ];
  expect(long.least.slice(0, short.least.length)).toEqual(short.least);
  expect(simulateWeather(8, 2024, dayOf('2025-03-01')).least).not.toEqual(short.least);
  expect([short.simulated, endOf(short)]).toEqual([true, dayOf('2025-03-01')]);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
      const made = simulateWeather(seed, 2020, dayOf('2026-01-01'));
      expect(made.least.every((least, at) => least <= made.most[at]!)).toBe(true);
      expect(made.rain.every((fell) => fell >= 0)).toBe(true);
      const means = made.least.map((least, at) => (least + made.most[at]!) / 2);
      const of = (from: number, to: number) => {
        const all = means.filter((_, at) => {
          const day = dayOfYear(made.from + at);
          return day >= from && day < to;
        });
        return all.reduce((sum, one) => sum + one, 0) / all.length;
      };
      expect(Math.abs(of(0, 366) - VALLEY.mean)).toBeLessThan(1.6);
      expect(of(181, 212) - of(0, 31)).toBeGreaterThan(13);
      const yearly = made.rain.reduce((sum, fell) => sum + fell, 0) / 6;
      expect(yearly).toBeGreaterThan(500);
      expect(yearly).toBeLessThan(1500);
    }),
    { numRuns: 12 },
  );
});
