import { onRecord, begin, tell, FUNGUS_TOLD, outcome, answerAll, hold, guide, specimen } from '../../forager';
import { rig, CHANTERELLE, toVerdict, setUp } from './kit';

jest.setTimeout(180_000);
setUp();

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
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
  // The deciding runs beside the page, in a worker; another one draws large plates.
  expect(page.workers().length).toBeGreaterThanOrEqual(1);
  expect(page.workers().length).toBeLessThanOrEqual(2);
  expect(await outcome(page)).toBe('Collect');
  expect(await page.getByRole('button', { name: 'Deadly webcap, 3 of 3 bars filled' }).count()).toBe(1);
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
  await page.getByText(`Its sure signs, still to be seen: ${lowerFirst(inside.name)}.`).waitFor();
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
    /^Chanterelle Collected/,
    /^Chanterelle Left for later/,
    /^Chanterelle Left (?!for later)/,
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
