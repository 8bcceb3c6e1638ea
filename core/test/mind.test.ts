import { cautionsFor, decide, isLookedAt, meets } from '../src';
import { tasteRefusals } from '../src/pantry/tasting';
import { allUsual, find, goodContext, guide, taxon } from './finds';

test.each([
  ['medicine:blood-thinners', 'medicine:any'],
  ['medicine:any', 'medicine:blood-thinners'],
  ['medicine:warfarin', 'medicine:blood-thinners'],
  ['medicine:blood-thinners', 'medicine:warfarin'],
  ['medicine:something-new', 'medicine:any'],
  ['allergy:celery', 'allergy:apiaceae'],
  ['allergy:apiaceae', 'allergy:celery'],
  ['allergy:hazel', 'allergy:nuts'],
  ['blood-pressure', 'medicine:blood-pressure'],
  ['medicine:digoxin', 'heart'],
  ['diabetes', 'medicine:insulin'],
  ['pregnancy', 'pregnancy'],
  ['child', 'everyone'],
])('%s meets a caution for %s', (minded, caution) => expect(meets(minded, caution)).toBe(true));

test.each([
  ['medicine:warfarin', 'medicine:diuretics'],
  ['allergy:celery', 'allergy:asteraceae'],
  ['pregnancy', 'child'],
  ['blood-pressure', 'medicine:blood-thinners'],
  ['medicine:any', 'allergy:nuts'],
  ['kidney-stones', 'kidney-disease'],
])('%s does not meet a caution for %s', (minded, caution) => expect(meets(minded, caution)).toBe(false));

test('every caution of the guide is of a kind that is looked at', () => {
  for (const one of new Set(guide.taxa.flatMap((t) => t.taxon.cautions.map((c) => c.for))))
    expect([one, isLookedAt(one)]).toEqual([one, true]);
});

test('somebody on blood thinners is told to ask first, and what the guide does not know', () => {
  const wort = taxon('hypericum-perforatum');
  expect(
    cautionsFor({ cautions: ['medicine:blood-thinners'] }, wort, 'eaten').map(({ for: of, level }) => [
      of,
      level,
    ]),
  ).toContainEqual(['medicine:any', 'ask']);
  for (const target of ['vaccinium-myrtillus', 'cantharellus-cibarius']) {
    const reasons = (cautions: string[]) =>
      decide(
        guide,
        find(target, allUsual(target), {
          context: { ...goodContext(taxon(target)), eaters: [{ name: 'Tam', cautions }] },
        }),
      ).reasons.filter(({ code }) => code === 'ask-for-eater' || code === 'not-for-eater');
    expect(reasons([])).toEqual([]);
    for (const one of ['other:grapefruit, says the doctor', 'medicine:something-new', 'allergy:amber']) {
      expect(reasons([one])).toEqual([
        expect.objectContaining({
          code: 'ask-for-eater',
          eater: 'Tam',
          caution: one,
          text: expect.stringMatching(/^The guide has not looked at “[^”]+”\. Ask/) as unknown,
        }),
      ]);
    }
  }
});

test('whoever reacts to one of a family is asked about all of it', () => {
  const caraway = taxon('carum-carvi');
  expect(cautionsFor({ cautions: ['allergy:celery'] }, caraway, 'eaten').map(({ level }) => level)).toEqual([
    'rules-out',
  ]);
  expect(cautionsFor({ cautions: ['allergy:apple'] }, taxon('crataegus-monogyna'), 'eaten')).toEqual([
    expect.objectContaining({ level: 'ask', for: 'allergy:apple' }),
  ]);
  expect(cautionsFor({ cautions: ['allergy:apple'] }, caraway, 'eaten')).toEqual([]);
  expect(cautionsFor({ cautions: ['allergy:apple'] }, taxon('crataegus-monogyna'), 'none')).toEqual([]);
});

test('a first taste is refused for what is minded in another word, too', () => {
  const part = taxon('galium-odoratum').taxon.parts[0]!;
  const refused = (cautions: string[]) =>
    tasteRefusals({
      taxon: taxon('galium-odoratum'),
      part,
      cautions,
      holds: true,
      ready: true,
      others: [],
      now: new Date(),
    }).filter(({ code }) => code === 'caution');
  expect(refused(['medicine:warfarin'])).toHaveLength(1);
  expect(refused([])).toEqual([]);
});
