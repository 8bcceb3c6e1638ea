import './guide';
import { Blob as WholeBlob } from 'node:buffer';
import { type Entry } from '@pause/core';
import { FindRecord } from '@pause/core/notebook';
import { dropPicture, keepPicture } from '../src/components/photos/actions';
import { passOver, read, recordDecision, startFind, takeBack, changeContext } from '../src/notebook/actions';
import { add } from '../src/notebook/add';
import { Refused } from '../src/notebook/api';
import { loadPictures } from '../src/notebook/loadPictures';
import { loadFind, loadList, loadMe } from '../src/notebook/open';
import { acknowledgeRefusals, openOutbox } from '../src/notebook/outboxActions';
import type { Picture } from '../src/notebook/pictures';
import { flush, sendPictures } from '../src/notebook/send';
import { syncAll } from '../src/notebook/sync';
import { deleteAccount, signOut } from '../src/screens/people/account';
import { rig } from './rig';

const settle = () => new Promise((resolve) => setTimeout(resolve, 20));
const START = {
  kingdom: 'Fungi',
  bodyPlan: 'cantharelloid',
  target: 'cantharellus-cibarius',
  context: {},
} as unknown as Parameters<typeof startFind>[0];

async function started() {
  const it = rig();
  await it.store.dispatch(loadMe());
  const id = (await it.store.dispatch(startFind(START)))!;
  await settle();
  const piece = it.store.getState().finds[id]!.record!.pieces[0]!.id;
  const ridges = () =>
    it.store.dispatch(
      read(id, {
        piece,
        character: 'hymenophore' as never,
        value: { kind: 'states', states: ['ridges' as never] },
        sureness: 'sure',
      }),
    );
  return { ...it, id, piece, ridges, find: () => it.store.getState().finds[id]! };
}

test('a find is begun, judged and sent in order, by the clock of the demo', async () => {
  const { sent, find, kept } = await started();
  expect(sent.map((e) => e.kind)).toEqual(['finds', 'pieces', 'targets', 'contexts']);
  expect(find().record?.startedAt).toMatch(/^2026-09-14T07:40/);
  expect(find().evaluation?.verdict.outcome).toBe('pause');
  expect(find().evaluation?.checks.length).toBeGreaterThan(5);
  expect(kept.size).toBe(0);
});

test('an answer is judged at once; taken back, its bar is gone', async () => {
  const { store, id, ridges, find } = await started();
  const bars = () =>
    find().evaluation?.verdict.rows.find((r) => r.taxon === 'cortinarius-rubellus')?.bars.length;
  expect(bars()).toBe(0);
  const reading = (await ridges())!;
  await settle();
  expect(bars()).toBe(1);
  void store.dispatch(takeBack(id, reading));
  await settle();
  expect(bars()).toBe(0);
  expect(find().evaluation?.checks[0]).toMatchObject({ character: 'hymenophore', why: 'taken-back' });
});

test('every instant is later than the one before', async () => {
  const { sent, ridges } = await started();
  void ridges();
  void ridges();
  await settle();
  const instants = sent.map((e) => (e.kind === 'finds' ? e.body.startedAt : e.body.at));
  expect([...new Set(instants)].sort()).toEqual(instants);
});

test('while the server is away answers wait, survive a closed tab, and go when it is back', async () => {
  const it = await started();
  it.server.away = true;
  void it.ridges();
  void it.store.dispatch(passOver(it.id, it.piece, 'latex' as never));
  await settle();
  expect(it.store.getState().outbox).toMatchObject({
    away: true,
    waiting: [{ kind: 'readings' }, { kind: 'skips' }],
  });
  expect(it.find().record?.readings).toHaveLength(1);

  const reopened = it.open();
  await reopened.dispatch(loadMe());
  await reopened.dispatch(openOutbox());
  await settle();
  it.server.away = false;
  await reopened.dispatch(loadFind(it.id));
  expect(reopened.getState().finds[it.id]?.record?.readings).toHaveLength(1);
  await reopened.dispatch(flush());
  expect(it.records.get(it.id)?.readings).toHaveLength(1);
  expect(it.kept.size).toBe(0);
});

