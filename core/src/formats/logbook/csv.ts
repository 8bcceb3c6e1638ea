import Papa from 'papaparse';

/** CSV of RFC 4180 out and in, row by row. */

/**
 * A text that a spreadsheet would take for a formula is given a sign before it, so that opening the file runs
 * nothing.
 */
const tame = (text: string): string => (FORMULA.test(text) && !NUMBER.test(text) ? `'${text}` : text);
const untame = (text: string): string => (TAMED.test(text) ? text.slice(1) : text);
const FORMULA = /^'*[-=+@\t\r]/;
const TAMED = /^'+[-=+@\t\r]/;
const NUMBER = /^[-+]?\d+(?:\.\d+)?(?:e[-+]?\d+)?$/i;

export function csvOf(rows: readonly Readonly<Record<string, string>>[], columns: readonly string[]): string {
  const data = rows.map((row) => columns.map((column) => tame(row[column] ?? '')));
  return `${Papa.unparse({ fields: [...columns], data }, { newline: '\r\n' })}\r\n`;
}
export interface RowProblem {
  /** Line and column, as in `line 4, eventDate`. */
  readonly field: string;
  readonly reason: string;
}
export interface ReadRows<T> {
  readonly rows: readonly T[];
  readonly problems: readonly RowProblem[];
}

const MOST_ROWS = 20_000;
export const MOST_CSV_BYTES = 20_000_000;
/** Rows of a CSV with a header, each by its names; or why it is none. */
export function csvRows(
  text: string,
  needed: readonly string[],
): ReadRows<{ readonly line: number; readonly row: Readonly<Record<string, string>> }> {
  if (text.length > MOST_CSV_BYTES)
    return {
      rows: [],
      problems: [{ field: 'file', reason: `it is larger than ${MOST_CSV_BYTES / 1e6} MB` }],
    };
  const read = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
  });
  const columns = read.meta.fields ?? [];
  const missing = needed.filter((column) => !columns.includes(column));
  if (missing.length > 0)
    return {
      rows: [],
      problems: [
        { field: 'file', reason: `the column ${missing.map((one) => `"${one}"`).join(', ')} is not there` },
      ],
    };
  if (read.data.length > MOST_ROWS)
    return { rows: [], problems: [{ field: 'file', reason: `more than ${MOST_ROWS} rows` }] };
  const broken = new Map(
    read.errors.flatMap(({ row, message }) => (row === undefined ? [] : [[row, message] as const])),
  );
  return {
    rows: read.data.flatMap((row, at) =>
      broken.has(at)
        ? []
        : [
            {
              line: at + 2,
              row: Object.fromEntries(
                Object.entries(row).map(([name, value]) => [
                  name,
                  typeof value === 'string' ? untame(value) : '',
                ]),
              ),
            },
          ],
    ),
    problems: [...broken].map(([row, message]) => ({ field: `line ${row + 2}`, reason: message })),
  };
}

/** The cells of a row by their columns. */
export type Cells = Readonly<Record<string, string>>;
/** Says what is wrong with a column. */
export type Say = (column: string, reason: string) => void;

/** Reads row by row; a row with a problem is left out whole. */
export function readRows<T>(
  { rows, problems }: ReturnType<typeof csvRows>,
  read: (row: Cells, say: Say) => T | undefined,
): ReadRows<T> {
  const found: T[] = [];
  const wrong: RowProblem[] = [...problems];
  for (const { line, row } of rows) {
    const own: RowProblem[] = [];
    const one = read(row, (column, reason) => {
      own.push({ field: `line ${line}, ${column}`, reason });
    });
    if (one !== undefined && own.length === 0) found.push(one);
    wrong.push(...own);
  }
  return { rows: found, problems: wrong };
}
