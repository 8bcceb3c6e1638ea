import type { Page } from 'playwright-core';
import { onRecord, strip, begin, tell, FUNGUS_TOLD, hold } from '../../forager';
import { PHONE } from '../../rig';
import { newcomer, beginGroup, findIn, answer, rig, setUp } from './kit';

jest.setTimeout(180_000);
setUp();

test('two of a group: joined by a code, a shared find, its place kept, a blind second look compared', async () => {
  const one = await newcomer('Una Ulm');
  // A group, and a code for one more.
  await beginGroup(one.page, 'Weir walkers');
  await one.page.getByRole('button', { name: 'Show a code' }).click();
  await one.page.getByRole('img', { name: /square that leads another phone/ }).waitFor();
  const code = await one.page.getByRole('heading', { level: 3 }).textContent();
  const other = await newcomer('Duo Dahl');
  await other.page.goto(`/join?code=${code ?? ''}`);
  await other.page.getByRole('button', { name: 'Join', exact: true }).click();
  await other.page.getByRole('heading', { level: 1, name: 'Weir walkers' }).waitFor();
  // Not a keeper: the rules are shown, and cannot be changed.
  expect(await other.page.getByRole('checkbox', { name: 'For everything deadly' }).isDisabled()).toBe(true);

  // A find in the group's notebook.
  const id = await findIn(one.page, 'Weir walkers', 'Behind the old weir');
  for (let n = 0; n < 4; n += 1) await answer(one.page, 0);
  await onRecord(one.page, id, (record) => record.readings.length === 4);

  // The other hears of it by itself, and not of where it was.
  await other.page.goto('/finds');
  await other.page.getByRole('link', { name: /Chanterelle.*Una/s }).waitFor();
  expect(await other.page.getByText('Behind the old weir').count()).toBe(0);
  await other.page.goto(`/find/${id}`);
  await other.page.getByText('Una Ulm keeps it.').waitFor();
  await one.page.goto(`/find/${id}`);
  await one.page.getByRole('radio', { name: 'All of Weir walkers' }).click();
  await other.page.getByText('Behind the old weir').first().waitFor();

  // A second look, asked of the other.
  await one.page.getByRole('button', { name: 'Ask', exact: true }).click();
  await one.page.getByRole('radio', { name: 'Duo Dahl' }).click();
  await one.page.getByRole('button', { name: 'Ask', exact: true }).click();
  await one.page.getByText(/Duo Dahl has been asked/).waitFor();
  await other.page.goto('/finds');
  await other.page.getByRole('link', { name: /Asked of you: a second look/ }).click();
  await other.page.getByRole('heading', { level: 1, name: 'A second look is asked of you' }).waitFor();
  expect(await other.page.getByText(/hanterelle/).count()).toBe(0);
  // Nor by another address of the same find.
  await other.page.goto(`/find/${id}/verdict`);
  await other.page.getByRole('heading', { level: 1, name: 'A second look is asked of you' }).waitFor();
  expect(await other.page.getByRole('link', { name: 'Poisoning', exact: true }).count()).toBe(1);
  await other.page.getByRole('button', { name: 'Begin' }).click();
  const asked = Number(
    /(\d+) left/.exec((await other.page.getByText(/left$/).textContent()) ?? '')?.[1] ?? 1,
  );
  for (let n = 0; n < asked; n += 1) {
    const question = await other.page.getByRole('heading', { level: 2 }).first().textContent();
    expect(question).not.toMatch(/hanterelle/);
    // The first is seen otherwise than the finder saw it.
    await other.page
      .getByRole('group', { name: 'Answers' })
      .getByRole('button')
      .nth(n === 0 ? 1 : 0)
      .click();
    await other.page.waitForFunction(
      (was) => document.querySelector('[role="heading"][aria-level="2"]')?.textContent !== was,
      question,
    );
  }
  await other.page.getByText('Thank you: all of it is read').waitFor();
  await other.page.getByRole('button', { name: 'Side by side' }).click();
  await other.page.getByRole('heading', { level: 1, name: 'Both looks' }).waitFor();
  await one.page.getByRole('button', { name: 'Side by side' }).click();
  await one.page
    .getByRole('listitem', { name: /: not the same$/ })
    .first()
    .waitFor();
  // What differs is looked at once more, on the same piece, by both.
  await one.page.getByRole('button', { name: 'Look at it together' }).click();
  await one.page.getByRole('button', { name: 'Duo Dahl is here and says it on this device' }).click();
  await strip(one.page).waitFor();
  const find = await onRecord(
    one.page,
    id,
    (record) => record.readings.filter((r) => r.blind === true).length === asked,
  );
  expect(find.pieces).toHaveLength(1);
  // It is of both only with the word of the other, by name.
  await one.page.getByRole('group', { name: 'Answers' }).getByRole('button').first().click();
  const word = one.page.getByRole('group', { name: 'The word of Duo Dahl' });
  await word.getByRole('heading', { name: 'Now give it to Duo Dahl' }).waitFor();
  expect(find.readings.length).toBe(4 + asked);
  await word.getByRole('button', { name: 'I am Duo Dahl, and I see it so' }).click();
  const both = await onRecord(one.page, id, (record) => record.readings.length === 4 + asked + 1);
  expect(both.readings.at(-1)).toMatchObject({
    by: find.person,
    together: [find.readings.find((r) => r.blind === true)?.by],
  });
  // Nobody takes back what is not theirs.
  const mine = find.readings.filter((r) => r.by === find.person).length + 1;
  await other.page.goto(`/find/${id}/check`);
  await other.page.getByRole('list', { name: 'What was seen' }).first().waitFor();
  expect(await other.page.getByRole('button', { name: /^Take back: / }).count()).toBeLessThanOrEqual(
    4 + asked + 1 - mine,
  );
  // Whoever asked reads in the list of finds that the second look has come.
  await one.page.goto('/finds');
  await one.page
    .getByRole('listitem')
    .filter({ hasText: 'Behind the old weir' })
    .getByText('Second look is here')
    .waitFor();
  expect([...one.errors, ...other.errors]).toEqual([]);
  await one.context.close();
  await other.context.close();
});

