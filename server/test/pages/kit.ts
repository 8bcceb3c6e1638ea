import { randomUUID } from 'node:crypto';
import { stampOf } from '@pause/core/notebook';
import { type RunningServer, startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { type Someone, asking, someone } from '../people';

export type Json = Record<string, unknown>;
export let database: Awaited<ReturnType<typeof freshDatabase>>;
export let server: RunningServer;
export let keeper: Someone;
export let member: Someone;
export let young: Someone;
export let stranger: Someone;
export const group = 'walkers-of-karrow';
const NOW = Date.now();
export const at = (second: number) => new Date(NOW - 3_600_000 + second * 1000).toISOString();
const stamp = (second: number, device = 'tollar') =>
  stampOf({ ms: NOW - 3_600_000 + second * 1000, count: 0, device });
export const { ask, tell } = asking(() => server.url);
export const begin = (who: Someone, kind: string, inGroup: boolean, id: string = randomUUID()) => ({
  page: id,
  kind: 'pages',
  body: { id, at: at(0), by: who.id, kind, ...(inGroup ? { group } : {}) },
});

export const field = (
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

export const pulled = async (who: Someone, stream: string) =>
  JSON.stringify((await ask(who, 'GET', `/sync/pull?stream=${stream}&most=1000`)).body);

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    database = await freshDatabase('pages_test');
    server = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
    [keeper, member, young, stranger] = [
      await someone(server.url, 'Keeper Kvist'),
      await someone(server.url, 'Member Moor'),
      await someone(server.url, 'Young Yarl'),
      await someone(server.url, 'Stranger Stan'),
    ];
    expect((await ask(keeper, 'POST', '/groups', { id: group, name: 'The Karrow walkers' })).status).toBe(
      201,
    );
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
}
