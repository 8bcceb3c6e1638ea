import { type CompiledGuide, type FindRecord, decide } from '../../src';
import { type PageRecord, parseEntry, applyToPage, type PageEntry } from '../../src/notebook';
import { emptyRecord } from '../../src/notebook/find/kinds';
import { guide, followChecks } from '../finds';

export const AT = '2026-09-14T08:00:00.000Z';
export function page(
  id: string,
  kind: string,
  fields: Record<string, unknown>,
  person = 'mirel',
): PageRecord {
  const entries = [
    { page: id, kind: 'pages', body: { id, at: AT, by: person, kind } },
    ...Object.entries(fields).map(([field, value]) => ({
      page: id,
      kind: 'fields',
      stamp: `${AT}-0000-karrow`,
      body: { id: `${id}-${field}`, at: AT, by: person, of: kind, field, value },
    })),
  ];
  return entries.reduce<PageRecord | undefined>((now, raw) => {
    const parsed = parseEntry(raw);
    if ('problems' in parsed) throw new Error(JSON.stringify(parsed.problems));
    return applyToPage(now, parsed.entry as PageEntry);
  }, undefined) as PageRecord;
}

export const harvest = (id: string, find: string, more: object = {}) =>
  page(id, 'harvest', {
    find,
    taxon: 'cantharellus-cibarius',
    part: 'fruiting-body',
    on: '2026-09-14',
    ...more,
  });
export const batch = (id: string, from: readonly object[], more: object = {}) =>
  page(id, 'batch', {
    name: 'Dried',
    from,
    contents: [{ taxon: 'cantharellus-cibarius', part: 'fruiting-body' }],
    method: 'dry',
    on: '2026-09-14',
    ...more,
  });
/** A find that was followed to *collect*, with its decision on record. */
export function collected(id: string, target: string, by: CompiledGuide = guide): FindRecord {
  const find = followChecks(target);
  const verdict = decide(by, find);
  const record = {
    ...emptyRecord({ id, startedAt: AT, kingdom: find.kingdom, person: 'mirel' }),
    pieces: find.pieces,
    targets: [{ taxon: find.target, at: AT, id: `${id}-target` }],
    contexts: [{ id: `${id}-context`, at: AT, context: find.context }],
    context: find.context,
    readings: find.readings,
    verdicts: [{ id: `${id}-verdict`, at: '2026-09-14T10:00:00.000Z', verdict }],
    decisions: [
      {
        id: `${id}-decision`,
        at: '2026-09-14T10:01:00.000Z',
        verdict: `${id}-verdict`,
        choice: 'collect',
        by: 'mirel',
      },
    ],
  };
  return record as unknown as FindRecord;
}
