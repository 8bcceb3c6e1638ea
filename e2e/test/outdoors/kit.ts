import type { Page } from 'playwright-core';
import { type Rig, startRig } from '../../rig';

export let rig: Rig;
export const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
export const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });
export const lines = (page: Page, list: string) =>
  page.getByRole('list', { name: list }).getByRole('listitem');

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    rig = await startRig();
  });

  afterAll(async () => {
    await rig.close();
  });
}
