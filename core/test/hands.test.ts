import { MAY_DIG, caseOf, decide, isCollectable, nextChecks, unnamedOf, type Case } from '../src';
import { identify } from '../src/advice/identify';
import { plan } from '../src/advice/plan';
import { parseCase } from '../src/case/parse';
import { FindRecord } from '../src/notebook';
import { at, character, find, guide, reading, taxon } from './finds';

/** What a person's hands, nose and patience let be read. */

const smells = new Set(
  guide.characters
    .filter((c) => c.character.organ === 'smell' || c.character.observe === 'crush-and-smell')
    .map((c) => c.id as string),
);

describe('a nose that is no use today', () => {
  test.each(['cantharellus-cibarius', 'angelica-sylvestris', 'allium-ursinum'])(
    '%s: nothing that is smelled is proposed or planned',
    (target) => {
      const with_ = find(target, []);
      const without: Case = { ...with_, context: { ...with_.context, cannotSmell: true } };
      const proposed = (f: Case) => nextChecks(guide, f).map((c) => c.character as string);
      expect(proposed(with_).some((c) => smells.has(c))).toBe(true);
      expect(proposed(without).some((c) => smells.has(c))).toBe(false);
      const planned = plan(guide, without);
      if (planned.feasible) expect(planned.checks.filter((c) => smells.has(c.character))).toEqual([]);
      // What has been smelled already still counts: the nose matters to what is proposed, not to what is
      // decided.
      const seen = find(target, [
        reading(
          target === 'cantharellus-cibarius' ? 'smell' : 'leaf.smell',
          target === 'cantharellus-cibarius' ? 'fruity' : target === 'allium-ursinum' ? 'garlic' : 'herby',
        ),
      ]);
      expect(decide(guide, { ...seen, context: { ...seen.context, cannotSmell: true } }).rows).toEqual(
        decide(guide, seen).rows,
      );
    },
  );
});

describe('digging', () => {
  const roots = new Set(
    guide.characters
      .filter((c) => c.character.kingdom === 'Plantae' && c.character.organ === 'root')
      .map((c) => c.id as string),
  );
  const asked = (target: string, context: Partial<Case['context']>) => {
    const bare = find(target, []);
    const open: Case = { ...bare, context: { ...bare.context, ...context } };
    const planned = plan(guide, open);
    return (
      [
        ...nextChecks(guide, open).map((c) => c.character),
        ...(planned.feasible ? planned.checks.map((c) => c.character) : []),
      ].filter((c) => roots.has(c)).length > 0
    );
  };

  test('is proposed only where digging is allowed by the person, the owner and the law', () => {
    // An often protected plant, known by its root among others.
    const target = guide.taxa.find(
      ({ id, taxon: { protection } }) => protection === 'often' && asked(id, MAY_DIG),
    )?.id;
    if (target === undefined) throw new Error('no often protected plant of which a root would tell anything');
    expect(asked(target, { ...MAY_DIG, mayDig: undefined })).toBe(false);
    expect(asked(target, { ...MAY_DIG, mayDig: false })).toBe(false);
    expect(asked(target, { ...MAY_DIG, permission: 'unknown' })).toBe(false);
    expect(asked(target, { ...MAY_DIG, protection: 'unknown' })).toBe(false);
    expect(asked(target, { ...MAY_DIG, protection: 'protected' })).toBe(false);
    expect(asked(target, { ...MAY_DIG, patchSize: undefined })).toBe(false);
    expect(asked(target, { ...MAY_DIG, patchSize: 'few' })).toBe(false);
    expect(asked(target, { ...MAY_DIG, patchThrives: undefined })).toBe(false);
    expect(asked(target, { ...MAY_DIG, patchThrives: false })).toBe(false);
  });
  test('of a plant without a name is proposed only once the law was looked up', () => {
    const { target: _, ...unnamed } = find('hypericum-perforatum', []);
    const dug = (context: Partial<Case['context']>) =>
      identify(guide, { ...unnamed, context: { stages: unnamed.context.stages, ...context } }).checks.some(
        ({ character }) => roots.has(character),
      );
    expect([
      dug(MAY_DIG),
      dug({ ...MAY_DIG, protection: undefined }),
      dug({ ...MAY_DIG, protection: 'unknown' }),
      dug({ ...MAY_DIG, mayDig: undefined }),
    ]).toEqual([true, false, false, false]);
  });
  test('is needed for nothing that Pause collects', () => {
    for (const {
      id,
      taxon: { kingdom, parts },
    } of guide.taxa.filter((one) => one.taxon.kingdom === 'Plantae' && isCollectable(one))) {
      for (const stage of new Set(parts.flatMap(({ stages }) => stages))) {
        const bare = find(id, []);
        expect([
          id,
          stage,
          kingdom,
          plan(guide, { ...bare, context: { ...bare.context, stages: [stage], mayDig: undefined } }).feasible,
        ]).toEqual([id, stage, 'Plantae', true]);
      }
    }
  });
});

