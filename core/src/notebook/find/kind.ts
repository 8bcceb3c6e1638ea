import type { FindEntry } from '../entry';
import type { Stamp } from '../stamp';
import type { FindRecord } from './record';

/** What a kind of entry is. */

export type FindKind = FindEntry['kind'];
export type EntryOf<K extends FindKind> = Extract<FindEntry, { kind: K }>;
export type BodyOf<K extends FindKind> = EntryOf<K>['body'];

/** One kind of entry. */
export interface KindOfEntry<K extends FindKind> {
  /** The record with these entries too. The same entry again changes nothing. */
  readonly fold: (record: FindRecord, entries: readonly EntryOf<K>[]) => FindRecord;
  /** What the record holds of this kind, as entries again, without kind and find. */
  readonly unfold: (record: FindRecord) => readonly Omit<EntryOf<K>, 'kind' | 'find' | 'page'>[];
  /** What has to be on record before it. */
  readonly needs?: (body: BodyOf<K>) => readonly [kind: FindKind, id: string] | undefined;
  /** A verdict is worked out from it. */
  readonly isOfCase: boolean;
  /** It can change what was decided. */
  readonly movesDecision: boolean;
  /** A later one of the kind can overrule it, so the order of stamps matters. */
  readonly isOverruled: boolean;
}

export const DECIDES = { isOfCase: true, movesDecision: true } as const;
export const BESIDE = { isOfCase: false, movesDecision: false } as const;

export const idOf = (item: { readonly id: string }) => item.id;
export const bodiesOf = <K extends FindKind>(entries: readonly EntryOf<K>[]) =>
  entries.map(({ body }) => body as BodyOf<K>);
/** With its stamp, where it has one. */
export const stamped = <T extends object>({
  body,
  stamp,
}: {
  readonly body: T;
  readonly stamp?: Stamp | undefined;
}) => ({
  ...body,
  ...(stamp === undefined ? {} : { stamp }),
});
/** The stamp beside the body again. */
export const unstamped = <T extends { readonly stamp?: Stamp | undefined }>({ stamp, ...body }: T) => ({
  body,
  ...(stamp === undefined ? {} : { stamp }),
});
/** Ids of what is folded without one: made of what it is of, so that the same one is never there twice. */
export const madeId = (...parts: readonly string[]): string =>
  parts
    .join('-')
    .replace(/[^A-Za-z0-9_-]/g, '_')
    .slice(-64)
    .padStart(8, '_');
