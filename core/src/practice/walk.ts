import { plan } from '../advice/plan';
import { viewCase } from '../case';
import {
  GRADES,
  isCollectable,
  wantedStages,
  type CharacterId,
  type CompiledGuide,
  type CompiledTaxon,
  type Damage,
  type HarmGrade,
  type TaxonId,
} from '../guide';
import { seeded } from '../lib/seeded';
import { relationOverall, expectedHere } from '../verdict';
import { decide, lacksOnlySecondLooks, type Verdict } from '../verdict';
import { findOf, seenRightly, specimenOf, type LookedAt, type Specimen } from './specimen';

/** Finds in the practice wood: what is met there, and what a decision on it was worth. */

export type WalkDecision = 'collect' | 'leave' | 'not-yet';

/** A find as it is met: what it is, and what somebody hopes it is. */
export interface Encounter {
  readonly specimen: Specimen;
  readonly target: CompiledTaxon;
}
export interface Met extends Encounter {
  readonly looks: readonly LookedAt[];
  readonly decided: WalkDecision;
}

export interface Scored {
  readonly points: number;
  /** It was what it was taken for. */
  readonly was: boolean;
  /** It is what it was taken for, and looking at everything would have come to *collect*. */
  readonly could: boolean;
  /**
   * What was risked by collecting it: how bad what it is, or the worst that had not all its bars; none where
   * nothing was.
   */
  readonly risked: HarmGrade;
  /** The worst taxon that had not all its bars. */
  readonly open: TaxonId | undefined;
  /** Looks without which all would have been the same. */
  readonly wasted: readonly CharacterId[];
  /** Looks that saw what was not there. */
  readonly misread: readonly CharacterId[];
  /** The quickest look that would have told. */
  readonly telling: CharacterId | undefined;
  /** By the looks as they were read. */
  readonly verdict: Verdict;
}

/**
 * What collecting costs where it was another, and where it was right and nobody could know; far above a
 * needless walk away.
 */
const COLLECTED_WRONG: Readonly<Record<HarmGrade, number>> = {
  deadly: -100,
  serious: -50,
  unpleasant: -20,
  none: -5,
};
const COLLECTED_BLIND: Readonly<Record<HarmGrade, number>> = {
  deadly: -30,
  serious: -15,
  unpleasant: -6,
  none: 0,
};
const COLLECTED_RIGHT = 10;
/**
 * A walk away from what was dangerous; one from what could have been had; and one from what could not be
 * settled.
 */
const LEFT_DANGEROUS = 6;
const LEFT_FOR_NOTHING = -3;
const WASTED = -0.3;
const DAMAGE: Readonly<Record<Damage, number>> = { none: 0, slight: -0.1, part: -0.4, whole: -1 };

/** What a decision was worth: by what was risked, not by luck. */
export function scoreOf(guide: CompiledGuide, met: Met): Scored {
  const { specimen, target, looks, decided } = met;
  const verdict = decide(guide, findOf(guide, specimen, target, looks));
  const was = specimen.taxon === target.id;
  // A drawn specimen is looked at once: what shows again is the same drawing, so no second look is asked for.
  const isClear = (one: Verdict) => one.outcome === 'collect' || lacksOnlySecondLooks(one);
  const worst = isClear(verdict) ? undefined : worstOpen(guide, verdict);
  const grade = guide.taxon(specimen.taxon)?.grade ?? 'none';
  const openGrade = worst === undefined ? 'none' : (guide.taxon(worst)?.grade ?? 'none');
  const wasted = looks
    .filter((one) =>
      sameGround(
        decide(
          guide,
          findOf(
            guide,
            specimen,
            target,
            looks.filter((other) => other !== one),
          ),
        ),
        verdict,
      ),
    )
    .map(({ character }) => character);
  const costs =
    wasted.length * WASTED +
    looks.reduce(
      (sum, { character }) => sum + DAMAGE[guide.character(character)?.character.damage ?? 'none'],
      0,
    );
  const risked: HarmGrade = decided === 'collect' ? (was ? openGrade : grade) : 'none';
  const could =
    was &&
    isClear(
      decide(guide, findOf(guide, specimen, target, seenRightly(specimen, [...specimen.shows.keys()]))),
    );
  return {
    points: costs + worth(decided, { was, could, grade, open: openGrade }),
    was,
    could,
    risked,
    open: worst,
    wasted,
    verdict,
    misread: looks
      .filter(({ character, value }) => isMisread(specimen, character, value))
      .map(({ character }) => character),
    telling: was ? nextOf(guide, met) : telling(guide, met),
  };
}

function worth(
  decided: WalkDecision,
  {
    was,
    could,
    grade,
    open,
  }: { readonly was: boolean; readonly could: boolean; readonly grade: HarmGrade; readonly open: HarmGrade },
): number {
  if (decided === 'not-yet') return 0;
  if (decided === 'collect') return was ? COLLECTED_RIGHT + COLLECTED_BLIND[open] : COLLECTED_WRONG[grade];
  if (was) return could ? LEFT_FOR_NOTHING : 0;
  return grade === 'none' ? 0 : LEFT_DANGEROUS;
}

