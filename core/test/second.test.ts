/** A second look: what it looks at, what the two say, and how often they say the same. */
import * as fc from 'fast-check';
import { blindAsk, caseOf, decide, mayBeBlind, type FindRecord, type Reading } from '../src';
import { emptyRecord } from '../src/notebook/find/kinds';
import { agreementTable, checksForSecondLook, cohenKappa, sideBySide } from '../src/notebook/secondLook';
import { at, followChecks, guide } from './finds';

const find = followChecks('cantharellus-cibarius');
const record = (more: Partial<FindRecord> = {}, second: readonly Partial<Reading>[] = []): FindRecord => ({
  ...emptyRecord({ id: 'one', startedAt: at(0), kingdom: 'Fungi', person: 'mirel' }),
  pieces: find.pieces,
  targets: [{ taxon: find.target, at: at(0) }],
  context: find.context,
  ...more,
  readings: [
    ...find.readings.map((r) => ({ ...r, by: 'mirel' })),
    ...second.map((r, n) => ({
      ...find.readings[0]!,
      id: `second-${n}` as never,
      by: 'tam',
      blind: true,
      at: at(900 + n),
      ...r,
    })),
  ],
});
const states = (...ids: string[]) => ({ kind: 'states' as const, states: ids as never });

test('it looks at what the bars stand on and at the target’s own marks, each once, and only at what was read', () => {
  const verdict = decide(guide, find);
  const checks = checksForSecondLook(guide, find, verdict);
  expect(new Set(checks).size).toBe(checks.length);
  const leaned = verdict.rows
    .filter((row) => !row.otherKingdom && row.need > 0)
    .flatMap((row) => row.bars.map((bar) => bar.character));
  for (const character of leaned) expect(checks).toContain(character);
  for (const mark of guide.taxon(find.target)!.taxon.signature) expect(checks).toContain(mark);
  const read = new Set(find.readings.map((r) => r.character));
  expect(checks.every((c) => read.has(c))).toBe(true);
  expect(
    checksForSecondLook(guide, { ...find, readings: [] }, decide(guide, { ...find, readings: [] })),
  ).toEqual([]);
});

test('both looks lie side by side: the same, partly, another, no ground', () => {
  const character = 'hymenophore' as never;
  const says = (value: Reading['value']) =>
    sideBySide(guide, record({}, [{ character, value }]), 'tam').map((both) => both.says);
  expect(find.readings.find((r) => r.character === character)?.value).toEqual(states('ridges'));
  expect(says(states('ridges'))).toEqual(['agree']);
  expect(says(states('ridges', 'gills'))).toEqual(['partly']);
  expect(says(states('gills'))).toEqual(['differ']);
  expect(says({ kind: 'cant-tell' })).toEqual(['no-ground']);
  expect(sideBySide(guide, record({}, [{ character, value: states('gills'), blind: false }]), 'tam')).toEqual(
    [],
  );
  // The newest look of each counts; one that was taken back does not.
  expect(
    sideBySide(
      guide,
      record({}, [
        { character, value: states('gills') },
        { character, value: states('ridges') },
      ]),
      'tam',
    ).map((b) => b.says),
  ).toEqual(['agree']);
  expect(
    sideBySide(
      guide,
      record({ withdrawals: [{ reading: 'second-0' as never, at: at(950) }] }, [
        { character, value: states('gills') },
      ]),
      'tam',
    ),
  ).toEqual([]);
});

test('who began it, had it shown, or read it knowingly does not read it blind', () => {
  const ask = {
    id: 'ask-one-1',
    at: at(800),
    by: 'mirel',
    of: 'tam',
    here: false,
    piece: find.pieces[0]!.id,
    characters: ['hymenophore', 'cap.shape'] as never[],
  };
  expect(blindAsk(record({ asks: [ask] }), 'tam')?.left).toEqual(['hymenophore', 'cap.shape']);
  expect(blindAsk(record({ asks: [ask] }, [{ character: 'cap.shape' as never }]), 'tam')?.left).toEqual([
    'hymenophore',
  ]);
  expect(
    blindAsk(
      record({ asks: [ask] }, [{ character: 'cap.shape' as never }, { character: 'hymenophore' as never }]),
      'tam',
    ),
  ).toBeUndefined();
  expect(blindAsk(record({ asks: [ask] }), 'jorun')).toBeUndefined();
  expect(mayBeBlind(record(), 'mirel')).toBe(false);
  expect(mayBeBlind(record({ reveals: [{ id: 'reveal-1', at: at(1), by: 'tam' }] }), 'tam')).toBe(false);
  expect(mayBeBlind(record({}, [{ blind: false }]), 'tam')).toBe(false);
  expect(
    blindAsk(record({ asks: [ask], reveals: [{ id: 'reveal-1', at: at(1), by: 'tam' }] }), 'tam'),
  ).toBeUndefined();
});

