/**
 * What comes from what, what is left of it, what is found again when something no longer stands, first
 * tastes, and the logbook in open files.
 */
import * as fc from 'fast-check';
import { shippedGuide } from '@pause/guide';
import { compileGuide, decide, type CompiledGuide, type FindRecord } from '../src';
import {
  entriesOfFind,
  entriesOfPage,
  exportOf,
  occurrencesOf,
  readOccurrences,
  readTable,
  tableOf,
  toDarwinCore,
  toTable,
  yearOf,
  yearsOf,
} from '../src/formats/logbook';
import { parseGuide } from '../src/guide/parse';
import { applyToPage, parseEntry, type PageEntry, type PageRecord } from '../src/notebook';
import { applyEntry } from '../src/notebook/find';
import {
  ancestorsOf,
  batchOfAddress,
  descendantOf,
  descendantsOf,
  descentOf,
  labelAddress,
  isImprobablyMade,
  labelLines,
  leftOf,
  madeProblem,
  onTheSpotProblem,
  shortCode,
  takenOf,
  takingProblem,
  wouldCircle,
  type Descendant,
} from '../src/pantry';
import { causeOf, recall, recallPlainly, strayCause, strayCauses, type Cause } from '../src/pantry/recall';
import { reminderDue, tasteRefusals, tasteState, WAIT_HOURS } from '../src/pantry/tasting';
import { followChecks, guide, taxon } from './finds';

const AT = '2026-09-14T08:00:00.000Z';
function page(id: string, kind: string, fields: Record<string, unknown>, person = 'mirel'): PageRecord {
  const entries = [
    { page: id, kind: 'pages', body: { id, at: AT, by: person, kind } },
    ...Object.entries(fields).map(([field, value]) => ({
      page: id,
      kind: 'fields',
      stamp: `${AT}-0000-karrow`,
      body: { id: `${id}-${field}`, at: AT, by: person, of: kind, field, value },
    })),
  ];
  return entries.reduce<PageRecord | undefined>((now, raw) => {
    const parsed = parseEntry(raw);
    if ('problems' in parsed) throw new Error(JSON.stringify(parsed.problems));
    return applyToPage(now, parsed.entry as PageEntry);
  }, undefined) as PageRecord;
}
const harvest = (id: string, find: string, more: object = {}) =>
  page(id, 'harvest', {
    find,
    taxon: 'cantharellus-cibarius',
    part: 'fruiting-body',
    on: '2026-09-14',
    ...more,
  });
const batch = (id: string, from: readonly object[], more: object = {}) =>
  page(id, 'batch', {
    name: 'Dried',
    from,
    contents: [{ taxon: 'cantharellus-cibarius', part: 'fruiting-body' }],
    method: 'dry',
    on: '2026-09-14',
    ...more,
  });
const refusedFields = (fields: Record<string, unknown>, kind = 'batch') =>
  Object.entries(fields).flatMap(([field, value]) => {
    const parsed = parseEntry({
      page: 'batch-one',
      kind: 'fields',
      body: { id: 'field-one', at: AT, by: 'mirel', of: kind, field, value },
    });
    return 'problems' in parsed ? parsed.problems.map((one) => one.field) : [];
  });

