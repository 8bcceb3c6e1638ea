import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { get, type IncomingHttpHeaders, type IncomingMessage } from 'node:http';
import { join } from 'node:path';
import { brotliDecompressSync, gzipSync } from 'node:zlib';
import { sql } from 'kysely';
import { connect, startServer } from '@pause/server';
import { begin, onRecord, strip } from '../forager';
import { PHONE, quiet, startRig, WIDE, type Rig } from '../rig';

jest.setTimeout(120_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

/** Answers to the application from something else than the server. */
async function withRoute(
  path: string,
  answer: { status: number; body?: object } | 'abort',
  work: (page: Awaited<ReturnType<Rig['open']>>['page']) => Promise<void>,
) {
  const { page, context } = await rig.open();
  await page.route(`**/api/v1${path}`, (route) =>
    answer === 'abort'
      ? route.abort()
      : route.fulfill({
          status: answer.status,
          contentType: 'application/json',
          body: JSON.stringify(answer.body ?? {}),
        }),
  );
  await work(page);
  await context.close();
}

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

test('the first screen waits for no more than 450,000 bytes of programs, and what begins them is a script of its own', async () => {
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

test('what the page says by itself stands before the program is asked for; one script of its own asks, and nothing else in the page may run', async () => {
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

test('the demo is opened by one tap, says that it is the demo, and takes along what was told before', async () => {
  const { page, context, errors } = await rig.open(PHONE, false, false);
  const id = await begin(page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'By the old weir');
  await page.goto('/');
  await page
    .getByText(/everyone in it|its people and their finds are made up/)
    .first()
    .waitFor();
  await page.getByRole('button', { name: 'Open it as Mirel Aschkar' }).click();
  await page.getByText(/Mirel Aschkar’s notebook · demo/).waitFor();
  await page.getByRole('link', { name: /Penny bun/ }).waitFor();
  const find = await onRecord(page, id, (record) => record.placeNote === 'By the old weir');
  expect(find.person).toBe('mirel');
  expect(errors).toEqual([]);
  await context.close();
});

test('a server that cannot work just now keeps nobody from a find, and is asked again', async () => {
  await withRoute(
    '/me',
    {
      status: 503,
      body: {
        type: 'urn:pause:problem:database-away',
        title: 'The database does not answer. Nothing was stored; try again.',
        status: 503,
      },
    },
    async (page) => {
      const id = await begin(page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'By the old weir');
      await page.goto('/notebook');
      await page.getByText('Nobody is signed in.').waitFor();
      await page.unroute('**/api/v1/me');
      await page.goto('/');
      await page.getByRole('link', { name: /Penny bun/ }).waitFor();
      await onRecord(page, id, (record) => record.targets.length === 1);
    },
  );
});

test('a server that sends nonsense is not believed', async () => {
  await withRoute('/me', { status: 200, body: { id: 7 } }, async (page) => {
    await page.goto('/finds');
    await page.getByText('Nothing has been found yet').waitFor();
    await page.unroute('**/api/v1/me');
    await page.getByRole('link', { name: /Penny bun/ }).waitFor();
  });
});

test('the first start asks whom to call, once; what was put in stands first where somebody ate something', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/');
  const card = page.getByRole('region', { name: 'Whom to call' });
  await card.getByRole('button', { name: 'Put in the numbers' }).click();
  await card.getByText('112 is the emergency number where this device’s clock is set.').waitFor();
  // Nothing is called from here by a slip of the finger.
  expect(await card.getByRole('button', { name: /^Call/ }).count()).toBe(0);
  const number = card.getByLabel('Number of the poison service');
  await number.fill('01 555 01');
  await number.blur();
  await card.getByRole('button', { name: 'Done' }).click();
  await card.waitFor({ state: 'detached' });
  await page.reload();
  await page.getByRole('button', { name: 'A new find' }).waitFor();
  await page.getByRole('link', { name: /Penny bun/ }).waitFor();
  expect(await card.count()).toBe(0);
  await page.getByRole('link', { name: 'Eaten?', exact: true }).click();
  await page.getByRole('button', { name: 'Poison service: 01 555 01', exact: true }).waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('a screen whose program cannot be had says so, leaves the rooms within reach, and opens when it can', async () => {
  const { page, context } = await rig.open();
  const program = /\/look-[^/]*\.js/;
  await page.route(program, (route) => route.abort());
  await page.goto('/');
  await page.getByRole('button', { name: 'How it looks here' }).click();
  await page.getByText('This screen did not load').waitFor();
  await page.getByRole('link', { name: 'Eaten?' }).click();
  await page.getByRole('heading', { name: 'Someone ate something' }).waitFor();
  await page.goBack();
  await page.getByText('This screen did not load').waitFor();
  await page.unroute(program);
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.getByRole('heading', { name: 'How it looks here' }).waitFor();
  await context.close();
});

test('a room whose programs cannot be had any more says so within its frame, and opens when they can', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/');
  await page.getByRole('link', { name: /Penny bun/ }).waitFor();
  // From now on nothing more of the application comes.
  const programs = '**/_expo/static/js/**';
  await page.route(programs, (route) => route.abort());
  await page.getByRole('link', { name: 'Week', exact: true }).click();
  await page.getByRole('heading', { level: 1, name: 'This screen did not load' }).waitFor();
  await page.getByRole('link', { name: 'Start', exact: true }).click();
  await page.getByRole('button', { name: 'A new find' }).waitFor();
  await page.goBack();
  await page.getByRole('heading', { level: 1, name: 'This screen did not load' }).waitFor();
  expect(await page.getByRole('link', { name: 'Eaten?', exact: true }).count()).toBe(1);
  await page.unroute(programs);
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.getByRole('heading', { level: 1, name: 'What is worth going for' }).waitFor();
  expect(errors.filter((error) => !error.includes('oad'))).toEqual([]);
  await context.close();
});

test('a screen that Pause cannot draw says what is wrong and loses nothing', async () => {
  const { page, context } = await rig.open();
  // The same program with a mistake in it: the first thing that it wants to say is not there.
  await page.route(/\/look-[^/]*\.js/, async (route) => {
    const response = await route.fetch();
    const text = await response.text();
    const title = /[\w$.()[\]]+\.t\.howItLooksHere/;
    expect(text).toMatch(title);
    await route.fulfill({ response, body: text.replace(title, 'window.missing.words') });
  });
  await page.goto('/look');
  await page.getByText('Pause made a mistake here').waitFor();
  await page.getByText(/reading 'words'/).waitFor();
  await page.getByRole('link', { name: 'Finds' }).click();
  await page
    .getByRole('link', { name: /Penny bun/ })
    .first()
    .waitFor();
  await context.close();
});

test('a find that is neither here nor reachable says so, and can be opened when it is', async () => {
  const { page, context } = await rig.open();
  await page.goto('/');
  await page.getByRole('link', { name: /Penny bun/ }).waitFor();
  await page.route('**/api/v1/**', (route) => route.abort());
  await page.goto('/find/demo-find-nowhere/check');
  await page.getByText('It is not on this device, and the server does not answer.').waitFor();
  await page.unroute('**/api/v1/**');
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.getByText('There is no such find').waitFor();
  await context.close();
});

test('side by side: what parts the two as drawings, what was read, and the next lookalike', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/find/demo-find-5/check');
  await page.getByRole('button', { name: /^Deadly webcap deadly/ }).click();
  await page.getByRole('link', { name: 'Side by side' }).click();
  await page.getByRole('heading', { name: 'Where they part' }).waitFor();
  // Both as a whole on one scale, the parts that differ in the accent, with the number that stands before
  // what is said of them.
  await page.waitForFunction(
    () => document.querySelectorAll('svg path[stroke="var(--pause-collect)"]').length > 4,
  );
  await page.getByText('2 cm', { exact: true }).nth(1).waitFor();
  await page.waitForFunction(() => document.querySelectorAll('svg text').length >= 2);
  const pointed = await page.locator('svg text').allTextContents();
  const listed = await page.getByRole('group').allTextContents();
  expect(pointed.every((number) => listed.some((text) => text.startsWith(number)))).toBe(true);
  const underside = page.getByRole('group', { name: 'Underside', exact: true });
  await underside.getByText('Thin gills, like the pages of a book').waitFor();
  await page.waitForFunction(
    () => document.querySelectorAll('[aria-label="Underside"] svg path').length > 20,
  );
  const drawings = await underside.locator('svg').evaluateAll((all) => all.map((svg) => svg.innerHTML));
  expect(drawings).toHaveLength(2);
  expect(new Set(drawings).size).toBe(2);
  await page.getByRole('heading', { name: 'Read on this find' }).waitFor();
  await page.getByText('Read so, and it speaks against deadly webcap').first().waitFor();
  await page.getByRole('button', { name: /^Next of/ }).click();
  await page.getByRole('heading', { name: 'Brown rollrim' }).waitFor();
  await page.getByRole('button', { name: 'The check' }).click();
  await page.waitForURL(/\/check$/);
  expect(errors).toEqual([]);
  await context.close();
});

test('what the server refuses is said, and the record is shown as it stands', async () => {
  const { page, context } = await rig.open();
  await page.goto('/find/demo-find-5/check');
  await strip(page).waitFor();
  await page.route('**/sync/push', (route) =>
    route.fulfill({
      status: 200,
      contentType: 'application/json',
      body: JSON.stringify({
        results: [
          {
            status: 'refused',
            problem: {
              type: 'urn:pause:problem:invalid',
              title: 'value.states[0]: that is not a state',
              status: 422,
            },
          },
        ],
      }),
    }),
  );
  await page.getByRole('button', { name: 'Blunt ridges, folds of the flesh itself' }).click();
  await page.getByRole('alert').getByText('value.states[0]: that is not a state').waitFor();
  await page.getByRole('button', { name: 'I have read it' }).click();
  await page.getByRole('button', { name: /^Deadly webcap.*2 of 3/ }).waitFor();
  await context.close();
});

test('a worker that is lost costs no answer', async () => {
  const { page, context } = await rig.open();
  await page.route(/worker-[0-9a-f]+\.js$/, (route) => route.abort());
  await page.goto('/find/demo-find-5/check');
  await strip(page).waitFor();
  await page.getByRole('button', { name: 'Blunt ridges, folds of the flesh itself' }).click();
  await page.getByRole('button', { name: /^Deadly webcap.*3 of 3/ }).waitFor();
  await context.close();
});

test('two tabs on one find: both answers are kept', async () => {
  const { page, context } = await rig.open();
  const other = await context.newPage();
  for (const tab of [page, other]) {
    await tab.goto('/find/demo-find-4/check');
    await strip(tab).waitFor();
  }
  const first = (tab: typeof page) =>
    tab.getByRole('group', { name: 'Answers' }).getByRole('button').first().click();
  await Promise.all([first(page), first(other)]);
  for (let attempt = 0; attempt < 50; attempt += 1) {
    const find = (await (await page.request.get('/api/v1/finds/demo-find-4')).json()) as {
      readings: unknown[];
    };
    if (find.readings.length === 6) break;
    await page.waitForTimeout(100);
  }
  await page.reload();
  const seen = page.getByRole('list', { name: 'What was seen' }).getByRole('listitem');
  await seen.first().waitFor();
  expect(await seen.count()).toBe(6);
  await context.close();
});

test('the smallest things to tap are as large as a gloved finger, and nothing runs out of the screen', async () => {
  for (const [size, paths] of [
    [
      PHONE,
      [
        '/',
        '/new',
        '/finds',
        '/find/demo-find-5/check',
        '/find/demo-find-4/around',
        '/find/demo-find-3/verdict',
        '/eaten',
      ],
    ],
    [WIDE, ['/find/demo-find-5/check', '/finds']],
  ] as const) {
    const { page, context } = await rig.open(size);
    for (const path of paths) {
      await page.goto(path);
      await quiet(page);
      const found = await page.evaluate(() => {
        const little = [
          ...document.querySelectorAll(
            '[role="button"], [role="radio"], [role="checkbox"], [role="link"], button, a',
          ),
        ]
          .map((e) => ({
            box: e.getBoundingClientRect(),
            name: e.getAttribute('aria-label') ?? e.textContent,
          }))
          .filter(({ box }) => box.width > 0 && (box.height < 47.5 || box.width < 40));
        return {
          little: little.map(({ name, box }) => `${name} ${Math.round(box.width)}x${Math.round(box.height)}`),
          overflow: document.documentElement.scrollWidth > window.innerWidth,
        };
      });
      expect([path, found]).toEqual([path, { little: [], overflow: false }]);
    }
    await context.close();
  }
});

test('a notebook without the demo is empty and has no clock of its own', async () => {
  const name = 'plain_notebook';
  const base = new URL(rig.databaseUrl);
  const admin = connect(base.href);
  await sql`drop database if exists ${sql.id(name)} with (force)`.execute(admin);
  await sql`create database ${sql.id(name)}`.execute(admin);
  await admin.destroy();
  base.pathname = `/${name}`;
  const plain = await startServer({ databaseUrl: base.href, port: 0, demo: false, logLevel: 'silent' });
  try {
    expect(await (await fetch(`${plain.url}/api/v1/health`)).json()).toMatchObject({ demo: false });
    expect((await fetch(`${plain.url}/api/v1/me`)).status).toBe(401);
    expect((await fetch(`${plain.url}/api/v1/auth/demo/sign-in`, { method: 'POST' })).status).toBe(404);
  } finally {
    await plain.stop();
  }
});
