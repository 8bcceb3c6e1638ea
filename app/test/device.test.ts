import './guide';
import { countOf } from '@pause/core';
import { putForwardAgain, read, startFind, takeBack } from '../src/notebook/actions';
import { keepLook, keptLook, look, USUAL_LOOK, whenLookSet } from '../src/notebook/look';
import { loadMe } from '../src/notebook/open';
import { takeOverCounts } from '../src/notebook/takeOver';
import { emergencyWhere } from '../src/screens/emergency/numbers';
import { rig } from './rig';

/** What a device keeps for itself, and what is taken back and put forward again. */

function storage(): Storage {
  const held = new Map<string, string>();
  return {
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => {
      held.set(key, value);
    },
    removeItem: (key: string) => {
      held.delete(key);
    },
  } as unknown as Storage;
}

describe('how it looks here', () => {
  test('what was set is there again; what was never set is as usual', () => {
    const kept = storage();
    expect(keptLook(kept)).toEqual(USUAL_LOOK);
    const { store } = rig();
    store.dispatch(look.actions.lookSet({ theme: 'dim', text: 1.5, hand: 'left', pixelsPerMillimetre: 4.7 }));
    keepLook(kept, store.getState().look);
    expect(keptLook(kept)).toEqual({
      theme: 'dim',
      text: 1.5,
      hand: 'left',
      child: false,
      pixelsPerMillimetre: 4.7,
    });
  });

  test.each([
    ['Europe/Vienna', '112'],
    ['Europe/London', '999'],
    ['America/Denver', '911'],
    ['Australia/Perth', '000'],
    ['Pacific/Auckland', '111'],
    ['UTC', undefined],
    ['Asia/Kolkata', undefined],
  ])('where the clock is set to %s, %s is called, and nothing is guessed', (zone, number) => {
    expect(emergencyWhere(zone)).toBe(number);
    // Every zone that is named is one that a browser knows.
    expect(() => new Intl.DateTimeFormat('en', { timeZone: zone })).not.toThrow();
  });

  test('what is set in another window is set here, and what was taken back there is gone', () => {
    const { store } = rig();
    store.dispatch(look.actions.lookSet({ poisonLine: '01 555 01', emergencyLine: '999' }));
    whenLookSet(window, (settings) => store.dispatch(look.actions.lookReplaced(settings)));
    keepLook(window.localStorage, { ...USUAL_LOOK, theme: 'dim' });
    window.dispatchEvent(new StorageEvent('storage', { key: 'something else' }));
    expect(store.getState().look.theme).toBe('day');
    window.dispatchEvent(new StorageEvent('storage', { key: 'pause:look' }));
    expect(store.getState().look).toEqual({ ...USUAL_LOOK, theme: 'dim' });
    // Two windows with the same settings keep the same text, and so tell each other nothing more.
    const text = window.localStorage.getItem('pause:look');
    keepLook(window.localStorage, { child: false, hand: 'right', text: 1, theme: 'dim' });
    expect(window.localStorage.getItem('pause:look')).toBe(text);
    window.localStorage.clear();
  });

  test.each([
    ['no JSON at all', '{'],
    ['something else', '[1, 2]'],
    ['a number', '3'],
  ])('%s is as usual', (_, text) => {
    const kept = storage();
    kept.setItem('pause:look', text);
    expect(keptLook(kept)).toEqual(USUAL_LOOK);
  });

  test('one setting that cannot be is as usual, and the others stay', () => {
    const kept = storage();
    kept.setItem(
      'pause:look',
      JSON.stringify({ theme: 'neon', text: 9, hand: 'left', pixelsPerMillimetre: -3, child: 'perhaps' }),
    );
    expect(keptLook(kept)).toEqual({ ...USUAL_LOOK, hand: 'left' });
  });
});

