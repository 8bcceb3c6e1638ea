/**
 * What stands in the pantry, what labels and sheets say, what is found again on the device, and files in and
 * out.
 */
import 'fake-indexeddb/auto';
import { parse } from 'csv-parse/sync';
import { decide, type Entry, type FindRecord, type PageRecord } from '@pause/core';
import { toDarwinCore, occurrencesOf, OCCURRENCE_TERMS, tableOf, toTable } from '@pause/core/formats/logbook';
import { learnedYield } from '@pause/core/harvest/preparing';
import { parseEntry } from '@pause/core/notebook';
import type { BatchFields } from '@pause/core/pantry';
import { type ChangedGround, couldBe } from '@pause/core/pantry/recall';
import { mealReminders } from '@pause/core/pantry/tasting';
import { followChecks } from '../../core/test/finds';
import './guide';
import { guide } from '../src/deciding/guide';
import {
  gramsIn,
  hadBefore,
  leftIn,
  ownYields,
  pantryOf,
  placesOf,
  wholeGrams,
} from '../src/notebook/pantry';
import { recalledOf, recallKey } from '../src/notebook/recalls';
import { yieldsOf } from '../src/screens/harvest/questionOf';
import { bestBeforeOf, keepsFor, spoilsFor, stepsOf, yieldFor } from '../src/screens/pantry/batch';
import { daysWords } from '../src/screens/pantry/batchStyles';
import { choicesOf } from '../src/screens/pantry/choicesOf';
import { amountOf, WHOLE, type Choice } from '../src/screens/pantry/Choose';
import { linesOf } from '../src/screens/pantry/LabelsScreen';
import { portionWords } from '../src/screens/pantry/PantryParts';
import { matches } from '../src/screens/pantry/PantryScreen';
import { wrapped } from '../src/screens/pantry/pdf';
import { namesOf } from '../src/screens/pantry/portionKinds';
import { findsBehind, sheetOf } from '../src/screens/pantry/sheet';
import { settled } from '../src/screens/pantry/Sums';
import { leftWords, nextTimer } from '../src/screens/pantry/Timers';
import { amountWords, mealReminderWords, refusalWords, stepWords } from '../src/text/pantry';
import { isoDayName } from '../src/text/places';
import { causeWords, measureWords } from '../src/text/recalls';

jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/400Regular', () => ({
  AtkinsonHyperlegibleNext_400Regular: 'regular.ttf',
}));
jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold', () => ({
  AtkinsonHyperlegibleNext_600SemiBold: 'bold.ttf',
}));

const AT = '2026-09-14T08:00:00.000Z';
const page = (
  id: string,
  kind: string,
  fields: Record<string, unknown>,
  person = 'mirel',
  group?: string,
): PageRecord =>
  ({
    id,
    kind,
    at: AT,
    person,
    ...(group === undefined ? {} : { group }),
    sightings: [],
    told: Object.entries(fields).map(([field, value]) => ({
      id: `${id}-${field}`,
      at: AT,
      by: person,
      of: kind,
      field,
      value,
    })),
  }) as unknown as PageRecord;
