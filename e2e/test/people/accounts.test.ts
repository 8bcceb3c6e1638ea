import type { Page } from 'playwright-core';
import { answerAll, specimen, outcome, onRecord, hold } from '../../forager';
import { PHONE } from '../../rig';
import { newcomer, beginGroup, findIn, rig, addressOf, openLink, answer, setUp } from './kit';

jest.setTimeout(180_000);
setUp();

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
  // It may be announced before its bytes have all gone; then it comes a little later.
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
  await page.getByRole('link', { name: /Penny bun Left/ }).waitFor();
  const other = await context.newPage();
  other.on('pageerror', (error) => errors.push(error.message));
  await other.goto('/find/demo-find-1');
  await other.getByLabel('Where, in your own words').waitFor();
  await page.goto('/notebook');
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  for (const window of [page, other]) {
    await window.getByRole('button', { name: 'Open it as Mirel Aschkar' }).waitFor();
    expect(await window.getByRole('link', { name: /Penny bun Left/ }).count()).toBe(0);
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

test('an account is deleted with its notebook, also on the device; in the group it loses its name', async () => {
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
