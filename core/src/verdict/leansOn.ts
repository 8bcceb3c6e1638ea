import { type CaseView, type ReadingId, viewCase, type Look } from '../case';
import type { CompiledGuide } from '../guide';
import type { Weighed } from './decide';
import { outcomeOf } from './judge';
import { isTight } from './lookAgain';
import { asksOfRows } from './policy';
import { RULES } from './rules';
import { type TargetHolds, STRAIN_SHARE } from './target';

/** Which readings a verdict rests on. */

/** Reasons to pause that the loss of a reading cannot undo, as long as no look is against the target. */
const STAYS: ReadonlySet<string> = new Set(
  RULES.flatMap(({ code, weight, readingsCanUndo }) =>
    weight === 'pause' && !readingsCanUndo ? [code] : [],
  ),
);

/** Whether something is missing that the loss of a reading cannot mend. */
export function staysMissing(reasons: readonly { readonly code: string }[]): boolean {
  return reasons.some(({ code }) => STAYS.has(code));
}

/**
 * Readings whose loss alone would change the outcome.
 *
 * Most are settled without deciding again: while something is missing anyway, no loss matters; and a look
 * that is the only one at its character takes with it its fit, its group, its mark, and at most one bar of a
 * row. Only rows without a bar to spare need to be counted again.
 */
export function leansOn(guide: CompiledGuide, view: CaseView, weighed: Weighed): ReadingId[] {
  const { judged, tallied, dangers, outcome, held } = weighed;
  if (judged.ruledOutUnread) return [];
  const quiet =
    view.withdrawn.length === 0 &&
    held.otherPieces.length === 0 &&
    [...held.settled.values()].every((s) => s.against === 0);
  if (outcome === 'pause' && quiet && staysMissing(judged.pause)) return [];

  // Rows that can lose nothing.
  const places = dangers.all.map((_, at) => at);
  const tight = places.filter((place) => isTight(view, dangers, tallied, place));
  const among = outcome === 'collect' ? tight : places;
  const passed = new Set<string>([
    ...(view.find.skips ?? []).map((skip) => skip.character),
    ...view.find.readings.filter((r) => r.value.kind === 'cant-tell').map((r) => r.character),
  ]);
  const withdrawn = new Set<string>((view.find.withdrawals ?? []).map((w) => w.reading));
  const looksAt = new Map<number, number>();
  for (const look of view.looks)
    looksAt.set(look.character.index, (looksAt.get(look.character.index) ?? 0) + 1);

  const simple = outcome === 'collect' && quiet && !asksOfRows(view.find.policy);
  return view.looks
    .filter((look) => !withdrawn.has(look.reading.id))
    .filter((look) => {
      if (simple && looksAt.get(look.character.index) === 1 && !passed.has(look.character.id)) {
        if (losesTarget(guide, view, held, look)) return true;
        const loses = tight.filter((at) => tallied.countWithout(at, look) < tallied.count(at));
        if (loses.length === 0) return false;
        // Of a deadly one, a bar that was seen twice may make good for the lost one: that is decided again.
        if (loses.some((at) => dangers.all[at]?.grade !== 'deadly')) return true;
      }
      const without = { ...view.find, readings: view.find.readings.filter((r) => r.id !== look.reading.id) };
      return outcomeOf(guide, viewCase(guide, without), among) !== outcome;
    })
    .map((look) => look.reading.id)
    .sort();
}

/** Whether the target would not hold without this look, the only one at its character. */
function losesTarget(guide: CompiledGuide, view: CaseView, held: TargetHolds, look: Look): boolean {
  const { character, reading } = look;
  if (reading.piece !== view.piece || character.place) return false;
  const settled = held.settled.get(character.index);
  if (!settled || settled.relation === 'silent') return false;
  if (held.signature.some((mark) => mark.character === character.id)) return true;
  if (held.strains * STRAIN_SHARE > held.readings - 1 && settled.relation !== 'strains') return true;
  if (!settled.sureFit || held.fitGroups.length > held.groupsNeeded) return false;
  return ![...held.settled].some(
    ([index, other]) =>
      index !== character.index && other.sureFit && guide.characters[index]?.group === character.group,
  );
}
