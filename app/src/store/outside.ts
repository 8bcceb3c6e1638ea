/** What reaches outside the page: the server, the device's database, and what goes between them. One program, fetched when the first is wanted. */
export { http } from './http';
export { notebook } from './notebook';
export { followPictures } from './loadPictures';
export { album } from './pictures';
export { beginPage, layPages, sight, tellGroup, tellPage } from './pages';
export { flush, streamGrew, syncAll } from './sync';
export { takeOverCounts } from './takeOver';
export { applyToPage, bytesHash, parseEntry } from '@pause/core/notebook';
export { readLesson } from '@pause/core/lesson';
