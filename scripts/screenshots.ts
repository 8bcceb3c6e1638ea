import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { PHONE, quiet, startRig, WIDE } from '../e2e/rig';
import { buildWebApp } from './lib/webapp';

/** Takes one picture of each main view from the demo data: npx tsx scripts/screenshots.ts [name …] */

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly size?: typeof PHONE;
  /** Once it is open. */
  readonly before?: (page: Page) => Promise<unknown>;
}
const tap = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();

/** Begins a find without a name and gives the first answers. */
async function unnamed(page: Page): Promise<void> {
  await page.getByRole('radio', { name: /^Pores/ }).click();
  await tap(page, 'I have no name for it yet');
  for (let i = 0; i < 2; i += 1) {
    await page.getByRole('group', { name: 'Answers' }).getByRole('button').nth(1).click();
    await page.waitForTimeout(700);
  }
  await page.getByRole('heading', { name: 'What could it be?' }).scrollIntoViewIfNeeded();
}
/** Tells what the four ceilings ask for. */
async function howMuch(page: Page): Promise<void> {
  for (const [label, value] of [['Who eats', '3'], ['How often', '4'], [/^How many, counted one by one/, '2600'], ['Litres that fit', '2']] as const) {
    const field = page.getByRole('textbox', { name: label, exact: typeof label === 'string' });
    await field.fill(value);
    await field.blur();
  }
  await page.getByRole('heading', { name: 'How much', exact: true }).scrollIntoViewIfNeeded();
}
/** Looks at one thing of the first find, and takes it. */
async function wood(page: Page): Promise<void> {
  await page.getByRole('group', { name: 'Where' }).getByRole('radio').nth(1).click();
  await page.getByRole('list', { name: 'What can be looked at' }).getByRole('button').first().click();
  await page.getByRole('group', { name: 'Answers' }).getByRole('button').first().click();
  await tap(page, 'Collect');
}

const SHOTS: readonly Shot[] = [
  { name: 'start', path: '/' },
  { name: 'new-find', path: '/new', before: (page) => page.getByRole('radio', { name: /^Ridges/ }).click() },
  { name: 'week', path: '/week' },
  { name: 'check', path: '/find/demo-find-5/check' },
  { name: 'check-wide', path: '/find/demo-find-5/check', size: WIDE },
  { name: 'side-by-side', path: '/find/demo-find-5/beside?other=cortinarius-rubellus' },
  { name: 'verdict-pause', path: '/find/demo-find-5/verdict' },
  { name: 'verdict-leave', path: '/find/demo-find-2/verdict' },
  { name: 'verdict-collect', path: '/find/demo-find-3/verdict' },
  { name: 'candidates', path: '/new', before: unnamed },
  { name: 'how-much', path: '/find/demo-find-1/take', before: howMuch },
  { name: 'taxon', path: '/taxon/allium-ursinum' },
  { name: 'eaten', path: '/eaten' },
  { name: 'places-wide', path: '/places', size: WIDE },
  { name: 'group', path: '/group/ostrel-walkers', before: (page) => tap(page, 'Show a code') },
  { name: 'batch', path: '/batch/demo-batch-b41d83f6', before: (page) => page.getByRole('heading', { name: 'How dry it is' }).evaluate((one) => one.scrollIntoView()) },
  { name: 'wood', path: '/practice/wood?seed=4', before: wood },
  { name: 'confusion-wide', path: '/practice/confusion', size: WIDE },
  { name: 'sheet-wide', path: '/sheet/demo-meal-pancakes', size: WIDE },
];

const root = join(import.meta.dirname, '..');
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
await buildWebApp(root);
const rig = await startRig();
try {
  const wanted = process.argv.slice(2);
  for (const shot of SHOTS.filter(({ name }) => wanted.length === 0 || wanted.includes(name))) {
    const { page, context } = await rig.open(shot.size);
    await page.goto(shot.path);
    await quiet(page);
    await page.evaluate(() => document.fonts.ready);
    await page.getByRole('heading').first().waitFor();
    await shot.before?.(page);
    await page.getByText(/^(Opening|Deciding) .*…$/).waitFor({ state: 'detached' });
    await page.waitForTimeout(300);
    await page.screenshot({ path: join(folder, `${shot.name}.png`) });
    await context.close();
    process.stdout.write(`${shot.name}\n`);
  }
} finally {
  await rig.close();
}