const CHANTERELLE = { taxon: 'cantharellus-cibarius', part: 'fruiting-body' };
const all = (pages: readonly PageRecord[]) => pantryOf(Object.fromEntries(pages.map((one) => [one.id, one])));
const PAGES = [
  page('place-one', 'place', { name: 'Karrow spring' }),
  page('harvest-one', 'harvest', {
    find: 'find-0001',
    place: 'place-one',
    ...CHANTERELLE,
    on: '2026-09-14',
    taken: { amount: 500, unit: 'g' },
    bag: 'Basket',
  }),
  page('batch-dried', 'batch', {
    name: 'Chanterelles, dried',
    from: [{ of: 'harvest', id: 'harvest-one', amount: { amount: 400, unit: 'g' } }],
    contents: [CHANTERELLE],
    method: 'dry',
    on: '2026-09-14',
    made: { amount: 44, unit: 'g' },
    readyOn: '2026-09-21',
    steps: [
      { step: 'specimen', at: AT, leftOut: 'The cat took it.' },
      { step: 'cut-thin', at: AT },
    ],
  }),
  page('batch-soup', 'batch', {
    name: 'Soup',
    from: [{ of: 'batch', id: 'batch-dried', amount: { amount: 14, unit: 'g' } }],
    contents: [CHANTERELLE],
    method: 'cook',
    on: '2026-09-22',
    cooked: { how: 'boil', minutes: 25 },
  }),
  page('meal-one', 'portion', {
    what: 'meal',
    at: AT,
    of: [{ of: 'batch', id: 'batch-dried', amount: { amount: 10, unit: 'g' } }],
    who: ['Lune', 'Mirel'],
    signs: [{ at: AT, text: 'Lune, her stomach' }],
    cooked: { how: 'fry', minutes: 20 },
  }),
  page('gift-one', 'portion', {
    what: 'gift',
    at: AT,
    of: [{ of: 'batch', id: 'batch-dried', amount: { amount: 5, unit: 'g' } }],
    toWhom: 'Aunt Selke',
  }),
];
const pantry = all(PAGES);
const batch = (id: string) => {
  const one = pantry.batches.find((other) => other.id === id);
  if (!one) throw new Error(id);
  return one;
};
const found = (id: string, target: string): FindRecord => {
  const find = followChecks(target);
  return {
    id,
    number: 7,
    startedAt: AT,
    kingdom: find.kingdom,
    person: 'mirel',
    placeNote: 'By the spring',
    pieces: find.pieces,
    targets: [{ taxon: find.target, at: AT, id: `${id}-target` }],
    told: [],
    context: find.context,
    readings: find.readings,
    withdrawals: [],
    skips: [],
    verdicts: [{ id: `${id}-verdict`, at: AT, verdict: decide(guide, find) }],
    decisions: [{ id: `${id}-decision`, at: AT, verdict: `${id}-verdict`, choice: 'collect', by: 'mirel' }],
    edits: [],
    consents: [],
    asks: [],
    reveals: [],
    pictures: [],
    drops: [],
    counted: [],
  } as unknown as FindRecord;
};

