/** What somebody may have eaten: what it was is never missing from the list, however it was named. */
import fc from 'fast-check';
import type { Case, FindRecord } from '../src';
import { emptyRecord } from '../src/notebook/find/kinds';
import { couldBe } from '../src/pantry/recall';
import {
  allUsual,
  at,
  collectable,
  dangers,
  followChecks,
  goodContext,
  guide,
  reading,
  taxon,
  usualValue,
} from './finds';

const record = (
  find: Pick<Case, 'kingdom' | 'readings' | 'context'>,
  target?: string,
  more: object = {},
): FindRecord =>
  ({
    ...emptyRecord({ id: 'find-0001', startedAt: at(0), kingdom: find.kingdom, person: 'mirel' }),
    pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
    targets: target === undefined ? [] : [{ id: 't1', at: at(0), taxon: target }],
    context: find.context,
    readings: find.readings,
    ...more,
  }) as unknown as FindRecord;

const names = (all: ReturnType<typeof couldBe>, want: (one: ReturnType<typeof couldBe>[number]) => boolean) =>
  all.filter(want).map((one) => one.taxon.id as string);

test('the true taxon is on the list as not ruled out, whatever it was taken for', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...dangers),
      fc.nat(),
      fc.nat(),
      fc.array(fc.nat(), { maxLength: 14 }),
      (danger, which, when, read) => {
        const targets = collectable.filter(
          (one) => one.taxon.kingdom === danger.taxon.kingdom && one.id !== danger.id,
        );
        const target =
          targets.filter((one) => one.taxon.lookalikes.includes(danger.id))[which % 3] ??
          targets[which % targets.length];
        const stage = danger.taxon.stages[when % danger.taxon.stages.length];
        if (!target || !stage) return;
        // What a true specimen of it shows, as far as it was looked at.
        const shown = guide.characters.flatMap((c) => {
          const value = usualValue(danger, c, stage);
          return value === undefined ? [] : [[c.id, value] as const];
        });
        const readings = read.flatMap((nth) => {
          const one = shown[nth % Math.max(1, shown.length)];
          return one ? [reading(one[0], one[1])] : [];
        });
        const find = {
          kingdom: danger.taxon.kingdom,
          readings,
          context: goodContext(target),
        } as unknown as Case;
        for (const named of [target.id, undefined])
          expect(names(couldBe([record(find, named)], guide), (one) => one.open)).toContain(danger.id);
      },
    ),
    { numRuns: 400 },
  );
});

test('with all ruled out the lookalikes stay, as ruled out; with nothing read all harmful ones do', () => {
  const whole = followChecks('cantharellus-cibarius');
  const after = couldBe([record(whole, whole.target)], guide);
  expect(names(after, (one) => one.open)).toEqual([]);
  expect(names(after, () => true).sort()).toEqual(
    taxon('cantharellus-cibarius')
      .taxon.lookalikes.filter((id) => taxon(id).grade !== 'none')
      .sort(),
  );
  const before = couldBe([record({ ...whole, readings: [] }, whole.target)], guide);
  expect(names(before, (one) => one.open).sort()).toEqual(
    dangers
      .filter((one) => one.taxon.kingdom === 'Fungi')
      .map(({ id }) => id)
      .sort(),
  );
  // First the lookalikes, and of those as of the others the deadly ones first.
  const ranks = before.map(
    (one) => (one.listed ? 0 : 10) + ['deadly', 'serious', 'unpleasant'].indexOf(one.taxon.grade),
  );
  expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
});

test('of several finds in one pan the least looked at counts', () => {
  const whole = followChecks('cantharellus-cibarius');
  const hurried = record(
    { kingdom: 'Fungi', readings: allUsual('hydnum-repandum').slice(0, 1) as never, context: {} },
    'hydnum-repandum',
    { id: 'find-0002' },
  );
  const both = couldBe([record(whole, whole.target), hurried], guide);
  const left = (records: FindRecord[]) => names(couldBe(records, guide), (one) => one.open);
  expect(left([record(whole, whole.target), hurried]).sort()).toEqual(left([hurried]).sort());
  expect(left([hurried]).length).toBeGreaterThan(8);
  // What only the other one is mistaken for comes first all the same.
  const lookalikes = new Set([
    ...taxon('cantharellus-cibarius').taxon.lookalikes,
    ...taxon('hydnum-repandum').taxon.lookalikes,
  ] as string[]);
  const order = left([record(whole, whole.target), hurried]).map((id) => (lookalikes.has(id) ? 0 : 1));
  expect(order).toEqual([...order].sort((a, b) => a - b));
  expect(new Set(both.map((one) => one.taxon.id)).size).toBe(both.length);
});

test('what this guide cannot read rules nothing out, and a find with no piece neither', () => {
  const whole = followChecks('vaccinium-myrtillus');
  const all = dangers.filter((one) => one.taxon.kingdom === 'Plantae').length;
  const odd = record(
    { ...whole, readings: [{ ...whole.readings[0], character: 'leaf.sparkle' }] as never },
    whole.target,
  );
  expect(couldBe([odd], guide).filter((one) => one.open)).toHaveLength(all);
  expect(
    couldBe([record(whole, whole.target, { pieces: [] })], guide).filter((one) => one.open),
  ).toHaveLength(all);
  expect(couldBe([], guide)).toEqual([]);
});
