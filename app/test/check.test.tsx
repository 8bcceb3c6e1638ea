import './guide';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { partings, type Check } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { loadPlates } from '../src/components/plates/usePlates';
import { evaluate } from '../src/deciding/evaluate';
import { guide } from '../src/deciding/guide';
import { AnswerCard, type Answer } from '../src/screens/check/AnswerCard';
import { Bars } from '../src/screens/check/Bars';
import { GlovesFirst } from '../src/screens/check/GlovesFirst';
import { HoldButton } from '../src/screens/check/verdict/HoldButton';
import { rig } from './rig';

const AT = '2026-09-14T08:00:00.000Z';
const find = parseCase(
  {
    guide: { id: 'ostrel' },
    kingdom: 'Fungi',
    target: 'cantharellus-cibarius',
    pieces: [{ id: 'p1', startedAt: AT, purpose: 'decide' }],
    readings: [
      {
        id: 'r1',
        piece: 'p1',
        character: 'hymenophore',
        value: { kind: 'states', states: ['ridges'] },
        sureness: 'sure',
        by: 'mirel',
        at: AT,
      },
    ],
    context: {},
  },
  guide,
);

let smellless = 0;
function card(character: string) {
  const answers: Answer[] = [];
  const check: Check = {
    character: character as never,
    why: 'brings-nearer',
    seconds: 5,
    damage: 'none',
    skin: [],
    gain: 1,
  };
  render(
    <Provider store={rig().store}>
      <AnswerCard
        check={check}
        target={find.target}
        stages={find.context.stages}
        effects={[]}
        keys={false}
        onAnswer={(a) => answers.push(a)}
        onPass={() => answers.push({ value: { kind: 'cant-tell' }, sureness: 'guess' })}
        onCannotSmell={() => {
          smellless += 1;
        }}
      />
    </Provider>,
  );
  return answers;
}
/**
 * The one thing of this role that is called so. Reckoning every name as a screen reader does would take jsdom
 * most of a minute.
 */
function called(name: string | RegExp, role = 'button'): HTMLElement {
  const all = [
    ...document.querySelectorAll<HTMLElement>(
      role === 'button' ? 'button, [role="button"]' : `[role="${role}"]`,
    ),
  ];
  const those = all.filter((element) => {
    const said = element.getAttribute('aria-label') ?? element.textContent;
    return typeof name === 'string' ? said === name : name.test(said);
  });
  if (those.length !== 1)
    throw new Error(
      `${those.length} of role ${role} called ${String(name)}, among: ${all.map((e) => e.getAttribute('aria-label') ?? e.textContent).join(' | ')}`,
    );
  return those[0] as HTMLElement;
}
const press = (name: string | RegExp, role = 'button') => fireEvent.click(called(name, role));

test('one tap answers, as sure as was said', () => {
  const answers = card('cap.shape');
  press('Fairly', 'radio');
  press('Hollowed, like a funnel');
  expect(answers).toEqual([{ value: { kind: 'states', states: ['funnel'] }, sureness: 'fairly' }]);
});

test('every state is a drawing beside its words; colours are swatches; how to look is one tap away', async () => {
  await loadPlates();
  card('cap.shape');
  const funnel = called('Hollowed, like a funnel');
  await waitFor(() => {
    expect(funnel.querySelectorAll('svg path').length).toBeGreaterThan(1);
  });
  const lines = [...document.querySelectorAll('button, [role="button"]')].flatMap((button) =>
    [...button.querySelectorAll('svg')].map((svg) => svg.innerHTML),
  );
  expect(lines.length).toBeGreaterThanOrEqual(11);
  expect(new Set(lines).size).toBe(lines.length);
  const how = guide.character('cap.shape')!.character.how;
  expect(screen.queryByText(how)).toBeNull();
  press('How to look');
  expect(screen.getByText(how)).toBeTruthy();
  cleanup();
  card('flesh.colour');
  const white = called('White');
  expect(white.querySelector('svg')).toBeNull();
});

test('torn needs two, and says so', () => {
  const answers = card('cap.shape');
  press('Torn between some');
  press('Domed', 'checkbox');
  press('Name two or more');
  expect(answers).toEqual([]);
  press('Flat', 'checkbox');
  press('It is one of these');
  expect(answers).toEqual([{ value: { kind: 'states', states: ['convex', 'flat'] }, sureness: 'sure' }]);
});

test('a long press is torn too, with that answer named', () => {
  jest.useFakeTimers();
  const answers = card('cap.shape');
  const domed = called('Domed');
  fireEvent.mouseDown(domed, { button: 0 });
  act(() => {
    jest.advanceTimersByTime(700);
  });
  fireEvent.mouseUp(domed, { button: 0 });
  jest.useRealTimers();
  expect(called('Domed', 'checkbox').getAttribute('aria-checked')).toBe('true');
  press('Flat', 'checkbox');
  press('It is one of these');
  expect(answers.map((a) => a.value)).toEqual([{ kind: 'states', states: ['convex', 'flat'] }]);
});

