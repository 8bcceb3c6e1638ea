import Papa from 'papaparse';
import type { CompiledGuide, Kingdom } from '../../guide';
import { Kingdom as KingdomSchema } from '../../guide';
import { edited } from '../../notebook/find';
import type { FindRecord } from '../../notebook/find';

/**
 * Finds as occurrences, in the terms of Darwin Core (a simple record for each, as CSV of RFC 4180), and back.
 */

export const OCCURRENCE_TERMS = [
  'occurrenceID',
  'basisOfRecord',
  'occurrenceStatus',
  'eventDate',
  'kingdom',
  'family',
  'scientificName',
  'scientificNameAuthorship',
  'vernacularName',
  'taxonRank',
  'identificationVerificationStatus',
  'identificationRemarks',
  'lifeStage',
  'recordedBy',
  'locality',
  'decimalLatitude',
  'decimalLongitude',
  'geodeticDatum',
  'coordinateUncertaintyInMeters',
  'informationWithheld',
  'disposition',
  'occurrenceRemarks',
] as const;
export type OccurrenceTerm = (typeof OCCURRENCE_TERMS)[number];
export type Occurrence = Readonly<Record<OccurrenceTerm, string>>;

/** Of finds that were taken for something. @param nameOf who recorded it, as they are to be named */
export function occurrencesOf(
  finds: readonly FindRecord[],
  guide: CompiledGuide,
  nameOf: (person: string) => string,
): Occurrence[] {
  return finds.flatMap((record): Occurrence[] => {
    const taxon = guide.taxon(record.targets.at(-1)?.taxon ?? '')?.taxon;
    if (!taxon) return [];
    const position = edited(record, 'position').now;
    const note = edited(record, 'note').now?.value;
    const at =
      position?.field === 'position' && position.value !== null && position.withheld !== true
        ? position.value
        : undefined;
    const verdict = record.verdicts.at(-1)?.verdict.outcome;
    const choice = record.decisions.at(-1)?.choice;
    return [
      {
        occurrenceID: record.id,
        basisOfRecord: 'HumanObservation',
        occurrenceStatus: 'present',
        eventDate: record.startedAt,
        kingdom: taxon.kingdom,
        family: taxon.family,
        scientificName: taxon.scientificName,
        scientificNameAuthorship: taxon.scientificNameAuthorship,
        vernacularName: taxon.vernacularNames.en?.[0] ?? '',
        taxonRank: 'species',
        identificationVerificationStatus: verdict ?? 'undecided',
        identificationRemarks: `${record.readings.length} readings; guide ${guide.guide.id} ${guide.version.slice(0, 12)}`,
        lifeStage: (record.context.stages ?? []).join(' | '),
        recordedBy: nameOf(record.person),
        locality: record.placeNote ?? '',
        decimalLatitude: at === undefined ? '' : String(at.decimalLatitude),
        decimalLongitude: at === undefined ? '' : String(at.decimalLongitude),
        geodeticDatum: at === undefined ? '' : 'EPSG:4326',
        coordinateUncertaintyInMeters:
          at?.coordinateUncertaintyInMeters === undefined ? '' : String(at.coordinateUncertaintyInMeters),
        informationWithheld: position?.withheld === true ? 'who keeps it does not tell where it is' : '',
        disposition:
          choice === undefined
            ? ''
            : { collect: 'collected', leave: 'left', later: 'left for later' }[choice],
        occurrenceRemarks: typeof note === 'string' ? note : '',
      },
    ];
  });
}

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
  return `${Papa.unparse({ fields: [...columns], data: rows.map((row) => columns.map((column) => tame(row[column] ?? ''))) }, { newline: '\r\n' })}\r\n`;
}
export const toDarwinCore = (occurrences: readonly Occurrence[]): string =>
  csvOf(occurrences, OCCURRENCE_TERMS);

