import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import type { Page, BrowserContext } from 'playwright-core';
import { shippedGuide } from '@pause/guide';
import type { Rig } from '../../rig';
import { quiet } from '../../rig';
import { press, fill, saved } from './kit';

const CORRECTED = (() => {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; scientificName: string; statements: unknown[]; vernacularNames: object }[];
  };
  const webcap = raw.taxa.find(({ id }) => id === 'cortinarius-rubellus');
  if (!webcap) throw new Error('no webcap');
  raw.taxa.push({
    ...webcap,
    id: 'cortinarius-nowhere',
    scientificName: 'Cortinarius nowhere',
    vernacularNames: { en: ['nowhere webcap'] },
    statements: [],
  });
  return JSON.stringify(raw);
})();
const withCorrectedGuide = (context: BrowserContext) =>
  context.route('**/guide.json', (route) =>
    route.fulfill({ contentType: 'application/json', body: CORRECTED }),
  );
/**
 * The text of a PDF, by another program than the one that wrote it; it is no script that a test could load.
 */
async function textOf(file: string): Promise<{ text: string; pages: number }> {
  return JSON.parse((await promisify(execFile)(process.execPath, ['e2e/pdfText.mjs', file])).stdout) as {
    text: string;
    pages: number;
  };
}

/** Makes the sheet for whoever treats, as a PDF, and sends it to the made-up poison line. */
export async function makeSheet(page: Page, batch: string): Promise<void> {
  // The sheet, in two taps, on paper as a PDF, without a connection from here on.
  await page.goto(batch);
  await page.getByText(/^30.g left/).waitFor();
  await press(page, 'Someone is ill after it');
  await fill(page, 'Who, with age and weight', 'Lune, 9 years, 28 kg — Łucja’s friend');
  await page
    .getByRole('article', { name: 'The sheet' })
    .getByText(/Cortinarius rubellus/)
    .waitFor();
  const { text, pages } = await textOf(await saved(page, 'Save as PDF'));
  expect(pages).toBe(1);
  for (const words of [
    'Cantharellus cibarius',
    'Cortinarius rubellus',
    'Silent for two days',
    'Lune, 9 years, 28 kg — Łucja’s friend',
    'Risotto',
    '12 g',
    'her stomach',
    'fried, 20 minutes',
    'LEFT OUT: Keep one whole specimen aside',
    'Spruce above the Karrow spring',
    'Smell',
  ])
    expect(text).toContain(words);
  await press(page, 'Send it to the made-up poison line');
  await page.clock.runFor(2000);
  await page
    .getByRole('status', { name: 'The made-up poison line' })
    .getByText(/^Received, as case O-\d{4}.*nobody was told/)
    .waitFor();
  await page.reload();
  expect(await page.getByRole('textbox', { name: 'Who, with age and weight' }).inputValue()).toContain(
    'Łucja',
  );
}

/** Another day the guide is corrected: what was made of it is found again, on any device of the person. */
export async function recalled(later: Awaited<ReturnType<Rig['open']>>, batch: string): Promise<void> {
  await withCorrectedGuide(later.context);
  await later.page.goto('/');
  await later.page.getByRole('status', { name: 'In question' }).waitFor();
  await later.page.goto('/recall');
  const hit = later.page.getByRole('listitem', { name: 'Chanterelle, dried' });
  await hit
    .getByText(
      /by the corrected guide the verdict is pause\. What could be among it is deadly\. Nowhere webcap is new in the guide\. Found by whoever wrote it\./,
    )
    .waitFor();
  await hit.getByRole('heading', { name: 'Hold it' }).waitFor();
  await hit.getByText(/^Find \d+ Chanterelle → Harvest of chanterelle → Chanterelle, dried$/).waitFor();
  await later.page
    .getByRole('listitem', { name: /^Risotto, eaten by Lune/ })
    .getByRole('heading', { name: 'It was eaten' })
    .waitFor();
  await quiet(later.page);
  await later.page.goto(batch);
  await later.page.getByRole('status', { name: 'In question' }).getByText('Hold it').waitFor();
  expect(await later.page.getByRole('button', { name: 'Eat of it' }).count()).toBe(0);
  await later.page.goto('/portion');
  await later.page.getByText(/in question, and left out here/).waitFor();
  expect(await later.page.getByRole('checkbox', { name: /^Chanterelle, dried/ }).count()).toBe(0);
  await later.page.goto('/recall');
  await hit.getByRole('button', { name: 'It is thrown out' }).click();
  await hit.waitFor({ state: 'detached' });
  await later.page.goto(batch);
  await later.page.getByText('Thrown out', { exact: true }).waitFor();
  expect(later.errors).toEqual([]);
  await later.context.close();
}
