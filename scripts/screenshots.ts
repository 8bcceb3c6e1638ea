import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { PHONE, startRig, WIDE } from '../e2e/rig';
import { buildWebApp } from './lib/webapp';

/** Takes one picture of each main view from the demo data: npx tsx scripts/screenshots.ts [name …] */

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly size?: typeof PHONE;
  readonly before?: (page: Page) => Promise<unknown>;
}
const tap = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();

const SHOTS: readonly Shot[] = [
  { name: 'start', path: '/' },
  { name: 'start-wide', path: '/', size: WIDE },
  { name: 'new-find', path: '/new', before: (page) => page.getByRole('radio', { name: /^Ridges/ }).click() },
  { name: 'around', path: '/find/demo-find-4/around' },
  { name: 'check', path: '/find/demo-find-5/check' },
  { name: 'check-opened-row', path: '/find/demo-find-5/check', before: (page) => tap(page, /^Jack-o/) },
  { name: 'check-wide', path: '/find/demo-find-5/check', size: WIDE },
  { name: 'side-by-side', path: '/find/demo-find-5/beside?other=cortinarius-rubellus' },
  { name: 'verdict-pause', path: '/find/demo-find-5/verdict' },
  { name: 'verdict-leave', path: '/find/demo-find-2/verdict' },
  { name: 'verdict-collect', path: '/find/demo-find-3/verdict' },
  { name: 'finds', path: '/finds' },
  { name: 'find', path: '/find/demo-find-2' },
  { name: 'eaten', path: '/eaten' },
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
    await page.waitForLoadState('networkidle');
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
