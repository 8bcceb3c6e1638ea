import { newYear, isoOf, dayOf } from '../../src/lib/day';
import { type SeenPlace, scenariosOf, stageSpan, NEVER, beginsOf, lagsOf, Season } from '../../src/season';
import { guide } from '../finds';
import { series, at, saw } from './kit';

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

  test('moves the forecast of every patch; nothing is learned of this year or of the unseen', () => {
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
