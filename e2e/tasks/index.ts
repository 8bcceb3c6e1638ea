import type { Rig } from '../rig';
import { IN_BROWSER, thumbOf } from '../thumb';
import { FAMILY } from './family';
import { MUSHROOMS } from './mushrooms';
import { named, type Task } from './steps';
import { TEACHER } from './teacher';

/** What new users set out to do, on a phone as a browser shows it; counted in taps and scrolls. */
export const TASKS: readonly Task[] = [...MUSHROOMS, ...TEACHER, ...FAMILY];

export interface Counted {
  readonly name: string;
  readonly taps: number;
  readonly scrolls: number;
  readonly lifts: number;
  readonly errors: readonly string[];
}

/** Does a task on a demo that nobody used before. @throws Error where it cannot be done */
export async function doTask(rig: Rig, { name, run }: Task): Promise<Counted> {
  const { page, context, errors } = await rig.open(IN_BROWSER);
  try {
    await page.goto('/');
    await named(page, 'button', 'A new find').waitFor();
    await page.locator('a[href="/find/demo-find-2"]').waitFor();
    const thumb = thumbOf(page);
    await run(thumb, rig);
    return { name, taps: thumb.taps(), scrolls: thumb.scrolls(), lifts: thumb.lifts(), errors };
  } finally {
    await context.close();
  }
}
