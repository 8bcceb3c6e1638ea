import { z } from 'zod';
import { breath } from '../lib/breath';
import { http } from './http';

/**
 * What reaches outside the page: the server, the device's database, and what goes between them. One program,
 * fetched when the first is wanted.
 */
export { http };
export { notebookDatabase } from './database';
export { followPictures } from './loadPictures';
export { album } from './pictures';
export { beginPage, sight, changeGroup, changePage } from './pages';
export { loadPages } from './repository/pages';
export { flush } from './send';
export { streamGrew, syncAll } from './sync';
export { takeOverCounts } from './takeOver';
export { applyToPage, bytesHash, parseEntry } from '@pause/core/notebook';
export { readLesson } from '@pause/core/practice/lesson';

/**
 * Reads the modules that it needs, a task each: a module is read when something of it is first named, and a finger
 * should not wait for all at once.
 */
export async function readBitByBit(): Promise<void> {
  for (const read of [() => z, () => http]) {
    read();
    await breath();
  }
}
