import { type Entry, type FindRecord, type PageRecord, applyEntry, sameValue } from '@pause/core';
import {
  columnsOf,
  identified,
  type Matching,
  NEEDED_TERMS,
  readMatched,
  readOccurrences,
  TABLE_COLUMNS,
  type ReadFind,
  type ReadRows,
  readTable,
} from '@pause/core/formats/logbook';
import { guide } from '../../deciding/guide';
import { now } from '../../notebook/add';
import { newId } from '../../notebook/open';
import { currentFind } from '../../notebook/repository/finds';
import { currentPage } from '../../notebook/repository/pages';
import type { Thunk } from '../../notebook/store';
import { t } from '../../text/en/pantry';

/** The entries in a file. */

export const MOST_LISTED = 6;
export const AT_ONCE = 200;

export interface Taken {
  readonly entries: readonly Entry[];
  /** Remarks on it: what was left out, and why. */
  readonly remarks: readonly string[];
  /** Its columns, where it is a table of which somebody has to say which column is what. */
  readonly columns?: readonly string[];
}

/** What of a file is not here yet, as entries of this person. */
export function entriesIn(text: string): Thunk<Promise<Taken>> {
  return async (dispatch) => {
    const clean = text.replace(/^\uFEFF/, '').trim();
    if (clean.startsWith('{')) return dispatch(fromExport(clean));
    const columns = columnsOf(clean);
    if (NEEDED_TERMS.every((column) => columns.includes(column)))
      return dispatch(takenFrom(readOccurrences(clean, guide)));
    if (TABLE_COLUMNS.slice(0, 3).every((column) => columns.includes(column)))
      return dispatch(fromTable(clean));
    return columns.length > 0
      ? { entries: [], remarks: [], columns }
      : { entries: [], remarks: [t.itIsNoneOfThe] };
  };
}

/** What of any other table is not here yet, once somebody chose which column is what. */
export function entriesOfTable(text: string, matching: Matching): Thunk<Promise<Taken>> {
  return takenFrom(readMatched(text, matching, guide));
}

function takenFrom({ rows, problems }: ReadRows<ReadFind>): Thunk<Promise<Taken>> {
  return async (dispatch) => ({
    entries: await dispatch(findsFrom(rows)),
    remarks: problems.map(problemLine),
  });
}

const problemLine = ({ field, reason }: ReadRows<unknown>['problems'][number]) => `${field}: ${reason}.`;

/** An export: everything of this person's own that is not here. What others recorded stays theirs. */
function fromExport(text: string): Thunk<Promise<Taken>> {
  return async (dispatch, getState) => {
    const exported = readExport(text);
    if (typeof exported === 'string') return { entries: [], remarks: [exported] };
    const { parseEntry } = await import('../../notebook/outside');
    const me = getState().me.person?.id;
    const isNew = await dispatch(newAmongKept());
    const remarks: string[] = [];
    const entries: Entry[] = [];
    let others = 0;
    for (const [index, one] of exported.own.entries()) {
      const parsed = parseEntry(one);
      if ('problems' in parsed) {
        remarks.push(...parsed.problems.map(({ field, reason }) => t.own(index, field, reason)));
        continue;
      }
      const entry = mine(parsed.entry, exported.person?.id, me);
      if (!entry) others += 1;
      else if (await isNew(entry)) entries.push(entry);
    }
    return {
      entries,
      remarks: [...(others > 0 ? [t.entriesAreSomebodyElsesAnd(others)] : []), ...remarks],
    };
  };
}

interface Export {
  readonly person?: { readonly id?: unknown };
  readonly own: readonly unknown[];
}

/** An export as it is in a file; or why it is none. */
function readExport(text: string): Export | string {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return t.itIsNotJsonNothing;
  }
  const { format, person, own } = raw as Partial<Export> & { readonly format?: unknown };
  if (format !== 'pause-export/1' || !Array.isArray(own)) return t.itIsNoExportOf;
  return { own: own as unknown[], ...(person === undefined ? {} : { person }) };
}

