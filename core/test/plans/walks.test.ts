import * as fc from 'fast-check';
import { type Geometry, metresBetween, middleOf, Habitat, Tree } from '../../src/notebook/page';
import {
  orderOfPlaces,
  legs,
  daylight,
  kitFor,
  lookalikesToExpect,
  groundOf,
  groundAnswers,
  type Stop,
  joinedByWalks,
} from '../../src/outings';
import { guide } from '../finds';
import { place } from './kit';

describe('a walk', () => {
  const point = (longitude: number, latitude: number): Geometry => ({
    type: 'Point',
    coordinates: [longitude, latitude],
  });
  const spots = fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 })), {
    minLength: 2,
    maxLength: 6,
    selector: String,
  });

  test('goes no further round than the best of all orders by more than a little, and visits each place once', () => {
    const permutations = (all: number[]): number[][] =>
      all.length < 2
        ? [all]
        : all.flatMap((one, index) =>
            permutations([...all.slice(0, index), ...all.slice(index + 1)]).map((rest) => [one, ...rest]),
          );
    fc.assert(
      fc.property(spots, (all) => {
        const stops = all.map(([x, y], index) => ({
          id: `p${index}`,
          shape: point(12 + x / 1000, 46 + y / 1000),
        }));
        const length = (order: readonly string[]) =>
          order
            .slice(1)
            .reduce(
              (sum, id, index) =>
                sum +
                metresBetween(
                  middleOf(stops.find((s) => s.id === order[index])!.shape),
                  middleOf(stops.find((s) => s.id === id)!.shape),
                ),
              0,
            );
        const found = orderOfPlaces(stops);
        expect([...found].sort()).toEqual(stops.map(({ id }) => id).sort());
        const best = Math.min(
          ...permutations(all.map((_, index) => index)).map((order) =>
            length(order.map((index) => `p${index}`)),
          ),
        );
        expect(length(found)).toBeLessThanOrEqual(best * 1.1 + 1);
      }),
      { numRuns: 60 },
    );
  });

  test('begins nearest to where one stands; what nobody drew comes last', () => {
    const stops = [
      { id: 'a', shape: point(12, 46) },
      { id: 'nowhere' },
      { id: 'b', shape: point(12.1, 46) },
      { id: 'c', shape: point(12.2, 46) },
    ];
    expect(orderOfPlaces(stops, [12.25, 46])).toEqual(['c', 'b', 'a', 'nowhere']);
    expect(orderOfPlaces([], [12, 46])).toEqual([]);
  });

  test('takes its time, and more of it uphill', () => {
    const stops = [
      { id: 'a', shape: point(12, 46), elevation: 600 },
      { id: 'b', shape: point(12, 46.05), elevation: 1000 },
      { id: 'c', shape: point(12, 46), elevation: 600 },
    ];
    const [up, down] = legs(stops, ['a', 'b', 'c']);
    // 0.05 degrees are 5,560 m: 133 minutes at 2.5 km an hour; 400 m of climb one hour more.
    expect(up).toEqual({ to: 'b', metres: 5560, minutes: 193 });
    expect(down).toEqual({ to: 'c', metres: 5560, minutes: 133 });
  });

  test('has daylight from sunrise to dusk, by the place and the day', () => {
    const { sunrise, sunset, dusk } = daylight('2026-09-14', [12.2, 46.5]);
    // Near the equinox the day is twelve and a half hours long there; the sun is highest at 11:07 UTC (12.2°
    // east: 48.8 minutes before noon at Greenwich, and the sun 4.5 minutes early).
    expect((sunset!.getTime() - sunrise!.getTime()) / 3_600_000).toBeCloseTo(12.6, 1);
    expect(
      Math.abs((sunset!.getTime() + sunrise!.getTime()) / 2 - Date.parse('2026-09-14T11:06:40Z')),
    ).toBeLessThan(90_000);
    expect((dusk!.getTime() - sunset!.getTime()) / 60_000).toBeGreaterThan(25);
    expect(daylight('2026-06-21', [20, 75])).toEqual({});
  });

  test('brings what the checks need, a bag for each kind of part, and what the ground asks for, once', () => {
    const [bilberry, gentian, bolete] = ['vaccinium-myrtillus', 'gentiana-lutea', 'boletus-edulis'].map(
      (id) => guide.taxon(id)!,
    );
    const kit = kitFor(
      [
        { taxon: bilberry!, part: 'fruit' },
        { taxon: gentian!, part: 'root' },
        { taxon: bolete!, part: 'fruiting-body' },
      ],
      new Map([
        ['boletus-edulis', ['knife', 'paper']],
        ['gentiana-lutea', ['knife']],
      ]),
      ['ticks', 'bog'],
      { child: true, moisture: ['wet'] },
    );
    const items = kit.map(({ item }) => item);
    expect(new Set(items).size).toBe(items.length);
    expect(items).toEqual(
      expect.arrayContaining([
        'knife',
        'paper',
        'box-fruit',
        'bag-roots',
        'basket-fungi',
        'long-sleeves',
        'boots',
        'whistle',
        'water',
        'gloves',
      ]),
    );
    expect(kit.find(({ item }) => item === 'knife')!.reason).toEqual({
      code: 'checks',
      taxa: ['gentiana-lutea', 'boletus-edulis'],
    });
    expect(kitFor([], new Map(), []).map(({ item }) => item)).toEqual(['water', 'gloves', 'phone']);
  });

  test('names every dangerous lookalike, the deadly first, and which are not expected there and then', () => {
    for (const target of guide.taxa.filter(({ taxon }) => taxon.parts.length > 0)) {
      const expected = lookalikesToExpect(guide, target, { month: 9, elevation: 900 });
      expect(expected.map(({ taxon }) => taxon.id).sort()).toEqual(
        target.taxon.lookalikes.filter((id) => guide.taxon(id)!.grade !== 'none').sort(),
      );
      const grades = expected.map(({ taxon }) => ['deadly', 'serious', 'unpleasant'].indexOf(taxon.grade));
      expect([...grades].sort((a, b) => a - b)).toEqual(grades);
    }
    const morel = guide.taxon('morchella-esculenta')!;
    expect(lookalikesToExpect(guide, morel, { month: 11 }).some(({ likely }) => !likely)).toBe(true);
  });

  test('knows where nobody digs', () => {
    expect(
      [{ habitat: ['bog'] }, { soil: ['stones'] }, { soil: ['loam'] }, {}].map(
        (fields) => groundOf(place(fields)).digging,
      ),
    ).toEqual(['never', 'hard', 'easy', 'unknown']);
  });
});

