/** What waits is sent: in order, once, in parts, and whatever a server does with it. */
import '../guide';
import { passOver, startFind } from '../../src/notebook/actions';
import { add } from '../../src/notebook/add';
import { Refused } from '../../src/notebook/api';
import { loadFind, loadMe } from '../../src/notebook/open';
import { acknowledgeRefusals, openOutbox } from '../../src/notebook/outboxActions';
import { flush } from '../../src/notebook/send';
import { rig } from '../rig';
import { START, started } from '../rig/started';

test('while the server is away answers wait, survive a closed tab, and go when it is back', async () => {
  const it = await started();
  it.server.away = true;
  await it.ridges();
  await it.store.dispatch(passOver(it.id, it.piece, 'latex' as never));
  await it.atRest();
  expect(it.store.getState().outbox).toMatchObject({
    away: true,
    waiting: [{ kind: 'readings' }, { kind: 'skips' }],
  });
  expect(it.find().record?.readings).toHaveLength(1);

  const reopened = it.open();
  await reopened.dispatch(loadMe());
  await reopened.dispatch(openOutbox());
  await it.atRest();
  it.server.away = false;
  await reopened.dispatch(loadFind(it.id));
  expect(reopened.getState().finds[it.id]?.record?.readings).toHaveLength(1);
  await reopened.dispatch(flush());
  expect(it.records.get(it.id)?.readings).toHaveLength(1);
  expect(await it.waiting()).toEqual([]);
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

test('a refused batch is halved until the refused entry is alone; it is put aside, the rest arrives', async () => {
  const it = await started();
  it.server.away = true;
  const first = await it.ridges();
  for (let n = 0; n < 6; n += 1) await it.ridges();
  await it.atRest();
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
  await it.ridges();
  await it.atRest();
  expect(it.store.getState().outbox.refused).toMatchObject([{ reason: 'value.unit: missing' }]);
  expect(it.find().record?.readings).toEqual([]);
  const reopened = it.open();
  await reopened.dispatch(openOutbox());
  expect(reopened.getState().outbox.refused).toMatchObject([{ reason: 'value.unit: missing' }]);
  await it.store.dispatch(acknowledgeRefusals());
  await it.atRest();
  expect(it.store.getState().outbox.refused).toEqual([]);
  expect(it.find().record?.readings).toEqual([]);
});
