/**
 * What new users set out to do on the demo can be done, on a phone as a browser shows it, within what a hand
 * bears.
 */
import { startRig, type Rig } from '../rig';
import { doTask, TASKS } from '../tasks';

jest.setTimeout(240_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

/** Taps and scrolls that a task may cost at most. */
const MOST = { taps: 25, scrolls: 25 };

test.each(TASKS.map((task) => [task.name, task] as const))('%s', async (_, task) => {
  const { taps, scrolls, errors } = await doTask(rig, task);
  expect(errors).toEqual([]);
  expect(taps).toBeLessThanOrEqual(MOST.taps);
  expect(scrolls).toBeLessThanOrEqual(MOST.scrolls);
});
