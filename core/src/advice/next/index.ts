import {
  isDug,
  needsDigging,
  toLook,
  viewCase,
  type Case,
  type CaseView,
  type ReadingValue,
} from '../../case';
import {
  effortOf,
  HANDLING_SECONDS,
  harmlessFirst,
  type CharacterId,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type Damage,
  type StateId,
  type TaxonId,
} from '../../guide';
import { dangersOf, short, tally, disputedCharacters, LOOKS_THAT_COUNT } from '../../verdict';
import {
  relationAtStages,
  type Relation,
  extraBars,
  passedOver,
  rootPassedOver,
  unanswered,
  verdictFrom,
  weigh,
  type Verdict,
  type Weighed,
} from '../../verdict';
import { canBeMade } from '../plan';
import { essentialsUnseen } from './essentials';
import { gains, stagesOf, supposed } from './gain';

/** Why a check is proposed. */
export type CheckWhy =
  /**
   * A look contradicted the target, or looks are at a tie: look again, elsewhere on the piece, in other
   * light.
   */
  | 'contradicted'
  /** An answer was taken back. */
  | 'taken-back'
  /** A mark of the target was seen, but not sure, or only nearly: look again. */
  | 'mark-unsure'
  /** A decision would rest on one look at it. */
  | 'look-again'
  /** It brings bars, a signature mark or a group that is still missing. */
  | 'brings-nearer'
  /**
   * Anybody who gathers looks at it: underside, flesh, colour, base and ground of a mushroom; leaf, stem,
   * smell, flower or fruit of a plant.
   */
  | 'essential'
  /** It was passed over, and too many were. */
  | 'unanswered';

export interface Check {
  readonly character: CharacterId;
  readonly why: CheckWhy;
  readonly seconds: number;
  readonly damage: Damage;
  /** Dangers not ruled out yet that harm the skin, where the check touches: gloves first. */
  readonly skin: readonly TaxonId[];
  /**
   * What this check would bring if it shows what is usual for the target (see `gains`): a number to compare
   * checks by.
   */
  readonly gain: number;
}

/** What one answer would do. */
export interface AnswerEffect {
  readonly state: StateId;
  readonly relation: Relation;
  /** Rows whose number of bars would change. */
  readonly bars: readonly {
    readonly taxon: TaxonId;
    readonly from: number;
    readonly to: number;
    readonly need: number;
  }[];
}

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
  const { target } = weighed.judged;
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

/**
 * For each state of a character, how it stands to the target and which rows would move if it were read now,
 * sure. Empty for numbers.
 */
export function answerEffects(guide: CompiledGuide, find: Case, id: CharacterId): AnswerEffect[] {
  const character = guide.character(id);
  const target = guide.taxon(find.target);
  if (!character || !target) return [];
  const view = viewCase(guide, find);
  const rowsNow = rowsOf(guide, view, target);
  return [...character.stateBit.keys()].map((key) => {
    const state = key as StateId;
    const value: ReadingValue = { kind: 'states', states: [state] };
    const look = toLook(guide, supposed(character, value, view.piece));
    const rows = rowsOf(guide, suppose(guide, view, character, value), target);
    const bars = rows.flatMap((row) => {
      const now = rowsNow.find((r) => r.taxon === row.taxon);
      return now && now.have !== row.have
        ? [{ taxon: row.taxon, from: now.have, to: row.have, need: row.need }]
        : [];
    });
    return { state, relation: look ? relationAtStages(look, target, find.context.stages) : 'silent', bars };
  });
}

function check(guide: CompiledGuide, id: CharacterId, why: CheckWhy, gain: number): Check {
  const character = guide.character(id)?.character;
  return {
    character: id,
    why,
    seconds: character?.seconds ?? 0,
    damage: character?.damage ?? 'none',
    skin: [],
    gain,
  };
}

const takes = (c: Check): number => HANDLING_SECONDS + effortOf(c);
const rate = (c: Check): number => c.gain / takes(c);

/**
 * Whether one check is to be preferred to another that shows the same thing: it brings more for what it
 * takes, or takes less.
 */
function easier(one: Check, other: Check): boolean {
  return rate(one) > rate(other) || (rate(one) === rate(other) && takes(one) < takes(other));
}

function onlyLooks(guide: CompiledGuide, c: Check): boolean {
  return guide.character(c.character)?.character.observe === 'look';
}

/** Every dangerous row of a view, as bars by taxon. */
function rowsOf(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
): readonly { readonly taxon: TaxonId; readonly have: number; readonly need: number }[] {
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const tallied = tally(guide, view, disputedCharacters(view), dangers.same);
  return dangers.standing.map(({ taxon, grade }, i) => ({
    taxon,
    have: tallied.count(i),
    need: dangers.needs[grade],
  }));
}

function suppose(
  guide: CompiledGuide,
  view: CaseView,
  character: CompiledCharacter,
  value: ReadingValue,
): CaseView {
  return viewCase(guide, {
    ...view.find,
    readings: [...view.find.readings, supposed(character, value, view.piece)],
  });
}