describe('what comes from what', () => {
  const pages = [
    harvest('harvest-one', 'find-one'),
    harvest('harvest-two', 'find-two'),
    batch('batch-one', [{ of: 'harvest', id: 'harvest-one' }]),
    batch('batch-two', [{ of: 'harvest', id: 'harvest-two' }]),
    batch('batch-mixed', [
      { of: 'batch', id: 'batch-one', amount: { amount: 20, unit: 'g' } },
      { of: 'batch', id: 'batch-two' },
    ]),
    page('meal-one', 'portion', {
      what: 'meal',
      at: AT,
      of: [{ of: 'batch', id: 'batch-mixed', amount: { amount: 10, unit: 'g' } }],
      who: ['Lune'],
    }),
    page('place-one', 'place', { name: 'Heath' }),
  ];
  const descent = descentOf(pages.flatMap((one) => descendantOf(one) ?? []));

  test('a mixed batch keeps all that it comes from, up to every find', () => {
    expect(new Set(ancestorsOf(descent, 'meal-one'))).toEqual(
      new Set([
        'batch-mixed',
        'batch-one',
        'batch-two',
        'harvest-one',
        'harvest-two',
        'find-one',
        'find-two',
      ]),
    );
    expect(descendantsOf(descent, ['find-two'])).toEqual([
      'harvest-two',
      'batch-two',
      'batch-mixed',
      'meal-one',
    ]);
    expect(descent.kinds.get('find-one')).toBe('find');
    expect(descent.kinds.has('place-one')).toBe(false);
  });
  test('nothing comes from itself, by whatever way; and a circle that was told all the same ends', () => {
    expect(wouldCircle(descent, 'batch-one', ['batch-one'])).toBe(true);
    expect(wouldCircle(descent, 'batch-one', ['batch-mixed'])).toBe(true);
    expect(wouldCircle(descent, 'batch-mixed', ['batch-one'])).toBe(false);
    const circle = descentOf([
      { id: 'a', kind: 'batch', parents: ['b'] },
      { id: 'b', kind: 'batch', parents: ['a'] },
    ]);
    expect(ancestorsOf(circle, 'a')).toEqual(['b']);
    expect(recall(circle, [{ code: 'stray', of: 'a', grade: 'deadly' }]).map(({ id }) => id)).toEqual([
      'a',
      'b',
    ]);
  });
  test.each([
    [{ made: { amount: -5, unit: 'g' } }, 'body.value.amount'],
    [{ made: { amount: 5, unit: 'litre' } }, 'body.value.unit'],
    [{ figures: { strength: 140 } }, 'body.value.strength'],
    [{ figures: { sugarShare: 1.5 } }, 'body.value.sugarShare'],
    [{ from: [] }, 'body.value'],
    [{ bestBefore: 'soon' }, 'body.value'],
    [{ weighings: [{ at: AT, what: 'all', grams: -3 }] }, 'body.value.0.grams'],
    [{ cooked: { how: 'boil', minutes: -1 } }, 'body.value.minutes'],
    [{ timers: [{ id: 't1', step: 'x', startedAt: AT, minutes: 0 }] }, 'body.value.0.minutes'],
  ])('%j is refused by name', (fields, field) => {
    expect(refusedFields(fields)).toEqual([field]);
  });
});

describe('what is left', () => {
  test('what went into others, was eaten and given is no longer there; without an amount it was all of it', () => {
    const others = [
      { sources: [{ of: 'batch' as const, id: 'b', amount: { amount: 20, unit: 'g' as const } }] },
      {
        sources: [
          { of: 'batch' as const, id: 'b', amount: { amount: 30, unit: 'g' as const } },
          { of: 'batch' as const, id: 'c' },
        ],
      },
    ];
    expect(leftOf({ amount: 80, unit: 'g' }, takenOf('b', others))).toEqual({ amount: 30, unit: 'g' });
    expect(leftOf({ amount: 80, unit: 'g' }, takenOf('c', others))).toEqual({ amount: 0, unit: 'g' });
    expect(leftOf({ amount: 80, unit: 'g' }, [], true)).toEqual({ amount: 0, unit: 'g' });
    expect(leftOf(undefined, [])).toBeUndefined();
  });
  test('more than there is, in another unit, or more than went in, is refused by name', () => {
    const left = { amount: 30, unit: 'g' as const };
    expect(takingProblem('amount', { amount: 31, unit: 'g' }, left)).toEqual({
      field: 'amount',
      reason: 'no more than the 30 grams that are left',
    });
    expect(takingProblem('amount', { amount: 0.5, unit: 'ml' }, left)?.reason).toBe(
      'in grams, as it was put down',
    );
    expect(takingProblem('amount', { amount: 30, unit: 'g' }, left)).toBeUndefined();
    expect(madeProblem('dry', 500, { amount: 600, unit: 'g' })).toEqual({
      field: 'made',
      reason: 'no more than the 500 grams that went in',
    });
    expect(madeProblem('dry', 500, { amount: 60, unit: 'ml' })?.field).toBe('made');
    expect(madeProblem('syrup', 500, { amount: 900, unit: 'ml' })).toBeUndefined();
    // What is improbable is asked back: more than a household makes, or ten times what went in.
    const asked = (
      [
        [600, 'ml', 300],
        [3200, 'ml', 300],
        [3200, 'ml', undefined],
        [60_000, 'ml', undefined],
        [40, 'piece', 300],
        [600, 'piece', 300],
        [900, 'g', 800],
      ] as const
    ).map(([amount, unit, grams]) => isImprobablyMade({ amount, unit }, grams));
    expect(asked).toEqual([false, true, false, true, false, true, false]);
    expect(onTheSpotProblem('Fungi', 'meal', [{ of: 'find', id: 'f' }])?.field).toBe('of');
    expect(onTheSpotProblem('Plantae', 'meal', [{ of: 'find', id: 'f' }])).toBeUndefined();
  });
});

