import { randomUUID } from 'node:crypto';
import { type Someone, someone, PASSWORD } from '../people';
import {
  type Json,
  at,
  begin,
  member,
  tell,
  field,
  pulled,
  group,
  young,
  keeper,
  ask,
  stranger,
  server,
  database,
  setUp,
} from './kit';

setUp();

const sighting = (who: Someone, page: string, more: Json = {}) => ({
  page,
  kind: 'sightings',
  body: {
    id: randomUUID(),
    at: at(2),
    by: who.id,
    on: '2026-09-14',
    what: 'seen',
    taxon: 'atropa-bella-donna',
    ...more,
  },
});

/** Times and ids may hold any digits by chance. */
const withoutTimesAndIds = (text: string) =>
  text.replace(/\d{4}-\d\d-\d\dT[\d:.]+Z/g, '').replace(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, '');

const POINT = { type: 'Point', coordinates: [12.2376, 46.5123, 642] };
describe('a place of the group', () => {
  let place = '';
  beforeEach(async () => {
    const begun = begin(member, 'place', true);
    place = begun.page;
    expect(
      await tell(
        member,
        begun,
        field(member, place, 'place', 'name', 'Behind the weir'),
        field(member, place, 'place', 'shape', POINT),
        field(member, place, 'place', 'elevation', 642),
        sighting(member, place, { note: 'third alder' }),
      ),
    ).not.toContain('refused');
  });
  const seenBy = async (who: Someone) => {
    const page = (
      JSON.parse(await pulled(who, `g:${group}`)) as { entries: { page?: string }[] }
    ).entries.filter((entry) => entry.page === place);
    return JSON.stringify(page);
  };

  test.each<[string, unknown, () => Someone[]]>([
    ['nobody was chosen', undefined, () => []],
    ['one was chosen', () => [young.id], () => [young]],
    ['the group was chosen', () => 'group', () => [keeper, young]],
  ])('%s: only they learn where it is', async (_, chosen, who) => {
    if (typeof chosen === 'function')
      expect(
        await tell(member, field(member, place, 'place', 'exactFor', (chosen as () => unknown)(), 5)),
      ).toEqual(['added']);
    const readers = who();
    for (const reader of [keeper, young]) {
      const text = await seenBy(reader);
      expect(text).toContain('atropa-bella-donna');
      if (readers.includes(reader)) expect(text).toMatch(/weir.*642.*alder/s);
      else expect(withoutTimesAndIds(text)).not.toMatch(/weir|12\.23|46\.51|642|alder/);
    }
    expect(await seenBy(member)).toMatch(/weir/);
    expect((await ask(stranger, 'GET', `/sync/pull?stream=g:${group}`)).status).toBe(404);
  });

  test('is changed by who knows it; where it is and who may know only by whoever keeps it', async () => {
    expect(await tell(keeper, field(keeper, place, 'place', 'moisture', 'wet'))).toEqual(['422 page']);
    await tell(member, field(member, place, 'place', 'exactFor', 'group', 5));
    expect(
      await tell(
        keeper,
        field(keeper, place, 'place', 'moisture', 'wet'),
        field(keeper, place, 'place', 'shape', POINT),
        field(keeper, place, 'place', 'exactFor', 'finder'),
        field(keeper, place, 'place', 'others', 'cell'),
      ),
    ).toEqual(['added', '422 field', '422 field', '422 field']);
    expect(
      await tell(member, {
        ...field(member, place, 'place', 'name', null),
        body: { ...field(member, place, 'place', 'name', null).body, withheld: true },
      }),
    ).toEqual(['422 withheld']);
  });

  test('hears of what anybody of the group saw there, by taxa and stages of the guide', async () => {
    expect(
      await tell(
        young,
        sighting(young, place, { what: 'suspected', stages: ['fruiting'] }),
        sighting(young, place, { taxon: 'nothing-known' }),
        sighting(young, place, { stages: ['fruiting', 'button'] }),
        sighting(member, place),
      ),
    ).toEqual(['added', '422 taxon', '422 stages[1]', '422 by']);
    expect(
      await tell(stranger, sighting(stranger, place), field(stranger, place, 'place', 'note', 'mine')),
    ).toEqual(['404', '404']);
    expect(await tell(keeper, sighting(keeper, group))).toEqual(['422 page']);
  });
});

test('who eats along is written in one’s own notebook only, and is nobody else’s to read', async () => {
  expect(await tell(member, begin(member, 'eater', true))).toEqual(['422 group']);
  const begun = begin(member, 'eater', false);
  expect(
    await tell(
      member,
      begun,
      field(member, begun.page, 'eater', 'cautions', ['pregnancy', 'allergy:apiaceae']),
      field(member, begun.page, 'eater', 'likes', ['nothing-known']),
    ),
  ).toEqual(['added', 'added', '422 value[0]']);
  expect(await tell(keeper, field(keeper, begun.page, 'eater', 'name', 'Found out'))).toEqual(['404']);
  expect((await ask(keeper, 'GET', `/sync/pull?stream=p:${member.id}`)).status).toBe(404);
  expect(await pulled(keeper, `g:${group}`)).not.toContain('pregnancy');
  // The same page sent twice changes nothing; under the same id something else is refused.
  expect(await tell(member, begun, { ...begun, body: { ...begun.body, kind: 'walk' } })).toEqual([
    'known',
    '409 id',
  ]);
});

test('a page goes along with its person’s export, and with their deletion', async () => {
  const gone = await someone(server.url, 'Gone Gunde');
  const begun = begin(gone, 'place', false);
  await tell(gone, begun, field(gone, begun.page, 'place', 'name', 'The old quarry'));
  expect(JSON.stringify((await ask(gone, 'GET', '/me/export')).body)).toContain('The old quarry');
  expect((await ask(gone, 'DELETE', '/me', { name: 'Gone Gunde', password: PASSWORD })).status).toBe(204);
  expect(await database.db.selectFrom('pages').select('id').where('id', '=', begun.page).execute()).toEqual(
    [],
  );
  expect(
    await database.db.selectFrom('entries').select('id').where('page_id', '=', begun.page).execute(),
  ).toEqual([]);
});

describe('what was taken', () => {
  test('is recorded by whoever took it, heard of by the group, and checked field by field', async () => {
    const page = randomUUID();
    expect(
      await tell(
        member,
        begin(member, 'harvest', true, page),
        field(member, page, 'harvest', 'taxon', 'vaccinium-myrtillus'),
        field(member, page, 'harvest', 'taken', { amount: 1.5, unit: 'litre' }, 2),
      ),
    ).toEqual(['added', 'added', 'added']);
    expect(
      await tell(keeper, field(keeper, page, 'harvest', 'taken', { amount: 9, unit: 'litre' }, 3)),
    ).toEqual(['422 by']);
    expect(await tell(member, field(member, page, 'harvest', 'taxon', 'no-such-plant', 4))).toEqual([
      '422 value',
    ]);
    for (const [name, value] of [
      ['taken', { amount: -1, unit: 'litre' }],
      ['taken', { amount: 1, unit: 'bucket' }],
      ['share', 1.2],
      ['need', { eaters: 2, servings: 1, servingGrams: 100, yield: 0 }],
      ['count', { how: 'squares', counts: [3], squares: 9 }],
    ] as const) {
      const [answer] = await tell(member, field(member, page, 'harvest', name, value, 5));
      expect(answer).toMatch(/^4(00|22) .*value/);
    }
    expect(await pulled(keeper, `g:${group}`)).toContain('"amount":1.5');
  });
});
