/** What a person decides, held and not tapped, and what has to come before it. */
import '../guide';
import { act, cleanup, fireEvent, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import type { FindRecord, Verdict } from '@pause/core';
import { startFind } from '../../src/notebook/actions';
import { look } from '../../src/notebook/look';
import { loadMe } from '../../src/notebook/open';
import { type Store, useApp } from '../../src/notebook/store';
import { DigFirst } from '../../src/screens/check/DigFirst';
import { LeaveUnnamed } from '../../src/screens/check/naming/LeaveUnnamed';
import { OwnDecision } from '../../src/screens/check/verdict/OwnDecision';
import { rig, until } from '../rig';
import { started } from '../rig/started';
import { called, press } from './kit';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn(), replace: jest.fn() }) }));
afterEach(cleanup);

/** Longer than a hold has to be. */
const HOLD_MS = 1000;
const wait = (ms: number) =>
  act(async () => {
    await new Promise((resolve) => setTimeout(resolve, ms));
  });

/** Waits until something holds on the screen or in the notebook. */
const comes = (holds: () => boolean) => act(() => until(holds));

/** Presses a button with the Enter key for so long. */
async function hold(name: RegExp, ms = HOLD_MS): Promise<void> {
  fireEvent.keyDown(called(name), { key: 'Enter' });
  await wait(ms);
  fireEvent.keyUp(called(name), { key: 'Enter' });
  await wait(20);
}

/** Draws a part of a screen about a find, as the notebook has it. */
function show(store: Store, id: string, part: (record: FindRecord, verdict?: Verdict) => ReactNode): void {
  const OfFind = () => {
    const open = useApp((state) => state.finds[id]);
    return open?.record ? part(open.record, open.evaluation?.verdict) : null;
  };
  render(
    <Provider store={store}>
      <OfFind />
    </Provider>,
  );
}

const labels = () =>
  [...document.querySelectorAll('[role="button"]')].map((b) => b.getAttribute('aria-label'));

test('a tap decides nothing; what was held is on record with its verdict, and held again it is the same', async () => {
  const it = await started();
  const open = () =>
    show(it.store, it.id, (record, verdict) => <OwnDecision record={record} verdict={verdict!} />);
  open();
  const decisions = () => it.find().record!.decisions;
  await hold(/^I leave it/, 100);
  expect(decisions()).toEqual([]);
  await hold(/^I leave it/);
  await comes(() => decisions().length > 0);
  expect(decisions()).toMatchObject([{ choice: 'leave', verdict: it.find().record!.verdicts[0]!.id }]);
  // The screen was left with that; whoever comes back to it finds it as before.
  cleanup();
  open();
  await hold(/^I leave it/);
  await hold(/^I come back later/);
  await comes(() => decisions().length > 1);
  expect(decisions().map(({ choice }) => choice)).toEqual(['leave', 'later']);
});

test('at pause nothing offers to collect; that it was collected all the same needs a reason', async () => {
  const it = await started();
  show(it.store, it.id, (record, verdict) => <OwnDecision record={record} verdict={verdict!} />);
  expect(labels().filter((label) => label?.startsWith('I collect it'))).toEqual([]);
  press('It was collected all the same');
  expect(called(/^Collected against/).getAttribute('aria-disabled')).toBe('true');
  fireEvent.change(document.querySelector('textarea')!, { target: { value: ' My aunt named it. ' } });
  await hold(/^Collected against/);
  await comes(() => it.find().record!.decisions.length > 0);
  expect(it.find().record!.decisions).toMatchObject([{ choice: 'collect', reason: 'My aunt named it.' }]);
});

test('on a child’s device collecting waits for an adult, who is named with it', async () => {
  const it = await started();
  it.store.dispatch(look.actions.lookSet({ child: true }));
  const collects = { ...it.find().evaluation!.verdict, outcome: 'collect' } as const;
  show(it.store, it.id, (record) => <OwnDecision record={record} verdict={collects} />);
  expect(called(/^I collect it/).getAttribute('aria-disabled')).toBe('true');
  await hold(/^I collect it/);
  expect(it.find().record!.decisions).toEqual([]);
  fireEvent.change(document.querySelector('input')!, { target: { value: 'Oda' } });
  await hold(/^I collect it/);
  await comes(() => it.find().record!.decisions.length > 0);
  const [decision] = it.find().record!.decisions;
  expect(decision).toMatchObject({ choice: 'collect' });
  expect(decision?.reason).toContain('Oda');
});

test('a find without a name is left, or left for later, and never collected', async () => {
  const it = rig();
  await it.store.dispatch(loadMe());
  const start = { kingdom: 'Fungi', bodyPlan: 'cantharelloid', context: {} } as const;
  const id = (await it.store.dispatch(startFind(start as never)))!;
  await it.atRest();
  show(it.store, id, (record) => <LeaveUnnamed record={record} />);
  expect(labels()).toHaveLength(2);
  for (const name of [/^I come back later/, /^I come back later/, /^I leave it/]) await hold(name);
  const record = () => it.store.getState().finds[id]!.record!;
  await comes(() => record().decisions.length > 1);
  const { decisions, verdicts } = record();
  expect(decisions.map(({ choice, verdict }) => [choice, verdict])).toEqual([
    ['later', undefined],
    ['leave', undefined],
  ]);
  expect(verdicts).toEqual([]);
});

test('nothing is dug before owner, law, number and patch allow it; not digging is always open', async () => {
  const it = rig();
  await it.store.dispatch(loadMe());
  const start = {
    kingdom: 'Plantae',
    bodyPlan: 'herb',
    target: 'symphytum-officinale',
    context: {},
  } as const;
  const id = (await it.store.dispatch(startFind(start as never)))!;
  await it.atRest();
  const context = () => it.store.getState().finds[id]!.record!.context;
  show(it.store, id, (record) => <DigFirst record={record} />);
  const mayDig = () => called('Dig one up').getAttribute('aria-disabled') !== 'true';
  const becomes = (value: boolean) => comes(() => mayDig() === value);
  const choose = (group: string, answer: RegExp) => {
    const all = [...called(group, 'group').querySelectorAll<HTMLElement>('[role="radio"]')];
    fireEvent.click(all.find(({ textContent }) => answer.test(textContent))!);
  };
  choose('How many stand here?', /^Tens$/);
  await comes(() => context().patchSize === 'tens');
  choose('Does the patch bear it?', /^Yes/);
  expect(mayDig()).toBe(false);
  choose('May you pick here?', /^Yes$/);
  await becomes(true);
  for (const [group, answer, back] of [
    ['How many stand here?', /^Fewer than ten$/, /^Tens$/],
    ['Does the patch bear it?', /^No/, /^Yes/],
    ['May you pick here?', /^No$/, /^Yes$/],
  ] as const) {
    choose(group, answer);
    await becomes(false);
    choose(group, back);
    await becomes(true);
  }
  press('Nothing is dug up');
  await comes(() => context().mayDig === false);
  press('Dig one up');
  await comes(() => context().mayDig === true);
  expect(context()).toMatchObject({ permission: 'allowed', patchSize: 'tens', patchThrives: true });
});
