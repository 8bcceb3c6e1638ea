import fc from 'fast-check';
import { shippedGuide } from '@pause/guide';
import { compileGuide, decide, GROUP_POLICY, taxonContent, plan, type Policy, type Verdict } from '../src';
import { parseCase } from '../src/case/parse';
import { parseGuide } from '../src/guide/parse';
import {
  allUsual,
  find,
  followChecks,
  goodContext,
  guide,
  lookedAtTwice,
  reading,
  targets,
  taxon,
} from './finds';

const codes = (verdict: Verdict, weight: string) =>
  verdict.reasons.filter((r) => r.weight === weight).map((r) => r.code);
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

describe('eaters', () => {
  const eats = (cautions: string[], id = 'filipendula-ulmaria') =>
    decide(
      guide,
      find(id, allUsual(id), { context: { ...goodContext(taxon(id)), eaters: [{ name: 'Tam', cautions }] } }),
    );
  test.each([
    [['allergy:aspirin'], 'leave', 'not-for-eater'],
    [['pregnancy'], 'pause', 'ask-for-eater'],
    [['kidney-stones'], 'collect', undefined],
    [[], 'collect', undefined],
  ])('meadowsweet for someone with %j is %s', (cautions, outcome, code) => {
    const verdict = eats(cautions);
    expect(verdict.outcome).toBe(outcome);
    if (code) expect(verdict.reasons).toContainEqual(expect.objectContaining({ code, eater: 'Tam' }));
  });
  test('a whole family can be the trigger', () =>
    expect(eats(['allergy:apiaceae'], 'aegopodium-podagraria').outcome).toBe('leave'));
  test('a caution that the format does not know is refused with its field', () =>
    expect(() => eats(['hay fever'])).toThrow('context.eaters[0].cautions[0]'));
});

describe('routes, near-doubles and open names', () => {
  type Json = Record<string, unknown>;
  const changed = (id: string, change: (raw: Json) => void) => {
    const raw = JSON.parse(JSON.stringify(shippedGuide())) as { taxa: (Json & { id: string })[] };
    change(raw.taxa.find((t) => t.id === id)!);
    return compileGuide(parseGuide(raw));
  };

  test('harm counts by the use intended', () => {
    const dyed = changed('hygrophoropsis-aurantiaca', (t) => {
      t.harm = { grade: 'unpleasant', byRoute: { none: 'none' } };
    });
    const target = changed('cantharellus-cibarius', (t) => {
      t.parts = [
        ...(t.parts as Json[]),
        {
          part: 'fruiting-body',
          name: 'whole mushroom',
          use: 'dye',
          route: 'none',
          stages: ['mature'],
          before: [],
        },
      ];
    });
    const both = compileGuide(
      parseGuide({
        ...target.guide,
        taxa: target.guide.taxa.map((t) =>
          t.id === 'hygrophoropsis-aurantiaca' ? dyed.taxon(t.id)!.taxon : t,
        ),
      }),
    );
    const rows = (use: string) =>
      decide(
        both,
        parseCase(
          {
            ...(JSON.parse(JSON.stringify(find('cantharellus-cibarius', []))) as Json),
            context: { ...goodContext(taxon('cantharellus-cibarius')), use },
          },
          both,
        ),
      ).rows.map((r) => r.taxon as string);
    expect(rows('food')).toContain('hygrophoropsis-aurantiaca');
    expect(rows('dye')).not.toContain('hygrophoropsis-aurantiaca');
  });

  test('a near-double is never collected, and it says why', () => {
    const why = 'Nothing in the field parts them for certain.';
    const doubled = changed('hydnum-repandum', (t) => {
      t.nearDoubles = [{ taxon: 'omphalotus-olearius', why }];
    });
    const verdict = decide(doubled, followChecks('hydnum-repandum'));
    expect(verdict.outcome).toBe('leave');
    expect(verdict.reasons).toContainEqual({
      weight: 'leave',
      code: 'near-double',
      taxon: 'omphalotus-olearius',
      why,
    });
  });

  test('a find can end at a genus, or as one of two: recorded, and never collected', () => {
    for (const openName of [
      { kind: 'genus', name: 'Cantharellus' },
      { kind: 'one-of', taxa: ['cantharellus-cibarius', 'hygrophoropsis-aurantiaca'] },
    ]) {
      const verdict = decide(
        guide,
        find('cantharellus-cibarius', lookedAtTwice(allUsual('cantharellus-cibarius')), {
          context: { ...goodContext(taxon('cantharellus-cibarius')), openName },
        }),
      );
      expect(codes(verdict, 'pause')).toEqual(['name-open']);
    }
  });
});

describe('what a keeper signed', () => {
  const asked = (policy: Policy, of = guide) =>
    decide(of, find('cantharellus-cibarius', allUsual('cantharellus-cibarius'), { policy })).reasons.filter(
      (r) => r.code === 'second-look-missing',
    ).length;
  const deadly = decide(
    guide,
    find('cantharellus-cibarius', allUsual('cantharellus-cibarius'), { policy: GROUP_POLICY }),
  ).reasons.flatMap((r) => (r.code === 'second-look-missing' ? [r.taxon as string] : []));
  const sign = (ids: readonly string[], of = guide) =>
    ids.map((id) => ({ taxon: id as never, content: taxonContent(of.taxon(id)!) }));

  test('both of a pair signed: no second look is asked for it; one of the two is not enough', () => {
    expect(deadly.length).toBeGreaterThan(0);
    expect(asked({ ...GROUP_POLICY, reviews: sign(['cantharellus-cibarius', ...deadly]) })).toBe(0);
    expect(asked({ ...GROUP_POLICY, reviews: sign(deadly) })).toBe(deadly.length);
    expect(asked({ ...GROUP_POLICY, reviews: sign(['cantharellus-cibarius']) })).toBe(deadly.length);
  });

  test('it falls away when the guide says something else of it, and not when only its reviewer changes', () => {
    const reviews = sign(['cantharellus-cibarius', ...deadly]);
    const changed = JSON.parse(JSON.stringify(shippedGuide())) as {
      taxa: {
        id: string;
        review: { reviewedBy: string | null };
        vernacularNames: Record<string, string[]>;
      }[];
    };
    const changedOne = changed.taxa.find((t) => t.id === 'cantharellus-cibarius')!;
    changedOne.vernacularNames.en = [...(changedOne.vernacularNames.en ?? []), 'another name'];
    expect(asked({ ...GROUP_POLICY, reviews }, compileGuide(parseGuide(changed)))).toBe(deadly.length);
    const named = JSON.parse(JSON.stringify(shippedGuide())) as typeof changed;
    named.taxa.find((t) => t.id === 'cantharellus-cibarius')!.review.reviewedBy = 'Somebody';
    expect(taxonContent(compileGuide(parseGuide(named)).taxon('cantharellus-cibarius')!)).toBe(
      taxonContent(guide.taxon('cantharellus-cibarius')!),
    );
  });
});
