import { decide, expectedHere, nextChecks, type StageId } from '../src';
import { identify } from '../src/questions';
import { collectable, find, followChecks, goodContext, guide, taxon } from './finds';

const stated = (phenology: unknown) =>
  ({ ...taxon('boletus-edulis'), taxon: { ...taxon('boletus-edulis').taxon, phenology } }) as ReturnType<
    typeof taxon
  >;
const low = { stage: 'mature', elevation: [0, 800], months: [8, 10] };
const high = { stage: 'mature', elevation: [800, 1800], months: [7, 9] };
const MATURE = ['mature'] as unknown as StageId[];

describe('what month and height say', () => {
  test.each([
    [{ month: 9, elevation: 500 }, 'fits', 'fits'],
    [{ month: 11, elevation: 500 }, 'strains', 'fits'],
    [{ month: 2, elevation: 500 }, 'against', 'fits'],
    // July is usual up there, and a month too early below.
    [{ month: 7, elevation: 1500 }, 'fits', 'fits'],
    [{ month: 7, elevation: 500 }, 'strains', 'fits'],
    [{ month: 7 }, 'fits', 'silent'],
    [{ month: 8, elevation: 1900 }, 'fits', 'strains'],
    [{ month: 8, elevation: 2400 }, 'fits', 'against'],
    [{}, 'silent', 'silent'],
  ])('%j: season %s, height %s', (context, season, height) => {
    expect(expectedHere(stated([low, high]), MATURE, context)).toEqual({ season, height });
  });

  test('months run over the end of the year', () => {
    const winter = stated([{ stage: 'mature', elevation: [0, 1000], months: [11, 2] }]);
    expect([10, 11, 1, 2, 3, 6].map((month) => expectedHere(winter, MATURE, { month }).season)).toEqual([
      'strains',
      'fits',
      'fits',
      'fits',
      'strains',
      'against',
    ]);
  });

  test('nothing is expected where a recorded stage is not described', () => {
    expect(expectedHere(stated([low]), ['young', 'mature'] as unknown as StageId[], { month: 2 })).toEqual({
      season: 'silent',
      height: 'silent',
    });
    expect(expectedHere(stated(undefined), MATURE, { month: 2, elevation: 3000 })).toEqual({
      season: 'silent',
      height: 'silent',
    });
  });
});

describe('they raise doubts and nothing more', () => {
  const done = followChecks('boletus-edulis');
  const at = (month: number, elevation: number, policy?: object) =>
    decide(guide, { ...done, ...(policy ? { policy } : {}), context: { ...done.context, month, elevation } });

  test('a collect stays one, with the doubt said', () => {
    const verdict = at(2, 4000);
    expect(verdict.outcome).toBe('collect');
    expect(verdict.reasons).toEqual(
      expect.arrayContaining([
        { weight: 'note', code: 'season-doubt', month: 2 },
        { weight: 'note', code: 'height-doubt', elevation: 4000 },
      ]),
    );
    expect(at(9, 900).reasons.map((r) => r.code)).not.toContain('season-doubt');
  });

  test('whatever month and height, no row changes', () => {
    for (let month = 1; month <= 12; month += 1)
      expect(at(month, month * 300).rows).toEqual(decide(guide, done).rows);
  });

  test('a group may leave them out of it, and the verdict says so', () => {
    const codes = at(2, 4000, { place: 'ignored' }).reasons.map((r) => r.code);
    expect(codes).not.toContain('season-doubt');
    expect(at(2, 4000, { place: 'ignored' }).reasons).toContainEqual({
      weight: 'note',
      code: 'group-rule',
      rule: 'place-ignored',
    });
    expect(
      at(9, 900, { extraBars: { deadly: 1 }, groupsNeeded: 9 }).reasons.filter(
        (r) => r.code === 'group-rule',
      ),
    ).toEqual([
      { weight: 'note', code: 'group-rule', rule: 'extra-bars' },
      { weight: 'note', code: 'group-rule', rule: 'more-groups' },
    ]);
  });
});

describe('without a name', () => {
  const { target: _target, ...unnamed } = find('cantharellus-cibarius', [], {
    context: { stages: ['mature'] },
  });
  const of = (id: string, context: object, policy?: object) =>
    identify(guide, {
      ...unnamed,
      ...(policy ? { policy } : {}),
      context: { stages: MATURE, ...context },
    }).candidates.find((c) => c.taxon === id)?.probability ?? 0;

  test('what is not about now comes later, and stays in the list', () => {
    expect(of('calocybe-gambosa', { month: 5 })).toBeGreaterThan(of('calocybe-gambosa', { month: 10 }) * 2);
    expect(of('calocybe-gambosa', { month: 10 })).toBeGreaterThan(0);
    expect(of('calocybe-gambosa', { month: 10 }, { place: 'ignored' })).toBe(
      of('calocybe-gambosa', {}, { place: 'ignored' }),
    );
  });

  test('families are a hint, and none where a group does without', () => {
    const { families, candidates } = identify(guide, unnamed);
    const sum = (family: string) =>
      candidates
        .filter((c) => taxon(c.taxon).taxon.family === family)
        .reduce((all, c) => all + c.probability, 0);
    for (const { family, probability } of families) expect(probability).toBeCloseTo(sum(family), 10);
    expect(families.map((f) => f.probability)).toEqual(
      [...families.map((f) => f.probability)].sort((a, b) => b - a),
    );
    expect(identify(guide, { ...unnamed, policy: { familyHint: false } }).families).toEqual([]);
  });
});

test('every part is in season somewhere at the stages it is worth having', () => {
  for (const target of collectable) {
    for (const stage of target.taxon.parts.flatMap((p) => p.stages)) {
      const seasons = Array.from(
        { length: 12 },
        (_, month) => expectedHere(target, [stage], { month: month + 1 }).season,
      );
      expect([target.id, stage, seasons.includes('fits'), seasons.includes('against')]).toEqual([
        target.id,
        stage,
        true,
        true,
      ]);
    }
  }
  expect(
    nextChecks(
      guide,
      find('boletus-edulis', [], { context: { ...goodContext(taxon('boletus-edulis')), month: 1 } }),
    ).length,
  ).toBeGreaterThan(0);
});
