import { z } from 'zod';
import { slug, TaxonId, text } from '../ids';
import { Character, Statement } from '../kinds';
import { Reader } from '../schema';
import { Taxon } from '../taxon';

/** A statement put right, and who of the keepers answers for it. */
export const Correction = z.strictObject({
  taxon: TaxonId,
  statement: Statement,
  reviewedBy: text.optional(),
});
export type Correction = z.infer<typeof Correction>;

/**
 * What local people lay over a guide: taxa and names it lacks, lookalikes of their valley, statements put
 * right.
 */
export const Pack = z.strictObject({
  format: z.literal('pause-pack/1'),
  id: slug,
  title: text,
  licence: text,
  about: text,
  /** The id of the guide it is applied to. */
  over: slug,
  characters: z.array(Character).optional(),
  taxa: z.array(Taxon).optional(),
  /** By taxon: names in further languages, or further names. */
  names: z.record(TaxonId, z.record(z.string().regex(/^[a-z]{2}$/), z.array(text).min(1))).optional(),
  /** By target: what else it is taken for here. */
  lookalikes: z.record(TaxonId, z.array(TaxonId).min(1)).optional(),
  statements: z.array(Correction).optional(),
  /** The readings that its own statements name. */
  readings: z.array(Reader).optional(),
});
export type Pack = z.infer<typeof Pack>;
