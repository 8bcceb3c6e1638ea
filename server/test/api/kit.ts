import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { type Policy, caseOf, decide } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { FindRecord } from '@pause/core/notebook';
import { at as onTheDay, followChecks, guide } from '../../../core/test/finds';
import { APPEND_ONLY } from '../../src/db';
import { type RunningServer, startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { demoCookie } from '../people';

export type Json = Record<string, unknown>;
export let database: Awaited<ReturnType<typeof freshDatabase>>;
export let server: RunningServer;
export const PERSON = 'mirel';
/** Minutes into the morning, all of them before the demo's clock: what is recorded ahead of it is moved. */
export const at = (minute: number) => onTheDay(minute - 180);
let cookie = '';
export async function ask(method: string, path: string, body?: unknown, type = 'application/json') {
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

export const post = (path: string, body: unknown) => ask('POST', path, body);
export async function counts(): Promise<Record<string, number>> {
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

/** A find that is begun: a piece, a target and its whole context. */
export async function begin(target = 'cantharellus-cibarius', kingdom = 'Fungi') {
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

export async function record(find: string): Promise<FindRecord> {
  return FindRecord.parse((await ask('GET', `/finds/${find}`)).body);
}

export function verdictOf(found: FindRecord, policy?: Policy) {
  const raw = caseOf(found, guide, policy);
  if (!raw) throw new Error('it has a target');
  return decide(guide, parseCase(JSON.parse(JSON.stringify(raw)), guide));
}

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    database = await freshDatabase('api_test');
    server = await startServer({ databaseUrl: database.url, port: 0, demo: true, logLevel: 'silent' });
    cookie = await demoCookie(server.url);
  });

  afterAll(async () => {
    await server.stop();
    await database.close();
  });
}
