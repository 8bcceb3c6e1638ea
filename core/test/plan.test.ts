import fc from 'fast-check';
import highsLoader from 'highs';
import { asProgramme } from '../../bench/programme';
import {
  buildProblem,
  countBars,
  decide,
  fallbacks,
  lacksOnlySecondLooks,
  largestIndependent,
  plan,
  solve,
  viewCase,
  type PlanProblem,
  type Row,
  type StageId,
} from '../src';
import {
  at,
  character,
  collectable,
  find,
  goodContext,
  guide,
  lookedAtTwice,
  reading,
  targets,
  taxon,
  usualValue,
} from './finds';

type Highs = Awaited<ReturnType<typeof highsLoader>>;
let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

function optimumByHighs(p: PlanProblem): number | undefined {
  const solution = highs.solve(asProgramme(p));
  return solution.Status === 'Optimal' ? solution.ObjectiveValue : undefined;
}

const everyStart = targets.flatMap((target) =>
  target.taxon.stages.map((stage) => [target.id, stage] as const),
);
const withStage = (id: string, stage: string, readings: ReturnType<typeof reading>[] = []) =>
  find(id, readings, { context: goodContext(taxon(id), stage as StageId) });
const problemOf = (f: ReturnType<typeof find>) =>
  buildProblem(guide, viewCase(guide, f), taxon(f.target), {});

describe('the optimum is the one that HiGHS proves', () => {
  test.each(everyStart)('%s, %s', (id, stage) => {
    const problem = problemOf(withStage(id, stage));
    if (problem.unseen.length > 0) return;
    expect(solve(problem)?.cost).toBe(optimumByHighs(problem));
  });

  test('on random instances too, with what stands and what is spoiled', () => {
    const option = fc.record({
      cost: fc.integer({ min: 1, max: 60 }),
      group: fc.nat(9),
      causes: fc.constantFrom(0, 0, 0, 1, 2, 4, 8, 9),
    });
    const instance = fc.array(option, { minLength: 4, maxLength: 18 }).chain((options) =>
      fc
        .record({
          rows: fc.array(
            fc.record({
              marks: fc.array(fc.constantFrom('against', 'against', 'fits', 'neither'), {
                minLength: options.length,
                maxLength: options.length,
              }),
              need: fc.integer({ min: 1, max: 3 }),
              grounds: fc.array(fc.record({ group: fc.nat(9), causes: fc.constantFrom(0, 1, 2) }), {
                maxLength: 1,
              }),
              spoiled: fc.array(fc.nat(9), { maxLength: 1 }),
            }),
            { minLength: 1, maxLength: 8 },
          ),
          groupsNeeded: fc.integer({ min: 0, max: 5 }),
          forced: fc.uniqueArray(fc.nat(options.length - 1), { maxLength: 2 }),
        })
        .map(({ rows, groupsNeeded, forced }): PlanProblem => ({
          options: options.map((o) => ({ ...o, character: character('latex') })),
          rows: rows.map((row): Row => ({
            taxon: taxon('cortinarius-rubellus'),
            need: row.need,
            grounds: row.grounds,
            spoiled: new Set(row.spoiled),
            against: Uint8Array.from(row.marks, (m) => (m === 'against' ? 1 : 0)),
            fits: Uint8Array.from(row.marks, (m) => (m === 'fits' ? 1 : 0)),
          })),
          forced,
          fitGroups: new Set(),
          groupsNeeded,
          unseen: [],
        })),
    );
    let solved = 0;
    fc.assert(
      fc.property(instance, (problem) => {
        const ours = solve(problem)?.cost;
        const theirs = optimumByHighs(problem);
        if (ours !== undefined) solved += 1;
        if (theirs === undefined) expect(ours).toBeUndefined();
        else expect(ours).toBeCloseTo(theirs, 6);
      }),
      { numRuns: 250, seed: 11 },
    );
    expect(solved).toBeGreaterThan(60);
  });
});

test('counting bars by groups without shared causes is the same as the largest independent set', () => {
  const ground = fc.record({ group: fc.nat(5), causes: fc.nat(15) });
  fc.assert(
    fc.property(fc.array(ground, { maxLength: 12 }), (grounds) => {
      expect(
        countBars(
          grounds.map((g) => g.group),
          grounds.map((g) => g.causes),
        ),
      ).toBe(largestIndependent(grounds).length);
    }),
    { numRuns: 500 },
  );
});

