import fc from 'fast-check';
import {
  canonicalJson,
  CAUSE_BIT,
  compileGuide,
  decide,
  largestIndependent,
  type Case,
  type Verdict,
} from '../src';
import { verdictProblems } from '../src/questions';
import { allUsual, at, character, dangers, find, goodContext, guide, taxon, targets } from './finds';

const RANK = { leave: 0, pause: 1, collect: 2 } as const;
const rank = (verdict: Verdict) => RANK[verdict.outcome];

/** A find of this target: mostly usual readings, some not, one to three looks each, on one or two pieces. */
function finds(id: string): fc.Arbitrary<Case> {
  const target = taxon(id);
  const stage = target.taxon.parts[0]?.stages.at(-1);
  const own = guide.characters.filter(
    (c) => c.character.kingdom === target.taxon.kingdom && c.stateBit.size > 0,
  );
  const oneReading = fc.record({
    character: fc.constantFrom(...own.map((c) => c.id)),
    usual: fc.nat(3).map((n) => n > 0),
    pick: fc.nat(31),
    sureness: fc.constantFrom('sure', 'sure', 'sure', 'fairly', 'guess'),
    piece: fc.constantFrom('p1', 'p1', 'p1', 'p2'),
    minute: fc.nat(200),
    times: fc.constantFrom(1, 1, 2, 3),
  });
  // Half of the finds start from a specimen that was read in full and as it should be, so that *collect* is
  // near.
  return fc.tuple(fc.boolean(), fc.array(oneReading, { minLength: 1, maxLength: 30 })).map(([full, rows]) =>
    find(
      id,
      [
        ...(full ? allUsual(id) : []),
        ...rows.slice(0, full ? 4 : 30).flatMap((row, index) => {
          const c = character(row.character);
          const known = stage && target.atStage.get(c.index)?.get(stage);
          const states = [...c.stateBit]
            .filter(([, bit]) => !row.usual || known?.kind !== 'states' || (known.usual & bit) !== 0)
            .map(([s]) => s);
          return Array.from({ length: row.times }, (_, time) => ({
            id: `extra${index}-${time}`,
            piece: row.piece,
            character: row.character,
            value: { kind: 'states', states: [states[row.pick % states.length]] },
            sureness: row.sureness,
            by: 'ilse',
            at: at(row.minute + time),
          }));
        }),
      ],
      {
        pieces: [
          { id: 'p1', startedAt: at(0), purpose: 'decide' },
          { id: 'p2', startedAt: at(0), purpose: 'compare' },
        ],
        context: goodContext(target),
      },
    ),
  );
}

const anyFind = fc.constantFrom(...targets.map((t) => t.id)).chain(finds);
const RUNS = { numRuns: Number(process.env.PAUSE_RUNS ?? 300) };

test('every verdict is one from outside too; with anything more in it, or anything less, it is none', () => {
  const codes = new Set<string>();
  for (const find of fc.sample(anyFind, { numRuns: 150, seed: 8 })) {
    const verdict = JSON.parse(JSON.stringify(decide(guide, find))) as Verdict & Record<string, object>;
    expect(verdictProblems(verdict)).toEqual([]);
    for (const { code } of verdict.reasons) codes.add(code);
    const [reason, ...reasons] = verdict.reasons;
    const without = <K extends string>(member: K, { [member]: _, ...rest }: Record<K, unknown>) =>
      rest as unknown as Verdict;
    const spoiled = [
      { ...verdict, junk: 'x' },
      { ...verdict, holds: { ...verdict.holds, junk: 1 } },
      { ...verdict, reasons: [{ ...reason, junk: 1 }, ...reasons] },
      { ...verdict, reasons: [{ code: 'unheard-of', weight: 'note' }] },
      { ...verdict, rows: verdict.rows.map((row) => ({ ...row, junk: 1 })) },
      ...['target', 'piece', 'reasons', 'rows', 'holds', 'leansOn'].map((member) => without(member, verdict)),
    ];
    for (const one of spoiled.filter((_, n) => n !== 4 || verdict.rows.length > 0))
      expect(verdictProblems(one as Verdict)).not.toEqual([]);
  }
  expect(codes.size).toBeGreaterThan(10);
});

test('the finds are worth trying: all three verdicts are among them', () => {
  const outcomes = fc.sample(anyFind, { numRuns: 300, seed: 7 }).map((find) => decide(guide, find).outcome);
  expect(new Set(outcomes)).toEqual(new Set(['collect', 'pause', 'leave']));
  expect(outcomes.filter((o) => o === 'collect').length).toBeGreaterThan(20);
});

test('the order of readings does not matter, to the byte', () => {
  fc.assert(
    fc.property(anyFind, fc.infiniteStream(fc.nat()), (find, keys) => {
      const shuffled = find.readings
        .map((r) => [keys.next().value ?? 0, r] as const)
        .sort((a, b) => a[0] - b[0])
        .map(([, r]) => r);
      expect(canonicalJson(decide(guide, { ...find, readings: shuffled }))).toBe(
        canonicalJson(decide(guide, find)),
      );
    }),
    RUNS,
  );
});