test('a count by its two buttons, and no further than anyone wants to count', () => {
  const answers = card('umbel.rays');
  expect(called('Record it').getAttribute('aria-disabled')).toBe('true');
  for (let i = 0; i < 3; i += 1) press('One more');
  press('One less');
  press('Record it');
  fireEvent.change(screen.getByLabelText('Count'), { target: { value: '40' } });
  press('That many or more', 'checkbox');
  press('Record it');
  expect(answers.map((a) => a.value)).toEqual([
    { kind: 'count', number: 2 },
    { kind: 'count', number: 40, orMore: true },
  ]);
  fireEvent.change(screen.getByLabelText('Count'), { target: { value: '2.5' } });
  expect(screen.getByRole('alert').textContent).toBe('A count is a whole number.');
});

test('what is not there, what cannot be seen, and a note that goes with the answer', () => {
  const answers = card('cap.shape');
  press('Note, photo or sketch');
  fireEvent.change(screen.getByLabelText('A note with this answer'), {
    target: { value: ' the oldest one ' },
  });
  press('Domed');
  press('Can’t see it');
  press('Not on this piece');
  expect(answers).toEqual([
    { value: { kind: 'states', states: ['convex'] }, sureness: 'sure', note: 'the oldest one' },
    { value: { kind: 'cant-tell' }, sureness: 'sure', note: 'the oldest one' },
    { value: { kind: 'cant-tell' }, sureness: 'sure', note: 'Not on this piece. the oldest one' },
  ]);
});

test('a nose that is no use today is said where something is smelled, and nowhere else', () => {
  card('cap.shape');
  expect(screen.queryByRole('button', { name: 'Can’t smell today' })).toBeNull();
  cleanup();
  card('smell');
  press('Can’t smell today');
  expect(smellless).toBe(1);
});

test('gloves come before a check that touches what may harm the skin, and say why', () => {
  const told: string[] = [];
  render(
    <GlovesFirst
      skin={['heracleum-mantegazzianum' as never]}
      onOn={() => told.push('on')}
      onWithout={() => told.push('without')}
    />,
  );
  expect(screen.getByText(/giant hogweed is not ruled out yet/)).toBeTruthy();
  press('They are on');
  press('No gloves: only look');
  expect(told).toEqual(['on', 'without']);
});

test.each([
  ['4,5', { kind: 'measure', number: 4.5, unit: 'cm' }, undefined],
  ['-3', undefined, 'Give a number, like 12 or 4.5.'],
  ['wide', undefined, 'Give a number, like 12 or 4.5.'],
  [
    '99999',
    undefined,
    'Nothing in the guide comes near that; the largest is 90 cm. Check the number and the unit.',
  ],
])('a measure of "%s"', (text, value, complaint) => {
  const answers = card('cap.width');
  fireEvent.change(screen.getByLabelText('Measure'), { target: { value: text } });
  press('cm', 'radio');
  press('Record it');
  expect(answers.map((a) => a.value)).toEqual(value ? [value] : []);
  if (complaint) expect(screen.getByRole('alert').textContent).toBe(complaint);
});

test('each lookalike says how many of its bars are filled, and by what', () => {
  const { verdict, checks } = evaluate(find);
  const chosen: string[] = [];
  render(
    <Bars
      id="f1"
      rows={verdict.rows}
      find={find}
      parts
      checks={checks}
      onChoose={(character) => chosen.push(character)}
    />,
  );
  const webcap = screen.getByRole('button', {
    name: /^Deadly webcap ?deadly · silent for 2 to 21 days ?1 of 3 bars filled$/,
  });
  fireEvent.click(webcap);
  expect(screen.getByText(/^Underside: Blunt ridges/)).toBeTruthy();
  expect(screen.getByText('Two are still open.')).toBeTruthy();
  // The quickest of the checks that part the two leads to its card.
  press(/^Quickest: /);
  const parting = partings(
    guide,
    guide.taxon('cantharellus-cibarius')!,
    guide.taxon('cortinarius-rubellus')!,
    undefined,
  ).map((p) => p.character as string);
  const quickest = Math.min(...checks.filter((c) => parting.includes(c.character)).map((c) => c.seconds));
  expect(parting).toContain(chosen[0]);
  expect(checks.find((c) => c.character === chosen[0])!.seconds).toBe(quickest);
  expect(screen.getByRole('table', { name: 'Where Chanterelle and Deadly webcap part' })).toBeTruthy();
});

test('a decision has to be held', () => {
  jest.useFakeTimers();
  let held = 0;
  render(
    <HoldButton
      label="I leave it"
      hint="Hold to record"
      tone="ink"
      onHeld={() => {
        held += 1;
      }}
    />,
  );
  const button = called(/^I leave it/);
  const down = () => fireEvent.mouseDown(button, { button: 0 });
  const up = () => fireEvent.mouseUp(button, { button: 0 });
  down();
  act(() => {
    jest.advanceTimersByTime(600);
  });
  up();
  act(() => {
    jest.advanceTimersByTime(2000);
  });
  expect(held).toBe(0);
  down();
  act(() => {
    jest.advanceTimersByTime(1500);
  });
  // Held long enough, and not let go yet: nothing has been decided.
  expect(held).toBe(0);
  up();
  expect(held).toBe(1);
  jest.useRealTimers();
});
