import { Dexie } from 'dexie';
import type { Entry } from '@pause/core';
import { emptyRecord } from '../../../core/src/notebook/find/kinds';

export const at = (second: number) => new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString();
export const entry = (kind: Entry['kind'], id: string, second: number, body: object = {}) =>
  ({
    kind,
    find: 'f',
    body: {
      id,
      ...(kind === 'finds'
        ? { startedAt: at(second), kingdom: 'Fungi', person: 'mirel' }
        : { at: at(second) }),
      ...body,
    },
  }) as unknown as Entry;
export const MADE = [
  entry('finds', 'f', 0),
  entry('pieces', 'p', 1, { purpose: 'decide' }),
  entry('targets', 't', 2, { taxon: 'boletus-edulis' }),
];
export const RECORD = emptyRecord({ id: 'f', startedAt: at(0), kingdom: 'Fungi', person: 'mirel' });
/** Whoever holds the device. */
export const HERE = { id: 'mirel', name: '', demo: false, offsetMs: 0, account: false, groups: [] };
export const arrived = (one: Entry) => ({ status: 'arrived' as const, entry: one });

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeEach(async () => {
    localStorage.clear();
    for (const name of await Dexie.getDatabaseNames()) await Dexie.delete(name);
  });
}