test('a jar says what it is without any phone, and its square leads back to its page', () => {
  const id = '0f7e3c1a-1111-4222-8333-abcdef123456';
  const lines = labelLines({
    id,
    name: 'Chanterelles, dried',
    contents: [{ scientificName: 'Cantharellus cibarius', part: 'whole mushroom' }],
    method: 'dried',
    on: '14 September 2026',
    bestBefore: 'Best before September 2027',
    warnings: ['Cook it before it is eaten.'],
  });
  expect(lines).toEqual([
    'Chanterelles, dried',
    'Cantharellus cibarius, whole mushroom',
    'dried, 14 September 2026',
    'Best before September 2027',
    'Cook it before it is eaten.',
    'EF123456',
  ]);
  expect(shortCode(id)).toBe('EF123456');
  expect(batchOfAddress(labelAddress('http://127.0.0.1:8080', id))).toBe(id);
  for (const elsewhere of ['http://127.0.0.1/find/abc', 'hello', 'http://x/batch/../me'])
    expect(batchOfAddress(elsewhere)).toBeUndefined();
});

/** A find that was followed to *collect*, with its decision on record. */
function collected(id: string, target: string, by: CompiledGuide = guide): FindRecord {
  const find = followChecks(target);
  const verdict = decide(by, find);
  const record = {
    id,
    startedAt: AT,
    kingdom: find.kingdom,
    person: 'mirel',
    pieces: find.pieces,
    targets: [{ taxon: find.target, at: AT, id: `${id}-target` }],
    told: [{ id: `${id}-told`, at: AT, context: find.context }],
    context: find.context,
    readings: find.readings,
    withdrawals: [],
    skips: [],
    verdicts: [{ id: `${id}-verdict`, at: '2026-09-14T10:00:00.000Z', verdict }],
    decisions: [
      {
        id: `${id}-decision`,
        at: '2026-09-14T10:01:00.000Z',
        verdict: `${id}-verdict`,
        choice: 'collect',
        by: 'mirel',
      },
    ],
    edits: [],
    consents: [],
    asks: [],
    reveals: [],
    pictures: [],
    drops: [],
    counted: [],
  };
  return record as unknown as FindRecord;
}
const corrected = (() => {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; scientificName: string; statements: unknown[] }[];
  };
  raw.taxa.push({
    ...raw.taxa.find((t) => t.id === 'cortinarius-rubellus')!,
    id: 'cortinarius-nowhere',
    scientificName: 'Cortinarius nowhere',
    statements: [],
  });
  return compileGuide(parseGuide(raw));
})();

