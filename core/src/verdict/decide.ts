import { type ReadingId, type Case, viewCase, type CaseView } from '../case';
import type { TaxonId, CompiledGuide } from '../guide';
import { dangersOf, tally, type BarRow, type Dangers, type Tally } from './bars';
import { judge, withBars, type Judged, type Outcome } from './judge';
import { leansOn } from './leansOn';
import {
  barsShort as barsShortRule,
  reasonsBy,
  RULES_AFTER_BARS,
  type BarsBasis,
  type Reason,
} from './rules';
import { extraBars } from './shopping';
import { type SignatureMark, type TargetHolds } from './target';

export interface Verdict {
  readonly outcome: Outcome;
  /** The guide version that was asked: the verdict holds for this one only. */
  readonly guide: { readonly id: string; readonly version: string };
  readonly target: TaxonId;
  readonly piece: string;
  readonly reasons: readonly Reason[];
  readonly rows: readonly BarRow[];
  readonly holds: {
    readonly fitGroups: readonly string[];
    readonly groupsNeeded: number;
    readonly strains: number;
    readonly readings: number;
    readonly signature: readonly SignatureMark[];
  };
  /** Readings whose loss alone would change the outcome. */
  readonly leansOn: readonly ReadingId[];
}

/**
 * Decides a find: a pure function of guide version and case. The same input gives the same verdict, to the
 * byte, wherever it runs (`canonicalJson(decide(guide, find))`).
 *
 * First that applies: *leave* if anything rules it out, *pause* if anything is missing or open, else
 * *collect*. All reasons are given, also those that did not decide.
 *
 * @param guide from `compileGuide`
 * @param find from `parseCase` against the same guide
 * @throws Error if the target is not in the guide (a parsed case never is)
 */
export function decide(guide: CompiledGuide, find: Case): Verdict {
  const view = viewCase(guide, find);
  return verdictFrom(guide, view, weigh(guide, view));
}

/** The verdict of a view that was weighed already. */
export function verdictFrom(guide: CompiledGuide, view: CaseView, weighed: Weighed): Verdict {
  const { held } = weighed;
  return {
    outcome: weighed.outcome,
    guide: { id: guide.guide.id, version: guide.version },
    target: view.find.target,
    piece: view.piece,
    reasons: weighed.reasons,
    rows: weighed.rows,
    holds: {
      fitGroups: held.fitGroups,
      groupsNeeded: held.groupsNeeded,
      strains: held.strains,
      readings: held.readings,
      signature: held.signature,
    },
    leansOn: leansOn(guide, view, weighed),
  };
}

export interface Weighed {
  readonly outcome: Outcome;
  readonly reasons: readonly Reason[];
  readonly rows: readonly BarRow[];
  readonly held: TargetHolds;
  readonly judged: Judged;
  readonly dangers: Dangers;
  readonly tallied: Tally;
}

/** The verdict without what it leans on, and what it was made of. */
export function weigh(guide: CompiledGuide, view: CaseView): Weighed {
  const judged = judge(guide, view);
  const { basis, disputed, leave, pause } = judged;
  const dangers = dangersOf(guide, view, basis.target, extraBars(guide, view, basis.target));
  const tallied = tally(guide, view, disputed, dangers.same);
  const bars = withBars(judged, dangers, tallied);
  const reasons: Reason[] = [...leave, ...pause, ...reasonsBy<BarsBasis, Reason>(RULES_AFTER_BARS, bars)];
  const missing = reasons.some((reason) => reason.weight === 'pause');
  return {
    outcome: leave.length > 0 ? 'leave' : missing ? 'pause' : 'collect',
    reasons,
    rows: bars.rows,
    held: basis.held,
    judged,
    dangers,
    tallied,
  };
}

/** What the rows say that lack bars. */
export const barsShort = (rows: readonly BarRow[]): readonly Reason[] => barsShortRule.reasons({ rows });
