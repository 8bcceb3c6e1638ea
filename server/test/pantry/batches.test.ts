import { randomUUID } from 'node:crypto';
import { collect, keeper, tell, page, batch, field, member, at, stranger, setUp } from './kit';

setUp();

test('a batch comes from what is there, never from itself by any way; who tells what stays as it is', async () => {
  const { find } = await collect(keeper, 'cantharellus-cibarius');
  const [harvest, first, second, meal, taste] = Array.from({ length: 5 }, () => randomUUID()) as [
    string,
    string,
    string,
    string,
    string,
  ];
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'harvest', harvest, {
          find,
          taxon: 'cantharellus-cibarius',
          part: 'fruiting-body',
          on: '2026-09-14',
        }),
        ...page(keeper, 'batch', first, batch([harvest], 'harvest')),
        ...page(keeper, 'batch', second, batch([first])),
      ),
    ),
  ).toEqual(new Set(['added']));
  expect(await tell(keeper, field(keeper, first, 'batch', 'from', [{ of: 'batch', id: first }]))).toEqual([
    '422 value[0].id',
  ]);
  expect(
    await tell(
      keeper,
      field(keeper, first, 'batch', 'from', [
        { of: 'harvest', id: harvest },
        { of: 'batch', id: second },
      ]),
    ),
  ).toEqual(['422 value[1].id']);
  expect(
    await tell(keeper, field(keeper, first, 'batch', 'from', [{ of: 'harvest', id: randomUUID() }])),
  ).toEqual(['422 value[0].id']);
  expect(await tell(keeper, field(keeper, first, 'batch', 'made', { amount: -3, unit: 'g' }))).toEqual([
    '422 body.value.amount',
  ]);
  expect(
    await tell(keeper, field(keeper, first, 'batch', 'contents', [{ taxon: 'nothing-known', part: 'leaf' }])),
  ).toEqual(['422 value[0].taxon']);
  // Anybody of the group goes on with a batch; a meal is only changed by who recorded it first, and a taste never
  // in a group.
  expect(await tell(member, field(member, first, 'batch', 'note', 'Turned once more'))).toEqual(['added']);
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'portion', meal, {
          what: 'meal',
          at: at(9),
          of: [{ of: 'batch', id: first }],
          who: ['Lune'],
        }),
      ),
    ),
  ).toEqual(new Set(['added']));
  expect(await tell(member, field(member, meal, 'portion', 'note', 'mine too'))).toEqual(['422 by']);
  expect((await tell(keeper, ...page(keeper, 'taste', taste, {})))[0]).toBe('422 group');
  expect(
    (await tell(stranger, ...page(stranger, 'batch', randomUUID(), batch([harvest], 'harvest'), false)))[2],
  ).toBe('422 value[0].id');
  // Nor is anything taken of somebody else's find: what becomes of that is shown to nobody else.
  expect(await tell(stranger, ...page(stranger, 'harvest', randomUUID(), { find }, false))).toEqual([
    'added',
    '422 value',
  ]);
});
