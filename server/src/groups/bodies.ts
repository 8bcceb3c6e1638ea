import { z } from 'zod';
import { TaxonId } from '@pause/core';

/** What may be sent about groups. */

const id = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');

const name = z.string().trim().min(1).max(80);

export const RoleName = z.enum(['keeper', 'member', 'young']);

export const NewGroup = z.strictObject({ id, name });

export const NewInvitation = z.strictObject({ role: RoleName, days: z.number().int().min(1).max(30) });

export const InvitationCode = z.strictObject({ code: z.string().trim().min(4).max(40) });

export const NewReview = z.strictObject({
  taxon: TaxonId,
  /** What the keeper read and signs. */
  content: z.string().regex(/^[0-9a-f]{64}$/, '64 hexadecimal digits'),
  note: z.string().trim().min(1).max(500).optional(),
});

export const RoleChange = z.strictObject({ role: RoleName });
