/** Batches, what becomes of them and first tastes, told by several people; and finding everything again when something no longer stands. */
import { randomUUID } from 'node:crypto';
import { compileGuide, decide, parseGuide } from '@pause/core';
import { stampOf } from '@pause/core/notebook';
import { shippedGuide } from '@pause/guide';
import { followChecks, guide } from '../../core/test/finds';
import { recallsFor, recheckAll } from '../src/recall';
import { startServer, type RunningServer } from '../src/start';
import { actorOf } from '../src/access';
import { freshDatabase } from './database';
import { asking, someone, type Someone } from './people';

type Json = Record<string, unknown>;
let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let keeper: Someone;
let member: Someone;
let stranger: Someone;
const group = 'pantry-of-karrow';
const NOW = Date.now();
let told = 0;
const at = (second: number) => new Date(NOW - 3_600_000 + second * 1000).toISOString();

const { ask, tell } = asking(() => server.url);
const stamped = (entry: Json) => { told += 1; return { ...entry, stamp: stampOf({ ms: NOW - 3_000_000 + told * 1000, count: 0, device: 'tollar' }) }; };
/** A page with its first fields. */
const page = (who: Someone, kind: string, id: string, fields: Json, inGroup = true): Json[] => [
  { page: id, kind: 'pages', body: { id, at: at(0), by: who.id, kind, ...(inGroup ? { group } : {}) } },
  ...Object.entries(fields).map(([field, value]) => stamped({ page: id, kind: 'fields', body: { id: randomUUID(), at: at(1), by: who.id, of: kind, field, value } })),
];
const field = (who: Someone, id: string, of: string, name: string, value: unknown) => stamped({ page: id, kind: 'fields', body: { id: randomUUID(), at: at(2), by: who.id, of, field: name, value } });
const batch = (from: readonly string[], of = 'batch') => ({ name: 'Dried', from: from.map((id) => ({ of, id })), contents: [{ taxon: 'cantharellus-cibarius', part: 'fruiting-body' }], method: 'dry', on: '2026-09-14' });

