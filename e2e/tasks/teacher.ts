import { answer, begin, chip, expectOutcome, named, room, suppose, type Task, sayStage } from './steps';

/** A teacher with a group. */
export const TEACHER: readonly Task[] = [
  {
    name: 'A group with a rule of its own, and a code for a pupil',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(named(page, 'button', 'Notebook and people'));
      await thumb.tap(named(page, 'button', 'Begin a group'));
      await thumb.type(page.getByLabel('Name of the group'), 'The Friday class');
      await thumb.tap(named(page, 'button', 'Begin it'));
      await page.getByRole('heading', { level: 1, name: 'The Friday class' }).waitFor();
      await thumb.tap(named(page, 'radio', 'Young member'));
      await thumb.tap(named(page, 'button', 'Show a code'));
      await thumb.see(page.getByRole('img', { name: /square that leads another phone/ }));
      await thumb.tap(named(page, 'checkbox', 'For everything serious'));
      await page.getByRole('checkbox', { name: 'For everything serious', checked: true }).waitFor();
    },
  },
  {
    name: 'A second look asked of somebody who does not know the answer',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(page.locator('a[href="/find/demo-find-4"]'));
      await thumb.tap(named(page, 'button', 'Ask'));
      await thumb.tap(named(page, 'radio', 'Distant expert (simulated)'));
      await thumb.tap(named(page, 'button', 'Ask'));
      await page.getByText(/Distant expert \(simulated\) has been asked/).waitFor();
    },
  },
  {
    name: 'A lesson of one pair for the group',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(named(page, 'button', 'Practice'));
      await thumb.tap(named(page, 'button', 'Make or load a lesson'));
      await thumb.type(page.getByRole('textbox', { name: /^A new lesson/ }), 'Under the beeches');
      await thumb.tap(named(page, 'radio', 'Ostrel walkers'));
      await thumb.tap(named(page, 'button', 'Begin it'));
      await page.getByRole('heading', { level: 1, name: 'Under the beeches' }).waitFor();
      await thumb.tap(named(page, 'button', 'Put in a pair'));
      await thumb.type(page.getByRole('textbox', { name: 'What is looked for' }), 'chanterelle');
      await thumb.tap(
        page.getByRole('list', { name: 'Which one' }).getByRole('button', { name: /^Chanterelle/ }),
      );
      await thumb.tap(page.getByRole('list', { name: 'Which one' }).getByRole('button', { name: /deadly$/ }));
      await thumb.see(page.getByRole('list', { name: 'Pairs of this lesson' }));
    },
  },
  {
    name: 'St John’s wort for somebody who takes a medicine: never a silent collect',
    run: async (thumb) => {
      const { page } = thumb;
      await begin(thumb, /^Herb: /, 'hypericum', /Hypericum perforatum/, 'In flower');
      await thumb.tap(named(page, 'button', 'Tell'));
      await thumb.tap(chip(page, 'Who will eat it?', 'With medicine: any'));
      await thumb.tap(named(page, 'button', 'Back to the check'));
      await answer(thumb, 'hypericum-perforatum', 'flowering');
      await expectOutcome(page, 'Pause');
      await page
        .getByRole('status', { name: /For one of you: taken by mouth it weakens many medicines/ })
        .waitFor();
    },
  },
  {
    name: 'Comfrey from its leaves: never called the right plant before it is one',
    run: async (thumb) => {
      const { page } = thumb;
      await suppose(thumb, /^Herb: /, 'comfrey', /^Common comfrey|^Comfrey/);
      await sayStage(thumb, 'Leaves only');
      // What stage and part rule out is said with "even if", after what is not ruled out yet.
      await page
        .getByRole('status', {
          name: /\d+ dangerous ones are not ruled out yet\. Even if it is common comfrey, /,
        })
        .waitFor();
    },
  },
  {
    name: 'Yellow gentian: left, since its double kills',
    run: async (thumb) => {
      const { page } = thumb;
      await suppose(thumb, /^Herb: /, 'gentian', /Gentiana lutea/);
      await expectOutcome(page, 'Leave');
      await page.getByRole('status', { name: /white false hellebore/i }).waitFor();
    },
  },
  {
    name: 'The places, as a file for another program',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(room(page, 'Week'));
      await thumb.tap(named(page, 'button', 'Places'));
      const saved = page.waitForEvent('download');
      await thumb.tap(named(page, 'button', 'Save as GPX'));
      const name = (await saved).suggestedFilename();
      if (!name.endsWith('.gpx')) throw new Error(name);
    },
  },
  {
    name: 'A jar found again by the letters on its label',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(named(page, 'button', 'Pantry'));
      await thumb.tap(named(page, 'button', /label/i));
      await thumb.type(page.getByRole('textbox', { name: /^The eight letters/ }), '5e20c7a1');
      await thumb.tap(named(page, 'button', 'Open it'));
      await page.getByRole('heading', { name: 'Bilberry syrup' }).waitFor();
    },
  },
  {
    name: 'A reading taken back after it was made into something: what comes of it is in question',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(room(page, 'Finds'));
      await thumb.tap(page.locator('a[href="/find/demo-find-6"]'));
      await thumb.tap(named(page, 'button', /check/));
      const reading = named(page, 'button', /^Take back: /).first();
      const name = await reading.getAttribute('aria-label');
      await thumb.tap(reading);
      // Another one is first in the list as soon as that is kept.
      await page.waitForFunction(
        (was) => document.querySelector('[aria-label^="Take back: "]')?.getAttribute('aria-label') !== was,
        name,
      );
      await page.goto('/');
      await thumb.see(page.getByRole('status', { name: 'In question' }));
    },
  },
  {
    name: 'A place, with its owner’s word until the end of October',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(room(page, 'Week'));
      await thumb.tap(named(page, 'button', 'Places'));
      await thumb.tap(named(page, 'button', 'Put down a place'));
      await thumb.type(page.getByLabel('What you call it'), 'Bramble bank');
      await thumb.tap(named(page, 'button', 'It is where I stand'));
      await thumb.tap(named(page, 'button', 'Put it down'));
      await page.waitForURL(/\/place\/[0-9a-f-]{36}$/);
      await thumb.tap(named(page, 'button', 'Change what is known'));
      await thumb.tap(chip(page, 'May one pick here?', 'With a permit'));
      await thumb.type(page.getByLabel('Last day on which the permit holds'), '31.10.2026');
      await thumb.see(page.getByText('Yes, as far as you know'));
      if ((await page.getByLabel('Last day on which the permit holds').inputValue()) !== '2026-10-31')
        throw new Error('the day was read otherwise');
    },
  },
];
