import * as fc from 'fast-check';
import { dayOf } from '../../src/lib/day';
import {
  type SeenPlace,
  Season,
  week,
  why,
  type Span,
  missedBy,
  fewestVisits,
  joinedVisits,
} from '../../src/season';
import { guide } from '../finds';
import { at, series, bilberry } from './kit';

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

  test('joined over patches: each misses no more than accepted, with fewer walks than one by one', () => {
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
