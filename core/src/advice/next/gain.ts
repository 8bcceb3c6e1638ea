import { toLook, type Case, type CaseView, type Look, type Reading, type ReadingValue } from '../../case';
import {
  causesIn,
  effortOf,
  HANDLING_SECONDS,
  type CharacterId,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
  type StateId,
} from '../../guide';
import type { Dangers, Tally, Weighed } from '../../verdict';
import { STRAIN_SHARE, moreWanted, SPARE_COUNTS } from '../../verdict';

/**
 * What a missing mark of the signature and a missing group weigh, where a bar that only one check can give
 * weighs 1.
 */
const MARK_WEIGHT = 0.2;
const GROUP_WEIGHT = 0.03;
/** What the loss of a bar to spare weighs, where that of one that is needed weighs 1. */
const SPARE_LOSS = 0.1;
/**
 * What a missing bar weighs in a check that costs more bars elsewhere than it brings, or brings one only
 * where a number is unusually large or small: it is made when nothing else is left.
 */
const LAST_RESORT = 0.0001;
/** What brings less than this leaves a contradiction open for too long. */
const MUCH_NEARER = 0.06;
/**
 * What one more fit weighs while too many readings strain: more, where the target is never seen otherwise.
 */
const FIT_WEIGHT = { certain: 0.05, likely: 0.02 } as const;
/**
 * Share of what a check would bring that is taken off for each cause it is the first to rest on: one more way
 * to go wrong.
 */
const NEW_CAUSE = 0.2;
/**
 * Parts of its usual range at which a number is foreseen; and, where nothing else is left to bring a bar,
 * what it may be as well.
 */
const MIDDLE = [0.5];
const SPREAD = [0.1, 0.3, 0.5, 0.7, 0.9];
/** Share of what a check would bring that is not counted on while a cause it rests on is in doubt. */
const DOUBT = 0.8;

/** What the target usually shows of a character at the recorded stages, as looks that were not made. */
interface Foreseen {
  readonly looks: readonly Look[];
  /** The same with numbers over their whole usual range. */
  readonly spread: readonly Look[];
  /** It is never seen otherwise, not even now and then. */
  readonly certain: boolean;
}

/** What one check would bring. */
export interface Gain {
  /** All of it. */
  readonly gain: number;
  /** Whether it brings more than some easy bar, one more group or one more fit. */
  readonly nearer: boolean;
  /** Whether it is a mark of the signature, or brings more in bars than it does by being one more group. */
  readonly needed: boolean;
}

const foreseenOf = new WeakMap<CompiledGuide, Map<string, Map<number, Foreseen>>>();

export function stagesOf(find: Case, target: CompiledTaxon): readonly StageId[] {
  return find.context.stages ?? target.taxon.stages;
}

/** What the target shows never changes with the find: worked out once for each target at its stages. */
function foreseen(
  guide: CompiledGuide,
  find: Case,
  target: CompiledTaxon,
): (character: CompiledCharacter) => Foreseen {
  const stages = stagesOf(find, target);
  const name = `${target.id} ${stages.join(' ')}`;
  const ofGuide = foreseenOf.get(guide) ?? new Map<string, Map<number, Foreseen>>();
  foreseenOf.set(guide, ofGuide);
  const known = ofGuide.get(name) ?? new Map<number, Foreseen>();
  ofGuide.set(name, known);
  return (character) => {
    const before = known.get(character.index);
    if (before) return before;
    const looksAt = (parts: readonly number[]) =>
      usualValues(stages, target, character, parts).flatMap(
        (value) => toLook(guide, supposed(character, value)) ?? [],
      );
    const stated = target.atStage.get(character.index);
    const certain = stages.every((stage) => {
      const at = stated?.get(stage);
      return at === undefined || (at.kind === 'states' && at.usual === at.possible);
    });
    const now = { looks: looksAt(MIDDLE), spread: looksAt(SPREAD), certain };
    known.set(character.index, now);
    return now;
  };
}

/** A reading that is not made, only thought of; later than all that are. */
export function supposed(
  character: CompiledCharacter,
  value: ReadingValue,
  piece = 'supposed' as Reading['piece'],
): Reading {
  return {
    id: 'supposed' as Reading['id'],
    piece,
    character: character.id,
    value,
    sureness: 'sure',
    by: 'nobody',
    at: '9999-12-31T23:59:59.999Z',
  };
}

