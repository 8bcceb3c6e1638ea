import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext, Page } from 'playwright-core';
import { answerAll, begin, FUNGUS_TOLD, onRecord, outcome, seen, specimen, strip, tell } from '../forager';
import { PHONE, startRig, type Rig } from '../rig';

jest.setTimeout(180_000);

// A copy of the built application, so that a newer one can take its place.
const web = mkdtempSync(join(tmpdir(), 'pause-web-'));
let rig: Rig;
beforeAll(async () => {
  cpSync(join(process.cwd(), 'app/dist'), web, { recursive: true });
  rig = await startRig(web);
});
afterAll(async () => {
  await rig.close();
  rmSync(web, { recursive: true, force: true });
});

/** Everything is on the device: the worker stands, and serves this page. */
async function kept(page: Page): Promise<void> {
  await page.evaluate('navigator.serviceWorker.ready');
  await page.waitForFunction('navigator.serviceWorker.controller !== null');
}

async function withoutConnection(context: BrowserContext): Promise<void> {
  await context.setOffline(true);
  await rig.stopServer();
}

test('without a network it opens cold, settles a find, survives the tab; another device sees it later', async () => {
  const { page, context, errors } = await rig.open(PHONE, true);
  await page.goto('/');
  await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  await kept(page);
  await page.close();
  await withoutConnection(context);
  try {
    const cold = await context.newPage();
    cold.on('pageerror', (error) => errors.push(error.message));
    const id = await begin(cold, /^Ridges/, 'chanterelle', /^Chanterelle/, 'Spruce above the Karrow spring');
    await tell(cold, FUNGUS_TOLD);
    await strip(cold).waitFor();
    await answerAll(cold, specimen('cantharellus-cibarius', 'mature'), { until: (o) => o === 'Collect' });
    expect(await outcome(cold)).toBe('Collect');
    const read = await seen(cold);
    // The tab is gone in the same second.
    await cold.close({ runBeforeUnload: false });
    const again = await context.newPage();
    await again.goto(`/find/${id}/check`);
    await strip(again).waitFor();
    expect(await seen(again)).toBe(read);
    await again.getByText(/entries wait to be sent/).waitFor();
    // What was there before is there too, and the guide with its drawings.
    await again.goto('/finds');
    await again.getByRole('link', { name: /Penny bun Left/ }).waitFor();
    await again.goto('/taxon/amanita-phalloides');
    await again.getByRole('heading', { level: 1, name: 'Death cap' }).waitFor();
    await again.goto('/eaten');
    await again.getByRole('heading', { level: 1 }).waitFor();
    await rig.startServer();
    await context.setOffline(false);
    await again.getByText(/to be sent/).waitFor({ state: 'detached' });
    const find = await onRecord(again, id, (record) => record.readings.length === read);
    expect(new Set(find.readings.map((r) => r.id)).size).toBe(read);
    const other = await rig.open(PHONE);
    await other.page.goto(`/find/${id}/check`);
    await strip(other.page).waitFor();
    expect(await seen(other.page)).toBe(read);
    await other.context.close();
  } finally {
    await rig.startServer().catch(() => undefined);
  }
  expect(errors).toEqual([]);
  await context.close();
});