test('the simulated expert of the demo answers after a while, and says that it is simulated', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/find/demo-find-4/ask');
  await page.getByRole('radio', { name: 'Distant expert (simulated)' }).click();
  await page.getByRole('button', { name: 'Ask', exact: true }).click();
  await page.getByText(/Distant expert \(simulated\) has been asked/).waitFor();
  await page.getByRole('button', { name: 'Side by side' }).waitFor();
  await page.getByRole('button', { name: 'Side by side' }).click();
  await page.getByText('Simulated: nobody looked. A real person would answer here.').first().waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('two devices of one person tell otherwise while apart: both keep everything, and end equal', async () => {
  const [one, other] = [await rig.open(PHONE), await rig.open(PHONE)];
  const id = await begin(one.page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'By the ford');
  await tell(one.page, FUNGUS_TOLD);
  await strip(one.page).waitFor();
  await answer(one.page, 0);
  await onRecord(one.page, id, (record) => record.readings.length === 1);
  for (const { page } of [one, other]) {
    await page.goto(`/find/${id}`);
    await page.getByLabel('Where, in your own words').waitFor();
  }
  for (const { context } of [one, other]) await context.setOffline(true);
  const where = async (page: Page, text: string) => {
    await page.getByLabel('Where, in your own words').fill(text);
    await page.getByLabel('Where, in your own words').blur();
    await page.getByText(/Before: /).waitFor();
  };
  await where(one.page, 'At the ford, left bank');
  await where(other.page, 'At the ford, right bank');
  // While they are apart each says what waits.
  await one.page.getByText('One entry waits to be sent').waitFor();
  for (const { context } of [one, other]) await context.setOffline(false);
  await onRecord(one.page, id, (record) => record.edits.length === 3);
  for (const { page } of [one, other]) {
    await page.goto(`/find/${id}`);
    // The later one counts, by both; the earlier ones stay visible.
    await page.getByText(/Before: “At the ford, left bank”, “By the ford”\./).waitFor();
    expect(await page.getByLabel('Where, in your own words').inputValue()).toBe('At the ford, right bank');
  }
  for (const { context } of [one, other]) await context.close();
});

test('a verdict made without a connection that differs by the time it arrives: both are shown', async () => {
  const [one, other] = [await rig.open(PHONE), await rig.open(PHONE)];
  const id = await begin(one.page, /^Ridges/, 'chanterelle', /^Chanterelle/, 'By the ford');
  await tell(one.page, FUNGUS_TOLD);
  await strip(one.page).waitFor();
  await answer(one.page, 0);
  await onRecord(one.page, id, (record) => record.readings.length === 1);
  await other.page.goto(`/find/${id}/check`);
  await strip(other.page).waitFor();
  await one.page.goto(`/find/${id}/verdict`);
  await one.page.getByText('What you do').waitFor();
  await one.context.setOffline(true);
  await hold(one.page, /I come back later/);
  await one.page.waitForURL(/\/find\/[^/]+$/);
  // Meanwhile the other reads more.
  await answer(other.page, 0);
  await onRecord(other.page, id, (record) => record.readings.length === 2);
  await one.context.setOffline(false);
  await one.page
    .getByRole('note', { name: 'The notebook reached another verdict' })
    .getByText(/More was on record by then than the device knew/)
    .waitFor();
  const find = await onRecord(one.page, id, (record) => record.verdicts.length === 1);
  expect(find.verdicts[0]?.arrival).toMatchObject({ because: 'record', verdict: { outcome: 'pause' } });
  await one.page.goto('/finds');
  await one.page.getByRole('link', { name: /Chanterelle.*Differs/s }).waitFor();
  for (const { context } of [one, other]) await context.close();
});
