import {
  exportOf,
  type Matching,
  toTable,
  tableOf,
  toDarwinCore,
  occurrencesOf,
} from '@pause/core/formats/logbook';
import { guide } from '../../deciding/guide';
import { saveFile, chooseFile } from '../../lib/files';
import { add } from '../../notebook/add';
import { allFinds } from '../../notebook/repository/finds';
import type { Thunk } from '../../notebook/store';
import { t } from '../../text/en/pantry';
import { memberName } from '../../text/people';
import { entriesIn, entriesOfTable, AT_ONCE, MOST_LISTED, type Taken } from './entriesIn';

/** The whole logbook out of this device and into it, in open formats. */

export function saveLogbook(format: 'json' | 'csv' | 'occurrences', day: string): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const {
      me: { person },
      pages,
    } = getState();
    const [finds, all] = [await dispatch(allFinds()), Object.values(pages.all)];
    const nameOf = (who: string) =>
      who === person?.id
        ? person.name
        : (person?.groups.map((group) => memberName(group, who)).find((name) => name !== who) ?? who);
    if (format === 'json')
      saveFile(
        `pause-logbook-${day}.json`,
        'application/json',
        JSON.stringify(exportOf({ id: person?.id ?? 'me', name: person?.name ?? '' }, finds, all), null, 1),
      );
    else if (format === 'csv') saveFile(`pause-logbook-${day}.csv`, 'text/csv', toTable(tableOf(finds, all)));
    else
      saveFile(`pause-occurrences-${day}.csv`, 'text/csv', toDarwinCore(occurrencesOf(finds, guide, nameOf)));
  };
}

const MOST_BYTES = 60_000_000;

/** A table that somebody brought, and its columns: which is what has to be chosen first. */
export interface Table {
  readonly text: string;
  readonly columns: readonly string[];
}

/** What came of a file: remarks on it, or what has to be asked. */
export interface Loaded {
  readonly lines: readonly string[];
  readonly table?: Table;
}

/** Asks for a file, and takes what of it is not here yet. */
export function loadLogbook(): Thunk<Promise<Loaded>> {
  return async (dispatch) => {
    const file = await chooseFile('.json,.csv,application/json,text/csv');
    if (!file) return { lines: [] };
    if (file.size > MOST_BYTES) return { lines: [t.itIsLargerThanMb(file.name, MOST_BYTES / 1e6)] };
    const text = await file.text();
    const taken = await dispatch(entriesIn(text));
    if (taken.columns) return { lines: [], table: { text, columns: taken.columns } };
    return { lines: await dispatch(keep(taken)) };
  };
}

/** Takes what of a table is not here yet. @returns remarks on it */
export function loadTable({ text }: Table, matching: Matching): Thunk<Promise<readonly string[]>> {
  return async (dispatch) => dispatch(keep(await dispatch(entriesOfTable(text, matching))));
}

function keep({ entries, remarks }: Taken): Thunk<Promise<readonly string[]>> {
  return async (dispatch) => {
    let kept = 0;
    for (let at = 0; at < entries.length; at += AT_ONCE) {
      const some = entries.slice(at, at + AT_ONCE);
      if (!(await dispatch(add(...some)))) break;
      kept += some.length;
    }
    const [{ loadPages }, { loadList }] = await Promise.all([
      import('../../notebook/outside'),
      import('../../notebook/repository/finds'),
    ]);
    await dispatch(loadPages());
    await dispatch(loadList());
    return [
      kept === 0 && entries.length === 0 ? t.nothingInItIsNew : takenWords(kept, entries.length),
      ...remarks.slice(0, MOST_LISTED),
      ...(remarks.length > MOST_LISTED ? [t.andMore(remarks.length - MOST_LISTED)] : []),
    ];
  };
}

const takenWords = (kept: number, all: number): string =>
  kept === all ? t.entriesWereTaken(kept) : t.entriesWereTakenOf(kept, all);
