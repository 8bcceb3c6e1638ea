import type { Page } from 'playwright-core';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { strip, outcome, seen, onceSeen, toPlaceAndCondition } from '../../forager';
import { quiet, WIDE } from '../../rig';
import { FIVE, shortestPath } from '../../taps';
import { IN_BROWSER } from '../../thumb';
import { rig, button, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

const guide = compileGuide(shippedGuide());
test('five targets settled on the shortest way: twenty-one taps at most, and no scroll', async () => {
  for (const [target, stage] of FIVE) {
    const { page, context } = await rig.open(IN_BROWSER);
    const path = await shortestPath(page, guide, target, stage);
    expect(path).toMatchObject({ target, outcome: 'Collect' });
    expect(path.taps).toBeLessThanOrEqual(21);
    expect(path.scrolls).toBe(0);
    expect(path.seconds).toBeLessThan(60);
    await context.close();
  }
});

test('who eats along is asked: with an allergy in question, one answer for all does not lead on', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/new');
  const castanea = guide.taxon('castanea-sativa')!;
  const plan = guide.guide.bodyPlans.find(({ id }) => id === castanea.taxon.bodyPlan)!;
  await page.getByRole('radio', { name: `${plan.name}: ${plan.hint}` }).click();
  await button(page, /^Sweet chestnut.*Castanea sativa/).click();
  await toPlaceAndCondition(page);
  await page.getByRole('checkbox', { name: 'In fruit' }).click();
  await button(page, /^I may pick here, nothing spoils/).click();
  await page.getByRole('radio', { name: 'Yes', checked: true }).waitFor();
  await page
    .getByText('Still open: for whom it is not, nobody has asked. The cautions stand with the verdict.')
    .waitFor();
  // It waits, however long the verdict has been there.
  await page.waitForTimeout(500);
  expect(page.url()).toMatch(/around/);
  await page.getByRole('checkbox', { name: 'With an allergy to nuts' }).click();
  await page.waitForURL(/check$/);
  expect(errors).toEqual([]);
  await context.close();
});