test('a reading on a compared piece never raises a verdict', () => {
  fc.assert(
    fc.property(anyFind, (find) => {
      const without = { ...find, readings: find.readings.filter((r) => r.piece === 'p1') };
      expect(rank(decide(guide, find))).toBeLessThanOrEqual(rank(decide(guide, without)));
    }),
    RUNS,
  );
});

test('taking back and skipping never raise a verdict', () => {
  fc.assert(
    fc.property(anyFind, fc.nat(), (find, pick) => {
      const victim = find.readings[pick % find.readings.length];
      if (!victim) return;
      const before = rank(decide(guide, find));
      // Now, after everything that was read.
      const withdrawals = [{ reading: victim.id, at: '2027-01-01T00:00:00.000Z' }];
      expect(rank(decide(guide, { ...find, withdrawals }))).toBeLessThanOrEqual(before);
      const skips = [{ character: victim.character, piece: victim.piece, at: at(300) }];
      expect(rank(decide(guide, { ...find, skips }))).toBeLessThanOrEqual(before);
    }),
    RUNS,
  );
});

test('a further reading takes a bar away only by a dispute, or by fitting that taxon in the same group', () => {
  fc.assert(
    fc.property(anyFind, (find) => {
      const last = find.readings.at(-1);
      if (!last) return;
      const before = decide(guide, { ...find, readings: find.readings.slice(0, -1) });
      const after = decide(guide, find);
      const added = character(last.character);
      const disputed = after.reasons.flatMap((r) =>
        r.code === 'disputed' ? [character(r.character).group] : [],
      );
      for (const row of after.rows) {
        const old = before.rows.find((r) => r.taxon === row.taxon);
        if (!old || row.bars.length >= old.bars.length) continue;
        const known = taxon(row.taxon).overall.get(added.index);
        const bit =
          last.value.kind === 'states'
            ? last.value.states.reduce((m, s) => m | (added.stateBit.get(s) ?? 0), 0)
            : 0;
        const fits = known?.kind === 'states' && (known.usual & bit) !== 0;
        expect(fits || disputed.includes(added.group)).toBe(true);
      }
    }),
    RUNS,
  );
});

test('what nobody has said of a taxon never rules it out', () => {
  const some = fc.constantFrom(...dangers).chain((danger) =>
    fc.record({
      danger: fc.constant(danger),
      unsaid: fc.subarray([...new Set(danger.taxon.statements.map((s) => s.character as string))], {
        minLength: 1,
      }),
    }),
  );
  let barred = 0;
  fc.assert(
    fc.property(some, fc.constantFrom(...targets.map((t) => t.id)), ({ danger, unsaid }, id) => {
      const silent = compileGuide({
        ...guide.guide,
        taxa: guide.guide.taxa.map((t) =>
          t.id === danger.id
            ? { ...t, statements: t.statements.filter((s) => !unsaid.includes(s.character)) }
            : t,
        ),
      });
      const row = decide(silent, find(id, allUsual(id))).rows.find((r) => r.taxon === danger.id);
      barred += row?.bars.length ?? 0;
      for (const bar of row?.bars ?? [])
        expect([bar.character, unsaid.includes(bar.character)]).toEqual([bar.character, false]);
    }),
    { numRuns: 60 },
  );
  expect(barred).toBeGreaterThan(0);
});

test('a mistaken stage makes no bar', () => {
  fc.assert(
    fc.property(anyFind, fc.nat(2), (find, pick) => {
      const stages = guide.guide.stages.filter((s) => s.kingdom === find.kingdom).map((s) => s.id);
      const stage = stages[pick % stages.length];
      if (!stage) return;
      const moved = decide(guide, { ...find, context: { ...find.context, stages: [stage] } });
      expect(moved.rows).toEqual(decide(guide, find).rows);
    }),
    RUNS,
  );
});

/** Every subset, the slow way: the independent method for the largest set of grounds. */
function largestByTrying(grounds: readonly { group: number; causes: number }[]): number {
  let best = 0;
  for (let chosen = 0; chosen < 1 << grounds.length; chosen += 1) {
    const taken = grounds.filter((_, i) => (chosen & (1 << i)) !== 0);
    const groups = new Set(taken.map((g) => g.group));
    const causes = taken.reduce(
      (sum, g) => sum + Object.values(CAUSE_BIT).filter((bit) => (g.causes & bit) !== 0).length,
      0,
    );
    const distinct = Object.values(CAUSE_BIT).filter((bit) =>
      taken.some((g) => (g.causes & bit) !== 0),
    ).length;
    if (groups.size === taken.length && causes === distinct) best = Math.max(best, taken.length);
  }
  return best;
}

test('the largest set that shares no cause is as large as trying every subset finds, and shares none', () => {
  const ground = fc.record({ group: fc.nat(5), causes: fc.nat(15) });
  fc.assert(
    fc.property(fc.array(ground, { maxLength: 10 }), (grounds) => {
      const chosen = largestIndependent(grounds);
      expect(chosen).toHaveLength(largestByTrying(grounds));
      expect(largestByTrying(chosen)).toBe(chosen.length);
    }),
    { numRuns: 500 },
  );
});