/** @param parts of its usual range at which a number is thought of */
function usualValues(
  stages: readonly StageId[],
  target: CompiledTaxon,
  character: CompiledCharacter,
  parts: readonly number[],
): ReadingValue[] {
  const stated = target.atStage.get(character.index);
  const values = new Map<string, ReadingValue>();
  for (const stage of stages) {
    const known = character.stages.has(stage) ? stated?.get(stage) : undefined;
    if (!known) continue;
    if (known.kind === 'states') {
      for (const [state, bit] of character.stateBit) {
        if ((known.usual & bit) !== 0) values.set(state, { kind: 'states', states: [state as StateId] });
      }
    } else {
      const [low, high] = known.usual;
      for (const part of parts) {
        const number = low + (high - low) * part;
        values.set(
          String(number),
          character.character.kind === 'count'
            ? { kind: 'count', number: Math.round(number) }
            : { kind: 'measure', number, unit: 'mm' },
        );
      }
    }
  }
  return [...values.values()];
}

/**
 * The rows that a check can still move, by position in the tally, with the bars that each lacks and has to
 * spare.
 */
interface OpenRows {
  readonly at: readonly number[];
  /**
   * Bars wanted and not there; of a deadly taxon also those to spare, so that fewer second looks are left to
   * make.
   */
  readonly wants: readonly number[];
  /** Bars that it has beyond those that it needs; negative while it lacks some. */
  readonly spare: readonly number[];
}

function openRows(dangers: Dangers, tallied: Tally): OpenRows {
  const at: number[] = [];
  const wants: number[] = [];
  const spare: number[] = [];
  for (const [i, { grade, listed }] of dangers.standing.entries()) {
    const lack = dangers.needs[grade] - tallied.count(i);
    const want = grade === 'deadly' ? lack + moreWanted(listed) / SPARE_COUNTS : lack;
    // Rows with bars beyond that neither gain nor lose.
    if (want < 0) continue;
    at.push(i);
    wants.push(want);
    spare.push(-lack);
  }
  return { at, wants, spare };
}

/**
 * Nothing is dug out or waited for only to have a bar to spare: the two second looks that it saves cost less.
 */
function isDear({ character }: CompiledCharacter): boolean {
  return effortOf(character) > SPARE_COUNTS * HANDLING_SECONDS;
}

/**
 * Bars that a reading of this character would bring each open row, on the average over what is usual for the
 * target.
 */
function changes(
  guide: CompiledGuide,
  tallied: Tally,
  rows: OpenRows,
  character: CompiledCharacter,
  looks: readonly Look[],
): Float64Array {
  const { tables } = guide;
  const dear = isDear(character);
  const by = new Float64Array(rows.at.length);
  for (const look of looks) {
    for (let row = 0; row < rows.at.length; row += 1) {
      const position = rows.at[row] as number;
      const column = tallied.taxa[position] as number;
      const wanted = (rows.wants[row] as number) > 0 && !(dear && (rows.spare[row] as number) >= 0);
      let change = 0;
      if (look.kind === 'states') {
        const cell = character.index * tables.taxa + column;
        const possible = tables.possible[cell] as number;
        if (possible === 0) continue;
        if ((look.mask & possible) === 0) {
          if (wanted) change = tallied.change(position, character.group, look.causes, 'against');
        } else if ((look.mask & (tables.usual[cell] as number)) !== 0) {
          change = tallied.change(position, character.group, look.causes, 'fits');
        }
      } else {
        const cell = ((tables.spanRow[character.index] as number) * tables.taxa + column) * 4;
        const against =
          look.high < (tables.spans[cell] as number) || look.low > (tables.spans[cell + 1] as number);
        if (against && wanted) change = tallied.change(position, character.group, look.causes, 'against');
      }
      if (change !== 0) by[row] = (by[row] as number) + change / looks.length;
    }
  }
  return by;
}

/** Of the bars that a check would bring, those that rows still need. */
function barsMissing(rows: OpenRows, by: Float64Array): number {
  return by.reduce(
    (sum, change, row) => sum + (change > 0 && (rows.spare[row] as number) < 0 ? change : 0),
    0,
  );
}

/**
 * For each open row, how many bars all that can still be looked at could bring it: the best of each group.
 */
function withinReach(brought: ReadonlyMap<CompiledCharacter, Float64Array>, size: number): Float64Array {
  const best = new Map<number, Float64Array>();
  for (const [{ group }, by] of brought) {
    const known = best.get(group) ?? new Float64Array(size);
    best.set(group, known);
    for (let row = 0; row < size; row += 1)
      if ((by[row] as number) > (known[row] as number)) known[row] = by[row] as number;
  }
  const reach = new Float64Array(size);
  for (const by of best.values())
    for (let row = 0; row < size; row += 1) reach[row] = (reach[row] as number) + (by[row] as number);
  return reach;
}

