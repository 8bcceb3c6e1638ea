import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import Manager from 'pg-boss/src/manager.js';
import { canonicalJson, caseOf, decide, GROUP_POLICY, type Policy } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { FindRecord } from '@pause/core/notebook';
import { ask as askCore, ASKED, type Asked } from '@pause/core/questions';
import { allUsual, at as onTheDay, followChecks, guide, lookedAtTwice } from '../../core/test/finds';
import { APPEND_ONLY } from '../src/db';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { demoCookie } from './people';

type Json = Record<string, unknown>;
let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
const PERSON = 'mirel';
/** Minutes into the morning, all of them before the demo's clock: what is told ahead of it is moved. */
const at = (minute: number) => onTheDay(minute - 180);
let cookie = '';

beforeAll(async () => {
  database = await freshDatabase('api_test');
  server = await startServer({ databaseUrl: database.url, port: 0, demo: true, logLevel: 'silent' });
  cookie = await demoCookie(server.url);
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

async function ask(method: string, path: string, body?: unknown, type = 'application/json') {
  const response = await fetch(`${server.url}/api/v1${path}`, {
    method,
    headers: { cookie, ...(body === undefined ? {} : { 'content-type': type }) },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  const text = await response.text();
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    body: (text ? JSON.parse(text) : {}) as Json,
  };
}
const post = (path: string, body: unknown) => ask('POST', path, body);

async function counts(): Promise<Record<string, number>> {
  const entries = await Promise.all(
    APPEND_ONLY.map(async (table) => {
      const { rows } = await sql<{ n: number }>`select count(*)::int as n from ${sql.table(table)}`.execute(
        database.db,
      );
      return [table, rows[0]?.n ?? -1] as const;
    }),
  );
  return Object.fromEntries(entries);
}

/** A find that is begun: a piece, a target and all that stands around. */
async function begin(target = 'cantharellus-cibarius', kingdom = 'Fungi') {
  const find = randomUUID();
  const piece = randomUUID();
  const source = followChecks(target);
  await post('/finds', {
    id: find,
    startedAt: at(0),
    kingdom,
    person: PERSON,
    placeNote: 'Spruce above the Karrow spring',
  });
  await post(`/finds/${find}/pieces`, { id: piece, at: at(0), purpose: 'decide' });
  await post(`/finds/${find}/targets`, { id: randomUUID(), at: at(1), taxon: target });
  await post(`/finds/${find}/contexts`, { id: randomUUID(), at: at(2), context: source.context });
  const reading = (character: string, value: unknown, more: Json = {}) => ({
    id: randomUUID(),
    piece,
    character,
    value,
    sureness: 'sure',
    by: PERSON,
    at: at(10),
    ...more,
  });
  return { find, piece, reading };
}

async function record(find: string): Promise<FindRecord> {
  return FindRecord.parse((await ask('GET', `/finds/${find}`)).body);
}
function verdictOf(found: FindRecord, policy?: Policy) {
  const raw = caseOf(found, guide, policy);
  if (!raw) throw new Error('it has a target');
  return decide(guide, parseCase(JSON.parse(JSON.stringify(raw)), guide));
}

describe('a find, from beginning to decision', () => {
  test('is stored, judged the same on both sides, decided, and read back whole', async () => {
    const { find, reading } = await begin();
    for (const usual of lookedAtTwice(allUsual('cantharellus-cibarius'))) {
      expect((await post(`/finds/${find}/readings`, reading(usual.character, usual.value))).status).toBe(201);
    }
    const verdict = verdictOf(await record(find));
    expect(verdict.outcome).toBe('collect');
    const id = randomUUID();
    expect((await post(`/finds/${find}/verdicts`, { id, at: at(90), verdict })).status).toBe(201);
    expect(
      (
        await post(`/finds/${find}/decisions`, {
          id: randomUUID(),
          at: at(91),
          verdict: id,
          choice: 'collect',
          by: PERSON,
        })
      ).status,
    ).toBe(201);

    const kept = await record(find);
    expect(kept.readings).toHaveLength(2 * allUsual('cantharellus-cibarius').length);
    expect(kept.decisions.map((d) => d.choice)).toEqual(['collect']);
    expect(canonicalJson(kept.verdicts[0]?.verdict)).toBe(canonicalJson(verdict));
    const [line] = (await ask('GET', '/finds')).body.finds as Json[];
    expect((await ask('GET', '/finds')).body.finds).toContainEqual(
      expect.objectContaining({ id: find, outcome: 'collect', choice: 'collect' }),
    );
    expect(line).toBeDefined();
  });

  test('the stateless decision gives the same bytes as the core', async () => {
    const find = followChecks('boletus-edulis');
    const response = await fetch(`${server.url}/api/v1/decide`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(find),
    });
    expect(canonicalJson(await response.json())).toBe(canonicalJson(decide(guide, find)));
  });

  test('withdrawals, skips and a second piece come back as they were sent', async () => {
    const { find, piece, reading } = await begin();
    const slip = reading('hymenophore', { kind: 'states', states: ['gills'] });
    await post(`/finds/${find}/readings`, slip);
    await post(`/finds/${find}/withdrawals`, { id: randomUUID(), at: at(11), reading: slip.id });
    await post(`/finds/${find}/skips`, { id: randomUUID(), at: at(12), piece, character: 'spore.print' });
    await post(`/finds/${find}/pieces`, { id: randomUUID(), at: at(13), purpose: 'compare' });
    const noted = reading(
      'cap.shape',
      { kind: 'states', states: ['funnel'] },
      { at: at(14), note: 'the far side' },
    );
    await post(`/finds/${find}/readings`, noted);
    expect((await record(find)).readings.at(-1)).toEqual(noted);
    const kept = await record(find);
    expect(kept.withdrawals).toEqual([{ reading: slip.id, at: at(11) }]);
    expect(kept.skips).toEqual([{ character: 'spore.print', piece, at: at(12) }]);
    expect(kept.pieces.map((p) => p.purpose)).toEqual(['decide', 'compare']);
    expect(verdictOf(kept).reasons).toContainEqual({
      weight: 'pause',
      code: 'taken-back',
      character: 'hymenophore',
      piece,
    });
  });
});

describe('sending twice', () => {
  test('the same content changes nothing', async () => {
    const { find, reading } = await begin();
    const body = reading('hymenophore', { kind: 'states', states: ['ridges'] });
    expect((await post(`/finds/${find}/readings`, body)).status).toBe(201);
    const before = await counts();
    expect(await post(`/finds/${find}/readings`, body)).toMatchObject({
      status: 200,
      body: { status: 'known' },
    });
    expect(await counts()).toEqual(before);
  });

  test('at the same moment, too', async () => {
    const { find, reading } = await begin();
    const body = reading('hymenophore', { kind: 'states', states: ['ridges'] });
    const statuses = await Promise.all(
      Array.from({ length: 8 }, async () => (await post(`/finds/${find}/readings`, body)).status),
    );
    expect(statuses.sort()).toEqual([200, 200, 200, 200, 200, 200, 200, 201]);
  });

  test('the same id with other content is refused', async () => {
    const { find, reading } = await begin();
    const body = reading('hymenophore', { kind: 'states', states: ['ridges'] });
    await post(`/finds/${find}/readings`, body);
    const before = await counts();
    const answer = await post(`/finds/${find}/readings`, {
      ...body,
      value: { kind: 'states', states: ['gills'] },
    });
    expect(answer).toMatchObject({
      status: 409,
      body: { type: 'urn:pause:problem:duplicate-id', errors: [{ field: 'id' }] },
    });
    expect(await counts()).toEqual(before);
  });

  test('the same id on another find is refused', async () => {
    const one = await begin();
    const other = await begin();
    const body = one.reading('hymenophore', { kind: 'states', states: ['ridges'] });
    await post(`/finds/${one.find}/readings`, body);
    expect((await post(`/finds/${other.find}/readings`, { ...body, piece: other.piece })).status).toBe(409);
  });

  test('a verdict that came through once is known when it comes again', async () => {
    const { find, reading } = await begin();
    await post(`/finds/${find}/readings`, reading('hymenophore', { kind: 'states', states: ['ridges'] }));
    const body = { id: randomUUID(), at: at(90), verdict: verdictOf(await record(find)) };
    expect((await post(`/finds/${find}/verdicts`, body)).status).toBe(201);
    await post(`/finds/${find}/readings`, reading('cap.shape', { kind: 'states', states: ['funnel'] }));
    expect((await post(`/finds/${find}/verdicts`, body)).status).toBe(200);
  });
});

describe('what is wrong is refused with its field, and nothing is stored', () => {
  test.each<[string, string, (b: Awaited<ReturnType<typeof begin>>) => unknown, number, string]>([
    [
      'unknown taxon',
      'targets',
      () => ({ id: randomUUID(), at: at(3), taxon: 'morchella-nowhere' }),
      422,
      'taxon',
    ],
    [
      'state not in the character',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['teeth'] }),
      422,
      'value.states[0]',
    ],
    [
      'number without unit',
      'readings',
      ({ reading }) => reading('cap.width', { kind: 'measure', number: 40 }),
      422,
      'value.unit',
    ],
    [
      'absurd number',
      'readings',
      ({ reading }) => reading('cap.width', { kind: 'measure', number: 1e9, unit: 'mm' }),
      422,
      'value.number',
    ],
    [
      'reading on a piece that does not exist',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { piece: 'nowhere' }),
      422,
      'piece',
    ],
    [
      'unknown character',
      'readings',
      ({ reading }) => reading('cap.sheen', { kind: 'states', states: ['dull'] }),
      422,
      'character',
    ],
    [
      'unknown person',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { by: 'nobody' }),
      422,
      'by',
    ],
    [
      'a member nobody knows',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { edible: true }),
      422,
      'body',
    ],
    [
      'no time',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { at: 'noon' }),
      422,
      'at',
    ],
    [
      'a stage of the other kingdom',
      'contexts',
      () => ({ id: randomUUID(), at: at(3), context: { stages: ['flowering'] } }),
      422,
      'context.stages[0]',
    ],
    [
      'taking back what was not read',
      'withdrawals',
      () => ({ id: randomUUID(), at: at(3), reading: 'nothing' }),
      422,
      'reading',
    ],
    [
      'skipping what cannot be asked',
      'skips',
      ({ piece }) => ({ id: randomUUID(), at: at(3), piece, character: 'cap.sheen' }),
      422,
      'character',
    ],
    [
      'deciding on no verdict',
      'decisions',
      () => ({ id: randomUUID(), at: at(3), verdict: randomUUID(), choice: 'leave', by: PERSON }),
      422,
      'verdict',
    ],
  ])('%s', async (_, path, body, status, field) => {
    const begun = await begin();
    const before = await counts();
    const answer = await post(`/finds/${begun.find}/${path}`, body(begun));
    expect(answer.status).toBe(status);
    expect(answer.type).toMatch('application/problem+json');
    expect((answer.body.errors as Json[]).map((e) => e.field)).toContain(field);
    expect(answer.body.title).not.toBe('');
    expect(await counts()).toEqual(before);
  });

  test('a verdict that the server does not reach itself is kept beside the one it reaches, and both are told', async () => {
    const { find, reading } = await begin();
    await post(`/finds/${find}/readings`, reading('hymenophore', { kind: 'states', states: ['ridges'] }));
    const verdict = verdictOf(await record(find));
    const forged = { id: randomUUID(), at: at(90), verdict: { ...verdict, outcome: 'collect' } };
    expect(await post(`/finds/${find}/verdicts`, forged)).toMatchObject({
      status: 201,
      body: { arrival: { because: 'record', verdict: { outcome: 'pause' } } },
    });
    expect(await post(`/finds/${find}/verdicts`, forged)).toMatchObject({
      status: 200,
      body: { arrival: { because: 'record' } },
    });
    const older = { ...verdict, guide: { id: 'ostrel', version: 'f'.repeat(64) } };
    const same = await post(`/finds/${find}/verdicts`, { id: randomUUID(), at: at(91), verdict: older });
    expect([same.status, same.body.arrival]).toEqual([201, undefined]);
    expect(
      await post(`/finds/${find}/verdicts`, {
        id: randomUUID(),
        at: at(92),
        verdict: { ...older, outcome: 'leave' },
      }),
    ).toMatchObject({ status: 201, body: { arrival: { because: 'guide' } } });
    expect((await record(find)).verdicts.map((v) => [v.verdict.outcome, v.arrival?.verdict.outcome])).toEqual(
      [
        ['collect', 'pause'],
        ['pause', undefined],
        ['leave', 'pause'],
      ],
    );
    const elsewhere = await post(`/finds/${find}/verdicts`, {
      id: randomUUID(),
      at: at(93),
      verdict: { ...verdict, guide: { id: 'elsewhere', version: guide.version } },
    });
    expect(elsewhere).toMatchObject({ status: 422, body: { errors: [{ field: 'verdict.guide.id' }] } });
  });

  test('collecting against the verdict without a reason', async () => {
    const { find } = await begin();
    const id = randomUUID();
    await post(`/finds/${find}/verdicts`, { id, at: at(90), verdict: verdictOf(await record(find)) });
    const decision = { id: randomUUID(), at: at(91), verdict: id, choice: 'collect', by: PERSON };
    expect(await post(`/finds/${find}/decisions`, decision)).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'reason' }] },
    });
    expect(
      (await post(`/finds/${find}/decisions`, { ...decision, reason: 'A guide of the valley named it.' }))
        .status,
    ).toBe(201);
  });

  test('malformed JSON, no JSON, a 2 MB body', async () => {
    const before = await counts();
    expect(await post('/finds', '{"id": ')).toMatchObject({
      status: 400,
      body: { type: 'urn:pause:problem:not-json' },
    });
    expect((await ask('POST', '/finds', 'id=3', 'application/x-www-form-urlencoded')).status).toBe(415);
    const large = await post('/finds', { id: randomUUID(), placeNote: 'x'.repeat(2 * 1024 * 1024) });
    expect(large).toMatchObject({ status: 413, body: { title: 'body: at most 1024 kB are taken at once' } });
    expect(await counts()).toEqual(before);
  });

  test('addresses that lead nowhere', async () => {
    expect(await ask('GET', '/finds/none-such')).toMatchObject({
      status: 404,
      body: { type: 'urn:pause:problem:no-such-find' },
    });
    expect(
      (await post('/finds/none-such/targets', { id: randomUUID(), at: at(1), taxon: 'boletus-edulis' }))
        .status,
    ).toBe(404);
    expect((await ask('GET', '/nothing')).status).toBe(404);
    expect((await ask('GET', `/guides/${'0'.repeat(64)}`)).status).toBe(404);
  });
});

