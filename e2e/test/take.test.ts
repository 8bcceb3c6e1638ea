/**
 * From collect to how much: four ceilings answered one by one, a wrong number refused, what was taken before
 * counted, and the person's own steps.
 */
import type { Page } from 'playwright-core';
import { PHONE, quiet, startRig, type Rig } from '../rig';

jest.setTimeout(180_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

const answer = (page: Page) => page.getByRole('status', { name: 'How much to take' });
const ceiling = (page: Page, name: string) =>
  page.getByRole('list', { name: 'The four ceilings' }).getByRole('listitem').filter({ hasText: name });
async function tell(page: Page, label: string | RegExp, value: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: typeof label === 'string' });
  await field.fill(value);
  await field.blur();
}
const HOW_MANY = /^How many, counted one by one/;

test('the four ceilings, answered one by one offline, decide how much; what was taken counts next time', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await page.goto('/find/demo-find-1');
  await page.getByRole('button', { name: 'How much to take, and how' }).click();
  // The place of this find allows it; nobody recorded anything else.
  await ceiling(page, 'What is allowed').getByText('As much as you like').waitFor();
  await ceiling(page, 'What the patch bears').getByText('Nobody counted yet.').waitFor();
  await answer(page).getByText('Not known yet').waitFor();
  await quiet(page);

  await context.setOffline(true);
  await tell(page, 'Who eats', '4');
  await tell(page, 'Grams each time, made ready', '-5');
  await page.getByText('grams above nothing').waitFor();
  await tell(page, 'Grams each time, made ready', '150');
  await answer(page)
    .getByText(/^Take up to 600.g$/)
    .waitFor();
  await page.getByText(/^What you need decides: more is not needed\./).waitFor();
  await tell(page, HOW_MANY, '1,5');
  await page.getByText('a whole number from 0').waitFor();
  await tell(page, HOW_MANY, '600');
  await ceiling(page, 'What the patch bears')
    .getByText(/^2\d0.g$/)
    .waitFor();
  await page.getByText(/^What the patch bears decides/).waitFor();
  const first = await ceiling(page, 'What the patch bears').innerText();
  // One is heavier than was guessed: so is what the patch bears.
  await page.getByRole('button', { name: 'I weighed some' }).click();
  await page.getByLabel('So many').fill('100');
  await page.getByLabel('Weigh, in grams').fill('20000');
  // No unit is assumed; and berries that weigh 200 grams each are asked back.
  expect(await page.getByRole('button', { name: 'Put it down' }).isDisabled()).toBe(true);
  await page.getByRole('group', { name: 'Of what', exact: true }).getByText('pieces').click();
  await page.getByRole('button', { name: 'Put it down' }).click();
  await page
    .getByRole('alert')
    .getByText(/^Then one piece weighs 200.g; about 1.g is usual\. Is that right\?$/)
    .waitFor();
  await page.getByLabel('Weigh, in grams').fill('200');
  await page.getByRole('button', { name: 'Put it down' }).click();
  await page.getByText(/^A piece about 2 g/).waitFor();
  await page.waitForFunction(
    (was) =>
      ![...document.querySelectorAll('[aria-label="The four ceilings"] [role="listitem"]')].some(
        (one) => one.textContent.replace(/\s/g, '') === was.replace(/\s/g, ''),
      ),
    first,
  );
  await tell(page, 'Litres that fit', '0,5');
  await page.getByText(/^Basket and hands decides: the basket is full then\./).waitFor();

  await page.getByText('In squares', { exact: true }).click();
  await tell(page, 'How many in each square or strip', '4, 6, eight');
  await page.getByText('whole numbers with commas, of two squares or more').waitFor();
  await tell(page, 'How many in each square or strip', '4, 6, 8');
  await tell(page, 'How many such squares the patch is', '2');
  await page.getByText('a whole number, no fewer than were looked at').waitFor();
  await tell(page, 'How many such squares the patch is', '30');
  await page.getByText('About 180: in eight of ten cases from 118 to 242.').waitFor();

  // Counted by stage: of berries those that bear count; and what nothing follows bears less.
  await page.getByRole('radio', { name: 'By stage' }).click();
  await tell(page, 'Bearing', '-3');
  await page.getByText('a whole number from 0').waitFor();
  await tell(page, 'Bearing', '300');
  await page.getByText('About 300: in eight of ten cases from 270 to 330.').waitFor();
  await page.getByText(/^By how many are young, grown and bearing, it renews itself less/).waitFor();
  await tell(page, 'Young', '9000');
  await tell(page, 'Grown', '900');
  await page
    .getByText(/^By how many are young, grown and bearing, it renews itself less/)
    .waitFor({ state: 'detached' });
  await page.getByText('About 300: in eight of ten cases from 270 to 330.').waitFor();
  await page.getByText('It spreads where it does not belong', { exact: true }).click();
  await page.getByText(/all of it may go, and nothing of it is scattered/).waitFor();
  await page.getByText('Scatter nothing: it spreads by itself.').waitFor();
  await page.getByText('It spreads where it does not belong', { exact: true }).click();

  await page.getByRole('button', { name: 'A step of your own' }).click();
  await page.getByLabel(/^What you do besides/).fill('a word of thanks');
  await page.getByRole('button', { name: 'Put it down' }).click();
  await page.getByRole('list', { name: 'How to pick' }).getByText('A word of thanks').waitFor();

  await tell(page, 'How much', '600');
  await page
    .getByRole('alert')
    .getByText('Choose what it is measured in; until then it is not kept.')
    .waitFor();
  await page.getByRole('group', { name: 'Measured in' }).getByText('litres').click();
  await page
    .getByRole('alert')
    .getByText(/^600.litres of it weigh about \d+.kg\. Is that right\?$/)
    .waitFor();
  await tell(page, 'How much', '0.4');
  await page
    .getByRole('status')
    .getByText(/^Kept: 0.4.litres\.$/)
    .waitFor();
  await page.getByText('A quarter', { exact: true }).click();
  await page.getByText('One whole specimen is kept aside', { exact: true }).click();
  await context.setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await quiet(page);
  await page.reload();
  await page.getByText('About 300: in eight of ten cases from 270 to 330.').waitFor();
  await page.getByRole('list', { name: 'How to pick' }).getByText('A word of thanks').waitFor();
  await page.getByRole('checkbox', { name: 'One whole specimen is kept aside', checked: true }).waitFor();
  // The server has it: another device of the same person shows it.
  const other = await rig.open(PHONE);
  await other.page.goto(page.url());
  await other.page.getByText('About 300: in eight of ten cases from 270 to 330.').waitFor();
  await other.context.close();
  expect(errors).toEqual([]);
  await context.close();
});