/**
 * What a bar weighs to a row: the fewer the checks that could still give it, the more, since those have to be
 * made whatever else is looked at. A bar to spare that cannot be reached weighs nothing.
 */
function weightOf(wants: number, reach: number, spare: number): number {
  if (wants <= 0 || (spare >= 0 && reach < 0.5)) return 0;
  return Math.min(1, wants / Math.max(reach, 1e-9)) ** 2;
}

/** What the loss of a bar weighs to a row. */
const lossOf = (spare: number) => (spare > 0 ? SPARE_LOSS : 1);

/**
 * What a sure reading of each character would bring, on the average over what is usual for the target: bars
 * that are missing, each weighed by how few other checks could give it; a mark of the signature; a group;
 * less the bars that it would cost where it fits a dangerous taxon. It counts less where it rests on a cause
 * that has deceived already, or on one that nothing rests on yet: all colours go wrong together, and so do
 * all smells, numbers and absences.
 *
 * @param characters that can be looked at now
 */
export function gains(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  weighed: Weighed,
  characters: readonly CompiledCharacter[],
): ReadonlyMap<CharacterId, Gain> {
  const { tallied, held, dangers } = weighed;
  const shows = foreseen(guide, view.find, target);
  const rows = openRows(dangers, tallied);
  const brought = new Map<CompiledCharacter, Float64Array>();
  for (const character of characters) {
    const { looks } = shows(character);
    if (looks.length > 0) brought.set(character, changes(guide, tallied, rows, character, looks));
  }
  const reach = withinReach(brought, rows.at.length);
  const weights = rows.wants.map((wants, row) =>
    weightOf(wants, reach[row] as number, rows.spare[row] as number),
  );
  const losses = rows.spare.map(lossOf);

  const marks = new Set<string>(held.signature.filter((mark) => !mark.held).map((mark) => mark.character));
  const fitting = new Set(held.fitGroups);
  const groupsMissing = held.fitGroups.length < held.groupsNeeded;
  const strained = held.strains * STRAIN_SHARE > held.readings;
  const doubted = doubtedCauses(view, weighed);
  const used = causesUsed(view);
  const found = new Map<CharacterId, Gain>();
  for (const [character, by] of brought) {
    const { looks, spread, certain } = shows(character);
    let nearer = 0;
    for (let row = 0; row < by.length; row += 1) {
      const change = by[row] as number;
      nearer += change * ((change > 0 ? weights[row] : losses[row]) as number);
    }
    // A mark has to be seen, whatever bars it costs.
    if (marks.has(character.id)) nearer = Math.max(0, nearer) + MARK_WEIGHT;
    const needed = nearer > GROUP_WEIGHT;
    if (groupsMissing && !fitting.has(guide.groups[character.group] ?? '')) nearer += GROUP_WEIGHT;
    const brings = nearer + (strained ? FIT_WEIGHT[certain ? 'certain' : 'likely'] : 0);
    const inDoubt = looks.filter((look) => (look.causes & doubted) !== 0).length / looks.length;
    const newCauses =
      looks.reduce((sum, look) => sum + causesIn(look.causes & ~used).length, 0) / looks.length;
    const missing = () =>
      barsMissing(rows, spread.length > looks.length ? changes(guide, tallied, rows, character, spread) : by);
    const gain =
      brings > 0 ? brings * (1 - DOUBT * inDoubt) * (1 - NEW_CAUSE * newCauses) : LAST_RESORT * missing();
    found.set(character.id, { gain, nearer: nearer >= MUCH_NEARER, needed });
  }
  return found;
}

/** Causes (as bits) that something read of this piece rests on already. */
function causesUsed(view: CaseView): number {
  let causes = 0;
  for (const looks of view.onPiece.values()) for (const look of looks) causes |= look.causes;
  return causes;
}

/**
 * Causes (as bits) of what stands against the target or against another look: if the light deceived once, it
 * will deceive again, and what rests on the same cause is better looked at last.
 */
function doubtedCauses(view: CaseView, { held, judged }: Weighed): number {
  let causes = 0;
  for (const [index, looks] of view.onPiece) {
    if (!judged.disputed.has(index) && (held.settled.get(index)?.against ?? 0) === 0) continue;
    for (const look of looks) causes |= look.causes;
  }
  return causes;
}
