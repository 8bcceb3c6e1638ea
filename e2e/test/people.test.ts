import type { BrowserContext, Page } from 'playwright-core';
import {
  answerAll,
  begin,
  FUNGUS_TOLD,
  hold,
  onRecord,
  outcome,
  seen,
  specimen,
  strip,
  tell,
} from '../forager';
import { PHONE, startRig, type Rig } from '../rig';

jest.setTimeout(180_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

interface Walker {
  readonly page: Page;
  readonly context: BrowserContext;
  readonly errors: string[];
}

const addressOf = (name: string) => `${name.toLowerCase().replace(/ /g, '.')}@ostrel.example`;
/** Opens the link of the newest letter to somebody, looking again until it came. */
async function openLink(page: Page, subject: string, name: string): Promise<void> {
  const link = page.getByRole('button', { name: `Open the link: ${subject}, to ${addressOf(name)}` }).first();
  for (let tries = 0; tries < 20 && (await link.count()) === 0; tries += 1) {
    await page.getByRole('button', { name: 'Look again' }).click();
    await page.waitForTimeout(100);
  }
  await link.click();
}

/** A new account, made at the door. */
async function newcomer(name: string): Promise<Walker> {
  const walker = await rig.open(PHONE, false, false);
  const { page } = walker;
  await page.goto('/notebook');
  await page.getByRole('button', { name: 'Sign in, or make an account' }).click();
  await page.getByRole('radio', { name: 'I am new here' }).click();
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByText('E-mail address: it is missing').waitFor();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('E-mail address').fill(addressOf(name));
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByText('Password: at least 10 characters').waitFor();
  await page.getByLabel('Password').fill('a long enough password');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByRole('heading', { level: 1, name: 'Look into your mail' }).waitFor();
  await page.getByRole('button', { name: 'Open the simulated mailbox' }).click();
  await page.getByText('no letter leaves this machine').waitFor();
  await openLink(page, 'Confirm your e-mail address for Pause', name);
  await page.getByRole('button', { name: 'It was me: confirm' }).click();
  await page.waitForURL((url) => url.pathname === '/');
  await page.goto('/notebook');
  await page.getByText(`${name}’s notebook`).waitFor();
  return walker;
}

/** Begins a group, as its keeper. */
async function beginGroup(page: Page, name: string): Promise<void> {
  await page.goto('/notebook');
  await page.getByRole('button', { name: 'Begin a group' }).click();
  await page.getByLabel('Name of the group').fill(name);
  await page.getByRole('button', { name: 'Begin it' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

/** A chanterelle in the group's notebook, with all told that stands around it. @returns its id */
async function findIn(page: Page, group: string, where?: string): Promise<string> {
  await page.goto('/new');
  await page.getByRole('radio', { name: /^Ridges/ }).click();
  if (where !== undefined) await page.getByLabel('Where, in your own words').fill(where);
  await page.getByRole('radio', { name: group }).click();
  await page.getByLabel('Name, in any language, or scientific').fill('chanterelle');
  await page.getByRole('button', { name: /^Chanterelle/ }).click();
  await page.waitForURL(/\/around/);
  await tell(page, FUNGUS_TOLD);
  await strip(page).waitFor();
  return /find\/([^/]+)/.exec(page.url())?.[1] ?? '';
}

async function answer(page: Page, nth: number): Promise<void> {
  const before = await seen(page);
  await page.getByRole('group', { name: 'Answers' }).getByRole('button').nth(nth).click();
  await page.waitForFunction(
    (known) => document.querySelectorAll('[aria-label="What was seen"] > [role="listitem"]').length > known,
    before,
  );
  await page.locator('[aria-busy="true"]').first().waitFor({ state: 'detached' });
}

test('two people of one group: joined by a code, a find shared and its place kept, a second look asked for and given blind, both laid side by side', async () => {
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
  expect(await other.page.getByRole('link', { name: 'Eaten?', exact: true }).count()).toBe(1);
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
    // The later one stands, by both; the earlier ones stay visible.
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

test('a young member of a group collects when an adult of it has agreed', async () => {
  const [keeper, young] = [await newcomer('Kaia Kvist'), await newcomer('Yuri Yarl')];
  await beginGroup(keeper.page, 'The Kvists');
  // This group does without second looks; the verdict will say so.
  await keeper.page.getByRole('checkbox', { name: 'Where no expert reviewed a deadly pair' }).click();
  await keeper.page
    .getByRole('checkbox', { name: 'Where no expert reviewed a deadly pair', checked: false })
    .waitFor();
  await keeper.page.getByRole('radio', { name: 'Young member' }).click();
  await keeper.page.getByRole('button', { name: 'Show a code' }).click();
  const shown = keeper.page.getByRole('heading', { level: 3 });
  const code = await shown.textContent();
  // A second one, taken back before anybody used it.
  await keeper.page.getByRole('button', { name: 'Another code' }).click();
  const unused = keeper.page.getByRole('list', { name: 'Codes that nobody has used yet' });
  await unused.getByRole('listitem').nth(1).waitFor();
  const second = await shown.filter({ hasNotText: code ?? '' }).textContent();
  await unused.getByRole('button', { name: 'Take back' }).last().click();
  await unused.getByRole('listitem').nth(1).waitFor({ state: 'detached' });
  await young.page.goto('/join');
  await young.page.getByLabel('Code', { exact: true }).fill(second ?? '');
  await young.page.getByRole('button', { name: 'Join', exact: true }).click();
  await young.page.getByText(/this code does not open a group/).waitFor();
  await young.page.getByLabel('Code', { exact: true }).fill((code ?? '').toLowerCase());
  await young.page.getByRole('button', { name: 'Join', exact: true }).click();
  await young.page.getByText('Group · you are young member').waitFor();

  const id = await findIn(young.page, 'The Kvists');
  await answerAll(young.page, specimen('cantharellus-cibarius', 'mature'), { until: (o) => o === 'Collect' });
  expect(await outcome(young.page)).toBe('Collect');
  await young.page.goto(`/find/${id}/verdict`);
  await young.page.getByText('Collecting waits for an adult of the group.').waitFor();
  await young.page.getByRole('button', { name: 'Ask the adults of the group' }).click();
  await young.page.getByText(/An adult of the group has been asked/).waitFor();
  await onRecord(young.page, id, (record) => record.verdicts.length === 1);
  await keeper.page.goto(`/find/${id}`);
  await keeper.page.getByText('Yuri Yarl asks whether to collect it').waitFor();
  await keeper.page.getByRole('button', { name: 'I agree' }).click();
  // The young one's screen hears of it by itself.
  await young.page.getByText(/An adult of the group has been asked/).waitFor({ state: 'detached' });
  await hold(young.page, /I collect it/);
  await young.page
    .getByText(/Kaia Kvist agreed|Collected/)
    .first()
    .waitFor();
  const find = await onRecord(young.page, id, (record) => record.decisions.length === 1);
  expect([find.decisions[0]?.choice, find.consents.length]).toEqual(['collect', 1]);
  expect(find.decisions[0]?.verdict).toBe(find.consents[0]?.verdict);
  expect([...keeper.errors, ...young.errors]).toEqual([]);
  for (const { context } of [keeper, young]) await context.close();
});

test('a photo goes to the notebook and comes to another device; taken out again it is gone from both', async () => {
  const [one, other] = [await rig.open(PHONE), await rig.open(PHONE)];
  for (const { page } of [one, other]) await page.goto('/find/demo-find-2');
  await one.page.getByRole('button', { name: 'Photo', exact: true }).waitFor();
  const jpeg = await one.page.evaluate(async () => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 900, height: 700 });
    const pen = canvas.getContext('2d');
    // Noise, so that it takes several parts.
    for (let n = 0; n < 40_000; n += 1)
      pen?.fillRect((n * 7919) % 900, (n * 104_729) % 700, 1 + (n % 3), 1 + (n % 4));
    const blob = await new Promise<Blob | null>((done) => {
      canvas.toBlob(done, 'image/jpeg', 0.95);
    });
    return [...new Uint8Array(await (blob ?? new Blob()).arrayBuffer())];
  });
  await one.page
    .locator('input[type="file"]')
    .setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(jpeg) });
  await one.page.getByRole('button', { name: 'Keep the photo' }).click();
  const list = (page: Page) => page.getByRole('list', { name: 'Photos and sketches' }).getByRole('listitem');
  await list(one.page).waitFor();
  // It may be told of before its bytes have all gone; then it comes a little later.
  await list(other.page).waitFor();
  const width = await list(other.page)
    .locator('img')
    .evaluate(async (image: HTMLImageElement) => {
      await image.decode();
      return image.naturalWidth;
    });
  expect(width).toBe(900);
  await one.page.getByRole('button', { name: 'Larger' }).click();
  await one.page.getByRole('button', { name: 'Delete it' }).click();
  await list(one.page).waitFor({ state: 'detached' });
  await list(other.page).waitFor({ state: 'detached' });
  for (const { context, errors } of [one, other]) {
    expect(errors).toEqual([]);
    await context.close();
  }
});

test('signing out leaves nothing of the notebook on the device, in other windows neither', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/');
  await page.getByRole('link', { name: /Penny bun/ }).waitFor();
  const other = await context.newPage();
  other.on('pageerror', (error) => errors.push(error.message));
  await other.goto('/find/demo-find-1');
  await other.getByLabel('Where, in your own words').waitFor();
  await page.goto('/notebook');
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  for (const window of [page, other]) {
    await window.getByRole('button', { name: 'Open it as Mirel Aschkar' }).waitFor();
    expect(await window.getByRole('link', { name: /Penny bun/ }).count()).toBe(0);
  }
  await page.goto('/finds');
  await page.getByText('Nothing has been found yet').waitFor();
  expect(errors).toEqual([]);
  await context.close();
});

