import { answer, begin, chip, describe, expectOutcome, named, room, suppose, type Task } from './steps';

/** Somebody who goes for mushrooms on the way home. */
export const MUSHROOMS: readonly Task[] = [
  {
    name: 'A hedgehog mushroom, from the start to collected',
    run: async (thumb) => {
      const { page } = thumb;
      await begin(thumb, /^Spines: /, 'hedgehog', /^Hedgehog.*Hydnum repandum/, 'Open');
      await answer(thumb, 'hydnum-repandum', 'mature');
      await expectOutcome(page, 'Collect');
      await thumb.tap(named(page, 'link', 'See the verdict and its reasons'));
      await thumb.hold(named(page, 'button', /^I collect it/));
      await named(page, 'button', 'How much to take, and how').waitFor();
    },
  },
  {
    name: 'A tuft without a name: what dangerous one it could be',
    run: async (thumb) => {
      const { page } = thumb;
      await describe(thumb, /^Gills: /, 'galerina-marginata', 'mature', 'Can’t tell');
      await thumb.see(page.getByRole('list', { name: 'Candidates' }).getByText('Funeral bell'));
    },
  },
  {
    name: 'A field mushroom: why it is never collected, before anything is asked',
    run: async (thumb) => {
      const { page } = thumb;
      await suppose(thumb, /^Gills: /, 'field mushroom', /^Field mushroom/);
      await expectOutcome(page, 'Leave');
    },
  },
  {
    name: 'A check that goes on where there is no connection',
    run: async (thumb) => {
      const { page } = thumb;
      await begin(thumb, /^Ridges: /, 'chanterelle', /^Chanterelle.*Cantharellus cibarius/, 'Open');
      await answer(thumb, 'cantharellus-cibarius', 'mature', 3);
      await page.context().setOffline(true);
      await answer(thumb, 'cantharellus-cibarius', 'mature');
      await expectOutcome(page, 'Collect');
      await page.context().setOffline(false);
    },
  },
  {
    name: 'A practice walk: the first find decided, and what it was',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(named(page, 'button', 'Practice'));
      await thumb.tap(named(page, 'button', 'Walk into the wood'));
      await page.getByText('find 1 of 5', { exact: false }).waitFor();
      await thumb.tap(named(page, 'button', 'Leave'));
      await thumb.see(page.getByRole('status').getByText(/^You said: leave · /));
    },
  },
  {
    name: 'A walk for Sunday, with what to bring',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(room(page, 'Week'));
      await thumb.tap(named(page, 'button', 'Plan a walk'));
      await page.waitForURL(/\/walk\//);
      await thumb.type(page.getByLabel('On which day'), '20 September');
      await thumb.tap(chip(page, 'Where to', 'Spruce above the Karrow spring'));
      await thumb.type(page.getByLabel('When do you set out?'), '8:30');
      await thumb.type(page.getByLabel('Back by'), '17');
      await thumb.tap(named(page, 'button', 'Show the sheet'));
      await thumb.see(page.getByRole('list', { name: 'What to bring' }));
    },
  },
  {
    name: 'Berries that were collected: how much was taken, and made into a jar',
    run: async (thumb) => {
      const { page } = thumb;
      await page.goto('/find/demo-find-1');
      await thumb.tap(named(page, 'button', 'How much to take, and how'));
      await thumb.type(page.getByRole('textbox', { name: 'How much', exact: true }), '0.5');
      await thumb.tap(chip(page, 'Measured in', 'litres'));
      await page.getByText(/^Kept: 0.5.litres\.$/).waitFor();
      await page.goto('/batch/new');
      await thumb.tap(page.getByRole('checkbox', { name: /^Bilberry, harvest/ }));
      await thumb.tap(named(page, 'checkbox', /^All of it/));
      await thumb.tap(named(page, 'radio', 'Freeze it'));
      await thumb.tap(named(page, 'button', 'Begin'));
      await page.waitForURL(/\/batch\/[0-9a-f-]{36}$/);
      await page.getByRole('list', { name: 'Steps' }).waitFor();
    },
  },
  {
    name: 'A meal from the pantry: who ate of it, and how much',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(named(page, 'button', 'Pantry'));
      await thumb.tap(page.getByRole('link', { name: /^Bilberry syrup/ }));
      await thumb.tap(named(page, 'button', 'Eat of it'));
      await thumb.tap(chip(page, 'Who ate', 'Mirel'));
      await thumb.type(page.getByRole('textbox', { name: /^How much of it/ }), '50');
      await thumb.type(page.getByRole('textbox', { name: 'What the dish was', exact: true }), 'Pancakes');
      await thumb.tap(named(page, 'button', 'It was eaten'));
      await page.getByRole('heading', { name: /^Pancakes, eaten by Mirel/ }).waitFor();
    },
  },
  {
    name: 'A friend is ill: whom to call, and what to read out',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(room(page, 'Poisoning'));
      await thumb.see(named(page, 'button', 'Call 112'));
      await thumb.tap(named(page, 'radio', 'Something else'));
      await thumb.type(page.getByLabel('Name of what was eaten'), 'parasol');
      await thumb.tap(
        page.getByRole('list', { name: 'Which one' }).getByRole('button', { name: /^Parasol/ }),
      );
      await thumb.see(page.getByRole('status').getByText(/^It is mistaken for: /));
    },
  },
];
