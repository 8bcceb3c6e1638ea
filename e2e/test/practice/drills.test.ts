import type { Page } from 'playwright-core';
import { PHONE, quiet, WIDE } from '../../rig';
import { everything, answers, rig, press, setUp } from './kit';

jest.setTimeout(180_000);
setUp();

const recordedOf = async (page: Page, field: string) =>
  (await everything(page.context().request))
    .filter(({ kind, body }) => kind === 'fields' && body.of === 'practice' && body.field === field)
    .map(({ body }) => body.value as { at: string }[]);
/** Looks at one thing of the find and puts it down, by whatever way it is shown. */
async function lookOnce(page: Page, organ: number): Promise<void> {
  await page.getByRole('radiogroup', { name: 'Where' }).getByRole('radio').nth(organ).click();
  await page.getByRole('list', { name: 'What can be looked at' }).getByRole('button').first().click();
  await page
    .getByRole('button', { name: /^(Put it down|Look at something else|Back)$/ })
    .first()
    .waitFor();
  const read = page.getByRole('button', { name: /^(Put it down|Look at something else)$/ });
  if ((await read.count()) > 0) await read.click();
  else await answers(page).first().click();
  await page.getByRole('radiogroup', { name: 'Where' }).waitFor();
}

test('a walk of five finds on a phone, without a network; it is sent later and can be walked again', async () => {
  const { page, context, errors } = await rig.open(PHONE, true);
  await page.goto('/practice');
  await page.getByRole('heading', { name: 'The practice wood' }).waitFor();
  await page.getByRole('heading', { name: /to look at now$/ }).waitFor();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await quiet(page);
  await context.setOffline(true);
  await press(page, 'Walk into the wood');
  const hoped: string[] = [];
  for (let find = 1; find <= 5; find += 1) {
    await page.getByText(`find ${find} of 5`, { exact: false }).waitFor();
    hoped.push((await page.getByRole('heading', { level: 1 }).textContent()) ?? '');
    await lookOnce(page, 0);
    await lookOnce(page, 1);
    await page.getByRole('list', { name: 'What you looked at' }).getByRole('listitem').nth(1).waitFor();
    await press(page, find === 2 ? 'Collect' : find === 3 ? 'Not yet' : 'Leave');
    // The review: what it was, the bars by what was read, and the plan beside one's own way.
    await page
      .getByRole('status')
      .getByText(
        find === 2 ? /^You said: collect · / : find === 3 ? /^You said: not yet · / : /^You said: leave · /,
      )
      .waitFor();
    await page
      .getByRole('list', { name: 'The bars as they were' })
      .getByRole('img', { name: /of \d bars? filled$|of \d bars filled/ })
      .first()
      .waitFor();
    await page.getByText('The plan', { exact: true }).waitFor();
    await press(page, find < 5 ? 'The next find' : 'The end of the walk');
  }
  expect(await page.getByRole('list', { name: 'Finds of this walk' }).getByRole('listitem').count()).toBe(5);
  // Two looks are never enough for every bar: whatever it was, to take it was a risk.
  await page.getByRole('heading', { level: 1, name: 'One that was not safe to take' }).waitFor();
  await context.setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await page.getByText(/to be sent/).waitFor({ state: 'detached', timeout: 30_000 });
  for (
    let attempt = 0;
    attempt < 50 && !(await recordedOf(page, 'finds')).some((finds) => finds.length === 5);
    attempt += 1
  )
    await page.waitForTimeout(200);
  const [five] = (await recordedOf(page, 'finds')).filter((finds) => finds.length === 5) as unknown as {
    target: string;
    was: string;
    seed: number;
    decided: string;
    looks: object[];
  }[][];
  expect(five?.map(({ decided }) => decided)).toEqual(['leave', 'collect', 'not-yet', 'leave', 'leave']);

  // Whoever opens the address of a walk meets the same finds.
  const met: string[][] = [];
  for (const size of [PHONE, WIDE]) {
    await page.setViewportSize(size);
    await page.goto('/practice/wood?seed=77');
    const names: string[] = [];
    for (let find = 1; find <= 5; find += 1) {
      await page.getByText(`find ${find} of 5`, { exact: false }).waitFor();
      names.push((await page.getByRole('heading', { level: 1 }).textContent()) ?? '');
      await press(page, 'Leave');
      names.push((await page.getByRole('status').textContent()) ?? '');
      await press(page, find < 5 ? 'The next find' : 'The end of the walk');
    }
    met.push(names);
  }
  expect(met[0]).toEqual(met[1]);
  expect(errors).toEqual([]);
  await context.close();
});

