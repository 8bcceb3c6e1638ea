import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { type RunningServer, startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { type Someone, asking, someone } from '../people';

export let database: Awaited<ReturnType<typeof freshDatabase>>;
export let server: RunningServer;
export let keeper: Someone;
export let member: Someone;
export const group = 'walkers-of-karrow';
export const { ask, tell } = asking(() => server.url);
export const now = () => new Date().toISOString();
export const findOf = (who: Someone, id: string = randomUUID(), more: object = {}) => ({
  find: id,
  kind: 'finds',
  body: { id, startedAt: now(), kingdom: 'Fungi', person: who.id, ...more },
});

export const invite = async (who = keeper) =>
  (await ask(who, 'POST', `/groups/${group}/invitations`, { role: 'member', days: 1 })).body.code as string;
export const accept = (who: Someone, code: string) => ask(who, 'POST', '/invitations/accept', { code });
export async function join(who: Someone) {
  expect((await accept(who, await invite())).status).toBe(200);
}

/** A notebook that somebody else holds, over a connection of their own. */
export async function held(stream: string): Promise<{ readonly letGo: () => Promise<void> }> {
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  await client.query('begin');
  await client.query('select * from streams where id = $1 for update', [stream]);
  return {
    letGo: async () => {
      await client.query('commit');
      await client.end();
    },
  };
}

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    database = await freshDatabase('crowd_test');
    server = await startServer({
      databaseUrl: database.url,
      port: 0,
      demo: false,
      logLevel: 'silent',
      proxies: 1,
    });
    [keeper, member] = [await someone(server.url, 'Kelda'), await someone(server.url, 'Merle')];
    expect((await ask(keeper, 'POST', '/groups', { id: group, name: 'The Karrow walkers' })).status).toBe(
      201,
    );
    await join(member);
  });

  afterAll(async () => {
    await server.stop();
    await database.close();
  });
}
