import Papa from 'papaparse';
import { dayOf, isoOf, type Day } from '../../lib/day';
import type { WeatherSeries } from './series';

/**
 * Daily weather from a table with a header (CSV, RFC 4180): a column `date` (2026-09-14), and one each for
 * the least and the greatest temperature and for rain, named with their unit: `tmin_c`, `tmax_c`, `rain_mm`,
 * or `tmin_f`, `tmax_f`, `rain_in`. A line `# elevation_m: 640` may stand before it.
 */

export interface WeatherProblem {
  /** A column, or a line as it is counted from 1. */
  readonly field: string;
  readonly reason: string;
}
export type ParsedWeather =
  | {
      readonly series: WeatherSeries;
      /** Days that were missing and filled in. */ readonly filled: readonly string[];
    }
  | { readonly problems: readonly WeatherProblem[] };

/** Longer than this nobody knows what the days between were like. */
const LONGEST_GAP = 7;
const MOST_DAYS = 40_000;
const MOST_LISTED = 8;

type Column = 'least' | 'most' | 'rain';
const COLUMNS: readonly {
  readonly of: Column;
  readonly name: string;
  readonly of_unit: (value: number) => number;
}[] = [
  { of: 'least', name: 'tmin_c', of_unit: (c) => c },
  { of: 'least', name: 'tmin_f', of_unit: (f) => ((f - 32) * 5) / 9 },
  { of: 'most', name: 'tmax_c', of_unit: (c) => c },
  { of: 'most', name: 'tmax_f', of_unit: (f) => ((f - 32) * 5) / 9 },
  { of: 'rain', name: 'rain_mm', of_unit: (mm) => mm },
  { of: 'rain', name: 'rain_in', of_unit: (inches) => inches * 25.4 },
];
const WANTED: Readonly<Record<Column, string>> = {
  least: 'tmin_c or tmin_f',
  most: 'tmax_c or tmax_f',
  rain: 'rain_mm or rain_in',
};
const PLAUSIBLE: Readonly<Record<Column, readonly [number, number]>> = {
  least: [-70, 50],
  most: [-60, 60],
  rain: [0, 1500],
};

interface Row {
  readonly day: Day;
  readonly least: number;
  readonly most: number;
  readonly rain: number;
}

/**
 * @param elevation of the station, where the file does not say it
 * @returns the series, or what is wrong with it, each problem with its column or line
 */
export function parseWeather(text: string, elevation?: number): ParsedWeather {
  const clean = text.replace(/^\uFEFF/, '');
  const stated = /^#\s*elevation_m\s*:\s*(-?\d+(?:\.\d+)?)\s*$/m.exec(clean)?.[1];
  const height = stated === undefined ? elevation : Number(stated);
  if (height === undefined)
    return {
      problems: [
        { field: 'elevation_m', reason: 'how high the station is, as a line like "# elevation_m: 640"' },
      ],
    };
  // Lines keep their number where a remark is only emptied.
  const table = Papa.parse<string[]>(clean.replace(/^#.*$/gm, ''), { skipEmptyLines: false });
  const first = table.data.findIndex((row) => row.some((cell) => cell.trim() !== ''));
  const header = (table.data[first] ?? []).map((cell) => cell.trim().toLowerCase());
  const date = header.indexOf('date');
  const columns = COLUMNS.flatMap(({ of, name, of_unit }) =>
    header.includes(name) ? [{ of, at: header.indexOf(name), name, of_unit }] : [],
  );
  const missing = (Object.keys(WANTED) as Column[]).filter(
    (of) => !columns.some((column) => column.of === of),
  );
  if (date < 0 || missing.length > 0) {
    return {
      problems: [
        ...(date < 0 ? [{ field: 'date', reason: 'there is no column of this name' }] : []),
        ...missing.map((of) => ({
          field: WANTED[of],
          reason: 'there is no column of this name, with its unit',
        })),
      ],
    };
  }
  const problems: WeatherProblem[] = [];
  const rows = table.data.slice(first + 1).flatMap((cells, index): Row[] => {
    const line = first + index + 2;
    if (cells.every((cell) => cell.trim() === '')) return [];
    const row = readRow(cells, date, columns);
    if (typeof row !== 'string') return row ? [row] : [];
    problems.push({ field: `line ${line}`, reason: row });
    return [];
  });
  if (problems.length > 0) return { problems: problems.slice(0, MOST_LISTED) };
  return arranged(rows, height);
}

/** @returns the row; nothing for a day without values; or what is wrong with it */
function readRow(
  cells: readonly string[],
  date: number,
  columns: readonly { of: Column; at: number; name: string; of_unit: (value: number) => number }[],
): Row | undefined | string {
  let day: Day;
  try {
    day = dayOf((cells[date] ?? '').trim());
  } catch {
    return `"${(cells[date] ?? '').trim()}" is not a day like 2026-09-14`;
  }
  const values: Partial<Record<Column, number>> = {};
  for (const { of, at, name, of_unit } of columns) {
    const cell = (cells[at] ?? '').trim().replace(',', '.');
    if (cell === '') continue;
    const value = of_unit(Number(cell));
    const [low, high] = PLAUSIBLE[of];
    if (!(value >= low && value <= high))
      return `${name}: "${(cells[at] ?? '').trim()}" is not possible in this unit`;
    values[of] = value;
  }
  const { least, most, rain } = values;
  if (least === undefined || most === undefined) return undefined;
  return least > most ? 'the least temperature is above the greatest' : { day, least, most, rain: rain ?? 0 };
}

/** The rows day by day, short gaps filled on a straight line. */
function arranged(rows: readonly Row[], elevation: number): ParsedWeather {
  const sorted = [...rows].sort((a, b) => a.day - b.day);
  const [begin, end] = [sorted[0], sorted.at(-1)];
  if (!begin || !end) return { problems: [{ field: 'date', reason: 'there is no day with values' }] };
  if (end.day - begin.day > MOST_DAYS)
    return { problems: [{ field: 'date', reason: `no more than ${MOST_DAYS} days` }] };
  const problems: WeatherProblem[] = [];
  const filled: string[] = [];
  const series = { least: [begin.least], most: [begin.most], rain: [begin.rain] };
  for (const [index, row] of sorted.slice(1).entries()) {
    const before = sorted[index] ?? begin;
    const gap = row.day - before.day - 1;
    if (gap < 0) problems.push({ field: 'date', reason: `${isoOf(row.day)} is there twice` });
    else if (gap > LONGEST_GAP)
      problems.push({
        field: 'date',
        reason:
          `${isoOf(before.day + 1)} to ${isoOf(row.day - 1)} are missing; up to ${LONGEST_GAP} days ` +
          `can be filled in`,
      });
    else {
      for (let day = 1; day <= gap; day += 1) {
        const share = day / (gap + 1);
        series.least.push(before.least + (row.least - before.least) * share);
        series.most.push(before.most + (row.most - before.most) * share);
        series.rain.push(0);
        filled.push(isoOf(before.day + day));
      }
      series.least.push(row.least);
      series.most.push(row.most);
      series.rain.push(row.rain);
    }
  }
  return problems.length > 0
    ? { problems: problems.slice(0, MOST_LISTED) }
    : { series: { elevation, from: begin.day, ...series }, filled };
}