describe('a plan', () => {
  test.each(collectable.map((t) => [t.id, [...new Set(t.taxon.parts.flatMap((p) => p.stages))]] as const))(
    'for %s, carried out on a usual specimen, ends in collect',
    (id, stages) => {
      for (const stage of stages) {
        const made = plan(guide, withStage(id, stage));
        if (!made.feasible) continue;
        const readings = made.checks.map((check, i) => {
          const value = usualValue(taxon(id), character(check.character), stage);
          if (value === undefined) throw new Error(`${check.character} is not stated`);
          return reading(check.character, value, { minute: i + 1 });
        });
        const verdict = decide(guide, withStage(id, stage, readings));
        expect([id, verdict.outcome === 'collect' || lacksOnlySecondLooks(verdict)]).toEqual([id, true]);
        expect(decide(guide, withStage(id, stage, lookedAtTwice(readings))).outcome).toBe('collect');
        expect(made.seconds).toBe(made.checks.reduce((sum, c) => sum + c.seconds, 0));
      }
      expect(stages.some((stage) => plan(guide, withStage(id, stage)).feasible)).toBe(true);
    },
  );

  test('harmless checks come before harmful ones', () => {
    const made = plan(guide, withStage('cantharellus-cibarius', 'mature'));
    const order = ['none', 'slight', 'part', 'whole'];
    const damages = made.feasible ? made.checks.map((c) => order.indexOf(c.damage)) : [];
    expect(damages.length).toBeGreaterThanOrEqual(8);
    expect([...damages].sort((a, b) => a - b)).toEqual(damages);
  });

  test('goes on from what was read, and never gets dearer by a usual reading', () => {
    let readings: ReturnType<typeof reading>[] = [];
    let before = Infinity;
    for (let step = 0; step < 12; step += 1) {
      const made = plan(guide, withStage('gentiana-lutea', 'fruiting', readings));
      if (!made.feasible) throw new Error('there is a plan');
      expect(made.cost).toBeLessThanOrEqual(before);
      before = made.cost;
      const [next] = made.checks;
      if (!next) break;
      readings = [
        ...readings,
        reading(
          next.character,
          usualValue(taxon('gentiana-lutea'), character(next.character), 'fruiting' as never) ?? '',
          { minute: step + 1 },
        ),
      ];
    }
    expect(before).toBe(0);
  });

  test('keeps to the hands: without a knife nothing is cut, and what then cannot be seen is said', () => {
    const f = withStage('cantharellus-cibarius', 'mature');
    const bare = plan(guide, f, { gear: new Set(['paper']) });
    expect(bare).toMatchObject({ feasible: false });
    expect(!bare.feasible && bare.obstacles).toContainEqual({
      code: 'mark-unseen',
      character: 'stipe.interior',
    });
    const armed = plan(guide, f, { gear: new Set(['knife']) });
    expect(armed.feasible && armed.gear).toEqual(['knife']);
  });

  test('says which taxon cannot be barred', () => {
    const groups = new Set(
      guide.characters.filter((c) => !['smell', 'cap.surface', 'cap.colour'].includes(c.id)).map((c) => c.id),
    );
    const made = plan(guide, withStage('cantharellus-cibarius', 'mature'), { without: groups });
    expect(!made.feasible && made.obstacles).toContainEqual({
      code: 'cannot-bar',
      taxon: 'cortinarius-rubellus',
      most: 1,
      need: 3,
    });
  });

  test('has a plan to fall back on for each of its checks, or says that there is none', () => {
    const f = withStage('hydnum-repandum', 'mature');
    const made = plan(guide, f);
    for (const fallback of fallbacks(guide, f, made)) {
      if (fallback.plan.feasible && made.feasible) {
        expect(fallback.plan.cost).toBeGreaterThanOrEqual(made.cost);
        expect(fallback.plan.checks.map((c) => c.character)).not.toContain(fallback.character);
      } else expect(fallback.plan).toMatchObject({ feasible: false });
    }
  });

  test('after fresh starts it fills the extra bar', () => {
    const pieces = [0, 2, 3].map((minute, i) => ({ id: `p${i}`, startedAt: at(minute), purpose: 'decide' }));
    const shopped = find('hydnum-repandum', [reading('cap.shape', 'flat', { piece: 'p0', minute: 1 })], {
      pieces,
    });
    const rows = problemOf(shopped).rows;
    expect(rows.find((r) => r.taxon.id === 'cortinarius-rubellus')?.need).toBe(4);
  });
});
