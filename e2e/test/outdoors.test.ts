/**
 * Before setting out and out there: what is worth going for, places, sightings, who eats along, files, and
 * what a group agreed on.
 */
import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import type { FindRecord } from '@pause/core';
import { begin } from '../forager';
import { PHONE, quiet, startRig, WIDE, type Rig } from '../rig';

jest.setTimeout(240_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });
const chosen = (page: Page, name: string) => page.getByRole('radio', { name, checked: true }).waitFor();
const lines = (page: Page, list: string) => page.getByRole('list', { name: list }).getByRole('listitem');

/** Tells at an open place what is seen there. */
async function sight(page: Page, search: string, name: RegExp, chips: readonly string[]): Promise<void> {
  await button(page, 'Tell what you see').click();
  await page.getByLabel('Name of what you see').fill(search);
  await page.getByRole('list', { name: 'Which one' }).getByRole('button', { name }).click();
  for (const chip of chips) await page.getByText(chip, { exact: true }).last().click();
  await button(page, 'Put it down').click();
  await heading(page, 'What do you see?').waitFor({ state: 'detached' });
}

test('the week: what goes soon stands first, with why and with what the household has to mind; a place leads on from it', async () => {
  const { page, context, errors } = await rig.open(WIDE);
  await page.goto('/week');
  await heading(page, 'Last chance').waitFor();
  const order = await page.getByRole('heading', { level: 2 }).allTextContents();
  expect(['Last chance', 'Now', 'Soon', 'Later this year'].filter((when) => order.includes(when))).toEqual(
    order.filter((title) => ['Last chance', 'Now', 'Soon', 'Later this year'].includes(title)),
  );
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Hazel' })
    .getByText(/^Ask first for Mirel: anyone with birch hay fever/)
    .first()
    .waitFor();
  await page.getByText(/the demo’s valley has made-up weather/).waitFor();
  // Every bar is said in words too.
  for (const label of await page
    .locator('[role="listitem"] [role="img"]')
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label'))))
    expect(label).toMatch(/^from about \d+ \w+ \(.*\) to about/);
  await page.getByRole('link', { name: /Blackthorn/ }).click();
  await page.waitForURL(/\/place\/demo-place-hedge$/);
  await page
    .getByRole('note')
    .getByText(
      /fly honeysuckle and purging buckthorn are known to stand here|purging buckthorn and fly honeysuckle are known/i,
    )
    .waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('a place without a connection: told, seen at, found at; kept over a closed tab, sent later; the next visit moves', async () => {
  const { page, context, errors } = await rig.open(PHONE, true);
  await page.goto('/place/demo-place-hedge');
  await heading(page, 'When to come').waitFor();
  await quiet(page);
  await page.waitForFunction(
    () => navigator.serviceWorker.controller !== null || navigator.serviceWorker.ready.then(() => true),
  );
  await page.reload();
  await heading(page, 'When to come').waitFor();
  const blackthorn = lines(page, 'What comes here').filter({ hasText: 'Blackthorn' });
  const before = await blackthorn.getByText(/^Ripe sloes, after frost: from about/).textContent();
  await page
    .getByRole('group', { name: 'How often its good days may be missed' })
    .getByText('2 in 20')
    .click();
  const walks = page.getByText(/^(One|\w+) walks?: \d/);
  await walks.waitFor();
  const planned = await walks.textContent();
  await quiet(page);

  await context.setOffline(true);
  await rig.stopServer();
  await button(page, 'Change what is known').click();
  await page.getByRole('group', { name: 'Light' }).getByText('Shaded').click();
  await button(page, 'Done').click();
  await page
    .getByText(/540.m · south slope · shaded/)
    .first()
    .waitFor();
  // Less warmth: it comes later now, and so does the walk.
  await page.waitForFunction(([was]) => !document.body.textContent.includes(was ?? ''), [before]);
  await sight(page, 'belladonna', /^Deadly nightshade/, ['I think it is']);
  await page
    .getByRole('note')
    .getByText(/deadly nightshade/i)
    .waitFor();
  await page.reload();
  await page
    .getByRole('note')
    .getByText(/deadly nightshade/i)
    .waitFor();

  await button(page, 'A find here').click();
  await page
    .getByRole('radio', { name: /^A shrub|^Shrub/ })
    .first()
    .click();
  await page.getByLabel('Name, in any language, or scientific').fill('sloe');
  await button(page, /^Blackthorn/).click();
  await page.waitForURL(/\/find\/([^/]+)\/around/);
  const id = /find\/([^/]+)/.exec(page.url())?.[1] ?? '';
  await rig.startServer();
  await context.setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  let record: FindRecord | undefined;
  for (let tries = 0; tries < 60 && !record; tries += 1) {
    await page.waitForTimeout(500);
    const answer = await context.request.get(`/api/v1/finds/${id}`);
    if (answer.ok()) record = (await answer.json()) as FindRecord;
  }
  expect(record).toMatchObject({
    context: { elevation: 540, contamination: 'none-seen', permission: 'allowed' },
    placeNote: 'Hedge on the mill lane',
  });
  expect(record!.context.neighbours).toEqual([
    'atropa-bella-donna',
    'lonicera-xylosteum',
    'rhamnus-cathartica',
  ]);
  expect(record!.edits.find(({ field }) => field === 'placePage')?.value).toBe('demo-place-hedge');
  // Where it stands need not be answered again.
  expect(record!.readings).toMatchObject([
    { character: 'plant.habitat', value: { kind: 'states', states: ['garden'] }, sureness: 'fairly' },
  ]);

  const second = await rig.open(PHONE);
  await second.page.goto('/place/demo-place-hedge');
  await second.page
    .getByRole('note')
    .getByText(/deadly nightshade/i)
    .waitFor();
  await second.page
    .getByText(/540.m · south slope · shaded/)
    .first()
    .waitFor();
  await second.page
    .getByRole('group', { name: 'How often its good days may be missed' })
    .getByText('2 in 20')
    .click();
  await second.page.getByText(/^(One|\w+) walks?: \d/).waitFor();
  expect(await second.page.getByText(/^(One|\w+) walks?: \d/).textContent()).not.toBe(planned);
  expect([...errors, ...second.errors]).toEqual([]);
  await second.context.close();
  await context.close();
});

test('places come in from a file and go out as one; what is no such file is refused with a reason, and nothing of it is taken', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/places');
  await lines(page, 'Places').first().waitFor();
  await quiet(page);
  const count = await lines(page, 'Places').count();
  const load = async (name: string, text: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      button(page, 'Load a file').click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });
  };
  await load('walk.gpx', '<gpx><wpt lat="1" lon="2"></gpx>');
  await page.getByText(/^file: the XML is broken/).waitFor();
  await page.getByText('Nothing was taken of it.').waitFor();
  await load('walk.geojson', '{"type":"Point","coordinates":[46.5,12.2]}');
  await page.getByText(/changed over/).waitFor();
  expect(await lines(page, 'Places').count()).toBe(count);
  await load(
    'walk.gpx',
    '\uFEFF<?xml version="1.0"?><gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="46.5012" lon="12.1873"><ele>602</ele><name>Old &amp; bent ash tree</name></wpt></gpx>',
  );
  await page.getByText('One place of 1 put down, in your own notebook.').waitFor();
  await lines(page, 'Places').filter({ hasText: 'Old & bent ash tree' }).getByText(/602/).waitFor();
  const [saved] = await Promise.all([page.waitForEvent('download'), button(page, 'Save as GeoJSON').click()]);
  const written = JSON.parse(readFileSync(await saved.path(), 'utf8')) as {
    features: { properties: { name: string }; geometry: { coordinates: unknown } }[];
  };
  expect(
    written.features.find(({ properties }) => properties.name === 'Old & bent ash tree')?.geometry
      .coordinates,
  ).toEqual([12.1873, 46.5012, 602]);
  // A place of the group that is nobody's to know does not go out.
  expect(JSON.stringify(written)).not.toContain('River alders');
  await context.close();
});

