import {
  type HarmGrade,
  type CompiledGuide,
  isCollectable,
  type CompiledTaxon,
  wantedStages,
} from '../guide';
import { seeded } from '../lib/seeded';
import { expectedHere } from '../verdict';
import type { Encounter } from './encounter';
import { specimenOf } from './specimen';

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
