import { sql } from 'kysely';
import { connect, startServer } from '@pause/server';
import { strip } from '../../forager';
import { PHONE, WIDE, quiet } from '../../rig';
import { rig, setUp } from './kit';

jest.setTimeout(120_000);
setUp();

test('side by side: what parts the two as drawings, what was read, and the next lookalike', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/find/demo-find-5/check');
  await page.getByRole('button', { name: /^Show all bars/ }).click();
  await page.getByRole('button', { name: /^Deadly webcap deadly/ }).click();
  await page.getByRole('link', { name: 'Side by side' }).click();
  await page.getByRole('heading', { name: 'Where they part' }).waitFor();
  // Both as a whole on one scale, the parts that differ in the accent, with the number that stands before
  // what is said of them.
  await page.waitForFunction(
    () => document.querySelectorAll('svg path[fill="var(--pause-collect)"]').length > 4,
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

test('what the server refuses is shown, and so is the record as it is', async () => {
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
