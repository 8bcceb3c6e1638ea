import jsQr from 'jsqr';
import type { Page, BrowserContext } from 'playwright-core';
import { press, fill, sent } from './kit';

/** A basket of chanterelles on its way into a jar, step by step. */

const tick = async (page: Page, name: RegExp) => {
  await page.getByRole('checkbox', { name }).click();
  await page.getByRole('checkbox', { name, checked: true }).waitFor();
};

/** Takes what two eat, and goes through it at home, without a connection. */
export async function takeAndSort(page: Page, context: BrowserContext): Promise<void> {
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
  await press(page, 'An odd one');
  await press(page, 'A leaf, a bit of moss');
  for (let pass = 1; pass < 15 && !(await basket.innerText()).startsWith('Gone through\n'); pass += 1) {
    await press(page, 'All of it is gone through');
    await page.getByRole('heading', { name: `Time ${pass + 1}` }).waitFor();
  }
  await press(page, 'Make something of it');
}

/** Dries it: what must not be made of it is said, what has to be done is asked for. @returns the path of the batch */
export async function dry(page: Page, context: BrowserContext): Promise<string> {
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
  return batch;
}

/** Makes the label, and reads its square back from a picture. */
export async function label(page: Page, url: string, batch: string): Promise<void> {
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
  ).toBe(`${url}${batch}`);
  await page.goto('/scan');
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'From a picture')]);
  await chooser.setFiles({ name: 'label.png', mimeType: 'image/png', buffer: square });
  await page.waitForURL(`**${batch}`);
  await page.goto('/scan');
  const [again] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'From a picture')]);
  await again.setFiles({ name: 'label.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await page.getByRole('alert').getByText('This is no picture that can be read.').waitFor();
}

/** Eats some of it, cooked as it has to be. */
export async function eat(page: Page, batch: string): Promise<void> {
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
}
