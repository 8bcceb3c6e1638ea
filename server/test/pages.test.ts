/**
 * Places, eaters, walks and what groups agree on, told by several people and devices: who may, who hears of
 * it, and what stands in the end.
 */
import { randomUUID } from 'node:crypto';
import { decide } from '@pause/core';
import { stampOf } from '@pause/core/notebook';
import { find as aFind, followChecks, guide } from '../../core/test/finds';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { asking, PASSWORD, someone, type Someone } from './people';

type Json = Record<string, unknown>;
let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let keeper: Someone;
let member: Someone;
let young: Someone;
let stranger: Someone;
const group = 'walkers-of-karrow';
const NOW = Date.now();
const at = (second: number) => new Date(NOW - 3_600_000 + second * 1000).toISOString();
const stamp = (second: number, device = 'tollar') =>
  stampOf({ ms: NOW - 3_600_000 + second * 1000, count: 0, device });

const { ask, tell } = asking(() => server.url);
const begin = (who: Someone, kind: string, inGroup: boolean, id: string = randomUUID()) => ({
  page: id,
  kind: 'pages',
  body: { id, at: at(0), by: who.id, kind, ...(inGroup ? { group } : {}) },
});
const field = (
  who: Someone,
  page: string,
  of: string,
  name: string,
  value: unknown,
  second = 1,
  device = 'tollar',
) => ({
  page,
  kind: 'fields',
  body: { id: randomUUID(), at: at(second), by: who.id, of, field: name, value },
  stamp: stamp(second, device),
});
const rule = (who: Someone, name: string, value: unknown, second = 1, device = 'tollar') =>
  field(who, group, 'group', name, value, second, device);
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
const pulled = async (who: Someone, stream: string) =>
  JSON.stringify((await ask(who, 'GET', `/sync/pull?stream=${stream}&most=1000`)).body);
const POINT = { type: 'Point', coordinates: [12.2376, 46.5123, 642] };

