import { type FindRecord, edited, verbatimIdentificationOf } from '../../notebook/find';
import type { PageRecord } from '../../notebook/page';
import { currentFields } from '../../notebook/page/currentFields';
import { Source } from '../../notebook/page/pantry';
import { csvOf } from './csv';

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
  const rows = [...finds.map(findRow), ...pages.flatMap(pageRows)];
  return rows.sort((a, b) => ((a.date ?? '') < (b.date ?? '') ? -1 : 1));
}

const findRow = (record: FindRecord): Row => ({
  kind: 'find',
  id: record.id,
  date: record.startedAt,
  name: verbatimIdentificationOf(record) ?? '',
  taxon: record.targets.at(-1)?.taxon ?? '',
  part: record.context.part ?? '',
  place: record.placeNote ?? '',
  person: record.person,
  verdict: record.verdicts.at(-1)?.verdict.outcome ?? '',
  decision: record.decisions.at(-1)?.choice ?? '',
  note: noteOf(record),
});

function pageRows(page: PageRecord): Row[] {
  switch (page.kind) {
    case 'harvest':
      return [harvestRow(page)];
    case 'batch':
      return [batchRow(page)];
    case 'portion':
      return [portionRow(page)];
    default:
      return [];
  }
}

function harvestRow(page: PageRecord): Row {
  const {
    find,
    on = '',
    taxon = '',
    part = '',
    taken,
    place = '',
    note = '',
  } = currentFields(page, 'harvest');
  return {
    kind: 'harvest',
    id: page.id,
    date: on,
    taxon,
    part,
    ...amountOf(taken),
    from: find === undefined ? '' : `find:${find}`,
    place,
    person: page.person ?? '',
    note,
  };
}

function batchRow(page: PageRecord): Row {
  const { contents = [], made, from, ...fields } = currentFields(page, 'batch');
  return {
    kind: 'batch',
    id: page.id,
    date: fields.on ?? '',
    name: fields.name ?? '',
    taxon: contents.map((one) => one.taxon).join('; '),
    part: contents.map((one) => one.part).join('; '),
    ...amountOf(made),
    method: fields.method ?? '',
    from: sourcesText(from),
    bestBefore: fields.bestBefore ?? '',
    person: page.person ?? '',
    note: fields.note ?? '',
  };
}

function portionRow(page: PageRecord): Row {
  const {
    what = 'meal',
    at = '',
    of,
    who = [],
    dish = '',
    toWhom,
    note = '',
  } = currentFields(page, 'portion');
  return {
    kind: what,
    id: page.id,
    date: at,
    name: dish,
    from: sourcesText(of),
    who: (toWhom === undefined ? who : [toWhom]).join('; '),
    person: page.person ?? '',
    note,
  };
}

export const toTable = (rows: readonly Row[]): string => csvOf(rows, TABLE_COLUMNS);
