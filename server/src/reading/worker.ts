import { workerData } from 'piscina';
import type { FindRecord } from '@pause/core';
import { connect, SERVING, type Db } from '../db';
import { recordsFor } from '../notebook/records';

/** A thread that reads long finds, over a database connection of its own. */

export interface Asked {
  readonly find: string;
  readonly reader: string;
}
export interface Read {
  /** JSON of a FindRecord; none where there is no such find any more. */
  readonly json: string | undefined;
}

let db: Db | undefined;

export default async function read({ find, reader }: Asked): Promise<Read> {
  db ??= connect(workerData as string, { ...SERVING, max: 1 });
  const record: FindRecord | undefined = (await recordsFor(db, [find], reader)).get(find);
  return { json: record && JSON.stringify(record) };
}
