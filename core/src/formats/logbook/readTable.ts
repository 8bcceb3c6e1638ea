import type { z } from 'zod';
import type { CompiledGuide } from '../../guide';
import { Amount } from '../../harvest/taking/amount';
import { BatchFields, KeptAmount, Source } from '../../notebook/page/pantry';
import { type Cells, csvRows, readRows, type ReadRows, type Say } from './csv';

/** Reads a table of finds. */

const BatchColumns = BatchFields.pick({
  name: true,
  from: true,
  contents: true,
  method: true,
  on: true,
  made: true,
  bestBefore: true,
  note: true,
}).partial({ made: true, bestBefore: true, note: true });

/** A batch of a table: what is known of it by its row. */
export interface ReadBatch {
  readonly kind: 'batch';
  readonly id: string;
  readonly fields: z.output<typeof BatchColumns>;
}

export interface ReadHarvest {
  readonly kind: 'harvest';
  readonly id: string;
  readonly fields: {
    readonly find: string;
    readonly taxon: string;
    readonly part: string;
    readonly on: string;
    readonly taken?: Amount;
    readonly note?: string;
  };
}

/** Rows of finds are read as occurrences are: with the taxon of the guide in place of its name. */
export interface TableFind {
  readonly kind: 'find';
  readonly id: string;
  readonly startedAt: string;
  readonly taxon: string;
  readonly placeNote?: string;
  readonly note?: string;
}

export type TableRow = TableFind | ReadHarvest | ReadBatch;

const split = (text: string | undefined) =>
  (text ?? '')
    .split(';')
    .map((one) => one.trim())
    .filter((one) => one !== '');

const more = <K extends string, V>(key: K, value: V | undefined) =>
  (value === undefined ? {} : { [key]: value }) as Partial<Record<K, V>>;

/** What became of a batch is not taken over: who ate of it belongs to the notebook it was recorded in. */
const NOT_TAKEN: readonly string[] = ['meal', 'outward', 'gift', 'thrown-out'];

export function readTable(text: string, guide: CompiledGuide): ReadRows<TableRow> {
  return readRows(csvRows(text, ['kind', 'id', 'date']), (row, say) =>
    NOT_TAKEN.includes(row.kind ?? '') ? undefined : readRow(row, guide, say),
  );
}

function readRow(row: Cells, guide: CompiledGuide, say: Say): TableRow | undefined {
  const { kind = '', id = '' } = row;
  if (kind !== 'find' && kind !== 'harvest' && kind !== 'batch') {
    say('kind', 'find, harvest or batch');
    return undefined;
  }
  if (!/^[A-Za-z0-9_-]{8,64}$/.test(id)) say('id', '8 to 64 letters, digits, "-" and "_"');
  const at = readDate(row.date ?? '', say);
  const taxa = split(row.taxon);
  for (const taxon of taxa) if (!guide.taxon(taxon)) say('taxon', `"${taxon}" is not a taxon of the guide`);
  if (kind !== 'batch' && taxa.length !== 1) say('taxon', 'one taxon of the guide');
  if (kind === 'find') return at && readFindRow(row, at, taxa[0] ?? '');
  const from = readSources(row, say);
  if (!from || !at) return undefined;
  return kind === 'harvest' ? readHarvestRow(row, at, from[0], say) : readBatchRow(row, at, from, say);
}

/** A day is taken as its noon. */
function readDate(date: string, say: Say): Date | undefined {
  const at = Date.parse(/^\d{4}-\d{2}-\d{2}$/.test(date) ? `${date}T12:00:00.000Z` : date);
  if (Number.isFinite(at)) return new Date(at);
  say('date', 'a day like 2026-09-14');
  return undefined;
}

const dayOf = (at: Date) => at.toISOString().slice(0, 10);
const textOf = (cell: string | undefined) => {
  const text = (cell ?? '').trim();
  return text === '' ? undefined : text;
};

function readAmount<T>(schema: z.ZodType<T>, { amount, unit }: Cells, say: Say): T | undefined {
  if ((amount ?? '') === '') return undefined;
  const checked = schema.safeParse({ amount: Number(amount), unit });
  for (const { path, message } of checked.error?.issues ?? []) say(String(path[0] ?? 'amount'), message);
  return checked.data;
}

function readSources({ id, from = '' }: Cells, say: Say): readonly [Source, ...Source[]] | undefined {
  const [first, ...rest] = sourcesOf(from) ?? [];
  if (!first) say('from', 'what it comes from, like harvest:ID or batch:ID=200 g');
  else if ([first, ...rest].some((one) => one.id === id)) say('from', 'a batch cannot come from itself');
  else return [first, ...rest];
  return undefined;
}

const readFindRow = (row: Cells, at: Date, taxon: string): TableFind => ({
  kind: 'find',
  id: row.id ?? '',
  startedAt: at.toISOString(),
  taxon,
  ...more('placeNote', textOf(row.place?.trim().slice(0, 200))),
  ...more('note', textOf(row.note)),
});

function readHarvestRow(row: Cells, at: Date, source: Source, say: Say): ReadHarvest {
  const [part = ''] = split(row.part);
  if (source.of !== 'find') say('from', 'the find it was taken of, like find:ID');
  if (part === '') say('part', 'which part was taken');
  return {
    kind: 'harvest',
    id: row.id ?? '',
    fields: {
      find: source.id,
      taxon: split(row.taxon)[0] ?? '',
      part,
      on: dayOf(at),
      ...more('taken', readAmount(Amount, row, say)),
      ...more('note', textOf(row.note)),
    },
  };
}

function readBatchRow(row: Cells, at: Date, from: readonly Source[], say: Say): ReadBatch | undefined {
  const parts = split(row.part);
  const made = readAmount(KeptAmount, row, say);
  const checked = BatchColumns.safeParse({
    name: row.name ?? '',
    from,
    contents: split(row.taxon).map((taxon, index) => ({ taxon, part: parts[index] ?? '' })),
    method: row.method,
    on: dayOf(at),
    ...more('made', made),
    ...more('bestBefore', textOf(row.bestBefore)),
    ...more('note', textOf(row.note)),
  });
  for (const { path, message } of checked.error?.issues ?? [])
    say(path[0] === 'contents' ? 'part' : String(path[0] ?? 'row'), message);
  return checked.data && { kind: 'batch', id: row.id ?? '', fields: checked.data };
}

function sourcesOf(text: string): Source[] | undefined {
  const all = split(text)
    .map((one) => /^(find|harvest|batch):([A-Za-z0-9_-]{1,64})(?:=([\d.]+) (g|ml|piece))?$/.exec(one))
    .map((found) =>
      found
        ? Source.safeParse({
            of: found[1],
            id: found[2],
            ...(found[3] === undefined ? {} : { amount: { amount: Number(found[3]), unit: found[4] } }),
          }).data
        : undefined,
    );
  return all.some((one) => one === undefined) ? undefined : all.flatMap((one) => one ?? []);
}
