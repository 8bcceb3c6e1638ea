import { plan } from '../advice/plan';
import { differInStates, viewCase } from '../case';
import {
  type HarmGrade,
  type TaxonId,
  type CharacterId,
  type Damage,
  type CompiledGuide,
  GRADES,
} from '../guide';
import { type Verdict, decide, lacksOnlySecondLooks, relationOverall } from '../verdict';
import type { Met, WalkDecision, Encounter } from './encounter';
import { findOf, seenRightly, type Specimen, type LookedAt } from './specimen';

/** How a decision in the practice wood is scored. */

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
  /** The quickest look that would have parted them. */
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

/** Numbers may differ by their error; another state is another answer. */
function isMisread(specimen: Specimen, character: CharacterId, value: LookedAt['value']): boolean {
  return differInStates(value, specimen.shows.get(character));
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