/** Moves the focus with Tab alone until it is on what has this name, as a screen reader says it. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let step = 0; step < 160; step += 1) {
    const here = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    );
    if (name.test(here)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`no way to ${String(name)} by the Tab key`);
}

test('a whole check by the keyboard alone', async () => {
  const { page, context } = await rig.open(WIDE);
  await page.goto('/');
  await button(page, 'A new find').waitFor();
  const go = async (name: RegExp) => {
    await tabTo(page, name);
    await page.keyboard.press('Enter');
  };
  await go(/^A new find/);
  await page.getByRole('radiogroup').first().waitFor();
  await go(/^Ridges: /);
  await go(/^Chanterelle.*Cantharellus/);
  await page.waitForURL(/check$/);
  await go(/^Open$/);
  await go(/^Tell$/);
  await page.waitForURL(/around/);
  await go(/^No, looked up/);
  await go(/^I may pick here/);
  await page.waitForURL(/check$/);
  await strip(page).waitFor();
  await page.keyboard.press('?');
  await page.getByRole('dialog', { name: 'Keys' }).waitFor();
  await page.keyboard.press('?');
  const target = guide.taxon('cantharellus-cibarius')!;
  for (let step = 0; step < 16 && (await outcome(page)) === 'Pause'; step += 1) {
    const question =
      (await page
        .getByRole('heading', { level: 2 })
        .filter({ hasText: /\?$|\.$/ })
        .first()
        .textContent()) ?? '';
    const asked = guide.characters.find((c) => c.character.question === question)!;
    const known = target.atStage.get(asked.index)?.get('mature' as never);
    const place =
      known?.kind === 'states'
        ? [...asked.stateBit].findIndex(([, bit]) => (bit & known.typical) !== 0) + 1
        : 0;
    const before = await seen(page);
    await page.keyboard.press(place > 0 && place <= 10 ? String(place % 10) : 'u');
    await onceSeen(page, before);
  }
  expect(await outcome(page)).toBe('Collect');
  // Taken back by one key, and put forward again.
  await page.keyboard.press('z');
  await page.getByRole('status', { name: /^Pause\. / }).waitFor();
  await go(/^Undo: /);
  await page.getByRole('status', { name: /^Collect\. / }).waitFor();
  await go(/^See the verdict/);
  await page.waitForURL(/verdict$/);
  await context.close();
});

test('no name yet: what is dangerous stays in view, and from a candidate to its check it is one step', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/new');
  await page.getByRole('radio', { name: /^Gills: / }).click();
  await button(page, 'I have no name for it yet').click();
  await page.waitForURL(/name$/);
  const danger = page.getByRole('status').filter({ hasText: /dangerous/ });
  await danger.waitFor();
  const fitting = async () => Number(/^\d+/.exec((await danger.textContent()) ?? '')?.[0] ?? 0);
  const atFirst = await fitting();
  expect(atFirst).toBeGreaterThan(8);
  await button(page, 'Open').click();
  const target = guide.taxon('lactarius-deliciosus')!;
  for (let step = 0; step < 4; step += 1) {
    const card = page
      .getByRole('heading', { level: 2 })
      .filter({ hasText: /\?$|\.$/ })
      .first();
    await card.waitFor();
    const question = (await card.textContent()) ?? '';
    const asked = guide.characters.find((c) => c.character.question === question)!;
    const known = target.atStage.get(asked.index)?.get('mature' as never);
    const before = await seen(page);
    const state =
      known?.kind === 'states'
        ? [...asked.stateBit].find(([, bit]) => (bit & known.typical) !== 0)?.[0]
        : undefined;
    const label =
      'states' in asked.character ? asked.character.states.find((s) => s.id === state)?.label : undefined;
    if (label)
      await page
        .getByRole('group', { name: 'Answers' })
        .getByRole('button', { name: label, exact: true })
        .click();
    else await button(page, /^Can’t tell/).click();
    await onceSeen(page, before);
  }
  expect(await fitting()).toBeLessThan(atFirst);
  await button(page, 'Show all candidates').click();
  await button(page, 'Choose: saffron milkcap').click();
  await button(page, 'I take it for this: check it').click();
  await page.waitForURL(/check$/);
  await page.getByRole('heading', { name: 'Is it saffron milkcap?' }).waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('a name can stay open: kept, and never collected', async () => {
  const { page, context } = await rig.open();
  await page.goto('/new');
  await page.getByRole('radio', { name: /^Gills: / }).click();
  await button(page, 'I have no name for it yet').click();
  await page.waitForURL(/name$/);
  await button(page, 'Can’t tell').click();
  await page.getByRole('group', { name: 'Answers' }).getByRole('button').first().click();
  await button(page, 'Show all candidates').click();
  await button(page, /^Genus only: /).click();
  await page.waitForURL(/find\/[^/]+$/);
  await page.getByText(/^genus \w+ only$/).waitFor();
  expect(await button(page, /collect it/).count()).toBe(0);
  await context.close();
});

test('the guide: a name in another language, a name of two taxa, a page, a pair, a card for paper', async () => {
  const { page, context } = await rig.open();
  await page.goto('/guide');
  await page.getByLabel('Name, in any language, or scientific').fill('Bärlauch');
  // Until the list is the short one and its drawings are there, a press may begin on one line and end on another.
  await page.getByRole('link', { name: /^Death cap / }).waitFor({ state: 'detached' });
  await quiet(page);
  await page.getByRole('link', { name: /^Ramsons / }).click();
  await page.waitForURL(/taxon\/allium-ursinum$/);
  await page.getByRole('heading', { name: 'Ramsons', level: 1 }).waitFor();
  // One large plate by stage, with numbers that say what is stated; swiped, or stepped through.
  const numbers = page.getByRole('group', { name: 'In flower' }).getByRole('button');
  await numbers.first().click();
  await page.getByRole('status').getByText('one of its sure signs', { exact: false }).waitFor();
  expect(await numbers.count()).toBeGreaterThan(4);
  await page.getByRole('group', { name: 'In flower' }).evaluate((plate) => {
    let row = plate.parentElement;
    while (row && row.scrollWidth <= row.clientWidth) row = row.parentElement;
    row?.scrollTo({ left: 0 });
  });
  await page.getByRole('group', { name: 'Leaves only' }).getByRole('button').first().waitFor();
  await button(page, 'Then: In flower').click();
  await numbers.first().waitFor();
  await page.getByRole('link', { name: /^Lily of the valley/ }).click();
  await page.getByRole('heading', { name: 'Where they part' }).waitFor();
  await page.goBack();
  await button(page, 'Pocket card').click();
  await page.getByRole('article', { name: 'Pocket card of Ramsons' }).waitFor();
  // On paper: nothing to press, and all of it.
  await page.emulateMedia({ media: 'print' });
  expect(await button(page, 'Print it').isVisible()).toBe(false);
  const shown = await page
    .getByRole('article')
    .evaluate((e) => e.getBoundingClientRect().bottom <= (document.scrollingElement?.scrollHeight ?? 0) + 1);
  expect(shown).toBe(true);
  await page.emulateMedia({ media: 'screen' });
  await page.goto('/taxon/no-such-thing');
  await page.getByText('Not in this guide').waitFor();
  await context.close();
});

test('the rest of a patch is counted, a slip taken back, and a stray becomes a find of its own', async () => {
  const { page, context } = await rig.open();
  await page.goto('/find/demo-find-1/pieces');
  await button(page, /^Passes/).click();
  await button(page, /^Passes/).click();
  await page.getByRole('status', { name: '2 passed, 0 odd ones' }).waitFor();
  await button(page, 'Take back').click();
  await page.getByRole('status', { name: '1 passed, 0 odd ones' }).waitFor();
  await button(page, /^An odd one/).click();
  await page.waitForURL(/name$/);
  await page.getByText(/Odd one among the pieces of find 1/).waitFor();
  await page.goto('/find/demo-find-1');
  await page.getByText('Piece by piece: 1 passed, 1 odd one.').waitFor();
  await context.close();
});
