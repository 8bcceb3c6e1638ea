/**
 * What people practise stays theirs; lessons are a keeper's; and the group's picture adds up, without names,
 * what those who agreed took for what.
 */
import { randomUUID } from 'node:crypto';
import { stampOf } from '@pause/core/notebook';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { asking, someone, type Someone } from './people';

type Json = Record<string, unknown>;
let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let keeper: Someone;
let members: Someone[];
const group = 'learners-of-karrow';
const NOW = Date.now();
let recorded = 0;
const { ask, tell } = asking(() => server.url);
const at = (second: number) => new Date(NOW - 3_600_000 + second * 1000).toISOString();
const field = (who: Someone, page: string, of: string, name: string, value: unknown): Json => {
  recorded += 1;
  return {
    page,
    kind: 'fields',
    body: { id: randomUUID(), at: at(recorded), by: who.id, of, field: name, value },
    stamp: stampOf({ ms: NOW - 3_000_000 + recorded * 1000, count: 0, device: 'tollar' }),
  };
};
const begin = (who: Someone, page: string, kind: string, of?: string): Json => ({
  page,
  kind: 'pages',
  body: { id: page, at: at(0), by: who.id, kind, ...(of === undefined ? {} : { group: of }) },
});
const look = (character: string, shown: string, read: string) => ({
  card: `feature:${character}`,
  at: at(1),
  right: shown === read,
  sureness: 'sure',
  look: { character, shown, read, sureness: 'sure' },
});
const find = {
  at: at(2),
  target: 'cantharellus-cibarius',
  was: 'omphalotus-olearius',
  stage: 'mature',
  seed: 4,
  strain: 0,
  decided: 'collect',
  points: -50,
  risked: 'serious',
  looks: [{ character: 'cap.shape', shown: 'flat', read: 'funnel', sureness: 'guess' }],
};
/** A sitting of this person, and that it counts for the group. */
async function practise(who: Someone, counts: boolean): Promise<void> {
  const [sitting, learner] = [randomUUID(), randomUUID()];
  expect(
    await tell(
      who,
      begin(who, sitting, 'practice'),
      field(who, sitting, 'practice', 'answers', [look('volva', 'sac', 'none'), look('volva', 'sac', 'sac')]),
      field(who, sitting, 'practice', 'finds', [find]),
    ),
  ).toEqual(['added', 'added', 'added']);
  expect(
    await tell(
      who,
      begin(who, learner, 'learner'),
      field(who, learner, 'learner', 'countsFor', counts ? [group] : []),
    ),
  ).toEqual(['added', 'added']);
}
const picture = async () =>
  (await ask(keeper, 'GET', `/groups/${group}/confusion`)).body as {
    people: number;
    reads: Json[];
    pairs: Json[];
    taken: Json[];
  };

beforeAll(async () => {
  database = await freshDatabase('practice_test');
  server = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
  keeper = await someone(server.url, 'Keeper Kvist');
  members = [
    await someone(server.url, 'Member Moor'),
    await someone(server.url, 'Member Mead'),
    await someone(server.url, 'Member Maar'),
  ];
  expect((await ask(keeper, 'POST', '/groups', { id: group, name: 'The learners' })).status).toBe(201);
  for (const member of members) {
    const { code } = (await ask(keeper, 'POST', `/groups/${group}/invitations`, { role: 'member', days: 1 }))
      .body;
    expect((await ask(member, 'POST', '/invitations/accept', { code })).status).toBe(200);
  }
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

test('what somebody practised and how they want to is never shown in a group’s notebook', async () => {
  for (const kind of ['practice', 'learner'])
    expect(await tell(keeper, begin(keeper, randomUUID(), kind, group))).toEqual(['422 group']);
});

test('a group’s lessons are made by keepers; own ones by anybody, also about taxa not in the guide', async () => {
  const [theirs, own, lesson] = [randomUUID(), randomUUID(), randomUUID()];
  const [member] = members as [Someone];
  expect(await tell(member, begin(member, theirs, 'lesson', group))).toEqual(['422 by']);
  const pairs = [{ target: 'agaricus-campestris', other: 'amanita-nowhere' }];
  expect(
    await tell(
      member,
      begin(member, own, 'lesson'),
      field(member, own, 'lesson', 'title', 'Mine'),
      field(member, own, 'lesson', 'pairs', pairs),
    ),
  ).toEqual(['added', 'added', 'added']);
  expect(
    await tell(
      keeper,
      begin(keeper, lesson, 'lesson', group),
      field(keeper, lesson, 'lesson', 'title', 'Ours'),
    ),
  ).toEqual(['added', 'added']);
  expect(await tell(member, field(member, lesson, 'lesson', 'title', 'Mine now'))).toEqual(['422 by']);
  const pulled = await ask(member, 'GET', `/sync/pull?stream=g:${group}`);
  expect(JSON.stringify(pulled.body)).toContain('"Ours"');
  expect(
    await tell(
      member,
      field(member, own, 'lesson', 'photos', [
        { taxon: 'agaricus-campestris', image: 'https://elsewhere.example/x.jpg' },
      ]),
    ),
  ).toEqual(['422 body.value.0.image']);
});

test('the group’s picture is for its keeper, of those who agreed, from three people on, without names', async () => {
  const [one, two, three] = members as [Someone, Someone, Someone];
  await practise(one, true);
  await practise(two, true);
  await practise(three, false);
  // Of two it would tell who.
  expect(await picture()).toEqual({ people: 2, reads: [], pairs: [], taken: [] });
  await practise(keeper, true);
  const shown = await picture();
  expect(shown.people).toBe(3);
  expect(shown.reads).toHaveLength(3);
  expect(shown.reads).toContainEqual({
    character: 'volva',
    shown: 'sac',
    read: 'none',
    sureness: 'sure',
    times: 3,
  });
  expect(shown.reads).toContainEqual({
    character: 'cap.shape',
    shown: 'flat',
    read: 'funnel',
    sureness: 'guess',
    times: 3,
  });
  expect(shown.taken).toEqual([{ was: 'omphalotus-olearius', as: 'cantharellus-cibarius', times: 3 }]);
  expect(shown.pairs).toEqual([
    { card: 'pair:cantharellus-cibarius:omphalotus-olearius', times: 3, wrong: 3 },
  ]);
  for (const { id, name } of [keeper, ...members]) {
    expect(JSON.stringify(shown)).not.toContain(id);
    expect(JSON.stringify(shown)).not.toContain(name);
  }
  expect((await ask(one, 'GET', `/groups/${group}/confusion`)).status).toBe(403);
  // Nobody else reads what one practised.
  expect((await ask(keeper, 'GET', `/sync/pull?stream=p:${one.id}`)).status).toBe(404);
  // Whoever left counts no more.
  expect((await ask(two, 'DELETE', `/groups/${group}/members/${two.id}`)).status).toBe(204);
  expect(await picture()).toEqual({ people: 2, reads: [], pairs: [], taken: [] });
});
