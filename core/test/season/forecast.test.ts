import { dayOf, isoOf } from '../../src/lib/day';
import { type SeenPlace, Season } from '../../src/season';
import { type WeatherSeries, simulateWeather, VALLEY } from '../../src/season/weather';
import { guide } from '../finds';
import { bilberry, series, at, saw } from './kit';

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