describe('a count that goes no further', () => {
  const counted = (number: number, orMore?: boolean, of = 'umbel.rays') =>
    parseCase(
      {
        guide: { id: 'ostrel' },
        kingdom: 'Plantae',
        target: 'carum-carvi',
        pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
        readings: [
          {
            id: 'r1',
            piece: 'p1',
            character: of,
            value: { kind: 'count', number, ...(orMore ? { orMore } : {}) },
            sureness: 'sure',
            by: 'mirel',
            at: at(1),
          },
        ],
        context: { stages: ['flowering'] },
      },
      guide,
    );
  const rays = character('umbel.rays');
  const range = (id: string) => taxon(id).overall.get(rays.index);
  const bars = (f: Case, id: string) => decide(guide, f).rows.find((r) => r.taxon === id)!.bars.length;

  test('"so many or more" speaks against what never has as many, and only against that', () => {
    const limited = guide.taxa
      .filter((t) => t.grade !== 'none' && t.taxon.kingdom === 'Plantae')
      .flatMap((t) => {
        const known = range(t.id);
        return known?.kind === 'number' ? [{ id: t.id, most: known.possible[1] }] : [];
      });
    expect(limited.length).toBeGreaterThan(2);
    for (const { id, most } of limited) {
      expect(bars(counted(most + 1, true), id)).toBe(1);
      expect(bars(counted(Math.max(1, most - 1), true), id)).toBe(0);
    }
  });

  test('it is no more than the number where it could still be anything', () => {
    // One is against whatever always has three at least; one or more is against nobody.
    const least = guide.characters
      .filter((c) => c.character.kind === 'count')
      .flatMap((c) =>
        guide.taxa
          .filter((t) => t.grade !== 'none' && t.taxon.kingdom === 'Plantae')
          .flatMap((t) => {
            const known = t.overall.get(c.index);
            return known?.kind === 'number' && known.possible[0] >= 3 ? [{ of: c.id, id: t.id }] : [];
          }),
      );
    expect(least.length).toBeGreaterThan(0);
    for (const { of, id } of least) {
      expect(bars(counted(1, false, of), id)).toBe(1);
      expect(bars(counted(1, true, of), id)).toBe(0);
    }
  });
});

test('a check that touches names who can harm the skin, and one that only looks does not', () => {
  const checks = nextChecks(guide, find('angelica-sylvestris', []));
  const touching = checks.filter((c) => character(c.character).character.observe !== 'look');
  expect(touching.length).toBeGreaterThan(0);
  for (const c of touching) expect(c.skin).toContain('heracleum-mantegazzianum');
  for (const c of checks.filter((each) => character(each.character).character.observe === 'look'))
    expect(c.skin).toEqual([]);
});

describe('what nobody has named yet', () => {
  const record = FindRecord.parse({
    id: 'f1',
    startedAt: at(0),
    kingdom: 'Fungi',
    bodyPlan: 'cantharelloid',
    person: 'mirel',
    pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
    targets: [],
    context: {},
    readings: [],
    withdrawals: [],
    skips: [],
    verdicts: [],
    decisions: [],
  });

  test('is a find without a target, and no case', () => {
    expect(caseOf(record, guide)).toBeUndefined();
    expect(unnamedOf(record, guide)).toMatchObject({ kingdom: 'Fungi', bodyPlan: 'cantharelloid' });
    expect(unnamedOf({ ...record, pieces: [] }, guide)).toBeUndefined();
    const named = { ...record, targets: [{ taxon: 'cantharellus-cibarius' as never, at: at(1) }] };
    const { target: _t, earlierTargets: _e, ...seen } = caseOf(named, guide)!;
    expect(unnamedOf(record, guide)).toEqual(seen);
  });

  test('the form named at the first look orders, and rules nothing out', () => {
    const unnamed = unnamedOf(record, guide)!;
    const of = (bodyPlan: string | undefined) => {
      const { bodyPlan: _b, ...rest } = unnamed;
      return identify(guide, bodyPlan ? { ...rest, bodyPlan } : rest).candidates;
    };
    const chance = (list: ReturnType<typeof of>, id: string) => list.find((c) => c.taxon === id)!.probability;
    expect(taxon(of('cantharelloid')[0]!.taxon).taxon.bodyPlan).toBe('cantharelloid');
    expect(chance(of('cantharelloid'), 'amanita-phalloides')).toBeLessThan(
      chance(of(undefined), 'amanita-phalloides'),
    );
    expect(chance(of('cantharelloid'), 'amanita-phalloides')).toBeGreaterThan(0);
    expect(of('cantharelloid').filter((c) => !c.fitsEverything)).toEqual([]);
  });
});
