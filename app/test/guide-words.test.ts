import './guide';
import { decide, type Case } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { guide } from '../src/deciding/guide';
import { numberProblem } from '../src/screens/check/answers/numberProblem';
import { monthsOf, usualIn } from '../src/text/months';
import { cautionFor, openNameWords, readingWords } from '../src/text/names';
import { aroundLine } from '../src/text/strip';

const ramsons = guide.taxon('allium-ursinum')!.taxon;

describe('when a taxon is about', () => {
  test('ramsons: leaves in spring, nothing in autumn', () => {
    expect([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].filter((month) => usualIn(ramsons, month))).toEqual([
      2, 3, 4, 5, 6, 7,
    ]);
    expect(monthsOf(ramsons, 'vegetative' as never)).toEqual([
      'February to April, up to 800\u00A0m',
      'April to May, 800 to 1200\u00A0m',
    ]);
    expect(monthsOf(ramsons, 'old' as never)).toEqual([]);
  });

  test('a season may go over the end of the year, and what the guide does not say may be any time', () => {
    const winter = {
      ...ramsons,
      phenology: [
        {
          stage: 'mature' as never,
          elevation: [0, 900] as [number, number],
          months: [11, 2] as [number, number],
        },
      ],
    };
    expect([10, 11, 12, 1, 2, 3].map((month) => usualIn(winter, month))).toEqual([
      false,
      true,
      true,
      true,
      true,
      false,
    ]);
    const { phenology: _, ...unsaid } = ramsons;
    expect(usualIn(unsaid, 9)).toBe(true);
  });
});

describe('numbers that cannot be', () => {
  test.each([
    ['', 'cap.width', 'measure', 'mm', undefined],
    ['12', 'cap.width', 'measure', 'mm', undefined],
    ['4,5', 'cap.width', 'measure', 'cm', undefined],
    ['-1', 'cap.width', 'measure', 'mm', 'Give a number, like 12 or 4.5.'],
    [
      '1e9',
      'cap.width',
      'measure',
      'mm',
      'Nothing in the guide comes near that; the largest is 90 cm. Check the number and the unit.',
    ],
    [
      '500',
      'cap.width',
      'measure',
      'in',
      'Nothing in the guide comes near that; the largest is 90 cm. Check the number and the unit.',
    ],
    ['7', 'flower.petals', 'count', 'mm', undefined],
    ['7.5', 'flower.petals', 'count', 'mm', 'A count is a whole number.'],
    ['9999', 'flower.petals', 'count', 'mm', 'Nothing in the guide has more than 32. Check the number.'],
  ] as const)('"%s" of %s', (text, character, kind, unit, problem) => {
    expect(numberProblem(text, character as never, kind, unit)).toBe(problem);
  });
});

describe('words for what was read and what is open', () => {
  test.each([
    [{ kind: 'count', number: 40, orMore: true }, 'umbel.rays', '40 or more'],
    [{ kind: 'count', number: 5 }, 'flower.petals', '5'],
    [{ kind: 'measure', number: 63, unit: 'mm', error: 4 }, 'cap.width', '63 mm, give or take 4'],
    [{ kind: 'cant-tell' }, 'cap.width', 'Could not tell'],
  ] as const)('%j', (value, character, words) =>
    expect(readingWords({ value, character: character as never })).toBe(words),
  );

  test('names that stay open', () => {
    expect(openNameWords({ kind: 'genus', name: 'Russula' })).toBe('genus Russula only');
    expect(
      openNameWords({ kind: 'one-of', taxa: ['vaccinium-myrtillus', 'vaccinium-uliginosum'] as never }),
    ).toBe('bilberry or bog bilberry');
  });

  test('every caution of the guide says whom it is for, in words', () => {
    const all = new Set(guide.taxa.flatMap((t) => t.taxon.cautions.map((c) => c.for)));
    for (const id of all) expect(cautionFor(id)).toMatch(/^(For|In|With|When) [a-z ]+|^With medicine: /);
  });
});

describe('what not telling costs', () => {
  const find = (context: Case['context']) =>
    decide(
      guide,
      parseCase(
        {
          guide: { id: 'ostrel' },
          kingdom: 'Fungi',
          target: 'cantharellus-cibarius',
          pieces: [{ id: 'p1', startedAt: '2026-09-14T08:00:00.000Z', purpose: 'decide' }],
          readings: [],
          context,
        },
        guide,
      ),
    );
  const answered = {
    stages: ['mature'],
    condition: 'fresh',
    part: 'cap',
    use: 'food',
    permission: 'allowed',
    contamination: 'none-seen',
    protection: 'allowed',
  } as unknown as Case['context'];
  const [part] = guide.taxon('cantharellus-cibarius')!.taxon.parts;

  test('names what is missing, and that each alone keeps it at pause', () => {
    const { permission: _p, contamination: _c, ...rest } = { ...answered, part: part!.part, use: part!.use };
    expect(aroundLine(find(rest))).toBe(
      'Still open: permission and what spoils the place. Each alone keeps it at pause.',
    );
    expect(aroundLine(find({ ...rest, contamination: 'none-seen' }))).toBe(
      'Still open: permission. That alone keeps it at pause.',
    );
  });

  test('says the next thing where all is answered, and why where it is left', () => {
    expect(aroundLine(find({ ...answered, part: part!.part, use: part!.use }))).not.toMatch(/^Still open/);
    expect(aroundLine(find({ ...answered, part: part!.part, use: part!.use, permission: 'forbidden' }))).toBe(
      'Picking is not allowed here.',
    );
  });
});
