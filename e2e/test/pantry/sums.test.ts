import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { WIDE, quiet, PHONE } from '../../rig';
import { rig, press, fill, sent, saved, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

test('sums in units of a kitchen, wide: what cannot be is refused, what keeps too short is reported', async () => {
  const { page, context, errors } = await rig.open(WIDE);
  await page.goto('/batch/new?from=demo-batch-5e20c7a1');
  await page.getByRole('checkbox', { name: /^Bilberry syrup/, checked: true }).waitFor();
  await page.getByRole('textbox', { name: /^How much of it goes in/ }).fill('200');
  await page.getByRole('radio', { name: 'Put it in spirit' }).click();
  await press(page, 'Begin');
  await page.getByRole('heading', { name: /^Bilberry, in spirit$/ }).waitFor();
  await fill(page, 'The plant weighs', '200');
  await page.getByText('a number and a unit, like 250 g or 1 1/2 cups').waitFor();
  await fill(page, 'The plant weighs', '2 cups');
  await page.getByText('a weight, not cups: weigh it').waitFor();
  await fill(page, 'The plant weighs', '1/2 lb');
  await page.getByText('Fresh', { exact: true }).click();
  await page.getByText('1 : 2', { exact: true }).click();
  await fill(page, 'The spirit has, % vol', '140');
  await page.getByText('above 0, and no more than 100').waitFor();
  await fill(page, 'The spirit has, % vol', '40');
  await fill(page, 'It shall have, % vol', '38');
  const sum = page.getByRole('status', { name: 'Spirit and water' });
  await sum.getByText('So strong it does not get').waitFor();
  await fill(page, 'It shall have, % vol', '20');
  await sum.getByText(/of spirit \(.*\) and .* of water$/).waitFor();
  await page.getByText('Below 25 % it does not keep by alcohol alone.').waitFor();
  await page
    .getByRole('list', { name: 'What to mind' })
    .getByText(/a week, in the fridge/)
    .waitFor();
  // A timer that was started runs on while the page is away.
  await press(page, /^Start 28 days$/);
  await page.getByRole('list', { name: 'Timers' }).getByText('28 days', { exact: true }).waitFor();
  await quiet(page);
  await page.reload();
  await page.getByRole('list', { name: 'Timers' }).getByText('28 days', { exact: true }).waitFor();
  await page
    .getByRole('list', { name: 'What it comes from' })
    .getByText(/^Bilberry syrup$/)
    .waitFor();
  await page
    .getByRole('list', { name: 'What Bilberry syrup comes from' })
    .getByText('Bilberry, ripe berries')
    .waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('a first taste: one grown person, one thing at a time; a sign ends it and is minded from then on', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await page.goto('/taste?of=demo-batch-5e20c7a1');
  await page.getByRole('group', { name: 'Who tastes' }).getByText('Lune', { exact: true }).click();
  await page.getByRole('alert').getByText('A child is not the one who tries something new.').waitFor();
  await page.getByRole('group', { name: 'Who tastes' }).getByText('Grandfather Osk', { exact: true }).click();
  await press(page, 'Grandfather Osk has tasted it, now');
  await page.getByRole('status', { name: 'Waiting' }).getByText('Another 24 hours').waitFor();
  await press(page, 'Nothing so far');
  await fill(page, 'In words', 'Itching');
  await press(page, 'On the skin');
  await page.getByRole('alert').getByText('No more of it', { exact: true }).waitFor();
  await page
    .getByRole('group', { name: 'What Grandfather Osk minds from now on' })
    .getByText('No more bilberry')
    .click();
  await press(page, 'It is over, and was not for them');
  await page.getByText(/^Something was felt: it is not for them\./).waitFor();
  await sent(page);
  await page.goto('/eaters');
  await page.getByText(/not bilberry/).waitFor();
  // What is given away carries a note, and a name to warn.
  await page.goto('/portion?of=demo-batch-5e20c7a1&what=gift');
  await page.getByRole('textbox', { name: /^How much of it, in millilitres/ }).fill('100');
  await fill(page, 'Who has it now', 'The miller');
  await press(page, 'It was given');
  await page.getByRole('article', { name: 'A note to hand over' }).getByText('For The miller').waitFor();
  // No fungus is eaten where it stands; of a plant that was decided a bite is a meal.
  await page.goto('/portion?find=demo-find-3');
  await page.getByText(/no fungus is eaten where it is picked/).waitFor();
  await page.goto('/portion?find=demo-find-1');
  await page.getByRole('checkbox', { name: 'Some, not weighed' }).click();
  await page.getByRole('group', { name: 'Who ate' }).getByText('Mirel', { exact: true }).click();
  await press(page, 'It was eaten');
  await page
    .getByRole('heading', { name: /^A find, eaten by Mirel|^Bilberry, eaten by Mirel|eaten by Mirel$/ })
    .waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

const OWN_TABLE = 'What,Seen,Where\nchanterelle,14.9.2026,Ridge end\n';

test('the logbook goes out and comes in again, on another device and as another person', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await page.goto('/logbook');
  await page.getByRole('list', { name: 'The year in numbers' }).getByText('Finds', { exact: true }).waitFor();
  const [whole = '', table = '', occurrences = ''] = [
    await saved(page, 'Save it whole'),
    await saved(page, 'As a table'),
    await saved(page, 'As occurrences'),
  ].map((file) => readFileSync(file, 'utf8'));
  expect((JSON.parse(whole) as { format: string }).format).toBe('pause-export/1');
  expect(occurrences).toMatch(/^occurrenceID,basisOfRecord,/);
  expect(occurrences).toContain('Vaccinium myrtillus');
  const takeIn = async (where: Page, name: string, text: string) => {
    const [chooser] = await Promise.all([where.waitForEvent('filechooser'), press(where, 'Take a file in')]);
    await chooser.setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
    return where.getByRole('status', { name: 'What was taken in' });
  };
  await (await takeIn(page, 'all.json', whole)).getByText('Nothing in it is new here.').waitFor();
  await (
    await takeIn(page, 'x.json', '{ "format": "other" }')
  )
    .getByText(/^It is no export of Pause/)
    .waitFor();
  await (await takeIn(page, 'x.csv', 'only a line')).getByText(/^It is none of the formats/).waitFor();
  // Of any other table somebody says which column is what; what is likely is chosen.
  const remarks = await takeIn(page, 'own.csv', OWN_TABLE);
  const columns = page.getByRole('group', { name: 'Which column is what?' });
  expect(await columns.getByRole('button', { name: 'Take it in' }).isDisabled()).toBe(true);
  const takeSeen = async () => {
    await columns.getByRole('group', { name: 'Day' }).getByText('Seen', { exact: true }).click();
    await columns.getByRole('button', { name: 'Take it in' }).click();
  };
  await takeSeen();
  await remarks.getByText('3 entries were taken', { exact: false }).waitFor();
  await takeIn(page, 'own.csv', OWN_TABLE);
  await takeSeen();
  await remarks.getByText('Nothing in it is new here.').waitFor();
  await (
    await takeIn(page, 'x.csv', 'eventDate,scientificName\nyesterday,Vaccinium myrtillus')
  )
    .getByText('line 2, eventDate: a day like 2026-09-14, or an instant of ISO 8601.')
    .waitFor();
  expect(errors).toEqual([]);
  await context.close();

  // Without an account, on a device of its own, it becomes that one's notebook.
  const other = await rig.open(PHONE, false, false);
  await other.page.goto('/logbook');
  await (await takeIn(other.page, 'all.json', whole)).getByText(/^\d+ entries were taken\.$/).waitFor();
  await other.page.goto('/pantry');
  await other.page.getByRole('list', { name: 'On the shelf' }).getByText('Bilberry syrup').waitFor();
  expect(other.errors).toEqual([]);
  await other.context.close();
  const third = await rig.open(PHONE, false, false);
  await third.page.goto('/logbook');
  await (await takeIn(third.page, 'all.csv', table)).getByText(/^\d+ entries were taken\.$/).waitFor();
  await third.page.goto('/pantry');
  await third.page.getByText('Bilberry syrup').first().waitFor();
  await third.page.goto('/logbook');
  await (await takeIn(third.page, 'occ.csv', occurrences)).getByText('Nothing in it is new here.').waitFor();
  await third.context.close();
});
