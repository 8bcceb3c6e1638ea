/**
 * From a verdict to the jar: how much, looking again, drying, the label, a meal; what no longer stands when
 * the guide is corrected; and the sheet for whoever treats.
 */
import { execFile } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { promisify } from 'node:util';
import jsQr from 'jsqr';
import type { BrowserContext, Page } from 'playwright-core';
import { shippedGuide } from '@pause/guide';
import { answerAll, begin, FUNGUS_TOLD, hold, onRecord, specimen, tell } from '../forager';
import { PHONE, quiet, startRig, WIDE, type Rig } from '../rig';

jest.setTimeout(240_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

async function fill(page: Page, label: string | RegExp, value: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: typeof label === 'string' });
  await field.fill(value);
  await field.blur();
}
const press = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).click();
const tick = async (page: Page, name: RegExp) => {
  await page.getByRole('checkbox', { name }).click();
  await page.getByRole('checkbox', { name, checked: true }).waitFor();
};
/** What is on the way has arrived. */
async function sent(page: Page): Promise<void> {
  await quiet(page);
  await page.getByText(/to be sent/).waitFor({ state: 'detached' });
}

/** A chanterelle that was checked and collected. */
async function collect(page: Page): Promise<string> {
  const find = await begin(page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'Spruce above the Karrow spring');
  await tell(page, FUNGUS_TOLD);
  await answerAll(page, specimen('cantharellus-cibarius', 'mature'), {
    until: (outcome) => outcome === 'Collect',
  });
  await page.getByRole('link', { name: 'See the verdict and its reasons' }).click();
  await hold(page, /^I collect it/);
  await onRecord(page, find, (record) => record.decisions.length === 1);
  return find;
}

/** A guide with one deadly fungus more, of which nothing is known: nothing that grows can have its bars. */
const CORRECTED = (() => {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; scientificName: string; statements: unknown[]; vernacularNames: object }[];
  };
  const webcap = raw.taxa.find(({ id }) => id === 'cortinarius-rubellus');
  if (!webcap) throw new Error('no webcap');
  raw.taxa.push({
    ...webcap,
    id: 'cortinarius-nowhere',
    scientificName: 'Cortinarius nowhere',
    vernacularNames: { en: ['nowhere webcap'] },
    statements: [],
  });
  return JSON.stringify(raw);
})();
const withCorrectedGuide = (context: BrowserContext) =>
  context.route('**/guide.json', (route) =>
    route.fulfill({ contentType: 'application/json', body: CORRECTED }),
  );

async function saved(page: Page, name: string): Promise<string> {
  const [download] = await Promise.all([page.waitForEvent('download'), press(page, name)]);
  return download.path();
}
/**
 * The text of a PDF, by another program than the one that wrote it; it is no script that a test could load.
 */
async function textOf(file: string): Promise<{ text: string; pages: number }> {
  return JSON.parse((await promisify(execFile)(process.execPath, ['e2e/pdfText.mjs', file])).stdout) as {
    text: string;
    pages: number;
  };
}

