import type { BrowserContext, Page } from 'playwright-core';
import { lostOn } from '../lost';
import { PHONE, startRig, WIDE, type Rig } from '../rig';
import { openView, VIEWS } from '../views';

jest.setTimeout(600_000);

let rig: Rig;
beforeAll(async () => {
  rig = await startRig();
});
afterAll(async () => {
  await rig.close();
});

/** Every text in a value as JSON has it. */
function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(textsIn) : [];
}

/**
 * Collects every text that a browser fetches as data: names and labels of the guide, what people recorded. It
 * is read on its way: of what a page has already left, a browser keeps no body.
 */
async function fetchedBy(context: BrowserContext): Promise<Set<string>> {
  const fetched = new Set<string>();
  await context.route(/\/api\/v1\/(?!sync\/events)|[.]json/, async (route) => {
    // The server may have closed a connection that nothing went over for a while.
    const response = await route.fetch({ maxRetries: 2 });
    if (/json/.test(response.headers()['content-type'] ?? ''))
      for (const text of textsIn(await response.json())) fetched.add(text.toLowerCase());
    await route.fulfill({ response });
  });
  return fetched;
}

/** The texts of a page, and what is read aloud in their place. */
const textsOn = (page: Page): Promise<string[]> =>
  page.evaluate<string[]>(`(() => {
    const found = [];
    const texts = document.createTreeWalker(document.getElementById('root'), NodeFilter.SHOW_TEXT);
    while (texts.nextNode()) found.push(texts.currentNode.textContent);
    for (const one of document.querySelectorAll('#root [aria-label]')) found.push(one.getAttribute('aria-label'));
    for (const one of document.querySelectorAll('#root [placeholder]')) found.push(one.getAttribute('placeholder'));
    return found;
  })()`);

/** Months and days of the week, as the browser names them. */
const CALENDAR = [...Array(12).keys()].flatMap((index) =>
  (['long', 'short'] as const).flatMap((form) =>
    [{ month: form }, { weekday: form }].map((parts) =>
      new Intl.DateTimeFormat('en', parts).format(new Date(2026, index, 1 + (index % 7))),
    ),
  ),
);

/**
 * What a text says that is neither from the catalogue, which has an accent on every vowel, nor data. Names and
 * labels stand in lists, so a text that is not data as a whole is cut where a list is.
 */
function notFrom(data: string, text: string): string[] {
  const isData = (piece: string) => {
    const words = piece.replace(/^[^A-Za-z]+|[^A-Za-z]+$/g, '');
    return !/[a-z]{3}/.test(words) || data.includes(words.toLowerCase()) || CALENDAR.includes(words);
  };
  return text
    .split(/\S*[áéíóúÁÉÍÓÚçñý]\S*|’s\b/)
    .filter((stretch) => !isData(stretch))
    .flatMap((stretch) => stretch.split(/[,;:·()“”]|[.] | and | or /))
    .filter((piece) => !isData(piece));
}

test('in a language a third longer all words are from the catalogue, and nothing is cut off', async () => {
  const halves = [0, 1].map(async (half) => {
    const { page, context } = await rig.open(PHONE, false, true, 'en-XA');
    const fetched = await fetchedBy(context);
    const wrong: string[] = [];
    for (const path of VIEWS.filter((_, index) => index % 2 === half)) {
      await page.setViewportSize(PHONE);
      await openView(page, path);
      const data = [...fetched].join('\n');
      const plain = new Set([...new Set(await textsOn(page))].flatMap((text) => notFrom(data, text)));
      wrong.push(...[...plain].map((text) => `${path}: not from the catalogue: ${text}`));
      wrong.push(...(await lostOn(page, true)).map((one) => `${path}, phone: ${one}`));
      await page.setViewportSize(WIDE);
      await page.getByRole('heading', { level: 1 }).waitFor();
      wrong.push(...(await lostOn(page, true)).map((one) => `${path}, wide: ${one}`));
    }
    await context.close();
    return wrong;
  });
  expect((await Promise.all(halves)).flat()).toEqual([]);
});
