/** Finds and answers as the store records, shows and judges them. */
import '../guide';
import { FindRecord } from '@pause/core/notebook';
import { changeContext, takeBack } from '../../src/notebook/actions';
import { leaveUnnamed, recordDecision } from '../../src/notebook/decisions';
import { loadMe, loadFind } from '../../src/notebook/open';
import { rig } from '../rig';
import { started } from '../rig/started';

test('a find is begun, judged and sent in order, by the clock of the demo', async () => {
  const { sent, find, waiting } = await started();
  expect(sent.map((e) => e.kind)).toEqual(['finds', 'pieces', 'targets', 'contexts']);
  expect(find().record?.startedAt).toMatch(/^2026-09-14T07:40/);
  expect(find().evaluation?.verdict.outcome).toBe('pause');
  expect(find().evaluation?.checks.length).toBeGreaterThan(5);
  expect(await waiting()).toEqual([]);
});

test('an answer is judged at once; taken back, its bar is gone', async () => {
  const { store, id, ridges, find, atRest } = await started();
  const bars = () =>
    find().evaluation?.verdict.rows.find((r) => r.taxon === 'cortinarius-rubellus')?.bars.length;
  expect(bars()).toBe(0);
  const reading = (await ridges())!;
  await atRest();
  expect(bars()).toBe(1);
  await store.dispatch(takeBack(id, reading));
  await atRest();
  expect(bars()).toBe(0);
  expect(find().evaluation?.checks[0]).toMatchObject({ character: 'hymenophore', why: 'taken-back' });
});

test('every instant is later than the one before', async () => {
  const { sent, ridges, atRest } = await started();
  await ridges();
  await ridges();
  await atRest();
  const instants = sent.map((e) => (e.kind === 'finds' ? e.body.startedAt : e.body.at));
  expect([...new Set(instants)].sort()).toEqual(instants);
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
  await it.store.dispatch(recordDecision(it.id, it.find().evaluation!.verdict, 'later'));
  await it.atRest();
  const record = FindRecord.parse(it.records.get(it.id));
  expect(record.decisions[0]?.verdict).toBe(record.verdicts[0]?.id);
  expect(record.verdicts[0]?.verdict).toEqual(it.find().evaluation!.verdict);
});

test('a find is left without a verdict', async () => {
  const it = await started();
  await it.store.dispatch(leaveUnnamed(it.id, 'leave'));
  await it.atRest();
  expect(FindRecord.parse(it.records.get(it.id))).toMatchObject({
    verdicts: [],
    decisions: [{ choice: 'leave' }],
  });
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
