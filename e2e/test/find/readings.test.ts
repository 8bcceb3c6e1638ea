import {
  begin,
  tell,
  FUNGUS_TOLD,
  outcome,
  onRecord,
  strip,
  answerAll,
  hold,
  openOtherChecks,
  onceSeen,
  seen,
} from '../../forager';
import { WIDE } from '../../rig';
import { rig, toVerdict, CHANTERELLE, setUp } from './kit';

jest.setTimeout(180_000);
setUp();

test('the smell and the skin of the cap are asked again, and each speaks against it', async () => {
  const { page, context } = await rig.open();
  const id = await begin(page, /^Ridges/, 'Cantharellus c', /^Chanterelle/, '');
  await tell(page, FUNGUS_TOLD);
  const choose = async (name: string, answer: string) => {
    await openOtherChecks(page);
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await page.getByRole('heading', { level: 2 }).first().waitFor();
    const gloves = page.getByRole('button', { name: 'They are on' });
    if (await gloves.isVisible()) await gloves.click();
    const before = await seen(page);
    await page.getByRole('button', { name: answer, exact: true }).click();
    await onceSeen(page, before);
  };
  const radish = 'Of radish or raw potato';
  await choose('Smell', radish);
  await page.getByText(/Smell speaks against chanterelle, seen once/).waitFor();
  expect(await outcome(page)).toBe('Pause');
  // It waits until the eye is fresh; whoever wants to look at once can.
  await openOtherChecks(page);
  await page.getByRole('button', { name: /^Smell/ }).click();
  await page.getByText('Look again', { exact: true }).waitFor();
  await page.getByRole('button', { name: radish, exact: true }).click();
  await onceSeen(page, 1);
  await page.getByRole('status', { name: /^Leave\. / }).waitFor();
  await page.getByText(/twice, and .* others fit everything seen/).waitFor();
  await choose('Skin of the cap', 'Slimy');
  await choose('Skin of the cap', 'Slimy');
  const find = await onRecord(page, id, (record) => record.readings.length === 4);
  expect(find.readings.map((r) => r.character)).toEqual(['smell', 'smell', 'cap.surface', 'cap.surface']);
  await toVerdict(page);
  await page
    .getByText(/^Skin of the cap speaks against chanterelle, twice/)
    .first()
    .waitFor();
  await context.close();
});

test('an answer taken back stays visible, is asked again, and gives its bar back', async () => {
  const { page, context } = await rig.open();
  await page.goto('/find/demo-find-5/check');
  const webcap = () => page.getByRole('button', { name: /^Deadly webcap/ }).getAttribute('aria-label');
  await strip(page).waitFor();
  const before = (await onRecord(page, 'demo-find-5', () => true)).withdrawals.length;
  const first = await webcap();
  await page.getByRole('button', { name: 'Blunt ridges, folds of the flesh itself' }).click();
  await page.getByRole('button', { name: /^Deadly webcap.*3 of 3/ }).waitFor();
  await page.getByRole('button', { name: 'Take back', exact: true }).click();
  await page.getByText('Look again: the answer was taken back.').waitFor();
  expect(await webcap()).toBe(first);
  await page.getByText('Underside · taken back').waitFor();
  // What comes after looks at the same find, on another device.
  await onRecord(page, 'demo-find-5', (find) => find.withdrawals.length === before + 1);
  await context.close();
});

test('unsure between two, a guess, and "can’t tell" give no bar', async () => {
  const { page, context } = await rig.open();
  await page.goto('/find/demo-find-5/check');
  await page.getByRole('button', { name: /^Deadly webcap.*2 of 3/ }).waitFor();
  await page.getByRole('button', { name: 'Other ways to answer' }).click();
  await page.getByRole('button', { name: 'Unsure between several' }).click();
  await page.getByRole('checkbox', { name: 'Blunt ridges, folds of the flesh itself' }).click();
  await page.getByRole('checkbox', { name: /^Thin gills/ }).click();
  await page.getByRole('button', { name: 'It is one of these' }).click();
  await page.getByText(/^Blunt ridges, folds of the flesh itself, or thin gills/).waitFor();
  await page.getByRole('button', { name: /^Deadly webcap.*2 of 3/ }).waitFor();
  await page.getByRole('radio', { name: 'Guess' }).click();
  await page.getByRole('group', { name: 'Answers' }).getByRole('button').first().click();
  await page.getByText(/· a guess/).waitFor();
  await page.getByRole('button', { name: /^Deadly webcap.*2 of 3/ }).waitFor();
  await context.close();
});