test('a find that never reached the server is rebuilt from what waits', async () => {
  const it = rig();
  await it.store.dispatch(loadMe());
  it.server.away = true;
  const id = (await it.store.dispatch(startFind(START)))!;
  const reopened = it.open();
  await reopened.dispatch(openOutbox());
  await reopened.dispatch(loadMe());
  await reopened.dispatch(loadFind(id));
  expect(reopened.getState().finds[id]).toMatchObject({
    status: 'ready',
    record: { targets: [{ taxon: 'cantharellus-cibarius' }] },
  });
  it.server.away = false;
  await it.store.dispatch(flush());
  await reopened.dispatch(flush());
});

test('what a server refuses whole is sent in halves, until what it refuses is alone; that is put aside, and the rest arrives', async () => {
  const it = await started();
  it.server.away = true;
  const first = await it.ridges();
  for (let n = 0; n < 6; n += 1) await it.ridges();
  await settle();
  const { waiting } = it.store.getState().outbox;
  const culprit = waiting[4]?.body.id;
  const pushes: number[] = [];
  it.server.refuseWhole = (entries) => {
    pushes.push(entries.length);
    return entries.some(({ body }) => body.id === culprit)
      ? new Refused(413, 'too-large', 'body: too large')
      : undefined;
  };
  it.server.away = false;
  await it.store.dispatch(flush());
  expect(first).toBeDefined();
  expect(it.store.getState().outbox.waiting).toEqual([]);
  expect(it.store.getState().outbox.refused).toMatchObject([
    { entry: { body: { id: culprit } }, reason: 'It is too large to be sent: one megabyte at most.' },
  ]);
  expect(it.sent.map(({ body }) => body.id)).toEqual(
    expect.arrayContaining(waiting.map(({ body }) => body.id).filter((id) => id !== culprit)),
  );
  expect(pushes[0]).toBe(waiting.length);
});

test('what is large is sent in several goes, and half a character is not sent at all', async () => {
  const it = await started();
  const sizes: number[] = [];
  it.server.refuseWhole = (entries) => {
    sizes.push(JSON.stringify(entries).length);
    return undefined;
  };
  it.server.away = true;
  for (let n = 0; n < 4; n += 1)
    await it.store.dispatch(
      add({
        find: it.id,
        kind: 'edits',
        body: {
          id: `edit-number-${n}`,
          at: it.server.now,
          by: 'mirel',
          field: 'note',
          value: 'x'.repeat(250_000),
        },
      } as never),
    );
  await it.store.dispatch(
    add({
      find: it.id,
      kind: 'edits',
      body: {
        id: 'edit-cut-off',
        at: it.server.now,
        by: 'mirel',
        field: 'note',
        value: `Under beech ${'🍄'.slice(0, 1)}`,
      },
    } as never),
  );
  it.server.away = false;
  await it.store.dispatch(flush());
  expect(it.store.getState().outbox.waiting).toEqual([]);
  expect(Math.max(...sizes)).toBeLessThan(1_000_000);
  expect(sizes.length).toBeGreaterThan(1);
  expect(it.sent.at(-1)?.body).toMatchObject({ value: 'Under beech ' });
});

test('what the server refuses is said with its reason, and the record is shown as the server has it', async () => {
  const it = await started();
  it.server.refuse = 'readings';
  void it.ridges();
  await settle();
  expect(it.store.getState().outbox.refused).toMatchObject([{ reason: 'value.unit: missing' }]);
  expect(it.find().record?.readings).toEqual([]);
  const reopened = it.open();
  await reopened.dispatch(openOutbox());
  expect(reopened.getState().outbox.refused).toMatchObject([{ reason: 'value.unit: missing' }]);
  await it.store.dispatch(acknowledgeRefusals());
  await settle();
  expect(it.store.getState().outbox.refused).toEqual([]);
  expect(it.find().record?.readings).toEqual([]);
});

test('a find that is nowhere is missing; one that cannot be fetched has failed', async () => {
  const it = rig();
  await it.store.dispatch(loadMe());
  await it.store.dispatch(loadFind('nowhere'));
  expect(it.store.getState().finds.nowhere?.status).toBe('missing');
  it.server.away = true;
  await it.store.dispatch(loadFind('somewhere'));
  expect(it.store.getState().finds.somewhere).toMatchObject({
    status: 'failed',
    error: 'It is not on this device, and the server does not answer.',
  });
});

test('a decision goes with the verdict that it was made on', async () => {
  const it = await started();
  void it.store.dispatch(recordDecision(it.id, it.find().evaluation!.verdict, 'later'));
  await settle();
  const record = FindRecord.parse(it.records.get(it.id));
  expect(record.decisions[0]?.verdict).toBe(record.verdicts[0]?.id);
  expect(record.verdicts[0]?.verdict).toEqual(it.find().evaluation!.verdict);
});