/** A find of this person, followed to *collect* and collected. */
async function collect(who: Someone, target: string): Promise<{ find: string; readings: string[] }> {
  const find = randomUUID();
  const followed = followChecks(target);
  const piece = randomUUID();
  const readings = followed.readings.map((one) => ({ ...one, id: randomUUID(), piece, by: who.id }));
  const verdict = decide(guide, followed);
  expect(verdict.outcome).toBe('collect');
  const made = (kind: string, body: Json) => ({ find, kind, body });
  const verdictId = randomUUID();
  const results = await tell(
    who, made('finds', { id: find, startedAt: at(0), kingdom: followed.kingdom, person: who.id }), made('pieces', { id: piece, at: at(0), purpose: 'decide' }), made('targets', { id: randomUUID(), at: at(1), taxon: followed.target }),
    made('contexts', { id: randomUUID(), at: at(2), context: followed.context }), ...readings.map((one) => made('readings', { ...one, at: at(3) })),
    made('verdicts', { id: verdictId, at: at(4), verdict }), made('decisions', { id: randomUUID(), at: at(5), verdict: verdictId, choice: 'collect', by: who.id }),
  );
  expect(new Set(results)).toEqual(new Set(['added']));
  return { find, readings: readings.map(({ id }) => id) };
}
const recalls = async (who: Someone) => ((await ask(who, 'GET', '/recalls')).body.recalls as { cause: { of: string; code: string }; ids: string[] }[]);
async function until<T>(get: () => Promise<T>, right: (value: T) => boolean): Promise<T> {
  for (let attempt = 0; attempt < 200; attempt += 1) {
    const value = await get();
    if (right(value)) return value;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return get();
}

beforeAll(async () => {
  database = await freshDatabase('pantry_test');
  server = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
  [keeper, member, stranger] = [await someone(server.url, 'Keeper Kvist'), await someone(server.url, 'Member Moor'), await someone(server.url, 'Stranger Stan')];
  expect((await ask(keeper, 'POST', '/groups', { id: group, name: 'The pantry' })).status).toBe(201);
  const { code } = (await ask(keeper, 'POST', `/groups/${group}/invitations`, { role: 'member', days: 1 })).body;
  expect((await ask(member, 'POST', '/invitations/accept', { code })).status).toBe(200);
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

test('a batch comes from what is there, never from itself by any way; who tells what stays as it is', async () => {
  const { find } = await collect(keeper, 'cantharellus-cibarius');
  const [harvest, first, second, meal, taste] = Array.from({ length: 5 }, () => randomUUID()) as [string, string, string, string, string];
  expect(new Set(await tell(keeper, ...page(keeper, 'harvest', harvest, { find, taxon: 'cantharellus-cibarius', part: 'fruiting-body', on: '2026-09-14' }), ...page(keeper, 'batch', first, batch([harvest], 'harvest')), ...page(keeper, 'batch', second, batch([first]))))).toEqual(new Set(['added']));
  expect(await tell(keeper, field(keeper, first, 'batch', 'from', [{ of: 'batch', id: first }]))).toEqual(['422 value[0].id']);
  expect(await tell(keeper, field(keeper, first, 'batch', 'from', [{ of: 'harvest', id: harvest }, { of: 'batch', id: second }]))).toEqual(['422 value[1].id']);
  expect(await tell(keeper, field(keeper, first, 'batch', 'from', [{ of: 'harvest', id: randomUUID() }]))).toEqual(['422 value[0].id']);
  expect(await tell(keeper, field(keeper, first, 'batch', 'made', { amount: -3, unit: 'g' }))).toEqual(['422 body.value.amount']);
  expect(await tell(keeper, field(keeper, first, 'batch', 'contents', [{ taxon: 'nothing-known', part: 'leaf' }]))).toEqual(['422 value[0].taxon']);
  // Anybody of the group goes on with a batch; a meal is only told of by who told it first, and a taste never in a group.
  expect(await tell(member, field(member, first, 'batch', 'note', 'Turned once more'))).toEqual(['added']);
  expect(new Set(await tell(keeper, ...page(keeper, 'portion', meal, { what: 'meal', at: at(9), of: [{ of: 'batch', id: first }], who: ['Lune'] })))).toEqual(new Set(['added']));
  expect(await tell(member, field(member, meal, 'portion', 'note', 'mine too'))).toEqual(['422 by']);
  expect((await tell(keeper, ...page(keeper, 'taste', taste, {})))[0]).toBe('422 group');
  expect((await tell(stranger, ...page(stranger, 'batch', randomUUID(), batch([harvest], 'harvest'), false)))[2]).toBe('422 value[0].id');
});

test('a reading taken back puts in question all that was made of the find, for everybody who has some; told again, it is settled', async () => {
  const { find, readings } = await collect(keeper, 'hydnum-repandum');
  const [harvest, jar, own, gift] = Array.from({ length: 4 }, () => randomUUID()) as [string, string, string, string];
  expect(new Set(await tell(keeper, ...page(keeper, 'harvest', harvest, { find, taxon: 'hydnum-repandum', part: 'fruiting-body', on: '2026-09-14' }), ...page(keeper, 'batch', jar, batch([harvest], 'harvest'))))).toEqual(new Set(['added']));
  // A member made something of it in a notebook of their own.
  expect(new Set(await tell(member, ...page(member, 'batch', own, batch([jar]), false), ...page(member, 'portion', gift, { what: 'gift', at: at(9), of: [{ of: 'batch', id: own }], toWhom: 'A neighbour' }, false)))).toEqual(new Set(['added']));
  expect(await recalls(member)).toEqual([]);
  expect(new Set(await tell(keeper, ...readings.slice(0, 4).map((reading) => ({ find, kind: 'withdrawals', body: { id: randomUUID(), at: at(20), reading } }))))).toEqual(new Set(['added']));
  const mine = await until(() => recalls(keeper), (all) => all.length > 0);
  expect(mine).toEqual([{ cause: expect.objectContaining({ code: 'verdict', of: find, because: 'record' }) as unknown, ids: [find, harvest, jar].sort() }]);
  expect((await recalls(member)).map(({ ids }) => ids)).toEqual([[harvest, jar, own, gift].sort()]);
  expect(await recalls(stranger)).toEqual([]);
});

test('a deadly stray puts the basket in question until it is settled as something else', async () => {
  const { find } = await collect(keeper, 'vaccinium-myrtillus');
  const harvest = randomUUID();
  const sorting = (grades: string[]) => ({ pieces: 80, found: [grades.length], now: 0, grades });
  expect(new Set(await tell(keeper, ...page(keeper, 'harvest', harvest, { find, taxon: 'vaccinium-myrtillus', part: 'fruit', on: '2026-09-14', sorting: sorting(['deadly']) })))).toEqual(new Set(['added']));
  const has = (all: { cause: { of: string } }[]) => all.some(({ cause }) => cause.of === harvest);
  expect(has(await until(() => recalls(member), has))).toBe(true);
  expect(await tell(keeper, field(keeper, harvest, 'harvest', 'sorting', sorting(['none'])))).toEqual(['added']);
  expect(has(await until(() => recalls(member), (all) => !has(all)))).toBe(false);
});

test('under a corrected guide every find that was collected is asked again, once, with progress; killed half-way it goes on', async () => {
  const finds = [await collect(keeper, 'cantharellus-cibarius'), await collect(member, 'boletus-edulis')];
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as { taxa: { id: string; scientificName: string; statements: unknown[] }[] };
  raw.taxa.push({ ...raw.taxa.find((taxon) => taxon.id === 'cortinarius-rubellus')!, id: 'cortinarius-nowhere', scientificName: 'Cortinarius nowhere', statements: [] });
  const corrected = compileGuide(parseGuide(raw));
  const seen: number[] = [];
  const asked = await recheckAll(server.db, corrected, ({ done }) => seen.push(done));
  expect(asked).toBeGreaterThanOrEqual(5);
  expect(seen.at(-1)).toBe(asked);
  const { recalls: theirs, run } = await recallsFor(server.db, await actorOf(server.db, keeper.id), corrected.version);
  expect(run).toBeUndefined();
  // No plant is put in question by a new fungus: only fungus against plant rules out alone.
  expect(theirs.find(({ cause }) => cause.of === finds[0]?.find)).toMatchObject({ cause: { code: 'verdict', because: 'guide', grade: 'deadly' } });
  expect((await recallsFor(server.db, await actorOf(server.db, member.id), corrected.version)).recalls.some(({ cause }) => cause.of === finds[1]?.find)).toBe(true);
  // Asked again of the same version, nothing is done twice.
  expect(await recheckAll(server.db, corrected, () => { throw new Error('done already'); })).toBe(asked);
  // As if a server had been killed after the first: the rest is still asked.
  await server.db.updateTable('recall_runs').set({ finished_at: null, done: 1, after: [...finds.map(({ find }) => find)].sort()[0] ?? '' }).where('version', '=', corrected.version).execute();
  expect((await recallsFor(server.db, await actorOf(server.db, keeper.id), corrected.version)).run).toMatchObject({ done: 1 });
  await recheckAll(server.db, corrected);
  expect((await recallsFor(server.db, await actorOf(server.db, keeper.id), corrected.version)).run).toBeUndefined();
});
