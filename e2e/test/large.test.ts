import { lostOn } from '../lost';
import { PHONE, quiet, startRig, WIDE, type Rig } from '../rig';
import { VIEWS } from '../views';

jest.setTimeout(300_000);

let rig: Rig;
beforeAll(async () => { rig = await startRig(); });
afterAll(async () => { await rig.close(); });

/** How large the letters are on a screen: on a phone the largest there are; on a wide one as large as still leaves it three panes. */
const LETTERS = [[PHONE, 2], [WIDE, 1.25]] as const;

async function lostAt(size: typeof PHONE, text: number): Promise<string[]> {
  const { page, context } = await rig.open(size);
  await page.addInitScript((times) => { window.localStorage.setItem('pause:look', JSON.stringify({ text: times })); }, text);
  const lost: string[] = [];
  for (const path of VIEWS) {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await quiet(page);
    await page.getByRole('progressbar').first().waitFor({ state: 'detached' });
    lost.push(...(await lostOn(page)).map((one) => `${size.width} ${path} ${one}`));
  }
  // That it looked at what it should: the letters are large.
  expect(await page.evaluate(() => parseFloat(getComputedStyle(document.querySelector('[role="heading"]') ?? document.body).fontSize))).toBeGreaterThan(26 * text - 1);
  await context.close();
  return lost;
}

test('in larger letters nothing is lost, overlaps or is broken: every view, phone and wide', async () => {
  expect((await Promise.all(LETTERS.map(([size, text]) => lostAt(size, text)))).flat()).toEqual([]);
});
