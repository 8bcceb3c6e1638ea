import { z } from 'zod';
import { PieceId, ReadingId } from '../case';
import { CharacterId, HarmGrade, SharedCause, TaxonId } from '../guide';
import type { Verdict } from './decide';
import { RULES, count, haveAndNeed, word } from './rules';

/** A verdict that comes from outside, with nothing in it but what this version knows of verdicts. */

const REASONS = [...new Map(RULES.map((rule) => [rule.code, rule])).values()].map(
  ({ code, weight, parameters }) =>
    z.strictObject({ code: z.literal(code), weight: z.literal(weight), ...(parameters as z.ZodRawShape) }),
);
const AnyReason = z.discriminatedUnion('code', REASONS as [(typeof REASONS)[number], ...typeof REASONS]);

const Bar = z.strictObject({
  reading: ReadingId,
  character: CharacterId,
  group: z.string().max(80),
  causes: z.array(SharedCause).max(10),
});
const BarRow = z.strictObject({
  taxon: TaxonId,
  grade: HarmGrade,
  listed: z.boolean(),
  ...haveAndNeed,
  bars: z.array(Bar).max(40),
  otherKingdom: z.boolean(),
});

/** @see Verdict */
export const StrictVerdict = z.strictObject({
  outcome: z.enum(['leave', 'pause', 'collect']),
  guide: z.strictObject({ id: word, version: z.string().regex(/^[0-9a-f]{64}$/, '64 hexadecimal digits') }),
  target: TaxonId,
  piece: PieceId,
  reasons: z.array(AnyReason).max(2000),
  rows: z.array(BarRow).max(400),
  holds: z.strictObject({
    fitGroups: z.array(z.string().max(80)).max(200),
    groupsNeeded: count,
    strains: count,
    readings: count,
    signature: z.array(z.strictObject({ character: CharacterId, held: z.boolean() })).max(20),
  }),
  leansOn: z.array(ReadingId).max(500),
});

/** What is in a verdict from outside that does not belong there, or is missing; nothing where it is one. */
export function verdictProblems(verdict: Verdict): { readonly field: string; readonly reason: string }[] {
  const { error } = StrictVerdict.safeParse(verdict);
  return (error?.issues ?? [])
    .slice(0, 20)
    .map(({ path, message }) => ({ field: ['verdict', ...path.map(String)].join('.'), reason: message }));
}
