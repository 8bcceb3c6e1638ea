import type { CaseView } from '../case';
import type { CompiledGuide } from '../guide';
import { barRows, dangersOf, tally, type Dangers, type Tally } from './bars';
import { contradictions } from './contradictions';
import { slackOf } from './lookAgain';
import { asksOfRows } from './policy';
import {
  LEAVE_RULES,
  PAUSE_RULES,
  reasonsBy,
  ROW_RULES,
  type BarsBasis,
  type Basis,
  type Reason,
  type ReasonBy,
} from './rules';
import { disputedCharacters } from './settle';
import { extraBars, shopping, type Shopping } from './shopping';
import { holds } from './target';

/** The reasons of a verdict that need no bars, and what follows from them. */

export type Outcome = 'leave' | 'pause' | 'collect';

type LeaveReason = ReasonBy<(typeof LEAVE_RULES)[number]>;
type PauseReason = ReasonBy<(typeof PAUSE_RULES)[number]>;

/** What everything but the bars says. */
export interface Judged {
  readonly basis: Basis;
  readonly disputed: ReadonlySet<number>;
  readonly shopped: Shopping;
  readonly leave: readonly LeaveReason[];
  readonly pause: readonly PauseReason[];
  /** Something that was not read rules it out: no reading can change that. */
  readonly ruledOutUnread: boolean;
}

const UNREAD: ReadonlySet<string> = new Set(
  LEAVE_RULES.flatMap(({ code, readingsCanUndo }) => (readingsCanUndo ? [] : [code])),
);

export function judge(guide: CompiledGuide, view: CaseView): Judged {
  const target = guide.taxon(view.find.target);
  if (!target) throw new Error(`target "${view.find.target}" is not in the guide`);
  const held = holds(guide, view, target);
  const basis: Basis = {
    guide,
    view,
    find: view.find,
    target,
    held,
    contradictions: contradictions(guide, view, target, held),
  };
  const leave = reasonsBy<Basis, LeaveReason>(LEAVE_RULES, basis);
  return {
    basis,
    disputed: disputedCharacters(view),
    shopped: shopping(view),
    leave,
    pause: reasonsBy<Basis, PauseReason>(PAUSE_RULES, basis),
    ruledOutUnread: leave.some(({ code }) => UNREAD.has(code)),
  };
}

const MENDED_BY_CHECKS: ReadonlySet<string> = new Set(
  PAUSE_RULES.flatMap((one) => ('checksCanMend' in one ? [one.code] : [])),
);

/** What the rules about bars look at. */
export function withBars(judged: Judged, dangers: Dangers, tallied: Tally): BarsBasis {
  const { basis, disputed, shopped, leave, pause } = judged;
  return {
    ...basis,
    disputed,
    shopped,
    rows: barRows(basis.guide, dangers, tallied),
    dangers,
    tallied,
    settledOrOpen: leave.length > 0 || pause.some(({ code }) => MENDED_BY_CHECKS.has(code)),
  };
}

/**
 * The outcome alone, stopping at the first reason that settles it. `among` are the places, in the order of
 * their rows, of the dangers whose bars have to be counted; the others are known to have theirs.
 */
export function outcomeOf(guide: CompiledGuide, view: CaseView, among: readonly number[]): Outcome {
  const judged = judge(guide, view);
  const { basis, disputed, leave, pause } = judged;
  if (leave.length > 0) return 'leave';
  if (pause.length > 0) return 'pause';
  const dangers = dangersOf(guide, view, basis.target, extraBars(guide, view, basis.target));
  const tallied = tally(
    guide,
    view,
    disputed,
    Int32Array.from(among, (place) => dangers.same[place] as number),
  );
  if (among.some((place, at) => slackOf(view, dangers, tallied, place, at) < 0)) return 'pause';
  if (asksOfRows(view.find.policy)) {
    const bars = withBars(judged, dangers, tally(guide, view, disputed, dangers.same));
    if (reasonsBy<BarsBasis, Reason>(ROW_RULES, bars).length > 0) return 'pause';
  }
  return 'collect';
}
