import type { CompiledGuide, CompiledTaxon } from '../../guide';
import { Kingdom } from '../../guide';
import { contentHash } from '../../lib/canonical';
import { type Cells, csvRows, readRows, type ReadRows, type Say } from './csv';

/** Reads occurrences of Darwin Core as finds. */

/** A find that was read out of a file: what it was taken for, and nothing that would be a check. */
export interface ReadFind {
  readonly id?: string;
  readonly startedAt: string;
  readonly kingdom: Kingdom;
  readonly taxon?: string;
  /** A name that the guide does not know, as it is in the file. */
  readonly verbatimIdentification?: string;
  readonly bodyPlan?: string;
  readonly placeNote?: string;
  readonly note?: string;
  readonly position?: {
    readonly decimalLatitude: number;
    readonly decimalLongitude: number;
    readonly coordinateUncertaintyInMeters?: number;
  };
}
const idLike = /^[A-Za-z0-9_-]{8,64}$/;
const number = (text: string | undefined): number | undefined =>
  text === undefined || text.trim() === '' ? undefined : Number(text);

/** @returns finds to begin, and what of the file cannot be used; a row with a problem is left out whole */
export function readOccurrences(text: string, guide: CompiledGuide): ReadRows<ReadFind> {
  const byName = new Map(guide.taxa.map((one) => [one.taxon.scientificName.toLowerCase(), one]));
  return readRows(csvRows(text, ['eventDate', 'scientificName']), (row, say) =>
    readOccurrence(row, byName, say),
  );
}

/**
 * A find without an id gets one from who takes it in, from what it says, and from how often a row before it said
 * the same: the same file, read again, brings nothing new.
 */
export function identified(
  finds: readonly ReadFind[],
  person: string,
): readonly (ReadFind & { readonly id: string })[] {
  const times = new Map<string, number>();
  return finds.map((find) => {
    if (find.id !== undefined) return { ...find, id: find.id };
    const content = contentHash({ ...find, person });
    const nth = (times.get(content) ?? 0) + 1;
    times.set(content, nth);
    return { ...find, id: `row-${content.slice(0, 32)}-${nth}` };
  });
}

/**
 * One row by its terms; nothing where it cannot be a find.
 *
 * @param byName - kinds of the guide by name, in small letters
 */
export function readOccurrence(
  row: Cells,
  byName: ReadonlyMap<string, CompiledTaxon>,
  say: Say,
): ReadFind | undefined {
  const at = readEventDate(row.eventDate ?? '', say);
  const name = nameIn(row);
  const taxon =
    byName.get(name.toLowerCase()) ?? byName.get(name.split(/\s+/).slice(0, 2).join(' ').toLowerCase());
  const kingdom = taxon?.taxon.kingdom ?? Kingdom.safeParse(row.kingdom).data;
  if (name === '') say('scientificName', 'a name');
  else if (!kingdom) say('kingdom', `"${name}" is not in the guide, so write Plantae or Fungi`);
  if (row.occurrenceStatus === 'absent') say('occurrenceStatus', 'what was not there is no find');
  const position = readPosition(row, say);
  if (!at || !kingdom) return undefined;
  const note = (row.occurrenceRemarks ?? '').trim().slice(0, 2000);
  const place = (row.locality ?? '').trim().slice(0, 200);
  return {
    startedAt: at.toISOString(),
    kingdom,
    ...(row.occurrenceID !== undefined && idLike.test(row.occurrenceID) ? { id: row.occurrenceID } : {}),
    ...(taxon
      ? { taxon: taxon.id, bodyPlan: taxon.taxon.bodyPlan }
      : { verbatimIdentification: name.slice(0, 120) }),
    ...(place === '' ? {} : { placeNote: place }),
    ...(note === '' ? {} : { note }),
    ...(position ? { position } : {}),
  };
}

/** Its scientific name; where there is none, the name that the guide of whoever wrote it did not know. */
const nameIn = ({ scientificName = '', verbatimIdentification = '' }: Cells): string =>
  scientificName.trim() || verbatimIdentification.trim();

/** A day alone is taken as its noon: nobody wrote down the hour. With points it is day, month, year. */
function readEventDate(cell: string, say: Say): Date | undefined {
  const date = cell
    .trim()
    .replace(
      /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/,
      (_, day: string, month: string, year: string) =>
        `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`,
    );
  const at = /^\d{4}-\d{2}-\d{2}$/.test(date)
    ? Date.parse(`${date}T12:00:00.000Z`)
    : /^\d{4}-\d{2}-\d{2}T/.test(date)
      ? Date.parse(date)
      : NaN;
  if (Number.isFinite(at)) return new Date(at);
  say('eventDate', 'a day like 2026-09-14, or an instant of ISO 8601');
  return undefined;
}

function readPosition(row: Cells, say: Say): ReadFind['position'] {
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
  if (latitude === undefined || longitude === undefined) return undefined;
  return {
    decimalLatitude: latitude,
    decimalLongitude: longitude,
    ...(metres === undefined ? {} : { coordinateUncertaintyInMeters: metres }),
  };
}
