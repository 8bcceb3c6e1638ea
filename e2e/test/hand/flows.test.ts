import type { Page } from 'playwright-core';
import { answerQuestion, questionOn } from '../../answering';
import { guide, onRecord, outcome } from '../../forager';
import { sayStage, suppose, tellRest } from '../../tasks/steps';
import { IN_BROWSER, type Thumb, thumbOf } from '../../thumb';
import { button, rig, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

/** Answers what is asked as this taxon usually shows it, until `done`; what it does not show cannot be told. */
async function answerUntil(
  thumb: Thumb,
  taxon: string,
  stage: string,
  done: () => Promise<boolean>,
): Promise<number> {
  const { page } = thumb;
  for (let answers = 0; answers < 25; answers += 1) {
    await page.locator('[aria-busy="true"]').first().waitFor({ state: 'detached' });
    const gloves = button(page, 'They are on');
    if (await gloves.isVisible()) await thumb.tap(gloves);
    if (await done()) return answers;
    await answerQuestion(thumb, taxon, stage);
  }
  throw new Error('no end of questions');
}

const findOn = (page: Page) => /find\/([^/]+)/.exec(page.url())?.[1] ?? '';
async function start(): Promise<{ thumb: Thumb; page: Page; close: () => Promise<void> }> {
  const { page, context } = await rig.open(IN_BROWSER);
  await page.goto('/');
  await button(page, 'A new find').waitFor();
  return { thumb: thumbOf(page), page, close: () => context.close() };
}

test('without a name: stage and five looks without a scroll, then the right name is among the candidates', async () => {
  const { thumb, page, close } = await start();
  await thumb.tap(button(page, 'A new find'));
  await thumb.tap(page.getByRole('radio', { name: /^Low shrub: / }));
  await thumb.tap(button(page, 'I have no name for it yet'));
  await page.waitForURL(/\/name$/);
  const before = thumb.scrolls();
  await sayStage(thumb, 'In fruit');
  let answers = 0;
  await answerUntil(thumb, 'vaccinium-myrtillus', 'fruiting', () => Promise.resolve((answers += 1) > 5));
  expect(thumb.scrolls() - before).toBe(0);
  await thumb.tap(button(page, 'Show all candidates'));
  await page
    .getByText(/^Bilberry/)
    .first()
    .waitFor();
  // What stays without a name can be left, and is on record as left.
  await thumb.hold(button(page, /^I leave it/));
  await page.getByText(/ · without a name$/).waitFor();
  const { decisions } = await onRecord(page, findOn(page), (record) => record.decisions.length > 0);
  expect(decisions).toMatchObject([{ choice: 'leave' }]);
  await close();
});

test('a dangerous one: it is identified without a scroll, and marked at its place for the others', async () => {
  const { thumb, page, close } = await start();
  await suppose(thumb, /^Umbels: /, 'Conium', /Conium maculatum/);
  const before = thumb.scrolls();
  await sayStage(thumb, 'In flower');
  const identified = page.getByRole('heading', { name: 'This is hemlock', level: 2 });
  const answers = await answerUntil(thumb, 'conium-maculatum', 'flowering', () => identified.isVisible());
  expect(answers).toBeLessThanOrEqual(12);
  expect(thumb.scrolls() - before).toBe(0);
  expect(await outcome(page)).toBe('Leave');
  // Nothing is asked of place, condition and eaters, and no word is said of collecting.
  expect(await page.getByRole('group', { name: 'May you pick here?' }).count()).toBe(0);
  expect(await page.getByText(/collect/i).count()).toBe(0);
  const where = page.getByRole('group', { name: 'Where does it grow?' });
  await thumb.tap(where.getByText('Beech slope, Lower Ostrel', { exact: true }));
  await thumb.tap(button(page, 'Mark it at Beech slope, Lower Ostrel'));
  await page.getByText(/^Marked at Beech slope, Lower Ostrel\./).waitFor();
  await close();
});

test('a root: owner, count and patch come before anything is dug', async () => {
  const { thumb, page, close } = await start();
  await suppose(thumb, /^Herb: /, 'Symphytum', /Symphytum officinale/);
  await page.getByRole('link', { name: 'Place and condition' }).first().click();
  await page
    .getByRole('group', { name: 'May one be dug up for looking?' })
    .getByText('Yes', { exact: true })
    .click();
  const dig = page.getByRole('group', { name: 'Before you dig' });
  const go = dig.getByRole('button', { name: 'Dig one up' });
  const say = (title: string, answer: string) =>
    dig.getByRole('group', { name: title }).getByText(answer, { exact: true }).click();
  await say('How many stand here?', 'Tens');
  await say('Does the patch bear it?', 'Yes, it thrives');
  expect(await go.isDisabled()).toBe(true);
  await say('May you pick here?', 'Yes');
  await say('How many stand here?', 'Fewer than ten');
  expect(await go.isDisabled()).toBe(true);
  await say('How many stand here?', 'Tens');
  await go.click();
  const find = await onRecord(page, findOn(page), ({ context }) => context.mayDig === true);
  expect(find.context).toMatchObject({ permission: 'allowed', patchSize: 'tens', patchThrives: true });
  await close();
});

test('in a hedge: each shoot is followed to its root, and another one is asked for anew', async () => {
  const { thumb, page, close } = await start();
  await suppose(thumb, /^Shrub or tree: /, 'Corylus', /Corylus avellana/);
  await sayStage(thumb, 'In fruit');
  const settled = async () =>
    (await outcome(page)) !== 'Pause' || page.getByRole('heading', { name: 'Still open' }).isVisible();
  await answerUntil(thumb, 'corylus-avellana', 'fruiting', settled);
  await thumb.tap(page.getByRole('radio', { name: 'Others grow through it' }));
  const followed = page.getByRole('group', { name: 'Followed to one root?' });
  await followed.waitFor();
  await tellRest(thumb);
  const id = findOn(page);
  await onRecord(page, id, ({ context }) => context.tracedToBase === true);
  await thumb.tap(button(page, 'Another piece, or another name'));
  await thumb.tap(button(page, 'Start again on another piece'));
  await onRecord(
    page,
    id,
    ({ context, pieces }) => pieces.length === 2 && context.tracedToBase === undefined,
  );
  await close();
});

test('with a child: what is cut waits for an adult, and looking goes on without one', async () => {
  const { thumb, page, close } = await start();
  await page.evaluate(() => {
    const look = JSON.parse(localStorage.getItem('pause:look') ?? '{}') as object;
    localStorage.setItem('pause:look', JSON.stringify({ ...look, child: true }));
  });
  await page.goto('/find/demo-find-5/check?ask=flesh.colour');
  const waits = page.getByRole('group', { name: 'This one is for an adult' });
  await waits.waitFor();
  expect(await page.getByRole('group', { name: 'Answers' }).count()).toBe(0);
  await thumb.tap(button(page, 'Only look'));
  await page.getByRole('group', { name: 'Answers' }).waitFor();
  const asked = await questionOn(page);
  const methods = guide.characters.filter(({ character }) => character.question === asked);
  expect(methods.map(({ character }) => character.damage)).not.toContain('part');
  await page.goto('/find/demo-find-5/check?ask=flesh.colour');
  await thumb.tap(button(page, 'An adult is here and makes it'));
  await page.getByRole('group', { name: 'Answers' }).waitFor();
  await close();
});

test('what a verdict leaves open leads to where it is closed', async () => {
  const { thumb, page, close } = await start();
  await page.goto('/find/demo-find-5/verdict');
  const open = page.getByRole('list', { name: 'Still open' });
  await open.waitFor();
  const [first] = await open.getByRole('link').allTextContents();
  await thumb.tap(page.getByRole('button', { name: /^What would change it: / }));
  await page.waitForURL(/check/);
  expect(first?.toLowerCase()).toContain('underside');
  await page.getByRole('heading', { name: 'Turn it over. What is underneath?' }).waitFor();
  await page.goBack();
  await open.getByRole('link', { name: /^Shape of the cap/ }).click();
  await page.getByRole('heading', { name: /cap/, level: 2 }).first().waitFor();
  expect(await questionOn(page)).toBe(
    guide.characters.find(({ id }) => id === 'cap.shape')?.character.question,
  );
  await close();
});