test('changes of a context in quick succession are all kept, and one withdrawn stays withdrawn', async () => {
  const it = await started();
  const change = (...args: Parameters<typeof changeContext> extends [string, ...infer Rest] ? Rest : never) =>
    it.store.dispatch(changeContext(it.id, ...args));
  const context = () => it.find().record!.context;
  await Promise.all([change({ condition: 'fresh' }), change({ permission: 'allowed' })]);
  expect(context()).toMatchObject({ condition: 'fresh', permission: 'allowed' });
  await Promise.all([
    change(({ gear = [] }) => ({ gear: [...gear, 'knife'] })),
    change(({ gear = [] }) => ({ gear: [...gear, 'lens'] })),
  ]);
  expect(context().gear).toEqual(['knife', 'lens']);
  await change({ condition: undefined });
  expect(context()).toMatchObject({ permission: 'allowed' });
  expect(context()).not.toHaveProperty('condition');
});

test('a change that comes late undoes nothing that was answered meanwhile', async () => {
  const it = await started();
  await it.store.dispatch(changeContext(it.id, { condition: 'wilted', cannotSmell: false }));
  const screen = it.find().record!;
  await it.store.dispatch(changeContext(it.id, { condition: 'fresh' }));
  await it.store.dispatch(changeContext(screen.id, { cannotSmell: true }));
  expect(it.find().record!.context).toMatchObject({ condition: 'fresh', cannotSmell: true });
});

describe('what others told', () => {
  const other = (it: Awaited<ReturnType<typeof started>>, kind: string, second: number, body: object) =>
    it.server.told({
      find: it.id,
      kind,
      body: {
        id: `other-${second}`,
        at: new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString(),
        ...body,
      },
      stamp: new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString() + '-0000-tollar',
    } as unknown as Entry);

  test('is fetched, shown and judged, in an open find and in the log', async () => {
    const it = await started();
    await it.store.dispatch(loadList());
    other(it, 'readings', 1, {
      piece: it.piece,
      character: 'hymenophore',
      value: { kind: 'states', states: ['ridges'] },
      sureness: 'sure',
      by: 'jorun',
    });
    await it.store.dispatch(syncAll());
    await settle();
    expect(it.find().record?.readings.map((r) => r.by)).toEqual(['jorun']);
    expect(
      it.find().evaluation?.verdict.rows.find((r) => r.taxon === 'cortinarius-rubellus')?.bars,
    ).toHaveLength(1);
    expect(it.store.getState().list.items[0]?.readings).toBe(1);
  });

  test('of two devices that were apart, each keeps what the other told beside its own', async () => {
    const it = await started();
    it.server.away = true;
    await it.store.dispatch(changeContext(it.id, { condition: 'fresh' }));
    other(it, 'contexts', 2, { context: { part: 'fruiting-body' }, changed: ['part'] });
    it.server.away = false;
    await it.store.dispatch(syncAll());
    expect(it.find().record?.context).toMatchObject({ condition: 'fresh', part: 'fruiting-body' });
    expect(it.records.get(it.id)?.context).toEqual(it.find().record?.context);
  });

  test('with a newer application is said, and what came before it is here', async () => {
    const it = await started();
    other(it, 'skips', 3, { piece: it.piece, character: 'latex' });
    it.server.newerFrom = it.stream.length + 1;
    other(it, 'skips', 4, { piece: it.piece, character: 'smell' });
    await it.store.dispatch(syncAll());
    expect(it.find().record?.skips.map((s) => s.character)).toEqual(['latex']);
    expect(it.store.getState().outbox.newerVersion).toBe(true);
    it.server.newerFrom = undefined;
    await it.store.dispatch(syncAll());
    expect(it.find().record?.skips).toHaveLength(2);
    expect(it.store.getState().outbox.newerVersion).toBe(false);
  });

  test('that this device has no room for is said, and fetched when there is room', async () => {
    const it = await started();
    other(it, 'skips', 3, { piece: it.piece, character: 'latex' });
    it.storage.full = true;
    await it.store.dispatch(syncAll());
    expect(it.store.getState().outbox.notTaken).toBe('This device’s storage is full.');
    it.storage.full = false;
    await it.store.dispatch(syncAll());
    expect(it.find().record?.skips).toHaveLength(1);
    expect(it.store.getState().outbox.notTaken).toBeUndefined();
  });
});

