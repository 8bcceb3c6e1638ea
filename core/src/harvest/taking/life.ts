import type { Regrowth } from '../../guide';
import { isTaken } from './count';
import { growth, type Matrix } from './matrix';

/**
 * How plants and fungi of each way of living go on from year to year, and what taking a part costs them.
 * Rates are general: rounded means of what demography reports of such ways of living, with the spread from
 * one kind, one place and one year to another beside them. They are no measurement of any one patch.
 */
export type LifeForm = Regrowth['lifeForm'];

/** What happens to one of each stage within a year. */
interface Stage {
  /** Stays what it is. */
  readonly stays: number;
  /** Becomes the next stage. */
  readonly grows: number;
  /** Goes back to the stage before. */
  readonly shrinks?: number;
}
export interface Life {
  /** Young, grown, bearing; of an annual its seed in the ground and the plant. */
  readonly stages: readonly Stage[];
  /** By what a patch with nothing taken grows in a year while there is room. */
  readonly grows: number;
  /** Standard deviation of the logarithm of that, from one kind and place to another. */
  readonly betweenPatches: number;
  /** The same, from one year to another at one place. */
  readonly betweenYears: number;
}

export const LIVES: Readonly<Record<LifeForm, Life>> = {
  // Seed in the ground, and the plant.
  annual: {
    stages: [
      { stays: 0.5, grows: 0.25 },
      { stays: 0, grows: 0 },
    ],
    grows: 1.4,
    betweenPatches: 0.1,
    betweenYears: 0.25,
  },
  biennial: {
    stages: [
      { stays: 0.15, grows: 0.35 },
      { stays: 0.25, grows: 0.45 },
      { stays: 0.05, grows: 0 },
    ],
    grows: 1.25,
    betweenPatches: 0.08,
    betweenYears: 0.2,
  },
  perennial: {
    stages: [
      { stays: 0.45, grows: 0.1 },
      { stays: 0.75, grows: 0.12 },
      { stays: 0.88, grows: 0, shrinks: 0.06 },
    ],
    grows: 1.06,
    betweenPatches: 0.02,
    betweenYears: 0.07,
  },
  clonal: {
    stages: [
      { stays: 0.4, grows: 0.35 },
      { stays: 0.6, grows: 0.25 },
      { stays: 0.8, grows: 0, shrinks: 0.1 },
    ],
    grows: 1.2,
    betweenPatches: 0.06,
    betweenYears: 0.12,
  },
  shrub: {
    stages: [
      { stays: 0.6, grows: 0.06 },
      { stays: 0.88, grows: 0.07 },
      { stays: 0.96, grows: 0, shrinks: 0.02 },
    ],
    grows: 1.04,
    betweenPatches: 0.012,
    betweenYears: 0.04,
  },
  tree: {
    stages: [
      { stays: 0.75, grows: 0.02 },
      { stays: 0.95, grows: 0.03 },
      { stays: 0.985, grows: 0 },
    ],
    grows: 1.015,
    betweenPatches: 0.005,
    betweenYears: 0.015,
  },
  // Threads in the ground or in wood; what is picked is their fruit.
  mycelium: {
    stages: [
      { stays: 0.5, grows: 0.1 },
      { stays: 0.8, grows: 0.1 },
      { stays: 0.93, grows: 0, shrinks: 0.03 },
    ],
    grows: 1.04,
    betweenPatches: 0.015,
    betweenYears: 0.05,
  },
};

/**
 * What of a plant's year is lost with a part of it, where the part is taken whole: shares of what it would
 * have done.
 */
export interface Cost {
  /** Of the chance to be there next year. */
  readonly survival: number;
  /** Of the chance to grow on to the next stage. */
  readonly growth: number;
  /** Of its offspring: seeds, spores, runners. */
  readonly offspring: number;
}

const COSTS: Readonly<Record<string, Cost>> = {
  root: { survival: 1, growth: 1, offspring: 1 },
  bulb: { survival: 1, growth: 1, offspring: 1 },
  leaf: { survival: 0.15, growth: 0.5, offspring: 0.6 },
  shoot: { survival: 0.1, growth: 0.5, offspring: 0.8 },
  flower: { survival: 0, growth: 0.05, offspring: 1 },
  fruit: { survival: 0, growth: 0, offspring: 1 },
  seed: { survival: 0, growth: 0, offspring: 1 },
  cone: { survival: 0, growth: 0, offspring: 1 },
  // Threads live on; the spores of what is picked before it is ripe are lost, and some ground is trodden.
  'fruiting-body': { survival: 0.01, growth: 0, offspring: 1 },
  cap: { survival: 0.01, growth: 0, offspring: 1 },
};
/** Of a part that nobody wrote a cost for: as if the whole were taken. */
const WHOLE: Cost = { survival: 1, growth: 1, offspring: 1 };
/**
 * Plants that spread by runners have most of their offspring from these, which lose nothing with fruit or
 * flowers.
 */
const BY_RUNNERS = 0.7;

export function costOf(part: string, life: LifeForm): Cost {
  const cost = COSTS[part] ?? WHOLE;
  const seeded = ['flower', 'fruit', 'seed'].includes(part);
  return life === 'clonal' && seeded ? { ...cost, offspring: cost.offspring * (1 - BY_RUNNERS) } : cost;
}

/**
 * Life forms of which young, grown and bearing ones can be told apart where they grow: not of seed in
 * the ground, nor of threads.
 */
export const COUNTED_BY_STAGE: readonly LifeForm[] = ['biennial', 'perennial', 'clonal', 'shrub', 'tree'];

/** The year of a patch of which a share of all that could be taken of a part is taken. */
export function yearOf(life: Life, offspring: number, part: string, cost: Cost, share: number): Matrix {
  const { stages } = life;
  const n = stages.length;
  const matrix = stages.map(() => stages.map(() => 0));
  for (const [at, stage] of stages.entries()) {
    const hit = isTaken(part, at, n) ? share : 0;
    const lives = 1 - hit * cost.survival;
    const grows = stage.grows * (1 - hit * cost.growth);
    const add = (to: number, rate: number) => {
      const row = matrix[to];
      if (row) row[at] = (row[at] ?? 0) + rate * lives;
    };
    // Whoever is kept from growing on stays as it is.
    add(at, stage.stays + (stage.grows - grows));
    if (at + 1 < n) add(at + 1, grows);
    if (at > 0) add(at - 1, stage.shrinks ?? 0);
    if (at === n - 1) {
      const row = matrix[0];
      if (row) row[at] = (row[at] ?? 0) + offspring * (1 - hit * cost.offspring);
    }
  }
  return matrix;
}

const NOTHING: Cost = { survival: 0, growth: 0, offspring: 0 };
const known = new Map<Life, number>();

/** Young of one that bears, so that with nothing taken the patch grows as its way of living does. */
export function offspringOf(life: Life): number {
  const have = known.get(life);
  if (have !== undefined) return have;
  let [low, high] = [0, 1000];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (growth(yearOf(life, middle, '', NOTHING, 0)).rate < life.grows) low = middle;
    else high = middle;
  }
  known.set(life, high);
  return high;
}
