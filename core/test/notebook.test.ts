/** The notebook that several devices write: order, folding, and who is told a place. */
import * as fc from 'fast-check';
import { applyEntries, applyEntry, canonicalJson, edited, type FindEntry, type FindRecord } from '../src';
import {
  coarse,
  entryFor,
  latest,
  momentOf,
  nextStamp,
  parseEntry,
  stampOf,
  isTime,
  seesExactPlace,
  tooFarAhead,
  type Stamp,
} from '../src/notebook';

const MORNING = Date.parse('2026-09-14T07:40:00.000Z');
const at = (second: number) => new Date(MORNING + second * 1000).toISOString();
const stamp = (second: number, device = 'tollar') =>
  stampOf({ ms: MORNING + second * 1000, count: 0, device });
const entry = (kind: FindEntry['kind'], body: object, second: number, device?: string) =>
  ({
    find: 'find-one',
    kind,
    body: { id: `${kind}-${second}${device ?? ''}`, at: at(second), ...body },
    stamp: stamp(second, device),
  }) as unknown as FindEntry;
const FIND = {
  find: 'find-one',
  kind: 'finds',
  body: { id: 'find-one', startedAt: at(0), kingdom: 'Fungi', person: 'mirel' },
  stamp: stamp(0),
} as FindEntry;
const folded = (entries: readonly FindEntry[]) =>
  entries.reduce<FindRecord | undefined>(applyEntry, undefined)!;

describe('stamps', () => {
  const moment = fc.record({
    ms: fc.integer({ min: 0, max: 4e12 }),
    count: fc.integer({ min: 0, max: 5000 }),
    device: fc.stringMatching(/^[A-Za-z0-9_]{1,12}$/),
  });

  test('sort as text as their moments do, and read back', () => {
    fc.assert(
      fc.property(moment, moment, (a, b) => {
        expect(momentOf(stampOf(a))).toEqual(a);
        const sooner =
          a.ms - b.ms || a.count - b.count || (a.device < b.device ? -1 : a.device > b.device ? 1 : 0);
        expect(Math.sign(stampOf(a) < stampOf(b) ? -1 : stampOf(a) > stampOf(b) ? 1 : 0)).toBe(
          Math.sign(sooner),
        );
      }),
    );
  });

  test('what a device tells is later than all it told and heard of, however its clock jumps, unless that is far ahead', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ now: fc.integer({ min: 0, max: 4e12 }), other: fc.option(moment) }), {
          maxLength: 40,
        }),
        (steps) => {
          let last: Stamp | undefined;
          for (const { now, other } of steps) {
            if (other) last = latest(last, stampOf(other));
            const next = nextStamp(last, now, 'karrow');
            const believed =
              last !== undefined && (now < Date.UTC(2026, 0, 1) || momentOf(last).ms <= now + 3_600_000);
            if (last !== undefined && believed) expect(next > last).toBe(true);
            expect(momentOf(next).ms).toBeGreaterThanOrEqual(now);
            last = next;
          }
        },
      ),
    );
  });

  test('one that tells no time is not heard of, and silences nobody who holds it', () => {
    const none = [
      '9999-99-99T99:99:99.999Z-0000-x',
      '2026-02-31T08:00:00.000Z-0000-x',
      '2026-09-14T24:00:00.000Z-0000-x',
      '1969-12-31T23:59:59.999Z-0000-x',
      '2100-01-01T00:00:00.000Z-0000-x',
    ] as Stamp[];
    const first = nextStamp(undefined, MORNING, 'a');
    expect([
      isTime(first),
      isTime('1970-01-01T00:00:00.000Z-0000-x' as Stamp),
      isTime('2099-12-31T23:59:59.999Z-zzzz-x' as Stamp),
    ]).toEqual([true, true, true]);
    for (const one of none) {
      expect([one, isTime(one), latest(first, one), latest(undefined, one), latest(one, first)]).toEqual([
        one,
        false,
        first,
        undefined,
        first,
      ]);
      expect(nextStamp(one, MORNING, 'a')).toBe(first);
    }
    // Far ahead, it would be ahead of everybody for as long as that is.
    expect(nextStamp(stampOf({ ms: MORNING + 2 * 3_600_000, count: 0, device: 'b' }), MORNING, 'a')).toBe(
      first,
    );
    expect(nextStamp(stampOf({ ms: MORNING + 3_000_000, count: 0, device: 'b' }), MORNING, 'a')).toBe(
      '2026-09-14T08:30:00.000Z-0001-a',
    );
    // A phone that lost its clock goes on from what it heard.
    expect(nextStamp(first, 86_400_000, 'a')).toBe('2026-09-14T07:40:00.000Z-0001-a');
  });

  test('worked by hand', () => {
    const first = nextStamp(undefined, MORNING, 'a');
    expect(first).toBe('2026-09-14T07:40:00.000Z-0000-a');
    expect(nextStamp(first, MORNING - 60_000, 'a')).toBe('2026-09-14T07:40:00.000Z-0001-a');
    expect(nextStamp(stampOf({ ms: MORNING, count: 36 ** 4 - 1, device: 'a' }), 0, 'a')).toBe(
      '2026-09-14T07:40:00.001Z-0000-a',
    );
    expect([tooFarAhead(first, MORNING - 86_400_000), tooFarAhead(first, MORNING - 60_000)]).toEqual([
      true,
      false,
    ]);
    expect(() => momentOf('yesterday' as Stamp)).toThrow(TypeError);
  });
});

