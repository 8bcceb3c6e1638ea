import './guide';
import { FindRecord } from '@pause/core';
import { acknowledgeRefusals, flush, loadFind, loadMe, openOutbox, passOver, read, recordDecision, startFind, takeBack, tellContext } from '../src/store/actions';
import { rig } from './rig';

const settle = () => new Promise((resolve) => setTimeout(resolve, 20));
const START = { kingdom: 'Fungi', bodyPlan: 'cantharelloid', target: 'cantharellus-cibarius', context: {} } as unknown as Parameters<typeof startFind>[0];

async function started() {
  const it = rig();
  await it.store.dispatch(loadMe());
  const id = (await it.store.dispatch(startFind(START)))!;
  await settle();
  const piece = it.store.getState().finds[id]!.record!.pieces[0]!.id;
  const ridges = () => it.store.dispatch(read(id, { piece, character: 'hymenophore' as never, value: { kind: 'states', states: ['ridges' as never] }, sureness: 'sure' }));
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
  const bars = () => find().evaluation?.verdict.rows.find((r) => r.taxon === 'cortinarius-rubellus')?.bars.length;
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
  expect(it.store.getState().outbox).toMatchObject({ away: true, waiting: [{ kind: 'readings' }, { kind: 'skips' }] });
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
  await it.store.dispatch(flush());
});

test('a find that never reached the server is rebuilt from what waits', async () => {
  const it = rig();
  await it.store.dispatch(loadMe());
  it.server.away = true;
  const id = (await it.store.dispatch(startFind(START)))!;
  const reopened = it.open();
  await reopened.dispatch(openOutbox());
  await reopened.dispatch(loadFind(id));
  expect(reopened.getState().finds[id]).toMatchObject({ status: 'ready', record: { targets: [{ taxon: 'cantharellus-cibarius' }] } });
  it.server.away = false;
  await it.store.dispatch(flush());
  await reopened.dispatch(flush());
});

test('what the server refuses is said with its reason, and the record is shown as the server has it', async () => {
  const it = await started();
  it.server.refuse = 'readings';
  void it.ridges();
  await settle();
  expect(it.store.getState().outbox.refused).toMatchObject([{ reason: 'value.unit: missing' }]);
  it.store.dispatch(acknowledgeRefusals());
  await settle();
  expect(it.store.getState().outbox.refused).toEqual([]);
  expect(it.find().record?.readings).toEqual([]);
});

test('a find that is nowhere is missing; one that cannot be fetched has failed', async () => {
  const it = rig();
  await it.store.dispatch(loadFind('nowhere'));
  expect(it.store.getState().finds.nowhere?.status).toBe('missing');
  it.server.away = true;
  await it.store.dispatch(loadFind('somewhere'));
  expect(it.store.getState().finds.somewhere).toMatchObject({ status: 'failed', error: 'away' });
});

test('a decision goes with the verdict that it was made on', async () => {
  const it = await started();
  void it.store.dispatch(recordDecision(it.id, it.find().evaluation!.verdict, 'later'));
  await settle();
  const record = FindRecord.parse(it.records.get(it.id));
  expect(record.decisions[0]?.verdict).toBe(record.verdicts[0]?.id);
  expect(record.verdicts[0]?.verdict).toEqual(it.find().evaluation!.verdict);
});

test('two things told in quick succession are both kept, and one unsaid stays unsaid', async () => {
  const it = await started();
  const tell = (context: object) => it.store.dispatch(tellContext(it.id, context as never));
  await Promise.all([tell({ ...it.find().record!.context, condition: 'fresh' }), tell({ ...it.find().record!.context, permission: 'granted' })]);
  expect(it.find().record!.context).toMatchObject({ condition: 'fresh', permission: 'granted' });
  const { condition: _, ...rest } = it.find().record!.context;
  await tell(rest);
  expect(it.find().record!.context).toMatchObject({ permission: 'granted' });
  expect(it.find().record!.context).not.toHaveProperty('condition');
});
