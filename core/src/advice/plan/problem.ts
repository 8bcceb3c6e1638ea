import { isDug, mayBeDug, type CaseView, type Unnamed } from '../../case';
import {
  CAUSE_BIT,
  causesOf,
  effortOf,
  isPossible,
  isSmelled,
  isUsual,
  typicallySeen,
  union,
  withError,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type Seen,
  type StageId,
} from '../../guide';
import {
  dangersOf,
  groundsAgainst,
  largestIndependent,
  needOf,
  couldFit,
  disputedCharacters,
  holds,
  extraBars,
  passedOver,
  type TargetHolds,
} from '../../verdict';

/**
 * The plan as a weighted set multicover with causes: choose checks of least cost so that every dangerous
 * taxon gets its bars, the signature is read and enough groups fit, if the specimen shows what is usual for
 * the target. Plain arrays over options (checks) and rows (dangerous taxa), so that any solver can read it.
 */

/** What the person has at hand. */
export interface Hands {
  /** Gear at hand; left out: what the find says, or everything. */
  readonly gear?: ReadonlySet<string>;
  /** Characters that turned out impossible to read. */
  readonly without?: ReadonlySet<string>;
  /** Nothing that takes longer than this, in seconds. */
  readonly longest?: number;
}

/**
 * Whether a check can be made by this person now: all its gear is at hand (by what is given here, else by
 * what the find says), the nose does, and nothing is dug up that may not be.
 */
export function canBeMade(
  compiled: CompiledCharacter,
  find: Unnamed,
  target: CompiledTaxon | undefined,
  hands: Hands = {},
): boolean {
  const { character } = compiled;
  if (find.context.cannotSmell === true && isSmelled(character)) return false;
  if (isDug(compiled) && !mayBeDug(find, target)) return false;
  return (character.gear ?? []).every((g) =>
    hands.gear ? hands.gear.has(g) : find.context.gear?.includes(g) !== false,
  );
}

export interface Option {
  readonly character: CompiledCharacter;
  /** Seconds, with damage counted as seconds. */
  readonly cost: number;
  readonly group: number;
  /** Shared causes of the answer that is expected, as bits. */
  readonly causes: number;
}

export interface Row {
  readonly taxon: CompiledTaxon;
  readonly need: number;
  /** By option: would its expected answer be a ground against this taxon? */
  readonly against: Uint8Array;
  /** By option: would it fit this taxon, so that its group gives no ground? */
  readonly fits: Uint8Array;
  /** Grounds that stand already: their groups and causes. */
  readonly grounds: readonly { readonly group: number; readonly causes: number }[];
  /** Groups that give no ground any more, because something read in them fits. */
  readonly spoiled: ReadonlySet<number>;
}

export interface PlanProblem {
  readonly options: readonly Option[];
  readonly rows: readonly Row[];
  /** Options that the plan must hold: signature marks not seen yet. */
  readonly forced: readonly number[];
  /** Groups from which sure fits stand already. */
  readonly fitGroups: ReadonlySet<number>;
  readonly groupsNeeded: number;
  /** Signature marks that cannot be read now. */
  readonly unseen: readonly CompiledCharacter[];
}

export function buildProblem(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  hands: Hands,
): PlanProblem {
  const expected = expectedChecks(guide, view, target, hands);
  const options = optionsOf(guide, expected);
  const held = holds(guide, view, target);
  return {
    options,
    rows: rowsOf(guide, view, target, expected),
    ...marksToRead(guide, held, options),
    fitGroups: new Set(held.fitGroups.map((group) => guide.groups.indexOf(group))),
    groupsNeeded: held.groupsNeeded,
  };
}

/** A check that can be made now, and what a typical specimen of the target shows in it. */
interface ExpectedCheck {
  readonly character: CompiledCharacter;
  readonly typical: Seen;
}

