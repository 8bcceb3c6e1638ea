import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { type IncomingHttpHeaders, type IncomingMessage, get } from 'node:http';
import { join } from 'node:path';
import { gzipSync, brotliDecompressSync } from 'node:zlib';
import { begin, onRecord } from '../../forager';
import { PHONE, quiet } from '../../rig';
import { rig, setUp } from './kit';

jest.setTimeout(120_000);
setUp();

test('an empty notebook says so, and offers the first find', async () => {
  const { page, context } = await rig.open(PHONE, false, false);
  await page.goto('/finds');
  await page.getByText('Nothing has been found yet').waitFor();
  await page.getByRole('button', { name: 'A new find' }).click();
  await page.getByRole('heading', { name: 'A new find' }).waitFor();
  await page.goto('/');
  await page.getByText('What you check will stand here.').waitFor();
  await context.close();
});

test('the start stands still: what comes later pushes nothing away', async () => {
  const { page, context } = await rig.open(PHONE, false, false);
  await page.addInitScript(`window.moved = 0;
    new PerformanceObserver((seen) => { for (const { value } of seen.getEntries()) window.moved += value; }).observe({ type: 'layout-shift', buffered: true });`);
  await page.goto('/');
  await page.getByRole('button', { name: 'Open it as Mirel Aschkar' }).waitFor();
  await page.getByText('Nothing has been found yet').waitFor();
  await quiet(page);
  // A share of the screen times how far it moved: 0.1 is what people bear.
  expect(await page.evaluate('window.moved')).toBeLessThan(0.02);
  await context.close();
});

test('the first screen waits for at most 450,000 bytes of scripts, begun by a script of its own', async () => {
  const { page, context } = await rig.open(PHONE, false, false);
  const html = await (await page.request.get('/')).text();
  const programs = [
    ...html.matchAll(/<script src="([^"]+)" defer>|<link rel="preload" as="script" href="([^"]+)">/g),
  ].map(([, asked, ahead]) => asked ?? ahead ?? '');
  expect(programs.length).toBeGreaterThan(3);
  const texts = new Map(
    await Promise.all(
      programs.map(async (url) => [url, await (await page.request.get(url)).text()] as const),
    ),
  );
  const bytes = [...texts.values()].reduce((sum, text) => sum + gzipSync(text, { level: 9 }).length, 0);
  expect(bytes).toBeLessThan(450_000);
  const last = programs.findIndex((url) => url.includes('/begin-'));
  expect(texts.get(programs[last] ?? '')).toMatch(/^\/\/# allFunctionsCalledOnLoad\n(__r\(\d+\);\s*)+$/);
  for (const text of [...texts.values()].filter((_, at) => at !== last)) expect(text).not.toMatch(/^__r\(/m);
  // Each is taken up in a task of its own; the largest holds one module that cannot be cut.
  for (const text of texts.values())
    expect(text.length).toBeLessThan(text.split(/^__d\(/m).length > 2 ? 120_000 : 200_000);
  await context.close();
});

test('the page shows its own text before the program is fetched, by one script; no other may run', async () => {
  const { page, context } = await rig.open(PHONE, false, false);
  const answer = await page.request.get('/');
  const html = await answer.text();
  const scripts = [...html.matchAll(/<script>([^]*?)<\/script>/g)].map(([, text = '']) => text);
  expect(scripts).toHaveLength(1);
  expect(answer.headers()['content-security-policy']).toContain(
    `script-src 'self' 'sha256-${createHash('sha256')
      .update(scripts[0] ?? '')
      .digest('base64')}'`,
  );
  expect(answer.headers()['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/);
  const asked: string[] = [];
  await page.route(/\.js$/, async (route) => {
    asked.push(
      (await page.getByText(/^Pause checks a wild plant or fungus/).isVisible()) ? 'stood' : 'missing',
    );
    await route.continue();
  });
  await page.goto('/');
  await page.getByRole('button', { name: 'A new find' }).waitFor();
  expect(asked[0]).toBe('stood');
  await page.unrouteAll({ behavior: 'wait' });
  await context.close();
});

test('what the build pressed is sent as it is, by the best way that the phone knows, and kept for good', async () => {
  const { page, context } = await rig.open(PHONE, false, false);
  const name =
    /\/_expo\/static\/js\/web\/entry-[^"]*\.js/.exec(await (await page.request.get('/')).text())?.[0] ?? '';
  const folder = join(process.cwd(), 'app/dist');
  const whole = readFileSync(join(folder, name));
  for (const [accepts, encoding, bytes] of [
    ['gzip, br', 'br', readFileSync(join(folder, `${name}.br`))],
    ['gzip', 'gzip', readFileSync(join(folder, `${name}.gz`))],
    ['identity', undefined, whole],
  ] as const) {
    const { headers, body } = await raw(`${rig.url}${name}`, accepts);
    expect([
      headers['content-encoding'],
      headers['content-type'],
      headers['cache-control'],
      headers.vary,
    ]).toEqual([
      encoding,
      expect.stringMatching(/^(text|application)\/javascript/),
      'public, max-age=31536000, immutable',
      expect.stringContaining('Accept-Encoding'),
    ]);
    expect(body.equals(bytes)).toBe(true);
  }
  expect(brotliDecompressSync(readFileSync(join(folder, `${name}.br`))).equals(whole)).toBe(true);
  await context.close();
});

/** An answer as it comes over the wire. */
async function raw(url: string, accepts: string): Promise<{ headers: IncomingHttpHeaders; body: Buffer }> {
  const response = await new Promise<IncomingMessage>((resolve, reject) => {
    get(url, { headers: { 'accept-encoding': accepts } }, resolve).on('error', reject);
  });
  const parts: Buffer[] = [];
  for await (const part of response) parts.push(part as Buffer);
  return { headers: response.headers, body: Buffer.concat(parts) };
}

test('the demo is opened by one tap, says that it is the demo, and takes along what was recorded before', async () => {
  const { page, context, errors } = await rig.open(PHONE, false, false);
  const id = await begin(page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'By the old weir');
  await page.goto('/');
  await page
    .getByText(/everyone in it|its people and their finds are made up/)
    .first()
    .waitFor();
  await page.getByRole('button', { name: 'Open it as Mirel Aschkar' }).click();
  await page.getByText(/Mirel Aschkar’s notebook · demo/).waitFor();
  await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  const find = await onRecord(page, id, (record) => record.placeNote === 'By the old weir');
  expect(find.person).toBe('mirel');
  expect(errors).toEqual([]);
  await context.close();
});
