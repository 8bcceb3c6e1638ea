import type { Page } from 'playwright-core';
import { specimen } from '../../forager';
import { type Rig, startRig } from '../../rig';

export const CHANTERELLE = specimen('cantharellus-cibarius', 'mature');
export let rig: Rig;
export const toVerdict = async (page: Page) => {
  await page.getByRole('link', { name: 'See the verdict and its reasons' }).click();
  await page.waitForURL(/\/verdict$/);
};

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    rig = await startRig();
  });

  afterAll(async () => {
    await rig.close();
  });
}
