/** A label read by the camera; and the sheet for whoever treats, saved with the network off. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { create } from 'qrcode';
import { BROWSER_FLAGS, PHONE, quiet, startRig, type Rig } from '../rig';

jest.setTimeout(120_000);

let rig: Rig;
const scratch = mkdtempSync(join(tmpdir(), 'pause-label-'));
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
  rmSync(scratch, { recursive: true, force: true });
});

/** A film (YUV4MPEG2) of a square, as a camera before a label sees it. */
function filmOf(text: string, file: string): void {
  const [width, height] = [640, 480];
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const size = Math.floor(360 / modules.size);
  const [left, top] = [
    Math.floor((width - size * modules.size) / 2),
    Math.floor((height - size * modules.size) / 2),
  ];
  const light = Buffer.alloc(width * height, 235);
  for (let y = 0; y < modules.size * size; y += 1) {
    for (let x = 0; x < modules.size * size; x += 1)
      if (modules.data[Math.floor(y / size) * modules.size + Math.floor(x / size)])
        light[(top + y) * width + left + x] = 16;
  }
  const frame = Buffer.concat([Buffer.from('FRAME\n'), light, Buffer.alloc((width * height) / 2, 128)]);
  writeFileSync(
    file,
    Buffer.concat([
      Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420jpeg\n`),
      ...Array.from({ length: 5 }, () => frame),
    ]),
  );
}

test('the camera reads a label and opens its batch; a code of something else is named as such', async () => {
  for (const [text, name] of [
    [`${rig.url}/batch/demo-batch-5e20c7a1`, 'Bilberry syrup'],
    ['https://elsewhere.example/x', undefined],
  ] as const) {
    const film = join(scratch, 'label.y4m');
    filmOf(text, film);
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
      args: [
        ...BROWSER_FLAGS,
        '--use-fake-ui-for-media-stream',
        '--use-fake-device-for-media-stream',
        `--use-file-for-fake-video-capture=${film}`,
      ],
    });
    try {
      const context = await browser.newContext({
        viewport: PHONE,
        baseURL: rig.url,
        serviceWorkers: 'block',
        permissions: ['camera'],
      });
      await context.request.post('/api/v1/auth/demo/sign-in', { data: {} });
      const page = await context.newPage();
      await page.goto('/scan');
      await page.getByRole('button', { name: 'With the camera' }).click();
      if (name === undefined)
        await page.getByRole('alert').getByText('This square is of no label of Pause.').waitFor();
      else await page.getByRole('heading', { name }).waitFor();
    } finally {
      await browser.close();
    }
  }
});

test('without a camera it says so, and the letters of the label lead there too', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/scan');
  await quiet(page);
  await page.getByRole('button', { name: 'With the camera' }).click();
  await page
    .getByRole('alert')
    .getByText(/gives no picture of a camera/)
    .waitFor();
  await page.getByRole('textbox', { name: /^The eight letters/ }).fill('xxxxxxxx');
  await page.getByText('No batch of this notebook has these.').waitFor();
  await page.getByRole('textbox', { name: /^The eight letters/ }).fill('5e20c7a1');
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('heading', { name: 'Bilberry syrup' }).waitFor();
  await context.close();
});

test('the sheet is put together and saved with the network off, from a cold start', async () => {
  const { page, context, errors } = await rig.open(PHONE, true);
  await page.goto('/pantry');
  await page.getByText('Bilberry syrup').first().waitFor();
  await page.evaluate('navigator.serviceWorker.ready');
  await page.waitForFunction('navigator.serviceWorker.controller !== null');
  await page.close();
  await context.setOffline(true);
  await rig.stopServer();
  try {
    const cold = await context.newPage();
    await cold.goto('/batch/demo-batch-5e20c7a1');
    await cold.getByRole('button', { name: 'Someone is ill after it' }).click();
    await cold
      .getByRole('article', { name: 'The sheet' })
      .getByText(/Atropa bella-donna/)
      .waitFor();
    const [download] = await Promise.all([
      cold.waitForEvent('download'),
      cold.getByRole('button', { name: 'Save as PDF' }).click(),
    ]);
    expect(
      readFileSync(await download.path())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
    expect(errors).toEqual([]);
  } finally {
    // Whatever went wrong here, the tests that follow have their server.
    await rig.startServer();
    await context.close();
  }
});
