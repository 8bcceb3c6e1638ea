import { begin, onRecord } from '../../forager';
import type { Rig } from '../../rig';
import { rig, setUp } from './kit';

jest.setTimeout(120_000);
setUp();

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
      await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
      await onRecord(page, id, (record) => record.targets.length === 1);
    },
  );
});

test('a server that sends nonsense is not believed', async () => {
  await withRoute('/me', { status: 200, body: { id: 7 } }, async (page) => {
    await page.goto('/finds');
    await page.getByText('Nothing has been found yet').waitFor();
    await page.unroute('**/api/v1/me');
    await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
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
  await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  expect(await card.count()).toBe(0);
  await page.getByRole('link', { name: 'Poisoning', exact: true }).click();
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
  await page.getByRole('link', { name: 'Poisoning' }).click();
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
  await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  // From now on nothing more of the application comes.
  const programs = '**/_expo/static/js/**';
  await page.route(programs, (route) => route.abort());
  await page.getByRole('link', { name: 'Week', exact: true }).click();
  await page.getByRole('heading', { level: 1, name: 'This screen did not load' }).waitFor();
  await page.getByRole('link', { name: 'Start', exact: true }).click();
  await page.getByRole('button', { name: 'A new find' }).waitFor();
  await page.goBack();
  await page.getByRole('heading', { level: 1, name: 'This screen did not load' }).waitFor();
  expect(await page.getByRole('link', { name: 'Poisoning', exact: true }).count()).toBe(1);
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
    .getByRole('link', { name: /Penny bun Left/ })
    .first()
    .waitFor();
  await context.close();
});

test('a find that is neither here nor reachable says so, and can be opened when it is', async () => {
  const { page, context } = await rig.open();
  await page.goto('/');
  await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  await page.route('**/api/v1/**', (route) => route.abort());
  await page.goto('/find/demo-find-nowhere/check');
  await page.getByText('It is not on this device, and the server does not answer.').waitFor();
  await page.unroute('**/api/v1/**');
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.getByText('There is no such find').waitFor();
  await context.close();
});