test('of what is not collected, or was against the verdict, it is not said how much', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/find/demo-find-4/take');
  await page
    .getByRole('heading', { name: /^It is not collected|^It was collected against the verdict/ })
    .waitFor();
  expect(await page.getByRole('list', { name: 'The four ceilings' }).count()).toBe(0);
  await context.close();
});

test('at home each piece is looked at again: strays open finds, a deadly one puts all of it aside', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await page.goto('/find/demo-find-1');
  const collected = page.getByRole('button', { name: 'How much to take, and how' });
  await collected.click();
  await page.getByRole('button', { name: 'Look again at home' }).click();
  await page.getByRole('heading', { name: 'Look again' }).waitFor();
  const pieces = page.getByRole('textbox', { name: 'How many pieces lie there' });
  await pieces.fill('-4');
  await page.getByText('a whole number from 1').waitFor();
  await pieces.fill('80');
  await pieces.blur();
  const basket = page.getByRole('status', { name: 'The basket' });
  await basket.getByText('Nobody has gone through it yet.').waitFor();
  await quiet(page);
  await page.getByRole('button', { name: 'All of it is gone through' }).click();
  await basket.getByText(/Gone through once: no odd one\. That another one is left: one in \d+\./).waitFor();
  const odds = async () => Number(/one in ([\d,]+)/.exec(await basket.innerText())?.[1]?.replace(/,/g, ''));
  const once = await odds();
  await page.getByRole('button', { name: 'An odd one', exact: true }).click();
  await page.getByRole('button', { name: 'A leaf, a bit of moss' }).click();
  await page.getByRole('list', { name: 'Odd ones' }).getByText('One: no harm known').waitFor();
  await page.getByText('none so far this time').waitFor();
  await page.getByRole('button', { name: 'All of it is gone through' }).click();
  await basket.getByText(/Gone through twice: no odd one\./).waitFor();
  expect(await odds()).toBeGreaterThan(once);
  for (let pass = 0; pass < 12 && !(await basket.innerText()).startsWith('Gone through\n'); pass += 1) {
    await page.getByRole('button', { name: 'All of it is gone through' }).click();
    await page.getByRole('heading', { name: `Time ${pass + 4}` }).waitFor();
  }
  await basket.getByText('It never says that it is safe', { exact: false }).waitFor();

  await page.getByRole('button', { name: 'An odd one', exact: true }).click();
  await page.getByRole('button', { name: 'I can’t tell' }).click();
  await page.waitForURL(/\/find\/[0-9a-f-]{36}\/name/);
  await page.goto('/find/demo-find-1/sort');
  await page.getByRole('list', { name: 'Odd ones' }).waitFor();
  // What nobody can tell counts as the worst that the guide lists beside it.
  await basket.getByText('Put all of it aside').waitFor();
  await quiet(page);
  await page.getByRole('group', { name: 'What odd one 2 is' }).getByText('Unpleasant').click();
  await basket.getByText('Put all of it aside').waitFor({ state: 'detached' });

  // Recorded faster than the device keeps it, nothing is lost.
  const time = Number(/\d+/.exec(await page.getByRole('heading', { name: /^Time \d+$/ }).innerText())?.[0]);
  await page.getByRole('button', { name: 'All of it is gone through' }).evaluate((one: HTMLElement) => {
    for (let tap = 0; tap < 3; tap += 1) one.click();
  });
  await page.getByRole('heading', { name: `Time ${time + 3}` }).waitFor();
  expect(errors).toEqual([]);
  await context.close();
});
