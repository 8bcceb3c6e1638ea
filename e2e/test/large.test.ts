import { lostOn } from '../lost';
import { PHONE, startRig, WIDE, type Rig } from '../rig';
import { openView, VIEWS, WIDE_VIEWS } from '../views';

jest.setTimeout(900_000);

let rig: Rig;
beforeAll(async () => { rig = await startRig(); });
afterAll(async () => { await rig.close(); });

/** How large the letters are on a screen: on a phone the largest there are; on a wide one as large as still leaves it three panes. */
const LETTERS = [[PHONE, 2, VIEWS], [WIDE, 1.25, WIDE_VIEWS]] as const;

async function lostAt(size: typeof PHONE, text: number, views: readonly string[]): Promise<string[]> {
  const { page, context } = await rig.open(size);
  await page.addInitScript((times) => { window.localStorage.setItem('pause:look', JSON.stringify({ text: times })); }, text);
  const lost: string[] = [];
  for (const path of views) {
    await openView(page, path);
    lost.push(...(await lostOn(page)).map((one) => `${size.width} ${path} ${one}`));
  }
  // That it looked at what it should: the letters are large.
  expect(await page.evaluate(() => parseFloat(getComputedStyle(document.querySelector('[role="heading"]') ?? document.body).fontSize))).toBeGreaterThan(20 * text);
  await context.close();
  return lost;
}

test('in larger letters nothing is lost, overlaps or is broken: every view on a phone, and those with panes of their own where it is wide', async () => {
  expect((await Promise.all(LETTERS.map(([size, text, views]) => lostAt(size, text, views)))).flat()).toEqual([]);
});
