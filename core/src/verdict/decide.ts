import { type ReadingId, type Case, viewCase, type CaseView } from '../case';
import type { TaxonId, CompiledGuide } from '../guide';
import { type BarRow, type Dangers, type Tally, dangersOf, tally, barRows, short } from './bars';
import { characterId } from './contradictions';
import { type Outcome, type Judged, judge, unreviewed } from './judge';
import { leansOn } from './leansOn';
import { passedOverNote, neighbourNotes, placeNotes, lookAgainReasons } from './notes';
import { askedOfRows, groupRules } from './policy';
import type { Reason, NoteReason } from './reason';
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
  const { target, held, disputed, shopped, leave } = judged;
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const tallied = tally(guide, view, disputed, dangers.same);
  const rows = barRows(guide, dangers, tallied);
  const missingBars = barsShort(rows);
  const second = askedOfRows(guide, view, target, rows, disputed);
  const notes: NoteReason[] = [
    ...[...disputed]
      .sort((a, b) => a - b)
      .map((index) => ({ code: 'disputed', character: characterId(guide, index) }) as const),
    ...(shopped.freshPieces + shopped.changedTargets > 0 ? [{ code: 'shopping', ...shopped } as const] : []),
    ...passedOverNote(guide, view, target),
    ...neighbourNotes(guide, view.find.context.neighbours ?? [], target),
    ...(view.find.policy?.place === 'ignored' ? [] : placeNotes(view, target, held)),
    ...groupRules(view.find.policy).map((rule) => ({ code: 'group-rule', rule }) as const),
    ...second.notes,
    ...unreviewed(guide, target, rows),
    ...(target.taxon.nearRelatives.length > 0
      ? [{ code: 'near-relatives', names: target.taxon.nearRelatives } as const]
      : []),
  ];
  const reasons: Reason[] = [
    ...leave.map((reason) => ({ ...reason, weight: 'leave' }) as const),
    ...judged.pause.map((reason) => ({ ...reason, weight: 'pause' }) as const),
    ...second.pause.map((reason) => ({ ...reason, weight: 'pause' }) as const),
    ...missingBars,
    ...(missingBars.length > 0 ? [] : lookAgainReasons(guide, view, judged, dangers, tallied)),
    ...notes.map((reason) => ({ ...reason, weight: 'note' }) as const),
  ];
  const missing = reasons.some((reason) => reason.weight === 'pause');
  return {
    outcome: leave.length > 0 ? 'leave' : missing ? 'pause' : 'collect',
    reasons,
    rows,
    held,
    judged,
    dangers,
    tallied,
  };
}

/** What the rows say that lack bars. */
export function barsShort(rows: readonly BarRow[]): Reason[] {
  const reasons: Reason[] = [];
  for (const row of rows) {
    if (short(row) > 0)
      reasons.push({
        weight: 'pause',
        code: 'bars-short',
        taxon: row.taxon,
        grade: row.grade,
        have: row.have,
        need: row.need,
      });
  }
  return reasons;
}
