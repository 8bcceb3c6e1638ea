import { type Case, viewCase, type CaseView, isDug, needsDigging } from '../../case';
import { type CompiledGuide, type CharacterId, type CompiledCharacter, harmlessFirst } from '../../guide';
import {
  weigh,
  type Verdict,
  verdictFrom,
  type Weighed,
  passedOver,
  rootPassedOver,
  short,
  LOOKS_THAT_COUNT,
  unanswered,
} from '../../verdict';
import { canBeMade } from '../plan';
import { type Check, check, rate, easier, onlyLooks } from './check';
import { essentialsUnseen } from './essentials';
import { stagesOf } from './foreseen';
import { gains } from './gain';

export { type Check, type CheckWhy } from './check';
export { answerEffects, type AnswerEffect } from './effects';

/**
 * The checks worth making now, best first: what was taken back, or contradicts the target in more than one
 * character, is looked at again before anything new; then whatever brings most of what is missing for its
 * time and damage. A single contradiction is looked at again after all that brings the decision nearer, when
 * the eye is fresh and the light another, and before anything that would only add one more fit. So does what
 * anybody looks at, whatever they take it for. Only characters that can be seen at the recorded stages, with
 * the gear at hand, are proposed. Empty when nothing in the guide brings the decision nearer.
 *
 * While anything not yet barred can harm the skin, what is only looked at comes before what is touched.
 */
export function nextChecks(guide: CompiledGuide, find: Case): Check[] {
  const view = viewCase(guide, find);
  return guide.taxon(find.target) ? checksFrom(guide, view, weigh(guide, view)) : [];
}

/** The verdict and the next checks from one weighing, for whoever wants both. */
export function evaluate(
  guide: CompiledGuide,
  find: Case,
): { readonly verdict: Verdict; readonly checks: Check[] } {
  const view = viewCase(guide, find);
  const weighed = weigh(guide, view);
  return { verdict: verdictFrom(guide, view, weighed), checks: checksFrom(guide, view, weighed) };
}

/**
 * The same without what the verdict leans on, which costs most: for whoever decides many finds and shows
 * none.
 */
export function weighAndAsk(
  guide: CompiledGuide,
  find: Case,
): Pick<Verdict, 'outcome' | 'reasons' | 'rows'> & { readonly checks: Check[] } {
  const view = viewCase(guide, find);
  const weighed = weigh(guide, view);
  const { outcome, reasons, rows } = weighed;
  return { outcome, reasons, rows, checks: checksFrom(guide, view, weighed) };
}

function checksFrom(guide: CompiledGuide, view: CaseView, weighed: Weighed): Check[] {
  const { find } = view;
  const { target } = weighed.judged.basis;
  const again: Check[] = weighed.reasons.flatMap((reason) => {
    if (reason.code === 'contradicted-open') return [check(guide, reason.character, 'contradicted', 0)];
    if (reason.code === 'taken-back' && reason.piece === view.piece)
      return [check(guide, reason.character, 'taken-back', 0)];
    return [];
  });

  const passed = new Set<CharacterId>(passedOver(guide, view, target));
  const asked = new Set<string>(again.map((a) => a.character));
  const stages = stagesOf(find, target);
  const rootPassed = rootPassedOver(guide, view);
  // What is there at some stages only is asked once the stage is known.
  const askable = (c: CompiledCharacter) =>
    canBeMade(c, find, target) &&
    !(rootPassed && isDug(c)) &&
    !(c.place && find.policy?.place === 'ignored') &&
    (find.context.stages !== undefined || c.character.stages === undefined) &&
    stages.some((stage) => c.stages.has(stage));
  const unread = guide.characters
    .filter(
      (c) =>
        !c.place &&
        c.character.kingdom === find.kingdom &&
        !view.onPiece.has(c.index) &&
        target.atStage.has(c.index),
    )
    .filter((c) => !passed.has(c.id) && !asked.has(c.id) && askable(c));
  const gain = gains(guide, view, target, weighed, unread);
  const fresh = harmlessFirst(
    unread
      .map((c) => check(guide, c.id, 'brings-nearer', gain.get(c.id)?.gain ?? 0))
      .filter((c) => c.gain > 0)
      .sort((a, b) => rate(b) - rate(a)),
    (c) => c.gain,
  );
  const filler = fresh.findIndex((c) => gain.get(c.character)?.needed !== true);
  const needed = filler < 0 ? fresh : fresh.slice(0, filler);
  // What anybody would look at comes before whatever only adds one more fit.
  const unseen = weighed.outcome === 'pause' ? essentialsUnseen(guide, view, target, askable) : [];
  const essentials = unseen
    .map((characters) => characters.map((c) => check(guide, c.id, 'essential', gain.get(c.id)?.gain ?? 0)))
    .map((checks) => checks.reduce((best, one) => (easier(one, best) ? one : best)))
    .filter(({ character }) => !needed.some((c) => c.character === character));
  const first = new Set<string>([...needed, ...essentials].map(({ character }) => character));
  const inOrder = [...needed, ...essentials, ...fresh.filter(({ character }) => !first.has(character))];

  const harmSkin = weighed.rows
    .filter((row) => {
      const harm = short(row) > 0 ? guide.taxon(row.taxon)?.taxon.harm : undefined;
      return harm?.touch !== undefined || harm?.sap !== undefined;
    })
    .map((row) => row.taxon);
  const ordered =
    harmSkin.length > 0
      ? [...inOrder.filter((c) => onlyLooks(guide, c)), ...inOrder.filter((c) => !onlyLooks(guide, c))]
      : inOrder;
  const unsure = weighed.held.signature.flatMap((mark): Check[] => {
    const settled = mark.held
      ? undefined
      : weighed.held.settled.get(guide.character(mark.character)?.index ?? -1);
    return settled?.outcome === 'agreed' && settled.looks.length < LOOKS_THAT_COUNT
      ? [check(guide, mark.character, 'mark-unsure', 0)]
      : [];
  });
  const twice = weighed.reasons.flatMap((reason) =>
    reason.code === 'look-again' ? [check(guide, reason.character, 'look-again', 0)] : [],
  );
  // A root comes last: nobody digs for what another look may settle.
  const open = unanswered(guide, view, target);
  const reopened = [
    ...twice,
    ...unsure,
    ...[
      ...open.filter((id) => !needsDigging(guide, id)),
      ...open.filter((id) => needsDigging(guide, id)),
    ].map((id) => check(guide, id, 'unanswered', 0)),
  ];
  const oneDoubt = again.length === 1 && again[0]?.why === 'contradicted';
  const comesFirst = (c: Check) => oneDoubt && gain.get(c.character)?.nearer === true;
  const all = [
    ...ordered.filter(comesFirst),
    ...again,
    ...ordered.filter((c) => !comesFirst(c)),
    ...reopened,
  ];
  return harmSkin.length > 0 ? all.map((c) => (onlyLooks(guide, c) ? c : { ...c, skin: harmSkin })) : all;
}