describe('pieces counted', () => {
  const counts = (...results: string[]) =>
    countOf({
      counted: results.map((result, n) => ({
        id: `count-${n}-x`,
        at: '2026-09-14T08:00:00.000Z',
        by: 'mirel',
        result,
      })) as never,
    });

  test('passed, stray, and the last one taken back: only once', () => {
    expect(counts()).toEqual({ passed: 0, strays: 0 });
    expect(counts('passed', 'stray')).toEqual({ passed: 1, strays: 1, last: 'stray' });
    expect(counts('passed', 'stray', 'taken-back')).toEqual({ passed: 1, strays: 0 });
    expect(counts('passed', 'stray', 'taken-back', 'taken-back')).toEqual({ passed: 1, strays: 0 });
    expect(counts('taken-back', 'passed')).toEqual({ passed: 1, strays: 0, last: 'passed' });
  });

  test('counts of an earlier version go into the notebook, once; nonsense becomes no count', async () => {
    const { store, records, atRest } = rig();
    await store.dispatch(loadMe());
    const id = (await store.dispatch(startFind({ kingdom: 'Fungi', bodyPlan: 'agaricoid', context: {} })))!;
    const kept = storage();
    kept.setItem('pause:counts', JSON.stringify({ [id]: { passed: 3, strays: 1, last: 'stray' } }));
    for (let twice = 0; twice < 2; twice += 1) await store.dispatch(takeOverCounts(kept));
    await atRest();
    expect(countOf(records.get(id)!)).toEqual({ passed: 3, strays: 1, last: 'stray' });
    expect(kept.getItem('pause:counts')).toBeNull();
    kept.setItem('pause:counts', JSON.stringify({ [id]: { passed: -1, strays: 'many' } }));
    await store.dispatch(takeOverCounts(kept));
    expect(countOf(records.get(id)!)).toMatchObject({ passed: 3 });
  });
});

describe('an answer taken back and put forward again', () => {
  test('is read as it was, note and all, and the taken-back one stays on record', async () => {
    const { store, records, atRest } = rig();
    await store.dispatch(loadMe());
    const id = (await store.dispatch(
      startFind({
        kingdom: 'Fungi',
        bodyPlan: 'cantharelloid',
        target: 'cantharellus-cibarius' as never,
        context: {},
      }),
    ))!;
    await atRest();
    const piece = store.getState().finds[id]!.record!.pieces[0]!.id;
    const first = (await store.dispatch(
      read(id, {
        piece,
        character: 'hymenophore' as never,
        value: { kind: 'states', states: ['ridges' as never] },
        sureness: 'fairly',
        note: 'under the rim',
      }),
    ))!;
    await store.dispatch(takeBack(id, first));
    const again = (await store.dispatch(
      putForwardAgain(id, store.getState().finds[id]!.record!.readings[0]!),
    ))!;
    await atRest();
    expect(again).not.toBe(first);
    const record = records.get(id)!;
    expect(record.readings.map(({ id: r, value, sureness, note }) => ({ r, value, sureness, note }))).toEqual(
      [
        {
          r: first,
          value: { kind: 'states', states: ['ridges'] },
          sureness: 'fairly',
          note: 'under the rim',
        },
        {
          r: again,
          value: { kind: 'states', states: ['ridges'] },
          sureness: 'fairly',
          note: 'under the rim',
        },
      ],
    );
    expect(record.withdrawals.map((w) => w.reading)).toEqual([first]);
  });

  test('a find without a name has a piece and readings, and no target', async () => {
    const { store, sent, records, atRest } = rig();
    await store.dispatch(loadMe());
    const id = (await store.dispatch(startFind({ kingdom: 'Fungi', bodyPlan: 'agaricoid', context: {} })))!;
    await atRest();
    expect(sent.map((e) => e.kind)).toEqual(['finds', 'pieces', 'contexts']);
    expect(records.get(id)!.targets).toEqual([]);
    expect(store.getState().finds[id]!.evaluation).toBeUndefined();
  });
});
