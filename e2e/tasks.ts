import type { Page } from 'playwright-core';
import { guide, onceSeen, outcome, seen, specimen, strip } from './forager';
import type { Rig } from './rig';
import { IN_BROWSER, thumbOf, type Thumb } from './thumb';

/** What new users set out to do on the demo, on a phone as a browser shows it, each from the start screen; counted in taps and scrolls. */
export interface Task {
  readonly name: string;
  readonly run: (thumb: Thumb) => Promise<void>;
}

const named = (page: Page, role: 'button' | 'link' | 'radio' | 'checkbox', name: string | RegExp) => page.getByRole(role, { name, exact: typeof name === 'string' });
const chip = (page: Page, group: string | RegExp, name: string) => page.getByRole('group', { name: group }).getByText(name, { exact: true });
const room = (page: Page, name: string) => named(page, 'link', name);

/** Begins a find by its form and its name, and says what stands around it, all as it should be. @param minds what somebody who will have it has to mind */
async function begin(thumb: Thumb, plan: RegExp, name: string, taxon: RegExp, stage: string, minds = 'None of these'): Promise<void> {
  const { page } = thumb;
  await thumb.tap(named(page, 'button', 'A new find'));
  await thumb.tap(named(page, 'radio', plan));
  await thumb.type(page.getByLabel('Name, in any language, or scientific'), name);
  await thumb.tap(named(page, 'button', taxon));
  await page.waitForURL(/\/around/);
  await thumb.tap(named(page, 'checkbox', stage));
  if (await page.getByRole('group', { name: 'Who will eat it?' }).count() > 0) await thumb.tap(chip(page, 'Who will eat it?', minds));
  await thumb.tap(named(page, 'button', /^I may pick here, nothing spoils/));
  if (await page.getByRole('group', { name: 'Is it protected here?' }).count() > 0) await thumb.tap(named(page, 'radio', 'No, looked up'));
  if (await page.getByRole('group', { name: 'Traced to one base?' }).count() > 0) await thumb.tap(named(page, 'radio', 'Yes, all of it'));
  await page.waitForURL(/\/check$/);
  await strip(page).waitFor();
}

/** Answers as a usual specimen shows it until the verdict is no pause. What it does not show cannot be seen. */
async function answer(thumb: Thumb, target: string, stage: string, most = 30): Promise<void> {
  const { page } = thumb;
  const shows = specimen(target, stage);
  for (let step = 0; step < most && await outcome(page) === 'Pause'; step += 1) {
    const gloves = named(page, 'button', 'They are on');
    if (await gloves.isVisible()) await thumb.tap(gloves);
    if (await page.getByRole('heading', { name: 'Nothing more to ask' }).isVisible()) return;
    const question = (await page.getByRole('heading', { level: 2 }).filter({ hasText: /\?$|\.$/ }).first().textContent()) ?? '';
    const before = await seen(page);
    const label = shows[question];
    const number = numberFor(target, stage, question);
    if (label !== undefined) await thumb.tap(page.getByRole('group', { name: 'Answers' }).getByRole('button', { name: label, exact: true }));
    else if (number === undefined) await thumb.tap(named(page, 'button', /^Can’t see it/));
    else {
      await thumb.type(page.getByLabel(number.counted ? 'Count' : 'Measure'), number.text);
      if (!number.counted) await thumb.tap(named(page, 'radio', 'cm'));
      await thumb.tap(named(page, 'button', 'Record it'));
    }
    await onceSeen(page, before);
  }
}

/** The middle of what is usual of a number that a question asks for; lengths in centimetres. */
function numberFor(target: string, stage: string, question: string): { readonly text: string; readonly counted: boolean } | undefined {
  const asked = guide.characters.find(({ character }) => character.question === question);
  const known = asked && guide.taxon(target)?.atStage.get(asked.index)?.get(stage as never);
  if (known?.kind !== 'number') return undefined;
  const middle = (known.usual[0] + known.usual[1]) / 2;
  const counted = asked?.character.kind === 'count';
  return { text: String(counted ? Math.round(middle) : Math.round(middle) / 10), counted };
}