describe('the pantry', () => {
  test('knows what is left, what went in, where it comes from, and what is called so', () => {
    expect(leftIn(pantry, batch('batch-dried'))).toEqual({ amount: 15, unit: 'g' });
    expect(leftIn(pantry, batch('batch-soup'))).toBeUndefined();
    expect(gramsIn(pantry, batch('batch-dried').fields.from ?? [], 'batch-dried')).toBe(400);
    expect(wholeGrams(pantry, { of: 'harvest', id: 'harvest-one' })).toBe(500);
    // What goes in without an amount is what nobody else took.
    expect(gramsIn(pantry, [{ of: 'harvest', id: 'harvest-one' }], 'batch-new')).toBe(100);
    expect(gramsIn(pantry, [{ of: 'batch', id: 'batch-dried' }], 'batch-new')).toBe(15);
    expect(gramsIn(pantry, [{ of: 'harvest', id: 'nowhere' }], 'batch-new')).toBeUndefined();
    expect(gramsIn(pantry, [], 'batch-new')).toBeUndefined();
    expect(placesOf(pantry, 'batch-soup')).toEqual(['Karrow spring']);
    for (const text of ['dried', 'cantharellus', 'karrow', 'chanterelle DRIED'])
      expect(matches(batch('batch-dried'), text, ['Karrow spring'])).toBe(true);
    expect(matches(batch('batch-dried'), 'bilberry')).toBe(false);
    expect(pantry.portions.map((one) => portionWords(pantry, one))).toEqual(
      expect.arrayContaining([
        'Chanterelles, dried, eaten by Lune, Mirel',
        'Chanterelles, dried, given to Aunt Selke',
      ]),
    );
  });
  test('own batches say what is left of the weight, and what is in the pantry is taken off the need', () => {
    expect(ownYields(pantry, CHANTERELLE.taxon, CHANTERELLE.part, 'dry')).toEqual([{ in: 400, out: 44 }]);
    expect(yieldFor(pantry, batch('batch-dried').fields)).toEqual(learnedYield(0.1, [{ in: 400, out: 44 }]));
    const chanterelle = guide.taxon(CHANTERELLE.taxon);
    if (!chanterelle) throw new Error('no chanterelle');
    expect(
      yieldsOf(pantry, { kingdom: 'Fungi', part: chanterelle.taxon.parts[0] }, chanterelle.id).map(
        ({ label, batches, inStore }) => [label, batches, inStore],
      ),
    ).toEqual([
      ['As it is', 0, 0],
      ['Cooked', 0, 0],
      ['Dried', 1, 15],
    ]);
  });
  test('offers what there is, and not what is in question or all used', () => {
    expect(choicesOf(pantry, new Set()).map(({ source, not }) => [source.id, not])).toEqual([
      ['harvest-one', undefined],
      ['batch-soup', undefined],
      ['batch-dried', undefined],
    ]);
    expect(choicesOf(pantry, new Set()).find(({ source }) => source.id === 'harvest-one')).toMatchObject({
      left: { amount: 100, unit: 'g' },
      line: expect.stringMatching(/100.g left$/) as unknown,
    });
    const rest = all([
      ...PAGES,
      page('batch-rest', 'batch', {
        name: 'The rest',
        from: [{ of: 'harvest', id: 'harvest-one', amount: { amount: 100, unit: 'g' } }],
        contents: [CHANTERELLE],
        method: 'freeze',
        on: '2026-09-15',
      }),
    ]);
    expect(choicesOf(rest, new Set()).map(({ source }) => source.id)).not.toContain('harvest-one');
    expect(
      choicesOf(pantry, new Set(['harvest-one'])).find(({ source }) => source.id === 'harvest-one')?.not,
    ).toBe('The find does not stand any more.');
    const stray = all([
      ...PAGES,
      page('harvest-two', 'harvest', {
        find: 'find-0002',
        ...CHANTERELLE,
        on: '2026-09-14',
        sorting: { pieces: 9, found: [1], now: 0, grades: ['deadly'] },
      }),
    ]);
    expect(choicesOf(stray, new Set()).find(({ source }) => source.id === 'harvest-two')?.not).toMatch(
      /^It is put aside/,
    );
  });
  test('an amount that was not said is not all of it: it is asked for', () => {
    const known = {
      source: { of: 'harvest', id: 'h' },
      name: '',
      line: '',
      contents: [],
      group: undefined,
      left: { amount: 300, unit: 'g' },
    } as Choice;
    expect(amountOf(known, ' ').problem).toBeDefined();
    expect(amountOf(known, '120,5').source.amount).toEqual({ amount: 120.5, unit: 'g' });
    expect(amountOf(known, WHOLE).source.amount).toEqual({ amount: 300, unit: 'g' });
    expect(amountOf(known, '301').problem).toBe('no more than the 300 grams that are left');
    expect(amountOf({ ...known, left: undefined }, WHOLE)).toEqual({ source: known.source });
  });
  test('a label says what it is, what has to be done still, and what was left out', () => {
    expect(linesOf(batch('batch-dried'), pantry, 'Mirel')).toEqual([
      'Chanterelles, dried',
      'Cantharellus cibarius, whole mushroom',
      `dried, ${isoDayName('2026-09-14')}`,
      'Karrow spring',
      'Mirel',
      'Keep cool and dark',
      'Cook it before it is eaten',
      'Left out: Keep one whole specimen aside. The cat took it.',
      'TCHDRIED',
    ]);
  });
  test('an oil says when to strain it, where it stands until then, and to keep the skin out of the sun; what was dried before is not wilted', () => {
    const FLOWERS = { taxon: 'hypericum-perforatum', part: 'flower' };
    const oil = (from: string, more: object = {}) =>
      page('batch-oil', 'batch', {
        name: 'Oil',
        from: [{ of: 'batch', id: from }],
        contents: [FLOWERS],
        method: 'infused-oil',
        on: '2026-07-01',
        ...more,
      });
    const shelf = (...batches: PageRecord[]) =>
      all([
        page('batch-flowers', 'batch', {
          name: 'Flowers',
          from: [{ of: 'harvest', id: 'h' }],
          contents: [FLOWERS],
          method: 'dry',
          on: '2026-06-24',
        }),
        ...batches,
      ]);
    const of = (pages: ReturnType<typeof all>) => {
      const one = pages.batches.find(({ id }) => id === 'batch-oil');
      if (!one) throw new Error('no oil');
      return linesOf(one, pages, '');
    };
    expect(of(shelf(oil('batch-flowers')))).toEqual(
      expect.arrayContaining([
        'Stands in the light, covered with a cloth',
        `Strain it on ${isoDayName('2026-07-29')}`,
        'For whole skin only, not for eating',
        'Keep oiled skin out of the sun.',
      ]),
    );
    const ready = of(
      shelf(oil('batch-flowers', { made: { amount: 200, unit: 'ml' }, readyOn: '2026-07-30' })),
    );
    expect(ready).toContain('Keep cool and dark');
    expect(ready.some((line) => line.startsWith('Strain it'))).toBe(false);
    const steps = (pages: ReturnType<typeof all>) =>
      stepsOf(pages.batches.find(({ id }) => id === 'batch-oil')?.fields ?? {}, pages).map(
        ({ code }) => code,
      );
    expect(steps(shelf(oil('batch-flowers')))).not.toContain('wilt');
    expect(steps(shelf(oil('harvest-elsewhere')))).toContain('wilt');
  });
  test('at a meal children and everybody for whom it is new are reminded', () => {
    expect([...hadBefore(pantry, 'Lune')]).toEqual(['cantharellus-cibarius']);
    const minds = (name: string) => (name === 'Lune' ? ['child'] : []);
    const words = mealReminders({
      who: ['Lune', 'Osk'],
      minds,
      taxa: ['cantharellus-cibarius', 'cantharellus-cibarius'],
      hadBefore: (name) => hadBefore(pantry, name),
    }).map(mealReminderWords);
    expect(words).toEqual([
      expect.stringMatching(/^Lune is a child: give little/),
      expect.stringMatching(/^chanterelle is new to Osk, .*a day of waiting before more\.$/),
    ]);
  });
  test('several kinds in one have the steps of all, and keep as long as the shortest', () => {
    const mixed: Partial<BatchFields> = {
      method: 'dry',
      from: [{ of: 'harvest', id: 'x' }],
      contents: [
        CHANTERELLE,
        { taxon: 'morchella-esculenta', part: 'fruiting-body' },
      ] as BatchFields['contents'],
    };
    const steps = stepsOf(mixed, pantry);
    expect(steps.at(-1)?.code).toBe('label');
    expect(stepsOf({ ...mixed, added: [{ id: 'own-one', text: 'String them up' }] }, pantry).at(-2)).toEqual({
      id: 'own-one',
      code: 'own',
      text: 'String them up',
      required: false,
    });
    expect(steps.map(({ id }) => id)).toContain('morchella-esculenta-guide-1');
    expect(spoilsFor(mixed)).toEqual(['damp-mould', 'still-cook']);
    expect(keepsFor({ ...mixed, method: 'pickle', figures: { acid: 1 } })?.days).toBe(4);
    expect(bestBeforeOf('2026-02-27', { days: 4, store: 'fridge' })).toBe('2026-03-03');
  });
  test('what is weighed decides whether it keeps', () => {
    expect(settled('syrup', { liquidGrams: 350, sugarGrams: 650 }).sugarShare).toBeCloseTo(0.65, 9);
    expect(settled('syrup', { sugarShare: 0.7, sugarGrams: 650 })).toEqual({ sugarGrams: 650 });
    expect(settled('pickle', { liquidMl: 500, vinegar: 5, waterMl: 500 }).acid).toBeCloseTo(2.5, 9);
    expect(settled('ferment', { plantGrams: 900, waterMl: 100, saltGrams: 25 }).saltShare).toBeCloseTo(
      0.025,
      9,
    );
    expect(settled('dry', { fresh: true })).toEqual({ fresh: true });
  });
});

