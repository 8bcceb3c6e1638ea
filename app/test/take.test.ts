/** What was taken before, and the words for how much. */
import './guide';
import type { PageRecord } from '@pause/core';
import { leftOver } from '@pause/core/harvest/sorting';
import { take, usualWeights, weighed } from '@pause/core/harvest/taking';
import { dayOf } from '@pause/core/lib/day';
import {
  harvestsOf,
  inTheSameBag,
  lastTaken,
  takenBefore,
  takenToday,
  weighingsOf,
} from '../src/notebook/harvests';
import { countsOf } from '../src/screens/harvest/PatchQuestion';
import { standingCount } from '../src/screens/harvest/questionOf';
import { sortingOf } from '../src/screens/harvest/SortScreen';
import { bindsWords, patchWords, seenAs, valueOf, weightOf } from '../src/text/harvest';

const page = (id: string, person: string, fields: Record<string, unknown>): PageRecord =>
  ({
    id,
    kind: 'harvest',
    at: '2026-09-01T08:00:00.000Z',
    person,
    sightings: [],
    changes: Object.entries(fields).map(([field, value]) => ({
      id: `${id}-${field}`,
      at: '2026-09-01T08:00:00.000Z',
      by: person,
      of: 'harvest',
      field,
      value,
    })),
  }) as unknown as PageRecord;
const HEATH = { place: 'heath', taxon: 'vaccinium-myrtillus', part: 'fruit' };
const harvests = harvestsOf([
  page('mine', 'mirel', {
    ...HEATH,
    on: '2026-09-14',
    share: 0.1,
    taken: { amount: 1, unit: 'litre' },
    weighings: [{ amount: { amount: 100, unit: 'piece' }, grams: 40 }],
  }),
  page('theirs', 'tam', {
    ...HEATH,
    on: '2026-09-01',
    share: 0.25,
    taken: { amount: 2, unit: 'litre' },
    weighings: [{ amount: { amount: 1, unit: 'piece' }, grams: 9 }],
  }),
  page('unsaid', 'tam', { ...HEATH, on: '2026-09-02' }),
  page('elsewhere', 'mirel', { ...HEATH, place: 'slope', on: '2026-09-02', share: 1 }),
  page('later', 'mirel', { ...HEATH, on: '2026-10-02', share: 1 }),
]);

test('of the same part at the same place, by anybody, what was recorded of its share counts, from that day on', () => {
  expect(takenBefore(harvests, HEATH, dayOf('2026-09-14'), undefined)).toEqual([
    { daysAgo: 0, share: 0.1 },
    { daysAgo: 13, share: 0.25 },
  ]);
  expect(takenBefore(harvests, HEATH, dayOf('2026-09-14'), 'mine')).toEqual([{ daysAgo: 13, share: 0.25 }]);
  expect(takenBefore(harvests, { ...HEATH, place: undefined }, dayOf('2026-09-14'), undefined)).toEqual([]);
  expect(lastTaken(harvests, HEATH, dayOf('2026-09-14'), 'mine')).toEqual({
    daysAgo: 12,
    person: 'tam',
    share: undefined,
  });
  expect(lastTaken(harvests, { ...HEATH, part: 'leaf' }, dayOf('2026-09-14'), undefined)).toBeUndefined();
  expect(takenToday(harvests, HEATH, '2026-09-14', undefined)).toEqual([{ amount: 1, unit: 'litre' }]);
  expect(takenToday(harvests, HEATH, '2026-09-14', 'mine')).toEqual([]);
});

test('what lies in one bag is of one person and day, and the bag has a name', () => {
  const bags = harvestsOf([
    page('a', 'mirel', { on: '2026-09-14', bag: 'Tin' }),
    page('b', 'mirel', { on: '2026-09-14', bag: ' tin ' }),
    page('c', 'tam', { on: '2026-09-14', bag: 'Tin' }),
    page('d', 'mirel', { on: '2026-09-13', bag: 'Tin' }),
    page('e', 'mirel', { on: '2026-09-14' }),
    page('f', 'mirel', { on: '2026-09-14' }),
  ]);
  expect(inTheSameBag(bags, 'a').map(({ id }) => id)).toEqual(['b']);
  expect(inTheSameBag(bags, 'e')).toEqual([]);
  expect(inTheSameBag(bags, undefined)).toEqual([]);
});

test('one’s own scales count, and nobody else’s', () => {
  expect(weighed(usualWeights('fruit'), weighingsOf(harvests, HEATH, 'mirel')).piece).toBe(0.4);
});

test('squares are read as they are typed', () => {
  expect(countsOf('4, 6;0 8')).toEqual([4, 6, 0, 8]);
  for (const wrong of ['4', '4, -1', '4, 2.5', 'four, five', '']) expect(countsOf(wrong)).toBeUndefined();
});

test('amounts are said as they are seen, and never as more', () => {
  expect([999, 1240, 12_700, 87, 104].map(weightOf)).toEqual(
    ['990 g', '1.2 kg', '13 kg', '87 g', '100 g'].map((one) => one.replace(' ', '\u00A0')),
  );
  expect(seenAs(140, { piece: 25, handful: 70, litre: 260 })).toBe(
    'about 5\u00A0pieces, 2\u00A0handfuls or 0.5\u00A0litres',
  );
  expect(seenAs(3, { piece: 25, handful: 70, litre: 2600 })).toBe('less than a piece');
});

test('what decides is said with what would change it', () => {
  const answer = take({
    need: { eaters: 1, servings: 1, servingGrams: 100, yield: 1 },
    patch: { lifeForm: 'shrub', part: 'fruit', count: { low: 4000, mid: 4000, high: 4000 } },
    permission: 'allowed',
    persons: 1,
    weights: usualWeights('fruit'),
  });
  expect(bindsWords(answer)).toMatch(
    /^What you need decides: more is not needed\. Were it not for that, what the patch bears would stop at 1\.\d.kg\.$/,
  );
  expect(answer.ceilings.map(valueOf)).toEqual([
    expect.stringMatching(/^100/),
    expect.stringMatching(/kg$/),
    'As much as you like',
    'Nobody has said yet what fits.',
  ]);
  expect(
    bindsWords(
      take({
        patch: { lifeForm: 'shrub', part: 'fruit' },
        permission: 'unknown',
        persons: 1,
        weights: usualWeights('fruit'),
      }),
    ),
  ).toBe('Before anything is taken, somebody has to be asked.');
  expect(patchWords({ code: 'share', share: 0.03, chance: 0.9, years: 50 })).toBe(
    'Taken every year, up to 3\u00A0% of it leaves a patch that is no smaller in 50 years, in nine of ten patches.',
  );
});

test('what was gone through piece by piece where it grew is less likely to hold strays', () => {
  const counted = { pieces: 60, found: [0], now: 0, grades: [] };
  expect(leftOver(sortingOf(counted, 60)).chance).toBeLessThan(leftOver(sortingOf(counted, 10)).chance / 2);
});

test('the number asked for before digging stands for the harvest, until one is counted for it', () => {
  const find = { context: { patchSize: 'tens' } } as const;
  expect(standingCount({}, find)).toEqual({ how: 'about', order: 'tens' });
  expect(standingCount({ count: { how: 'counted', number: 14 } }, find)).toEqual({
    how: 'counted',
    number: 14,
  });
  expect(standingCount({}, { context: {} })).toBeUndefined();
});