/** The worst taxon that is short of a bar; of equals the first. */
function worstOpen(guide: CompiledGuide, verdict: Verdict): TaxonId | undefined {
  const gradeOf = (taxon: TaxonId) => GRADES.indexOf(guide.taxon(taxon)?.grade ?? 'none');
  return verdict.rows
    .filter(({ have, need }) => have < need)
    .map(({ taxon }) => taxon)
    .reduce<TaxonId | undefined>(
      (worst, taxon) => (worst === undefined || gradeOf(taxon) > gradeOf(worst) ? taxon : worst),
      undefined,
    );
}

/** Numbers are told as they are; of states another one is another. */
function isMisread(specimen: Specimen, character: CharacterId, value: LookedAt['value']): boolean {
  const shown = specimen.shows.get(character);
  return (
    value.kind === 'states' &&
    shown?.kind === 'states' &&
    !value.states.some((state) => shown.states.includes(state))
  );
}

/** The quickest look that speaks against what it was hoped to be. */
function telling(guide: CompiledGuide, { specimen, target }: Encounter): CharacterId | undefined {
  const view = viewCase(
    guide,
    findOf(guide, specimen, target, seenRightly(specimen, [...specimen.shows.keys()])),
  );
  return view.looks
    .filter((look) => !look.character.place && relationOverall(look, target) === 'against')
    .reduce<(typeof view.looks)[number] | undefined>(
      (best, look) =>
        best && best.character.character.seconds <= look.character.character.seconds ? best : look,
      undefined,
    )?.character.id;
}

/** The first look that was still to be made. */
function nextOf(guide: CompiledGuide, { specimen, target, looks }: Met): CharacterId | undefined {
  const rest = plan(guide, findOf(guide, specimen, target, looks));
  return rest.feasible ? rest.checks[0]?.character : undefined;
}

/** The same outcome on the same grounds: the same bars in every row, and the same reasons. */
function sameGround(a: Verdict, b: Verdict): boolean {
  return (
    a.outcome === b.outcome &&
    a.reasons.length === b.reasons.length &&
    a.rows.length === b.rows.length &&
    a.rows.every((row, at) => row.taxon === b.rows[at]?.taxon && row.have === b.rows[at].have)
  );
}

export interface WalkOf {
  readonly seed: number;
  readonly finds: number;
  /** Calendar month, 1 to 12: what is about then is met first. */
  readonly month?: number | undefined;
  /** Taxa to be met rather than others: planned for the next walk, or due. */
  readonly rather?: ReadonlySet<string> | undefined;
  /** Only these. */
  readonly among?: ReadonlySet<string> | undefined;
}

/**
 * How often it is another, how often an own kind that is not quite as usual, and how often one of the
 * preferred is met.
 */
const ANOTHER = 0.5;
const STRAINED = 0.25;
const RATHER = 0.6;
const LIKELIER: Readonly<Record<HarmGrade, number>> = { deadly: 4, serious: 3, unpleasant: 2, none: 1 };

/** Finds as they are met on a walk. The same seed is the same walk. */
export function walkOf(guide: CompiledGuide, { seed, finds, month, rather, among }: WalkOf): Encounter[] {
  const draw = seeded(seed * 31 + 7);
  const all = guide.taxa.filter(
    (taxon) => isCollectable(taxon) && taxon.taxon.lookalikes.length > 0 && (among?.has(taxon.id) ?? true),
  );
  const about = all.filter((taxon) => month === undefined || stagesFor(taxon, month).length > 0);
  const pool = about.length >= 3 ? about : all;
  const liked = pool.filter(({ id }) => rather?.has(id));
  const met: Encounter[] = [];
  for (let at = 0; at < finds && pool.length > 0; at += 1) {
    const from = liked.length > 0 && draw() < RATHER ? liked : pool;
    const fresh = from.filter((taxon) => !met.some(({ target }) => target === taxon));
    const target = pick(fresh.length > 0 ? fresh : from, draw());
    if (!target) break;
    const stages = stagesFor(target, month);
    const stage = pick(
      stages.length > 0 ? stages : (target.taxon.parts[0]?.stages ?? target.taxon.stages),
      draw(),
    );
    if (stage === undefined) continue;
    const others = target.taxon.lookalikes
      .flatMap((id) => guide.taxon(id) ?? [])
      .filter(({ taxon }) => taxon.stages.includes(stage));
    const weighted = others.flatMap((other) => Array.from({ length: LIKELIER[other.grade] }, () => other));
    const [another, which, strain, own] = [draw(), draw(), draw(), Math.floor(draw() * 1e6)];
    const taxon = another < ANOTHER ? (pick(weighted, which) ?? target) : target;
    met.push({
      target,
      specimen: specimenOf(guide, { taxon, stage, seed: own, strain: strain < STRAINED ? 1 : 0 }),
    });
  }
  return met;
}

const pick = <T>(from: readonly T[], draw: number): T | undefined => from[Math.floor(draw * from.length)];
/** Stages at which a part of it is worth having, and which are about in this month. */
function stagesFor(taxon: CompiledTaxon, month: number | undefined) {
  const wanted = wantedStages(taxon);
  return month === undefined
    ? wanted
    : wanted.filter((stage) => expectedHere(taxon, [stage], { month }).season !== 'against');
}
