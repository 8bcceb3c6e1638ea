import type { Entry, FindEntry } from '../entry';
import { emptyRecord, FIND_KIND_NAMES, foldKind } from './kinds';
import type { FindRecord } from './record';

/** Finds out of their entries. */

/** Of all entries those of one find. */
export function entriesOf(all: readonly Entry[], find: string): FindEntry[] {
  return all.filter((entry): entry is FindEntry => entry.find === find);
}

/** The finds that entries are of, each once. */
export function findsOf(all: readonly Entry[]): Set<string> {
  return new Set(all.flatMap(({ find }) => (find === undefined ? [] : [find])));
}

/**
 * A record with one more entry. An entry that is there already changes nothing, and the order in which
 * entries arrive does not matter once the find itself is there: devices that heard of the same entries hold
 * the same record.
 *
 * @returns undefined for an entry of a find that is not there yet
 */
export function applyEntry(record: FindRecord | undefined, entry: FindEntry): FindRecord | undefined {
  return applyEntries(record, [entry]);
}

/**
 * A record with many more entries, in one sorted pass: the same as one `applyEntry` after another.
 *
 * @returns undefined where the find itself is in neither
 */
export function applyEntries(
  record: FindRecord | undefined,
  entries: readonly FindEntry[],
): FindRecord | undefined {
  const begun = record ?? beginning(entries);
  return begun && FIND_KIND_NAMES.reduce((next, kind) => foldKind(kind, next, entries), begun);
}

function beginning(entries: readonly FindEntry[]): FindRecord | undefined {
  const first = entries.find((entry) => entry.kind === 'finds');
  return first && emptyRecord(first.body);
}
