import * as fc from 'fast-check';
import type { FindEntry, FindRecord } from '../../src';
import { parseEntry, seesExactPlace, entryFor, coarse } from '../../src/notebook';
import { FIND, at, entry, folded } from './kit';

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
  const chosen = (exactFor: unknown, second: number) =>
    entry('edits', { by: 'mirel', field: 'exactFor', value: exactFor }, second);

  test('is given to the finder, and to others as the finder chose last', () => {
    expect([seesExactPlace(record(), 'mirel'), seesExactPlace(record(), 'jorun')]).toEqual([true, false]);
    expect(seesExactPlace(record(chosen('group', 2)), 'jorun')).toBe(true);
    expect(seesExactPlace(record(chosen('group', 2), chosen('finder', 3)), 'jorun')).toBe(false);
    expect(['jorun', 'tam'].map((p) => seesExactPlace(record(chosen(['jorun'], 2)), p))).toEqual([
      true,
      false,
    ]);
  });

  test('is left out of every entry that tells it, or given as a square', () => {
    const entries = [
      { ...FIND, body: { ...FIND.body, placeNote: 'Here' } } as FindEntry,
      entry('edits', { by: 'mirel', field: 'position', value: position }, 1),
      entry('edits', { by: 'mirel', field: 'placeNote', value: 'Here' }, 2),
      chosen(['tam'], 3),
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
