import Papa from 'papaparse';
import type { CompiledGuide, CompiledTaxon } from '../../guide';
import { csvRows, readRows, type ReadRows } from './csv';
import { type ReadFind, readOccurrence } from './readOccurrences';

/** Reads finds from any table: first somebody says which column is what. */

/** What is taken of a row, by its term of Darwin Core. */
export const TAKEN_TERMS = [
  'scientificName',
  'eventDate',
  'locality',
  'occurrenceRemarks',
  'decimalLatitude',
  'decimalLongitude',
  'kingdom',
] as const;
export type TakenTerm = (typeof TAKEN_TERMS)[number];

/** Without these a row is no find. */
export const NEEDED_TERMS: readonly TakenTerm[] = ['scientificName', 'eventDate'];

/** The column of each term that the table has. */
export type Matching = Readonly<Partial<Record<TakenTerm, string>>>;

/** What such a column is often called, in small letters, without spaces and signs. */
const OFTEN_CALLED: Readonly<Record<TakenTerm, readonly string[]>> = {
  scientificName: ['scientificname', 'name', 'species', 'taxon', 'latinname', 'plant', 'mushroom', 'what'],
  eventDate: ['eventdate', 'date', 'day', 'on', 'found', 'foundon', 'when', 'observedon'],
  locality: ['locality', 'place', 'location', 'where', 'site'],
  occurrenceRemarks: ['occurrenceremarks', 'note', 'notes', 'remarks', 'comment', 'comments', 'description'],
  decimalLatitude: ['decimallatitude', 'latitude', 'lat'],
  decimalLongitude: ['decimallongitude', 'longitude', 'lon', 'lng', 'long'],
  kingdom: ['kingdom'],
};

/** @returns the columns of a CSV with a header; nothing where it is no table of two columns or more */
export function columnsOf(text: string): readonly string[] {
  const head = text.replace(/^\uFEFF/, '').split(/\r?\n/, 1)[0] ?? '';
  const [row] = Papa.parse<string[]>(head).data;
  const columns = (row ?? []).filter((column) => column.trim() !== '');
  return columns.length > 1 && new Set(columns).size === columns.length ? columns : [];
}

/** Which column is probably what, by how it is called. */
export function likelyMatching(columns: readonly string[]): Matching {
  const plain = (column: string) => column.toLowerCase().replace(/[^a-z]/g, '');
  return Object.fromEntries(
    TAKEN_TERMS.flatMap((term) => {
      const column = OFTEN_CALLED[term].flatMap(
        (name) => columns.find((one) => plain(one) === name) ?? [],
      )[0];
      return column === undefined ? [] : [[term, column]];
    }),
  );
}

/**
 * Reads a table whose columns somebody matched. A name may be scientific or in any language of the guide, if it
 * is the name of one kind only.
 *
 * @returns finds to begin, and what cannot be used, by the columns of the table
 */
export function readMatched(text: string, matching: Matching, guide: CompiledGuide): ReadRows<ReadFind> {
  const needed = NEEDED_TERMS.map((term) => matching[term] ?? term);
  const byName = namesOf(guide);
  return readRows(csvRows(text, needed), (row, say) =>
    readOccurrence(
      Object.fromEntries(
        Object.entries(matching).map(([term, column]) => [term, (column && row[column]) ?? '']),
      ),
      byName,
      (term, reason) => say(matching[term as TakenTerm] ?? term, reason),
    ),
  );
}

/** Every kind by its scientific name, and by each name that no other kind has. */
function namesOf(guide: CompiledGuide): ReadonlyMap<string, CompiledTaxon> {
  const all = new Map<string, Set<CompiledTaxon>>();
  for (const one of guide.taxa)
    for (const name of [one.taxon.scientificName, ...Object.values(one.taxon.vernacularNames).flat()]) {
      const known = all.get(name.toLowerCase()) ?? new Set();
      all.set(name.toLowerCase(), known.add(one));
    }
  return new Map(
    [...all].flatMap(([name, [only, ...others]]) => (only && others.length === 0 ? [[name, only]] : [])),
  );
}
