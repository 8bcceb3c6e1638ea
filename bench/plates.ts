import type { Page } from 'playwright-core';
import { compileGuide } from '@pause/core';
import { lensedPlate, taxonPlate, tellingCharacters, writtenPlate } from '@pause/core/drawing';
import { shippedGuide } from '@pause/guide';
import { startRig } from '../e2e/rig';
import { IN_BROWSER } from '../e2e/thumb';
import { buildWebApp } from '../scripts/lib/webapp';
import { writePage } from './page';

/**
 * How long plates take to draw, and how long the page stands still for them on a slowed processor. Writes
 * `docs/plates-speed.md`.
 */

const SLOWED = 4;
const guide = compileGuide(shippedGuide());
const all = guide.taxa.flatMap((taxon) => taxon.taxon.stages.map((stage) => ({ taxon, stage })));

/** Milliseconds that each plate of the guide takes, sorted; the second round, when everything is compiled. */
function drawn(draw: (at: (typeof all)[number]) => unknown): number[] {
  let times: number[] = [];
  for (let round = 0; round < 2; round += 1)
    times = all.map((at) => {
      const from = performance.now();
      draw(at);
      return performance.now() - from;
    });
  return times.sort((a, b) => a - b);
}
const share = (sorted: readonly number[], part: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0;
const row = (name: string, times: readonly number[]) =>
  `| ${name} | ${share(times, 0.5).toFixed(1)} | ${share(times, 0.95).toFixed(0)} | ${share(times, 1).toFixed(0)} |`;

/** Remembers for how long the page could not answer, task by task (the browser tells those over 50 ms). */
const WATCH = `window.stood = []; new PerformanceObserver((list) => {
  for (const { duration } of list.getEntries()) window.stood.push(duration); }).observe({ type: 'longtask', buffered: true });`;
const standstills = async (page: Page) => {
  const stood = await page.evaluate<number[]>('window.stood');
  await page.evaluate('window.stood = []');
  return Math.max(0, ...stood);
};

/** The longest task while the guide is scrolled past thirty plates, and while a taxon is swiped. */
async function standing(): Promise<{ readonly wall: number; readonly large: number }> {
  await buildWebApp(process.cwd());
  const rig = await startRig();
  try {
    const { page, context } = await rig.open(IN_BROWSER);
    await page.addInitScript(WATCH);
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await page.goto('/guide');
    await page.getByRole('link').nth(20).waitFor({ state: 'attached' });
    await page.waitForTimeout(3000);
    await standstills(page);
    await page.mouse.move(200, 400);
    // Fifteen shelves of two.
    for (let shelf = 0; shelf < 15; shelf += 1) {
      await page.mouse.wheel(0, 230);
      await page.waitForTimeout(150);
    }
    await page.waitForTimeout(2000);
    const wall = await standstills(page);
    await page.goto('/taxon/conium-maculatum');
    await page.getByRole('button', { name: /^1 / }).first().waitFor();
    await page.waitForTimeout(1500);
    await standstills(page);
    await page.getByRole('button', { name: /^Then: / }).click();
    await page.waitForTimeout(2500);
    return { wall, large: await standstills(page) };
  } finally {
    await rig.close();
  }
}

const small = drawn(({ taxon, stage }) => writtenPlate(taxonPlate(guide, taxon, stage, 0, 'small')));
const full = drawn(({ taxon, stage }) => writtenPlate(taxonPlate(guide, taxon, stage)));
const lensed = drawn((at) =>
  writtenPlate(lensedPlate(guide, at, tellingCharacters(guide, at.taxon, at.stage))),
);
const { wall, large } = await standing();
const stand = (ms: number) => (ms === 0 ? 'no task over 50 ms' : `longest task ${Math.round(ms)} ms`);
await writePage(
  'plates-speed',
  `# Speed of plates

Measured by \`npm run bench:plates\` on Node.js ${process.version}, ${new Date().toISOString().slice(0, 10)}.

## Drawing

All ${all.length} plates of the guide, with their path data; milliseconds on one core.

| plate | p50 | p95 | longest |
| --- | --- | --- | --- |
${row('small, for lists and the wall', small)}
${row('full', full)}
${row('large, with lenses', lensed)}

## The page meanwhile

A processor ${SLOWED} times slower, a phone of ${IN_BROWSER.width} × ${IN_BROWSER.height}. Full and large plates are drawn in a worker,
small ones on the page, each in a task of its own; all are kept.

| what | the page |
| --- | --- |
| the guide scrolled past 30 plates | ${stand(wall)} |
| a large plate swiped to the next stage | ${stand(large)} |
`,
);