describe('photos and sketches', () => {
  // The browser's own; this one cannot be read.
  const blob = (parts: (string | Uint8Array)[], type: string) =>
    new WholeBlob(parts, { type }) as unknown as Blob;
  const photo = (size: number) => blob([new Uint8Array(size).map((_, n) => n % 251)], 'image/jpeg');

  test('are kept, put on record, sent in parts, and go on where the connection broke off', async () => {
    const it = await started();
    it.server.partsLeft = 1;
    await it.store.dispatch(keepPicture({ find: it.id, kind: 'photo', image: photo(300_000) }));
    const [told] = it.records.get(it.id)!.pictures;
    for (let n = 0; n < 50 && !it.server.away; n += 1) await settle();
    expect(told).toMatchObject({
      picture: 'photo',
      type: 'image/jpeg',
      size: 300_000,
      content: expect.stringMatching(/^[0-9a-f]{64}$/) as string,
    });
    expect(it.bytes.get(told!.id)).toHaveLength(131_072);
    it.server.partsLeft = Infinity;
    it.server.away = false;
    await it.store.dispatch(sendPictures());
    expect(it.bytes.get(told!.id)).toHaveLength(300_000);
    expect(it.parts.map(([, from]) => from)).toEqual([0, 131_072, 262_144]);
    expect(it.pictures.get(told!.id)).toMatchObject({ sent: true });
    expect(it.store.getState().outbox.pictures).toBeUndefined();
    // All of it has gone: nothing is sent again.
    await it.store.dispatch(sendPictures());
    expect(it.parts).toHaveLength(3);
  });

  test('of others come when they are wanted, and stay; one on its way is left for another time', async () => {
    const it = await started();
    const tell = (id: string) =>
      it.server.told({
        find: it.id,
        kind: 'pictures',
        body: {
          id,
          at: '2026-09-14T08:00:01.000Z',
          by: 'jorun',
          picture: 'photo',
          type: 'image/jpeg',
          size: 3,
          content: 'a'.repeat(64),
        },
      } as unknown as Entry);
    tell('picture-here');
    tell('picture-coming');
    it.bytes.set('picture-here', [1, 2, 3]);
    await it.store.dispatch(syncAll());
    const shown: string[][] = [];
    await it.store.dispatch(
      loadPictures(it.id, (all) => {
        shown.push(all.map((p) => p.id));
      }),
    );
    expect(shown).toEqual([[], ['picture-here']]);
    it.server.away = true;
    await it.store.dispatch(
      loadPictures(it.id, (all) => {
        shown.push(all.map((p) => p.id));
      }),
    );
    expect(shown.at(-1)).toEqual(['picture-here']);
  });

  test('taken out again are gone here and on record', async () => {
    const it = await started();
    await it.store.dispatch(
      keepPicture({ find: it.id, kind: 'sketch', image: blob(['<svg/>'], 'image/svg+xml') }),
    );
    await settle();
    const [picture] = [...it.pictures.values()];
    await it.store.dispatch(dropPicture(picture!));
    await settle();
    expect(it.pictures.size).toBe(0);
    expect(it.records.get(it.id)?.drops.map((d) => d.picture)).toEqual([picture!.id]);
    const shown: number[] = [];
    await it.store.dispatch(
      loadPictures(it.id, (all) => {
        shown.push(all.length);
      }),
    );
    expect(shown).toEqual([0]);
  });

  test('that the device does not take are not told of', async () => {
    const it = await started();
    it.storage.full = true;
    await expect(
      it.store.dispatch(keepPicture({ find: it.id, kind: 'photo', image: photo(10) })),
    ).rejects.toThrow();
    expect([it.pictures.size, it.find().record?.pictures]).toEqual([0, []]);
  });
});