test('a forgotten password: a letter, a new one, and every other device is signed out', async () => {
  const first = await newcomer('Vesna Reith');
  const { page, context } = await rig.open(PHONE, false, false);
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'I forgot the password' }).click();
  await page.getByLabel('E-mail address').fill('vesna.reith');
  await page.getByRole('button', { name: 'Send the letter' }).click();
  await page.getByText('E-mail address: something like').waitFor();
  await page.getByLabel('E-mail address').fill(addressOf('Vesna Reith'));
  await page.getByRole('button', { name: 'Send the letter' }).click();
  await page.getByRole('button', { name: 'Open the simulated mailbox' }).click();
  await openLink(page, 'A new password for Pause', 'Vesna Reith');
  await page.getByLabel('New password').fill('fog over the lower ford');
  await page.getByRole('button', { name: 'Keep this password' }).click();
  await page.getByRole('heading', { level: 1, name: 'The new password holds' }).waitFor();
  await page.getByRole('button', { name: 'Sign in' }).click();
  const signIn = async (password: string) => {
    await page.getByLabel('E-mail address').fill(addressOf('Vesna Reith'));
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  };
  await signIn('a long enough password');
  await page.getByRole('alert').waitFor();
  await signIn('fog over the lower ford');
  await page.waitForURL((url) => url.pathname === '/');
  expect((await first.context.request.get('/api/v1/me')).status()).toBe(401);
  expect((await context.request.get('/api/v1/me')).status()).toBe(200);
  expect(first.errors).toEqual([]);
  for (const one of [first.context, context]) await one.close();
});

