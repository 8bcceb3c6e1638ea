import { readFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { lostOn } from '../lost';
import { PHONE, startRig, WIDE, type Rig } from '../rig';
import { KINDS, openView, VIEWS, WIDE_VIEWS } from '../views';

jest.setTimeout(900_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

interface Axe {
  readonly run: (
    where: Document,
    how: object,
  ) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
}
const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** Sets how Pause looks, as another window of the same device would, and waits until the page follows. */
async function set(
  page: Page,
  settings: { readonly theme: 'day' | 'dim'; readonly text: number },
): Promise<void> {
  await page.evaluate((kept) => {
    window.localStorage.setItem('pause:look', kept);
    window.dispatchEvent(new StorageEvent('storage', { key: 'pause:look' }));
  }, JSON.stringify(settings));
  await page.evaluate(
    () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
  );
}

/** @param only the rules to ask; else all, with the size of what is tapped */
async function axe(page: Page, only?: readonly string[]): Promise<string[]> {
  const how = {
    ...(only ? { runOnly: only } : { rules: { 'target-size': { enabled: true } } }),
    resultTypes: ['violations'],
  };
  const { violations } = await page.evaluate(
    (asked) => (window as unknown as { axe: Axe }).axe.run(document, asked),
    how,
  );
  return violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .map((n) => n.html.slice(0, 120))
        .slice(0, 3)
        .join(' | ')}`,
  );
}

/**
 * What the screen is, how much larger its letters are set at most, and the views that are looked at dim, and
 * in those letters.
 */
const SCREENS = [
  { name: 'phone', size: PHONE, text: 2, dim: KINDS, large: VIEWS },
  // On a wide screen letters as large as still leave it three panes, and the views with panes of their own.
  { name: 'wide', size: WIDE, text: 1.25, dim: WIDE_VIEWS, large: WIDE_VIEWS },
] as const;

/**
 * All that is wrong with a view: on a phone and where it is wide, by day and dim, in usual and in large
 * letters.
 */
async function wrongWith(page: Page, path: string): Promise<string[]> {
  const wrong: string[] = [];
  await page.setViewportSize(PHONE);
  await openView(page, path);
  await page.evaluate(AXE);
  for (const { name, size, text, dim, large } of SCREENS) {
    const note = (where: string, found: readonly string[]) =>
      wrong.push(...found.map((one) => `${path}, ${name}, ${where}: ${one}`));
    await page.setViewportSize(size);
    await set(page, { theme: 'day', text: 1 });
    // Wherever one is, what to do when someone ate something is one tap away.
    if ((await page.getByRole('link', { name: 'Poisoning', exact: true }).count()) !== 1)
      note('day', ['no way to what to do when someone ate something']);
    note('day', await axe(page));
    // At dusk only the colours are others.
    if ((dim as readonly string[]).includes(path)) {
      await set(page, { theme: 'dim', text: 1 });
      expect(await page.evaluate(() => document.documentElement.style.colorScheme)).toBe('dark');
      note('dim', await axe(page, ['color-contrast']));
    }
    if ((large as readonly string[]).includes(path)) {
      await set(page, { theme: 'day', text });
      expect(await page.evaluate(() => document.documentElement.style.getPropertyValue('--pause-text'))).toBe(
        String(text),
      );
      // That the letters themselves are so large, on a view that begins with a title.
      if (path === large.at(-1))
        expect(
          await page.evaluate(() =>
            parseFloat(
              getComputedStyle(document.querySelector('[role="heading"]') ?? document.body).fontSize,
            ),
          ),
        ).toBeGreaterThan(20 * text);
      note(`letters ${text} times as large`, await lostOn(page));
    }
  }
  return wrong;
}

test('every view, phone and wide, day and dim: accessible; in large letters nothing is cut or overlaps', async () => {
  const halves = [0, 1].map(async (half) => {
    const { page, context } = await rig.open(PHONE);
    const wrong: string[] = [];
    for (const path of VIEWS.filter((_, i) => i % 2 === half)) wrong.push(...(await wrongWith(page, path)));
    await context.close();
    return wrong;
  });
  expect((await Promise.all(halves)).flat()).toEqual([]);
});
