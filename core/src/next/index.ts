import { dangersOf, short, tally } from '../bars';
import { viewCase, type Case, type CaseView, type Reading, type ReadingValue } from '../case';
import { causesIn, type CharacterId, type CompiledCharacter, type CompiledGuide, type CompiledTaxon, type Damage, type StageId, type StateId, type TaxonId } from '../guide';
import { relationAtStages, type Relation } from '../relation';
import { disputedCharacters, LOOKS_THAT_COUNT } from '../settle';
import { DAMAGE_SECONDS, canBeMade } from '../plan';
import { STRAIN_SHARE } from '../target';
import { toLook } from '../case';
import { extraBars, HANDLING_SECONDS, unanswered, verdictFrom, weigh, type Verdict, type Weighed } from '../verdict';

/** Why a check is proposed. */
export type CheckWhy =
  /** A look contradicted the target, or looks are at a tie: look again, elsewhere on the piece, in other light. */
  | 'contradicted'
  /** An answer was taken back. */
  | 'taken-back'
  /** A mark of the target was seen, but not sure, or only nearly: look again. */
  | 'mark-unsure'
  /** A decision would rest on one look at it. */
  | 'look-again'
  /** It brings bars, a signature mark or a group that is still missing. */
  | 'brings-nearer'
  /** It was passed over, and too many were. */
  | 'unanswered';

export interface Check {
  readonly character: CharacterId;
  readonly why: CheckWhy;
  readonly seconds: number;
  readonly damage: Damage;
  /** Dangers not ruled out yet that harm the skin, where the check touches: gloves first. */
  readonly skin: readonly TaxonId[];
  /** What is missing that this check would bring if it shows what is usual for the target, on average. */
  readonly gain: number;
}

/** What one answer would do. */
export interface AnswerEffect {
  readonly state: StateId;
  readonly relation: Relation;
  /** Rows whose number of bars would change. */
  readonly bars: readonly { readonly taxon: TaxonId; readonly from: number; readonly to: number; readonly need: number }[];
}

const SIGNATURE_WEIGHT = 2;
/** Share of what a check would bring that is taken off for each cause it is the first to rest on: one more way to go wrong. */
const NEW_CAUSE = 0.2;
/** Share of what a check would bring that is not counted on while a cause it rests on is in doubt. */
const DOUBT = 0.8;

/**
 * The checks worth making now, best first: what was taken back, or contradicts the target in more than one character,
 * is looked at again before anything new; then whatever brings most of what is missing for its time and damage. A
 * single contradiction is looked at again last, when the eye is fresh and the light another. Only characters that can
 * be seen at the recorded stages, with the gear at hand, are proposed. Empty when nothing in the guide brings the decision nearer.
 *
 * While anything not yet barred can harm the skin, what is only looked at comes before what is touched.
 */
export function nextChecks(guide: CompiledGuide, find: Case): Check[] {
  const view = viewCase(guide, find);
  return guide.taxon(find.target) ? checksFrom(guide, view, weigh(guide, view)) : [];
}

/** The verdict and the next checks from one weighing, for whoever wants both. */
export function evaluate(guide: CompiledGuide, find: Case): { readonly verdict: Verdict; readonly checks: Check[] } {
  const view = viewCase(guide, find);
  const weighed = weigh(guide, view);
  return { verdict: verdictFrom(guide, view, weighed), checks: checksFrom(guide, view, weighed) };
}

