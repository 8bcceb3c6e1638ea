import type { Page } from 'playwright-core';
import { quiet } from './rig';

/** An address of every view, with what the demo holds. */
export const VIEWS = [
  '/',
  '/new',
  '/finds',
  '/guide',
  '/taxon/allium-ursinum',
  '/taxon/conium-maculatum',
  '/pair?a=allium-ursinum&b=convallaria-majalis',
  '/card?of=allium-ursinum',
  '/look',
  '/ruler',
  '/eaten',
  '/find/demo-find-5/check',
  '/find/demo-find-5/around',
  '/find/demo-find-5/verdict',
  '/find/demo-find-2/verdict',
  '/find/demo-find-1/verdict',
  '/find/demo-find-1',
  '/find/demo-find-1/pieces',
  '/find/demo-find-5/name',
  '/find/demo-find-1/second',
  '/find/demo-find-4/ask',
  '/find/demo-find-1/together',
  '/find/demo-find-1/take',
  '/find/demo-find-1/sort',
  '/find/demo-find-5/beside?other=cortinarius-rubellus',
  '/week',
  '/places',
  '/place/demo-place-spring',
  '/walk/demo-walk-ridge',
  '/eaters',
  '/pantry',
  '/batch/demo-batch-b41d83f6',
  '/batch/demo-batch-5e20c7a1',
  '/batch/new',
  '/portion?of=demo-batch-5e20c7a1',
  '/portion/demo-meal-pancakes',
  '/portion/demo-gift-syrup',
  '/labels',
  '/scan',
  '/taste?of=demo-batch-5e20c7a1',
  '/recall',
  '/sheet/demo-meal-supper',
  '/logbook',
  '/practice',
  '/practice/wood?seed=4',
  '/practice/drill?cards=pair:cantharellus-cibarius:cortinarius-rubellus',
  '/practice/drill?cards=feature:cap.shape',
  '/practice/confusion',
  '/practice/lessons',
  '/practice/lesson/demo-lesson-gills',
  '/notebook',
  '/group/ostrel-walkers',
  '/join',
  '/sign-in',
  '/mailbox',
  '/reset',
  '/confirm?token=x',
  '/nowhere',
];

/** Of each kind of view one. */
export const KINDS = [
  '/',
  '/pantry',
  '/batch/demo-batch-b41d83f6',
  '/sheet/demo-meal-supper',
  '/labels',
  '/new',
  '/taxon/conium-maculatum',
  '/find/demo-find-5/check',
  '/find/demo-find-5/verdict',
  '/find/demo-find-2/verdict',
  '/find/demo-find-1/verdict',
  '/week',
  '/places',
  '/place/demo-place-spring',
  '/walk/demo-walk-ridge',
  '/eaten',
  '/guide',
  '/finds',
  '/find/demo-find-5/name',
  '/find/demo-find-5/around',
  '/find/demo-find-5/beside?other=cortinarius-rubellus',
  '/practice/wood?seed=4',
  '/group/ostrel-walkers',
];

/** Views that lay themselves out in panes or columns of their own where it is wide. */
export const WIDE_VIEWS = [
  '/',
  '/finds',
  '/taxon/conium-maculatum',
  '/find/demo-find-5/check',
  '/find/demo-find-5/name',
  '/find/demo-find-5/verdict',
  '/week',
  '/place/demo-place-spring',
  '/walk/demo-walk-ridge',
  '/batch/demo-batch-b41d83f6',
  '/sheet/demo-meal-supper',
  '/practice',
  '/practice/wood?seed=4',
  '/notebook',
  '/group/ostrel-walkers',
];

/** Opens a view, and waits until all of it is shown. */
export async function openView(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.getByRole('main').waitFor();
  await quiet(page);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.getByRole('progressbar').first().waitFor({ state: 'detached' });
}
