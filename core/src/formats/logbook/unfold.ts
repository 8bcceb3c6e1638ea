import type { Entry, FindEntry, PageEntry } from '../../notebook/entry';
import { FIND_KIND_NAMES, FIND_KINDS, type FindRecord } from '../../notebook/find';
import type { PageRecord } from '../../notebook/page';

/**
 * A notebook as entries again, from what they were folded to: everything that was ever recorded, in the order in
 * which one needs the other.
 */

export const entriesOfFind = (record: FindRecord): FindEntry[] =>
  FIND_KIND_NAMES.flatMap((kind) =>
    FIND_KINDS[kind].unfold(record).map((one) => ({ ...one, kind, find: record.id }) as FindEntry),
  );

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
    ...page.changes.map(({ stamp, ...body }) => ({
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