describe('recall', () => {
  const record = collected('find-one', 'cantharellus-cibarius');

  test('a corrected guide says which statement changed, and whose reading found it', () => {
    const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
      taxa: { id: string; statements: { character: string; usual?: string[]; readBy?: string[] }[] }[];
    };
    const webcap = raw.taxa.find(({ id }) => id === 'cortinarius-rubellus')!;
    for (const one of webcap.statements)
      if (one.character === 'hymenophore.bond')
        Object.assign(one, {
          usual: [...new Set([...one.usual!, 'inseparable'])],
          readBy: ['fungi', 'second'],
        });
    const cause = causeOf(record, compileGuide(parseGuide(raw)));
    expect(cause).toMatchObject({
      because: 'guide',
      outcome: 'pause',
      changed: [
        { taxon: 'cortinarius-rubellus', character: 'hymenophore.bond', readBy: ['fungi', 'second'] },
      ],
    });
  });

  test('a stored verdict that says no more than its outcome is recalled all the same', () => {
    const [{ verdict, ...rest }] = record.verdicts as [(typeof record.verdicts)[number]];
    const bare = {
      ...record,
      verdicts: [{ ...rest, verdict: { outcome: verdict.outcome, guide: verdict.guide } as typeof verdict }],
    };
    expect(causeOf(bare, corrected)).toEqual({
      code: 'verdict',
      of: 'find-one',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
    });
  });

  test('what the target itself no longer shows is named as well', () => {
    const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
      taxa: { id: string; statements: { character: string; usual?: string[]; occasional?: string[] }[] }[];
    };
    const chanterelle = raw.taxa.find(({ id }) => id === 'cantharellus-cibarius')!;
    for (const one of chanterelle.statements)
      if (one.character === 'stipe.interior') {
        one.usual = ['hollow'];
        delete one.occasional;
      }
    const cause = causeOf(record, compileGuide(parseGuide(raw)));
    expect(
      cause?.code === 'verdict' && cause.changed?.map(({ taxon, character }) => [taxon, character]),
    ).toContainEqual(['cantharellus-cibarius', 'stipe.interior']);
  });

  test('with the same guide and no rules of a group, it is Pause’s own rules that grew stricter', () => {
    const once: FindRecord = {
      ...record,
      readings: record.readings.filter(
        ({ character }, i, all) => all.findIndex((one) => one.character === character) === i,
      ),
    };
    expect(causeOf(once, guide)).toMatchObject({ because: 'rules', outcome: 'pause' });
  });

  test('what still stands is no cause; a corrected guide, a withdrawn reading and another decision each are', () => {
    expect(causeOf(record, guide)).toBeUndefined();
    expect(causeOf(record, corrected)).toEqual({
      code: 'verdict',
      of: 'find-one',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
      changed: [{ taxon: 'cortinarius-nowhere', readBy: [] }],
    });
    const slip = {
      ...record,
      withdrawals: record.readings
        .slice(0, 3)
        .map(({ id }) => ({ reading: id, at: '2026-09-15T08:00:00.000Z' })),
    };
    expect(causeOf(slip, guide)).toMatchObject({ code: 'verdict', because: 'record', outcome: 'pause' });
    const left: FindRecord = {
      ...record,
      decisions: [
        ...record.decisions,
        {
          id: 'd2',
          at: '2026-09-15T08:00:00.000Z',
          verdict: 'find-one-verdict',
          choice: 'leave',
          by: 'mirel',
        },
      ],
    };
    expect(causeOf(left, guide)).toMatchObject({ code: 'decision', of: 'find-one' });
    expect(causeOf({ ...record, decisions: [] }, corrected)).toBeUndefined();
    expect(strayCause('h', ['none', 'unpleasant'])).toBeUndefined();
    expect(strayCause('h', ['none', 'deadly', 'serious'])).toEqual({
      code: 'stray',
      of: 'h',
      grade: 'deadly',
    });
  });

  test('all that descends from it is found once, with why, by which way, and what to do', () => {
    const descent = descentOf([
      { id: 'h', kind: 'harvest', parents: ['find-one'] },
      { id: 'h2', kind: 'harvest', parents: ['find-two'] },
      { id: 'b', kind: 'batch', parents: ['h'] },
      { id: 'mixed', kind: 'batch', parents: ['b', 'h2'] },
      { id: 'meal', kind: 'portion', parents: ['mixed'] },
      { id: 'gift', kind: 'portion', parents: ['b'] },
      { id: 'other', kind: 'batch', parents: ['h3'] },
    ]);
    const guideCause: Cause = {
      code: 'verdict',
      of: 'find-one',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
    };
    const stray: Cause = { code: 'stray', of: 'h2', grade: 'deadly' };
    const hits = recall(descent, [guideCause, stray], (id) => id === 'gift');
    expect(hits.map(({ id, measure }) => [id, measure])).toEqual([
      ['find-one', 'hold'],
      ['h', 'hold'],
      ['b', 'hold'],
      ['mixed', 'discard'],
      ['gift', 'warn'],
      ['meal', 'watch'],
      ['h2', 'hold'],
    ]);
    expect(hits.find(({ id }) => id === 'mixed')).toMatchObject({
      causes: [guideCause, stray],
      way: ['find-one', 'h', 'b', 'mixed'],
    });
    expect(
      recall(descent, [{ code: 'stray', of: 'h2', grade: 'serious' }]).map(({ id, measure }) => [
        id,
        measure,
      ]),
    ).toEqual([
      ['h2', 'look-again'],
      ['mixed', 'hold'],
      ['meal', 'watch'],
    ]);
    expect(recall(descent, [{ ...guideCause, outcome: 'leave' }]).find(({ id }) => id === 'b')?.measure).toBe(
      'discard',
    );
  });

  test('a deadly stray puts all that lay in the same bag in question, and nothing else', () => {
    const one = { person: 'mirel', on: '2026-09-14', bag: 'Basket', grades: [] };
    const causes = strayCauses([
      { ...one, id: 'a', grades: ['deadly'] },
      { ...one, id: 'b', bag: ' basket ' },
      { ...one, id: 'c', bag: 'tin' },
      { ...one, id: 'd', on: '2026-09-13' },
      { ...one, id: 'e', person: 'tam' },
      { id: 'f', person: 'mirel', grades: [] },
      { ...one, id: 'g', grades: ['unpleasant'] },
    ]);
    expect(causes.map(({ of }) => of)).toEqual(['a', 'b', 'g']);
    expect(causes[1]).toEqual({ code: 'stray', of: 'b', grade: 'deadly', touched: true });
    expect(
      strayCauses([
        { ...one, id: 'a', grades: ['serious'] },
        { ...one, id: 'b' },
      ]).map(({ of }) => of),
    ).toEqual(['a']);
  });

  test('nothing is missed and nothing is found that does not descend: the same as a plain walk, for any descent', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 0, max: 40 }),
            fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 4 }),
          ),
          { maxLength: 60 },
        ),
        fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 5 }),
        (rows, of) => {
          const all: Descendant[] = rows.map(([, parents], at) => ({
            id: `n${at}`,
            kind: 'batch',
            parents: parents.map((one) => `n${one}`),
          }));
          const causes: Cause[] = of.map((one) => ({ code: 'stray', of: `n${one}`, grade: 'serious' }));
          const descent = descentOf(all);
          expect(new Set(recall(descent, causes).map(({ id }) => id))).toEqual(
            recallPlainly(descent, causes),
          );
        },
      ),
    );
  });
});