test('drills by keyboard alone: the answer counts, comes back, and is in the picture of confusions', async () => {
  const { page, context } = await rig.open(PHONE);
  await page.goto('/practice/drill?cards=feature:cap.shape,feature:cap.shape');
  for (let at = 1; at <= 2; at += 1) {
    await page.getByText(`${at} of 2`).waitFor();
    await page.getByRole('heading', { name: 'Shape of the cap: what is it called?' }).waitFor();
    await page.getByRole('img', { name: 'What there is to be seen' }).waitFor();
    expect(await answers(page).count()).toBe(4);
    await page.getByRole('radio', { name: 'Fairly' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('radio', { name: 'Fairly', checked: true }).waitFor();
    await answers(page).nth(at).focus();
    await page.keyboard.press('Enter');
    await page
      .getByRole('status')
      .filter({ hasText: /^(Right|Not so)/ })
      .waitFor();
    await page.getByRole('button', { name: /^(Next|To the end)$/ }).focus();
    await page.keyboard.press('Enter');
  }
  await page.getByRole('heading', { name: /of 2 right$/ }).waitFor();
  await quiet(page);
  const given = (await recordedOf(page, 'answers')).at(-1) as unknown as {
    card: string;
    sureness: string;
    look: { character: string };
  }[];
  expect(given.map(({ card, sureness, look }) => [card, sureness, look.character])).toEqual([
    ['feature:cap.shape', 'fairly', 'cap.shape'],
    ['feature:cap.shape', 'fairly', 'cap.shape'],
  ]);
  await page.goto('/practice/confusion');
  await page
    .getByRole('list', { name: 'How often each word of sureness was wrong' })
    .getByRole('listitem', { name: /^Fairly: wrong \d+ of \d+/ })
    .waitFor();
  // What nobody knows is said, and nothing breaks.
  await page.goto('/practice/drill?cards=pair:no-such:one');
  await page.getByText('The guide knows nothing of it that can be drawn.').waitFor();
  await context.close();
});

test('a feature is drawn from memory, the plate is shown over it, and what was wrong is marked', async () => {
  const { page, context } = await rig.open(PHONE);
  // Which way a term is asked is drawn by lot.
  for (let attempt = 0; attempt < 30; attempt += 1) {
    await page.goto('/practice/drill?cards=term:hymenophore.attachment:decurrent');
    await page.getByRole('heading', { level: 2 }).waitFor();
    if ((await page.getByRole('heading', { name: /^Draw it from memory/ }).count()) > 0) break;
  }
  const paper = page.getByRole('application', { name: 'Paper to draw on' });
  const box = await paper.boundingBox();
  if (!box) throw new Error('no paper');
  const line = async (...points: readonly (readonly [number, number])[]) => {
    const [first, ...rest] = points;
    await page.mouse.move(box.x + (first?.[0] ?? 0), box.y + (first?.[1] ?? 0));
    await page.mouse.down();
    for (const [x, y] of rest) await page.mouse.move(box.x + x, box.y + y, { steps: 6 });
    await page.mouse.up();
  };
  await line([60, 80], [180, 120], [300, 80]);
  await line([180, 120], [180, 240]);
  await press(page, 'Lay the plate over it');
  const over = page.getByRole('img', { name: 'Your sketch with the plate over it' });
  expect(await over.locator('path').count()).toBeGreaterThanOrEqual(3);
  expect(await over.locator('image').count()).toBe(1);
  await over.click({ position: { x: 150, y: 120 } });
  await page.getByText('One place is marked.').waitFor();
  await over.click({ position: { x: 150, y: 120 } });
  await page.getByText('Tap where yours is otherwise.').waitFor();
  await press(page, 'Nearly');
  await page.getByRole('status').getByText('Right', { exact: true }).waitFor();
  // Whoever leaves in the middle has what they did.
  await press(page, 'Stop here');
  await page.getByRole('heading', { level: 1, name: 'Practice' }).waitFor();
  await quiet(page);
  expect((await recordedOf(page, 'answers')).at(-1)).toMatchObject([
    { card: 'term:hymenophore.attachment:decurrent', right: true, sureness: 'fairly' },
  ]);
  await context.close();
});