test('a place is drawn on the map, nearer and nearer, and drawn anew by degrees; single kinds are allowed and forbidden there', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await page.goto('/places');
  await button(page, /^2, /).waitFor();
  await button(page, 'Put down a place').click();
  await page.getByLabel('What you call it').fill('Bilberry shelf');
  await button(page, 'Draw it on the map').click();
  await page.getByText('An area', { exact: true }).click();
  const map = page.getByTestId('draw');
  const tap = async (x: number, y: number) => {
    const box = await map.boundingBox();
    await map.click({ position: { x: (box?.width ?? 0) * x, y: (box?.height ?? 0) * y } });
  };
  await tap(0.4, 0.4);
  await page.getByText('An area has at least three points.').waitFor();
  for (let step = 0; step < 3; step += 1) await button(page, 'Nearer').last().click();
  // What was tapped last stands in the middle now.
  await tap(0.7, 0.5);
  await tap(0.7, 0.8);
  await page.getByText(/^About \d+(\.\d)?.hectares\.$/).waitFor();
  await tap(0.1, 0.1);
  await button(page, 'Take back the last point').click();
  await button(page, 'That is where it is').click();
  await page.getByText(/^An area of/).waitFor();
  await button(page, 'Put it down').click();
  await page.waitForURL(/\/place\/[0-9a-f-]{36}$/);
  await button(page, 'Change what is known').click();
  await page.getByText(/^An area of/).waitFor();

  await button(page, 'Say it of one kind').click();
  await page.getByLabel('Which kind').fill('bilberry');
  await page
    .getByRole('list', { name: 'Which one' })
    .getByRole('button', { name: /^Bilberry/ })
    .click();
  const most = page.getByLabel('The most of it that one person may take in a day');
  await most.fill('-2');
  await page.getByText('an amount above nothing').waitFor();
  expect(await button(page, 'Put it down').isDisabled()).toBe(true);
  await most.fill('1,5');
  await button(page, 'Put it down').click();
  await page
    .getByText(/^Bilberry: yes, up to 1\.5.litres a day\.$/)
    .first()
    .waitFor();
  await button(page, 'Say it of one kind').click();
  await page.getByLabel('Which kind').fill('yellow gentian');
  await page
    .getByRole('list', { name: 'Which one' })
    .getByRole('button', { name: /^Yellow gentian/ })
    .click();
  await page.getByText('Not here', { exact: true }).click();
  await button(page, 'Put it down').click();
  await page.getByText('Yellow gentian: not here.').first().waitFor();
  await button(page, /^Take away: Bilberry/).click();
  await page
    .getByText(/^Bilberry: yes/)
    .first()
    .waitFor({ state: 'detached' });

  await button(page, 'Draw it anew').click();
  await page.getByText('A line', { exact: true }).click();
  await page.getByLabel('Or by its degrees, north first').fill('46.5, 12.2, 600');
  await page.getByText('two numbers, north and then east, like 46.5078, 12.2000').waitFor();
  for (let points = 0; points < 3; points += 1) await button(page, 'Take back the last point').click();
  for (const at of ['46.5, 12.2', '46.51 12.2']) {
    await page.getByLabel('Or by its degrees, north first').fill(at);
    await button(page, 'Add it').click();
  }
  await page.getByText(/^About 1,112.m long\.$/).waitFor();
  await button(page, 'That is where it is').click();
  await page.getByText(/^A line of 1,112.m$/).waitFor();
  await quiet(page);
  await page.reload();
  await page.getByText('Yellow gentian: not here.').waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('a map of one’s own is drawn behind the places and stays on the device; what is no map is refused, and the one before stays', async () => {
  const { page, context, errors } = await rig.open(WIDE);
  await page.goto('/places');
  await page.getByText(/The Ostrel valley, made up for the demo/).waitFor();
  const load = async (text: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      button(page, 'Load a map').click(),
    ]);
    await chooser.setFiles({
      name: 'ridge.geojson',
      mimeType: 'application/geo+json',
      buffer: Buffer.from(text),
    });
  };
  await load(
    '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"name":"Way"},"geometry":{"type":"LineString","coordinates":[[46,112],[46,113]]}}]}',
  );
  await page.getByText(/^Way: 112 is no latitude/).waitFor();
  await page.getByText('The map stays as it was.').waitFor();
  await page.getByText(/The Ostrel valley, made up for the demo/).waitFor();
  await load(
    JSON.stringify({
      type: 'FeatureCollection',
      features: [
        {
          type: 'Feature',
          properties: { landuse: 'forest' },
          geometry: {
            type: 'Polygon',
            coordinates: [
              [
                [12.15, 46.49],
                [12.25, 46.49],
                [12.25, 46.56],
                [12.15, 46.49],
              ],
            ],
          },
        },
        {
          type: 'Feature',
          properties: { name: 'Ridge end' },
          geometry: { type: 'Point', coordinates: [12.2, 46.51] },
        },
      ],
    }),
  );
  await page.getByText('ridge.geojson is the map on this device.').waitFor();
  await page.getByText('Ridge end').waitFor();
  await page.reload();
  await page.getByText('Ridge end').waitFor();
  await button(page, 'Forget the map').click();
  await page.getByText(/The Ostrel valley, made up for the demo/).waitFor();
  await page.getByText('Ridge end').waitFor({ state: 'detached' });
  expect(errors).toEqual([]);
  await context.close();
});

