import type { Page } from 'playwright-core';
import type { FindRecord } from '@pause/core';
import { begin } from '../../forager';
import { PHONE, quiet } from '../../rig';
import { rig, heading, button, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

const chosen = (page: Page, name: string) => page.getByRole('radio', { name, checked: true }).waitFor();
test('a walk is planned, works without a connection, prints on a page; own weather is read or refused', async () => {
  const { page, context, errors } = await rig.open(PHONE, true);
  await page.goto('/week');
  await heading(page, 'Last chance').waitFor();
  await quiet(page);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await heading(page, 'Last chance').waitFor();
  await button(page, 'Plan a walk').click();
  await page.waitForURL(/\/walk\/[0-9a-f-]{36}$/);
  const day = page.getByLabel('On which day');
  for (const [typed, problem] of [
    ['2026-02-31', 'a day that the calendar has'],
    ['1 May 1999', 'a day from 2026-01-01 to 2027-12-31'],
    ['17', 'a day like 31 October 2026, 31.10.2026 or 2026-10-31'],
  ] as const) {
    await day.fill(typed);
    await day.blur();
    await page.getByText(problem, { exact: true }).waitFor();
  }
  await day.fill('20 September');
  await day.blur();
  await page.getByRole('heading', { level: 1, name: '20 September 2026' }).waitFor();
  for (const [label, typed, time] of [
    ['When do you set out?', '8:30', '08:30'],
    ['Back by', '17', '17:00'],
  ] as const) {
    await page.getByLabel(label).fill(typed);
    await page.getByLabel(label).blur();
    await page.waitForFunction(
      ([of, to]) =>
        [...document.querySelectorAll('input')].some(
          (input) => input.getAttribute('aria-label') === of && input.value === to,
        ),
      [label, time] as const,
    );
  }
  await page.getByRole('group', { name: 'Where to' }).getByText('Spruce above the Karrow spring').click();
  await page.getByRole('group', { name: 'Where to' }).getByText('Hedge on the mill lane').click();
  await page
    .getByRole('group', { name: /^For what/ })
    .getByText(/^Hazel/)
    .click();
  await page.getByRole('group', { name: 'Who goes along' }).getByText('A child').click();
  await page.getByLabel('Who knows where you are?').fill('Tam, at the mill');
  await page.getByLabel('Who knows where you are?').blur();
  await page.getByRole('checkbox', { name: 'A child', checked: true }).waitFor();
  await quiet(page);
  await context.setOffline(true);
  await page.reload();
  await button(page, 'Print it').waitFor();
  await heading(page, '20 September 2026').waitFor();
  await page.getByText('Tam, at the mill knows where you are.').waitFor();
  await page.getByText(/sunrise 06:5\d · sunset 19:1\d/).waitFor();
  await page.getByRole('list', { name: 'The order of the places' }).getByRole('listitem').nth(1).waitFor();
  await page.getByText(/^\d+ checks, about/).waitFor();
  for (const item of ['Whistle', 'Box for fruit', 'Long sleeves and trousers'])
    await page.getByRole('list', { name: 'What to bring' }).getByText(item).waitFor();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  await context.setOffline(false);

  await page.goto('/week');
  const load = async (text: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      button(page, 'Load weather').click(),
    ]);
    await chooser.setFiles({ name: 'station.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await load('# elevation_m: 640\ndate,tmin,tmax_c,rain_mm\n2025-01-01,1,2,0\n');
  await page.getByText(/^tmin_c or tmin_f: there is no column/).waitFor();
  const days = Array.from({ length: 365 + 256 }, (_, day) =>
    new Date(Date.UTC(2025, 0, 1 + day)).toISOString().slice(0, 10),
  );
  await load(
    `# elevation_m: 640\ndate,tmin_c,tmax_c,rain_mm\n${days
      .filter((_, at) => at !== 40)
      .map(
        (day, at) =>
          `${day},${(8 - 9 * Math.cos((2 * Math.PI * at) / 365)).toFixed(1)},${(18 - 9 * Math.cos((2 * Math.PI * at) / 365)).toFixed(1)},${at % 5 === 0 ? 9 : 0}`,
      )
      .join('\n')}\n`,
  );
  await page
    .getByText('Weather from 1 January 2025 to 13 September 2026 is in use on this device.')
    .waitFor();
  await page.getByText('One day was missing and filled in.').waitFor();
  await page.getByText(/By the weather that you loaded/).waitFor();
  await page.reload();
  await page.getByText(/By the weather that you loaded/).waitFor();
  await button(page, 'Forget the weather that was loaded').click();
  await page.getByText(/the demo’s valley has made-up weather/).waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('who eats along colours the week', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/eaters');
  await page.getByLabel('What you call them').fill('Guest Ilse');
  await button(page, 'Put them down').click();
  await page
    .getByRole('group', { name: 'What Guest Ilse has to mind' })
    .getByText('With an allergy to apiaceae')
    .click();
  // Own words are minded as well: nobody has looked at them, and that is said.
  await page.getByLabel(/^Anything else Guest Ilse has to mind/).fill('grapefruit tablets');
  await button(page, 'Mind it').click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Guest Ilse' })
    .getByText(/^with an allergy to apiaceae, besides: grapefruit tablets/)
    .waitFor();
  await page.goto('/week');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Chanterelle' })
    .getByText(
      'Ask first for Guest Ilse: the guide has not looked at “grapefruit tablets”. Ask a doctor or pharmacist.',
    )
    .first()
    .waitFor();
  // What is never collected is not in it: it stands apart, with the reason.
  await expect(page.getByRole('listitem').filter({ hasText: 'Caraway' }).count()).resolves.toBe(0);
  await button(page, /^Not with Pause, and why/).click();
  await page.getByRole('list', { name: 'Not with Pause, and why' }).getByText('Caraway').waitFor();
  const id = await begin(page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'Spruce above the Karrow spring');
  await page
    .getByRole('group', { name: 'Who will eat it?' })
    .getByText('As at home: Guest Ilse, Lune, Mirel')
    .click();
  await page.getByRole('radio', { name: /^As at home/, checked: true }).waitFor();
  await quiet(page);
  expect(
    ((await (await context.request.get(`/api/v1/finds/${id}`)).json()) as FindRecord).context.eaters?.map(
      ({ name }) => name,
    ),
  ).toEqual(['Guest Ilse', 'Lune', 'Mirel']);
  // Only in one's own notebook; in a find of the group nobody at home is offered.
  await page.goto('/find/demo-find-4/around');
  await page.getByText('May you pick here?').first().waitFor();
  await expect(page.getByText(/^As at home/).count()).resolves.toBe(0);
  const shown = await (
    await context.request.get('/api/v1/sync/pull?stream=g:ostrel-walkers&most=1000')
  ).text();
  expect(shown).not.toContain('Ilse');
  await context.close();
});

test('two keepers’ offline devices agree on the rules, field by field; earlier values stay visible', async () => {
  const [one, two] = [await rig.open(PHONE), await rig.open(PHONE)];
  for (const { page } of [one, two]) {
    await page.goto('/group/ostrel-walkers');
    await heading(page, 'Its rules').waitFor();
    await quiet(page);
  }
  await two.context.setOffline(true);
  const bars = (page: Page, count: string) => page.getByRole('radio', { name: `${count} bars` });
  await bars(two.page, '5').click();
  await chosen(two.page, '5 bars');
  await one.page.waitForTimeout(50);
  await bars(one.page, '4').click();
  await one.page.getByRole('group', { name: 'The family as a hint' }).getByText('Each by itself').click();
  await quiet(one.page);
  await two.context.setOffline(false);
  await two.page.evaluate(() => window.dispatchEvent(new Event('online')));
  for (const { page } of [one, two]) {
    await page
      .getByRole('list', { name: 'How it came about' })
      .getByText('More bars: 2 more for what is deadly')
      .waitFor();
    await page
      .getByRole('list', { name: 'How it came about' })
      .getByText('More bars: 1 more for what is deadly')
      .waitFor();
    await chosen(page, '4 bars');
    await page
      .getByRole('listitem')
      .filter({ hasText: '2 more for what is deadly' })
      .getByText(/something else was recorded since/)
      .waitFor();
    await chosen(page, 'Each by itself');
  }
  await one.context.close();
  await two.context.close();
});

test('a find’s note is written over on two devices, and the earlier one stays visible', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/find/demo-find-1');
  const note = page.getByLabel('A note on this find');
  await note.fill('Two litres in an hour.');
  await note.blur();
  await note.fill('Two litres in an hour, with Lune.');
  await note.blur();
  await page.getByText('Before: “Two litres in an hour.”.').waitFor();
  await quiet(page);
  const other = await rig.open(PHONE);
  await other.page.goto('/find/demo-find-1');
  await other.page.waitForFunction(() =>
    [...document.querySelectorAll('textarea')].some(
      ({ value }) => value === 'Two litres in an hour, with Lune.',
    ),
  );
  await other.context.close();
  await context.close();
});