test('someone ate something, offline, in mid-check: whom to call, what to say, how long to watch', async () => {
  const { page, context, errors } = await rig.open(PHONE, true);
  await page.goto('/');
  await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  await kept(page);
  await withoutConnection(context);
  try {
    await page.goto('/find/demo-find-5/check');
    await strip(page).waitFor();
    await page.getByRole('link', { name: 'Poisoning', exact: true }).click();
    await page.getByRole('heading', { level: 1, name: 'Someone ate something' }).waitFor();
    // The clock of the device is set to Vienna; where somebody chooses otherwise, that is kept on this
    // device.
    await page.getByRole('button', { name: 'Call 112', exact: true }).waitFor();
    await page.getByRole('button', { name: 'Change the numbers' }).click();
    await page.getByRole('radio', { name: '999', exact: true }).click();
    await page.getByRole('button', { name: 'Call 999', exact: true }).waitFor();
    const number = page.getByLabel('Number of the poison service');
    await number.fill(' +43 1 555 01 ');
    await number.blur();
    await page.getByRole('button', { name: 'Poison service: +43 1 555 01', exact: true }).waitFor();
    // Put in once, it is there the next time.
    await page.reload();
    await page.getByRole('button', { name: 'Call 999', exact: true }).waitFor();
    await page.getByRole('button', { name: 'Poison service: +43 1 555 01', exact: true }).waitFor();
    await page.getByRole('radio', { name: '5 · chanterelle' }).click();
    const aloud = page.getByRole('status').filter({ hasText: 'Read this out' });
    await aloud.waitFor();
    const spoken = (await aloud.textContent()) ?? '';
    for (const part of [
      'Cantharellus cibarius, of the family Cantharellaceae',
      'Cortinarius rubellus',
      'what it was taken for, not what was eaten',
    ])
      expect(spoken).toContain(part);
    const silent = page.getByRole('list', { name: 'How long each stays silent' }).getByRole('listitem');
    expect(await silent.first().textContent()).toMatch(/^Deadly webcapsilent for 2 to 21 days/);
    // No hour is written as if it were a day: what is silent comes before what shows within hours.
    const lines = await silent.allTextContents();
    expect(lines.findIndex((line) => line.includes('within'))).toBeGreaterThan(
      lines.findLastIndex((line) => line.includes('silent for')),
    );
    // What a friend brought is no find of one's own: by the name somebody gave it, or by what is left of it.
    await page.getByRole('radio', { name: 'Something else' }).click();
    await page.getByLabel('Name of what was eaten').fill('parasol');
    await page
      .getByRole('list', { name: 'Which one' })
      .getByRole('button', { name: /^Parasol/ })
      .click();
    await aloud.getByText(/Macrolepiota procera, of the family Agaricaceae/).waitFor();
    await aloud.getByText(/^It is mistaken for: .*\(deadly\)/).waitFor();
    await aloud.getByText('That is the name somebody gave it, not what was eaten. Say that, too.').waitFor();
    await aloud.getByRole('button', { name: 'Another name' }).click();
    await page.getByRole('button', { name: 'Look at what is left' }).click();
    await page
      .getByRole('group', { name: 'Form of what was eaten' })
      .getByRole('button', { name: /^Gills: / })
      .click();
    await page.waitForURL(/\/name$/);
    await page.getByRole('heading', { level: 1, name: 'What could it be?' }).waitFor();
    await page.getByText('New find · Somebody ate of it').waitFor();
    await page.getByRole('link', { name: 'Poisoning', exact: true }).click();
    await page.getByRole('radio', { name: '5 · chanterelle' }).click();
    await aloud.getByRole('button', { name: 'The whole sheet, for whoever treats' }).click();
    await page.getByText('Cortinarius rubellus').first().waitFor();
    expect(errors).toEqual([]);
  } finally {
    await rig.startServer().catch(() => undefined);
    await context.close();
  }
});

test('a newer version is offered where nobody is checking, waits for other windows, loses nothing', async () => {
  const { page, context } = await rig.open(PHONE, true);
  await page.goto('/');
  await page.getByRole('button', { name: 'A new find' }).waitFor();
  await kept(page);
  // The same application, but for one word and its name for the worker.
  const index = join(web, 'index.html');
  writeFileSync(
    index,
    readFileSync(index, 'utf8').replace('<title>', '<meta name="newer" content="yes"><title>'),
  );
  const worker = join(web, 'sw.js');
  writeFileSync(
    worker,
    readFileSync(worker, 'utf8').replace(/(url:"\/index\.html",revision:")[0-9a-f]+/, '$1newer'),
  );
  await page.goto('/find/demo-find-5/check');
  await strip(page).waitFor();
  await page.waitForFunction('navigator.serviceWorker.getRegistration().then((r) => !!(r && r.waiting))');
  // In the middle of a check nothing is said of it, and the old one goes on.
  expect(await page.getByText('A newer Pause is on this device').count()).toBe(0);
  const second = await context.newPage();
  await second.goto('/');
  await second.getByText('A newer Pause is on this device').waitFor();
  expect(await second.locator('meta[name="newer"]').count()).toBe(0);
  await second.getByRole('button', { name: 'Use it now' }).click();
  await second.getByText('Another window of Pause is open. Close it first, then try again.').waitFor();
  await page.close();
  await second.getByRole('button', { name: 'Use it now' }).click();
  await second.locator('meta[name="newer"]').waitFor({ state: 'attached' });
  await second.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  await context.close();
});

test('it can be put on the home screen: a manifest, its icons, and a worker', async () => {
  const { page, context } = await rig.open();
  await page.goto('/');
  const manifest = (await (await page.request.get('/manifest.webmanifest')).json()) as {
    icons: { src: string; sizes: string; type: string }[];
    start_url: string;
    display: string;
  };
  expect(manifest).toMatchObject({ start_url: '/', display: 'standalone' });
  for (const { src, sizes, type } of manifest.icons) {
    const icon = await page.request.get(src);
    expect([icon.status(), icon.headers()['content-type']?.startsWith(type)]).toEqual([200, true]);
    if (type === 'image/png') {
      const bytes = await icon.body();
      expect(`${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`).toBe(sizes);
    }
  }
  expect((await page.request.get('/sw.js')).headers()['cache-control']).not.toMatch(/immutable/);
  await context.close();
});
