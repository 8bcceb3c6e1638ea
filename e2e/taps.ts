import type { Page } from 'playwright-core';
import type { CompiledGuide } from '@pause/core';
import { answerQuestion } from './answering';
import { outcome, strip } from './forager';
import { named, sayStage, tellRest } from './tasks/steps';
import { thumbOf } from './thumb';

/**
 * The shortest way from the start screen to a settled find, by somebody who types the name and sees what is
 * usual; counted in taps and scrolls. What the new find offers of a season is left alone: it changes with it.
 */
export interface Path {
  readonly target: string;
  readonly taps: number;
  readonly scrolls: number;
  readonly lifts: number;
  /** Of them, answers to checks. */
  readonly answers: number;
  readonly outcome: string;
  /** From the first tap to the verdict, waiting for the screen included and looking at the plant not. */
  readonly seconds: number;
}

/** So many letters of a name bring it into view. */
const TYPED = 5;

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
  const thumb = thumbOf(page);
  const start = Date.now();
  await thumb.tap(page.getByRole('button', { name: 'A new find' }));
  await thumb.type(
    page.getByLabel('Name, in any language, or scientific'),
    taxon.taxon.scientificName.slice(0, TYPED),
  );
  await thumb.tap(
    page
      .getByRole('list', { name: 'Taxa of the guide' })
      .getByRole('button', { name: new RegExp(taxon.taxon.scientificName) }),
  );
  await page.waitForURL(/\/check$/);
  await strip(page).waitFor();
  const stageName = guide.guide.stages.find((s) => s.id === stage)?.name ?? '';
  await sayStage(thumb, stageName);
  let answers = 0;
  while ((await outcome(page)) === 'Pause' && answers < 20) {
    const gloves = named(page, 'button', 'They are on');
    if (await gloves.isVisible()) await thumb.tap(gloves);
    if (await page.getByRole('heading', { name: 'Still open' }).isVisible()) {
      await tellRest(thumb);
      continue;
    }
    await answerQuestion(thumb, target, stage);
    answers += 1;
  }
  return {
    target,
    taps: thumb.taps(),
    scrolls: thumb.scrolls(),
    lifts: thumb.lifts(),
    answers,
    outcome: await outcome(page),
    seconds: (Date.now() - start) / 1000,
  };
}

/** Five targets at a stage at which they are collected. */
export const FIVE: readonly (readonly [target: string, stage: string])[] = [
  ['cantharellus-cibarius', 'mature'],
  ['hydnum-repandum', 'mature'],
  ['boletus-edulis', 'mature'],
  ['vaccinium-myrtillus', 'fruiting'],
  ['corylus-avellana', 'fruiting'],
];