test('a device that was wiped fetches the whole notebook again, says how far it is, and is usable meanwhile', async () => {
  const it = await started();
  for (let n = 0; n < 330; n += 1)
    it.server.told({
      find: it.id,
      kind: 'skips',
      body: {
        id: `skip-of-old-${n}`,
        at: new Date(Date.UTC(2026, 8, 14, 8, 0, n % 60, n)).toISOString(),
        piece: it.piece,
        character: `character-${n}`,
      },
    } as unknown as Entry);
  it.kept.clear();
  it.here.clear();
  it.own.taken = 0;
  delete it.own.person;
  const wiped = it.open();
  const said: string[] = [];
  wiped.subscribe(() => {
    const { fetching } = wiped.getState().outbox;
    if (fetching) said.push(`${fetching.here} of ${fetching.all}`);
  });
  const fetching = wiped.dispatch(loadMe());
  const other = await wiped.dispatch(startFind(START));
  expect(other).toBeDefined();
  await fetching;
  await wiped.dispatch(loadList());
  // What was begun meanwhile has been sent, and counts too.
  expect(said).toEqual(expect.arrayContaining(['0 of 334', '100 of 338', '300 of 338']));
  expect(wiped.getState().outbox.fetching).toBeUndefined();
  await wiped.dispatch(loadFind(it.id));
  expect(wiped.getState().finds[it.id]?.record?.skips).toHaveLength(330);
  expect(
    wiped
      .getState()
      .list.items.map((line) => line.id)
      .sort(),
  ).toEqual([it.id, other].sort());
});

describe('whose it is', () => {
  test('without an account everything works and stays here; joined to one, it becomes its own and goes', async () => {
    const it = rig();
    it.server.signedIn = false;
    it.server.demo = false;
    await it.store.dispatch(loadMe());
    const before = it.store.getState().me.person!;
    expect(before).toMatchObject({ account: false, name: '' });
    const id = (await it.store.dispatch(startFind(START)))!;
    const piece = it.store.getState().finds[id]!.record!.pieces[0]!.id;
    await it.store.dispatch(
      read(id, { piece, character: 'hymenophore' as never, value: { kind: 'cant-tell' }, sureness: 'sure' }),
    );
    await it.store.dispatch(loadList());
    expect([it.sent.length, it.store.getState().list.items.length, it.store.getState().outbox.away]).toEqual([
      0,
      1,
      false,
    ]);
    it.server.signedIn = true;
    await it.store.dispatch(syncAll());
    await settle();
    expect(it.store.getState().me.person).toMatchObject({ id: 'mirel', account: true });
    expect([it.kept.size, it.records.get(id)?.person, it.records.get(id)?.readings[0]?.by]).toEqual([
      0,
      'mirel',
      'mirel',
    ]);
    expect(it.store.getState().finds[id]?.record?.readings[0]?.by).toBe('mirel');
    expect(JSON.stringify(it.records.get(id))).not.toContain(before.id);
  });

  test('what is told while it becomes an account’s, or before anybody knows whose notebook it is, is the account’s and is not refused', async () => {
    for (const moment of ['before', 'meanwhile', 'during'] as const) {
      const it = rig();
      const told: Promise<string | undefined>[] = [];
      const tell = () => {
        told.push(it.store.dispatch(startFind(START)));
      };
      if (moment === 'before') tell();
      await settle();
      if (moment === 'meanwhile') it.server.meanwhile = tell;
      if (moment === 'during') it.beforeAnswer.push(tell);
      await it.store.dispatch(loadMe());
      const [id] = await Promise.all(told);
      await settle();
      const { refused, waiting } = it.store.getState().outbox;
      expect([moment, refused, waiting.length, it.kept.size]).toEqual([moment, [], 0, 0]);
      expect(it.records.get(id!)).toMatchObject({ person: 'mirel', targets: [{ taxon: START.target }] });
      expect(it.store.getState().finds[id!]?.record).toMatchObject({ person: 'mirel' });
    }
  });

  test('what another window told keeps a device from being emptied', async () => {
    const it = await started();
    const other = it.open();
    await other.dispatch(openOutbox());
    await other.dispatch(loadMe());
    it.server.away = true;
    await it.ridges();
    it.server.away = false;
    expect(await other.dispatch(signOut())).toMatchObject({
      ok: false,
      title: 'One entry waits to be sent. Sign out when they have gone.',
    });
    it.server.who = 'jorun';
    await other.dispatch(syncAll());
    expect([it.kept.size, other.getState().me.person?.id]).toEqual([1, 'mirel']);
  });

  test.each([
    ['signed out', () => signOut(), 'POST /auth/sign-out'],
    ['with the account gone', () => deleteAccount('Mirel Aschkar'), 'DELETE /me'],
  ] as const)(
    '%s nothing is left on the device, pictures too, and other windows hear of it',
    async (_, leave, wanted) => {
      const it = await started();
      it.pictures.set('q1', { id: 'q1', find: it.id, told: true, sent: true } as unknown as Picture);
      const begin = jest.spyOn(console, 'error').mockImplementation(() => undefined);
      expect(await it.store.dispatch(leave())).toEqual({ ok: true });
      begin.mockRestore();
      expect([it.asked, it.here.size, it.pictures.size, it.own.person, it.emptied]).toEqual([
        [wanted],
        0,
        0,
        undefined,
        [true],
      ]);
    },
  );

  test('what another window tells in the moment of signing out stays, and waits for its account', async () => {
    const it = await started();
    const other = it.open();
    await other.dispatch(openOutbox());
    await other.dispatch(loadMe());
    it.server.meanwhile = () => {
      Object.assign(it.server, { meanwhile: undefined, signedIn: false });
      void it.ridges();
    };
    expect(await other.dispatch(signOut())).toMatchObject({
      ok: false,
      title: expect.stringContaining('it stays on this device') as string,
    });
    expect([it.kept.size, it.here.size, it.emptied, other.getState().me.signedOut]).toEqual([1, 1, [], true]);
    it.server.signedIn = true;
    await it.store.dispatch(syncAll());
    await settle();
    expect([it.kept.size, it.records.get(it.id)?.readings.length]).toEqual([0, 1]);
  });

  test('another account on the device: what the one before had here is gone, and its other windows hear of it', async () => {
    const it = await started();
    it.server.who = 'jorun';
    await it.store.dispatch(syncAll());
    expect([it.store.getState().me.person?.id, it.here.size, it.emptied]).toEqual(['jorun', 1, [true]]);
  });

  test('signed out meanwhile, what is told waits, and is told of', async () => {
    const it = await started();
    it.server.signedIn = false;
    await it.ridges();
    await settle();
    expect(it.store.getState().me.signedOut).toBe(true);
    expect(it.store.getState().outbox.waiting).toHaveLength(1);
    it.server.signedIn = true;
    await it.store.dispatch(syncAll());
    expect([it.store.getState().me.signedOut, it.kept.size]).toEqual([undefined, 0]);
  });

  test('another account does not get what still waits of this one, and else finds an empty device', async () => {
    const it = await started();
    it.server.away = true;
    await it.ridges();
    it.server.away = false;
    it.server.who = 'jorun';
    await it.store.dispatch(syncAll());
    expect(it.store.getState().me).toMatchObject({ signedOut: true, person: { id: 'mirel' } });
    expect(it.kept.size).toBe(1);
    it.server.who = 'mirel';
    await it.store.dispatch(syncAll());
    it.server.who = 'jorun';
    it.stream.length = 0;
    await it.store.dispatch(syncAll());
    expect([it.store.getState().me.person?.id, it.here.size]).toEqual(['jorun', 0]);
  });
});

