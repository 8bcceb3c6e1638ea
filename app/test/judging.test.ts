/** What is on the screen while the core is at work, late, or fails. */
import './guide';
import { inPlace } from '../src/deciding/client';
import { reconsider } from '../src/notebook/reconsider';
import { until } from './rig';
import { started } from './rig/started';

test('bars do not wait for the plan: the earlier plan stays until the new one is there', async () => {
  let hold: Promise<void> = Promise.resolve();
  const { ridges, find, atRest } = await started({
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
  await ridges();
  await atRest();
  expect(find().evaluated).toBe(find().change);
  expect(find().evaluation!.verdict).not.toBe(before.verdict);
  expect(find().evaluation!.plan).toBe(plan);
  release();
  await until(() => find().evaluation!.plan !== plan);
});

test('a comparison that fails is said, the answer is kept, and it can be tried again', async () => {
  let broken = false;
  const { store, id, ridges, find, atRest } = await started({
    ...inPlace,
    judge: (f) => (broken ? Promise.reject(new Error('out of memory')) : inPlace.judge(f)),
  });
  broken = true;
  await ridges();
  await atRest();
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
  const { ridges, find } = await started({
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
  await ridges();
  mode = 'fail';
  await ridges();
  await until(() => find().fault !== undefined);
  const before = find().evaluated;
  for (const go of waiting) go();
  await until(() => find().evaluated !== before);
  expect(find().fault).toBe('no');
  expect(find().evaluated).toBeLessThan(find().change);
});

describe('what an answer comes to', () => {
  test('is asked while the device puts it down, and is there in the same moment as the answer', async () => {
    const { store, ridges, find, atRest } = await started(inPlace);
    const before = find().change;
    const moments: boolean[] = [];
    const stop = store.subscribe(() => {
      if (find().change > before) moments.push(find().evaluated === find().change);
    });
    await ridges();
    await atRest();
    stop();
    // The record is there for no longer than it takes to say the next thing.
    expect(moments.indexOf(true)).toBe(1);
    expect(moments.slice(1).every(Boolean)).toBe(true);
  });

  test('is never taken for that of another record: what was recorded meanwhile is compared anew', async () => {
    let release: () => void = () => undefined;
    let hold: Promise<void> = Promise.resolve();
    let asked = 0;
    const { store, id, ridges, find, atRest } = await started({
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
    const before = asked;
    const telling = ridges();
    await until(() => asked > before);
    // The find changes under it, as when another device's answer arrives.
    store.dispatch({
      type: 'finds/findLoaded',
      payload: { id, record: { ...find().record!, startedAt: '2030-01-01T00:00:00.000Z' } },
    });
    release();
    const askedMeanwhile = asked;
    await telling;
    await atRest();
    expect(asked).toBeGreaterThan(askedMeanwhile);
    expect(find().evaluated).toBe(find().change);
    expect(find().record!.readings).toHaveLength(1);
  });

  test('does not hold up the answer where the core takes long', async () => {
    let hold: Promise<void> = Promise.resolve();
    const { ridges, find, atRest } = await started({
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
    await ridges();
    expect(find().record!.readings).toHaveLength(1);
    expect(find().evaluated).toBeLessThan(find().change);
    release();
    await atRest();
    expect(find().evaluated).toBe(find().change);
  });
});
