import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PHONE, signUp, quiet, WIDE } from '../../rig';
import { rig, press, answers, everything, scratch, setUp } from './kit';

jest.setTimeout(180_000);
setUp();

/** Somebody new, in the demo's group. */
async function newcomer(name: string) {
  const keeper = await rig.open(PHONE);
  const invited = (await (
    await keeper.context.request.post('/api/v1/groups/ostrel-walkers/invitations', {
      data: { role: 'member', days: 2 },
      headers: { origin: rig.url },
    })
  ).json()) as { code: string };
  const other = await rig.open(PHONE, false, false);
  await signUp(other.context, rig.url, name);
  expect(
    (
      await other.context.request.post('/api/v1/invitations/accept', {
        data: { code: invited.code },
        headers: { origin: rig.url },
      })
    ).ok(),
  ).toBe(true);
  return { keeper, other };
}

test('a keeper’s lesson is done by another, goes out as a file and back; a broken one is refused', async () => {
  const { keeper, other } = await newcomer('Selke');
  const { page } = keeper;
  await page.goto('/practice/lessons');
  await page.getByRole('textbox', { name: /^A new lesson/ }).fill('Under the beeches');
  await page.getByRole('radio', { name: 'Ostrel walkers' }).click();
  await press(page, 'Begin it');
  await page.getByRole('heading', { level: 1, name: 'Under the beeches' }).waitFor();
  await press(page, 'Put in a pair');
  await page.getByRole('textbox', { name: 'What is looked for' }).fill('chanterelle');
  await page
    .getByRole('list', { name: 'Which one' })
    .getByRole('button', { name: /^Chanterelle/ })
    .first()
    .click();
  await page
    .getByRole('list', { name: 'Which one' })
    .getByRole('button', { name: /deadly$/ })
    .first()
    .click();
  const note = page.getByRole('textbox', { name: /: what to look at$/ });
  await note.fill('Look whether it has ridges or gills.');
  await note.blur();
  await page
    .getByRole('list', { name: 'Pairs of this lesson' })
    .getByText('Look whether it has ridges or gills.')
    .waitFor();
  // A picture of one's own goes with it, made small.
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'Chanterelle')]);
  await chooser.setFiles('docs/screenshots/side-by-side.png');
  await page.getByRole('list', { name: 'Pictures' }).getByRole('img', { name: 'Chanterelle' }).waitFor();
  const [download] = await Promise.all([page.waitForEvent('download'), press(page, 'Save as a file')]);
  const file = readFileSync(await download.path(), 'utf8');
  expect(JSON.parse(file)).toMatchObject({
    format: 'pause-lesson',
    version: 1,
    lesson: {
      title: 'Under the beeches',
      pairs: [{ target: 'cantharellus-cibarius', note: 'Look whether it has ridges or gills.' }],
      photos: [{ taxon: 'cantharellus-cibarius' }],
    },
  });
  await quiet(page);
  await page.getByText(/to be sent/).waitFor({ state: 'detached' });

  const theirs = other.page;
  await theirs.goto('/practice');
  await theirs
    .getByRole('list', { name: 'Lessons' })
    .getByRole('link', { name: /Under the beeches/ })
    .click();
  await theirs.getByRole('list', { name: 'Pictures' }).getByRole('img', { name: 'Chanterelle' }).waitFor();
  // It is a keeper’s to change.
  expect(await theirs.getByRole('heading', { name: 'Make it' }).count()).toBe(0);
  await press(theirs, 'Do it now');
  for (let at = 1; at <= 2; at += 1) {
    await theirs.getByText(`${at} of 2`).waitFor();
    await theirs.getByText('Look whether it has ridges or gills.').waitFor();
    const among = theirs.getByRole('group', { name: 'Individuals' });
    await theirs.getByRole('heading', { level: 2 }).first().waitFor();
    if ((await among.count()) > 0) await press(theirs, 'None of them');
    else await answers(theirs).first().click();
    await theirs.getByRole('button', { name: /^(Next|To the end)$/ }).click();
  }
  await theirs.getByRole('heading', { name: /of 2 right$/ }).waitFor();
  await quiet(theirs);
  expect(
    (await everything(other.context.request)).some(
      ({ body }) => body.of === 'practice' && body.field === 'lesson',
    ),
  ).toBe(true);

  // Out and in again; with a taxon that the guide here does not have; and broken.
  const load = async (name: string, text: string) => {
    const path = join(scratch, name);
    writeFileSync(path, text);
    await theirs.goto('/practice/lessons');
    const [chosen] = await Promise.all([
      theirs.waitForEvent('filechooser'),
      press(theirs, 'Load one from a file'),
    ]);
    await chosen.setFiles(path);
  };
  await load('again.json', file);
  await theirs.getByRole('heading', { level: 1, name: 'Under the beeches' }).waitFor();
  await theirs.getByRole('heading', { name: 'Make it' }).waitFor();
  const elsewhere = JSON.parse(file) as { lesson: { title: string; pairs: object[] } };
  elsewhere.lesson.title = 'From elsewhere';
  elsewhere.lesson.pairs.push({ target: 'cantharellus-cibarius', other: 'cortinarius-elsewhere' });
  await load('elsewhere.json', JSON.stringify(elsewhere));
  await theirs.getByRole('alert').getByText('Not in this guide: cortinarius-elsewhere').waitFor();
  await quiet(theirs);
  await theirs.getByText(/to be sent|was refused/).waitFor({ state: 'detached' });
  await load('broken.json', JSON.stringify({ ...elsewhere, lesson: { ...elsewhere.lesson, title: '' } }));
  await theirs
    .getByRole('alert')
    .getByText(/^lesson\.title: /)
    .waitFor();
  await theirs.getByText('Nothing was taken of it.').waitFor();
  await load('none.json', 'no json');
  await theirs.getByRole('alert').getByText('file: it is no JSON.').waitFor();
  await keeper.context.close();
  await other.context.close();
});