async function expectOutcome(page: Page, wanted: string): Promise<void> {
  const is = await outcome(page);
  if (is !== wanted) throw new Error(`${is} instead of ${wanted}: ${(await strip(page).getAttribute('aria-label')) ?? ''}`);
}

export const TASKS: readonly Task[] = [
  {
    name: 'A hedgehog mushroom, from the start to collected',
    run: async (thumb) => {
      const { page } = thumb;
      await begin(thumb, /^Spines: /, 'hedgehog', /^Hedgehog.*Hydnum repandum/, 'Open');
      await answer(thumb, 'hydnum-repandum', 'mature');
      await expectOutcome(page, 'Collect');
      await thumb.tap(named(page, 'link', 'See the verdict and its reasons'));
      await thumb.hold(named(page, 'button', /^I collect it/));
      await named(page, 'button', 'How much, and by which hand').waitFor();
    },
  },
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
    name: 'St John’s wort for somebody who takes a medicine: never a silent collect',
    run: async (thumb) => {
      const { page } = thumb;
      await begin(thumb, /^Herb: /, 'hypericum', /Hypericum perforatum/, 'In flower', 'With medicine: any');
      await answer(thumb, 'hypericum-perforatum', 'flowering');
      await expectOutcome(page, 'Pause');
      await strip(page).getByText(/^For one of you: taken by mouth it weakens many medicines/).waitFor();
    },
  },
  {
    name: 'A tuft without a name: what dangerous one it could be',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(named(page, 'button', 'A new find'));
      await thumb.tap(named(page, 'radio', /^Gills: /));
      await thumb.tap(named(page, 'button', 'I have no name for it yet'));
      await page.waitForURL(/\/name$/);
      const shows = specimen('galerina-marginata', 'mature');
      for (let step = 0; step < 5; step += 1) {
        const question = (await page.getByRole('heading', { level: 2 }).filter({ hasText: /\?$|\.$/ }).first().textContent()) ?? '';
        const before = await seen(page);
        const label = shows[question];
        await thumb.tap(label === undefined ? named(page, 'button', /^Can’t see it/) : page.getByRole('group', { name: 'Answers' }).getByRole('button', { name: label, exact: true }));
        await onceSeen(page, before);
      }
      await thumb.see(page.getByRole('list', { name: 'Candidates' }).getByText('Funeral bell'));
    },
  },
  {
    name: 'A friend is ill: whom to call, and what to read out',
    run: async (thumb) => {
      const { page } = thumb;
      await thumb.tap(room(page, 'Eaten?'));
      await thumb.see(named(page, 'button', 'Call 112'));
      await thumb.tap(named(page, 'radio', 'Something else'));
      await thumb.type(page.getByLabel('Name of what was eaten'), 'parasol');
      await thumb.tap(page.getByRole('list', { name: 'Which one' }).getByRole('button', { name: /^Parasol/ }));
      await thumb.see(page.getByRole('status').getByText(/^It is mistaken for: /));
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
      await thumb.tap(named(page, 'button', 'How much, and by which hand'));
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
];

export interface Counted {
  readonly name: string;
  readonly taps: number;
  readonly scrolls: number;
  readonly errors: readonly string[];
}

/** Does a task on a demo that nobody used before. @throws Error where it cannot be done */
export async function doTask(rig: Rig, { name, run }: Task): Promise<Counted> {
  const { page, context, errors } = await rig.open(IN_BROWSER);
  try {
    await page.goto('/');
    await named(page, 'button', 'A new find').waitFor();
    await page.locator('a[href="/find/demo-find-2"]').waitFor();
    const thumb = thumbOf(page);
    await run(thumb);
    return { name, taps: thumb.taps(), scrolls: thumb.scrolls(), errors };
  } finally {
    await context.close();
  }
}
