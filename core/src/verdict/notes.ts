import type { CaseView } from '../case';
import type { CompiledGuide, TaxonId, CompiledTaxon } from '../guide';
import type { Dangers, Tally } from './bars';
import { expectedHere } from './expected';
import type { Judged } from './judge';
import { looksAgain } from './lookAgain';
import type { NoteReason, Reason } from './reason';
import type { TargetHolds } from './target';
import { unanswered, UNANSWERED_FREE } from './unanswered';

/** Reasons that only add to a verdict: neighbours, the place, what was passed over, second looks. */

/**
 * Dangerous ones that are known to stand there: said with every verdict, since a known patch is not a known
 * piece.
 */
export function neighbourNotes(
  guide: CompiledGuide,
  neighbours: readonly TaxonId[],
  target: CompiledTaxon,
): NoteReason[] {
  const taxa = neighbours.filter((id) => id !== target.id && (guide.taxon(id)?.grade ?? 'none') !== 'none');
  return taxa.length > 0 ? [{ code: 'dangerous-neighbours', taxa }] : [];
}

/** The one check that may stay open, which costs a bar more against everything deadly. */
export function passedOverNote(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): NoteReason[] {
  const open = unanswered(guide, view, target);
  const [character] = open;
  return character !== undefined && open.length <= UNANSWERED_FREE
    ? [{ code: 'passed-over', character }]
    : [];
}

/**
 * Reasons that more checks can mend: while there are any, nothing is looked at a second time for safety's
 * sake.
 */
const MENDED_BY_CHECKS: ReadonlySet<string> = new Set([
  'contradicted-open',
  'taken-back',
  'stage-disputed',
  'unanswered',
  'signature-missing',
  'groups-short',
  'strained',
]);

/** What has to be looked at a second time, once every check is made and no row lacks bars. */
export function lookAgainReasons(
  guide: CompiledGuide,
  view: CaseView,
  judged: Judged,
  dangers: Dangers,
  tallied: Tally,
): Reason[] {
  if (judged.leave.length > 0 || judged.pause.some(({ code }) => MENDED_BY_CHECKS.has(code))) return [];
  return looksAgain(guide, view, dangers, tallied).map((again) => ({
    weight: 'pause',
    code: 'look-again',
    ...again,
  }));
}

/** Place, season and height raise doubts about the target; more they never do. */
export function placeNotes(view: CaseView, target: CompiledTaxon, held: TargetHolds): NoteReason[] {
  const { month, elevation, stages } = view.find.context;
  const { season, height } = expectedHere(target, stages, view.find.context);
  return [
    ...held.placeDoubts.map((character) => ({ code: 'place-doubt', character }) as const),
    ...held.placeStrains.map((character) => ({ code: 'place-strains', character }) as const),
    ...(season === 'against' && month !== undefined ? [{ code: 'season-doubt', month } as const] : []),
    ...(height === 'against' && elevation !== undefined
      ? [{ code: 'height-doubt', elevation } as const]
      : []),
  ];
}
