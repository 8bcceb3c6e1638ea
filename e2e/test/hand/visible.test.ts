import type { Page } from 'playwright-core';
import { guide, openOtherChecks } from '../../forager';
import { IN_BROWSER } from '../../thumb';
import { rig, button, setUp } from './kit';

jest.setTimeout(240_000);
setUp();

const SMALL = { width: 360, height: 560 };

/** Opens the check of a new find of which no stage is recorded: everything can be asked. */
async function openCheck(page: Page, target: string): Promise<void> {
  const taxon = guide.taxon(target)!;
  const plan = guide.guide.bodyPlans.find(({ id }) => id === taxon.taxon.bodyPlan)!;
  await page.goto('/new');
  await page.getByRole('radio', { name: `${plan.name}: ${plan.hint}` }).click();
  await page
    .getByRole('list', { name: 'Taxa of the guide' })
    .getByRole('button', { name: new RegExp(taxon.taxon.scientificName) })
    .click();
  await page.waitForURL(/check$/);
  await button(page, 'Can’t tell').click();
  await page.getByRole('group', { name: 'Answers' }).waitFor();
}

interface Seen {
  readonly question: string;
  readonly answers: number;
  /** Of them, on the screen without scrolling. */
  readonly visible: number;
  /** The least side of one, in CSS pixels. */
  readonly least: number;
  /** The least width of a swatch of colour, in CSS pixels; undefined where there is none. */
  readonly swatch: number | undefined;
  /** The share of the height that head, bars, sureness and verdict take. */
  readonly beside: number;
}

/** What of the question on show can be seen and touched. */
const look = (page: Page): Promise<Seen> =>
  page.evaluate(() => {
    const answers = [...document.querySelectorAll('[role="group"][aria-label="Answers"] [role="button"]')];
    const reachable = answers.filter((answer) => {
      const { left, right, top, bottom } = answer.getBoundingClientRect();
      return [top + 2, bottom - 2].every((y) =>
        answer.contains(document.elementFromPoint((left + right) / 2, y)),
      );
    });
    const sides = answers.flatMap((answer) => {
      const { width, height } = answer.getBoundingClientRect();
      return [width, height];
    });
    const swatches = answers.flatMap((answer) =>
      [...answer.querySelectorAll('[style*="background-color"]')].map(
        (one) => one.getBoundingClientRect().width,
      ),
    );
    const heading = [...document.querySelectorAll('[role="heading"][aria-level="2"]')].find(
      ({ textContent }) => /[?.]$/.test(textContent),
    );
    let scroller = heading?.parentElement;
    while (scroller && getComputedStyle(scroller).overflowY !== 'auto') scroller = scroller.parentElement;
    return {
      question: heading?.textContent ?? '',
      answers: answers.length,
      visible: reachable.length,
      least: Math.min(...sides),
      swatch: swatches.length > 0 ? Math.min(...swatches) : undefined,
      beside: 1 - (scroller?.clientHeight ?? 0) / innerHeight,
    };
  });

/** What can be seen once the screen has come to rest. */
async function onceSettled(page: Page): Promise<Seen> {
  let seen = await look(page);
  for (let tries = 0; seen.visible < seen.answers && tries < 10; tries += 1) {
    await page.waitForTimeout(50);
    seen = await look(page);
  }
  return seen;
}

/** Looks at every question of the guide that can be asked of the target. */
async function lookAtAll(page: Page, target: string): Promise<Seen[]> {
  await openCheck(page, target);
  const { kingdom } = guide.taxon(target)!.taxon;
  const seen: Seen[] = [];
  for (const { character } of guide.characters) {
    if (character.kingdom !== kingdom || !('states' in character)) continue;
    const heading = page.getByRole('heading', { level: 2, name: character.question, exact: true });
    if (!(await heading.isVisible())) {
      await openOtherChecks(page);
      await page
        .locator('[role="group"]:not([aria-label="Answers"]) [role="button"]')
        .filter({ has: page.getByText(character.name, { exact: true }) })
        .first()
        .click();
      await heading.or(button(page, 'They are on')).waitFor();
      if (await button(page, 'They are on').isVisible()) await button(page, 'They are on').click();
      await heading.waitFor();
    }
    seen.push(await onceSettled(page));
  }
  return seen;
}

test.each([
  ['a phone as a browser shows it', IN_BROWSER, 0.95],
  ['a small phone', SMALL, 0.85],
])('on %s all answers are seen at once, and large enough to touch', async (_, size, share) => {
  const { page, context, errors } = await rig.open(size);
  const seen = [
    ...(await lookAtAll(page, 'cantharellus-cibarius')),
    ...(await lookAtAll(page, 'vaccinium-myrtillus')),
  ];
  expect(seen.length).toBeGreaterThan(90);
  const whole = seen.filter(({ answers, visible }) => visible === answers);
  const others = seen.filter((one) => !whole.includes(one));
  expect(whole.length / seen.length).toBeGreaterThanOrEqual(share);
  expect(others.filter(({ visible }) => visible < 9)).toEqual([]);
  expect(seen.filter(({ least }) => least < 47.5)).toEqual([]);
  const coloured = seen.filter(({ swatch }) => swatch !== undefined);
  expect(coloured.length).toBeGreaterThan(8);
  expect(coloured.filter(({ swatch = 0 }) => swatch < 20)).toEqual([]);
  if (size === IN_BROWSER) expect(seen.filter(({ beside }) => beside > 0.4)).toEqual([]);
  expect(errors).toEqual([]);
  await context.close();
});

test('somebody new is shown once what a hold does; it leads to every way of answering', async () => {
  const { page, context, errors } = await rig.open(IN_BROWSER);
  await page.addInitScript(() => window.localStorage.setItem('pause:look', '{}'));
  await page.goto('/find/demo-find-5/check');
  const answers = page.getByRole('group', { name: 'Answers' });
  const ridges = answers.getByRole('button', { name: 'Blunt ridges, folds of the flesh itself' });
  await page.getByText('Touch what you see. Hold an answer to see it large.').waitFor();
  await ridges.hover();
  await page.mouse.down();
  await page.waitForTimeout(700);
  await page.mouse.up();
  await page.getByText('Blunt ridges, folds of the flesh itself', { exact: true }).waitFor();
  // Lifting the finger pressed nothing of what appeared below it.
  expect(await answers.count()).toBe(0);
  await button(page, 'Fairly').click();
  await page
    .getByText(/^Underside: .*ridges.*fairly/i)
    .or(page.getByText(/· fairly sure/))
    .first()
    .waitFor();
  await page.getByRole('radio', { name: 'Sure', exact: true }).waitFor();
  expect(await page.evaluate(() => window.localStorage.getItem('pause:look'))).toContain('holdKnown');
  expect(errors).toEqual([]);
  await context.close();
});
