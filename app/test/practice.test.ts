/**
 * What practice says in plain words, what two devices recorded of it, which cards fit a few minutes, and whose
 * misreadings count.
 */
import 'fake-indexeddb/auto';
import type { PageRecord } from '@pause/core';
import * as plates from '@pause/core/drawing';
import { featureCard, historyOf, pairCard, stagesCard, termCard } from '@pause/core/practice';
import './guide';
import { guide } from '../src/deciding/guide';
import {
  aboutSoon,
  A_MINUTE,
  cardsNow,
  learnerOf,
  misreadRates,
  pairStanding,
  sittingsOf,
  WANTED,
} from '../src/notebook/practice';
import { lessonsOf } from '../src/screens/practice/lessons';
import { picturesBy } from '../src/screens/practice/pictures';
import { agoWords, cardName, pointsWords, practisedWords, resultWords } from '../src/text/practice';

const AT = '2026-09-14T08:00:00.000Z';
const NOW = new Date(AT);
const page = (
  id: string,
  kind: string,
  fields: readonly (readonly [field: string, value: unknown, at?: string])[],
  person = 'mirel',
): PageRecord =>
  ({
    id,
    kind,
    at: `2026-09-0${id.length % 9}T08:00:00.000Z`,
    person,
    sightings: [],
    changes: fields.map(([field, value, at = AT]) => ({
      id: `${id}-${field}-${at}`,
      at,
      by: person,
      of: kind,
      field,
      value,
      stamp: `${at}-0000-tollar`,
    })),
  }) as unknown as PageRecord;
const all = (...pages: PageRecord[]) => Object.fromEntries(pages.map((one) => [one.id, one]));
const read = (character: string, shown: string, took: string, times: number) =>
  Array.from({ length: times }, () => ({
    card: featureCard(character),
    at: AT,
    right: shown === took,
    sureness: 'sure',
    look: { character, shown, read: took, sureness: 'sure' },
  }));

test('of the practice settings of two devices the latest of each counts; nobody else’s do', () => {
  const one = page('a', 'learner', [
    ['minutes', 2],
    ['gentle', true, '2026-09-10T08:00:00.000Z'],
  ]);
  const two = page('bb', 'learner', [
    ['gentle', false],
    ['minutes', 15, '2026-09-01T08:00:00.000Z'],
  ]);
  expect(learnerOf(all(one, two, page('c', 'learner', [['minutes', 30]], 'tam')), 'mirel')).toEqual({
    id: 'a',
    minutes: 2,
    gentle: false,
    countsFor: [],
  });
  expect(learnerOf({}, 'mirel')).toEqual({ id: undefined, minutes: 5, gentle: false, countsFor: [] });
});

test('only one’s own sittings count, and only what was looked at often enough tells a rate', () => {
  const pages = all(
    page('mine', 'practice', [
      [
        'answers',
        [
          ...read('volva', 'sac', 'none', 6),
          ...read('volva', 'sac', 'sac', 14),
          ...read('veil', 'hanging', 'none', 4),
        ],
      ],
    ]),
    page('theirs', 'practice', [['answers', read('veil', 'hanging', 'none', 40)]], 'tam'),
  );
  expect(sittingsOf(pages, 'mirel')).toHaveLength(1);
  const rates = misreadRates(pages, 'mirel');
  expect([...rates.keys()]).toEqual(['volva']);
  // 6 of 20, drawn towards one in twenty: 6.5 of 30.
  expect(rates.get('volva')).toBeCloseTo(6.5 / 30, 6);
});

const pictures = picturesBy(plates);
test('cards fit into the minutes, what grows nearby comes first, a child’s set decides nothing', () => {
  const soon = new Map<string, 1 | 2>([['cantharellus-cibarius', 1]]);
  const ask = (minutes: number, gentle = false) =>
    cardsNow(
      {
        history: historyOf(guide, []),
        soon,
        learner: { id: undefined, minutes, gentle, countsFor: [] },
        now: NOW,
      },
      pictures,
    );
  expect(ask(2).length).toBeLessThanOrEqual(2 * A_MINUTE);
  expect(
    ['cortinarius-orellanus', 'cortinarius-rubellus'].map((other) =>
      pairCard('cantharellus-cibarius', other),
    ),
  ).toContain(ask(2)[0]);
  expect(ask(15, true).some((id) => id.startsWith('pair:'))).toBe(false);
  expect(ask(15, true).length).toBeGreaterThan(5);
  expect([
    aboutSoon(pairCard('cantharellus-cibarius', 'x-y'), soon),
    aboutSoon(featureCard('cap.shape'), soon),
  ]).toEqual([1, 0]);
  // What the next walk is for comes before what only stands around.
  expect(
    cardsNow(
      {
        history: historyOf(guide, []),
        soon: new Map<string, 1 | 2>([
          ['cantharellus-cibarius', 1],
          ['boletus-edulis', 2],
        ]),
        learner: { id: undefined, minutes: 2, gentle: false, countsFor: [] },
        now: NOW,
      },
      pictures,
    )[0],
  ).toMatch(/^pair:boletus-edulis:/);
  expect(WANTED.length).toBeGreaterThan(20);
  // What went wrong outdoors is practised, whatever it belongs to.
  const outdoors = featureCard('twig.snap');
  const history = historyOf(
    guide,
    [],
    [{ card: outdoors, at: '2026-08-01T08:00:00.000Z', kind: 'field-wrong', dangerous: false }],
  );
  expect(
    cardsNow(
      { history, soon, learner: { id: undefined, minutes: 2, gentle: false, countsFor: [] }, now: NOW },
      pictures,
    ),
  ).toContain(outdoors);
});

