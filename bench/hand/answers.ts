import { onceSeen, seen, strip } from '../../e2e/forager';
import { quiet, type Rig } from '../../e2e/rig';

/**
 * Taps the first answer, and tells how long it took until strip or bars were drawn anew; nothing where it
 * moved neither. An observer, not a poll, which would take its share of a slowed processor. Text, since a
 * compiler's helpers are not there in the page.
 */
const ANSWER_AND_WAIT = `new Promise((done) => {
  const start = performance.now();
  const giveUp = setTimeout(() => done(null), 3000);
  const watch = new MutationObserver(() => {
    watch.disconnect();
    clearTimeout(giveUp);
    // A message that is sent while a frame is made ready comes when that frame is done; a timer would wait
    // for what is drawn after it too.
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => done(performance.now() - start);
      port2.postMessage(null);
    });
  });
  const moving = '[aria-label="Bars against each lookalike"], [role="status"][aria-label]';
  for (const part of document.querySelectorAll(moving)) {
    watch.observe(part, { subtree: true, childList: true, attributes: true, characterData: true });
  }
  document.querySelector('[aria-label="Answers"] [role="button"]').click();
})`;

/**
 * Opens a find’s check on a slow processor and answers up to twelve questions.
 *
 * @returns how long strip or bars took to move, nothing where they did not
 */
export async function answersTo(own: Rig, find: string): Promise<(number | null)[]> {
  const { page, context } = await own.open();
  const session = await context.newCDPSession(page);
  await page.goto(`/find/${find}/check`);
  await strip(page).waitFor();
  // The other screens are fetched a second after the first one is shown; that is not what is measured here.
  await page.waitForTimeout(1500);
  await quiet(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const all: (number | null)[] = [];
  for (let step = 0; step < 12; step += 1) {
    const gloves = page.getByRole('button', { name: 'They are on' });
    if (await gloves.isVisible()) await gloves.click();
    const answers = page.getByRole('group', { name: 'Answers' }).getByRole('button');
    if ((await answers.count()) === 0) {
      const ways = page.getByRole('button', { name: 'Other ways to answer' });
      if ((await ways.count()) === 0) break;
      await ways.click();
      await page.getByRole('button', { name: 'Skip for now' }).click();
      await page.waitForTimeout(400);
      continue;
    }
    const before = await seen(page);
    all.push(await page.evaluate<number | null>(ANSWER_AND_WAIT));
    await onceSeen(page, before);
    // Until the worker has judged it and the next card is shown, however slow.
    await page.waitForTimeout(1800);
  }
  await context.close();
  return all;
}
