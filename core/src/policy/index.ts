import { groundsAgainst, largestIndependent, type BarRow } from '../bars';
import type { CaseView } from '../case';
import type { CompiledGuide, CompiledTaxon } from '../guide';
import { relationOverall } from '../relation';
import type { LeaveReason, NoteReason, PauseReason } from '../verdict/reason';

export { Policy, GROUP_POLICY } from './schema';

/** What the group's rules say of this find, beyond the bars they add. */
export function policyReasons(
  guide: CompiledGuide, view: CaseView, target: CompiledTaxon, rows: readonly BarRow[], disputed: ReadonlySet<number>,
): { leave: LeaveReason[]; pause: PauseReason[]; notes: NoteReason[] } {
  const policy = view.find.policy ?? {};
  const leave: LeaveReason[] = [];
  if (policy.forgoneTaxa?.includes(target.id) === true) leave.push({ code: 'forgone-taxon', target: target.id });
  if (policy.forgoneFamilies?.includes(target.taxon.family) === true) leave.push({ code: 'forgone-family', family: target.taxon.family });

  const unreviewed = (row: BarRow) => row.listed && row.grade === 'deadly'
    && [target.id, row.taxon].some((id) => guide.taxon(id)?.taxon.review.reviewedBy === null);
  const asked = rows.filter((row) => !row.otherKingdom && row.need > 0 && row.grade !== 'none' && (
    (policy.secondLook?.includes(row.grade) ?? false) || (policy.secondLookWhenUnreviewed === true && unreviewed(row))
  ));
  const pause = asked.flatMap((row): PauseReason[] => {
    const taxon = guide.taxon(row.taxon);
    const have = taxon ? seenByTwo(view, taxon, disputed) : 0;
    return have < row.need ? [{ code: 'second-look-missing', taxon: row.taxon, have, need: row.need }] : [];
  });
  const turnedOff = policy.secondLookWhenUnreviewed === false ? rows.filter(unreviewed).map((row) => row.taxon) : [];
  return { leave, pause, notes: turnedOff.length > 0 ? [{ code: 'second-look-off', taxa: turnedOff }] : [] };
}

/** Bars that would stand on characters read by two people, the second one blind, both sure and both against it. */
function seenByTwo(view: CaseView, taxon: CompiledTaxon, disputed: ReadonlySet<number>): number {
  const grounds = groundsAgainst(view, taxon, disputed).filter(({ look }) => view.looks.some((other) => (
    other.reading.blind === true && other.reading.by !== look.reading.by && other.reading.piece === view.piece
    && other.reading.sureness === 'sure' && other.character.index === look.character.index && relationOverall(other, taxon) === 'against'
  )));
  return largestIndependent(grounds).length;
}
