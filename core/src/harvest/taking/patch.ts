import { isTaken, type Estimate } from './count';
import { costOf, COUNTED_BY_STAGE, LIVES, offspringOf, yearOf, type LifeForm } from './life';
import { growth, momentum } from './matrix';

/** How much of a patch may be taken so that it stays. */

/** The chance with which a patch is to hold its own, where nobody asks for another. */
export const KEEP_CHANCE = 0.9;
/** Years over which it is to do so. */
export const KEEP_YEARS = 50;
/** With so few there, none is taken that would end a plant, and of other parts hardly any. */
export const FEW = 10;
/** Of fewer than `FEW`, of a part that does not end the plant. */
const SHARE_OF_FEW = 0.1;

const yearWith = (lifeForm: LifeForm, part: string, share: number) =>
  yearOf(LIVES[lifeForm], offspringOf(LIVES[lifeForm]), part, costOf(part, lifeForm), share);

/**
 * By what a patch grows in the long run, in logarithms, where every year a share of what there is of a part
 * is taken. Years that differ cost half their variance (Tuljapurkar's approximation for small noise).
 */
export function longRun(lifeForm: LifeForm, part: string, share: number): number {
  return Math.log(growth(yearWith(lifeForm, part, share)).rate) - LIVES[lifeForm].betweenYears ** 2 / 2;
}

/** What is asked of a share. */
export interface Keeping {
  readonly years?: number | undefined;
  readonly chance?: number | undefined;
  /**
   * Young, grown and bearing, where they were counted: a patch is to have as many again of which something
   * can be taken, and old ones have to be followed by young.
   */
  readonly stages?: readonly number[] | undefined;
}

/**
 * How likely a patch is no smaller after the years: its own rates differ from the usual, and its years from
 * one another.
 */
export function chanceToKeep(
  lifeForm: LifeForm,
  part: string,
  share: number,
  { years = KEEP_YEARS, stages }: Keeping = {},
): number {
  const { betweenPatches, betweenYears } = LIVES[lifeForm];
  const deviation = Math.hypot(betweenPatches, betweenYears / Math.sqrt(years));
  return normalBelow(
    (longRun(lifeForm, part, share) + headStart(lifeForm, part, share, stages) / years) / deviation,
  );
}

/**
 * What it loses, in logarithms, where fewer follow than usual. More young than usual allow no more: most of
 * them die before anything can be taken of them.
 */
function headStart(
  lifeForm: LifeForm,
  part: string,
  share: number,
  stages: readonly number[] | undefined,
): number {
  const counts = (stage: number) => isTaken(part, stage, stages?.length ?? 0);
  if (
    !stages ||
    !COUNTED_BY_STAGE.includes(lifeForm) ||
    !stages.some((one, stage) => one > 0 && counts(stage))
  )
    return 0;
  return Math.min(0, Math.log(momentum(yearWith(lifeForm, part, share), stages, counts)));
}

/**
 * The largest share of what there is of a part that can be taken every year, with the patch no smaller after
 * the years with this chance; nothing where it would not hold its own with nothing taken either.
 */
export function shareOf(
  lifeForm: LifeForm,
  part: string,
  { chance = KEEP_CHANCE, stages, years }: Keeping = {},
): number {
  if (!(chance > 0 && chance < 1)) throw new RangeError('chance: between 0 and 1');
  const key = [lifeForm, part, chance, years, ...(stages ?? [])].join(' ');
  const have = shares.get(key);
  if (have !== undefined) return have;
  const keeps = (share: number) => chanceToKeep(lifeForm, part, share, { years, stages }) >= chance;
  let [low, high] = [0, 1];
  if (keeps(1)) low = 1;
  else if (!keeps(0)) high = 0;
  else {
    for (let step = 0; step < 40; step += 1) {
      const middle = (low + high) / 2;
      if (keeps(middle)) low = middle;
      else high = middle;
    }
  }
  const share = Math.min(low, high);
  shares.set(key, share);
  return share;
}
const shares = new Map<string, number>();