describe('the database keeps what was read', () => {
  test.each(APPEND_ONLY)('%s can be added to, never changed, removed or emptied', async (table) => {
    const [key, column] = (
      {
        guides: ['version', 'id'],
        audit: ['number', 'what'],
        finds: ['id', 'person'],
        entries: ['id', 'stamp'],
        entry_ids: ['key', 'stream'],
        pages: ['id', 'stream'],
      } as const
    )[table];
    const { rows } = await sql<{
      key: string;
    }>`select ${sql.ref(key)} as key from ${sql.table(table)} limit 1`.execute(database.db);
    const [row] = rows;
    expect(row).toBeDefined();
    const refused = /only added to, never changed/;
    await expect(
      sql`update ${sql.table(table)} set ${sql.ref(column)} = ${sql.ref(column)} where ${sql.ref(key)} = ${row?.key}`.execute(
        database.db,
      ),
    ).rejects.toThrow(refused);
    await expect(
      sql`delete from ${sql.table(table)} where ${sql.ref(key)} = ${row?.key}`.execute(database.db),
    ).rejects.toThrow(refused);
    await expect(sql`truncate ${sql.table(table)} cascade`.execute(database.db)).rejects.toThrow(refused);
  });
});

describe('questions to the core', () => {
  const find = JSON.parse(JSON.stringify(followChecks('hydnum-repandum'))) as Json;
  const { target: _target, earlierTargets: _earlier, ...unnamed } = find;
  const verdict = decide(guide, followChecks('hydnum-repandum'));
  const pack = {
    format: 'pause-pack/1',
    id: 'weir',
    title: 'The weir',
    licence: 'CC0-1.0',
    about: 'Below the weir.',
    over: guide.guide.id,
    names: { 'hydnum-repandum': { it: ['steccherino dorato'] } },
  };
  test.each<[Asked, unknown]>([
    ['decide', find],
    ['next', { ...find, readings: [] }],
    ['plan', { find: { ...find, readings: [] }, hands: { gear: ['knife'] } }],
    ['pieces', { find }],
    ['identify', { find: unnamed }],
    ['recompute', { find, verdict }],
    ['lint', guide.guide],
    ['lint', pack],
    ['stack', pack],
  ])('%s gives the same bytes as the core', async (asked, question) => {
    const answer = await post(`/${asked}`, question);
    expect(answer.status).toBe(200);
    expect(canonicalJson(answer.body)).toBe(
      canonicalJson(askCore(asked, JSON.parse(JSON.stringify(question)), guide)),
    );
  });

  test.each<[Asked, unknown, string]>([
    ['decide', {}, 'guide'],
    ['next', { ...find, target: 'nothing-known' }, 'target'],
    ['plan', { find, hands: { longest: -1 } }, 'hands.longest'],
    ['plan', { find: { ...find, kingdom: 'Animalia' } }, 'find.kingdom'],
    ['pieces', {}, 'find'],
    ['identify', { find }, 'find'],
    ['recompute', { find, verdict: {} }, 'verdict'],
    ['lint', { format: 'pause-guide/0' }, 'format'],
    ['stack', { ...pack, over: 'elsewhere' }, 'over'],
    ['lint', { ...pack, statements: [{}] }, 'statements[0].taxon'],
  ])('%s refuses what is wrong and names the field', async (asked, question, field) => {
    const answer = await post(`/${asked}`, question);
    expect(answer.status).toBe(422);
    expect((answer.body.errors as Json[]).map((e) => e.field)).toContain(field);
  });

  test('a long question keeps nobody waiting', async () => {
    const order: string[] = [];
    const long = post('/lint', guide.guide).then(() => order.push('lint'));
    const short = ask('GET', '/health').then(() => order.push('health'));
    await Promise.all([long, short]);
    expect(order).toEqual(['health', 'lint']);
  });

  test('the interface describes itself, from the schemas that parse', async () => {
    const { body } = await ask('GET', '/openapi.json');
    expect(body.openapi).toBe('3.1.0');
    const paths = body.paths as Record<string, Json>;
    for (const asked of ASKED) expect(paths[`/${asked}`]).toHaveProperty('post.requestBody.content');
    expect(paths['/finds/{find}/readings']).toHaveProperty(
      ['post', 'requestBody', 'content', 'application/json', 'schema', 'properties', 'sureness', 'enum'],
      ['sure', 'fairly', 'guess'],
    );
    expect((await ask('GET', '/schemas/guide')).body).toMatchObject({
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      type: 'object',
    });
    expect((await ask('GET', '/schemas/none')).status).toBe(404);
  });
});

