import { sql } from 'kysely';
import Manager from 'pg-boss/src/manager.js';
import { decide, canonicalJson, GROUP_POLICY } from '@pause/core';
import { type Asked, ask as askCore, ASKED } from '@pause/core/questions';
import { followChecks, guide } from '../../../core/test/finds';
import { APPEND_ONLY } from '../../src/db';
import { startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { database, type Json, post, ask, PERSON, record, verdictOf, counts, setUp } from './kit';

setUp();

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
      sql`update ${sql.table(table)} set ${sql.ref(column)} = ${sql.ref(column)}
        where ${sql.ref(key)} = ${row?.key}`.execute(database.db),
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