describe('kappa', () => {
  test('worked by hand: 35 of 50 the same, 25 expected by chance', () => {
    // Rows 25 and 25, columns 30 and 20: by chance (25·30 + 25·20) / 50² = 0.5; (0.7 − 0.5) / 0.5 = 0.4.
    const agreement = cohenKappa([
      [20, 5],
      [10, 15],
    ])!;
    expect(agreement.kappa).toBeCloseTo(0.4, 12);
    expect(agreement.looks).toBe(50);
  });

  test('its interval is about what drawing the looks anew gives', () => {
    const table = [
      [60, 8, 2],
      [6, 30, 9],
      [3, 7, 25],
    ];
    const looks = table.flatMap((row, i) =>
      row.flatMap((count, j) => Array.from({ length: count }, () => [i, j] as const)),
    );
    let state = 12345;
    const random = () => {
      state = (state * 1103515245 + 12345) % 2147483648;
      return state / 2147483648;
    };
    const drawn = Array.from({ length: 4000 }, () => {
      const again = [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ];
      for (let n = 0; n < looks.length; n += 1) {
        const [i, j] = looks[Math.floor(random() * looks.length)]!;
        again[i]![j]! += 1;
      }
      return cohenKappa(again)!.kappa;
    }).sort((a, b) => a - b);
    const { low, high } = cohenKappa(table)!;
    expect(low).toBeCloseTo(drawn[100]!, 1);
    expect(high).toBeCloseTo(drawn[3900]!, 1);
    expect(Math.abs(low - drawn[100]!)).toBeLessThan(0.02);
    expect(Math.abs(high - drawn[3900]!)).toBeLessThan(0.02);
  });

  test('lies between −1 and 1, is 1 where all is the same, and does not depend on who is first', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.nat(30), { minLength: 3, maxLength: 3 }), { minLength: 3, maxLength: 3 }),
        (table) => {
          const agreement = cohenKappa(table);
          if (!agreement) return;
          expect(agreement.kappa).toBeGreaterThanOrEqual(-1 - 1e-9);
          expect(agreement.kappa).toBeLessThanOrEqual(1 + 1e-9);
          const turned = cohenKappa([0, 1, 2].map((j) => table.map((row) => row[j]!)))!;
          expect(turned.kappa).toBeCloseTo(agreement.kappa, 9);
          expect(turned.low).toBeCloseTo(agreement.low, 9);
        },
      ),
    );
    expect(
      cohenKappa([
        [4, 0],
        [0, 6],
      ]),
    ).toMatchObject({ kappa: 1, low: 1, high: 1 });
    expect([
      cohenKappa([
        [0, 0],
        [0, 0],
      ]),
      cohenKappa([
        [7, 0],
        [0, 0],
      ]),
    ]).toEqual([undefined, undefined]);
  });

  test('is counted over what both looked at, whoever of the two was first', () => {
    const all = [
      record({}, [
        { character: 'hymenophore' as never, value: states('ridges') },
        { character: 'cap.shape' as never, value: { kind: 'cant-tell' } },
      ]),
    ];
    const table = agreementTable(guide, all, 'mirel', 'tam');
    expect(table.flat().reduce((a, b) => a + b)).toBe(2);
    expect(table[0]![0]).toBe(1);
    expect(table[0]![3]).toBe(1);
    expect(agreementTable(guide, all, 'tam', 'mirel')).toEqual(table);
    expect(
      agreementTable(guide, all, 'jorun', 'tam')
        .flat()
        .every((n) => n === 0),
    ).toBe(true);
  });
});

test('a difference of two people is settled by both: a look each, or one with the other’s consent', () => {
  const character = 'hymenophore' as never;
  const open = (...later: Partial<Reading>[]) => {
    const both = record({}, [
      { character, value: states('pores') },
      ...later.map((one, n) => ({
        character,
        value: states('ridges'),
        blind: false,
        id: `later-${n}` as never,
        at: at(920 + n),
        ...one,
      })),
    ]);
    const raw = caseOf(both, guide);
    return (
      raw !== undefined &&
      decide(guide, raw).reasons.some(
        (reason) => reason.code === 'contradicted-open' && reason.character === character,
      )
    );
  };
  expect(open()).toBe(true);
  expect(open({ by: 'mirel' }, { by: 'mirel' }, { by: 'mirel' })).toBe(true);
  expect(open({ by: 'tam' }, { by: 'tam' }, { by: 'tam' })).toBe(true);
  expect(open({ by: 'mirel' }, { by: 'tam' })).toBe(false);
  expect(open({ by: 'mirel', together: ['tam'] })).toBe(false);
  expect(open({ by: 'mirel', together: ['somebody'] })).toBe(true);
});
