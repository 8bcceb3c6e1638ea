import { z } from 'zod';
import { Context, Instant, Piece, Reading, Skip, Withdrawal, type Case, type Unnamed } from '../case';
import { Kingdom, TaxonId, type CompiledGuide } from '../guide';
import type { Verdict } from '../verdict';

/** A find on record: what was added to it from first to last, its verdicts and the person's decisions. */

const id = z.string().min(1).max(64);
export const Outcome = z.enum(['leave', 'pause', 'collect']);
export const Choice = z.enum(['collect', 'leave', 'later']);
export type Choice = z.infer<typeof Choice>;

export const Decision = z.strictObject({
  id, at: Instant, verdict: id, choice: Choice, reason: z.string().optional(), by: z.string(),
});
export type Decision = z.infer<typeof Decision>;

export const FindRecord = z.strictObject({
  id,
  number: z.number().int().positive().optional(),
  startedAt: Instant,
  kingdom: Kingdom,
  bodyPlan: z.string().optional(),
  placeNote: z.string().optional(),
  person: z.string(),
  pieces: z.array(Piece),
  /** What it was believed to be, oldest first; the last one is the target. */
  targets: z.array(z.strictObject({ taxon: TaxonId, at: Instant })),
  context: Context,
  readings: z.array(Reading),
  withdrawals: z.array(Withdrawal),
  skips: z.array(Skip),
  verdicts: z.array(z.strictObject({ id, at: Instant, verdict: z.custom<Verdict>((v) => typeof v === 'object' && v !== null && 'outcome' in v) })),
  decisions: z.array(Decision),
});
export type FindRecord = z.infer<typeof FindRecord>;

/** A line of the log of finds. */
export const FindSummary = z.strictObject({
  id,
  /** Given by the server; a find that has not been there yet has none. */
  number: z.number().int().positive().optional(),
  startedAt: Instant,
  kingdom: Kingdom,
  placeNote: z.string().optional(),
  target: z.string().optional(),
  readings: z.number().int().nonnegative(),
  outcome: Outcome.optional(),
  choice: Choice.optional(),
});
export type FindSummary = z.infer<typeof FindSummary>;

/** The line of the log that stands for a find, from all that is on record of it. */
export function summaryOf(record: FindRecord): FindSummary {
  const last = <T extends { readonly at: string }>(all: readonly T[]): T | undefined => all.reduce<T | undefined>((a, b) => (a && a.at > b.at ? a : b), undefined);
  const { id, number, startedAt, kingdom, placeNote } = record;
  const [target, verdict, decision] = [last(record.targets)?.taxon, last(record.verdicts)?.verdict.outcome, last(record.decisions)?.choice];
  return {
    id, startedAt, kingdom, readings: record.readings.length,
    ...(number === undefined ? {} : { number }), ...(placeNote === undefined ? {} : { placeNote }),
    ...(target === undefined ? {} : { target }), ...(verdict === undefined ? {} : { outcome: verdict }), ...(decision === undefined ? {} : { choice: decision }),
  };
}

/**
 * The find as the deciding function sees it, for this guide. The same record gives the same case in the browser
 * and on the server.
 *
 * @returns undefined while nobody has said what it may be, or no piece was started
 */
export function caseOf(record: FindRecord, guide: CompiledGuide): Case | undefined {
  const target = record.targets.at(-1);
  if (!target || !record.pieces.some((p) => p.purpose === 'decide')) return undefined;
  return {
    ...seenOf(record, guide),
    target: target.taxon,
    // A target was left at the moment the next one was named.
    earlierTargets: record.targets.slice(0, -1).map((earlier, index) => ({
      taxon: earlier.taxon, at: record.targets[index + 1]?.at ?? target.at,
    })),
  };
}

/**
 * The find as it is before anyone named it: what was seen, and nothing of what it is taken for.
 *
 * @returns undefined while no piece was started
 */
export function unnamedOf(record: FindRecord, guide: CompiledGuide): Unnamed | undefined {
  return record.pieces.some((p) => p.purpose === 'decide') ? seenOf(record, guide) : undefined;
}

function seenOf(record: FindRecord, guide: CompiledGuide): Unnamed {
  return {
    guide: { id: guide.guide.id, version: guide.version },
    kingdom: record.kingdom,
    ...(record.bodyPlan === undefined ? {} : { bodyPlan: record.bodyPlan }),
    pieces: record.pieces,
    readings: record.readings,
    withdrawals: record.withdrawals,
    skips: record.skips,
    context: record.context,
  };
}
