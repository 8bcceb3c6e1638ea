import * as fc from 'fast-check';
import { newYear, dayOf, isoOf } from '../../src/lib/day';
import { Learned, SPREADS, seenThisSeason, onsetsOf } from '../../src/season';
import { guide } from '../finds';
import { at, saw, bilberry, series } from './kit';

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
