import '../guide';
import { waitFor, screen, cleanup, fireEvent, act, render } from '@testing-library/react';
import { loadPlates } from '../../src/components/plates/usePlates';
import { guide } from '../../src/deciding/guide';
import { GlovesFirst } from '../../src/screens/check/GlovesFirst';
import { card, press, called, SKIPPED, smellless } from './kit';

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

test('unsure between several needs two, and says so', () => {
  const answers = card('cap.shape');
  press('Unsure between several');
  press('Domed', 'checkbox');
  press('Name two or more');
  expect(answers).toEqual([]);
  press('Flat', 'checkbox');
  press('It is one of these');
  expect(answers).toEqual([{ value: { kind: 'states', states: ['convex', 'flat'] }, sureness: 'sure' }]);
});

/** Holds an answer until it is shown large. */
function holdAnswer(name: string): void {
  jest.useFakeTimers();
  const answer = called(name);
  fireEvent.mouseDown(answer, { button: 0 });
  act(() => {
    jest.advanceTimersByTime(700);
  });
  fireEvent.mouseUp(answer, { button: 0 });
  jest.useRealTimers();
}

test('an answer that is held is shown in its whole words, and can be given as sure as one is', () => {
  const answers = card('hymenophore', true);
  holdAnswer('Blunt ridges, folds of the flesh itself');
  expect(screen.getByText('Blunt ridges, folds of the flesh itself')).toBeTruthy();
  expect(screen.queryByRole('group', { name: 'Answers' })).toBeNull();
  press('All answers');
  expect(screen.getByRole('group', { name: 'Answers' })).toBeTruthy();
  holdAnswer('Blunt ridges, folds of the flesh itself');
  press('Guess');
  expect(answers).toEqual([{ value: { kind: 'states', states: ['ridges'] }, sureness: 'guess' }]);
});

test('an answer that is held may be one of several', () => {
  const answers = card('cap.shape');
  holdAnswer('Domed');
  press('This or another');
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
  press('Can’t tell');
  press('Not on this piece');
  expect(answers).toEqual([
    { value: { kind: 'states', states: ['convex'] }, sureness: 'sure', note: 'the oldest one' },
    { value: { kind: 'cant-tell' }, sureness: 'sure', note: 'the oldest one' },
    { value: { kind: 'cant-tell' }, sureness: 'sure', note: 'Not on this piece. the oldest one' },
  ]);
});

test('on a phone what else can be done stands where the answers do, one way at a time', () => {
  const answers = card('smell', true, true);
  expect(screen.queryByRole('group', { name: 'Answers' })).toBeNull();
  press('Note, photo or sketch');
  fireEvent.change(screen.getByLabelText('A note with this answer'), { target: { value: 'after rain' } });
  expect(answers).toEqual([]);
  cleanup();
  const others = card('smell', true, true);
  press('Can’t smell today');
  expect(smellless).toBe(1);
  press('Not on this piece');
  press('Too faint to say');
  press('May be my own fingers');
  press('Skip for now');
  expect(others).toEqual([
    { value: { kind: 'cant-tell' }, sureness: 'sure', note: 'Not on this piece.' },
    { value: { kind: 'cant-tell' }, sureness: 'sure', note: 'Too faint to say.' },
    { value: { kind: 'cant-tell' }, sureness: 'sure', note: 'It may be the smell of my own fingers.' },
    SKIPPED,
  ]);
  cleanup();
  card('umbel.rays', true, true);
  expect(screen.queryByRole('button', { name: 'Unsure between several' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Too faint to say' })).toBeNull();
});

test('on a phone, too, what cannot be told comes without a word of why', () => {
  const answers = card('hymenophore', true);
  press('Can’t tell');
  cleanup();
  const counted = card('umbel.rays', true);
  press('Can’t tell');
  const plain = { value: { kind: 'cant-tell' }, sureness: 'sure' };
  expect([...answers, ...counted]).toEqual([plain, plain]);
});

test('a nose that is no use today is said where something is smelled, and nowhere else', () => {
  card('cap.shape');
  expect(screen.queryByRole('button', { name: 'Can’t smell today' })).toBeNull();
  cleanup();
  card('smell');
  press('Can’t smell today');
  expect(smellless).toBe(2);
});

test('gloves come before a check that touches what may harm the skin, and say why', () => {
  const pressed: string[] = [];
  render(
    <GlovesFirst
      skin={['heracleum-mantegazzianum' as never]}
      onOn={() => pressed.push('on')}
      onWithout={() => pressed.push('without')}
    />,
  );
  expect(screen.getByText(/giant hogweed is not ruled out yet/)).toBeTruthy();
  press('They are on');
  press('No gloves: only look');
  expect(pressed).toEqual(['on', 'without']);
});