describe('a first taste', () => {
  const target = taxon('vaccinium-myrtillus');
  const base = {
    taxon: target,
    part: target.taxon.parts[0]!,
    cautions: [],
    holds: true,
    ready: true,
    others: [],
    now: new Date(AT),
  };
  test('one grown person, one new thing, made ready, of a find that stands', () => {
    expect(tasteRefusals(base)).toEqual([]);
    expect(
      tasteRefusals({ ...base, holds: false, ready: false, cautions: ['child'] }).map(({ code }) => code),
    ).toEqual(['recalled', 'child', 'not-ready']);
    expect(
      tasteRefusals({
        ...base,
        others: [{ taxon: 'juniperus-communis', at: '2026-09-13T20:00:00.000Z', ended: false }],
      }),
    ).toEqual([{ code: 'another-new', taxon: 'juniperus-communis' }]);
    expect(
      tasteRefusals({
        ...base,
        others: [
          { taxon: 'juniperus-communis', at: '2026-09-13T20:00:00.000Z', ended: true },
          { taxon: 'corylus-avellana', at: '2026-09-12T20:00:00.000Z', ended: false },
        ],
      }),
    ).toEqual([]);
    const hazel = taxon('corylus-avellana');
    expect(
      tasteRefusals({ ...base, taxon: hazel, part: hazel.taxon.parts[0]!, cautions: ['allergy:nuts'] }),
    ).toMatchObject([{ code: 'caution', caution: 'allergy:nuts' }]);
    const comfrey = taxon('symphytum-officinale');
    expect(
      tasteRefusals({ ...base, taxon: comfrey, part: comfrey.taxon.parts[0]! }).map(({ code }) => code),
    ).toContain('not-eaten');
  });
  test('it waits a day, asks now and then, stops at the first sign, and knows a clock that was set back', () => {
    const after = (hours: number) => new Date(Date.parse(AT) + hours * 3_600_000);
    expect(tasteState(AT, [], after(2))).toEqual({ state: 'waiting', hoursLeft: 22, askAt: after(4) });
    expect(tasteState(AT, [], after(WAIT_HOURS))).toEqual({ state: 'waited' });
    expect(tasteState(AT, [{ sign: 'skin' }], after(2))).toEqual({ state: 'stop', call: false });
    expect(tasteState(AT, [{ sign: 'breath' }], after(2))).toEqual({ state: 'stop', call: true });
    expect(tasteState(AT, [{ sign: 'skin' }, { sign: 'stomach' }], after(2))).toEqual({
      state: 'stop',
      call: true,
    });
    expect(tasteState(AT, [], after(-3))).toEqual({ state: 'clock-set-back' });
    expect(
      [0.5, 1, 3.9, 5, 13, 30].map((hours) => reminderDue(AT, [after(1.2).toISOString()], after(hours))),
    ).toEqual([undefined, undefined, undefined, 4, 12, 24]);
    expect(reminderDue(AT, [after(4.5).toISOString()], after(5))).toBeUndefined();
  });
});