describe('time', () => {
  test('a clock that is a day ahead is said, and the notebook’s time is reckoned with', async () => {
    const it = rig();
    it.server.demo = false;
    it.server.now = '2029-12-31T00:00:00.000Z';
    await it.store.dispatch(loadMe());
    expect(it.store.getState().outbox.clockOff).toBe(1440);
    it.server.now = '2030-01-01T00:01:00.000Z';
    await it.store.dispatch(syncAll());
    expect(it.store.getState().outbox.clockOff).toBe(0);
  });

  test('what this device tells is later than what it heard of, though its clock is behind', async () => {
    const it = await started();
    it.own.last = '2026-09-14T08:10:00.000Z-0000-tollar' as never;
    await it.ridges();
    expect(it.sent.at(-1)?.stamp).toBe('2026-09-14T08:10:00.000Z-0001-karrow');
    // A stamp that lies years ahead is none to go on from.
    it.own.last = '2031-01-01T00:00:00.000Z-0000-tollar' as never;
    await it.ridges();
    expect(it.sent.at(-1)?.stamp).toMatch(/^2026-09-14T0/);
  });

  test('where this device’s clock is behind, what is told has the notebook’s time', async () => {
    const it = rig();
    it.server.demo = false;
    it.server.now = '2030-01-03T00:00:00.000Z';
    await it.store.dispatch(loadMe());
    expect(it.store.getState().outbox.clockOff).toBe(-2880);
    await it.store.dispatch(startFind(START));
    expect(it.sent[0]?.body).toMatchObject({
      startedAt: expect.stringMatching(/^2030-01-03T00:00/) as string,
    });
  });

  test('a newer guide at the server is said', async () => {
    const it = rig();
    it.server.guideVersion = 'f'.repeat(64);
    await it.store.dispatch(loadMe());
    expect(it.store.getState().outbox.otherGuide).toBe(true);
  });
});
