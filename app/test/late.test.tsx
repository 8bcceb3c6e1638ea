import './guide';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Component, type ReactNode } from 'react';
import { Text } from 'react-native';
import { latePart } from '../src/components/latePart';
import { late } from '../src/lib/late';

afterEach(cleanup);
const Part = ({ word }: { readonly word: string }) => <Text>{word} is here</Text>;
const settled = () =>
  act(async () => {
    await new Promise((resolve) => setTimeout(resolve, 5));
  });

test('a part that is fetched late comes as soon as it is there, and only once', async () => {
  let fetched = 0;
  const Late = latePart(() => {
    fetched += 1;
    return Promise.resolve(Part);
  });
  render(
    <>
      <Late word="One" />
      <Late word="Another" />
    </>,
  );
  expect(screen.getAllByText('One moment …')).toHaveLength(2);
  await settled();
  expect([screen.getByText('One is here'), screen.getByText('Another is here')]).toHaveLength(2);
  expect(fetched).toBe(1);
});

test('one that cannot be fetched says so, and is there when asked for again', async () => {
  let away = true;
  const Late = latePart(() => (away ? Promise.reject(new Error('no connection')) : Promise.resolve(Part)));
  render(<Late word="It" />);
  await settled();
  expect(screen.getByText('This part did not load')).toBeTruthy();
  fireEvent.click(screen.getByText('Try again'));
  await settled();
  expect(screen.getByText('This part did not load')).toBeTruthy();
  away = false;
  fireEvent.click(screen.getByText('Try again'));
  await settled();
  expect(screen.getByText('It is here')).toBeTruthy();
});

test('a drawing beside words keeps its place and says nothing, fetched or not', async () => {
  const Late = latePart<{ readonly word: string }>(
    () => Promise.reject(new Error('no connection')),
    ({ word }) => <Text>[{word}]</Text>,
  );
  render(<Late word="place" />);
  await settled();
  expect(screen.getByText('[place]')).toBeTruthy();
  expect(screen.queryByText('This part did not load')).toBeNull();
});

test('fetched ahead, it is there at once', async () => {
  const Late = latePart(() => Promise.resolve(Part));
  Late.fetchAhead();
  await settled();
  render(<Late word="It" />);
  expect(screen.getByText('It is here')).toBeTruthy();
});

test('a needed program that cannot be fetched says why in its place; an optional one waits', async () => {
  class Boundary extends Component<{ readonly children: ReactNode }, { readonly error?: Error }> {
    override state: { readonly error?: Error } = {};
    static getDerivedStateFromError = (error: Error) => ({ error });
    override render() {
      return this.state.error ? <Text>{this.state.error.message}</Text> : this.props.children;
    }
  }
  const silent = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const program = late<{ readonly word: string }>(() => Promise.reject(new Error('Loading module failed')));
  const Needing = () => <Text>{program.useNeeded()?.word ?? 'One moment'}</Text>;
  const Gladly = () => <Text>{program.useIt()?.word ?? 'Without'}</Text>;
  render(
    <>
      <Boundary>
        <Needing />
      </Boundary>
      <Boundary>
        <Gladly />
      </Boundary>
    </>,
  );
  expect(screen.getByText('One moment')).toBeTruthy();
  await settled();
  expect(screen.getByText('Loading module failed')).toBeTruthy();
  expect(screen.getByText('Without')).toBeTruthy();
  silent.mockRestore();
});
