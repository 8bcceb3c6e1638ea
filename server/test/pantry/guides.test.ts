import { randomUUID } from 'node:crypto';
import { compileGuide } from '@pause/core';
import { parseGuide } from '@pause/core/guide/parse';
import { shippedGuide } from '@pause/guide';
import { guide, followChecks } from '../../../core/test/finds';
import { actorOf } from '../../src/access';
import { keepGuide } from '../../src/notebook';
import { recheckAll, recallsFor, recheckAfterEntries } from '../../src/recall';
import { collect, keeper, member, askedHere, server, tell, at, idle, setUp } from './kit';

setUp();

test('a corrected guide rechecks every collected find once, with progress; killed half-way it goes on', async () => {
  const finds = [await collect(keeper, 'cantharellus-cibarius'), await collect(member, 'boletus-edulis')];
  await askedHere(finds.map((one) => one.find));
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; scientificName: string; statements: unknown[] }[];
  };
  raw.taxa.push({
    ...raw.taxa.find((taxon) => taxon.id === 'cortinarius-rubellus')!,
    id: 'cortinarius-nowhere',
    scientificName: 'Cortinarius nowhere',
    statements: [],
  });
  const corrected = compileGuide(parseGuide(raw));
  const seen: number[] = [];
  const asked = await recheckAll(server.db, corrected, ({ done }) => seen.push(done));
  expect(asked).toBeGreaterThanOrEqual(finds.length);
  expect(seen.at(-1)).toBe(asked);
  const { recalls: theirs, run } = await recallsFor(
    server.db,
    await actorOf(server.db, keeper.id),
    corrected.version,
  );
  expect(run).toBeUndefined();
  // No plant is put in question by a new fungus: only fungus against plant rules out alone.
  expect(theirs.find(({ cause }) => cause.of === finds[0]?.find)).toMatchObject({
    cause: { code: 'verdict', because: 'guide', grade: 'deadly' },
  });
  expect(
    (await recallsFor(server.db, await actorOf(server.db, member.id), corrected.version)).recalls.some(
      ({ cause }) => cause.of === finds[1]?.find,
    ),
  ).toBe(true);
  // Asked again of the same version, nothing is done twice.
  expect(
    await recheckAll(server.db, corrected, () => {
      throw new Error('done already');
    }),
  ).toBe(asked);
  // As if a server had been killed half-way: only the rest is asked.
  const runNow = () => recallsFor(server.db, actor, corrected.version).then((answer) => answer.run);
  const actor = await actorOf(server.db, keeper.id);
  await server.db
    .updateTable('recall_asked')
    .set({ version: guide.version })
    .where('find_id', '=', finds[0]?.find ?? '')
    .execute();
  await server.db
    .updateTable('recall_runs')
    .set({ finished_at: null, done: asked - 1 })
    .where('version', '=', corrected.version)
    .execute();
  expect(await runNow()).toEqual({ done: asked - 1, total: asked });
  const again: number[] = [];
  await recheckAll(server.db, corrected, ({ done }) => again.push(done));
  expect(again).toEqual([asked]);
  expect(await runNow()).toBeUndefined();
});

/** The guide, in which one fungus is known to show also what was looked at in this find. */
function varied(taxon: string, readings: ReturnType<typeof followChecks>['readings']) {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; statements: { character: string; usual?: string[]; occasional?: string[] }[] }[];
  };
  const statements = raw.taxa.find(({ id }) => id === taxon)?.statements ?? [];
  for (const { character, value } of readings) {
    const one = statements.find((statement) => statement.character === character);
    if (one?.usual && value.kind === 'states')
      one.occasional = value.states.filter((state) => !one.usual?.includes(state));
  }
  return compileGuide(parseGuide(raw));
}

test('what a correction cannot touch is not asked again, and nothing is missed by that', async () => {
  const finds = [
    await collect(keeper, 'cantharellus-cibarius'),
    await collect(keeper, 'vaccinium-myrtillus'),
  ].map(({ find }) => find);
  await askedHere(finds);
  await recheckAll(server.db, guide);
  // Whoever is asked again loses this; whoever is passed over keeps it.
  const marked = { code: 'decision', of: finds[1] ?? '', grade: 'none' } as const;
  const { stream } = await server.db
    .selectFrom('finds')
    .select('stream')
    .where('id', '=', finds[1] ?? '')
    .executeTakeFirstOrThrow();
  await server.db
    .insertInto('recalls')
    .values({ of: marked.of, stream, cause: JSON.stringify(marked) })
    .execute();
  const corrected = varied('omphalotus-olearius', followChecks('cantharellus-cibarius').readings);
  await recheckAll(server.db, corrected);
  const currentRecalls = async () =>
    await server.db
      .selectFrom('recalls')
      .select(['of', 'cause'])
      .where('of', 'in', finds)
      .orderBy('of')
      .execute();
  expect(await currentRecalls()).toEqual(
    [
      { of: finds[0], cause: expect.objectContaining({ because: 'guide', grade: 'deadly' }) as unknown },
      { of: finds[1], cause: marked },
    ].sort((a, b) => ((a.of ?? '') < (b.of ?? '') ? -1 : 1)),
  );
  await server.db.deleteFrom('recalls').where('of', '=', marked.of).execute();
  // Everything asked anew comes to the same.
  const quick = await server.db
    .selectFrom('recalls')
    .select(['of', 'cause'])
    .where('of', 'not in', (of) => of.selectFrom('pages').select('id'))
    .orderBy('of')
    .execute();
  await server.db.updateTable('recall_asked').set({ version: '' }).execute();
  await recheckAll(server.db, corrected);
  expect(
    await server.db
      .selectFrom('recalls')
      .select(['of', 'cause'])
      .where('of', 'not in', (of) => of.selectFrom('pages').select('id'))
      .orderBy('of')
      .execute(),
  ).toEqual(quick);
});

test('sent again to a server with an older guide, a find is asked of the newer one that called it back', async () => {
  const { find, readings } = await collect(keeper, 'cantharellus-cibarius');
  await askedHere([find]);
  const corrected = varied('omphalotus-olearius', followChecks('cantharellus-cibarius').readings);
  await keepGuide(server.db, corrected);
  await recheckAll(server.db, corrected);
  const cause = async () =>
    (await server.db.selectFrom('recalls').select('cause').where('of', '=', find).executeTakeFirst())?.cause;
  expect(await cause()).toMatchObject({ because: 'guide' });
  // Nothing of it speaks to the older guide: there it would stand.
  await recheckAfterEntries(server.db, guide, [find]);
  expect(await cause()).toMatchObject({ because: 'guide' });
  expect(
    await tell(keeper, {
      find,
      kind: 'withdrawals',
      body: { id: randomUUID(), at: at(30), reading: readings[0] },
    }),
  ).toEqual(['added']);
  await recheckAfterEntries(server.db, guide, [find]);
  expect(await cause()).toMatchObject({ because: 'record' });
  // Put back to the older one on purpose, that one is asked; once nothing that was recorded before is still being
  // asked of the other.
  await idle();
  await recheckAll(server.db, guide);
  expect(
    (
      await server.db
        .selectFrom('recall_asked')
        .select('version')
        .where('find_id', '=', find)
        .executeTakeFirstOrThrow()
    ).version,
  ).toBe(guide.version);
});
