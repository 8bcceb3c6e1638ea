import '../guide';
import { fireEvent, screen, render, act } from '@testing-library/react';
import { partings } from '@pause/core';
import { evaluate } from '../../src/deciding/evaluate';
import { guide } from '../../src/deciding/guide';
import { Bars } from '../../src/screens/check/Bars';
import { HoldButton } from '../../src/screens/check/verdict/HoldButton';
import { card, press, find, called } from './kit';

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
