import { randomUUID } from 'node:crypto';
import { decide } from '@pause/core';
import type { FindRecord } from '@pause/core/notebook';
import { guide, find as aFind } from '../../../core/test/finds';
import { type RunningServer, startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { type Someone, asking, someone } from '../people';

export let database: Awaited<ReturnType<typeof freshDatabase>>;
export let server: RunningServer;
export let mallory: Someone;
export const { ask, tell } = asking(() => server.url);
export const MINUTE_MS = 60_000;
export const ago = (minutes: number) => new Date(Date.now() - minutes * MINUTE_MS).toISOString();
export const findAt = (startedAt = ago(60)) => {
  const find = randomUUID();
  return {
    find,
    entry: { find, kind: 'finds', body: { id: find, startedAt, kingdom: 'Fungi', person: mallory.id } },
  };
};

export const target = (find: string, at: string, more: object = {}) => ({
  find,
  kind: 'targets',
  body: { id: randomUUID(), at, taxon: 'boletus-edulis' },
  ...more,
});

export const sound = { ...decide(guide, aFind('boletus-edulis', [])), outcome: 'pause' };
export const recordOf = async (find: string) =>
  (await ask(mallory, 'GET', `/finds/${find}`)).body as unknown as FindRecord;

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    database = await freshDatabase('hostile_test');
    server = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
    mallory = await someone(server.url, 'Mallory');
  });

  afterAll(async () => {
    await server.stop();
    await database.close();
  });
}
