import type { Page } from 'playwright-core';
import { answerQuestion } from '../answering';
import { guide, outcome, strip } from '../forager';
import type { Rig } from '../rig';
import type { Thumb } from '../thumb';

/** What somebody new sets out to do on the demo, from the start screen. */
export interface Task {
  readonly name: string;
  readonly run: (thumb: Thumb, rig: Rig) => Promise<void>;
}

export const named = (page: Page, role: 'button' | 'link' | 'radio' | 'checkbox', name: string | RegExp) =>
  page.getByRole(role, { name, exact: typeof name === 'string' });
export const chip = (page: Page, group: string | RegExp, name: string) =>
  page.getByRole('group', { name: group }).getByText(name, { exact: true });
export const room = (page: Page, name: string) => named(page, 'link', name);

/** Begins a find by its form and the name that it is supposed to have. */
export async function suppose(thumb: Thumb, form: RegExp, name: string, taxon: RegExp): Promise<void> {
  const { page } = thumb;
  await thumb.tap(named(page, 'button', 'A new find'));
  await thumb.tap(named(page, 'radio', form));
  await thumb.type(page.getByLabel('Name, in any language, or scientific'), name);
  await thumb.tap(named(page, 'button', taxon));
  await page.waitForURL(/\/check$/);
  await strip(page).waitFor();
}

/** Begins a find by its form and its name, and says at what stage it is. */
export async function begin(
  thumb: Thumb,
  form: RegExp,
  name: string,
  taxon: RegExp,
  stage: string,
): Promise<void> {
  await suppose(thumb, form, name, taxon);
  await sayStage(thumb, stage);
}

/** Answers at which stage it is, which is asked first. */
export async function sayStage(thumb: Thumb, stage: string): Promise<void> {
  await thumb.tap(named(thumb.page, 'button', stage));
  await thumb.page.getByRole('group', { name: 'Stages' }).waitFor({ state: 'detached' });
}

/** Answers what is still open of place, condition and eaters once the looks are done, all as it should be. */
export async function tellRest(thumb: Thumb): Promise<void> {
  const { page } = thumb;
  const eaters = page.getByRole('group', { name: 'Who will eat it?' });
  const isAnswered = (await eaters.locator('[aria-checked="true"]').count()) > 0;
  if ((await eaters.count()) > 0 && !isAnswered)
    await thumb.tap(chip(page, 'Who will eat it?', 'None of these'));
  await thumb.tap(named(page, 'button', /^I may pick here, nothing spoils/));
  if ((await page.getByRole('group', { name: 'Is it protected here?' }).count()) > 0)
    await thumb.tap(named(page, 'radio', 'No, looked up'));
  if ((await page.getByRole('group', { name: 'Followed to one root?' }).count()) > 0)
    await thumb.tap(named(page, 'radio', 'Yes, all of it'));
  await page.getByRole('heading', { name: 'Still open' }).waitFor({ state: 'detached' });
}

/**
 * Answers as a usual specimen shows it until the verdict is no pause. What it does not show cannot be seen.
 */
export async function answer(thumb: Thumb, target: string, stage: string, most = 30): Promise<void> {
  const { page } = thumb;
  for (let step = 0; step < most && (await outcome(page)) === 'Pause'; step += 1) {
    const gloves = named(page, 'button', 'They are on');
    if (await gloves.isVisible()) await thumb.tap(gloves);
    if (await page.getByRole('heading', { name: 'Nothing more to ask' }).isVisible()) return;
    if (await page.getByRole('heading', { name: 'Still open' }).isVisible()) {
      await tellRest(thumb);
      continue;
    }
    await answerQuestion(thumb, target, stage);
  }
}

/**
 * Begins a find by its form without a name, says at what stage it is, and answers five questions as this taxon
 * shows it; then all candidates are shown.
 *
 * @param unseen what is said of a question that it has no answer to
 */
export async function describe(
  thumb: Thumb,
  form: RegExp,
  taxon: string,
  stage: string,
  unseen: 'Can’t tell' | 'Not on this piece',
): Promise<void> {
  const { page } = thumb;
  await thumb.tap(named(page, 'button', 'A new find'));
  await thumb.tap(named(page, 'radio', form));
  await thumb.tap(named(page, 'button', 'I have no name for it yet'));
  await page.waitForURL(/\/name$/);
  await sayStage(thumb, stageName(stage));
  const notSeen = async () => {
    if (unseen === 'Not on this piece') await thumb.tap(named(page, 'button', 'Other ways to answer'));
    await thumb.tap(named(page, 'button', unseen));
  };
  for (let step = 0; step < 5; step += 1) await answerQuestion(thumb, taxon, stage, notSeen);
  await thumb.tap(named(page, 'button', 'Show all candidates'));
}

const stageName = (id: string) => guide.guide.stages.find((stage) => stage.id === id)?.name ?? '';

export async function expectOutcome(page: Page, wanted: string): Promise<void> {
  const is = await outcome(page);
  if (is !== wanted)
    throw new Error(`${is} instead of ${wanted}: ${(await strip(page).getAttribute('aria-label')) ?? ''}`);
}
