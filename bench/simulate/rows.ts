import {
  compileGuide,
  isCollectable,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
} from '@pause/core';
import { seeded } from '@pause/core/drawing';
import { shippedGuide } from '@pause/guide';
import { shippedReadings } from '@pause/guide/readings';
import { wantedReading } from '@pause/guide/wanted';
import { branchingKey, mostMatched, probable } from './baselines';
import { asRead, asWanted, nearerToTarget } from './drawn';
import type { Temper } from './observer';
import { followPause, type Ended } from './protocol';
import { EVERY_RULE, WITHOUT, withGroups, type Rules } from './rules';

/** One share of the work: so many specimens of one kind, decided in one way. */
export interface Job {
  readonly way: keyof typeof BASELINES | 'Pause';
  /** Name of the rules that Pause goes by. */
  readonly rules: string;
  readonly temper: Temper;
  readonly of: 'deadly' | 'serious' | 'true' | 'left-out';
  /**
   * Who describes the specimens, where it is not the guide: a reading of dangerous taxa by name, or that of
   * the wanted ones.
   */
  readonly drawnFrom?: string;
  /**
   * Share of the statements on the danger that are wrong: there the specimen shows what is usual for the
   * target.
   */
  readonly wrong?: number;
  /** The one target of true specimens, instead of any. */
  readonly target?: string;
  readonly specimens: number;
  readonly seed: number;
}

/** What came of it. */
export interface Came {
  readonly specimens: number;
  readonly collected: number;
  readonly left: number;
  /** Of those that reached collect. */
  readonly checks: readonly number[];
  readonly seconds: readonly number[];
  /** Pairs let through, `truth > target`, with how often. */
  readonly pairs: Readonly<Record<string, number>>;
}

export const BASELINES = {
  'most features matched': mostMatched,
  'probability over 0.95': probable(0.95),
  'probability over 0.99': probable(0.99),
  'branching key': branchingKey,
} as const;

/**
 * On both sides of the model’s own number: fewer are passed over here, more are asked by a group’s policy.
 */
export const GROUPS_TRIED = [0, 7, 8, 9, 10];
const RULES = new Map<string, Rules>(
  [EVERY_RULE, ...WITHOUT, ...GROUPS_TRIED.map(withGroups)].map((rules) => [rules.name, rules]),
);

const guide = compileGuide(shippedGuide());
/** Collected at all: wanted, and without a near-double. */
const targets = guide.taxa.filter(isCollectable);

function one<T>(items: readonly T[], next: () => number): T {
  const item = items[Math.floor(next() * items.length)];
  if (item === undefined) throw new Error('nothing to choose from');
  return item;
}

const goodStage = (target: CompiledTaxon, next: () => number): StageId =>
  one(
    target.taxon.parts.flatMap((p) => p.stages),
    next,
  );

/**
 * What a dangerous specimen is taken for: a target that lists it; where none does, any other of its kingdom.
 */
function takenFor(danger: CompiledTaxon, next: () => number): CompiledTaxon {
  const listing = targets.filter((t) => t.taxon.lookalikes.includes(danger.id));
  return one(
    listing.length > 0
      ? listing
      : targets.filter((t) => t.taxon.kingdom === danger.taxon.kingdom && t.index !== danger.index),
    next,
  );
}

const without = new Map<string, CompiledGuide>();
/** The guide without one taxon, as if nobody had thought of it. */
function guideWithout(id: string): CompiledGuide {
  const known =
    without.get(id) ??
    compileGuide({
      ...guide.guide,
      taxa: guide.guide.taxa
        .filter((t) => t.id !== id)
        .map((t) => ({
          ...t,
          lookalikes: t.lookalikes.filter((other) => other !== id),
          ...(t.nearDoubles ? { nearDoubles: t.nearDoubles.filter((d) => d.taxon !== id) } : {}),
        })),
    });
  without.set(id, known);
  return known;
}