/** A find that was read out of a file: what it was taken for, and nothing that would be a check. */
export interface ReadFind {
  readonly id?: string;
  readonly startedAt: string;
  readonly kingdom: Kingdom;
  readonly taxon?: string;
  readonly bodyPlan?: string;
  readonly placeNote?: string;
  readonly note?: string;
  readonly position?: {
    readonly decimalLatitude: number;
    readonly decimalLongitude: number;
    readonly coordinateUncertaintyInMeters?: number;
  };
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
const idLike = /^[A-Za-z0-9_-]{8,64}$/;
const number = (text: string | undefined): number | undefined =>
  text === undefined || text.trim() === '' ? undefined : Number(text);

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

/** @returns finds to begin, and what of the file cannot be used; a row with a problem is left out whole */
export function readOccurrences(text: string, guide: CompiledGuide): ReadRows<ReadFind> {
  const { rows, problems } = csvRows(text, ['eventDate', 'scientificName']);
  const byName = new Map(guide.taxa.map((one) => [one.taxon.scientificName.toLowerCase(), one]));
  const found: ReadFind[] = [];
  const wrong: RowProblem[] = [...problems];
  for (const { line, row } of rows) {
    const own: RowProblem[] = [];
    const say = (column: string, reason: string) => own.push({ field: `line ${line}, ${column}`, reason });
    // A day alone is taken as its noon: which hour it was nobody said.
    const date = (row.eventDate ?? '').trim();
    const at = /^\d{4}-\d{2}-\d{2}$/.test(date)
      ? Date.parse(`${date}T12:00:00.000Z`)
      : /^\d{4}-\d{2}-\d{2}T/.test(date)
        ? Date.parse(date)
        : NaN;
    if (!Number.isFinite(at)) say('eventDate', 'a day like 2026-09-14, or an instant of ISO 8601');
    const name = (row.scientificName ?? '').trim();
    const taxon =
      byName.get(name.toLowerCase()) ?? byName.get(name.split(/\s+/).slice(0, 2).join(' ').toLowerCase());
    const kingdom = taxon?.taxon.kingdom ?? KingdomSchema.safeParse(row.kingdom).data;
    if (name === '') say('scientificName', 'a name');
    else if (!kingdom) say('kingdom', `"${name}" is not in the guide, so Plantae or Fungi has to be told`);
    if (row.occurrenceStatus === 'absent') say('occurrenceStatus', 'what was not there is no find');
    const [latitude, longitude, metres] = [
      number(row.decimalLatitude),
      number(row.decimalLongitude),
      number(row.coordinateUncertaintyInMeters),
    ];
    if (latitude !== undefined && !(latitude >= -90 && latitude <= 90))
      say('decimalLatitude', 'from -90 to 90');
    if (longitude !== undefined && !(longitude >= -180 && longitude <= 180))
      say('decimalLongitude', 'from -180 to 180');
    if ((latitude === undefined) !== (longitude === undefined))
      say('decimalLatitude', 'both latitude and longitude, or neither');
    if (metres !== undefined && !(metres > 0 && metres <= 100_000))
      say('coordinateUncertaintyInMeters', 'above 0 and no more than 100000');
    wrong.push(...own);
    if (own.length > 0 || !kingdom) continue;
    const note = [taxon ? '' : name, row.occurrenceRemarks ?? '']
      .filter((one) => one.trim() !== '')
      .join('. ')
      .slice(0, 2000);
    const place = (row.locality ?? '').trim().slice(0, 200);
    found.push({
      startedAt: new Date(at).toISOString(),
      kingdom,
      ...(row.occurrenceID !== undefined && idLike.test(row.occurrenceID) ? { id: row.occurrenceID } : {}),
      ...(taxon ? { taxon: taxon.id, bodyPlan: taxon.taxon.bodyPlan } : {}),
      ...(place === '' ? {} : { placeNote: place }),
      ...(note === '' ? {} : { note }),
      ...(latitude === undefined || longitude === undefined
        ? {}
        : {
            position: {
              decimalLatitude: latitude,
              decimalLongitude: longitude,
              ...(metres === undefined ? {} : { coordinateUncertaintyInMeters: metres }),
            },
          }),
    });
  }
  return { rows: found, problems: wrong };
}
