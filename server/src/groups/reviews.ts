import { z } from 'zod';
import { type Policy, TaxonId, type CompiledGuide, taxonContent } from '@pause/core';
import type { Actor } from '../access';
import { record } from '../accounts/audit';
import type { Db } from '../db';
import { invalid, Problem } from '../problem';
import type { NewReview } from './bodies';

/** What keepers have read of the guide and signed. */

/** The rules that a verdict goes by: those chosen, and what was signed. */
export function withReviews(
  policy: Policy,
  reviews: readonly { readonly taxon: TaxonId; readonly content: string }[],
): Policy {
  return reviews.length > 0
    ? { ...policy, reviews: reviews.map(({ taxon, content }) => ({ taxon, content })) }
    : policy;
}

/**
 * A keeper signs what the guide says of a taxon.
 *
 * @throws Problem 409 where the guide here says something else by now
 */
export async function signReview(
  db: Db,
  actor: Actor,
  group: string,
  review: z.infer<typeof NewReview>,
  guide: CompiledGuide,
): Promise<void> {
  const taxon = guide.taxon(review.taxon);
  if (!taxon) throw invalid([{ field: 'taxon', reason: `"${review.taxon}" is not a taxon of the guide` }]);
  if (taxonContent(taxon) !== review.content) {
    throw new Problem(409, 'other-content', 'content: the guide here says something else of this taxon', [
      { field: 'content', reason: 'read it again, then sign what it says now' },
    ]);
  }
  const row = {
    content: review.content,
    by: actor.person,
    at: new Date().toISOString(),
    note: review.note ?? null,
  };
  await db.transaction().execute(async (transaction) => {
    await transaction
      .insertInto('reviews')
      .values({ group_id: group, taxon: review.taxon, ...row })
      .onConflict((conflict) => conflict.columns(['group_id', 'taxon']).doUpdateSet(row))
      .execute();
    await record(transaction, actor.person, 'reviewed', group, {
      taxon: review.taxon,
      content: review.content,
    });
  });
}

/** A signature is taken back. */
export async function unsignReview(db: Db, actor: Actor, group: string, taxon: string): Promise<void> {
  const { numDeletedRows } = await db
    .deleteFrom('reviews')
    .where('group_id', '=', group)
    .where('taxon', '=', taxon as TaxonId)
    .executeTakeFirst();
  if (numDeletedRows === 0n) throw new Problem(404, 'no-such-review', 'Nobody has signed this taxon here.');
  await record(db, actor.person, 'review-taken-back', group, { taxon });
}