test('what others suspect stands on the first screen until it is read; days to look again are planned over all places, and go into a calendar', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await page.goto('/');
  const told = page.getByRole('status', { name: 'Told by your group' });
  await told.getByText('Cowbane suspected: A place of the group').waitFor();
  await told.getByText(/Tam.* · 12 September 2026$/).waitFor();
  await button(page, 'Understood').click();
  await told.waitFor({ state: 'detached' });
  await page.reload();
  await button(page, 'A new find').waitFor();
  await quiet(page);
  expect(await told.count()).toBe(0);

  await page.goto('/week');
  await heading(page, 'When to look again').waitFor();
  await page.getByText('1 in 20', { exact: true }).click();
  const walks = lines(page, 'Walks to look again');
  await walks.first().waitFor();
  // How many there are depends on what the tests before it told of these places.
  const more = page.getByRole('main').getByRole('button', { name: /^\d+ more$/ });
  for (let left = await more.count(); left > 0; left -= 1) await more.first().click();
  const careful = await walks.count();
  // What is near to one another is one walk.
  await walks
    .filter({ hasText: /Beech slope, Lower Ostrel.* Chestnut bank/i })
    .first()
    .waitFor();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    button(page, 'Into my calendar').click(),
  ]);
  expect(readFileSync(await saved.path(), 'utf8').match(/BEGIN:VEVENT/g)).toHaveLength(careful);
  await page.getByText('5 in 20', { exact: true }).click();
  await page.waitForFunction(
    (was) => document.querySelectorAll('[aria-label="Walks to look again"] [role="listitem"]').length < was,
    careful,
  );
  expect(errors).toEqual([]);
  await context.close();
});

