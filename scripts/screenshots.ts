import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { openOtherChecks } from '../e2e/forager';
import { PHONE, quiet, startRig, WIDE } from '../e2e/rig';
import { IN_BROWSER } from '../e2e/thumb';
import { buildWebApp } from './lib/webapp';

/**
 * Takes pictures of the main views from the demo data: npx tsx scripts/screenshots.ts [name …]. Views that
 * belong together stand side by side in one.
 */

interface View {
  readonly path: string;
  readonly size?: typeof PHONE;
  /** Before it is opened. */
  readonly first?: (page: Page) => Promise<unknown>;
  /** Once it is open. */
  readonly before?: (page: Page) => Promise<unknown>;
}
interface Shot {
  readonly name: string;
  readonly views: readonly View[];
}
const tap = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();

/** Begins a find without a name and gives the first answers. */
async function unnamed(page: Page): Promise<void> {
  await page.getByRole('radio', { name: /^Pores/ }).click();
  await tap(page, 'I have no name for it yet');
  await tap(page, 'Open');
  for (let i = 0; i < 2; i += 1) {
    await page.getByRole('group', { name: 'Answers' }).getByRole('button').nth(1).click();
    await page.waitForTimeout(700);
  }
}
/** Begins a find by a name, up to the first question. */
async function begun(page: Page): Promise<void> {
  await page.getByLabel('Name, in any language, or scientific').fill('bilberry');
  await tap(page, /^Bilberry/);
  await page.getByRole('group', { name: 'Stages' }).waitFor();
  await page.waitForTimeout(600);
}
/** Tells what the four ceilings ask for. */
async function howMuch(page: Page): Promise<void> {
  for (const [label, value] of [
    ['Who eats', '3'],
    ['How often', '4'],
    [/^How many, counted one by one/, '2600'],
    ['Litres that fit', '2'],
  ] as const) {
    const field = page.getByRole('textbox', { name: label, exact: typeof label === 'string' });
    await field.fill(value);
    await field.blur();
  }
  await page.getByRole('heading', { name: 'How much', exact: true }).scrollIntoViewIfNeeded();
}
/** Touches a part of the first find. */
const touched = (page: Page) =>
  page.getByRole('radiogroup', { name: 'Where' }).getByRole('radio').nth(1).click();
/** Looks at one thing of the first find, and takes it. */
async function wood(page: Page): Promise<void> {
  await touched(page);
  await page.getByRole('list', { name: 'What can be looked at' }).getByRole('button').first().click();
  await page.getByRole('group', { name: 'Answers' }).getByRole('button').first().click();
  await tap(page, 'Collect');
}

/** Puts another card on show than the one proposed. */
async function choose(page: Page, name: RegExp): Promise<void> {
  await openOtherChecks(page);
  await tap(page, name);
}
const dim = (page: Page) =>
  page.addInitScript(() =>
    window.localStorage.setItem('pause:look', JSON.stringify({ theme: 'dim', holdKnown: true })),
  );

const one = (name: string, path: string, more: Omit<View, 'path'> = {}): Shot => ({
  name,
  views: [{ path, ...more }],
});

const SHOTS: readonly Shot[] = [
  one('start', '/'),
  {
    name: 'new-find',
    views: [
      { path: '/new', size: IN_BROWSER },
      { path: '/new', before: begun, size: IN_BROWSER },
      {
        path: '/find/demo-find-5/check',
        before: (page) => tap(page, 'Other ways to answer'),
        size: IN_BROWSER,
      },
    ],
  },
  one('week', '/week'),
  one('check', '/find/demo-find-5/check', { size: IN_BROWSER }),
  one('check-wide', '/find/demo-find-5/check', { size: WIDE }),
  one('check-dim', '/find/demo-find-5/check', { first: dim, size: IN_BROWSER }),
  {
    name: 'cards',
    views: [
      { path: '/find/demo-find-4/around' },
      { path: '/find/demo-find-4/check', before: (page) => choose(page, /^Outline/) },
      {
        path: '/find/demo-find-4/check',
        before: async (page) => {
          await choose(page, /^Section of the stem/).catch(() => undefined);
          const on = page.getByRole('button', { name: 'They are on' });
          if (await on.isVisible()) await on.click();
        },
      },
      { path: '/find/demo-find-5/check', before: (page) => choose(page, /^Shape of the cap/) },
    ],
  },
  one('side-by-side', '/find/demo-find-5/beside?other=cortinarius-rubellus'),
  {
    name: 'verdicts',
    views: ['demo-find-5', 'demo-find-2', 'demo-find-3'].map((find) => ({ path: `/find/${find}/verdict` })),
  },
  one('candidates', '/new', { before: unnamed, size: IN_BROWSER }),
  one('how-much', '/find/demo-find-1/take', { before: howMuch }),
  one('taxon', '/taxon/prunus-spinosa'),
  one('eaten', '/eaten'),
  one('places-wide', '/places', { size: WIDE }),
  one('group', '/group/ostrel-walkers', { before: (page) => tap(page, 'Show a code') }),
  one('batch', '/batch/demo-batch-b41d83f6', {
    before: (page) =>
      page.getByRole('heading', { name: 'How dry it is' }).evaluate((heading) => heading.scrollIntoView()),
  }),
  {
    name: 'wood',
    views: [
      { path: '/practice/wood?seed=4', before: touched, size: IN_BROWSER },
      { path: '/practice/wood?seed=4', before: wood, size: IN_BROWSER },
    ],
  },
  one('confusion-wide', '/practice/confusion', { size: WIDE }),
  one('sheet-wide', '/sheet/demo-meal-pancakes', { size: WIDE }),
];

const GAP = 24;
const root = join(import.meta.dirname, '..');
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
await buildWebApp(root);
const rig = await startRig();
try {
  const wanted = process.argv.slice(2);
  for (const { name, views } of SHOTS.filter((shot) => wanted.length === 0 || wanted.includes(shot.name))) {
    const taken: Buffer[] = [];
    for (const view of views) taken.push(await pictureOf(view));
    writeFileSync(
      join(folder, `${name}.png`),
      taken.length === 1 && taken[0] ? taken[0] : await sideBySide(taken),
    );
    process.stdout.write(`${name}\n`);
  }
} finally {
  await rig.close();
}

async function pictureOf(view: View): Promise<Buffer> {
  const { page, context } = await rig.open(view.size);
  await view.first?.(page);
  await page.goto(view.path);
  await quiet(page);
  await page.evaluate(() => document.fonts.ready);
  await page.getByRole('heading').first().waitFor();
  await view.before?.(page);
  const opening = page.getByRole('progressbar');
  while ((await opening.count()) > 0) await page.waitForTimeout(50);
  // What is drawn by programs that come late asks for them only now.
  await quiet(page);
  await page.waitForTimeout(300);
  const picture = await page.screenshot();
  await context.close();
  return picture;
}

/** Pictures of a phone's size in a row. */
async function sideBySide(pictures: readonly Buffer[]): Promise<Buffer> {
  const page = await rig.browser.newPage({
    viewport: { width: pictures.length * (PHONE.width + GAP) + GAP, height: PHONE.height + 2 * GAP },
  });
  const images = pictures
    .map((picture) => `<img alt="" src="data:image/png;base64,${picture.toString('base64')}">`)
    .join('');
  await page.setContent(
    `<body style="margin:0;padding:${GAP}px;display:flex;gap:${GAP}px;background:#C9CFC6">${images}</body>`,
  );
  const row = await page.screenshot();
  await page.close();
  return row;
}
