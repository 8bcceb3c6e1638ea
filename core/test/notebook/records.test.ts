import * as fc from 'fast-check';
import { type FindEntry, canonicalJson, applyEntries, applyEntry, edited } from '../../src';
import { FindRecord } from '../../src/notebook/find/record';
import { entry, folded, FIND, at } from './kit';

describe('a record', () => {
  const kept: FindEntry[] = [
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
    const whole = canonicalJson(folded([FIND, ...kept]));
    fc.assert(
      fc.property(
        fc.shuffledSubarray(kept, { minLength: kept.length }),
        fc.shuffledSubarray(kept),
        (order, again) => {
          expect(canonicalJson(folded([FIND, ...order, ...again]))).toBe(whole);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('is the same whether its entries come one by one or all at once', () => {
    const some = fc.array(fc.constantFrom(...kept), { maxLength: 40 });
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

  test('is made of thousands of entries in one go, without copying all before each of them', () => {
    const notes = Array.from({ length: 2000 }, (_, n) =>
      entry(
        'edits',
        { id: `note-${String(n)}`, by: 'mirel', field: 'note', value: `Note ${String(n)}` },
        (n * 7919) % 2000,
      ),
    );
    // Processor time of both in one run, so that it says the same on a slow or busy machine.
    const work = (make: () => FindRecord | undefined) => {
      const before = process.cpuUsage();
      const record = make();
      const { user, system } = process.cpuUsage(before);
      expect(record?.edits).toHaveLength(2000);
      expect(edited(record!, 'note').now?.at).toBe(at(1999));
      return user + system;
    };
    const oneByOne = work(() => [FIND, ...notes].reduce<FindRecord | undefined>(applyEntry, undefined));
    expect(work(() => applyEntries(undefined, [FIND, ...notes]))).toBeLessThan(oneByOne / 5);
  });

  test('holds each member of its context as it was recorded last, by whichever device', () => {
    expect(folded([FIND, ...kept]).context).toEqual({ part: 'fruiting-body', stages: ['mature'] });
    expect(folded([FIND, ...kept]).targets.map((t) => t.taxon)).toEqual([
      'boletus-edulis',
      'cantharellus-cibarius',
    ]);
  });

  test('shows what was written over', () => {
    const record = folded([FIND, ...kept]);
    expect(record.placeNote).toBe('Above the spring');
    expect(edited(record, 'placeNote').before.map((e) => [e.by, e.value])).toEqual([
      ['mirel', 'By the spring'],
    ]);
    expect(
      folded([FIND, ...kept, entry('edits', { by: 'mirel', field: 'placeNote', value: null }, 20)]),
    ).not.toHaveProperty('placeNote');
  });

  test('of an earlier version keeps its context when more is recorded', () => {
    const { contexts: _, ...earlier } = folded([FIND]);
    const record = applyEntry({ ...earlier, contexts: [], context: { part: 'fruiting-body' } }, kept[5]!)!;
    expect(record.context).toEqual({ part: 'fruiting-body', stages: ['mature'] });
  });

  test('kept by an earlier version under another name of its contexts is read as it was', () => {
    const { contexts, ...rest } = folded([FIND, ...kept]);
    expect(contexts.length).toBeGreaterThan(0);
    expect(FindRecord.parse({ ...rest, told: contexts })).toEqual({ ...rest, contexts });
  });

  test('is nothing before the find itself is there', () => {
    expect(applyEntry(undefined, kept[0]!)).toBeUndefined();
  });
});
