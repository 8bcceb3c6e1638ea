import { readdirSync } from 'node:fs';
import type { Catalogue } from '../src/text/catalogue';
import { languageOf } from '../src/text/catalogue';
import { speakOneOf } from '../src/text/languages';
import { listed, messages, plural, speak } from '../src/text/messages';

const FOLDER = `${process.cwd()}/app/src/text/en`;

afterEach(() => {
  jest.resetModules();
  speak({ tag: 'en-GB', area: () => ({}) });
});

test('numbers take the form that the language asks for, and lists are joined as it joins them', () => {
  const finds = (count: number) => plural(count, { one: 'one find', other: `${count} finds` });
  expect([0, 1, 2, 21].map(finds)).toEqual(['0 finds', 'one find', '2 finds', '21 finds']);
  expect(listed([])).toBe('');
  expect(listed(['funnel'])).toBe('funnel');
  expect(listed(['funnel', 'bell', 'flat'])).toBe('funnel, bell and flat');
  expect(listed(['funnel', 'bell', 'flat'], 'disjunction')).toBe('funnel, bell or flat');
});

test('another language is one object: its words, its plurals, and English where it has none', async () => {
  const modules = await import('../src/text/messages');
  modules.speak({
    tag: 'pl',
    area: (name) =>
      name === 'finds'
        ? {
            title: 'Znaleziska',
            many: (count: number) => modules.plural(count, { one: 'jedno', few: 'kilka', other: 'wiele' }),
          }
        : {},
  });
  const finds = modules.messages('finds', {
    title: 'Finds',
    back: 'Back',
    many: (count: number) => `${count}`,
  });
  expect([finds.title, finds.back, finds.many(1), finds.many(3), finds.many(5)]).toEqual([
    'Znaleziska',
    'Back',
    'jedno',
    'kilka',
    'wiele',
  ]);
  expect(modules.messages('pantry', { title: 'Pantry' }).title).toBe('Pantry');
});

test('a language names its words by area, as the catalogue does', () => {
  const { area, tag } = languageOf('xx', { units: { piece: 'kus' } } as unknown as Catalogue);
  expect(tag).toBe('xx');
  expect(area('units', {})).toEqual({ piece: 'kus' });
  expect(area('pantry', {})).toEqual({});
});

test('every area of the catalogue is one that a language has to have', async () => {
  const { readFileSync } = await import('node:fs');
  const needed = readFileSync(`${FOLDER}/../catalogue.ts`, 'utf8');
  const areas = readdirSync(FOLDER).map((file) => file.replace('.ts', ''));
  expect(areas.filter((area) => !needed.includes(`readonly ${area}: typeof ${area};`))).toEqual([]);
});

test('a device set to the language for trying out speaks it; one of an unknown language speaks English', async () => {
  await speakOneOf(['xx', 'en-GB']);
  expect(messages('a', { word: 'Pantry' }).word).toBe('Pantry');
  await speakOneOf(['xx', 'en-XA']);
  const { word, taken } = messages('a', {
    word: 'Pantry',
    taken: (what: string, count: number) => `${count} taken of ${what}`,
  });
  expect(word).toBe('Páañtrý');
  // What is given to a message is not changed by it.
  expect(taken('Bilberry', 2)).toBe('2 táakéeñ óof Bilberry');
});

test('no message is empty, has two blanks in a row, or lacks what it is given', async () => {
  const written = await Promise.all(
    readdirSync(FOLDER).map(async (file) => {
      const { t } = (await import(`${FOLDER}/${file}`)) as { t: Readonly<Record<string, unknown>> };
      return Object.entries(t).map(([name, message]) => {
        const text =
          typeof message === 'function'
            ? String((message as (...all: unknown[]) => unknown)(...Array<number>(8).fill(3)))
            : message;
        return [`${file} ${name}`, text] as const;
      });
    }),
  );
  const wrong = written
    .flat()
    .filter(
      ([, text]) =>
        typeof text !== 'string' || text === '' || / {2}(?![A-Z]$)/.test(text) || text.includes('undefined'),
    );
  expect(wrong).toEqual([]);
});
