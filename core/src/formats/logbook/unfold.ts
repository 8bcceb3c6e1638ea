import type { Entry, FindEntry, PageEntry } from '../../notebook/entry';
import type { FindRecord } from '../../notebook/find';
import type { PageRecord } from '../../notebook/page';

/**
 * A notebook as entries again, from what they were folded to: everything that was ever recorded, in the order in
 * which one needs the other.
 */

/** Ids of what is folded without one: made of what it is of, so that the same one is never there twice. */
const madeId = (...parts: readonly string[]): string =>
  parts
    .join('-')
    .replace(/[^A-Za-z0-9_-]/g, '_')
    .slice(-64)
    .padStart(8, '_');

export function entriesOfFind(record: FindRecord): FindEntry[] {
  const { id: find, startedAt, kingdom, bodyPlan, person, group } = record;
  // The place note that it began with counts unless it was written over; then the edits have it.
  const placeNote = record.edits.some(({ field }) => field === 'placeNote') ? undefined : record.placeNote;
  const begun: FindEntry = {
    kind: 'finds',
    find,
    body: {
      id: find,
      startedAt,
      kingdom,
      person,
      ...(bodyPlan === undefined ? {} : { bodyPlan }),
      ...(placeNote === undefined ? {} : { placeNote }),
      ...(group === undefined ? {} : { group }),
    },
  };
  const stamped = <T extends { readonly stamp?: string | undefined }>({ stamp, ...body }: T) => ({
    find,
    ...(stamp === undefined ? {} : { stamp }),
    body,
  });
  const contexts =
    record.told.length > 0 || Object.keys(record.context).length === 0
      ? record.told
      : [{ id: madeId('context', find), at: startedAt, context: record.context }];
  return [
    begun,
    ...record.pieces.map(({ id, startedAt: at, purpose }) => ({
      kind: 'pieces',
      find,
      body: { id, at, purpose },
    })),
    ...record.targets.map(({ id, ...target }) => ({
      kind: 'targets',
      ...stamped({ ...target, id: id ?? madeId('target', find, target.taxon, target.at) }),
    })),
    ...contexts.map((one) => ({ kind: 'contexts', ...stamped(one) })),
    ...record.asks.map((body) => ({ kind: 'asks', find, body })),
    ...record.reveals.map((body) => ({ kind: 'reveals', find, body })),
    ...record.readings.map((body) => ({ kind: 'readings', find, body })),
    ...record.withdrawals.map((one) => ({
      kind: 'withdrawals',
      find,
      body: { ...one, id: madeId('withdrawal', one.reading) },
    })),
    ...record.skips.map((one) => ({
      kind: 'skips',
      find,
      body: { ...one, id: madeId('skip', one.piece, one.character, one.at) },
    })),
    ...record.verdicts.map(({ arrival, ...one }) => ({
      kind: 'verdicts',
      ...(arrival ? { arrival } : {}),
      ...stamped(one),
    })),
    ...record.consents.map((body) => ({ kind: 'consents', find, body })),
    ...record.decisions.map((one) => ({ kind: 'decisions', ...stamped(one) })),
    ...record.edits.map((one) => ({ kind: 'edits', ...stamped(one) })),
    ...record.pictures.map((body) => ({ kind: 'pictures', find, body })),
    ...record.drops.map((body) => ({ kind: 'drops', find, body })),
    ...record.counted.map((body) => ({ kind: 'counts', find, body })),
  ] as FindEntry[];
}

/** Of a group's own page only its fields: nobody began it. */
export function entriesOfPage(page: PageRecord): PageEntry[] {
  const { id, kind, at, person, group } = page;
  return [
    ...(kind === 'group' || person === undefined
      ? []
      : [
          {
            kind: 'pages',
            page: id,
            body: { id, at, by: person, kind, ...(group === undefined ? {} : { group }) },
          },
        ]),
    ...page.told.map(({ stamp, ...body }) => ({
      kind: 'fields',
      page: id,
      ...(stamp === undefined ? {} : { stamp }),
      body,
    })),
    ...page.sightings.map((body) => ({ kind: 'sightings', page: id, body })),
  ] as PageEntry[];
}

/** The whole of it as one document: the same format as the server's export. */
export interface Export {
  readonly format: 'pause-export/1';
  readonly person: { readonly id: string; readonly name: string };
  readonly own: readonly Entry[];
  readonly inGroups: readonly Entry[];
}
export function exportOf(
  person: Export['person'],
  finds: readonly FindRecord[],
  pages: readonly PageRecord[],
): Export {
  const all = (own: boolean) => [
    ...finds.filter(({ group }) => (group === undefined) === own).flatMap(entriesOfFind),
    ...pages.filter(({ group }) => (group === undefined) === own).flatMap(entriesOfPage),
  ];
  return {
    format: 'pause-export/1',
    person: { id: person.id, name: person.name },
    own: all(true),
    inGroups: all(false),
  };
}