/** Something that was taken there before. */
export interface Taken {
  /** Days ago. */
  readonly daysAgo: number;
  /** Of what there was of the part then. */
  readonly share: number;
}

/**
 * Days after which leaves and shoots that were cut are there again, by the way of living; of other parts a
 * year.
 */
const REGROWN: Readonly<Partial<Record<LifeForm, number>>> = {
  annual: 60,
  clonal: 45,
  perennial: 75,
  biennial: 75,
};
const YEAR = 365;

export type PatchReason =
  /** It may be taken whole: nobody need spare it. */
  | { readonly code: 'invader' }
  | { readonly code: 'few'; readonly number: number }
  | { readonly code: 'share'; readonly share: number; readonly chance: number; readonly years: number }
  | { readonly code: 'taken-before'; readonly share: number }
  /**
   * By its young, grown and bearing ones it renews itself less than such a patch usually does: less is taken.
   */
  | { readonly code: 'renews-less'; readonly usual: number }
  /** It would hardly hold its own even with nothing taken. */
  | { readonly code: 'shrinking' }
  | { readonly code: 'life-unknown' };

export interface PatchCeiling {
  /** Of what there is of the part; `undefined` where nothing is known of how it lives. */
  readonly share: number | undefined;
  /** Of plants, or of fruiting bodies; by the fewest that there may be. */
  readonly pieces: number | undefined;
  readonly reasons: readonly PatchReason[];
}

export interface PatchQuestion {
  readonly lifeForm: LifeForm | undefined;
  readonly part: string;
  /** How many there are of which the part can be taken; left out where nobody counted. */
  readonly count?: Estimate | undefined;
  /** Young, grown and bearing, where they were counted by stage. */
  readonly stages?: readonly number[] | undefined;
  readonly invader?: boolean | undefined;
  readonly taken?: readonly Taken[] | undefined;
  readonly chance?: number | undefined;
}

export function patchCeiling({
  lifeForm,
  part,
  count,
  stages,
  invader = false,
  taken = [],
  chance = KEEP_CHANCE,
}: PatchQuestion): PatchCeiling {
  const pieces = (share: number) => (count === undefined ? undefined : Math.floor(count.low * share + 1e-9));
  if (invader) return { share: 1, pieces: count?.low, reasons: [{ code: 'invader' }] };
  if (lifeForm === undefined)
    return { share: undefined, pieces: undefined, reasons: [{ code: 'life-unknown' }] };
  const [most, usual] = [shareOf(lifeForm, part, { chance, stages }), shareOf(lifeForm, part, { chance })];
  const reasons: PatchReason[] =
    usual === 0 ? [{ code: 'shrinking' }] : [{ code: 'share', share: most, chance, years: KEEP_YEARS }];
  if (most < usual - 0.005) reasons.push({ code: 'renews-less', usual });
  const before = taken.reduce((sum, one) => sum + one.share * stillMissing(lifeForm, part, one.daysAgo), 0);
  if (before > 0) reasons.push({ code: 'taken-before', share: Math.min(1, before) });
  let share = Math.max(0, most - before);
  if (count !== undefined && count.low < FEW) {
    reasons.unshift({ code: 'few', number: count.low });
    share = costOf(part, lifeForm).survival >= 1 ? 0 : Math.min(share, SHARE_OF_FEW);
  }
  return { share, pieces: pieces(share), reasons };
}

/** How much of what was taken is not there again yet. */
function stillMissing(lifeForm: LifeForm, part: string, daysAgo: number): number {
  const days = part === 'leaf' || part === 'shoot' ? (REGROWN[lifeForm] ?? YEAR) : YEAR;
  return Math.max(0, 1 - Math.max(0, daysAgo) / days);
}

/** What other schools take, whatever it is: shown beside, never counted. */
export const SCHOOL_SHARES: readonly number[] = [1 / 10, 1 / 4, 1 / 3];

/** The normal distribution function (Abramowitz and Stegun 26.2.17; off by less than 1e-7). */
export function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