test('chanterelles from the verdict to the jar, partly without a connection; recalled by a corrected guide; and the sheet', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  const find = await collect(page);
  await press(page, 'How much to take, and how');
  await fill(page, 'Who eats', '2');
  await fill(page, 'Grams each time, made ready', '300');
  await page
    .getByRole('status', { name: 'How much to take' })
    .getByText(/^Take up to 600.g$/)
    .waitFor();
  await page.getByRole('group', { name: 'Measured in' }).getByText('grams', { exact: true }).click();
  await fill(page, 'How much', '500');
  await sent(page);

  // At home, without a connection: gone through, with a stray of no harm, until little enough can be left.
  await press(page, 'Look again at home');
  await context.setOffline(true);
  await fill(page, 'How many pieces lie there', '20');
  const basket = page.getByRole('status', { name: 'The basket' });
  await press(page, 'A stray');
  await press(page, 'A leaf, a bit of moss');
  for (let pass = 1; pass < 15 && !(await basket.innerText()).startsWith('Gone through\n'); pass += 1) {
    await press(page, 'All of it is gone through');
    await page.getByRole('heading', { name: `Time ${pass + 1}` }).waitFor();
  }
  await press(page, 'Make something of it');

  // Dried: what must not be made of it is said, what has to be done is asked for.
  await page.getByRole('checkbox', { name: /^Chanterelle/, checked: true }).waitFor();
  await press(page, 'What must not be made of it');
  await page
    .getByRole('list', { name: 'What must not be made of it' })
    .getByText(/^It is not sour enough: boiling does not kill/)
    .waitFor();
  await page.getByRole('radio', { name: 'Dry it' }).click();
  const amount = page.getByRole('textbox', { name: /^How much of it goes in/ });
  await amount.fill('600');
  await page.getByText('no more than the 500 grams that are left').waitFor();
  await amount.fill('-4');
  await page.getByText('above nothing').waitFor();
  // Empty is not all of it.
  await amount.fill('');
  expect(await page.getByRole('button', { name: 'Begin' }).isDisabled()).toBe(true);
  await amount.fill('400');
  await press(page, 'Begin');
  await page.getByRole('heading', { name: 'Chanterelle, dried' }).waitFor();
  const batch = new URL(page.url()).pathname;
  await tick(page, /^Go through every piece/);
  await tick(page, /^Cut it thin/);
  await press(page, 'Another step');
  await fill(page, 'Or in your words', 'String them up');
  await press(page, 'Add it');
  await tick(page, /^String them up/);
  await fill(page, 'It weighs, in grams', '400');
  await press(page, 'Weighed');
  await page.getByText(/^400.g$/).waitFor();
  await fill(page, 'It weighs, in grams', '700');
  await page.getByText('no more than the 400 grams it weighed at first').waitFor();
  // Half a day later by this device's clock.
  await page.clock.install({ time: Date.now() + 12 * 3_600_000 });
  await context.setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await sent(page);
  await page.goto(batch);
  await page.getByRole('checkbox', { name: /^Cut it thin/, checked: true }).waitFor();
  await page.clock.runFor(1000);
  await fill(page, 'It weighs, in grams', '180');
  await press(page, 'Weighed');
  await page.getByText(/^Dry at about \d+ g \(\d+ to \d+\), about /).waitFor();

  // Not ready before what has to be done is done, or left out with a reason that stays.
  await fill(page, 'How much it is now', '900');
  await page
    .getByRole('list', { name: 'Still to be done' })
    .getByText(/Choose what it is measured in/)
    .waitFor();
  await page.getByRole('group', { name: 'Measured in' }).getByText('g', { exact: true }).click();
  await page.getByText('no more than the 400 grams that went in').waitFor();
  await fill(page, 'How much it is now', '42');
  expect(await page.getByRole('button', { name: 'It is ready' }).isDisabled()).toBe(true);
  await page
    .getByRole('list', { name: 'Still to be done' })
    .getByText(/Keep one whole specimen aside/)
    .waitFor();
  await press(page, 'Leave out: Keep one whole specimen aside');
  await fill(page, 'Why it is left out', 'The cat took it.');
  await press(page, 'Leave it out');
  await press(page, 'Damp, or it sticks');
  await page
    .getByRole('list', { name: 'Still to be done' })
    .getByText(/damp came back/)
    .waitFor();
  await press(page, 'No damp');
  await tick(page, /^In a closed jar/);
  await tick(page, /^Put a label on it/);
  await press(page, 'It is ready');
  await page.getByText(/^42.g left, best before /).waitFor();
  await page.getByText('Left out: Keep one whole specimen aside. The cat took it.').waitFor();
  await page
    .getByRole('list', { name: 'What it comes from' })
    .getByRole('link', { name: /^Chanterelle, whole mushroom/ })
    .waitFor();

  // The label, in words; and its square read back.
  await press(page, 'A label for it');
  const label = page.getByRole('listitem', { name: 'Label of Chanterelle, dried' });
  await label.getByText('Cook it before it is eaten').waitFor();
  await label.getByText('Left out: Keep one whole specimen aside. The cat took it.').waitFor();
  const square = await page
    .getByRole('img', { name: 'A square that leads to Chanterelle, dried' })
    .screenshot();
  const pixels = await page.evaluate(
    async (bytes) => {
      const picture = await createImageBitmap(new Blob([Uint8Array.from(bytes)]));
      const canvas = Object.assign(document.createElement('canvas'), {
        width: picture.width * 3,
        height: picture.height * 3,
      });
      const drawing = canvas.getContext('2d');
      if (!drawing) throw new Error('nothing to draw on');
      drawing.imageSmoothingEnabled = false;
      drawing.drawImage(picture, 0, 0, canvas.width, canvas.height);
      // Black or white is all there is, and a text gets out of the page faster than numbers do.
      const { data } = drawing.getImageData(0, 0, canvas.width, canvas.height);
      return {
        width: canvas.width,
        height: canvas.height,
        dark: Array.from({ length: data.length / 4 }, (_, at) =>
          (data[at * 4] ?? 0) < 128 ? '1' : '0',
        ).join(''),
      };
    },
    [...square],
  );
  expect(
    jsQr(
      Uint8ClampedArray.from(
        pixels.dark.split('').flatMap((dark) => (dark === '1' ? [0, 0, 0, 255] : [255, 255, 255, 255])),
      ),
      pixels.width,
      pixels.height,
    )?.data,
  ).toBe(`${rig.url}${batch}`);
  await page.goto('/scan');
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'From a picture')]);
  await chooser.setFiles({ name: 'label.png', mimeType: 'image/png', buffer: square });
  await page.waitForURL(`**${batch}`);
  await page.goto('/scan');
  const [again] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'From a picture')]);
  await again.setFiles({ name: 'label.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await page.getByRole('alert').getByText('This is no picture that can be read.').waitFor();

  // Some of it is eaten, cooked as it has to be, by those who may.
  await page.goto(batch);
  await press(page, 'Eat of it');
  await page.getByRole('group', { name: 'Who ate' }).getByText('Lune', { exact: true }).click();
  await fill(page, /^How much of it, in grams/, '50');
  await page.getByText('no more than the 42 grams that are left').waitFor();
  await fill(page, /^How much of it, in grams/, '12');
  await page.getByText('Raw', { exact: true }).click();
  await page.getByRole('alert').getByText('Nobody eats it raw.').waitFor();
  expect(await page.getByRole('button', { name: 'It was eaten' }).isDisabled()).toBe(true);
  await page.getByText('Fried', { exact: true }).click();
  await fill(page, 'Minutes of heat', '20');
  await fill(page, 'What the dish was', 'Risotto');
  await press(page, 'It was eaten');
  await page.getByRole('heading', { name: 'Risotto, eaten by Lune' }).waitFor();
  await fill(page, 'Somebody felt something', 'Lune, her stomach');
  await press(page, 'Put it down');
  await sent(page);

  // The sheet, in two taps, on paper as a PDF, without a connection from here on.
  await page.goto(batch);
  await page.getByText(/^30.g left/).waitFor();
  await press(page, 'Someone is ill after it');
  await fill(page, 'Who, with age and weight', 'Lune, 9 years, 28 kg — Łucja’s friend');
  await page
    .getByRole('article', { name: 'The sheet' })
    .getByText(/Cortinarius rubellus/)
    .waitFor();
  const { text, pages } = await textOf(await saved(page, 'Save as PDF'));
  expect(pages).toBe(1);
  for (const said of [
    'Cantharellus cibarius',
    'Cortinarius rubellus',
    'Silent for two days',
    'Lune, 9 years, 28 kg — Łucja’s friend',
    'Risotto',
    '12 g',
    'her stomach',
    'fried 20 minutes',
    'LEFT OUT: Keep one whole specimen aside',
    'Spruce above the Karrow spring',
    'Smell',
  ])
    expect(text).toContain(said);
  await press(page, 'Send it to the made-up poison line');
  await page.clock.runFor(2000);
  await page
    .getByRole('status', { name: 'The made-up poison line' })
    .getByText(/^Received, as case O-\d{4}.*nobody was told/)
    .waitFor();
  await page.reload();
  expect(await page.getByRole('textbox', { name: 'Who, with age and weight' }).inputValue()).toContain(
    'Łucja',
  );
  expect(errors).toEqual([]);
  await context.close();

  // Another day the guide is corrected: what was made of it is found again, on any device of the person.
  const later = await rig.open(PHONE);
  await withCorrectedGuide(later.context);
  await later.page.goto('/');
  await later.page.getByRole('status', { name: 'In question' }).waitFor();
  await later.page.goto('/recall');
  const hit = later.page.getByRole('listitem', { name: 'Chanterelle, dried' });
  await hit
    .getByText(
      /by the corrected guide the verdict is pause\. What could be among it is deadly\. Nowhere webcap is new in the guide\. Found by whoever wrote it\./,
    )
    .waitFor();
  await hit.getByRole('heading', { name: 'Hold it' }).waitFor();
  await hit.getByText(/^Find \d+ Chanterelle → Harvest of chanterelle → Chanterelle, dried$/).waitFor();
  await later.page
    .getByRole('listitem', { name: /^Risotto, eaten by Lune/ })
    .getByRole('heading', { name: 'It was eaten' })
    .waitFor();
  await quiet(later.page);
  await later.page.goto(batch);
  await later.page.getByRole('status', { name: 'In question' }).getByText('Hold it').waitFor();
  expect(await later.page.getByRole('button', { name: 'Eat of it' }).count()).toBe(0);
  await later.page.goto('/portion');
  await later.page.getByText(/in question, and left out here/).waitFor();
  expect(await later.page.getByRole('checkbox', { name: /^Chanterelle, dried/ }).count()).toBe(0);
  await later.page.goto('/recall');
  await hit.getByRole('button', { name: 'It is thrown out' }).click();
  await hit.waitFor({ state: 'detached' });
  await later.page.goto(batch);
  await later.page.getByText('Thrown out', { exact: true }).waitFor();
  expect(later.errors).toEqual([]);
  await later.context.close();
  expect(find).not.toBe('');
});

test('sums in units of a kitchen, wide: what cannot be is said, what keeps too short is said', async () => {
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
  await (await takeIn(page, 'x.csv', 'a,b\n1,2')).getByText(/^It is none of the formats/).waitFor();
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