beforeAll(async () => {
  database = await freshDatabase('pages_test');
  server = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
  [keeper, member, young, stranger] = [
    await someone(server.url, 'Keeper Kvist'),
    await someone(server.url, 'Member Moor'),
    await someone(server.url, 'Young Yarl'),
    await someone(server.url, 'Stranger Stan'),
  ];
  expect((await ask(keeper, 'POST', '/groups', { id: group, name: 'The Karrow walkers' })).status).toBe(201);
  for (const [who, role] of [
    [member, 'member'],
    [young, 'young'],
  ] as const) {
    const { code } = (await ask(keeper, 'POST', `/groups/${group}/invitations`, { role, days: 1 })).body;
    expect((await ask(who, 'POST', '/invitations/accept', { code })).status).toBe(200);
  }
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

describe('what a group agrees on', () => {
  const agreed = async () => {
    const { name, policy } = (await ask(member, 'GET', `/groups/${group}`)).body;
    return { name, policy };
  };

  test('merges field by field, the last told standing whenever it arrives', async () => {
    // Two devices that were apart: the one that told its field last was heard of first.
    expect(
      await tell(
        keeper,
        rule(keeper, 'extraBars', { deadly: 1 }, 20, 'karrow'),
        rule(keeper, 'familyHint', false, 5, 'karrow'),
      ),
    ).toEqual(['added', 'added']);
    expect(
      await tell(
        keeper,
        rule(keeper, 'extraBars', { deadly: 2 }, 10, 'tollar'),
        rule(keeper, 'place', 'ignored', 11, 'tollar'),
      ),
    ).toEqual(['added', 'added']);
    expect(await agreed()).toEqual({
      name: 'The Karrow walkers',
      policy: {
        secondLookWhenUnreviewed: true,
        extraBars: { deadly: 1 },
        familyHint: false,
        place: 'ignored',
      },
    });
  });

  test('a rule taken back is none, and everything told stays in the notebook', async () => {
    expect(
      await tell(
        keeper,
        rule(keeper, 'place', null, 30),
        rule(keeper, 'name', 'Karrow and Tollar', 31),
        rule(keeper, 'name', null, 32),
      ),
    ).toEqual(['added', 'added', '422 value']);
    expect(await agreed()).toEqual({
      name: 'Karrow and Tollar',
      policy: { secondLookWhenUnreviewed: true, extraBars: { deadly: 1 }, familyHint: false },
    });
    expect(await pulled(member, `g:${group}`)).toMatch(/"deadly":2.*"ignored"/);
  });

  test('decides from then on what is told of the group’s finds', async () => {
    const id = randomUUID();
    const piece = randomUUID();
    const find = followChecks('hydnum-repandum');
    expect(await tell(keeper, rule(keeper, 'protectedTaxa', ['hydnum-repandum'], 40))).toEqual(['added']);
    await tell(
      member,
      {
        find: id,
        kind: 'finds',
        body: { id, startedAt: at(50), kingdom: 'Fungi', person: member.id, group },
      },
      { find: id, kind: 'pieces', body: { id: piece, at: at(51), purpose: 'decide' } },
      { find: id, kind: 'targets', body: { id: randomUUID(), at: at(52), taxon: 'hydnum-repandum' } },
      { find: id, kind: 'contexts', body: { id: randomUUID(), at: at(53), context: find.context } },
    );
    const { body } = await ask(member, 'POST', '/sync/push', {
      entries: [
        {
          find: id,
          kind: 'verdicts',
          body: {
            id: randomUUID(),
            at: at(54),
            verdict: { ...decide(guide, aFind('hydnum-repandum', [])), outcome: 'pause' },
          },
        },
      ],
    });
    const [result] = body.results as { arrival?: { verdict: { outcome: string; reasons: Json[] } } }[];
    expect(result?.arrival?.verdict.outcome).toBe('leave');
    expect(result?.arrival?.verdict.reasons).toContainEqual({
      code: 'protected',
      by: 'group',
      weight: 'leave',
    });
  });

  test.each<[string, () => Someone, () => unknown, string]>([
    ['a member tells a rule', () => member, () => rule(member, 'familyHint', true), '422 by'],
    ['a young member tells a rule', () => young, () => rule(young, 'familyHint', true), '422 by'],
    ['a stranger tells a rule', () => stranger, () => rule(stranger, 'familyHint', true), '404'],
    ['a keeper tells it in another’s name', () => keeper, () => rule(member, 'familyHint', true), '422 by'],
    [
      'a taxon that the guide does not have',
      () => keeper,
      () => rule(keeper, 'forgoneTaxa', ['boletus-edulis', 'nothing-known']),
      '422 value[1]',
    ],
    ['a rule that is none', () => keeper, () => rule(keeper, 'quickly', true), '422 body.field'],
    ['a field of a place', () => keeper, () => field(keeper, group, 'place', 'note', 'here'), '422 of'],
    [
      'somebody begins the group’s page anew',
      () => keeper,
      () => ({
        ...begin(keeper, 'place', true),
        page: group,
        body: { ...begin(keeper, 'place', true, group).body },
      }),
      '409 id',
    ],
  ])('is left as it is where %s', async (_, who, entry, refusal) => {
    const before = await agreed();
    expect(await tell(who(), entry())).toEqual([refusal]);
    expect(await agreed()).toEqual(before);
  });
});

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
  const told = async (who: Someone) => {
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
      const text = await told(reader);
      expect(text).toContain('atropa-bella-donna');
      if (readers.includes(reader)) expect(text).toMatch(/weir.*642.*alder/s);
      // An id may hold the same digits.
      else expect(text).not.toMatch(/weir|12\.23|46\.51|(?<![0-9a-f-])642(?![0-9a-f-])|alder/);
    }
    expect(await told(member)).toMatch(/weir/);
    expect((await ask(stranger, 'GET', `/sync/pull?stream=g:${group}`)).status).toBe(404);
  });

  test('is changed by who knows it; where it is and who is told only by whoever keeps it', async () => {
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

test('who eats along is told in one’s own notebook only, and is nobody else’s to read', async () => {
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
  // The same page told twice changes nothing; under the same id something else is refused.
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
  test('is told by whoever took it, heard of by the group, and checked field by field', async () => {
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
      const [said] = await tell(member, field(member, page, 'harvest', name, value, 5));
      expect(said).toMatch(/^4(00|22) .*value/);
    }
    expect(await pulled(keeper, `g:${group}`)).toContain('"amount":1.5');
  });
});
