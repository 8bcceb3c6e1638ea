import { type FindRecord, edited } from '../../notebook/find';
import type { PageRecord } from '../../notebook/page';
import { Source } from '../../notebook/page/pantry';
import { standing } from '../../notebook/page/standing';
import { csvOf } from './occurrences';

/**
 * The logbook as one plain table: a row for each find, each harvest, each batch, and each thing that became
 * of one.
 */

export const TABLE_COLUMNS = [
  'kind',
  'id',
  'date',
  'name',
  'taxon',
  'part',
  'amount',
  'unit',
  'method',
  'from',
  'place',
  'person',
  'verdict',
  'decision',
  'bestBefore',
  'who',
  'note',
] as const;

type Row = Partial<Record<(typeof TABLE_COLUMNS)[number], string>>;

const sourcesText = (sources: readonly Source[] = []) =>
  sources
    .map(({ of, id, amount }) => `${of}:${id}${amount ? `=${amount.amount} ${amount.unit}` : ''}`)
    .join('; ');

const amountOf = (amount: { readonly amount: number; readonly unit: string } | undefined): Row =>
  amount ? { amount: String(amount.amount), unit: amount.unit } : {};

function noteOf(record: FindRecord): string {
  const value = edited(record, 'note').now?.value;
  return typeof value === 'string' ? value : '';
}

export function tableOf(finds: readonly FindRecord[], pages: readonly PageRecord[]): Row[] {
  const rows: Row[] = finds.map((record) => ({
    kind: 'find',
    id: record.id,
    date: record.startedAt,
    taxon: record.targets.at(-1)?.taxon ?? '',
    part: record.context.part ?? '',
    place: record.placeNote ?? '',
    person: record.person,
    verdict: record.verdicts.at(-1)?.verdict.outcome ?? '',
    decision: record.decisions.at(-1)?.choice ?? '',
    note: noteOf(record),
  }));
  for (const page of pages) {
    const person = page.person ?? '';
    if (page.kind === 'harvest') {
      const {
        find = '',
        on = '',
        taxon = '',
        part = '',
        taken,
        place = '',
        note = '',
      } = standing(page, 'harvest');
      rows.push({
        kind: 'harvest',
        id: page.id,
        date: on,
        taxon,
        part,
        ...amountOf(taken),
        from: find === '' ? '' : `find:${find}`,
        place,
        person,
        note,
      });
    } else if (page.kind === 'batch') {
      const {
        name = '',
        on = '',
        contents = [],
        made,
        method = '',
        from,
        bestBefore = '',
        note = '',
      } = standing(page, 'batch');
      rows.push({
        kind: 'batch',
        id: page.id,
        date: on,
        name,
        taxon: contents.map((one) => one.taxon).join('; '),
        part: contents.map((one) => one.part).join('; '),
        ...amountOf(made),
        method,
        from: sourcesText(from),
        bestBefore,
        person,
        note,
      });
    } else if (page.kind === 'portion') {
      const {
        what = 'meal',
        at = '',
        of,
        who = [],
        dish = '',
        toWhom,
        note = '',
      } = standing(page, 'portion');
      rows.push({
        kind: what,
        id: page.id,
        date: at,
        name: dish,
        from: sourcesText(of),
        who: (toWhom === undefined ? who : [toWhom]).join('; '),
        person,
        note,
      });
    }
  }
  return rows.sort((a, b) => ((a.date ?? '') < (b.date ?? '') ? -1 : 1));
}

export const toTable = (rows: readonly Row[]): string => csvOf(rows, TABLE_COLUMNS);
