import './guide';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { parseCase, type Check } from '@pause/core';
import { AnswerCard, type Answer } from '../src/features/check/AnswerCard';
import { Bars } from '../src/features/check/Bars';
import { evaluate } from '../src/evaluate/evaluate';
import { guide } from '../src/evaluate/guide';
import { loadPlates } from '../src/features/plate/usePlates';
import { HoldButton } from '../src/features/verdict/HoldButton';

const AT = '2026-09-14T08:00:00.000Z';
const find = parseCase({
  guide: { id: 'ostrel' }, kingdom: 'Fungi', target: 'cantharellus-cibarius', pieces: [{ id: 'p1', startedAt: AT, purpose: 'decide' }],
  readings: [{ id: 'r1', piece: 'p1', character: 'hymenophore', value: { kind: 'states', states: ['ridges'] }, sureness: 'sure', by: 'mirel', at: AT }], context: {},
}, guide);

function card(character: string) {
  const answers: Answer[] = [];
  const check: Check = { character: character as never, why: 'brings-nearer', seconds: 5, damage: 'none', gain: 1 };
  render(<AnswerCard check={check} find={find} effects={[]} keys={false} onAnswer={(a) => answers.push(a)} onPass={() => answers.push({ value: { kind: 'cant-tell' }, sureness: 'guess' })} />);
  return answers;
}
const press = (name: string | RegExp, role = 'button') => fireEvent.click(screen.getByRole(role, { name }));

test('one tap answers, as sure as was said', () => {
  const answers = card('cap.shape');
  press('Fairly', 'radio');
  press('Hollowed, like a funnel');
  expect(answers).toEqual([{ value: { kind: 'states', states: ['funnel'] }, sureness: 'fairly' }]);
});

test('every state is a drawing beside its words; colours are swatches; how to look is one tap away', async () => {
  await loadPlates();
  card('cap.shape');
  const funnel = screen.getByRole('button', { name: 'Hollowed, like a funnel' });
  await waitFor(() => { expect(funnel.querySelectorAll('svg path').length).toBeGreaterThan(1); });
  const lines = screen.getAllByRole('button').flatMap((button) => [...button.querySelectorAll('svg')].map((svg) => svg.innerHTML));
  expect(lines.length).toBeGreaterThanOrEqual(14);
  expect(new Set(lines).size).toBe(lines.length);
  const how = guide.character('cap.shape')!.character.how;
  expect(screen.queryByText(how)).toBeNull();
  press('How to look');
  expect(screen.getByText(how)).toBeTruthy();
  cleanup();
  card('flesh.colour');
  const white = screen.getByRole('button', { name: 'White' });
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

test.each([
  ['4,5', { kind: 'measure', number: 4.5, unit: 'cm' }, undefined],
  ['-3', undefined, 'Give a number, like 12 or 4.5.'],
  ['wide', undefined, 'Give a number, like 12 or 4.5.'],
  ['99999', undefined, 'That is too much for this. Check the number.'],
])('a measure of "%s"', (text, value, complaint) => {
  const answers = card('cap.width');
  fireEvent.change(screen.getByLabelText('Measure'), { target: { value: text } });
  press('cm', 'radio');
  press('Record it');
  expect(answers.map((a) => a.value)).toEqual(value ? [value] : []);
  if (complaint) expect(screen.getByRole('alert').textContent).toBe(complaint);
});

test('each lookalike says how many of its bars are filled, and by what', () => {
  const { verdict } = evaluate(find);
  render(<Bars id="f1" rows={verdict.rows} find={find} parts />);
  const webcap = screen.getByRole('button', { name: 'Deadly webcap, deadly · silent for 2 to 17 days: 1 of 3 bars filled' });
  fireEvent.click(webcap);
  expect(screen.getByText(/^Underside: Blunt ridges/)).toBeTruthy();
  expect(screen.getByText('Two are still open.')).toBeTruthy();
  expect(screen.getByRole('table', { name: 'Where Chanterelle and Deadly webcap part' })).toBeTruthy();
});

test('a decision has to be held', () => {
  jest.useFakeTimers();
  let held = 0;
  render(<HoldButton label="I leave it" hint="Hold to record" tone="ink" onHeld={() => { held += 1; }} />);
  const button = screen.getByRole('button', { name: /^I leave it/ });
  const down = () => fireEvent.mouseDown(button, { button: 0 });
  const up = () => fireEvent.mouseUp(button, { button: 0 });
  down();
  act(() => { jest.advanceTimersByTime(600); });
  up();
  act(() => { jest.advanceTimersByTime(2000); });
  expect(held).toBe(0);
  down();
  act(() => { jest.advanceTimersByTime(1500); });
  up();
  expect(held).toBe(1);
  jest.useRealTimers();
});
