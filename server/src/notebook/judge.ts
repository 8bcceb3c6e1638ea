import {
  canonicalJson,
  caseOf,
  decide,
  type Case,
  type CompiledGuide,
  type FindRecord,
  type Policy,
  type Verdict,
} from '@pause/core';
import { CaseError, parseCase } from '@pause/core/case/parse';
import type { Arrival } from '@pause/core/notebook';
import { invalid } from '../problem';

/**
 * The verdict that a record gives under this guide and these rules.
 *
 * @throws Problem 422 where it gives none yet
 */
export function decideRecord(
  record: FindRecord,
  guide: CompiledGuide,
  policy?: Policy,
): { find: Case; verdict: Verdict } {
  const raw = caseOf(record, guide, policy);
  if (!raw) throw invalid([{ field: 'find', reason: 'it has no target or no piece yet' }]);
  try {
    const find = parseCase(raw, guide);
    return { find, verdict: decide(guide, find) };
  } catch (error) {
    if (error instanceof CaseError) throw invalid(error.problems);
    throw error;
  }
}

const apartFromVersion = (verdict: Verdict) => canonicalJson({ ...verdict, guide: { id: verdict.guide.id } });

/**
 * What this server reaches where a verdict arrives: nothing to say where it is the same, whatever the version
 * of the guide is called; else the verdict of what is on record here, and what had changed.
 */
export function onArrival(
  sent: Verdict,
  record: FindRecord,
  guide: CompiledGuide,
  policy: Policy | undefined,
  at: string,
): Arrival | undefined {
  const { verdict } = decideRecord(record, guide, policy);
  if (apartFromVersion(sent) === apartFromVersion(verdict)) return undefined;
  if (sent.guide.version !== guide.version) return { at, because: 'guide', verdict };
  const alone = policy && apartFromVersion(sent) === apartFromVersion(decideRecord(record, guide).verdict);
  return { at, because: alone ? 'policy' : 'record', verdict };
}

/** What this server reaches where a verdict arrives, here or in a thread of its own. */
export type Judge = (
  sent: Verdict,
  record: FindRecord,
  policy: Policy | undefined,
  at: string,
) => Promise<Arrival | undefined>;
/** Without a thread: for whoever keeps nobody waiting. */
export const judgeHere =
  (guide: CompiledGuide): Judge =>
  (sent, record, policy, at) =>
    Promise.resolve(onArrival(sent, record, guide, policy, at));
