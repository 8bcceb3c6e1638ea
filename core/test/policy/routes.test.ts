import { shippedGuide } from '@pause/guide';
import { decide, compileGuide, type Policy, GROUP_POLICY, taxonContent } from '../../src';
import { parseCase } from '../../src/case/parse';
import { parseGuide } from '../../src/guide/parse';
import { guide, find, allUsual, goodContext, taxon, followChecks, lookedAtTwice } from '../finds';
import { codes } from './kit';

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
