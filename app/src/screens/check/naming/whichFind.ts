import { type FindRecord, verbatimIdentificationOf } from '@pause/core';
import { t } from '../../../text/en/naming';
import { factLine } from '../../../text/messages';

/** Which find it is, by what it was called, if the guide does not know that, its number and its place. */
export function whichFind(record: FindRecord): string {
  const typed = verbatimIdentificationOf(record);
  return factLine(
    typed !== undefined && t.notInTheGuideNeverCollected(typed),
    record.number ? t.find(record.number) : t.newFind,
    record.placeNote,
  );
}