function expectedChecks(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  hands: Hands,
): ExpectedCheck[] {
  const stages = view.find.context.stages ?? target.taxon.stages;
  const passed = new Set<string>(passedOver(guide, view, target));
  const possible = (c: CompiledCharacter) =>
    !c.place &&
    c.character.kingdom === view.find.kingdom &&
    !view.onPiece.has(c.index) &&
    !passed.has(c.id) &&
    hands.without?.has(c.id) !== true &&
    c.character.seconds <= (hands.longest ?? Infinity) &&
    canBeMade(c, view.find, target, hands) &&
    stages.some((stage) => c.stages.has(stage));
  return guide.characters.flatMap((character) => {
    const typical = possible(character) ? typicalOf(character, target, stages) : undefined;
    return typical ? [{ character, typical }] : [];
  });
}

function optionsOf(guide: CompiledGuide, expected: readonly ExpectedCheck[]): Option[] {
  // The outline is one thing, however many characters it is read in: they count as the group of the first.
  const outline = guide.characters.find((c) =>
    c.stateCauses.some(({ cause }) => cause === CAUSE_BIT.outline),
  )?.group;
  return expected.map(({ character, typical }) => {
    const causes = causesOf(character, typical);
    const group = (causes & CAUSE_BIT.outline) !== 0 ? (outline ?? character.group) : character.group;
    return { character, cost: effortOf(character.character), group, causes };
  });
}

/** A row for each dangerous taxon that still needs bars. */
function rowsOf(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  expected: readonly ExpectedCheck[],
): Row[] {
  const disputed = disputedCharacters(view);
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const rows = [...dangers.same].flatMap((index): Row[] => {
    const taxon = guide.taxa[index];
    if (!taxon) return [];
    const relation = expected.map(({ character, typical }) => expectedRelation(character, typical, taxon));
    return [
      {
        taxon,
        need: needOf(dangers, taxon),
        against: Uint8Array.from(relation, (r, i) =>
          r === 'against' && !disputed.has(expected[i]?.character.index ?? -1) ? 1 : 0,
        ),
        fits: Uint8Array.from(relation, (r) => (r === 'fits' ? 1 : 0)),
        grounds: groundsAgainst(view, taxon, disputed).map(({ group, causes }) => ({ group, causes })),
        spoiled: new Set(
          view.looks.filter((look) => couldFit(look, taxon)).map((look) => look.character.group),
        ),
      },
    ];
  });
  return rows.filter((row) => largestIndependent(row.grounds).length < row.need);
}

/** Signature marks that are not seen yet: those that can be read now, as options, and the others. */
function marksToRead(
  guide: CompiledGuide,
  { signature }: TargetHolds,
  options: readonly Option[],
): Pick<PlanProblem, 'forced' | 'unseen'> {
  const missing = signature.filter((mark) => !mark.held).map((mark) => mark.character);
  const optionOf = (id: string) => options.findIndex((o) => o.character.id === id);
  return {
    forced: missing.map(optionOf).filter((option) => option >= 0),
    unseen: missing.filter((id) => optionOf(id) < 0).flatMap((id) => guide.character(id) ?? []),
  };
}

/**
 * What a typical specimen of the target shows at these stages; undefined where a stage at which it shows is
 * not stated.
 */
function typicalOf(
  character: CompiledCharacter,
  target: CompiledTaxon,
  stages: readonly StageId[],
): Seen | undefined {
  const stated = target.atStage.get(character.index);
  const all = stages.filter((stage) => character.stages.has(stage)).map((stage) => stated?.get(stage));
  const known = all.flatMap((one) => one ?? []);
  if (known.length < all.length || known.length === 0) return undefined;
  return typicallySeen(known.reduce((a, b) => union(a, b, character)));
}

/** `against` only if every typical answer is; `fits` if one of them could be usual for the other too. */
function expectedRelation(
  character: CompiledCharacter,
  typical: Seen,
  taxon: CompiledTaxon,
): 'against' | 'fits' | 'neither' {
  const known = taxon.overall.get(character.index);
  if (!known) return 'neither';
  if (!isPossible(withError(typical, character), known)) return 'against';
  return isUsual(typical, known) ? 'fits' : 'neither';
}
