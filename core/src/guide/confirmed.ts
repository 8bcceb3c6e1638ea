import { excludingNothing, withUnread, type Answers, type Known, type Statement } from './kinds';

/**
 * How many readings that did not see each other must support a statement before it excludes anything of a
 * dangerous taxon.
 */
export const READINGS_NEEDED = 2;

/** Whether enough readings support a statement. */
export const isConfirmed = ({ readBy }: Statement): boolean => (readBy ?? []).length >= READINGS_NEEDED;

/**
 * The same knowledge as far as it may speak against a dangerous taxon: one that was read once excludes
 * nothing, and neither does a state about which no second reader was asked.
 */
export const asBar = (known: Known, answers: Answers, confirmed: boolean): Known =>
  confirmed ? withUnread(known, answers) : excludingNothing(known, answers);
