import type { CharacterId, CompiledGuide, CompiledTaxon, Damage, HarmGrade } from '../guide';
import { decide, type Verdict } from '../verdict';
import { findOf, type Specimen } from './specimen';

/** A find in the practice wood, as it was met: what was looked at, and what was decided. */

export type WalkDecision = 'collect' | 'leave' | 'not-yet';
export interface Met {
  readonly specimen: Specimen;
  /** What it was met as: what somebody hoped it would be. */
  readonly target: CompiledTaxon;
  readonly checked: readonly CharacterId[];
  readonly decided: WalkDecision;
}

export interface Scored {
  readonly points: number;
  /** It was what it was taken for. */
  readonly was: boolean;
  /** What was risked by collecting it: the worst that had not all its bars; none where nothing was. */
  readonly risked: HarmGrade;
  /** Checks without which all would have been the same. */
  readonly wasted: readonly CharacterId[];
  /** By the checks that were made. */
  readonly verdict: Verdict;
}

/** What collecting costs where it was another, and where it was right and nobody could know; far above a needless walk away. */
const COLLECTED_WRONG: Readonly<Record<HarmGrade, number>> = { deadly: -100, serious: -50, unpleasant: -20, none: -5 };
const COLLECTED_BLIND: Readonly<Record<HarmGrade, number>> = { deadly: -30, serious: -15, unpleasant: -6, none: 0 };
const COLLECTED_RIGHT = 10;
/** A walk away from what was dangerous; one from what could have been had; and one from what could not be settled. */
const LEFT_DANGEROUS = 6;
const LEFT_FOR_NOTHING = -3;
const WASTED = -0.3;
const DAMAGE: Readonly<Record<Damage, number>> = { none: 0, slight: -0.1, part: -0.4, whole: -1 };
const GRADES: readonly HarmGrade[] = ['none', 'unpleasant', 'serious', 'deadly'];

/** What a decision was worth: by what was risked, not by luck. */
export function scoreOf(guide: CompiledGuide, met: Met): Scored {
  const { specimen, target, checked, decided } = met;
  const verdict = decide(guide, findOf(guide, specimen, target, checked));
  const was = specimen.taxon === target.id;
  const short = verdict.rows.filter(({ have, need }) => have < need).map(({ taxon }) => guide.taxon(taxon)?.grade ?? 'none');
  const open: HarmGrade = verdict.outcome === 'collect' ? 'none' : short.reduce<HarmGrade>((worst, grade) => (GRADES.indexOf(grade) > GRADES.indexOf(worst) ? grade : worst), 'none');
  const grade = guide.taxon(specimen.taxon)?.grade ?? 'none';
  const wasted = checked.filter((one) => { const without = decide(guide, findOf(guide, specimen, target, checked.filter((other) => other !== one))); return sameGround(without, verdict); });
  const costs = wasted.length * WASTED + checked.reduce((sum, one) => sum + DAMAGE[guide.character(one)?.character.damage ?? 'none'], 0);
  const risked: HarmGrade = decided === 'collect' ? (was ? open : grade) : 'none';
  return { points: costs + worth(decided, was, grade, open), was, risked, wasted, verdict };
}

function worth(decided: WalkDecision, was: boolean, grade: HarmGrade, open: HarmGrade): number {
  if (decided === 'not-yet') return 0;
  if (decided === 'collect') return was ? COLLECTED_RIGHT + COLLECTED_BLIND[open] : COLLECTED_WRONG[grade];
  return was ? LEFT_FOR_NOTHING : grade === 'none' ? 0 : LEFT_DANGEROUS;
}

/** The same outcome on the same grounds: the same bars in every row, and the same reasons. */
function sameGround(a: Verdict, b: Verdict): boolean {
  return a.outcome === b.outcome && a.reasons.length === b.reasons.length && a.rows.length === b.rows.length && a.rows.every((row, at) => row.taxon === b.rows[at]?.taxon && row.have === b.rows[at].have);
}
