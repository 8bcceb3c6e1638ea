import { type Case, viewCase, type CaseView, isDug, needsDigging } from '../../case';
import {
  harmlessFirst,
  type CharacterId,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type TaxonId,
} from '../../guide';
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
import { fromAfar } from './fromAfar';
import { gains } from './gain';
import { identifyingChecks } from './identifying';

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

/** What the checks are made of: the find weighed, and what each character would bring. */
interface Asking {
  readonly guide: CompiledGuide;
  readonly view: CaseView;
  readonly weighed: Weighed;
  readonly target: CompiledTaxon;
  readonly gain: ReturnType<typeof gains>;
  readonly askable: (character: CompiledCharacter) => boolean;
}

function checksFrom(guide: CompiledGuide, view: CaseView, weighed: Weighed): Check[] {
  const { target } = weighed.judged.basis;
  const again = lookedAtAgain(guide, view, weighed);
  const passed = new Set<CharacterId>(passedOver(guide, view, target));
  const asked = new Set<string>(again.map((a) => a.character));
  const askable = askableNow(guide, view, target);
  const unread = guide.characters
    .filter(
      (c) =>
        !c.place &&
        c.character.kingdom === view.find.kingdom &&
        !view.onPiece.has(c.index) &&
        target.atStage.has(c.index),
    )
    .filter((c) => !passed.has(c.id) && !asked.has(c.id) && askable(c));
  const gain = gains(guide, view, target, weighed, unread);
  const asking: Asking = { guide, view, weighed, target, gain, askable };
  const skin = harmsSkin(asking);
  const inOrder =
    target.taxon.parts.length === 0
      ? identifyingChecks(guide, view, target, weighed, unread)
      : byWhatTheyBring(asking, unread);
  const fresh = skin.length > 0 ? looksFirst(guide, inOrder) : inOrder;
  // Where one thing only is in doubt, what brings nearer comes before it.
  const oneDoubt = again.length === 1 && again[0]?.why === 'contradicted';
  const comesFirst = (c: Check) => oneDoubt && gain.get(c.character)?.nearer === true;
  const all = [
    ...fresh.filter(comesFirst),
    ...again,
    ...fresh.filter((c) => !comesFirst(c)),
    ...reopened(asking),
  ];
  return skin.length > 0 ? all.map((c) => (onlyLooks(guide, c) ? c : { ...c, skin })) : all;
}

/** What was contradicted or taken back is looked at again. */
const lookedAtAgain = (guide: CompiledGuide, view: CaseView, { reasons }: Weighed): Check[] =>
  reasons.flatMap((reason) => {
    if (reason.code === 'contradicted-open') return [check(guide, reason.character, 'contradicted', 0)];
    if (reason.code === 'taken-back' && reason.piece === view.piece)
      return [check(guide, reason.character, 'taken-back', 0)];
    return [];
  });

/** Whether a character can be asked for here and now. */
function askableNow(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
): (character: CompiledCharacter) => boolean {
  const { find } = view;
  const stages = stagesOf(find, target);
  const rootPassed = rootPassedOver(guide, view);
  return (c) =>
    canBeMade(c, find, target) &&
    !(rootPassed && isDug(c)) &&
    !(c.place && find.policy?.place === 'ignored') &&
    // What is there at some stages only is asked once the stage is known.
    (find.context.stages !== undefined || c.character.stages === undefined) &&
    stages.some((stage) => c.stages.has(stage));
}

/** First what is needed, then what anybody would look at, then whatever only adds one more fit. */
function byWhatTheyBring(
  { guide, view, weighed, target, gain, askable }: Asking,
  unread: readonly CompiledCharacter[],
): Check[] {
  const fresh = harmlessFirst(
    unread
      .map((c) => check(guide, c.id, 'brings-nearer', gain.get(c.id)?.gain ?? 0))
      .filter((c) => c.gain > 0)
      .sort((a, b) => rate(b) - rate(a)),
    (c) => c.gain,
  );
  const filler = fresh.findIndex((c) => gain.get(c.character)?.needed !== true);
  const needed = filler < 0 ? fresh : fresh.slice(0, filler);
  const unseen = weighed.outcome === 'pause' ? essentialsUnseen(guide, view, target, askable) : [];
  const essentials = unseen
    .map((characters) => characters.map((c) => check(guide, c.id, 'essential', gain.get(c.id)?.gain ?? 0)))
    .map((checks) => checks.reduce((best, one) => (easier(one, best) ? one : best)))
    .filter(({ character }) => !needed.some((c) => c.character === character));
  const inOrder = fromAfar(guide, [...needed, ...essentials], (c) => gain.get(c.character)?.chosen === true);
  const first = new Set<string>(inOrder.map(({ character }) => character));
  return [...inOrder, ...fresh.filter(({ character }) => !first.has(character))];
}

/** Taxa not ruled out yet that harm whoever touches them. */
const harmsSkin = ({ guide, weighed }: Asking): TaxonId[] =>
  weighed.rows
    .filter((row) => {
      const harm = short(row) > 0 ? guide.taxon(row.taxon)?.taxon.harm : undefined;
      return harm?.touch !== undefined || harm?.sap !== undefined;
    })
    .map((row) => row.taxon);

/** What is only looked at before whatever is touched. */
const looksFirst = (guide: CompiledGuide, checks: readonly Check[]): Check[] => [
  ...checks.filter((c) => onlyLooks(guide, c)),
  ...checks.filter((c) => !onlyLooks(guide, c)),
];

/** What comes last: second looks, unsure marks, and what was passed over. */
function reopened({ guide, view, weighed, target }: Asking): Check[] {
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
  return [
    ...twice,
    ...unsure,
    ...[
      ...open.filter((id) => !needsDigging(guide, id)),
      ...open.filter((id) => needsDigging(guide, id)),
    ].map((id) => check(guide, id, 'unanswered', 0)),
  ];
}
