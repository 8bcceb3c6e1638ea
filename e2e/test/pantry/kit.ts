import type { Page } from 'playwright-core';
import { type Rig, startRig, quiet } from '../../rig';

export let rig: Rig;
export async function fill(page: Page, label: string | RegExp, value: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: typeof label === 'string' });
  await field.fill(value);
  await field.blur();
}

export const press = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).click();
/** What is on the way has arrived. */
export async function sent(page: Page): Promise<void> {
  await quiet(page);
  await page.getByText(/to be sent/).waitFor({ state: 'detached' });
}

export async function saved(page: Page, name: string): Promise<string> {
  const [download] = await Promise.all([page.waitForEvent('download'), press(page, name)]);
  return download.path();
}

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    rig = await startRig();
  });

  afterAll(async () => {
    await rig.close();
  });
}
