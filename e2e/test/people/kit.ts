import type { Page, BrowserContext } from 'playwright-core';
import { tell, FUNGUS_TOLD, strip, seen, toPlaceAndCondition } from '../../forager';
import { type Rig, startRig, PHONE } from '../../rig';

export let rig: Rig;
interface Walker {
  readonly page: Page;
  readonly context: BrowserContext;
  readonly errors: string[];
}

export const addressOf = (name: string) => `${name.toLowerCase().replace(/ /g, '.')}@ostrel.example`;
/** Opens the link of the newest letter to somebody, looking again until it came. */
export async function openLink(page: Page, subject: string, name: string): Promise<void> {
  const link = page.getByRole('button', { name: `Open the link: ${subject}, to ${addressOf(name)}` }).first();
  for (let tries = 0; tries < 20 && (await link.count()) === 0; tries += 1) {
    await page.getByRole('button', { name: 'Look again' }).click();
    await page.waitForTimeout(100);
  }
  await link.click();
}

/** A new account, made at the door. */
export async function newcomer(name: string): Promise<Walker> {
  const walker = await rig.open(PHONE, false, false);
  const { page } = walker;
  await page.goto('/notebook');
  await page.getByRole('button', { name: 'Sign in, or make an account' }).click();
  await page.getByRole('radio', { name: 'I am new here' }).click();
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByText('E-mail address: it is missing').waitFor();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('E-mail address').fill(addressOf(name));
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByText('Password: at least 10 characters').waitFor();
  await page.getByLabel('Password').fill('a long enough password');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByRole('heading', { level: 1, name: 'Look into your mail' }).waitFor();
  await page.getByRole('button', { name: 'Open the simulated mailbox' }).click();
  await page.getByText('no letter leaves this machine').waitFor();
  await openLink(page, 'Confirm your e-mail address for Pause', name);
  await page.getByRole('button', { name: 'It was me: confirm' }).click();
  await page.waitForURL((url) => url.pathname === '/');
  await page.goto('/notebook');
  await page.getByText(`${name}’s notebook`).waitFor();
  return walker;
}

/** Begins a group, as its keeper. */
export async function beginGroup(page: Page, name: string): Promise<void> {
  await page.goto('/notebook');
  await page.getByRole('button', { name: 'Begin a group' }).click();
  await page.getByLabel('Name of the group').fill(name);
  await page.getByRole('button', { name: 'Begin it' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

/** A chanterelle in the group's notebook, with its whole context. @returns its id */
export async function findIn(page: Page, group: string, where?: string): Promise<string> {
  await page.goto('/new');
  await page.getByRole('radio', { name: /^Ridges/ }).click();
  if (where !== undefined) await page.getByLabel('Where, in your own words').fill(where);
  await page.getByRole('radio', { name: group }).click();
  await page.getByLabel('Name, in any language, or scientific').fill('chanterelle');
  await page.getByRole('button', { name: /^Chanterelle/ }).click();
  await toPlaceAndCondition(page);
  await tell(page, FUNGUS_TOLD);
  await strip(page).waitFor();
  return /find\/([^/]+)/.exec(page.url())?.[1] ?? '';
}

export async function answer(page: Page, nth: number): Promise<void> {
  const before = await seen(page);
  await page.getByRole('group', { name: 'Answers' }).getByRole('button').nth(nth).click();
  await page.waitForFunction(
    (known) => document.querySelectorAll('[aria-label="What was seen"] > [role="listitem"]').length > known,
    before,
  );
  await page.locator('[aria-busy="true"]').first().waitFor({ state: 'detached' });
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
