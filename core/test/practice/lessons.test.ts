import * as fc from 'fast-check';
import { decide } from '../../src';
import { identify } from '../../src/advice/identify';
import { pieceCheck } from '../../src/advice/pieces';
import {
  LearnerFields,
  PracticeFields as PracticeSchema,
  LessonFields,
} from '../../src/notebook/page/practice';
import { lessonFile, pairsOf, termCard } from '../../src/practice';
import { readLesson } from '../../src/practice/readLesson';
import { followChecks, guide } from '../finds';
import { answered, PAIR } from './kit';

describe('own misread rates', () => {
  const follow = followChecks('cantharellus-cibarius');
  const some = { ...follow, readings: follow.readings.slice(0, 4) };
  const { target: _, ...unnamed } = some;
  const always = new Map<string, number>(guide.characters.map(({ id }) => [id, 0.4]));

  test('order what a find may be, and never decide', () => {
    const [usual, own] = [identify(guide, unnamed, {}), identify(guide, unnamed, { misread: always })];
    expect(own.candidates[0]!.probability).toBeLessThan(usual.candidates[0]!.probability);
    expect(own.candidates.map(({ taxon: id }) => id).sort()).toEqual(
      usual.candidates.map(({ taxon: id }) => id).sort(),
    );
    expect(identify(guide, unnamed as never, { misread: new Map() })).toEqual(usual);
    expect(own.candidates.reduce((sum, { probability }) => sum + probability, own.none)).toBeCloseTo(1, 9);
  });

  test('change the chance that a stray slips through the piece check, and never which checks are needed', () => {
    const [usual, own] = [pieceCheck(guide, follow), pieceCheck(guide, follow, {}, always)];
    if (!usual.feasible || !own.feasible) throw new Error('no piece check');
    expect(own.checks.map(({ character }) => character).sort()).toEqual(
      usual.checks.map(({ character }) => character).sort(),
    );
    expect(own.slips.at(-1)!.share).toBeGreaterThan(usual.slips.at(-1)!.share);
  });
});

describe('earned pairs as a group’s rule', () => {
  const find = followChecks('cantharellus-cibarius');
  const deadly = decide(guide, find)
    .rows.filter((row) => row.listed && row.grade === 'deadly')
    .map(({ taxon: id }) => id);
  const under = (earned: string[] | undefined, practised: object[]) =>
    decide(guide, {
      ...find,
      ...(earned ? { policy: { earned } } : {}),
      context: { ...find.context, practised },
    } as never);

  test('only makes it stricter: where required it pauses until each pair is earned; else nothing changes', () => {
    expect(under(undefined, []).outcome).toBe('collect');
    expect(deadly.length).toBeGreaterThan(0);
    expect(under(['deadly'], [])).toMatchObject({ outcome: 'pause' });
    expect(under(['deadly'], []).reasons).toContainEqual({
      weight: 'pause',
      code: 'not-earned',
      taxa: deadly,
    });
    expect(
      under(
        ['deadly'],
        deadly.map((id) => ({ taxon: id, earned: true, last: '2026-09-01' })),
      ).outcome,
    ).toBe('collect');
    expect(
      under(
        ['deadly'],
        deadly.slice(1).map((id) => ({ taxon: id, earned: true })),
      ).reasons,
    ).toContainEqual({ weight: 'pause', code: 'not-earned', taxa: [deadly[0]] });
    expect(
      under(
        ['deadly'],
        deadly.map((id) => ({ taxon: id, earned: false })),
      ).outcome,
    ).toBe('pause');
    // However well it is known, it fills no bar.
    fc.assert(
      fc.property(fc.integer({ min: 0, max: find.readings.length }), (few) => {
        const less = { ...find, readings: find.readings.slice(0, few) };
        const [bare, practised] = [
          decide(guide, less),
          decide(guide, {
            ...less,
            context: { ...less.context, practised: deadly.map((id) => ({ taxon: id, earned: true })) },
          }),
        ];
        expect(practised).toEqual(bare);
      }),
    );
  });
});

describe('lessons', () => {
  const fields = {
    title: 'White gills',
    note: 'Dig it out.',
    pairs: [{ target: 'agaricus-campestris', other: 'amanita-virosa', note: 'The base.' }],
  } as never;

  test('go out as open JSON and come back as they were', () => {
    const text = JSON.stringify(lessonFile(guide, fields));
    expect(readLesson(text)).toEqual({
      file: {
        format: 'pause-lesson',
        version: 1,
        guide: { id: guide.guide.id, version: guide.version },
        lesson: fields,
      },
    });
  });

  test.each([
    ['no JSON', '{', 'file'],
    ['another format', JSON.stringify({ format: 'cards', version: 1 }), 'format'],
    ['a later version', JSON.stringify({ ...lessonFile(guide, fields), version: 2 }), 'version'],
    [
      'a pair without its other',
      JSON.stringify({ ...lessonFile(guide, fields), lesson: { title: 'A', pairs: [{ target: 'a-b' }] } }),
      'lesson.pairs[0].other',
    ],
    [
      'no name',
      JSON.stringify({ ...lessonFile(guide, fields), lesson: { title: ' ', pairs: [] } }),
      'lesson.title',
    ],
    [
      'a picture that is none',
      JSON.stringify({
        ...lessonFile(guide, fields),
        lesson: { title: 'A', pairs: [], photos: [{ taxon: 'a-b', image: 'http://x' }] },
      }),
      'lesson.photos[0].image',
    ],
  ])('%s is refused by the name of the field', (_name, text, field) => {
    const read = readLesson(text);
    expect('problems' in read && read.problems.map((one) => one.field)).toContain(field);
  });

  test('taxa that this guide does not have stay in it, and are named and passed over', () => {
    const shared = {
      ...(fields as object),
      pairs: [
        ...(fields as { pairs: object[] }).pairs,
        { target: 'agaricus-campestris', other: 'amanita-nowhere' },
        { target: 'boletus-edulis', other: 'boletus-edulis' },
      ],
    };
    expect(readLesson(JSON.stringify({ ...lessonFile(guide, shared as never) }))).toHaveProperty(
      'file.lesson.pairs.length',
      3,
    );
    const { known: pairs, unknown } = pairsOf(guide, shared as never);
    expect(pairs.map(({ target, other }) => [target.id, other.id])).toEqual([
      ['agaricus-campestris', 'amanita-virosa'],
    ]);
    expect(unknown).toEqual(['amanita-nowhere']);
  });

  test('what is recorded of practice is checked by name', () => {
    const wrong = (
      schema: {
        safeParse: (value: unknown) => { success: boolean; error?: { issues: { path: PropertyKey[] }[] } };
      },
      value: unknown,
    ) => schema.safeParse(value).error?.issues[0]?.path.join('.');
    expect(wrong(LearnerFields.partial() as never, { minutes: 0 })).toBe('minutes');
    expect(wrong(LearnerFields.partial() as never, { minutes: 2.5 })).toBe('minutes');
    expect(
      wrong(PracticeSchema.partial() as never, { answers: [{ ...answered(PAIR, 0), card: 'nonsense' }] }),
    ).toBe('answers.0.card');
    expect(wrong(PracticeSchema.partial() as never, { on: '14 September' })).toBe('on');
    expect(
      wrong(LessonFields.partial() as never, {
        pairs: Array.from({ length: 41 }, () => ({ target: 'a-b', other: 'c-d' })),
      }),
    ).toBe('pairs');
    expect(termCard('cap.shape', 'flat')).toBe('term:cap.shape:flat');
  });
});