test('the gentler set ends with showing it to an adult; a group that requires earned pairs says so', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/practice');
  await page.getByRole('checkbox', { name: 'A gentler set, for a child' }).click();
  await page.getByRole('checkbox', { name: 'A gentler set, for a child', checked: true }).waitFor();
  await quiet(page);
  await page.goto('/practice/wood?seed=3');
  await page.getByText('find 1 of 5', { exact: false }).waitFor();
  expect(await page.getByRole('button', { name: 'Collect' }).count()).toBe(0);
  for (let find = 1; find <= 5; find += 1) {
    await press(page, 'Show it to an adult');
    await press(page, find < 5 ? 'The next find' : 'The end of the walk');
  }
  await page.getByText('Whatever you find outdoors, show it to an adult before anybody picks it.').waitFor();
  await page.goto('/find/demo-find-5/beside?other=cortinarius-rubellus');
  await page.getByText(/practised this pair/).waitFor();
  await page.goto('/group/ostrel-walkers');
  await page.getByRole('checkbox', { name: 'With what is deadly' }).click();
  await page.getByRole('checkbox', { name: 'With what is deadly', checked: true }).waitFor();
  await quiet(page);
  await page.goto('/find/demo-find-4/verdict');
  await page.getByText(/^Your group asks that whoever decides has passed the pair/).waitFor();
  await context.close();
});

test('the group’s picture is for its keeper, added up without names', async () => {
  const { page, context } = await rig.open(WIDE);
  await page.goto('/practice/confusion');
  await page.getByRole('radio', { name: 'Ostrel walkers' }).click();
  await page.getByText(/^3 people of Ostrel walkers let theirs count, added up without names/).waitFor();
  const [all] = [await page.getByRole('main').textContent()];
  for (const name of ['Jorun', 'Tam', 'Mirel']) expect(all).not.toContain(name);
  await page
    .getByRole('list', { name: 'Read as another' })
    .getByText(/^Runs on down the stem read as/)
    .waitFor();
  await context.close();
});