describe('a record', () => {
  const told: FindEntry[] = [
    entry('pieces', { id: 'piece-one', purpose: 'decide' }, 1),
    entry('pieces', { id: 'piece-two', purpose: 'compare' }, 8, 'karrow'),
    entry('targets', { taxon: 'boletus-edulis' }, 2),
    entry('targets', { taxon: 'cantharellus-cibarius' }, 9, 'karrow'),
    entry('contexts', { context: { part: 'fruiting-body', use: 'food' } }, 3),
    entry('contexts', { context: { stages: ['mature'] }, changed: ['stages'] }, 10, 'karrow'),
    entry('contexts', { context: {}, changed: ['use'] }, 10, 'tollar'),
    entry(
      'readings',
      {
        piece: 'piece-one',
        character: 'cap.shape',
        value: { kind: 'states', states: ['funnel'] },
        sureness: 'sure',
        by: 'mirel',
      },
      4,
    ),
    entry(
      'readings',
      {
        piece: 'piece-one',
        character: 'cap.shape',
        value: { kind: 'cant-tell' },
        sureness: 'sure',
        by: 'jorun',
      },
      5,
      'karrow',
    ),
    entry('withdrawals', { reading: 'readings-4' }, 6),
    entry('withdrawals', { reading: 'readings-4' }, 7, 'karrow'),
    entry('skips', { piece: 'piece-one', character: 'smell' }, 6),
    entry('verdicts', { verdict: { outcome: 'pause', guide: { id: 'g', version: 'v' } } }, 11),
    entry('decisions', { verdict: 'verdicts-11', choice: 'later', by: 'mirel' }, 12),
    entry('consents', { verdict: 'verdicts-11', by: 'jorun' }, 12),
    entry('edits', { by: 'mirel', field: 'placeNote', value: 'By the spring' }, 13),
    entry('edits', { by: 'jorun', field: 'placeNote', value: 'Above the spring' }, 14, 'karrow'),
    entry('edits', { by: 'mirel', field: 'exactFor', value: 'group' }, 14),
  ];

  test('is the same in whatever order its entries arrive, and however often', () => {
    const whole = canonicalJson(folded([FIND, ...told]));
    fc.assert(
      fc.property(
        fc.shuffledSubarray(told, { minLength: told.length }),
        fc.shuffledSubarray(told),
        (order, again) => {
          expect(canonicalJson(folded([FIND, ...order, ...again]))).toBe(whole);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('is the same whether its entries come one by one or all at once', () => {
    const some = fc.array(fc.constantFrom(...told), { maxLength: 40 });
    fc.assert(
      fc.property(some, some, (before, more) => {
        const record = folded([FIND, ...before]);
        expect(applyEntries(record, more)).toEqual(more.reduce<FindRecord | undefined>(applyEntry, record));
        expect(applyEntries(undefined, [FIND, ...before, ...more])).toEqual(
          folded([FIND, ...before, ...more]),
        );
      }),
      { numRuns: 300 },
    );
  });

  test('of twenty thousand entries is there at once', () => {
    const long = Array.from({ length: 20_000 }, (_, n) =>
      entry(
        'edits',
        { id: `note-${String(n)}`, by: 'mirel', field: 'note', value: `Note ${String(n)}` },
        (n * 7919) % 20_000,
      ),
    );
    const began = performance.now();
    const record = applyEntries(undefined, [FIND, ...long]);
    // One by one it takes minutes: every entry copies all before it.
    expect(performance.now() - began).toBeLessThan(5000);
    expect(record?.edits).toHaveLength(20_000);
    expect(edited(record!, 'note').now?.at).toBe(at(19_999));
  });

  test('holds each member of what stands around it as it was told last, by whichever device', () => {
    expect(folded([FIND, ...told]).context).toEqual({ part: 'fruiting-body', stages: ['mature'] });
    expect(folded([FIND, ...told]).targets.map((t) => t.taxon)).toEqual([
      'boletus-edulis',
      'cantharellus-cibarius',
    ]);
  });

  test('shows what was written over', () => {
    const record = folded([FIND, ...told]);
    expect(record.placeNote).toBe('Above the spring');
    expect(edited(record, 'placeNote').before.map((e) => [e.by, e.value])).toEqual([
      ['mirel', 'By the spring'],
    ]);
    expect(
      folded([FIND, ...told, entry('edits', { by: 'mirel', field: 'placeNote', value: null }, 20)]),
    ).not.toHaveProperty('placeNote');
  });

  test('of an earlier version keeps what stood around it when more is told', () => {
    const { told: _, ...earlier } = folded([FIND]);
    const record = applyEntry({ ...earlier, told: [], context: { part: 'fruiting-body' } }, told[5]!)!;
    expect(record.context).toEqual({ part: 'fruiting-body', stages: ['mature'] });
  });

  test('is nothing before the find itself is there', () => {
    expect(applyEntry(undefined, told[0]!)).toBeUndefined();
  });
});

describe('an entry from outside', () => {
  test.each([
    [{ find: 'find-one', kind: 'readings', body: {} }, 'body.id'],
    [{ find: 'find-one', kind: 'songs', body: {} }, 'kind'],
    [{ find: 'x', kind: 'pieces', body: {} }, 'find'],
    [{ ...FIND, find: 'find-two' }, 'find'],
    [{ ...told0(), stamp: 'now' }, 'stamp'],
    [
      {
        find: 'find-one',
        kind: 'contexts',
        body: { id: 'contexts-1', at: at(1), context: {}, changed: ['colour'] },
      },
      'body.changed.0',
    ],
    [
      {
        find: 'find-one',
        kind: 'edits',
        body: {
          id: 'edits-one',
          at: at(1),
          by: 'mirel',
          field: 'position',
          value: { decimalLatitude: 91, decimalLongitude: 0 },
        },
      },
      'body.value.decimalLatitude',
    ],
    ['nothing', 'entry'],
  ])('%#: names the field %s', (raw, field) => {
    const parsed = parseEntry(raw);
    expect('problems' in parsed && parsed.problems.map((p) => p.field)).toContain(field);
  });
  function told0() {
    return entry('pieces', { id: 'piece-one', purpose: 'decide' }, 1);
  }
  test('comes back as it was', () => {
    expect(parseEntry(JSON.parse(JSON.stringify(told0())))).toEqual({ entry: told0() });
  });
});

describe('a place', () => {
  const position = { decimalLatitude: 46.512345, decimalLongitude: 12.198765 };
  const record = (...more: FindEntry[]) =>
    folded([FIND, entry('edits', { by: 'mirel', field: 'position', value: position }, 1), ...more]);
  const told = (exactFor: unknown, second: number) =>
    entry('edits', { by: 'mirel', field: 'exactFor', value: exactFor }, second);

  test('is told to the finder, and to others as the finder chose last', () => {
    expect([seesExactPlace(record(), 'mirel'), seesExactPlace(record(), 'jorun')]).toEqual([true, false]);
    expect(seesExactPlace(record(told('group', 2)), 'jorun')).toBe(true);
    expect(seesExactPlace(record(told('group', 2), told('finder', 3)), 'jorun')).toBe(false);
    expect(['jorun', 'tam'].map((p) => seesExactPlace(record(told(['jorun'], 2)), p))).toEqual([true, false]);
  });

  test('is left out of every entry that tells it, or told as a square', () => {
    const entries = [
      { ...FIND, body: { ...FIND.body, placeNote: 'Here' } } as FindEntry,
      entry('edits', { by: 'mirel', field: 'position', value: position }, 1),
      entry('edits', { by: 'mirel', field: 'placeNote', value: 'Here' }, 2),
      told(['tam'], 3),
    ];
    const seen = (of: FindRecord, reader: string) =>
      JSON.stringify(entries.map((e) => entryFor(e, of, reader)));
    for (const secret of ['46.512345', '12.198765', 'Here', '"tam"'])
      expect(seen(record(), 'jorun')).not.toContain(secret);
    expect(seen(record(), 'jorun')).not.toMatch(/46\.|12\./);
    const square = seen(record(entry('edits', { by: 'mirel', field: 'others', value: 'cell' }, 4)), 'jorun');
    expect(square).toContain('46.55');
    expect(square).not.toMatch(/46\.512345|Here/);
    expect(seen(record(), 'mirel')).toContain('46.512345');
  });

  test('lies in its square, with all others that give the same', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (decimalLatitude, decimalLongitude) => {
          const square = coarse({ decimalLatitude, decimalLongitude });
          expect(Math.abs(square.decimalLatitude - decimalLatitude)).toBeLessThanOrEqual(0.0500001);
          expect(Math.abs(square.decimalLongitude - decimalLongitude)).toBeLessThanOrEqual(0.0500001);
          expect(coarse(square)).toEqual(square);
        },
      ),
    );
    expect(coarse(position)).toEqual({
      decimalLatitude: 46.55,
      decimalLongitude: 12.15,
      coordinateUncertaintyInMeters: 7872,
    });
  });
});
