import type { Page } from 'playwright-core';
import { guide, onceSeen, seen, specimen } from './forager';
import type { Thumb } from './thumb';

/** How somebody answers who sees what a usual specimen shows. */

/** The question on show. */
export const questionOn = async (page: Page): Promise<string> =>
  (await page
    .getByRole('heading', { level: 2 })
    .filter({ hasText: /\?$|\.$/ })
    .first()
    .textContent()) ?? '';

/** The middle of what is usual of a number that a question asks for; lengths in millimetres. */
function numberFor(
  target: string,
  stage: string,
  question: string,
): { readonly middle: number; readonly counted: boolean } | undefined {
  const asked = guide.characters.find(({ character }) => character.question === question);
  const known =
    asked &&
    guide
      .taxon(target)
      ?.atStage.get(asked.index)
      ?.get(stage as never);
  if (known?.kind !== 'number') return undefined;
  const middle = Math.round((known.usual[0] + known.usual[1]) / 2);
  return { middle, counted: asked?.character.kind === 'count' };
}

/**
 * Answers the question on show as a usual specimen of this taxon shows it, and waits until the answer is seen.
 * What the guide does not say of it cannot be told.
 *
 * @param unseen - what is tapped of that, instead of *Can't tell*
 */
export async function answerQuestion(
  thumb: Thumb,
  target: string,
  stage: string,
  unseen: () => Promise<void> = () => thumb.tap(thumb.page.getByRole('button', { name: /^Can’t tell/ })),
): Promise<void> {
  const { page } = thumb;
  const question = await questionOn(page);
  const before = await seen(page);
  const label = specimen(target, stage)[question];
  const number = numberFor(target, stage, question);
  if (label !== undefined)
    await thumb.tap(
      page.getByRole('group', { name: 'Answers' }).getByRole('button', { name: label, exact: true }),
    );
  else if (number === undefined) await unseen();
  else {
    const { middle, counted } = number;
    // In the unit that is chosen already.
    const inMm = counted || (await page.getByRole('radio', { name: 'mm', exact: true }).isChecked());
    await thumb.type(page.getByLabel(counted ? 'Count' : 'Measure'), String(inMm ? middle : middle / 10));
    await thumb.tap(page.getByRole('button', { name: 'Record it', exact: true }));
  }
  await onceSeen(page, before);
}