describe('around it', () => {
  test('the demo person, its clock in mid-September, and the guide version', async () => {
    const { body } = await ask('GET', '/me');
    expect(body).toMatchObject({ id: PERSON, demo: true, guide: { id: 'ostrel', version: guide.version } });
    expect(String(body.now)).toMatch(/^2026-09-1/);
    expect((await ask('GET', `/guides/${guide.version}`)).body).toMatchObject({
      format: 'pause-guide/2',
      id: 'ostrel',
    });
  });

  test('the demo holds every kind of verdict, each one recomputed', async () => {
    const { finds } = (await ask('GET', '/finds')).body as { finds: { id: string; outcome?: string }[] };
    const demo = finds.filter((f) => f.id.startsWith('demo-'));
    expect(new Set(demo.map((f) => f.outcome))).toEqual(new Set(['collect', 'leave', 'pause', undefined]));
    for (const { id } of demo) {
      const kept = await record(id);
      for (const { verdict } of kept.verdicts)
        expect(canonicalJson(verdict)).toBe(
          canonicalJson(verdictOf(kept, kept.group ? GROUP_POLICY : undefined)),
        );
    }
  });

  test('starting again loads nothing twice', async () => {
    const before = await counts();
    const again = await startServer({ databaseUrl: database.url, port: 0, demo: true, logLevel: 'silent' });
    await again.stop();
    expect(await counts()).toEqual(before);
  });

  test('without its database it says so and stores nothing', async () => {
    const lone = await freshDatabase('api_test_away');
    const away = await startServer({ databaseUrl: lone.url, port: 0, demo: true, logLevel: 'silent' });
    try {
      await lone.close();
      // It is alive, and not ready for anybody.
      expect((await fetch(`${away.url}/api/v1/health`)).status).toBe(200);
      for (const path of ['/ready', `/guides/${'0'.repeat(64)}`]) {
        const response = await fetch(`${away.url}/api/v1${path}`);
        expect([path, response.status, ((await response.json()) as Json).type]).toEqual([
          path,
          503,
          'urn:pause:problem:database-away',
        ]);
      }
    } finally {
      await away.stop();
    }
  });

  // Jest takes a rejection that nobody hears of for a failure, as Node ends a server over it.
  test('a job that ends when its database has just gone ends no server; whoever waits for it hears of it', async () => {
    const manager = Object.assign(Object.create(Manager.prototype) as Manager, {
      db: { executeSql: () => Promise.reject(new Error('terminating connection')) },
    });
    void manager.complete('recheck', 'a-job');
    void manager.fail('recheck', 'a-job', new Error('it did not work'));
    await new Promise((resolve) => {
      setTimeout(resolve, 50);
    });
    await expect(manager.complete('recheck', 'a-job')).rejects.toThrow('terminating connection');
  });
});
