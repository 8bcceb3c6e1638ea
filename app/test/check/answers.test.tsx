import '../guide';
import { waitFor, screen, cleanup, fireEvent, act, render } from '@testing-library/react';
import { loadPlates } from '../../src/components/plates/usePlates';
import { guide } from '../../src/deciding/guide';
import { GlovesFirst } from '../../src/screens/check/GlovesFirst';
import { card, press, called, smellless } from './kit';

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