test('every address can be reloaded, and a wrong one says so', async () => {
  const { page, context, errors } = await rig.open(WIDE);
  for (const [path, text] of [
    ['/', 'Before you pick it'],
    ['/new', 'A new find'],
    ['/finds', 'Finds'],
    ['/find/demo-find-2', 'Penny bun'],
    ['/find/demo-find-5/check', 'Is it chanterelle?'],
    ['/find/demo-find-5/around', 'Place and condition'],
    ['/find/demo-find-2/verdict', 'Leave'],
    ['/eaten', 'Someone ate something'],
    ['/find/never-made', 'There is no such find'],
    ['/nowhere', 'There is no such page'],
  ] as const) {
    await page.goto(path);
    await page.getByText(text, { exact: true }).first().waitFor();
    await page.reload();
    await page.getByText(text, { exact: true }).first().waitFor();
  }
  expect(errors).toEqual([]);
  await context.close();
});

test('on a wide screen digits answer, U cannot tell, N skips, Z takes back', async () => {
  const { page, context } = await rig.open(WIDE);
  const id = await begin(page, /^Spines/, 'hedgehog', /^Hedgehog/, '');
  await tell(
    page,
    FUNGUS_TOLD.filter(([question]) => question !== 'Is it protected here?'),
  );
  await strip(page).waitFor();
  /** Answers by a key, and waits until the next question is shown: what is pressed before it is not its answer. */
  const answerBy = async (key: string, readings: number) => {
    const before = await seen(page);
    await page.keyboard.press(key);
    await onceSeen(page, before);
    return onRecord(page, id, (record) => record.readings.length === readings);
  };
  expect((await answerBy('5', 1)).readings[0]?.value).toEqual({ kind: 'states', states: ['spines'] });
  const recorded = page.getByText('Recorded:');
  await recorded.waitFor();
  await page.keyboard.press('z');
  await onRecord(page, id, (find) => find.withdrawals.length === 1);
  await recorded.waitFor({ state: 'detached' });
  await page.locator('[aria-busy="true"]').first().waitFor({ state: 'detached' });
  await answerBy('5', 2);
  expect((await answerBy('u', 3)).readings[2]?.value).toEqual({ kind: 'cant-tell' });
  await page.keyboard.press('n');
  expect((await onRecord(page, id, (find) => find.skips.length === 1)).skips).toHaveLength(1);
  await context.close();
});

test('without its server nothing is lost: answers wait in the browser and are sent when it is back', async () => {
  const { page, context } = await rig.open();
  const id = await begin(page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'Spruce above the Karrow spring');
  await tell(page, FUNGUS_TOLD);
  await strip(page).waitFor();
  await onRecord(page, id, (find) => find.context.condition === 'fresh');
  await rig.stopServer();
  try {
    await answerAll(page, CHANTERELLE, { most: 2 });
    await page.getByText(/entries? waits? to be sent/).waitFor();
    expect(await outcome(page)).toBe('Pause');
  } finally {
    // Whatever went wrong here, the tests that follow have their server.
    await rig.startServer();
  }
  const find = await onRecord(page, id, (record) => record.readings.length === 2);
  expect(find.readings).toHaveLength(2);
  await page.getByText(/to be sent/).waitFor({ state: 'detached' });
  await context.close();
});

test('collecting against the verdict asks for a reason and stays marked', async () => {
  const { page, context } = await rig.open();
  await page.goto('/find/demo-find-5/verdict');
  await page.getByRole('button', { name: 'It was collected all the same' }).click();
  const held = page.getByRole('button', { name: /^Collected against/ });
  expect(await held.isDisabled()).toBe(true);
  await page
    .getByLabel('Why was it collected against the verdict?')
    .fill('Jorun had it in the basket already.');
  await hold(page, /^Collected against/);
  await page.getByRole('heading', { name: 'Collected, against the verdict' }).waitFor();
  const find = await onRecord(page, 'demo-find-5', (record) => record.decisions.length === 1);
  expect(find.decisions[0]).toMatchObject({
    choice: 'collect',
    reason: 'Jorun had it in the basket already.',
  });
  await context.close();
});

test('what the guide does not know is said, and what nobody should collect never is', async () => {
  const { page, context } = await rig.open();
  await page.goto('/new');
  // A name can be typed before any shape is chosen.
  const name = page.getByLabel('Name, in any language, or scientific');
  await name.fill('saguaro');
  await page.getByText('Not in this guide', { exact: true }).waitFor();
  // It is kept as it was typed, with the shape that it is nearest to.
  await page.getByRole('radio', { name: /^Low shrub: / }).click();
  await page.getByRole('button', { name: 'Go on as “saguaro”, which is not in the guide' }).click();
  await page.waitForURL(/name$/);
  await page.getByText(/^“saguaro” is not in the guide: never collected/).waitFor();
  await page.goto('/finds');
  await page.getByText('“saguaro”, not in the guide', { exact: true }).waitFor();
  await page.goto('/new');
  await name.fill('tollkirsche');
  await page.getByRole('button', { name: /^Deadly nightshade/ }).click();
  await page.waitForURL(/check$/);
  await page.getByRole('status', { name: /^Leave\. Deadly nightshade .* is not for collecting/ }).waitFor();
  await context.close();
});
