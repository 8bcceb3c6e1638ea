/** What stands on the screen while the core is at work, late, or fails. */
import './guide';
import { inPlace, type Evaluator } from '../src/deciding/client';
import { read, startFind } from '../src/notebook/actions';
import { loadMe } from '../src/notebook/open';
import { reconsider } from '../src/notebook/reconsider';
import { rig } from './rig';

const settle = () => new Promise((resolve) => setTimeout(resolve, 20));
const START = {
  kingdom: 'Fungi',
  bodyPlan: 'cantharelloid',
  target: 'cantharellus-cibarius',
  context: {},
} as unknown as Parameters<typeof startFind>[0];

async function started(evaluator: Evaluator) {
  const it = rig(evaluator);
  await it.store.dispatch(loadMe());
  const id = (await it.store.dispatch(startFind(START)))!;
  await settle();
  const piece = it.store.getState().finds[id]!.record!.pieces[0]!.id;
  const tell = () =>
    it.store.dispatch(
      read(id, {
        piece,
        character: 'hymenophore' as never,
        value: { kind: 'states', states: ['ridges' as never] },
        sureness: 'sure',
      }),
    );
  return { ...it, id, tell, find: () => it.store.getState().finds[id]! };
}

test('bars do not wait for the plan: the earlier plan stands until the new one is there', async () => {
  let hold: Promise<void> = Promise.resolve();
  const { tell, find } = await started({
    ...inPlace,
    planOf: async (f) => {
      const plan = await inPlace.planOf(f);
      await hold;
      return plan;
    },
  });
  const [before, plan] = [find().evaluation!, find().evaluation!.plan];
  let release: () => void = () => undefined;
  hold = new Promise((resolve) => {
    release = resolve;
  });
  await tell();
  await settle();
  expect(find().evaluated).toBe(find().change);
  expect(find().evaluation!.verdict).not.toBe(before.verdict);
  expect(find().evaluation!.plan).toBe(plan);
  release();
  await settle();
  expect(find().evaluation!.plan).not.toBe(plan);
});

test('a comparison that fails is said, the answer is kept, and it can be tried again', async () => {
  let broken = false;
  const { store, id, tell, find } = await started({
    ...inPlace,
    judge: (f) => (broken ? Promise.reject(new Error('out of memory')) : inPlace.judge(f)),
  });
  broken = true;
  await tell();
  await settle();
  expect(find().fault).toBe('out of memory');
  expect(find().record!.readings).toHaveLength(1);
  broken = false;
  await store.dispatch(reconsider(id));
  expect(find().fault).toBeUndefined();
  expect(find().evaluated).toBe(find().change);
});

test('an older comparison that comes late does not hide that the newest failed', async () => {
  const waiting: (() => void)[] = [];
  let mode: 'now' | 'hold' | 'fail' = 'now';
  const { tell, find } = await started({
    ...inPlace,
    judge: async (f) => {
      if (mode === 'fail') throw new Error('no');
      if (mode === 'hold')
        await new Promise<void>((resolve) => {
          waiting.push(resolve);
        });
      return inPlace.judge(f);
    },
  });
  mode = 'hold';
  await tell();
  mode = 'fail';
  await tell();
  await settle();
  for (const go of waiting) go();
  await settle();
  expect(find().fault).toBe('no');
  expect(find().evaluated).toBeLessThan(find().change);
});

describe('what an answer comes to', () => {
  test('is asked while the device puts it down, and stands there in the same moment as the answer', async () => {
    const { store, tell, find } = await started(inPlace);
    const before = find().change;
    const moments: boolean[] = [];
    const stop = store.subscribe(() => {
      if (find().change > before) moments.push(find().evaluated === find().change);
    });
    await tell();
    await settle();
    stop();
    // The record is there for no longer than it takes to say the next thing.
    expect(moments.indexOf(true)).toBe(1);
    expect(moments.slice(1).every(Boolean)).toBe(true);
  });

  test('is never taken for that of another record: what was told meanwhile is compared anew', async () => {
    let release: () => void = () => undefined;
    let hold: Promise<void> = Promise.resolve();
    let asked = 0;
    const { store, id, tell, find } = await started({
      ...inPlace,
      judge: async (f) => {
        asked += 1;
        await hold;
        return inPlace.judge(f);
      },
    });
    hold = new Promise((resolve) => {
      release = resolve;
    });
    const telling = tell();
    await settle();
    // The find changes under it, as when another device's answer arrives.
    store.dispatch({
      type: 'finds/findLoaded',
      payload: { id, record: { ...find().record!, startedAt: '2030-01-01T00:00:00.000Z' }, waiting: [] },
    });
    release();
    const askedBefore = asked;
    await telling;
    await settle();
    expect(asked).toBeGreaterThan(askedBefore);
    expect(find().evaluated).toBe(find().change);
    expect(find().record!.readings).toHaveLength(1);
  });

  test('does not hold up the answer where the core takes long', async () => {
    let hold: Promise<void> = Promise.resolve();
    const { tell, find } = await started({
      ...inPlace,
      judge: async (f) => {
        await hold;
        return inPlace.judge(f);
      },
    });
    let release: () => void = () => undefined;
    hold = new Promise((resolve) => {
      release = resolve;
    });
    await tell();
    expect(find().record!.readings).toHaveLength(1);
    expect(find().evaluated).toBeLessThan(find().change);
    release();
    await settle();
    expect(find().evaluated).toBe(find().change);
  });
});
