import { type FindEntry, type FindRecord, applyEntry } from '../../src';
import { stampOf } from '../../src/notebook';

export const MORNING = Date.parse('2026-09-14T07:40:00.000Z');
export const at = (second: number) => new Date(MORNING + second * 1000).toISOString();
const stamp = (second: number, device = 'tollar') =>
  stampOf({ ms: MORNING + second * 1000, count: 0, device });
export const entry = (kind: FindEntry['kind'], body: object, second: number, device?: string) =>
  ({
    find: 'find-one',
    kind,
    body: { id: `${kind}-${second}${device ?? ''}`, at: at(second), ...body },
    stamp: stamp(second, device),
  }) as unknown as FindEntry;
export const FIND = {
  find: 'find-one',
  kind: 'finds',
  body: { id: 'find-one', startedAt: at(0), kingdom: 'Fungi', person: 'mirel' },
  stamp: stamp(0),
} as FindEntry;
export const folded = (entries: readonly FindEntry[]) =>
  entries.reduce<FindRecord | undefined>(applyEntry, undefined)!;