/** The same without what the verdict leans on, which costs most: for whoever decides many finds and shows none. */
export function weighAndAsk(guide: CompiledGuide, find: Case): Pick<Verdict, 'outcome' | 'reasons' | 'rows'> & { readonly checks: Check[] } {
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
    if (reason.code === 'taken-back' && reason.piece === view.piece) return [check(guide, reason.character, 'taken-back', 0)];
    return [];
  });

  const passedOver = new Set<CharacterId>(unanswered(guide, view, target));
  const asked = new Set<string>(again.map((a) => a.character));
  const stages = stagesOf(find, target);
  const gain = gains(guide, view, target, weighed);
  const fresh = guide.characters
    .filter((c) => !c.place && c.character.kingdom === find.kingdom && !view.onPiece.has(c.index) && target.atStage.has(c.index))
    .filter((c) => canBeMade(c, find))
    .filter((c) => !passedOver.has(c.id) && !asked.has(c.id) && stages.some((stage) => c.stages.has(stage)))
    .map((c) => check(guide, c.id, 'brings-nearer', gain(c)))
    .filter((c) => c.gain > 0)
    .sort((a, b) => rate(b) - rate(a));

  const harmSkin = weighed.rows.filter((row) => {
    const harm = short(row) > 0 ? guide.taxon(row.taxon)?.taxon.harm : undefined;
    return harm?.touch !== undefined || harm?.sap !== undefined;
  }).map((row) => row.taxon);
  const ordered = harmSkin.length > 0 ? [...fresh.filter((c) => onlyLooks(guide, c)), ...fresh.filter((c) => !onlyLooks(guide, c))] : fresh;
  const unsure = weighed.held.signature.flatMap((mark): Check[] => {
    const settled = mark.held ? undefined : weighed.held.settled.get(guide.character(mark.character)?.index ?? -1);
    return settled?.outcome === 'agreed' && settled.looks.length < LOOKS_THAT_COUNT ? [check(guide, mark.character, 'mark-unsure', 0)] : [];
  });
  const twice = weighed.reasons.flatMap((reason) => (reason.code === 'look-again' ? [check(guide, reason.character, 'look-again', 0)] : []));
  const reopened = [...twice, ...unsure, ...[...passedOver].map((id) => check(guide, id, 'unanswered', 0))];
  const oneDoubt = again.length === 1 && again[0]?.why === 'contradicted';
  const all = oneDoubt ? [...ordered, ...again, ...reopened] : [...again, ...ordered, ...reopened];
  return harmSkin.length > 0 ? all.map((c) => (onlyLooks(guide, c) ? c : { ...c, skin: harmSkin })) : all;
}

/**
 * What a sure reading of a character would bring, on the average over what is usual for the target: bars that are
 * missing, a signature mark (counted twice), a group; less the bars that it would cost where it fits a dangerous taxon.
 * It counts less where it rests on a cause that has deceived already, or on one that nothing rests on yet: all colours
 * go wrong together, and so do all smells, numbers and absences.
 */
function gains(guide: CompiledGuide, view: CaseView, target: CompiledTaxon, weighed: Weighed): (c: CompiledCharacter) => number {
  const { tables } = guide;
  const { tallied, held, dangers } = weighed;
  const lacks = dangers.standing.map(({ grade }, i) => dangers.needs[grade] - tallied.count(i));
  // Rows with bars to spare neither gain nor lose.
  const open: number[] = [];
  for (const [i, lack] of lacks.entries()) if (lack >= 0) open.push(i);
  const marks = new Set<string>(held.signature.filter((mark) => !mark.held).map((mark) => mark.character));
  const fitting = new Set(held.fitGroups);
  const groupsMissing = held.fitGroups.length < held.groupsNeeded;
  const strained = held.strains * STRAIN_SHARE > held.readings;
  const doubted = doubtedCauses(view, weighed);
  const used = causesUsed(view);
  return (character) => {
    const values = usualValues(view.find, target, character);
    if (values.length === 0) return 0;
    let sum = 0;
    let inDoubt = 0;
    let newCauses = 0;
    for (const value of values) {
      const look = toLook(guide, supposed(view, character, value));
      if (!look) continue;
      if ((look.causes & doubted) !== 0) inDoubt += 1;
      newCauses += causesIn(look.causes & ~used).length;
      for (const i of open) {
        const column = tallied.taxa[i] as number;
        const lack = lacks[i] as number;
        if (look.kind === 'states') {
          const possible = tables.possible[character.index * tables.taxa + column] as number;
          if (possible === 0) continue;
          if ((look.mask & possible) === 0) {
            if (lack > 0) sum += tallied.change(i, character.group, look.causes, 'against');
          } else if ((look.mask & (tables.usual[character.index * tables.taxa + column] as number)) !== 0) {
            sum += tallied.change(i, character.group, look.causes, 'fits');
          }
        } else {
          const at = ((tables.spanRow[character.index] as number) * tables.taxa + column) * 4;
          const against = look.high < (tables.spans[at] as number) || look.low > (tables.spans[at + 1] as number);
          if (against && lack > 0) sum += tallied.change(i, character.group, look.causes, 'against');
        }
      }
    }
    const group = guide.groups[character.group] ?? '';
    const brings = sum / values.length + (marks.has(character.id) ? SIGNATURE_WEIGHT : 0)
      + (groupsMissing && !fitting.has(group) ? 1 : 0) + (strained ? 1 : 0);
    return brings > 0 ? brings * (1 - DOUBT * (inDoubt / values.length)) * (1 - NEW_CAUSE * (newCauses / values.length)) : brings;
  };
}

