import fc from 'fast-check';
import { type Policy, decide, plan, GROUP_POLICY } from '../../src';
import { allUsual, guide, find, targets, reading, lookedAtTwice } from '../finds';
import { codes } from './kit';

const withPolicy = (id: string, policy: Policy, readings = allUsual(id)) =>
  decide(guide, find(id, readings, { policy }));
const RANK = { leave: 0, pause: 1, collect: 2 } as const;
describe('the group’s rules', () => {
  test('what the group leaves alone is left, whatever is seen', () => {
    expect(
      codes(withPolicy('hydnum-repandum', { forgoneTaxa: ['hydnum-repandum'] as never }), 'leave'),
    ).toEqual(['forgone-taxon']);
    expect(
      codes(withPolicy('nasturtium-officinale', { forgoneFamilies: ['Brassicaceae'] }), 'leave'),
    ).toEqual(['forgone-family']);
    expect(withPolicy('hydnum-repandum', { forgoneFamilies: ['Apiaceae'] }).outcome).toBe('collect');
  });

  test('extra bars and groups are asked on top', () => {
    const verdict = withPolicy('cantharellus-cibarius', { extraBars: { deadly: 1, serious: 2 } });
    expect(verdict.rows.find((r) => r.taxon === 'cortinarius-rubellus')?.need).toBe(4);
    expect(verdict.rows.find((r) => r.taxon === 'omphalotus-olearius')?.need).toBe(4);
    expect(
      withPolicy(
        'cantharellus-cibarius',
        { groupsNeeded: 30 },
        allUsual('cantharellus-cibarius').slice(0, 20),
      ).reasons,
    ).toContainEqual(expect.objectContaining({ code: 'groups-short', need: 30 }));
    const made = plan(guide, find('cantharellus-cibarius', [], { policy: { groupsNeeded: 12 } }));
    expect(made.feasible && made.checks.length).toBeGreaterThanOrEqual(12);
  });

  test('it cannot be made laxer', () => {
    for (const policy of [{ extraBars: { deadly: -1 } }, { groupsNeeded: 7 }]) {
      expect(() => find('cantharellus-cibarius', [], { policy })).toThrow(/policy\./);
    }
  });

  test('a stricter policy never raises a verdict', () => {
    const policies: fc.Arbitrary<Policy> = fc.record({
      extraBars: fc.record({ deadly: fc.nat(2), serious: fc.nat(2), unpleasant: fc.nat(2) }),
      groupsNeeded: fc.integer({ min: 8, max: 20 }),
      secondLookWhenUnreviewed: fc.boolean(),
      forgoneTaxa: fc.subarray(targets.map((t) => t.id)),
    });
    fc.assert(
      fc.property(fc.constantFrom(...targets.map((t) => t.id)), policies, fc.nat(40), (id, policy, drop) => {
        const readings = allUsual(id).filter((_, i) => i % 41 !== drop);
        expect(RANK[withPolicy(id, policy, readings).outcome]).toBeLessThanOrEqual(
          RANK[withPolicy(id, {}, readings).outcome],
        );
      }),
      { numRuns: 120 },
    );
  });
});

describe('a second look', () => {
  const first = allUsual('cantharellus-cibarius');
  const again = (character: string, state: string, more: object = {}) => ({
    ...reading(character, state, { by: 'jorun' }),
    blind: true,
    ...more,
  });
  /** What bars the listed deadly ones, seen again. */
  const barring = new Set(
    decide(guide, find('cantharellus-cibarius', first))
      .rows.filter((r) => r.listed && r.grade === 'deadly')
      .flatMap((r) => r.bars.map((b) => b.character as string)),
  );
  const second = first
    .filter((r) => barring.has(r.character))
    .map((r) => again(r.character, (r.value as { states: string[] }).states[0]!));

  test('is asked in a group for an unreviewed deadly pair, and a person alone is told that nobody looked', () => {
    const verdict = withPolicy('cantharellus-cibarius', GROUP_POLICY);
    expect(verdict.reasons).toContainEqual({
      weight: 'pause',
      code: 'second-look-missing',
      taxon: 'cortinarius-rubellus',
      have: 0,
      need: 3,
    });
    expect(codes(decide(guide, find('cantharellus-cibarius', first)), 'note')).toContain('unreviewed');
  });

  test('settles it, if it is another person’s, blind, sure, and on the characters that bar', () => {
    expect(withPolicy('cantharellus-cibarius', GROUP_POLICY, [...first, ...second]).outcome).toBe('collect');
    const spoilt: [string, ReturnType<typeof again>[]][] = [
      ['not blind', second.map((r) => ({ ...r, blind: false }))],
      ['the same person', second.map((r) => ({ ...r, by: 'ilse' }))],
      ['not sure', second.map((r) => ({ ...r, sureness: 'fairly' }))],
      ['only two', second.slice(0, 2)],
    ];
    for (const [name, looks] of spoilt) {
      expect([
        name,
        codes(withPolicy('cantharellus-cibarius', GROUP_POLICY, [...first, ...looks]), 'pause'),
      ]).toEqual([name, expect.arrayContaining(['second-look-missing'])]);
    }
  });

  test('can be turned off, and then the verdict says so', () => {
    const verdict = withPolicy(
      'cantharellus-cibarius',
      { secondLookWhenUnreviewed: false },
      lookedAtTwice(allUsual('cantharellus-cibarius')),
    );
    expect(verdict.outcome).toBe('collect');
    expect(verdict.reasons).toContainEqual({
      weight: 'note',
      code: 'second-look-off',
      taxa: ['cortinarius-orellanus', 'cortinarius-rubellus', 'paxillus-involutus'],
    });
  });

  test('can be asked by harm grade', () => {
    expect(codes(withPolicy('boletus-edulis', { secondLook: ['serious'] }), 'pause')).toContain(
      'second-look-missing',
    );
    expect(
      codes(
        withPolicy('boletus-edulis', { secondLook: ['unpleasant'] }, allUsual('boletus-edulis')),
        'pause',
      ),
    ).toContain('second-look-missing');
  });
});
