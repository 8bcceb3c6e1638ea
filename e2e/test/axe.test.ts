import { readFileSync } from 'node:fs';
import { PHONE, startRig, WIDE, type Rig } from '../rig';
import { KINDS, openView, VIEWS, WIDE_VIEWS } from '../views';

jest.setTimeout(900_000);

let rig: Rig;
beforeAll(async () => { rig = await startRig(); });
afterAll(async () => { await rig.close(); });

interface Axe {
  readonly run: (where: Document, how: object) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
}
const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds on every view, one after the other. */
async function found(size: typeof PHONE, theme: 'day' | 'dim'): Promise<string[]> {
  const { page, context } = await rig.open(size);
  // What is not about colour is the same in both.
  const only = theme === 'day' ? null : ['color-contrast'];
  await page.addInitScript((t) => window.localStorage.setItem('pause:look', JSON.stringify({ theme: t })), theme);
  const broken: string[] = [];
  // At dusk only the colours are others: of each kind of view one.
  for (const path of theme === 'day' ? VIEWS : size === WIDE ? WIDE_VIEWS : KINDS) {
    await openView(page, path);
    // Wherever one is, what to do when someone ate something is one tap away.
    if (await page.getByRole('link', { name: 'Eaten?', exact: true }).count() !== 1) broken.push(`${size.width} ${path}: no way to what to do when someone ate something`);
    await page.evaluate(AXE);
    // Functions for the page do without anything that a compiler would lend them.
    const { violations } = await page.evaluate((rules) => (window as unknown as { axe: Axe }).axe.run(document, { ...(rules ? { runOnly: rules } : { rules: { 'target-size': { enabled: true } } }), resultTypes: ['violations'] }), only);
    broken.push(...violations.map((v) => `${size.width} ${theme} ${path} ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).slice(0, 3).join(' | ')}`));
  }
  await context.close();
  return broken;
}

test.each([['phone', PHONE], ['wide', WIDE]] as const)('nothing stands in the way of anyone: every view, %s, by day and dim', async (_, size) => {
  const all = await Promise.all((['day', 'dim'] as const).map((theme) => found(size, theme)));
  expect(all.flat()).toEqual([]);
});