describe('words', () => {
  test('amounts, days and timers as people say them', () => {
    expect(
      [
        { amount: 1234, unit: 'g' },
        { amount: 1150, unit: 'ml' },
        { amount: 1, unit: 'piece' },
        { amount: 12.34, unit: 'g' },
      ].map((one) => amountWords(one as never)),
    ).toEqual(['1.23 kg', '1.15 l', '1 piece', '12.3 g'].map((one) => one.replace(' ', '\u00A0')));
    expect([1, 4, 14, 90, 365, 1095].map(daysWords)).toEqual([
      'a day',
      '4 days',
      'two weeks',
      '3 months',
      'a year',
      '3 years',
    ]);
    expect([0.5, 12.5, 200, 40_000].map(leftWords)).toEqual(['0:30', '12:30', '4 hours', '28 days']);
    expect(
      nextTimer(
        {
          timers: [
            { id: 't1', step: 'x', startedAt: AT, minutes: 20 },
            { id: 't2', step: 'y', startedAt: AT, minutes: 90 },
          ],
        },
        new Date('2026-09-14T08:05:00Z'),
      ),
    ).toBe('15:00 to go');
    expect(
      nextTimer(
        { timers: [{ id: 't1', step: 'x', startedAt: AT, minutes: 20 }] },
        new Date('2026-09-14T09:05:00Z'),
      ),
    ).toBe('a timer is done');
    expect(nextTimer({}, new Date())).toBeUndefined();
    expect(namesOf('Mirel Aschkar', ['Lune', 'Mirel'])).toEqual(['Lune', 'Mirel']);
    expect(namesOf('Jorun Halvad', ['Lune'])).toEqual(['Jorun Halvad', 'Lune']);
    expect(stepWords({ code: 'cook-through', minutes: 15 })).toBe('Cook it right through (15 minutes)');
    expect(stepWords({ code: 'skin-trial', minutes: 1440 })).toMatch(/\(24 hours\)$/);
    expect(refusalWords({ code: 'never', why: 'Because.' })).toBe('Because.');
    expect(causeWords({ code: 'stray', of: 'x', grade: 'deadly', touched: true }, 'Harvest')).toBe(
      'Harvest: it lay in one bag with a deadly stray.',
    );
    const recalled = {
      code: 'verdict',
      of: 'x',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
    } as const;
    expect(causeWords({ ...recalled, grade: 'none' }, 'Find')).toMatch(
      /the verdict is pause\. Everything dangerous of the guide is still ruled out\.$/,
    );
    expect(measureWords({ measure: 'watch', causes: [{ ...recalled, grade: 'none' }] })[1]).toBe(
      'Ask everybody who had some how they are.',
    );
    expect(measureWords({ measure: 'watch', causes: [recalled] })[1]).toMatch(
      /^It may have been a dangerous one: call the poison service now/,
    );
    const smell = {
      taxon: 'cortinarius-rubellus',
      character: 'smell',
      readBy: ['fungi'],
    } as unknown as ChangedGround;
    expect(causeWords({ ...recalled, changed: [smell] }, 'Find')).toMatch(
      /What the guide says of \S.* changed: smell\. Found by: a second reader, of the dangerous fungi\.$/,
    );
    expect(
      causeWords({ ...recalled, changed: [{ taxon: smell.taxon, readBy: [] }, smell, smell, smell] }, 'Find'),
    ).toMatch(/is new in the guide\. Found by whoever wrote it\. .* And two more\.$/);
  });
  test('lines are broken between words, and words that are too long are cut', () => {
    const width = (text: string) => text.length;
    expect(wrapped('one two three four', 9, width)).toEqual(['one two', 'three', 'four']);
    expect(wrapped('abcdefghijkl mn', 5, width)).toEqual(['abcde', 'fghij', 'kl mn']);
    expect(wrapped('', 5, width)).toEqual([]);
  });
});

