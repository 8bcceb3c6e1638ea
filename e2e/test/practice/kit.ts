import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page, APIRequestContext } from 'playwright-core';
import { type Rig, startRig } from '../../rig';

export let rig: Rig;
export const scratch = mkdtempSync(join(tmpdir(), 'pause-practice-'));
export const press = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).click();
export const answers = (page: Page) => page.getByRole('group', { name: 'Answers' }).getByRole('button');
interface Own {
  readonly kind: string;
  readonly page?: string;
  readonly body: { readonly field?: string; readonly of?: string; readonly value?: unknown };
}

export const everything = async (request: APIRequestContext): Promise<Own[]> =>
  ((await (await request.get('/api/v1/me/export')).json()) as { own: Own[] }).own;

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    rig = await startRig();
  });

  afterAll(async () => {
    await rig.close();
    rmSync(scratch, { recursive: true, force: true });
  });
}