test('an account deleted: only by its own name, with its notebook and on this device; in the group’s notebook it is somebody without a name', async () => {
  const [keeper, leaver] = [await newcomer('Hanno Hask'), await newcomer('Lio Lenk')];
  await beginGroup(keeper.page, 'Ferry walkers');
  await keeper.page.getByRole('button', { name: 'Show a code' }).click();
  const code = await keeper.page.getByRole('heading', { level: 3 }).textContent();
  await leaver.page.goto(`/join?code=${code ?? ''}`);
  await leaver.page.getByRole('button', { name: 'Join', exact: true }).click();
  await leaver.page.getByRole('heading', { level: 1, name: 'Ferry walkers' }).waitFor();
  const shared = await findIn(leaver.page, 'Ferry walkers');
  await answer(leaver.page, 0);
  await onRecord(leaver.page, shared, (record) => record.readings.length === 1);

  await leaver.page.goto('/notebook');
  await leaver.page.getByRole('button', { name: 'Delete the account' }).click();
  const forGood = leaver.page.getByRole('button', { name: 'Delete it for good' });
  const name = leaver.page.getByLabel('Write your name to say that you mean it');
  await name.fill('Lio Lenz');
  expect(await forGood.isDisabled()).toBe(true);
  await name.fill('Lio Lenk');
  const password = leaver.page.getByLabel('Your password');
  await password.fill('not the password at all');
  await forGood.click();
  await leaver.page.getByText('this is not your password').waitFor();
  await password.fill('a long enough password');
  await forGood.click();
  await leaver.page.getByRole('button', { name: 'Open it as Mirel Aschkar' }).waitFor();
  await leaver.page.goto('/finds');
  await leaver.page.getByText('Nothing has been found yet').waitFor();
  await leaver.page.goto('/sign-in');
  await leaver.page.getByLabel('E-mail address').fill('lio.lenk@ostrel.example');
  await leaver.page.getByLabel('Password').fill('a long enough password');
  await leaver.page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await leaver.page.getByRole('alert').waitFor();

  await keeper.page.goto('/finds');
  const line = keeper.page.getByRole('link', { name: /Chanterelle/ });
  await line.waitFor();
  expect(await line.textContent()).not.toContain('Lio');
  await keeper.page.goto(`/find/${shared}`);
  await keeper.page
    .getByLabel('Where, in your own words')
    .or(keeper.page.getByText('keeps it.'))
    .first()
    .waitFor();
  expect(await keeper.page.getByText(/Lio/).count()).toBe(0);
  expect([...keeper.errors, ...leaver.errors]).toEqual([]);
  for (const { context } of [keeper, leaver]) await context.close();
});