describe('what no longer stands', () => {
  const cause = {
    code: 'verdict',
    of: 'find-0001',
    because: 'guide',
    outcome: 'pause',
    grade: 'deadly',
  } as const;
  test('is known again by its causes; what is gone is not spoken of, what was given is', () => {
    const hits = recalledOf(pantry, [cause]);
    expect(hits.map(({ id, measure }) => [id, measure])).toEqual([
      ['find-0001', 'hold'],
      ['harvest-one', 'hold'],
      ['batch-dried', 'hold'],
      ['batch-soup', 'hold'],
      ['meal-one', 'watch'],
      ['gift-one', 'warn'],
    ]);
    const ended = all([
      ...PAGES.filter(({ id }) => id !== 'batch-soup'),
      page('batch-soup', 'batch', {
        name: 'Soup',
        from: [{ of: 'batch', id: 'batch-dried' }],
        contents: [CHANTERELLE],
        method: 'cook',
        on: '2026-09-22',
        ended: { on: '2026-09-23', why: 'used-up' },
      }),
    ]);
    expect(recalledOf(ended, [cause]).map(({ id }) => id)).not.toContain('batch-soup');
    const [first] = hits;
    if (!first) throw new Error('nothing');
    expect(recallKey(first)).toBe(recallKey({ ...first, causes: [...first.causes] }));
    expect(recallKey(first)).not.toBe(recallKey({ ...first, causes: [{ ...cause, outcome: 'leave' }] }));
  });
  test('the sheet says all that whoever treats asks for', () => {
    expect(findsBehind(pantry.descent, 'meal-one')).toEqual(['find-0001']);
    expect(findsBehind(pantry.descent, 'find-0009')).toEqual(['find-0009']);
    const records = [found('find-0001', 'cantharellus-cibarius')];
    const sheet = sheetOf({
      id: 'meal-one',
      pantry,
      records,
      could: couldBe(records, guide),
      typed: { who: 'Lune, 9', when: '', amount: '', signs: '' },
      nameOf: (who) => who,
      printedAt: new Date(AT),
    });
    const text = sheet.parts.map(({ title, lines }) => `${title}: ${lines.join(' | ')}`).join('\n');
    for (const said of [
      'Cantharellus cibarius',
      'Cortinarius rubellus',
      'Omphalotus olearius',
      'Who: Lune, 9',
      'eaten by Lune, Mirel; 10\u00A0g; fried 20 minutes',
      'Lune, her stomach',
      'LEFT OUT: Keep one whole specimen aside (The cat took it.)',
      'By the spring',
      'Verdict: collect. Collected.',
      '(sure)',
      'deadly; orellanus: destroys the kidneys. Silent for two days',
      'serious · within 4 hours',
      'Ruled out by what was seen, if it was seen rightly.',
      'Nothing else of the guide that does harm is left',
    ])
      expect(text).toContain(said);
    expect(text).not.toContain('Not ruled out');
    const nothing = sheetOf({
      id: 'find-0009',
      pantry,
      records: [],
      could: [],
      typed: { who: '', when: '', amount: '', signs: '' },
      nameOf: (who) => who,
      printedAt: new Date(AT),
    });
    expect(nothing.parts.every(({ lines }) => lines.length > 0)).toBe(true);
    // Of nothing, or of what has no name, it is never said that nothing dangerous is like it.
    const instead = (of: readonly FindRecord[]) =>
      sheetOf({
        id: 'x',
        pantry,
        records: of,
        could: couldBe(of, guide),
        typed: { who: '', when: '', amount: '', signs: '' },
        nameOf: (who) => who,
        printedAt: new Date(AT),
      }).parts[1]?.lines ?? [];
    expect(instead([])).toEqual(['Not known: nothing is on record of it.']);
    const unnamed = { ...records[0], targets: [], readings: [] } as unknown as FindRecord;
    const lines = instead([unnamed]);
    expect(lines).toHaveLength(11);
    // The worst first.
    expect(
      lines
        .slice(0, 10)
        .map((line) => /: (deadly|serious)[;·  ].*\. Not ruled out by what was seen\.$/.exec(line)?.[1]),
    ).toEqual(Array<string>(10).fill('deadly'));
    expect(lines[0]).toContain('amatoxins');
    expect(lines[10]).toMatch(/^\d+ more of the guide that do harm are not ruled out either/);
    expect(
      sheetOf({
        id: 'x',
        pantry,
        records: [
          { ...unnamed, targets: [{ id: 't', at: AT, taxon: 'boletus-nowhere' }] } as unknown as FindRecord,
        ],
        could: [],
        typed: { who: '', when: '', amount: '', signs: '' },
        nameOf: (who) => who,
        printedAt: new Date(AT),
      }).parts[0]?.lines,
    ).toEqual(['boletus-nowhere, which this guide does not know.']);
    // What was taken for something that does harm says so.
    expect(
      sheetOf({
        id: 'x',
        pantry,
        records: [
          {
            ...unnamed,
            targets: [{ id: 't', at: AT, taxon: 'amanita-phalloides' }],
          } as unknown as FindRecord,
        ],
        could: [],
        typed: { who: '', when: '', amount: '', signs: '' },
        nameOf: (who) => who,
        printedAt: new Date(AT),
      }).parts[0]?.lines[0],
    ).toMatch(
      /^Death cap, Amanita phalloides, Amanitaceae; fruiting body; deadly; amatoxins: destroys the liver\. Silent for six/,
    );
  });
});