describe('the logbook', () => {
  test('a year is counted by kind, month and taxon', () => {
    const year = yearOf({
      year: 2026,
      finds: [
        { startedAt: '2026-09-14T08:00:00Z', target: 'a', choice: 'collect' },
        { startedAt: '2026-09-15T08:00:00Z', target: 'a', choice: 'leave' },
        { startedAt: '2026-03-01T08:00:00Z', target: 'b' },
        { startedAt: '2025-09-14T08:00:00Z', target: 'a', choice: 'collect' },
      ],
      harvests: [
        { on: '2026-09-14', taxon: 'a', grams: 300 },
        { on: '2025-09-14', taxon: 'a', grams: 999 },
      ],
      batches: ['2026-09-15'],
      meals: ['2026-09-16T12:00:00Z', '2025-01-01T12:00:00Z'],
    });
    expect(year).toMatchObject({
      finds: 3,
      collected: 1,
      left: 1,
      open: 1,
      grams: 300,
      batches: 1,
      meals: 1,
      taxa: [
        { taxon: 'a', finds: 2, collected: 1, left: 1, grams: 300 },
        { taxon: 'b', finds: 1, grams: 0 },
      ],
    });
    expect(year.months[8]).toEqual({ collected: 1, other: 1 });
    expect(yearsOf(['2026-09-14', '2024-01-01', '2026-01-01'])).toEqual([2026, 2024]);
  });

  test('everything is there again after going out and coming in', () => {
    const find = collected('find-0001', 'cantharellus-cibarius');
    const told = entriesOfFind(find);
    const again = told.map((entry) => {
      const parsed = parseEntry(JSON.parse(JSON.stringify(entry)));
      if ('problems' in parsed) throw new Error(JSON.stringify(parsed.problems));
      return parsed.entry;
    });
    const back = again.reduce<FindRecord | undefined>(
      (record, entry) => applyEntry(record, entry as never),
      undefined,
    );
    expect(back).toEqual(find);
    const dried = batch('batch-one', [{ of: 'harvest', id: 'harvest-one' }], {
      made: { amount: 60, unit: 'g' },
    });
    expect(entriesOfPage(dried).reduce<PageRecord | undefined>(applyToPage, undefined)).toEqual(dried);
    const whole = exportOf({ id: 'mirel', name: 'Mirel' }, [find], [dried]);
    expect(whole.own).toHaveLength(told.length + 1 + 6);
    expect(whole.inGroups).toEqual([]);
  });

  const finds = [
    collected('find-0001', 'cantharellus-cibarius'),
    {
      ...collected('find-0002', 'vaccinium-myrtillus'),
      placeNote: '=cmd|calc, "quoted"\nand a line',
      edits: [
        {
          id: 'edit-0001',
          at: AT,
          by: 'mirel',
          field: 'position',
          value: { decimalLatitude: 46.55, decimalLongitude: 12.2, coordinateUncertaintyInMeters: 30 },
        },
      ],
    } as FindRecord,
  ];
  test('occurrences are Darwin Core, and read back as finds that nobody checked', () => {
    const csv = toDarwinCore(occurrencesOf(finds, guide, (person) => person));
    // No spreadsheet takes a text for a formula.
    expect(csv).not.toMatch(/(^|,)"?=/m);
    const { rows, problems } = readOccurrences(csv, guide);
    expect(problems).toEqual([]);
    expect(rows).toEqual([
      {
        id: 'find-0001',
        startedAt: AT,
        kingdom: 'Fungi',
        taxon: 'cantharellus-cibarius',
        bodyPlan: 'cantharelloid',
      },
      {
        id: 'find-0002',
        startedAt: AT,
        kingdom: 'Plantae',
        taxon: 'vaccinium-myrtillus',
        bodyPlan: taxon('vaccinium-myrtillus').taxon.bodyPlan,
        placeNote: '=cmd|calc, "quoted"\nand a line',
        position: { decimalLatitude: 46.55, decimalLongitude: 12.2, coordinateUncertaintyInMeters: 30 },
      },
    ]);
  });
  test.each([
    ['eventDate,scientificName\n2026-13-40,Vaccinium myrtillus', 'line 2, eventDate'],
    ['eventDate,scientificName\n2026-09-14,', 'line 2, scientificName'],
    ['eventDate,scientificName\n2026-09-14,Quercus robur', 'line 2, kingdom'],
    ['scientificName\nVaccinium myrtillus', 'file'],
    [
      'eventDate,scientificName,decimalLatitude,decimalLongitude\n2026-09-14,Vaccinium myrtillus,146,12',
      'line 2, decimalLatitude',
    ],
    [
      'eventDate,scientificName,decimalLatitude\n2026-09-14,Vaccinium myrtillus,46',
      'line 2, decimalLatitude',
    ],
    ['eventDate,scientificName\n2026-09-14,Vaccinium myrtillus,7', 'line 2'],
  ])('a wrong row is left out and named (%#)', (csv, field) => {
    const { rows, problems } = readOccurrences(csv, guide);
    expect(rows).toEqual([]);
    expect(problems.map((one) => one.field)).toEqual([field]);
  });
  test('a name with its author, and one of no taxon of the guide with its kingdom, are taken', () => {
    expect(
      readOccurrences(
        'eventDate,scientificName,kingdom\n2026-09-14,Vaccinium myrtillus L.,Plantae\n2026-09-14,Quercus robur,Plantae',
        guide,
      ).rows,
    ).toEqual([
      {
        startedAt: '2026-09-14T12:00:00.000Z',
        kingdom: 'Plantae',
        taxon: 'vaccinium-myrtillus',
        bodyPlan: taxon('vaccinium-myrtillus').taxon.bodyPlan,
      },
      { startedAt: '2026-09-14T12:00:00.000Z', kingdom: 'Plantae', note: 'Quercus robur' },
    ]);
  });

  test('one table of all of it, out and in', () => {
    const pages = [
      harvest('harvest-one', 'find-0001', { taken: { amount: 2, unit: 'litre' } }),
      batch(
        'batch-one',
        [
          { of: 'harvest', id: 'harvest-one' },
          { of: 'batch', id: 'batch-zero', amount: { amount: 20, unit: 'g' } },
        ],
        { made: { amount: 60, unit: 'g' }, bestBefore: '2027-09-14' },
      ),
      page('meal-one', 'portion', {
        what: 'meal',
        at: AT,
        of: [{ of: 'batch', id: 'batch-one' }],
        who: ['Lune'],
        dish: 'Soup',
      }),
    ];
    const { rows, problems } = readTable(toTable(tableOf(finds, pages)), guide);
    expect(problems).toEqual([]);
    expect(rows.find(({ kind }) => kind === 'harvest')).toEqual({
      kind: 'harvest',
      id: 'harvest-one',
      fields: {
        find: 'find-0001',
        taxon: 'cantharellus-cibarius',
        part: 'fruiting-body',
        on: '2026-09-14',
        taken: { amount: 2, unit: 'litre' },
      },
    });
    expect(rows.find(({ kind }) => kind === 'batch')).toEqual({
      kind: 'batch',
      id: 'batch-one',
      fields: {
        name: 'Dried',
        from: [
          { of: 'harvest', id: 'harvest-one' },
          { of: 'batch', id: 'batch-zero', amount: { amount: 20, unit: 'g' } },
        ],
        contents: [{ taxon: 'cantharellus-cibarius', part: 'fruiting-body' }],
        method: 'dry',
        on: '2026-09-14',
        made: { amount: 60, unit: 'g' },
        bestBefore: '2027-09-14',
      },
    });
    expect(rows.filter(({ kind }) => kind === 'find')).toHaveLength(2);
  });
  test.each([
    [
      'batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,-3,g,syrup,harvest:harvest-one',
      'line 2, amount',
    ],
    [
      'batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,litre,syrup,harvest:harvest-one',
      'line 2, unit',
    ],
    [
      'batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,g,conjure,harvest:harvest-one',
      'line 2, method',
    ],
    ['batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,g,syrup,batch:batch-one', 'line 2, from'],
    ['batch,batch-one,2026-09-14,Jam,vaccinium-myrtillus,fruit,3,g,syrup,nowhere', 'line 2, from'],
    ['find,find-0009,2026-09-14,,quercus-robur,,,,,', 'line 2, taxon'],
    ['find,x,2026-09-14,,vaccinium-myrtillus,,,,,', 'line 2, id'],
    ['jar,find-0009,2026-09-14,,,,,,,', 'line 2, kind'],
    ['harvest,harvest-one,2026-09-14,,vaccinium-myrtillus,fruit,3,ml,,find:find-0001', 'line 2, unit'],
    ['harvest,harvest-one,yesterday,,vaccinium-myrtillus,fruit,3,g,,find:find-0001', 'line 2, date'],
  ])('a wrong row of the table is named (%#)', (row, field) => {
    const { rows, problems } = readTable(
      `kind,id,date,name,taxon,part,amount,unit,method,from\n${row}`,
      guide,
    );
    expect(rows).toEqual([]);
    expect(problems.map((one) => one.field)).toEqual([field]);
  });
});