test('a new place, where the phone stands, is one’s own unless told otherwise; a permit that has ended makes it ask first', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/places');
  await button(page, 'Put down a place').click();
  await page.getByLabel('What you call it').fill('Bramble bank');
  await button(page, 'It is where I stand').click();
  await page.getByText(/^46\.(49|5\d)\d+, 12\.(1[6-9]|2[0-3])\d+$/).waitFor();
  await button(page, 'Put it down').click();
  await page.waitForURL(/\/place\/[0-9a-f-]{36}$/);
  await page.getByText('yours alone').waitFor();
  await page.getByText('Nobody has recorded yet whether picking is allowed here: ask first.').waitFor();
  await button(page, 'Change what is known').click();
  await page.getByRole('group', { name: 'May one pick here?' }).getByText('With a permit').click();
  await page.getByText('A permit is needed, and none is put down.').waitFor();
  const until = page.getByLabel('Last day on which the permit holds');
  await until.fill('2026-02-30');
  await page.getByText('a day that the calendar has').waitFor();
  // Days are read as people write them.
  await until.fill('14.9.2026');
  await until.blur();
  await page.getByText('The permit ends on 14 September 2026.').waitFor();
  await page.getByText('Yes, as far as you know').waitFor();
  await until.fill('2026-09-13');
  await until.blur();
  await page.getByText('The permit ended on 13 September 2026.').waitFor();
  await page.getByLabel('Metres above the sea').fill('21000');
  await page.getByText('a height from −500 to 9000 metres').waitFor();
  await context.close();
});

test('a walk is planned, holds without a connection, and is one page on paper; weather of one’s own is taken, and refused with its reason', async () => {
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
  const told = await (
    await context.request.get('/api/v1/sync/pull?stream=g:ostrel-walkers&most=1000')
  ).text();
  expect(told).not.toContain('Ilse');
  await context.close();
});

test('two keepers’ devices that were apart agree on the group’s rules in the end, field by field, and what was told before stays visible', async () => {
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
