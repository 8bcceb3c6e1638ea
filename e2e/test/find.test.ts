import type { Page } from 'playwright-core';
import {
  answerAll,
  begin,
  FUNGUS_TOLD,
  guide,
  hold,
  onRecord,
  outcome,
  specimen,
  strip,
  tell,
} from '../forager';
import { startRig, WIDE, type Rig } from '../rig';

jest.setTimeout(180_000);

const CHANTERELLE = specimen('cantharellus-cibarius', 'mature');
const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

const toVerdict = async (page: Page) => {
  await page.getByRole('link', { name: 'See the verdict and its reasons' }).click();
  await page.waitForURL(/\/verdict$/);
};

test.each(['a mouse', 'a finger'] as const)(
  'a decision held with %s is taken when it is let go; the lift presses nothing else, and the same one held twice is one',
  async (by) => {
    const { page, context, errors } = await rig.open({ width: 390, height: 664 });
    const find = by === 'a mouse' ? 'demo-find-2' : 'demo-find-4';
    const cdp = await context.newCDPSession(page);
    if (by === 'a finger') await cdp.send('Emulation.setTouchEmulationEnabled', { enabled: true });
    const button = page.getByRole('button', { name: /^I come back later/ });
    const middle = async () => {
      await button.scrollIntoViewIfNeeded();
      const box = (await button.boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const down = async ({ x, y }: { x: number; y: number }) => {
      if (by === 'a finger') {
        await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] });
        return;
      }
      await page.mouse.move(x, y);
      await page.mouse.down();
    };
    const up = () =>
      by === 'a finger'
        ? cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
        : page.mouse.up();
    let opened = 0;
    page.on('filechooser', () => {
      opened += 1;
    });
    const decisions = async () => (await onRecord(page, find, () => true)).decisions.length;
    const held = async () => {
      await page.goto(`/find/${find}/verdict`);
      const at = await middle();
      await down(at);
      await button.getByText('Now let go').waitFor();
      await page.waitForTimeout(300);
      expect(new URL(page.url()).pathname).toBe(`/find/${find}/verdict`);
      return at;
    };
    await page.goto(`/find/${find}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    const before = await decisions();

    if (by === 'a mouse') {
      // Whoever slides off before letting go has decided nothing.
      const { x, y } = await held();
      await page.mouse.move(x, y - 120);
      await page.mouse.up();
      await page.waitForTimeout(300);
      expect(new URL(page.url()).pathname).toBe(`/find/${find}/verdict`);
    }
    for (const time of [1, 2]) {
      await held();
      await up();
      await page.waitForURL(new RegExp(`/find/${find}$`));
      await page.getByRole('heading', { name: 'Left for later' }).first().waitFor();
      await page.waitForTimeout(600);
      expect([time, new URL(page.url()).pathname, opened]).toEqual([time, `/find/${find}`, 0]);
      await onRecord(page, find, (record) => record.decisions.length > before);
      expect([time, await decisions()]).toEqual([time, before + 1]);
    }
    expect(errors).toEqual([]);
    await context.close();
  },
);

test('collect, pause and leave, on a phone; all three are there after server and database were restarted', async () => {
  const { page, context, errors } = await rig.open();

  // A chanterelle with everything there is to see.
  const collected = await begin(page, /^Ridges/, 'girolle', /^Chanterelle/, 'Spruce above the Karrow spring');
  await tell(page, FUNGUS_TOLD);
  expect(await outcome(page)).toBe('Pause');
  const asked = await answerAll(page, CHANTERELLE, { until: (o) => o === 'Collect' });
  expect(asked.length).toBeLessThanOrEqual(16);
  // The deciding runs beside the drawing, in a worker.
  expect(page.workers()).toHaveLength(1);
  expect(await outcome(page)).toBe('Collect');
  expect(
    await page
      .getByRole('button', { name: /^Deadly webcap deadly · silent for 2 to 21 days 3 of 3 bars filled/ })
      .count(),
  ).toBe(1);
  await toVerdict(page);
  await page.getByText('Nothing on record speaks against collecting. You decide.').waitFor();
  await page.getByRole('heading', { name: 'What it leans on' }).waitFor();
  await page.getByText(/Not in this guide at all: other chanterelles/).waitFor();
  await hold(page, /^I collect it/);
  await page.waitForURL(new RegExp(`/find/${collected}$`));
  await page.getByRole('heading', { name: 'Collected' }).waitFor();

  // One whose stem nobody cut: a mark is missing.
  const paused = await begin(page, /^Ridges/, 'Canth', /^Chanterelle/, 'Beech slope, Lower Ostrel');
  await tell(page, FUNGUS_TOLD);
  const inside = guide.character('stipe.interior')!.character;
  await answerAll(
    page,
    Object.fromEntries(Object.entries(CHANTERELLE).filter(([q]) => q !== inside.question)),
    { most: 14 },
  );
  expect(await outcome(page)).toBe('Pause');
  await toVerdict(page);
  await page.getByText(`Its own marks, still to be seen for sure: ${lowerFirst(inside.name)}.`).waitFor();
  expect(await page.getByRole('button', { name: /^I collect it/ }).count()).toBe(0);
  await hold(page, /^I come back later/);
  await page.getByRole('heading', { name: 'Left for later' }).waitFor();

  // A "chanterelle" with gills that smells of radish, looked at again each time it asks.
  const left = await begin(
    page,
    /^Ridges/,
    'Pfifferling',
    /^Chanterelle/,
    'Mossy spruce below the Vessen hut',
  );
  await tell(page, FUNGUS_TOLD);
  const questions = await answerAll(page, specimen('cortinarius-rubellus', 'mature'), {
    until: (o) => o === 'Leave',
  });
  expect(await outcome(page)).toBe('Leave');
  expect(new Set(questions).size).toBeLessThan(questions.length);
  await page
    .getByText(/speaks against chanterelle/)
    .first()
    .waitFor();
  await toVerdict(page);
  await page.getByRole('heading', { name: 'Against it' }).waitFor();
  await hold(page, /^I leave it/);
  await page.getByRole('heading', { name: 'Left', exact: true }).waitFor();

  const before = await Promise.all(
    [collected, paused, left].map((id) => onRecord(page, id, (find) => find.decisions.length === 1)),
  );
  expect(before.map((find) => find.verdicts.at(-1)?.verdict.outcome)).toEqual(['collect', 'pause', 'leave']);

  await rig.restart();

  await page.goto('/finds');
  for (const name of [
    /^Collect Chanterelle Collected/,
    /^Pause Chanterelle Left for later/,
    /^Leave Chanterelle Left/,
  ]) {
    await page.getByRole('link', { name }).first().waitFor();
  }
  for (const find of before) {
    expect(await onRecord(page, find.id, () => true)).toEqual(find);
    await page.goto(`/find/${find.id}`);
    const rows = page.getByRole('list', { name: 'What was seen' }).getByRole('listitem');
    await rows.first().waitFor();
    expect(await rows.count()).toBe(find.readings.length);
  }
  expect(errors).toEqual([]);
  await context.close();
});

test('one with a near-double is left from the start, and it is said why', async () => {
  const { page, context } = await rig.open();
  await begin(page, /^Umbels/, 'Giersch', /^Ground elder/, '');
  await page.getByRole('status', { name: /^Leave\. / }).waitFor();
  await toVerdict(page);
  await page
    .getByText(/^Hemlock water-dropwort is so alike that Pause never says collect: from leaves alone/)
    .first()
    .waitFor();
  expect(await page.getByRole('button', { name: /^I collect it/ }).count()).toBe(0);
  await context.close();
});

test('the smell and the skin of the cap are asked again, and each speaks against it', async () => {
  const { page, context } = await rig.open();
  const id = await begin(page, /^Ridges/, 'Cantharellus c', /^Chanterelle/, '');
  await tell(page, FUNGUS_TOLD);
  const choose = async (name: string, answer: string) => {
    await page.getByRole('button', { name: 'Something else seen' }).click();
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await page.getByRole('heading', { level: 2 }).first().waitFor();
    const gloves = page.getByRole('button', { name: 'They are on' });
    if (await gloves.isVisible()) await gloves.click();
    await page.getByRole('button', { name: answer, exact: true }).click();
  };
  const radish = 'Of radish or raw potato';
  await choose('Smell', radish);
  await page.getByText(/Smell speaks against chanterelle, seen once/).waitFor();
  expect(await outcome(page)).toBe('Pause');
  // It waits until the eye is fresh; whoever wants to look at once can.
  await page.getByRole('button', { name: 'Something else seen' }).click();
  await page.getByRole('button', { name: /^Smell/ }).click();
  await page.getByText('Look again', { exact: true }).waitFor();
  await page.getByRole('button', { name: radish, exact: true }).click();
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

test('torn between two, a guess, and "can’t tell" give no bar', async () => {
  const { page, context } = await rig.open();
  await page.goto('/find/demo-find-5/check');
  await page.getByRole('button', { name: /^Deadly webcap.*2 of 3/ }).waitFor();
  await page.getByRole('button', { name: 'Torn between some' }).click();
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
  const judged = () => page.locator('[aria-busy="true"]').first().waitFor({ state: 'detached' });
  const count = async (n: number) => {
    const find = await onRecord(page, id, (record) => record.readings.length === n);
    await judged();
    return find;
  };
  await page.keyboard.press('4');
  expect((await count(1)).readings[0]?.value).toEqual({ kind: 'states', states: ['spines'] });
  const recorded = page.getByText('Recorded:');
  await recorded.waitFor();
  await page.keyboard.press('z');
  await onRecord(page, id, (find) => find.withdrawals.length === 1);
  await recorded.waitFor({ state: 'detached' });
  await judged();
  await page.keyboard.press('4');
  await count(2);
  await page.keyboard.press('u');
  expect((await count(3)).readings[2]?.value).toEqual({ kind: 'cant-tell' });
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
  await page.getByRole('radio', { name: /^Herb/ }).click();
  const name = page.getByLabel('Name, in any language, or scientific');
  await name.fill('saguaro');
  await page.getByText('Not in this guide', { exact: true }).waitFor();
  await name.fill('tollkirsche');
  await page.getByRole('button', { name: /^Deadly nightshade/ }).click();
  await page.waitForURL(/around/);
  await page.getByRole('status', { name: /^Leave\. Deadly nightshade .* is not for collecting/ }).waitFor();
  await context.close();
});
