import type { CaseView, PieceId } from '../case';
import type { CompiledTaxon, CompiledGuide, CharacterId } from '../guide';
import { dangersOf, tally, barRows, type BarRow } from './bars';
import { contextReasons } from './context';
import { contradictions, openContradictions } from './contradictions';
import { slackOf } from './lookAgain';
import { forgone, asksOfRows, askedOfRows } from './policy';
import type { LeaveReason, PauseReason, NoteReason } from './reason';
import { disputedCharacters } from './settle';
import { type Shopping, shopping, extraBars } from './shopping';
import { type TargetHolds, holds, STRAIN_SHARE } from './target';
import { unanswered, UNANSWERED_FREE } from './unanswered';

/** The reasons of a verdict, and what follows from them. */

export type Outcome = 'leave' | 'pause' | 'collect';

/** What everything but the bars says. */
export interface Judged {
  readonly target: CompiledTaxon;
  readonly held: TargetHolds;
  readonly disputed: ReadonlySet<number>;
  readonly shopped: Shopping;
  readonly leave: readonly LeaveReason[];
  readonly pause: readonly PauseReason[];
  /** Something that was not read rules it out: no reading can change that. */
  readonly ruledOutUnread: boolean;
}

export function judge(guide: CompiledGuide, view: CaseView): Judged {
  const target = guide.taxon(view.find.target);
  if (!target) throw new Error(`target "${view.find.target}" is not in the guide`);
  const held = holds(guide, view, target);
  const around = contextReasons(view.find, target);
  const contradicted = contradictions(guide, view, target, held);
  const leave: LeaveReason[] = [
    ...(target.taxon.kingdom === view.find.kingdom
      ? []
      : [{ code: 'other-kingdom', target: target.id } as const]),
    ...contradicted,
    ...around.leave,
    ...forgone(view.find, target),
  ];
  const pause: PauseReason[] = [
    ...openContradictions(guide, held, leave),
    ...stillMissing(guide, view, target, held),
    ...around.pause,
  ];
  return {
    target,
    held,
    disputed: disputedCharacters(view),
    shopped: shopping(view),
    leave,
    pause,
    ruledOutUnread: leave.length > contradicted.length,
  };
}

/**
 * The outcome alone, stopping at the first reason that settles it. `among` are the places, in the order of
 * their rows, of the dangers whose bars have to be counted; the others are known to have theirs.
 */
export function outcomeOf(guide: CompiledGuide, view: CaseView, among: readonly number[]): Outcome {
  const { target, disputed, leave, pause } = judge(guide, view);
  if (leave.length > 0) return 'leave';
  if (pause.length > 0) return 'pause';
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const tallied = tally(
    guide,
    view,
    disputed,
    Int32Array.from(among, (place) => dangers.same[place] as number),
  );
  if (among.some((place, at) => slackOf(view, dangers, tallied, place, at) < 0)) return 'pause';
  if (asksOfRows(view.find.policy)) {
    const rows = barRows(guide, dangers, tally(guide, view, disputed, dangers.same));
    if (askedOfRows(guide, view, target, rows, disputed).pause.length > 0) return 'pause';
  }
  return 'collect';
}

/**
 * Looks that were taken back and not made again, on whatever piece: the place apart, which settles nothing.
 */
function takenBack(view: CaseView): { character: CharacterId; piece: PieceId }[] {
  if (view.withdrawn.length === 0) return [];
  const open = view.withdrawn.filter(
    (withdrawn) =>
      !withdrawn.character.place &&
      !view.looks.some(
        (look) =>
          look.character.index === withdrawn.character.index &&
          look.reading.piece === withdrawn.reading.piece,
      ),
  );
  const named = new Map(
    open.map((look) => [
      `${look.character.id} ${look.reading.piece}`,
      { character: look.character.id, piece: look.reading.piece },
    ]),
  );
  return [...named].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, what]) => what);
}

function stillMissing(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  held: TargetHolds,
): PauseReason[] {
  const reasons: PauseReason[] = [];
  for (const { character, piece } of takenBack(view)) reasons.push({ code: 'taken-back', character, piece });
  for (const character of held.stageDisputes) reasons.push({ code: 'stage-disputed', character });
  for (const look of held.otherPieces) {
    reasons.push({ code: 'other-piece-against', character: look.character.id, piece: look.reading.piece });
  }
  const open = unanswered(guide, view, target);
  if (open.length > UNANSWERED_FREE) reasons.push({ code: 'unanswered', characters: open });
  for (const mark of held.signature)
    if (!mark.held) reasons.push({ code: 'signature-missing', character: mark.character });
  if (held.fitGroups.length < held.groupsNeeded) {
    reasons.push({ code: 'groups-short', have: held.fitGroups.length, need: held.groupsNeeded });
  }
  if (held.strains * STRAIN_SHARE > held.readings)
    reasons.push({ code: 'strained', strains: held.strains, readings: held.readings });
  return reasons;
}

export function unreviewed(
  guide: CompiledGuide,
  target: CompiledTaxon,
  rows: readonly BarRow[],
): NoteReason[] {
  const pair = [
    target.id,
    ...rows.filter((row) => row.listed && row.grade === 'deadly').map((row) => row.taxon),
  ];
  const taxa = pair.filter((id) => guide.taxon(id)?.taxon.review.reviewedBy === null);
  return taxa.length > 0 ? [{ code: 'unreviewed', taxa }] : [];
}
