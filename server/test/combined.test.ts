/**
 * What is done together while much comes at once: whoever is alone waits for nobody, and nobody is held up by
 * another.
 */
import { openCombined } from '../src/notebook/combined';

const later = (ms = 5) =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });
interface Task {
  readonly name: string;
  readonly kind?: string;
}

function watched(together: (tasks: readonly Task[]) => Promise<readonly (string | undefined)[]>) {
  const rounds: string[][] = [];
  const alone: string[] = [];
  const combined = openCombined<Task, string>({
    most: 4,
    goTogether: (one, other) => one.kind === other.kind,
    together: async (tasks) => {
      rounds.push(tasks.map(({ name }) => name));
      await later();
      return together(tasks);
    },
    alone: async ({ name }) => {
      alone.push(name);
      await later();
      if (name === 'bad') throw new Error('bad by itself');
      return `${name} alone`;
    },
  });
  return { rounds, alone, combined };
}
const all = (tasks: readonly Task[]) => Promise.resolve(tasks.map(({ name }) => name));

test('the first is served at once, what comes meanwhile together, and everybody gets their own answer', async () => {
  const { rounds, combined } = watched(all);
  const names = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
  expect(await Promise.all(names.map((name) => combined({ name })))).toEqual(names);
  expect(rounds).toEqual([['a'], ['b', 'c', 'd', 'e'], ['f', 'g']]);
  expect(await combined({ name: 'h' })).toBe('h');
  expect(rounds.at(-1)).toEqual(['h']);
});

test('what cannot go together goes in rounds of its own', async () => {
  const { rounds, combined } = watched(all);
  await Promise.all([
    combined({ name: 'a' }),
    combined({ name: 'b', kind: 'other' }),
    combined({ name: 'c' }),
    combined({ name: 'd', kind: 'other' }),
  ]);
  expect(rounds).toEqual([['a'], ['b', 'd'], ['c']]);
});

test('one that has to be done alone is, and holds up nobody', async () => {
  const { alone, combined } = watched((tasks) =>
    Promise.resolve(tasks.map(({ name }) => (name === 'b' ? undefined : name))),
  );
  expect(await Promise.all(['a', 'b', 'c'].map((name) => combined({ name })))).toEqual(['a', 'b alone', 'c']);
  expect(alone).toEqual(['b']);
});

test('a round that fails is done one by one: only whoever was the cause hears of it', async () => {
  const { combined } = watched((tasks) =>
    tasks.some(({ name }) => name === 'bad') ? Promise.reject(new Error('the round')) : all(tasks),
  );
  const came = await Promise.allSettled(['a', 'b', 'bad', 'c'].map((name) => combined({ name })));
  expect(came.map((one) => (one.status === 'fulfilled' ? one.value : (one.reason as Error).message))).toEqual(
    ['a', 'b alone', 'bad by itself', 'c alone'],
  );
});
