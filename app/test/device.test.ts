import './guide';
import { countOf, counts, keepCounts, keptCounts } from '../src/store/counts';
import { keepLook, keptLook, look, USUAL_LOOK } from '../src/store/look';
import { loadMe, putForwardAgain, read, startFind, takeBack } from '../src/store/actions';
import { rig } from './rig';

/** What a device keeps for itself, and what is taken back and put forward again. */

function storage(): Storage {
  const held = new Map<string, string>();
  return { getItem: (key: string) => held.get(key) ?? null, setItem: (key: string, value: string) => { held.set(key, value); } } as unknown as Storage;
}
const settle = () => new Promise((resolve) => setTimeout(resolve, 20));

describe('how it looks here', () => {
  test('what was set is there again; what was never set is as usual', () => {
    const kept = storage();
    expect(keptLook(kept)).toEqual(USUAL_LOOK);
    const { store } = rig();
    store.dispatch(look.actions.lookSet({ theme: 'dim', text: 1.5, hand: 'left', pixelsPerMillimetre: 4.7 }));
    keepLook(kept, store.getState().look);
    expect(keptLook(kept)).toEqual({ theme: 'dim', text: 1.5, hand: 'left', child: false, pixelsPerMillimetre: 4.7 });
  });

  test.each([
    ['no JSON at all', '{'], ['something else', '[1, 2]'], ['a number', '3'],
  ])('%s is as usual', (_, text) => {
    const kept = storage();
    kept.setItem('pause:look', text);
    expect(keptLook(kept)).toEqual(USUAL_LOOK);
  });

  test('one setting that cannot be is as usual, and the others stay', () => {
    const kept = storage();
    kept.setItem('pause:look', JSON.stringify({ theme: 'neon', text: 9, hand: 'left', pixelsPerMillimetre: -3, child: 'perhaps' }));
    expect(keptLook(kept)).toEqual({ ...USUAL_LOOK, hand: 'left' });
  });
});

describe('pieces counted', () => {
  test('passed, stray, and the last one taken back: only once', () => {
    const { store } = rig();
    const now = () => countOf(store.getState().counts, 'f1');
    expect(now()).toEqual({ passed: 0, strays: 0 });
    store.dispatch(counts.actions.piecePassed('f1'));
    store.dispatch(counts.actions.strayFound('f1'));
    expect(now()).toMatchObject({ passed: 1, strays: 1 });
    store.dispatch(counts.actions.lastTakenBack('f1'));
    expect(now()).toEqual({ passed: 1, strays: 0 });
    store.dispatch(counts.actions.lastTakenBack('f1'));
    expect(now()).toEqual({ passed: 1, strays: 0 });
    expect(countOf(store.getState().counts, 'another')).toEqual({ passed: 0, strays: 0 });
  });

  test('they survive the tab, and nonsense does not become a count', () => {
    const kept = storage();
    keepCounts(kept, { f1: { passed: 12, strays: 1, last: 'stray' } });
    expect(keptCounts(kept)).toEqual({ f1: { passed: 12, strays: 1, last: 'stray' } });
    kept.setItem('pause:counts', JSON.stringify({ f1: { passed: -1, strays: 'many' } }));
    expect(keptCounts(kept)).toEqual({});
  });
});

describe('an answer taken back and put forward again', () => {
  test('is read as it was, note and all, and the taken-back one stays on record', async () => {
    const { store, records } = rig();
    await store.dispatch(loadMe());
    const id = (await store.dispatch(startFind({ kingdom: 'Fungi', bodyPlan: 'cantharelloid', target: 'cantharellus-cibarius' as never, context: {} })))!;
    await settle();
    const piece = store.getState().finds[id]!.record!.pieces[0]!.id;
    const first = (await store.dispatch(read(id, { piece, character: 'hymenophore' as never, value: { kind: 'states', states: ['ridges' as never] }, sureness: 'fairly', note: 'under the rim' })))!;
    await store.dispatch(takeBack(id, first));
    const again = (await store.dispatch(putForwardAgain(id, store.getState().finds[id]!.record!.readings[0]!)))!;
    await settle();
    expect(again).not.toBe(first);
    const record = records.get(id)!;
    expect(record.readings.map(({ id: r, value, sureness, note }) => ({ r, value, sureness, note }))).toEqual([
      { r: first, value: { kind: 'states', states: ['ridges'] }, sureness: 'fairly', note: 'under the rim' },
      { r: again, value: { kind: 'states', states: ['ridges'] }, sureness: 'fairly', note: 'under the rim' },
    ]);
    expect(record.withdrawals.map((w) => w.reading)).toEqual([first]);
  });

  test('a find without a name has a piece and readings, and no target', async () => {
    const { store, sent, records } = rig();
    await store.dispatch(loadMe());
    const id = (await store.dispatch(startFind({ kingdom: 'Fungi', bodyPlan: 'agaricoid', context: {} })))!;
    await settle();
    expect(sent.map((e) => e.kind)).toEqual(['finds', 'pieces', 'contexts']);
    expect(records.get(id)!.targets).toEqual([]);
    expect(store.getState().finds[id]!.evaluation).toBeUndefined();
  });
});
