import type { Page } from 'playwright-core';
import { strip, seen, onceSeen, openOtherChecks } from '../../forager';
import { rig, button, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

describe('what is set on this device', () => {
  test('light, size and hand stay, and show', async () => {
    const { page, context } = await rig.open();
    await page.goto('/look');
    const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    const day = await ground();
    await page.getByRole('radio', { name: 'Dim, for dusk' }).click();
    await page.getByRole('radio', { name: 'Left' }).click();
    await page.getByRole('radio', { name: 'Twice' }).click();
    expect(await ground()).not.toBe(day);
    await page.goto('/find/demo-find-5/check');
    await strip(page).waitFor();
    expect(
      await page.getByRole('heading', { level: 1 }).evaluate((e) => parseFloat(getComputedStyle(e).fontSize)),
    ).toBe(60);
    const go = await page.getByRole('link', { name: 'See the verdict and its reasons' }).boundingBox();
    expect(go!.x).toBeLessThan(100);
    // Twice as large, and nothing is cut short or runs out of the screen.
    const lost = await page.evaluate(() => ({
      wide: document.documentElement.scrollWidth > window.innerWidth,
      cut: [...document.querySelectorAll('[dir="auto"]')]
        .filter((e) => getComputedStyle(e).textOverflow === 'ellipsis' && e.scrollWidth > e.clientWidth + 1)
        .map((e) => e.textContent),
    }));
    expect(lost).toEqual({ wide: false, cut: [] });
    await context.close();
  });

  test('a child gathers with an adult: the word of one is needed', async () => {
    const { page, context } = await rig.open();
    await page.addInitScript(() =>
      window.localStorage.setItem('pause:look', JSON.stringify({ child: true })),
    );
    await page.goto('/find/demo-find-1/verdict');
    const collect = button(page, /^I collect it/);
    await collect.waitFor();
    expect(await collect.getAttribute('aria-disabled')).toBe('true');
    await page.getByLabel('Name of the adult who looked at it').fill('Jorun');
    expect(await collect.getAttribute('aria-disabled')).not.toBe('true');
    await context.close();
  });

  test('a ruler is set with a card, and no screen is like anything', async () => {
    const { page, context } = await rig.open();
    await page.goto('/ruler');
    await page.getByLabel('Length of the frame', { exact: true }).fill('1100');
    await page.getByText(/No screen is like that/).waitFor();
    await page.getByLabel('Length of the frame', { exact: true }).fill('428');
    await page.getByText('One millimetre is 5.00 pixels of this screen.').waitFor();
    await button(page, 'It fits').click();
    await page.getByText('Set for this screen.', { exact: false }).waitFor();
    await context.close();
  });
});

describe('photos and sketches', () => {
  const file = (name: string, mimeType: string, buffer: Buffer) => ({ name, mimeType, buffer });
  /** A photo of this size, made by the browser's own encoder. */
  async function photo(page: Page, width: number, height: number): Promise<Buffer> {
    const url = await page.evaluate(
      (size) => {
        const canvas = document.createElement('canvas');
        canvas.width = size.width;
        canvas.height = size.height;
        canvas.getContext('2d')!.fillRect(0, 0, size.width / 2, size.height / 2);
        return canvas.toDataURL('image/jpeg', 0.5);
      },
      { width, height },
    );
    return Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
  }

  test('no picture, an empty one, and one of 40 megapixels; what is kept is small and survives', async () => {
    const { page, context, errors } = await rig.open();
    await page.goto('/find/demo-find-1');
    const input = page.locator('input[type="file"]');
    await input.setInputFiles(file('list.txt', 'text/plain', Buffer.from('no picture at all')));
    await page.getByText('This is no picture that can be read here.', { exact: false }).waitFor();
    await input.setInputFiles(file('empty.jpg', 'image/jpeg', Buffer.alloc(0)));
    await page.getByText('The file is empty.', { exact: false }).waitFor();
    await input.setInputFiles(file('large.jpg', 'image/jpeg', await photo(page, 7300, 5500)));
    await button(page, 'Keep the photo').click();
    await page.getByRole('list', { name: 'Photos and sketches' }).getByRole('listitem').waitFor();
    await page.reload();
    const image = page.getByRole('list', { name: 'Photos and sketches' }).locator('img');
    await image.waitFor({ state: 'attached' });
    expect(await image.evaluate((e: HTMLImageElement) => Math.max(e.naturalWidth, e.naturalHeight))).toBe(
      1600,
    );
    expect(errors).toEqual([]);
    await context.close();
  });

  test('a sketch is drawn, kept and thrown away', async () => {
    const { page, context } = await rig.open();
    await page.goto('/find/demo-find-2');
    await button(page, 'Sketch').click();
    const paper = page.getByRole('application', { name: 'Paper to draw on' });
    await paper.scrollIntoViewIfNeeded();
    const box = (await paper.boundingBox())!;
    await page.mouse.move(box.x + 40, box.y + 40);
    await page.mouse.down();
    for (let i = 0; i < 12; i += 1) await page.mouse.move(box.x + 40 + i * 15, box.y + 40 + Math.sin(i) * 25);
    await page.mouse.up();
    await button(page, 'Keep it').click();
    const kept = page.getByRole('list', { name: 'Photos and sketches' }).getByRole('listitem');
    await kept.waitFor();
    await button(page, 'Larger').click();
    await button(page, 'Delete it').click();
    await kept.waitFor({ state: 'detached' });
    await context.close();
  });

  test('a length off a photo with a card in it', async () => {
    const { page, context } = await rig.open();
    await page.goto('/find/demo-find-5/check');
    await openOtherChecks(page);
    await button(page, /^Width of the cap/).click();
    await page.getByRole('radio', { name: 'From a photo' }).click();
    await page
      .locator('input[type="file"]')
      .first()
      .setInputFiles(file('card.jpg', 'image/jpeg', await photo(page, 1000, 1000)));
    const board = page.getByRole('application', { name: 'The photo, to put points on' });
    await board.scrollIntoViewIfNeeded();
    await page.waitForTimeout(300);
    const box = (await board.boundingBox())!;
    // The card is seen straight on, 171.2 by 107.96 pixels of the screen: two pixels a millimetre; then 120
    // pixels are 60 mm.
    const corner = (x: number, y: number) => board.click({ position: { x, y } });
    for (const [x, y] of [
      [30, 60],
      [201.2, 60],
      [201.2, 167.96],
      [30, 167.96],
    ] as const)
      await corner(x, y);
    await corner(60, 260);
    await corner(180, 260);
    await page.getByText(/^60 mm, give or take \d+ mm\./).waitFor();
    expect(box.width).toBeGreaterThan(300);
    await button(page, 'Record it').click();
    await page
      .getByText(/^60 mm, give or take \d+$/)
      .first()
      .waitFor();
    await context.close();
  });

  test('a leaf drawn round on a photo: its measures, its term, and how close the next one is', async () => {
    const { page, context } = await rig.open();
    await page.goto('/find/demo-find-4/check');
    await openOtherChecks(page);
    await page
      .getByRole('group', { name: 'Leaf', exact: true })
      .getByRole('button', { name: /^Outline/ })
      .click();
    await button(page, 'Draw it round on a photo').click();
    await page
      .locator('input[type="file"]')
      .first()
      .setInputFiles(file('leaf.jpg', 'image/jpeg', await photo(page, 1000, 1000)));
    const board = page.getByRole('application', { name: 'The photo, to put points on' });
    await board.scrollIntoViewIfNeeded();
    await page.waitForTimeout(300);
    const box = (await board.boundingBox())!;
    /** Draws an ellipse nearly three times as long as wide, once round from its foot. */
    const drawRound = async (points: number) => {
      for (let i = 0; i <= points; i += 1) {
        const turn = (2 * Math.PI * i) / 60 + Math.PI / 2;
        await page.mouse.move(
          box.x + box.width / 2 + 47 * Math.cos(turn),
          box.y + 170 + 135 * Math.sin(turn),
        );
        if (i === 0) await page.mouse.down();
      }
      await page.mouse.up();
    };
    await drawRound(4);
    await page.getByText('That enclosed no leaf. Draw once round it.').waitFor();
    await drawRound(60);
    await page
      .getByText(/^(2\.8|2\.9|3\.0) times as long as wide, broadest at (49|50|51) % of its length/)
      .waitFor();
    await page.getByText(/^That is: broadest in the middle\./).waitFor();
    await button(page, /^Record (it|both)$/).click();
    await page
      .getByLabel('What was seen')
      .getByText(/^Broadest in the middle/)
      .first()
      .waitFor();
    await context.close();
  });
});

test('the back button in the middle of a check loses nothing', async () => {
  const { page, context, errors } = await rig.open();
  await page.goto('/find/demo-find-5/around');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await button(page, 'Back to the check').click();
  await page.waitForURL(/check$/);
  const answers = page.getByRole('group', { name: 'Answers' }).getByRole('button');
  await answers.first().waitFor();
  const before = await seen(page);
  const asked = await page
    .getByRole('heading', { level: 2 })
    .filter({ hasText: /\?$|\.$/ })
    .first()
    .textContent();
  await answers.first().click();
  // In the same moment, before anything was judged or sent.
  await page.goBack();
  await page.waitForURL(/around$/);
  await page.goForward();
  await page.waitForURL(/check$/);
  await onceSeen(page, before);
  expect(await seen(page)).toBe(before + 1);
  expect(
    await page
      .getByRole('heading', { level: 2 })
      .filter({ hasText: /\?$|\.$/ })
      .first()
      .textContent(),
  ).not.toBe(asked);
  await page.reload();
  await onceSeen(page, before);
  expect(await seen(page)).toBe(before + 1);
  expect(errors).toEqual([]);
  await context.close();
});
