import type { SharedCause } from '@pause/core';
import { t } from '../../text/en/check';

/** What several readings can rest on together. */
export const CAUSE: Readonly<Record<SharedCause, string>> = {
  colour: t.causeColour,
  smell: t.causeSmell,
  number: t.causeNumber,
  absence: t.causeAbsence,
  outline: t.causeOutline,
};
