import type { Page } from 'playwright-core';
import type { CompiledGuide } from '@pause/core';
import { onceSeen, outcome, seen, strip } from './forager';

/**
 * The shortest way from the start screen to a settled find, by somebody who sees what is usual; counted in
 * taps.
 */
export interface Path {
  readonly target: string;
  readonly taps: number;
  /** Of them, answers to checks. */
  readonly answers: number;
  readonly outcome: string;
  /** From the first tap to the verdict, waiting for the screen included and looking at the plant not. */
  readonly seconds: number;
}

export async function shortestPath(
  page: Page,
  guide: CompiledGuide,
  target: string,
  stage: string,
): Promise<Path> {
  const taxon = guide.taxon(target);
  if (!taxon) throw new Error(`no taxon ${target}`);
  await page.goto('/');
  await page.getByRole('button', { name: 'A new find' }).waitFor();
  let taps = 0;
  const tap = async (locator: ReturnType<Page['locator']>) => {
    await locator.click();
    taps += 1;
  };
  const start = Date.now();
  await tap(page.getByRole('button', { name: 'A new find' }));
  const quick = page
    .getByRole('group', { name: 'Found before, or about now' })
    .getByRole('button', { name: taxon.taxon.vernacularNames.en?.[0] ?? '', exact: false });
  await page.getByRole('radiogroup').first().waitFor();
  await page.waitForTimeout(300);
  if ((await quick.count()) > 0) await tap(quick.first());
  else {
    const plan = guide.guide.bodyPlans.find((p) => p.id === taxon.taxon.bodyPlan);
    await tap(page.getByRole('radio', { name: `${plan?.name ?? ''}: ${plan?.hint ?? ''}` }));
    await tap(
      page
        .getByRole('list', { name: 'Taxa of the guide' })
        .getByRole('button', { name: new RegExp(taxon.taxon.scientificName) }),
    );
  }
  await page.waitForURL(/\/around/);
  const stageName = guide.guide.stages.find((s) => s.id === stage)?.name ?? '';
  await tap(page.getByRole('checkbox', { name: stageName }));
  if ((await page.getByRole('group', { name: 'Who will eat it?' }).count()) > 0)
    await tap(page.getByRole('radio', { name: 'None of these' }));
  await tap(page.getByRole('button', { name: /^I may pick here, nothing spoils/ }));
  const parts = page.getByRole('group', { name: 'What do you want of it?' }).getByRole('radio');
  if ((await parts.count()) > 1) await tap(parts.first());
  if ((await page.getByRole('group', { name: 'Is it protected here?' }).count()) > 0)
    await tap(page.getByRole('radio', { name: 'No, looked up' }));
  if ((await page.getByRole('group', { name: 'Traced to one base?' }).count()) > 0)
    await tap(page.getByRole('radio', { name: 'Yes, all of it' }));
  await page.waitForURL(/\/check$/);
  await strip(page).waitFor();
  let answers = 0;
  while ((await outcome(page)) === 'Pause' && answers < 20) {
    const gloves = page.getByRole('button', { name: 'They are on' });
    if (await gloves.isVisible()) await tap(gloves);
    const question =
      (await page
        .getByRole('heading', { level: 2 })
        .filter({ hasText: /\?$|\.$/ })
        .first()
        .textContent()) ?? '';
    const asked = guide.characters.find((c) => c.character.question === question);
    const known = asked && taxon.atStage.get(asked.index)?.get(stage as never);
    if (!asked || !known) break;
    const before = await seen(page);
    if (known.kind === 'states' && 'states' in asked.character) {
      const usual = [...asked.stateBit].find(([, bit]) => (bit & known.typical) !== 0)?.[0];
      const label = asked.character.states.find((s) => s.id === usual)?.label ?? '';
      await tap(
        page.getByRole('group', { name: 'Answers' }).getByRole('button', { name: label, exact: true }),
      );
    } else if (known.kind === 'number') {
      const middle = (known.usual[0] + known.usual[1]) / 2;
      const count = asked.character.kind === 'count';
      await page
        .getByLabel(count ? 'Count' : 'Measure')
        .fill(String(count ? Math.round(middle) : Math.round(middle / 10)));
      if (!count) await tap(page.getByRole('radio', { name: 'cm' }));
      await tap(page.getByRole('button', { name: 'Record it' }));
    }
    answers += 1;
    await onceSeen(page, before);
  }
  return { target, taps, answers, outcome: await outcome(page), seconds: (Date.now() - start) / 1000 };
}

/** Five targets at a stage at which they are collected. */
export const FIVE: readonly (readonly [target: string, stage: string])[] = [
  ['cantharellus-cibarius', 'mature'],
  ['hydnum-repandum', 'mature'],
  ['boletus-edulis', 'mature'],
  ['vaccinium-myrtillus', 'fruiting'],
  ['corylus-avellana', 'fruiting'],
];
