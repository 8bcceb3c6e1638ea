import type { CompiledGuide } from '../../guide';
import { Amount } from '../../harvest/taking/amount';
import { BatchFields, KeptAmount, Source } from '../../notebook/page/pantry';
import { type ReadRows, csvRows, type RowProblem } from './occurrences';

/** Reads a table of finds. */

/** A batch or a harvest of a table: what is known of it by its row. */
export interface ReadBatch {
  readonly kind: 'batch';
  readonly id: string;
  readonly fields: Pick<BatchFields, 'name' | 'from' | 'contents' | 'method' | 'on'> &
    Partial<Pick<BatchFields, 'made' | 'bestBefore' | 'note'>>;
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
export function readTable(text: string, guide: CompiledGuide): ReadRows<TableRow> {
  const { rows, problems } = csvRows(text, ['kind', 'id', 'date']);
  const read: TableRow[] = [];
  const wrong: RowProblem[] = [...problems];
  for (const { line, row } of rows) {
    const own: RowProblem[] = [];
    const say = (column: string, reason: string) => {
      own.push({ field: `line ${line}, ${column}`, reason });
    };
    const { kind = '', id = '', date = '' } = row;
    if (!['find', 'harvest', 'batch'].includes(kind)) {
      if (!['meal', 'outward', 'gift', 'thrown-out'].includes(kind)) say('kind', 'find, harvest or batch');
      wrong.push(...own);
      continue;
    }
    if (!/^[A-Za-z0-9_-]{8,64}$/.test(id)) say('id', '8 to 64 letters, digits, "-" and "_"');
    const at = Date.parse(/^\d{4}-\d{2}-\d{2}$/.test(date) ? `${date}T12:00:00.000Z` : date);
    if (!Number.isFinite(at)) say('date', 'a day like 2026-09-14');
    const taxa = split(row.taxon);
    const parts = split(row.part);
    for (const taxon of taxa) if (!guide.taxon(taxon)) say('taxon', `"${taxon}" is not a taxon of the guide`);
    if (kind !== 'batch' && taxa.length !== 1) say('taxon', 'one taxon of the guide');
    const amount = (row.amount ?? '') === '' ? undefined : { amount: Number(row.amount), unit: row.unit };
    const checked =
      amount === undefined ? undefined : (kind === 'batch' ? KeptAmount : Amount).safeParse(amount);
    if (checked?.success === false)
      for (const { path, message } of checked.error.issues) say(String(path[0] ?? 'amount'), message);
    const note = (row.note ?? '').trim() === '' ? undefined : (row.note ?? '').trim();
    const on = Number.isFinite(at) ? new Date(at).toISOString().slice(0, 10) : '';
    const [taxon = '', part = ''] = [taxa[0], parts[0]];
    const sources = sourcesOf(row.from ?? '');
    if (kind === 'find') {
      const place = (row.place ?? '').trim().slice(0, 200);
      if (own.length === 0)
        read.push({
          kind,
          id,
          startedAt: new Date(at).toISOString(),
          taxon,
          ...more('placeNote', place === '' ? undefined : place),
          ...more('note', note),
        });
    } else if (!sources || sources.length === 0)
      say('from', 'what it comes from, like harvest:ID or batch:ID=200 g');
    else if (sources.some((one) => one.id === id)) say('from', 'a batch cannot come from itself');
    else if (kind === 'harvest') {
      if (sources[0]?.of !== 'find') say('from', 'the find it was taken of, like find:ID');
      if (part === '') say('part', 'which part was taken');
      if (own.length === 0)
        read.push({
          kind,
          id,
          fields: {
            find: sources[0]?.id ?? '',
            taxon,
            part,
            on,
            ...more('taken', checked?.data as Amount | undefined),
            ...more('note', note),
          },
        });
    } else {
      const contents = taxa.map((one, index) => ({ taxon: one, part: parts[index] ?? '' }));
      const fields = {
        name: row.name ?? '',
        from: sources,
        contents,
        method: row.method,
        on,
        ...more('made', checked?.data as KeptAmount | undefined),
        ...more('bestBefore', (row.bestBefore ?? '') === '' ? undefined : row.bestBefore),
        ...more('note', note),
      };
      const whole = BatchFields.pick({
        name: true,
        from: true,
        contents: true,
        method: true,
        on: true,
        made: true,
        bestBefore: true,
        note: true,
      })
        .partial({ made: true, bestBefore: true, note: true })
        .safeParse(fields);
      if (!whole.success)
        for (const { path, message } of whole.error.issues)
          say(path[0] === 'contents' ? 'part' : String(path[0] ?? 'row'), message);
      else if (own.length === 0) read.push({ kind: 'batch', id, fields: whole.data as ReadBatch['fields'] });
    }
    wrong.push(...own);
  }
  return { rows: read, problems: wrong };
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