describe('files', () => {
  test('occurrences and table are read alike by another reader of CSV, in terms of Darwin Core', () => {
    const finds = [
      { ...found('find-0001', 'cantharellus-cibarius'), placeNote: 'A "quoted", place\nof two lines' },
    ];
    const rows = parse(toDarwinCore(occurrencesOf(finds, guide, () => 'Mirel Aschkar')), {
      columns: true,
    }) as Record<string, string>[];
    expect(rows).toHaveLength(1);
    expect(Object.keys(rows[0] ?? {})).toEqual([...OCCURRENCE_TERMS]);
    expect(rows[0]).toMatchObject({
      occurrenceID: 'find-0001',
      basisOfRecord: 'HumanObservation',
      occurrenceStatus: 'present',
      eventDate: AT,
      kingdom: 'Fungi',
      scientificName: 'Cantharellus cibarius',
      recordedBy: 'Mirel Aschkar',
      disposition: 'collected',
      locality: 'A "quoted", place\nof two lines',
      identificationVerificationStatus: 'collect',
    });
    const table = parse(toTable(tableOf(finds, PAGES)), { columns: true }) as Record<string, string>[];
    expect(table.map(({ kind }) => kind).sort()).toEqual([
      'batch',
      'batch',
      'find',
      'gift',
      'harvest',
      'meal',
    ]);
    expect(table.find(({ id }) => id === 'batch-dried')).toMatchObject({
      from: 'harvest:harvest-one=400 g',
      amount: '44',
      unit: 'g',
      method: 'dry',
    });
  });
  test('every term is one that Darwin Core has', () => {
    const DARWIN_CORE =
      'occurrenceID basisOfRecord occurrenceStatus eventDate kingdom family scientificName scientificNameAuthorship vernacularName taxonRank identificationVerificationStatus identificationRemarks lifeStage recordedBy locality decimalLatitude decimalLongitude geodeticDatum coordinateUncertaintyInMeters informationWithheld disposition occurrenceRemarks'.split(
        ' ',
      );
    for (const term of OCCURRENCE_TERMS) expect(DARWIN_CORE).toContain(term);
  });
  test('what a person told is an entry that any door takes', () => {
    const entry = {
      page: 'batch-one',
      kind: 'fields',
      body: {
        id: 'field-one',
        at: AT,
        by: 'mirel',
        of: 'batch',
        field: 'made',
        value: { amount: 3, unit: 'g' },
      },
    };
    expect('entry' in parseEntry(entry) && (parseEntry(entry) as { entry: Entry }).entry.kind).toBe('fields');
  });
});