test('says how one stands with a pair, and how long ago', () => {
  const card = pairCard('cantharellus-cibarius', 'cortinarius-rubellus');
  const days = [0, 1, 4, 12, 35, 80].map((day) =>
    new Date(NOW.getTime() - (90 - day) * 86_400_000).toISOString(),
  );
  const history = historyOf(guide, [
    { answers: days.map((at) => ({ card, at, right: true, sureness: 'sure' as const })) },
  ]);
  const { card: known, earned } = pairStanding(history, 'cantharellus-cibarius', 'cortinarius-rubellus', NOW);
  expect(earned).toBe(true);
  expect(practisedWords(known, earned, NOW)).toBe(
    'You last practised this pair ten days ago, and have passed it.',
  );
  expect(practisedWords(undefined, false, NOW)).toBe('You have never practised this pair.');
  const ago = (day: number) => agoWords(new Date(NOW.getTime() - day * 86_400_000).toISOString(), NOW);
  expect([ago(0), ago(1), ago(5), ago(20), ago(152), ago(1100), ago(-3)]).toEqual([
    'today',
    'yesterday',
    'five days ago',
    'three weeks ago',
    'five months ago',
    'three years ago',
    'today',
  ]);
});

test('a practice find is judged fairly: no praise for luck, no blame for what nobody could know', () => {
  const [is, hoped] = [guide.taxon('omphalotus-olearius'), guide.taxon('cantharellus-cibarius')];
  if (!is || !hoped) throw new Error('no taxa');
  const words = (more: object, decided: 'collect' | 'leave' | 'not-yet', was = false) =>
    resultWords({ was, could: was, risked: 'none', open: undefined, ...more }, decided, {
      is: was ? hoped : is,
      hoped,
    });
  expect(words({ risked: 'serious' }, 'collect')).toMatchObject({
    tone: 'bad',
    why: expect.stringContaining('is serious. It would have been in the basket.') as string,
  });
  expect(words({ open: 'cortinarius-rubellus' }, 'collect', true)).toMatchObject({
    tone: 'bad',
    line: 'It was chanterelle, this time',
  });
  expect(words({}, 'collect', true)).toMatchObject({ tone: 'good' });
  expect(words({}, 'leave')).toMatchObject({ tone: 'good', why: 'You left what would have done harm.' });
  expect(words({ could: false }, 'leave', true)).toMatchObject({ tone: 'good' });
  expect(words({}, 'leave', true)).toMatchObject({ tone: 'even' });
  expect(words({}, 'not-yet')).toMatchObject({
    tone: 'even',
    why: 'Nothing was taken, and nothing was settled.',
  });
  expect([pointsWords(10), pointsWords(-100), pointsWords(0), pointsWords(-0.34)]).toEqual([
    '+10',
    '−100',
    '0',
    '−0.3',
  ]);
});

test('names its cards and lessons', () => {
  expect(
    [
      pairCard('cantharellus-cibarius', 'cortinarius-rubellus'),
      featureCard('cap.shape'),
      termCard('cap.shape', 'flat'),
      stagesCard('macrolepiota-procera'),
      'nonsense',
    ].map((id) => cardName(id)),
  ).toEqual([
    'Chanterelle and deadly webcap',
    'Shape of the cap',
    'Shape of the cap: flat',
    'Parasol through the year',
    'nonsense',
  ]);
  expect(
    lessonsOf(
      all(
        page('l2', 'lesson', [['title', 'Beeches']]),
        page('l1', 'lesson', [['title', 'Alders']]),
        page('p', 'place', [['name', 'x']]),
      ),
    ).map(({ fields }) => fields.title),
  ).toEqual(['Alders', 'Beeches']);
});
