import type { Page } from 'playwright-core';
import { compileGuide, type FindRecord } from '@pause/core';
import { shippedGuide } from '@pause/guide';

/** What a person does with Pause, by the names that a screen reader would say. */

export type Specimen = Readonly<Record<string, string>>;

export const guide = compileGuide(shippedGuide());

/** What a true specimen of this taxon shows, by the question that asks for it. */
export function specimen(id: string, stage: string, other: Record<string, string> = {}): Specimen {
  const taxon = guide.taxon(id);
  if (!taxon) throw new Error(`no taxon ${id}`);
  return Object.fromEntries(
    guide.characters.flatMap((c) => {
      if (!('states' in c.character)) return [];
      const known = taxon.atStage.get(c.index)?.get(stage as never);
      const usual =
        known?.kind === 'states'
          ? [...c.stateBit].find(([, bit]) => (known.typical & bit) !== 0)?.[0]
          : undefined;
      const state = other[c.id] ?? usual;
      const label = c.character.states.find((s) => s.id === state)?.label;
      return label ? [[c.character.question, label]] : [];
    }),
  );
}

/** What is answered around a fungus that may be collected. */
export const FUNGUS_TOLD = [
  ['May you pick here?', 'Yes'],
  ['Does anything spoil the place?', 'Nothing seen'],
  ['Is it protected here?', 'No, looked up'],
  ['At which stage is it?', 'Open'],
  ['In what condition?', 'Fresh and sound'],
] as const;

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });

/**
 * Begins a find: its kind, where it stands, what it is taken for; and goes to what is asked of place and condition.
 *
 * @returns the id in its address
 */
export async function begin(
  page: Page,
  plan: RegExp,
  search: string,
  taxon: RegExp,
  where: string,
): Promise<string> {
  await page.goto('/');
  await button(page, 'A new find').click();
  await page.getByRole('radio', { name: plan }).click();
  await page.getByLabel('Where, in your own words').fill(where);
  await page.getByLabel('Name, in any language, or scientific').fill(search);
  await button(page, taxon).click();
  await toPlaceAndCondition(page);
  return /find\/([^/]+)/.exec(page.url())?.[1] ?? '';
}

/** From a check that was just begun to what is asked of place and condition. */
export async function toPlaceAndCondition(page: Page): Promise<void> {
  await page.waitForURL(/\/check$/);
  await button(page, 'Tell').click();
  await page.waitForURL(/\/around/);
}

/** Answers what is asked of place and condition: one chip under each question, then goes on to the check. */
export async function tell(page: Page, answers: readonly (readonly [string, string])[]): Promise<void> {
  for (const [question, answer] of answers) {
    const group = page.getByRole('group', { name: question });
    const chip = group.getByText(answer, { exact: true });
    await chip.click();
  }
  // As soon as all is answered it leads on by itself; whoever left something out goes on.
  await page.waitForURL(/\/check$/, { timeout: 2500 }).catch(() => button(page, 'Back to the check').click());
  await page.waitForURL(/\/check$/);
}

export const strip = (page: Page) => page.getByRole('status', { name: /^(Pause|Leave|Collect)\. / });
export async function outcome(page: Page): Promise<string> {
  return /^\w+/.exec((await strip(page).getAttribute('aria-label')) ?? '')?.[0] ?? '';
}

const question = (page: Page) =>
  page
    .getByRole('heading', { level: 2 })
    .filter({ hasText: /\?$|\.$/ })
    .first();

const SEEN = '[aria-label="What was seen"] [role="listitem"]';
/** How many readings stand on the screen. */
export const seen = (page: Page) => page.locator(SEEN).count();
/**
 * Waits until one more than so many does and it has been judged, so that the question on show is the next
 * one.
 */
export async function onceSeen(page: Page, before: number): Promise<void> {
  await page.waitForFunction((known) => document.querySelectorAll(known.list).length > known.before, {
    list: SEEN,
    before,
  });
  await page.locator('[aria-busy="true"]').first().waitFor({ state: 'detached' });
}

/**
 * Answers what is asked, as this specimen shows it, until nothing more is asked or `until` holds.
 * A question that the specimen has no answer to is answered by "can't tell".
 *
 * @returns the questions in the order in which they were asked
 */
export async function answerAll(
  page: Page,
  specimen: Specimen,
  options: { until?: (outcome: string) => boolean; most?: number } = {},
): Promise<string[]> {
  const asked: string[] = [];
  for (let step = 0; step < (options.most ?? 40); step += 1) {
    if (options.until?.(await outcome(page))) break;
    if (await page.getByRole('heading', { name: 'Nothing more to ask' }).isVisible()) break;
    const gloves = button(page, 'They are on');
    if (await gloves.isVisible()) await gloves.click();
    const text = (await question(page).textContent()) ?? '';
    asked.push(text);
    const before = await seen(page);
    const label = specimen[text];
    if (label === undefined) await button(page, /^Can’t tell/).click();
    else
      await page
        .getByRole('group', { name: 'Answers' })
        .getByRole('button', { name: label, exact: true })
        .click();
    // The reading appears among what was seen; only then is it the next question's turn.
    await onceSeen(page, before);
  }
  return asked;
}

/** Opens the list of everything that can be read: on a phone it is one of the other ways to answer. */
export async function openOtherChecks(page: Page): Promise<void> {
  const [ways, list] = [button(page, 'Other ways to answer'), button(page, 'Something else seen')];
  await ways.or(list).first().waitFor();
  if (await ways.isVisible()) await ways.click();
  await list.click();
}

/** Holds a button as long as a decision needs. */
export async function hold(page: Page, name: RegExp): Promise<void> {
  const target = page.getByRole('button', { name });
  await target.scrollIntoViewIfNeeded();
  await target.hover();
  await page.mouse.down();
  await page.waitForTimeout(1200);
  await page.mouse.up();
}

/** The find as the server has it, once nothing waits to be sent. */
export async function onRecord(
  page: Page,
  id: string,
  enough: (find: FindRecord) => boolean,
): Promise<FindRecord> {
  for (let attempt = 0; attempt < 200; attempt += 1) {
    const response = await page.request.get(`/api/v1/finds/${id}`, { maxRetries: 2 });
    if (response.ok()) {
      const find = (await response.json()) as FindRecord;
      if (enough(find)) return find;
    }
    await page.waitForTimeout(100);
  }
  throw new Error(`find ${id} did not get on record`);
}