const readings = new Map(shippedReadings().map((reading) => [reading.reader, reading]));
const wanted = wantedReading();
const described = new Map<string, CompiledTaxon>();

/** The taxon as the account that specimens are drawn from describes it. */
function describedBy(taxon: CompiledTaxon, account: string): CompiledTaxon {
  const name = `${account} ${taxon.id}`;
  const reading = readings.get(account);
  const known =
    described.get(name) ??
    (reading ? asRead(guide, taxon, reading) : asWanted(guide, taxon, wanted[taxon.id]?.characters ?? {}));
  described.set(name, known);
  return known;
}

/** Taxa whose specimens this job takes. */
function kinds({ of, drawnFrom, target }: Job): readonly CompiledTaxon[] {
  if (of === 'true') return target === undefined ? targets : targets.filter((t) => t.id === target);
  const graded = guide.taxa.filter((t) =>
    of === 'left-out' ? t.grade === 'deadly' || t.grade === 'serious' : t.grade === of,
  );
  const reading = drawnFrom === undefined ? undefined : readings.get(drawnFrom);
  return reading ? graded.filter((t) => reading.taxa[t.id] !== undefined) : graded;
}

function decideOne(
  job: Job,
  among: readonly CompiledTaxon[],
  rules: Rules,
  next: () => number,
): { readonly truth: CompiledTaxon; readonly target: CompiledTaxon; readonly ended: Ended } {
  const kind = one(among, next);
  const target = job.of === 'true' ? kind : takenFor(kind, next);
  const stage = goodStage(target, next);
  const drawn = job.drawnFrom === undefined ? kind : describedBy(kind, job.drawnFrom);
  const truth = job.wrong === undefined ? drawn : nearerToTarget(drawn, target, stage, job.wrong, next);
  const asked = job.of === 'left-out' ? guideWithout(truth.id) : guide;
  const known = asked.taxon(target.id) ?? target;
  const ended =
    job.way === 'Pause'
      ? followPause(asked, truth, known, stage, job.temper, next, rules)
      : BASELINES[job.way](asked, truth, known, stage, job.temper, next);
  return { truth, target, ended };
}

export function run(job: Job): Came {
  const rules = RULES.get(job.rules);
  if (!rules) throw new Error(`no rules named ${job.rules}`);
  const next = seeded(job.seed);
  const among = kinds(job);
  const pairs: Record<string, number> = {};
  const checks: number[] = [];
  const seconds: number[] = [];
  let left = 0;
  for (let i = 0; i < job.specimens; i += 1) {
    const { truth, target, ended } = decideOne(job, among, rules, next);
    if (ended.outcome === 'leave') left += 1;
    if (ended.outcome !== 'collect') continue;
    checks.push(ended.checks);
    seconds.push(ended.seconds);
    const pair = `${truth.taxon.scientificName} > ${target.taxon.scientificName}`;
    pairs[pair] = (pairs[pair] ?? 0) + 1;
  }
  return { specimens: job.specimens, collected: checks.length, left, checks, seconds, pairs };
}

/** Several shares of one row together. */
export function together(shares: readonly Came[]): Came {
  const pairs: Record<string, number> = {};
  for (const share of shares)
    for (const [pair, n] of Object.entries(share.pairs)) pairs[pair] = (pairs[pair] ?? 0) + n;
  const sum = (of: (c: Came) => number) => shares.reduce((total, share) => total + of(share), 0);
  return {
    specimens: sum((c) => c.specimens),
    collected: sum((c) => c.collected),
    left: sum((c) => c.left),
    checks: shares.flatMap((c) => c.checks),
    seconds: shares.flatMap((c) => c.seconds),
    pairs,
  };
}

export const GUIDE = {
  version: guide.version,
  taxa: guide.taxa.length,
  readers: [...readings.keys()],
  wanted: targets.filter((t) => wanted[t.id]).map((t) => ({ id: t.id, name: t.taxon.scientificName })),
};