describe('what is known of a place', () => {
  test('answers where a find stands, in the guide’s own words', () => {
    for (const kingdom of ['Plantae', 'Fungi'] as const) {
      for (const habitat of Habitat.options) {
        for (const answer of groundAnswers(kingdom, { habitat: [habitat], trees: Tree.options })) {
          const character = guide.character(answer.character)!;
          expect(character.character).toMatchObject({ kingdom, organ: 'place' });
          for (const state of answer.states) expect(character.stateBit.has(state)).toBe(true);
        }
      }
    }
  });

  test('several states are answered as torn; one that the guide does not know answers nothing', () => {
    expect(groundAnswers('Plantae', { habitat: ['hedge', 'meadow', 'garden'], trees: ['oak'] })).toEqual([
      { character: 'plant.habitat', states: ['garden', 'meadow'] },
    ]);
    expect(groundAnswers('Fungi', { habitat: ['meadow', 'wayside'] })).toEqual([]);
    expect(groundAnswers('Plantae', { habitat: [] })).toEqual([]);
    expect(groundAnswers('Plantae', {})).toEqual([]);
    // Of fungi also the trees; that there are none was looked for too.
    expect(groundAnswers('Fungi', { habitat: ['meadow'], trees: [] })).toEqual([
      { character: 'fungus.habitat', states: ['grassland'] },
      { character: 'trees', states: ['none'] },
    ]);
    expect(groundAnswers('Fungi', { trees: ['beech', 'spruce'] })).toEqual([
      { character: 'trees', states: ['beech', 'spruce'] },
    ]);
  });
});

test('places that one walk joins are each near to another of it; those that nobody drew stand alone', () => {
  const at = (id: string, north: number): Stop => ({
    id,
    shape: { type: 'Point', coordinates: [12, 46 + north / 111_195] },
  });
  expect(
    joinedByWalks([
      at('a', 0),
      at('far', 9000),
      at('c', 2600),
      at('b', 1300),
      { id: 'unknown' },
      { id: 'as well' },
    ]),
  ).toEqual([['a', 'c', 'b'], ['far'], ['unknown'], ['as well']]);
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 30_000 }), { minLength: 1, maxLength: 9 }),
      (norths) => {
        const walks = joinedByWalks(norths.map((north) => at(String(north), north)));
        expect(
          walks
            .flat()
            .map(Number)
            .sort((a, b) => a - b),
        ).toEqual([...norths].sort((a, b) => a - b));
        const gap = (one: number[], other: number[]) =>
          Math.min(...one.flatMap((a) => other.map((b) => Math.abs(a - b))));
        const numbers = walks.map((walk) => walk.map(Number));
        for (const [index, walk] of numbers.entries())
          for (const other of numbers.slice(index + 1)) expect(gap(walk, other)).toBeGreaterThan(1490);
      },
    ),
  );
});
