import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import type { FindRecord } from '@pause/core';
import { WIDE, PHONE, quiet } from '../../rig';
import { button, heading, rig, lines, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

/** Tells at an open place what is seen there. */
async function sight(page: Page, search: string, name: RegExp, chips: readonly string[]): Promise<void> {
  await button(page, 'Tell what you see').click();
  await page.getByLabel('Name of what you see').fill(search);
  await page.getByRole('list', { name: 'Which one' }).getByRole('button', { name }).click();
  for (const chip of chips) await page.getByText(chip, { exact: true }).last().click();
  await button(page, 'Put it down').click();
  await heading(page, 'What do you see?').waitFor({ state: 'detached' });
}

test('the week: what ends soon is first, with why and the household’s cautions; it leads to a place', async () => {
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

test('a place without a connection: recorded, seen at, found at, kept over a closed tab, sent later', async () => {
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
  await page.waitForURL(/\/find\/([^/]+)\/check/);
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

test('places come in from a file and go out as one; another file is refused whole, with a reason', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/places');
  // Those of the group come after one's own.
  await page.getByRole('link', { name: /Beech slope, Lower Ostrel/ }).waitFor();
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
    '\uFEFF<?xml version="1.0"?><gpx version="1.1" creator="x" ' +
      'xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="46.5012" lon="12.1873"><ele>602</ele><name>Old &amp; ' +
      'bent ash tree</name></wpt></gpx>',
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