/** Adds entries in turn to what is kept of their finds and pages; says of each whether it changes anything. */
function newAmongKept(): Thunk<Promise<(entry: Entry) => Promise<boolean>>> {
  return async (dispatch) => {
    const { applyToPage } = await import('../../notebook/outside');
    const finds = new Map<string, FindRecord | undefined>();
    const pages = new Map<string, PageRecord | undefined>();
    return async (entry) => {
      if (entry.find !== undefined) {
        const before = finds.has(entry.find)
          ? finds.get(entry.find)
          : await dispatch(currentFind(entry.find));
        const after = applyEntry(before, entry);
        finds.set(entry.find, after ?? before);
        return changes(before, after);
      }
      const before = pages.has(entry.page) ? pages.get(entry.page) : await dispatch(currentPage(entry.page));
      const after = applyToPage(before, entry);
      pages.set(entry.page, after ?? before);
      return changes(before, after);
    };
  };
}

const changes = <T>(before: T | undefined, after: T | undefined): boolean =>
  after !== undefined && !(before !== undefined && sameValue(after, before));

/**
 * An entry as this person's, where the export is of the same one; from another notebook of theirs it becomes
 * theirs here.
 */
function mine(entry: Entry, from: unknown, me: string | undefined): Entry | undefined {
  const { body } = entry;
  const by = 'by' in body ? body.by : 'person' in body ? body.person : me;
  if (by === me) return entry;
  if (by !== from || me === undefined) return undefined;
  return {
    ...entry,
    body: Object.fromEntries(
      Object.entries(body).map(([name, value]) => [
        name,
        (name === 'by' || name === 'person') && value === from ? me : value,
      ]),
    ),
  } as Entry;
}

/** Finds that nobody checked here: what they were taken for, where and when. */
function findsFrom(rows: readonly ReadFind[]): Thunk<Promise<Entry[]>> {
  return async (dispatch, getState) => {
    const person = getState().me.person?.id ?? '';
    const entries: Entry[] = [];
    for (const row of identified(rows, person)) {
      const { id, startedAt, kingdom, taxon, bodyPlan, placeNote, note, position } = row;
      const { verbatimIdentification } = row;
      if (await dispatch(currentFind(id))) continue;
      const at = dispatch(now());
      const body = (more: object) => ({ id: newId(), at, by: person, ...more });
      entries.push(
        ...([
          {
            kind: 'finds',
            find: id,
            body: {
              id,
              startedAt,
              kingdom,
              person,
              ...(bodyPlan === undefined ? {} : { bodyPlan }),
              ...(placeNote === undefined ? {} : { placeNote }),
            },
          },
          { kind: 'pieces', find: id, body: { id: newId(), at, purpose: 'decide' } },
          ...(taxon === undefined ? [] : [{ kind: 'targets', find: id, body: { id: newId(), at, taxon } }]),
          ...Object.entries({ note, verbatimIdentification, position }).flatMap(([field, value]) =>
            value === undefined ? [] : [{ kind: 'edits', find: id, body: body({ field, value }) }],
          ),
        ] as Entry[]),
      );
    }
    return entries;
  };
}

function fromTable(text: string): Thunk<Promise<Taken>> {
  return async (dispatch, getState, { device }) => {
    const { rows, problems } = readTable(text, guide);
    const person = getState().me.person?.id ?? '';
    const entries = await dispatch(
      findsFrom(
        rows.flatMap((row) => {
          const taxon = row.kind === 'find' ? guide.taxon(row.taxon)?.taxon : undefined;
          return row.kind === 'find' && taxon
            ? [
                {
                  id: row.id,
                  startedAt: row.startedAt,
                  kingdom: taxon.kingdom,
                  bodyPlan: taxon.bodyPlan,
                  taxon: row.taxon,
                  ...(row.placeNote === undefined ? {} : { placeNote: row.placeNote }),
                  ...(row.note === undefined ? {} : { note: row.note }),
                },
              ]
            : [];
        }),
      ),
    );
    for (const row of rows) {
      if (row.kind === 'find' || getState().pages.all[row.id] || (await device.page(row.id))) continue;
      const at = dispatch(now());
      entries.push(
        { kind: 'pages', page: row.id, body: { id: row.id, at, by: person, kind: row.kind } },
        ...Object.entries<unknown>(row.fields).map(
          ([field, value]) =>
            ({
              kind: 'fields',
              page: row.id,
              body: { id: newId(), at: dispatch(now()), by: person, of: row.kind, field, value },
            }) as Entry,
        ),
      );
    }
    return { entries, remarks: problems.map(problemLine) };
  };
}
