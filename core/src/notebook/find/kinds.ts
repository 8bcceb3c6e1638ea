import type { FindEntry } from '../entry';
import {
  BESIDE,
  bodiesOf,
  DECIDES,
  idOf,
  madeId,
  stamped,
  unstamped,
  type BodyOf,
  type EntryOf,
  type FindKind,
  type KindOfEntry,
} from './kind';
import { placedAll } from './placed';
import type { FindRecord } from './record';
import { contextOf, contextsOf, withPlaceNote } from './written';

/** A find of which nothing was recorded yet. */
export const emptyRecord = (find: BodyOf<'finds'>): FindRecord => ({
  ...find,
  pieces: [],
  targets: [],
  contexts: [],
  context: {},
  readings: [],
  withdrawals: [],
  skips: [],
  verdicts: [],
  decisions: [],
  edits: [],
  consents: [],
  asks: [],
  reveals: [],
  pictures: [],
  drops: [],
  counted: [],
});

/**
 * The kinds of entries of a find: how each changes the record, how it is read back from it, and what it needs.
 * In the order in which one needs the other.
 */
export const FIND_KINDS: { readonly [K in FindKind]: KindOfEntry<K> } = {
  finds: {
    fold: (record) => record,
    unfold: ({ id, startedAt, kingdom, bodyPlan, person, group, placeNote, edits }) => {
      // The place note that it began with counts unless it was written over; then the edits have it.
      const first = edits.some(({ field }) => field === 'placeNote') ? undefined : placeNote;
      const body = {
        id,
        startedAt,
        kingdom,
        person,
        ...(bodyPlan === undefined ? {} : { bodyPlan }),
        ...(first === undefined ? {} : { placeNote: first }),
        ...(group === undefined ? {} : { group }),
      };
      return [{ body }];
    },
    isOfCase: true,
    movesDecision: false,
    isOverruled: true,
  },
  pieces: {
    fold: (record, entries) => {
      const pieces = record.pieces.map((piece) => ({ ...piece, at: piece.startedAt }));
      const more = bodiesOf(entries).map(({ id, at, purpose }) => ({ id, startedAt: at, purpose, at }));
      return {
        ...record,
        pieces: placedAll(pieces, more, idOf).map(({ id, startedAt, purpose }) => ({
          id,
          startedAt,
          purpose,
        })),
      };
    },
    unfold: ({ pieces }) => pieces.map(({ id, startedAt: at, purpose }) => ({ body: { id, at, purpose } })),
    ...DECIDES,
    isOverruled: false,
  },
  targets: {
    fold: (record, entries) => ({
      ...record,
      targets: placedAll(
        record.targets,
        entries.map(stamped),
        (target) => target.id ?? `${target.at} ${target.taxon}`,
      ),
    }),
    unfold: ({ id: find, targets }) =>
      targets.map(({ id, ...target }) =>
        unstamped({ ...target, id: id ?? madeId('target', find, target.taxon, target.at) }),
      ),
    ...DECIDES,
    isOverruled: true,
  },
  contexts: {
    fold: (record, entries) => {
      const contexts = placedAll([...contextsOf(record)], entries.map(stamped), idOf);
      return { ...record, contexts, context: contextOf(contexts) };
    },
    unfold: (record) => contextsOf(record).map(unstamped),
    ...DECIDES,
    isOverruled: true,
  },
  asks: {
    fold: (record, entries) => ({ ...record, asks: placedAll(record.asks, bodiesOf(entries), idOf) }),
    unfold: ({ asks }) => asks.map((body) => ({ body })),
    needs: ({ piece }) => ['pieces', piece],
    ...BESIDE,
    isOverruled: true,
  },
  reveals: {
    fold: (record, entries) => ({ ...record, reveals: placedAll(record.reveals, bodiesOf(entries), idOf) }),
    unfold: ({ reveals }) => reveals.map((body) => ({ body })),
    ...BESIDE,
    isOverruled: true,
  },
  readings: {
    fold: (record, entries) => ({ ...record, readings: placedAll(record.readings, bodiesOf(entries), idOf) }),
    unfold: ({ readings }) => readings.map((body) => ({ body })),
    needs: ({ piece }) => ['pieces', piece],
    ...DECIDES,
    isOverruled: false,
  },
  withdrawals: {
    // Taken back on two devices that were apart: it was, from the first time on.
    fold: (record, entries) => {
      const first = new Map(record.withdrawals.map(({ reading, at }) => [reading, at] as const));
      const earlier = new Map<BodyOf<'withdrawals'>['reading'], string>();
      for (const { reading, at } of bodiesOf(entries)) {
        const known = earlier.get(reading) ?? first.get(reading);
        if (known === undefined || at < known) earlier.set(reading, at);
      }
      const more = [...earlier].map(([reading, at]) => ({ reading, at }));
      return { ...record, withdrawals: placedAll(record.withdrawals, more, ({ reading }) => reading) };
    },
    unfold: ({ withdrawals }) =>
      withdrawals.map((one) => ({ body: { ...one, id: madeId('withdrawal', one.reading) } })),
    needs: ({ reading }) => ['readings', reading],
    ...DECIDES,
    isOverruled: false,
  },
  skips: {
    fold: (record, entries) => ({
      ...record,
      skips: placedAll(
        record.skips,
        bodiesOf(entries).map(({ character, piece, at }) => ({ character, piece, at })),
        (skip) => `${skip.at} ${skip.character} ${skip.piece}`,
      ),
    }),
    unfold: ({ skips }) =>
      skips.map((one) => ({ body: { ...one, id: madeId('skip', one.piece, one.character, one.at) } })),
    needs: ({ piece }) => ['pieces', piece],
    ...DECIDES,
    isOverruled: false,
  },
  verdicts: {
    fold: (record, entries) => {
      const arrivals = new Map(record.verdicts.map(({ id, arrival }) => [id, arrival] as const));
      const more = entries.map((entry) => {
        const { id, at, verdict } = entry.body;
        const arrival = entry.arrival ?? arrivals.get(id);
        if (arrival) arrivals.set(id, arrival);
        return { ...stamped({ ...entry, body: { id, at, verdict } }), ...(arrival ? { arrival } : {}) };
      });
      return { ...record, verdicts: placedAll(record.verdicts, more, idOf) };
    },
    unfold: ({ verdicts }) =>
      verdicts.map(({ arrival, ...one }) => ({ ...(arrival ? { arrival } : {}), ...unstamped(one) })),
    ...BESIDE,
    isOverruled: true,
  },
  consents: {
    fold: (record, entries) => ({ ...record, consents: placedAll(record.consents, bodiesOf(entries), idOf) }),
    unfold: ({ consents }) => consents.map((body) => ({ body })),
    needs: ({ verdict }) => ['verdicts', verdict],
    ...BESIDE,
    isOverruled: true,
  },
  decisions: {
    fold: (record, entries) => ({
      ...record,
      decisions: placedAll(record.decisions, entries.map(stamped), idOf),
    }),
    unfold: ({ decisions }) => decisions.map(unstamped),
    needs: ({ verdict }) => (verdict === undefined ? undefined : ['verdicts', verdict]),
    isOfCase: false,
    movesDecision: true,
    isOverruled: true,
  },
  edits: {
    fold: (record, entries) =>
      withPlaceNote({ ...record, edits: placedAll(record.edits, entries.map(stamped), idOf) }),
    unfold: ({ edits }) =>
      edits.map(({ stamp, ...body }) => ({ body, ...(stamp === undefined ? {} : { stamp }) })),
    ...BESIDE,
    isOverruled: true,
  },
  pictures: {
    fold: (record, entries) => ({ ...record, pictures: placedAll(record.pictures, bodiesOf(entries), idOf) }),
    unfold: ({ pictures }) => pictures.map((body) => ({ body })),
    ...BESIDE,
    isOverruled: true,
  },
  drops: {
    fold: (record, entries) => ({ ...record, drops: placedAll(record.drops, bodiesOf(entries), idOf) }),
    unfold: ({ drops }) => drops.map((body) => ({ body })),
    needs: ({ picture }) => ['pictures', picture],
    ...BESIDE,
    isOverruled: true,
  },
  counts: {
    fold: (record, entries) => ({ ...record, counted: placedAll(record.counted, bodiesOf(entries), idOf) }),
    unfold: ({ counted }) => counted.map((body) => ({ body })),
    ...BESIDE,
    isOverruled: true,
  },
};

/** The names of the kinds, in the order in which one needs the other. */
export const FIND_KIND_NAMES = Object.keys(FIND_KINDS) as readonly FindKind[];

/** The record with what is of one kind among these entries. */
export function foldKind<K extends FindKind>(
  kind: K,
  record: FindRecord,
  entries: readonly (FindEntry | EntryOf<K>)[],
): FindRecord {
  const mine = entries.filter((entry): entry is EntryOf<K> => entry.kind === kind);
  return mine.length === 0 ? record : FIND_KINDS[kind].fold(record, mine);
}

/** What an entry needs on record before it, if anything. */
export const neededBy = <K extends FindKind>(
  kind: K,
  body: BodyOf<K>,
): readonly [kind: FindKind, id: string] | undefined => FIND_KINDS[kind].needs?.(body);
