import { z } from 'zod';
import { CharacterId, Context, Instant, Kingdom, PieceId, Reading, ReadingId, TaxonId } from '@pause/core';

/** What a client can add to the log, as it arrives. Ids are made by the client, so sending twice changes nothing. */

const id = z.string().min(8).max(64).regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');
const person = z.string().min(1).max(64);

export const NewFind = z.strictObject({
  id,
  startedAt: Instant,
  kingdom: Kingdom,
  bodyPlan: z.string().min(1).max(64).optional(),
  placeNote: z.string().trim().min(1).max(200).optional(),
  person,
});
export type NewFind = z.infer<typeof NewFind>;

export const NewPiece = z.strictObject({ id: PieceId, at: Instant, purpose: z.enum(['decide', 'compare']) });
export const NewTarget = z.strictObject({ id, at: Instant, taxon: TaxonId });
export const NewContext = z.strictObject({ id, at: Instant, context: Context });
export const NewReading = Reading;
export const NewWithdrawal = z.strictObject({ id, at: Instant, reading: ReadingId });
export const NewSkip = z.strictObject({ id, at: Instant, piece: PieceId, character: CharacterId });
export const NewVerdict = z.strictObject({
  id,
  at: Instant,
  /** As the client computed it. Kept only if the server reaches the same. */
  verdict: z.looseObject({ outcome: z.enum(['leave', 'pause', 'collect']), guide: z.strictObject({ id: z.string(), version: z.string() }) }),
});
export const NewDecision = z.strictObject({
  id,
  at: Instant,
  verdict: id,
  choice: z.enum(['collect', 'leave', 'later']),
  reason: z.string().trim().min(1).max(500).optional(),
  by: person,
});
export type NewDecision = z.infer<typeof NewDecision>;
