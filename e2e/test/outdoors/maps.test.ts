import { readFileSync } from 'node:fs';
import { PHONE, quiet, WIDE } from '../../rig';
import { rig, button, heading, lines, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

test('a place is drawn on the map, zoomed, redrawn by degrees; single taxa are allowed and forbidden', async () => {
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

test('an own map is drawn behind the places and stays on the device; what is no map is refused', async () => {
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

test('suspicions of others are on the start until read; days to look again go into a calendar', async () => {
  const { page, context, errors } = await rig.open(PHONE);
  await page.goto('/');
  const notice = page.getByRole('status', { name: 'Told by your group' });
  await notice.getByText('Cowbane suspected: A place of the group').waitFor();
  await notice.getByText(/Tam.* · 12 September 2026$/).waitFor();
  await button(page, 'Understood').click();
  await notice.waitFor({ state: 'detached' });
  await page.reload();
  await button(page, 'A new find').waitFor();
  await quiet(page);
  expect(await notice.count()).toBe(0);

  await page.goto('/week');
  await heading(page, 'When to look again').waitFor();
  await page.getByText('1 in 20', { exact: true }).click();
  const walks = lines(page, 'Walks to look again');
  await walks.first().waitFor();
  // How many there are depends on what the tests before it recorded at these places.
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

test('a new place at the phone’s position is private by default; an ended permit makes it ask first', async () => {
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
