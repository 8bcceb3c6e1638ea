import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import pg from 'pg';
import { parseEntry, type Entry } from '@pause/core/notebook';
import { guide } from '../../../core/test/finds';
import { actorOf } from '../../src/access';
import { scopeOf } from '../../src/notebook/locks';
import { writeTogether } from '../../src/notebook/write';
import { type Someone, someone } from '../people';
import { now, database, findOf, keeper, group, member, tell, ask, server, held, setUp } from './kit';

setUp();

describe('what several tell at the same moment', () => {
  const parsed = (raw: object) => {
    const one = parseEntry(raw);
    if ('problems' in one) throw new Error(JSON.stringify(one.problems));
    return one.entry;
  };
  const target = (find: string, id: string = randomUUID(), taxon = 'boletus-edulis') =>
    parsed({ find, kind: 'targets', body: { id, at: now(), taxon } });
  const together = async (sendings: readonly (readonly [Someone, readonly Entry[]])[]) => {
    const all = await Promise.all(
      sendings.map(async ([who, entries]) => ({
        actor: await actorOf(database.db, who.id),
        entries,
        options: { guide, now: Date.now() },
      })),
    );
    return (await writeTogether(database.db, all, await scopeOf(database.db, all))).map((one) =>
      one?.map((became) =>
        became.status === 'refused' ? became.problem.status : `${became.status} ${became.stream.slice(0, 1)}`,
      ),
    );
  };

  test('is written in one transaction, numbered without gaps, and each is refused or taken by itself', async () => {
    const [shared, own] = [findOf(keeper, randomUUID(), { group }), findOf(member)];
    expect([await tell(keeper, shared), await tell(member, own)]).toEqual([['added'], ['added']]);
    const twice = target(shared.find);
    expect(
      await together([
        [keeper, [target(shared.find), twice]],
        [member, [target(own.find), target(shared.find)]],
        [member, [twice, target(shared.find, twice.body.id, 'hydnum-repandum')]],
        [keeper, [target(own.find)]],
      ]),
    ).toEqual([['added g', 'added g'], ['added p', 'added g'], ['known g', 409], [404]]);
    const { entries } = (await ask(member, 'GET', `/sync/pull?stream=g:${group}&most=1000`)).body as {
      entries: { seq: number }[];
    };
    expect(entries.map(({ seq }) => seq)).toEqual(entries.map((_, n) => n + 1));
    const { rows } = await sql<{
      entries: number;
    }>`select entries from written where of = ${`find ${shared.find}`} order by entries`.execute(database.db);
    expect(rows.map((row) => row.entries)).toEqual([1, 3]);
  });

  test('costs five statements, however much is on record of the finds and however many send', async () => {
    const finds = [findOf(keeper), findOf(member)];
    expect([await tell(keeper, ...finds.slice(0, 1)), await tell(member, ...finds.slice(1))]).toEqual([
      ['added'],
      ['added'],
    ]);
    const piece = randomUUID();
    expect(
      await tell(keeper, {
        find: finds[0]?.find,
        kind: 'pieces',
        body: { id: piece, at: now(), purpose: 'decide' },
      }),
    ).toEqual(['added']);
    const reading = () =>
      parsed({
        find: finds[0]?.find,
        kind: 'readings',
        body: {
          id: randomUUID(),
          piece,
          character: 'cap.shape',
          value: { kind: 'states', states: ['funnel'] },
          sureness: 'sure',
          by: keeper.id,
          at: now(),
        },
      });
    const sendings = await Promise.all(
      (
        [
          [keeper, reading()],
          [member, target(finds[1]?.find ?? '')],
        ] as const
      ).map(async ([who, entry]) => ({
        actor: await actorOf(database.db, who.id),
        entries: [entry],
        options: { guide, now: Date.now() },
      })),
    );
    await scopeOf(database.db, sendings);
    const sent = jest.spyOn(pg.Client.prototype, 'query');
    const written = await writeTogether(database.db, sendings, await scopeOf(database.db, sendings));
    const all = sent.mock.calls.map(([first]: readonly unknown[], index) => ({
      text: (typeof first === 'string' ? first : (first as { text: string }).text).trim(),
      connection: sent.mock.contexts[index] as unknown,
    }));
    // Jobs ask the database over connections of their own at any time.
    const own = all.find(({ text }) => text === 'begin')?.connection;
    const texts = all.filter(({ connection }) => connection === own).map(({ text }) => text);
    sent.mockRestore();
    expect(written).toMatchObject([[{ status: 'added' }], [{ status: 'added' }]]);
    expect(texts.map((text) => text.split(/\s+/)[0])).toEqual(['begin', 'with', 'select', 'with', 'commit']);
  });

  test('waits for nobody: whose notebook is held, or who has left, is written by themselves', async () => {
    const [mine, theirs] = [findOf(keeper), findOf(member)];
    await tell(keeper, mine);
    await tell(member, theirs);
    const leaver = await someone(server.url, 'Leaver');
    const left = findOf(leaver);
    await tell(leaver, left);
    await sql`update people set left_at = now() where id = ${leaver.id}`.execute(database.db);
    const { letGo } = await held(`p:${keeper.id}`);
    expect(
      await together([
        [keeper, [target(mine.find)]],
        [leaver, [target(left.find)]],
        [member, [target(theirs.find)]],
      ]),
    ).toEqual([undefined, undefined, ['added p']]);
    await letGo();
  });
});

describe('a notebook that somebody holds', () => {
  test('holds up nobody who writes into another one, and what waited is taken when it is free', async () => {
    expect(await tell(keeper, findOf(keeper))).toEqual(['added']);
    const { letGo } = await held(`p:${keeper.id}`);
    const waiting = Promise.all(Array.from({ length: 15 }, () => tell(keeper, findOf(keeper))));
    await new Promise((resolve) => {
      setTimeout(resolve, 500);
    });
    // Whoever had to wait for the first notebook would wait for good: it is let go only afterwards.
    expect((await fetch(`${server.url}/api/v1/health`)).status).toBe(200);
    expect(await tell(member, findOf(member))).toEqual(['added']);
    await letGo();
    expect(await waiting).toEqual(Array.from({ length: 15 }, () => ['added']));
  });

  test('for too long is not waited for: nothing is stored, and sent again it is', async () => {
    const find = findOf(keeper);
    const { letGo } = await held(`p:${keeper.id}`);
    expect((await ask(keeper, 'POST', '/sync/push', { entries: [find] })).status).toBe(503);
    await letGo();
    expect(await tell(keeper, find)).toEqual(['added']);
  });
});
