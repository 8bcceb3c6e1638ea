import * as fc from 'fast-check';
import { contaminationAt, type HouseholdEater, suits, notWorthIt } from '../../src/outings';
import { guide } from '../finds';
import { BILBERRY, at, place } from './kit';

describe('permission', () => {
  test.each<[string, unknown, string, string[]]>([
    ['nobody recorded anything', {}, 'unknown', ['not-known']],
    ['to be asked first', { picking: { may: 'ask' }, owner: 'The mill' }, 'unknown', ['ask-first']],
    ['allowed', { picking: { may: 'yes' } }, 'allowed', []],
    ['forbidden', { picking: { may: 'no' } }, 'forbidden', ['forbidden']],
    ['a permit that nobody has yet', { picking: { may: 'permit' } }, 'unknown', ['permit-missing']],
    [
      'a permit that ended yesterday',
      { picking: { may: 'permit', permitUntil: '2026-09-13' } },
      'unknown',
      ['permit-ended'],
    ],
    [
      'a permit that expires tonight',
      { picking: { may: 'permit', permitUntil: '2026-09-14' } },
      'allowed',
      ['permit-ends'],
    ],
    ['a permit for months', { picking: { may: 'permit', permitUntil: '2026-12-31' } }, 'allowed', []],
    [
      'closed, but open for this',
      { picking: { may: 'no' }, allowances: [{ taxon: BILBERRY.id, may: 'yes' }] },
      'allowed',
      ['allowance'],
    ],
    [
      'closed, with the most that anybody may take of what is open',
      { picking: { may: 'no' }, allowances: [{ may: 'yes', perDay: { amount: 1, unit: 'litre' } }] },
      'forbidden',
      ['forbidden'],
    ],
    [
      'open, but closed for this',
      { picking: { may: 'yes' }, allowances: [{ taxon: BILBERRY.id, may: 'no' }] },
      'forbidden',
      ['allowance'],
    ],
    [
      'open for this, closed for its part',
      {
        picking: { may: 'yes' },
        allowances: [
          { taxon: BILBERRY.id, may: 'yes' },
          { taxon: BILBERRY.id, part: 'fruit', may: 'no' },
        ],
      },
      'forbidden',
      ['allowance'],
    ],
    [
      'two as exact, one of which forbids',
      {
        picking: { may: 'yes' },
        allowances: [
          { part: 'fruit', may: 'no' },
          { part: 'fruit', may: 'yes' },
        ],
      },
      'forbidden',
      ['allowance'],
    ],
    [
      'something about others',
      {
        picking: { may: 'yes' },
        allowances: [
          { taxon: 'castanea-sativa', may: 'no' },
          { part: 'root', may: 'no' },
        ],
      },
      'allowed',
      [],
    ],
    [
      'known for years',
      { picking: { may: 'yes' }, source: { text: 'the mill', on: '2023-05-01' } },
      'allowed',
      ['old'],
    ],
  ])('%s', (_, fields, permission, codes) => {
    const { permission: found, reasons } = at(place(fields));
    expect([found, reasons.map(({ code }) => code)]).toEqual([permission, codes]);
  });

  test('what is not known never becomes an allowance, whatever else was recorded', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ part: fc.constantFrom('root', 'leaf'), may: fc.constantFrom('yes', 'no') })),
        fc.constantFrom('ask', 'permit', undefined),
        (allowances, may) => {
          expect(at(place({ allowances, ...(may ? { picking: { may } } : {}) })).permission).toBe('unknown');
        },
      ),
    );
  });

  test('how much may be taken goes along', () => {
    expect(
      at(
        place({
          picking: { may: 'yes' },
          allowances: [{ may: 'yes', perDay: { amount: 2, unit: 'litre' } }],
        }),
      ).perDay,
    ).toEqual({ amount: 2, unit: 'litre' });
  });
});

test('what spoils a place: the worst of it, nothing seen only where somebody looked', () => {
  expect(
    [
      {},
      { spoils: [] },
      { spoils: ['grazing'] },
      { spoils: ['dogs', 'road', 'spray'] },
      { spoils: ['dump', 'spray'] },
    ].map((fields) => contaminationAt(place(fields))),
  ).toEqual([undefined, 'none-seen', 'fouled', 'sprayed', 'polluted']);
});

describe('who eats along', () => {
  const eater = (id: string, more: Partial<HouseholdEater> = {}): HouseholdEater => ({
    id,
    name: id,
    ...more,
  });
  const angelica = guide.taxon('angelica-sylvestris')!;
  const [part] = angelica.taxon.parts;
  const minded = (level: string) =>
    angelica.taxon.cautions.find(
      (caution) => caution.level === level && (caution.routes?.includes(part!.route ?? 'eaten') ?? true),
    )?.for;

  test('each with what they have to mind, and why', () => {
    const out = minded('rules-out') ?? minded('ask')!;
    const found = suits([eater('one', { cautions: [out] }), eater('two')], angelica, part!);
    expect(found).toMatchObject({ for: 'some', matches: [{ eater: 'one', caution: { for: out } }] });
    expect(suits([], angelica, part!)).toEqual({ for: 'all', matches: [], likes: [], dislikes: [] });
  });

  test('what nobody may have, or nobody likes, is not worth the way; who does not eat along does not count', () => {
    const ruled = guide.taxa.flatMap((taxon) =>
      taxon.taxon.parts.flatMap((one) =>
        taxon.taxon.cautions
          .filter(
            ({ level, routes }) => level === 'rules-out' && (routes?.includes(one.route ?? 'eaten') ?? true),
          )
          .map((caution) => ({ taxon, part: one, caution })),
      ),
    )[0]!;
    const one = eater('one', { cautions: [ruled.caution.for] });
    expect(notWorthIt([one], suits([one], ruled.taxon, ruled.part))).toBe(true);
    expect(notWorthIt([one, eater('two')], suits([one, eater('two')], ruled.taxon, ruled.part))).toBe(false);
    const away = { ...one, eatsAlong: false };
    expect(notWorthIt([away, eater('two')], suits([away, eater('two')], ruled.taxon, ruled.part))).toBe(
      false,
    );
    const picky = [
      eater('a', { dislikes: [BILBERRY.id] }),
      eater('b', { dislikes: [BILBERRY.id], likes: [] }),
    ];
    expect(notWorthIt(picky, suits(picky, BILBERRY, BILBERRY.taxon.parts[0]!))).toBe(true);
    expect(notWorthIt([], suits([], BILBERRY, BILBERRY.taxon.parts[0]!))).toBe(false);
  });
});
