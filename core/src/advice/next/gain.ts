import type { CaseView, Look } from '../../case';
import {
  type CompiledGuide,
  type CompiledTaxon,
  type CompiledCharacter,
  type CharacterId,
  causesIn,
} from '../../guide';
import { type Weighed, STRAIN_SHARE } from '../../verdict';
import { coverOf } from './cover';
import { foreseen } from './foreseen';
import { openRows, changes, withinReach, barsMissing } from './openRows';

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

/** Share of what a check would bring that is not counted on while a cause it rests on is in doubt. */
const DOUBT = 0.8;

/** What one check would bring. */
export interface Gain {
  /** All of it. */
  readonly gain: number;
  /** Whether it brings more than some easy bar, one more group or one more fit. */
  readonly nearer: boolean;
  /** Whether it is a mark of the signature, or brings more in bars than it does by being one more group. */
  readonly needed: boolean;
  /** Whether it is one of the few that together bring all that is missing. */
  readonly chosen: boolean;
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
  const brought = new Map(
    characters.flatMap((character) => {
      const { looks } = shows(character);
      return looks.length > 0 ? [[character, changes(guide, tallied, rows, character, looks)]] : [];
    }),
  );
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
  const chosen = coverOf({ wants: rows.wants, weights, brought, marks, markWeight: MARK_WEIGHT }, (c) =>
    causesOf(shows(c).looks),
  );
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
    found.set(character.id, {
      gain,
      nearer: nearer >= MUCH_NEARER,
      needed,
      chosen: chosen.has(character.id),
    });
  }
  return found;
}

/** Causes (as bits) that any of these looks rests on. */
const causesOf = (looks: readonly Look[]) => looks.reduce((all, look) => all | look.causes, 0);

/** Causes (as bits) that something read of this piece rests on already. */
function causesUsed(view: CaseView): number {
  return causesOf([...view.onPiece.values()].flat());
}

/**
 * Causes (as bits) of what speaks against the target or against another look: if the light deceived once, it
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
