import { strip } from '../forager';
import { answer, begin, chip, describe, expectOutcome, named, sayStage, suppose, type Task } from './steps';

/** A family out for a walk. */
export const FAMILY: readonly Task[] = [
  {
    name: 'Bilberries in fruit, from the start to the verdict',
    run: async (thumb) => {
      const { page } = thumb;
      await begin(thumb, /^Low shrub: /, 'bilberry', /^Bilberry.*Vaccinium myrtillus/, 'In fruit');
      await answer(thumb, 'vaccinium-myrtillus', 'fruiting');
      await expectOutcome(page, 'Collect');
    },
  },
  {
    name: 'Spring leaves without a name: lily of the valley is among what they could be',
    run: async (thumb) => {
      const { page } = thumb;
      await describe(thumb, /^Bulb|^Lily|^Herb: /, 'convallaria-majalis', 'vegetative', 'Not on this piece');
      await thumb.see(page.getByRole('list', { name: 'Candidates' }).getByText('Lily of the valley'));
    },
  },
  {
    name: 'Hazelnuts where somebody is allergic to nuts: left, before anything is asked of the tree',
    run: async (thumb) => {
      const { page } = thumb;
      await suppose(thumb, /^Tree|^Shrub/, 'hazel', /Corylus avellana/);
      await sayStage(thumb, 'In fruit');
      await thumb.tap(named(page, 'button', 'Tell'));
      await thumb.tap(chip(page, 'Who will eat it?', 'With an allergy to nuts'));
      await strip(page).getByText('Not for anyone with a nut allergy', { exact: false }).waitFor();
      await expectOutcome(page, 'Leave');
    },
  },
  {
    name: 'A child in the practice wood shows what it found to an adult',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(named(page, 'button', 'Practice'));
      await thumb.tap(named(page, 'checkbox', 'A gentler set, for a child'));
      await page.getByRole('checkbox', { name: 'A gentler set, for a child', checked: true }).waitFor();
      await thumb.tap(named(page, 'button', 'Walk into the wood'));
      await page.getByText('find 1 of 5', { exact: false }).waitFor();
      await thumb.tap(named(page, 'button', 'Show it to an adult'));
      await thumb.see(page.getByRole('status').getByText(/^You said: /));
    },
  },
];