/** Causes (as bits) that something read of this piece rests on already. */
function causesUsed(view: CaseView): number {
  let causes = 0;
  for (const looks of view.onPiece.values()) for (const look of looks) causes |= look.causes;
  return causes;
}

/**
 * Causes (as bits) of what stands against the target or against another look: if the light deceived once, it will
 * deceive again, and what rests on the same cause is better looked at last.
 */
function doubtedCauses(view: CaseView, { held, judged }: Weighed): number {
  let causes = 0;
  for (const [index, looks] of view.onPiece) {
    if (!judged.disputed.has(index) && (held.settled.get(index)?.against ?? 0) === 0) continue;
    for (const look of looks) causes |= look.causes;
  }
  return causes;
}

/**
 * For each state of a character, how it stands to the target and which rows would move if it were read now, sure.
 * Empty for numbers.
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
    const look = toLook(guide, supposed(view, character, value));
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
  return { character: id, why, seconds: character?.seconds ?? 0, damage: character?.damage ?? 'none', skin: [], gain };
}

function rate(c: Check): number {
  return c.gain / (HANDLING_SECONDS + c.seconds + DAMAGE_SECONDS[c.damage]);
}

function onlyLooks(guide: CompiledGuide, c: Check): boolean {
  return guide.character(c.character)?.character.observe === 'look';
}

function stagesOf(find: Case, target: CompiledTaxon): readonly StageId[] {
  return find.context.stages ?? target.taxon.stages;
}

/** Every dangerous row of a view, as bars by taxon. */
function rowsOf(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): readonly { readonly taxon: TaxonId; readonly have: number; readonly need: number }[] {
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const tallied = tally(guide, view, disputedCharacters(view), dangers.same);
  return dangers.standing.map(({ taxon, grade }, i) => ({ taxon, have: tallied.count(i), need: dangers.needs[grade] }));
}

function usualValues(find: Case, target: CompiledTaxon, character: CompiledCharacter): ReadingValue[] {
  const stated = target.atStage.get(character.index);
  const values = new Map<string, ReadingValue>();
  for (const stage of stagesOf(find, target)) {
    const known = character.stages.has(stage) ? stated?.get(stage) : undefined;
    if (!known) continue;
    if (known.kind === 'states') {
      for (const [state, bit] of character.stateBit) {
        if ((known.usual & bit) !== 0) values.set(state, { kind: 'states', states: [state as StateId] });
      }
    } else {
      const middle = (known.usual[0] + known.usual[1]) / 2;
      values.set(String(middle), character.character.kind === 'count'
        ? { kind: 'count', number: Math.round(middle) }
        : { kind: 'measure', number: middle, unit: 'mm' });
    }
  }
  return [...values.values()];
}

/** A reading that is not made, only thought of; later than all that are. */
function supposed(view: CaseView, character: CompiledCharacter, value: ReadingValue): Reading {
  return {
    id: 'supposed' as Reading['id'], piece: view.piece, character: character.id, value,
    sureness: 'sure', by: 'nobody', at: '9999-12-31T23:59:59.999Z',
  };
}

function suppose(guide: CompiledGuide, view: CaseView, character: CompiledCharacter, value: ReadingValue): CaseView {
  return viewCase(guide, { ...view.find, readings: [...view.find.readings, supposed(view, character, value)] });
}
