import { startRig, type Rig } from '../../rig';
import { doTask } from '../../tasks';
import type { Task } from '../../tasks/steps';

/** Taps and scrolls that a task may cost at most. */
const MOST = { taps: 25, scrolls: 25 };

/**
 * What new users set out to do on the demo can be done, on a phone as a browser shows it, within what a hand
 * bears: a test for each.
 */
export function canBeDone(tasks: readonly Task[]): void {
  let rig: Rig;
  beforeAll(async () => {
    rig = await startRig();
  });
  afterAll(async () => {
    await rig.close();
  });
  test.each(tasks.map((task) => [task.name, task] as const))('%s', async (_, task) => {
    const { taps, scrolls, errors } = await doTask(rig, task);
    expect(errors).toEqual([]);
    expect(taps).toBeLessThanOrEqual(MOST.taps);
    expect(scrolls).toBeLessThanOrEqual(MOST.scrolls);
  });
}
