/** What is shown of the notebook wherever one is: each condition has its sentence. */
import './guide';
import { act, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import type { Entry } from '@pause/core';
import { OutboxWords } from '../src/components/OutboxWords';
import { loadMe } from '../src/notebook/open';
import { outbox } from '../src/notebook/outboxSlice';
import { me } from '../src/notebook/slices';
import { rig } from './rig';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn() }) }));

const WAITING = [
  {
    find: 'f',
    kind: 'skips',
    body: { id: 'one', at: '2026-09-14T08:00:00.000Z', piece: 'p', character: 'smell' },
  },
] as unknown as Entry[];
type State = Parameters<typeof outbox.actions.noted>[0];

async function shown(state: State, signedOut = false): Promise<string> {
  const { store } = rig();
  await store.dispatch(loadMe());
  const { container } = render(
    <Provider store={store}>
      <OutboxWords />
    </Provider>,
  );
  act(() => {
    store.dispatch(outbox.actions.noted(state));
    if (signedOut) store.dispatch(me.actions.notSignedIn({ demo: false }));
  });
  return container.textContent;
}

test('while all is well nothing is shown', async () => {
  expect(await shown({})).toBe('');
});

test.each<[string, State, RegExp]>([
  [
    'the device is full',
    { notKept: 'This device’s storage is full.' },
    /Your last entry was not kept.*storage is full\. It does not count/,
  ],
  [
    'the server refused',
    { refused: WAITING.map((entry) => ({ entry, reason: 'character: unknown' })) },
    /The server refused an entry.*character: unknown/,
  ],
  [
    'no connection, and something waits',
    { away: true, waiting: WAITING },
    /One entry waits to be sent.*Kept on this device/,
  ],
  [
    'no room for what others recorded',
    { notTaken: 'This device’s storage is full.' },
    /What others recorded could not be kept here.*What you recorded is safe/,
  ],
  ['recorded with a newer application', { newerVersion: true }, /newer Pause.*right as far as it goes/],
  ['a clock a day ahead', { clockOff: 1440 }, /This device’s clock is a day ahead.*notebook’s time/],
  ['a clock two hours behind', { clockOff: -120 }, /clock is 2 hours behind/],
  ['a clock ten minutes ahead', { clockOff: 10 }, /clock is 10 minutes ahead/],
  ['a clock three days behind', { clockOff: -4320 }, /clock is 3 days behind/],
  [
    'a wiped device',
    { fetching: { here: 50, all: 234 } },
    /Fetching the notebook: 50 of 234.*go on meanwhile/,
  ],
])('%s', async (_, state, sentence) => {
  expect(await shown(state)).toMatch(sentence);
});

test('signed out', async () => {
  expect(await shown({ waiting: WAITING }, true)).toMatch(
    /Mirel Aschkar is signed out.*stays on this device \(1 now\)/,
  );
});

test('what does not count is shown before anything else', async () => {
  expect(await shown({ notKept: 'No.', away: true, waiting: WAITING, clockOff: 99 })).toMatch(
    /^Your last entry was not kept/,
  );
  expect(screen.getAllByRole('alert').length).toBeGreaterThan(0);
});
