import { z } from 'zod';
import { TaxonId, StageId, HarmGrade } from '../../guide';
import { Amount } from '../../harvest/taking/amount';
import { Count } from '../../harvest/taking/count';
import { id, LocalDate, positive, text, word } from './fields';

/** What was taken of a find. */

/** What is taken of one find: how much it may be, and what it was in the end. */
export const HarvestFields = z.strictObject({
  /** The find that was decided. */
  find: id,
  place: id,
  taxon: TaxonId,
  part: z.string().min(1).max(64),
  on: LocalDate,
  /** How many stand there of which the part can be taken. */
  count: Count,
  /** It spreads where it does not belong, and nobody need spare it. */
  invader: z.boolean(),
  /** Who needs it, how often, and how much of it, ready, each time. */
  need: z.strictObject({
    eaters: z.number().int().positive().max(100),
    servings: z.number().int().positive().max(1000),
    servingGrams: positive,
    yield: z.number().gt(0, 'above 0').max(1, 'no more than 1'),
  }),
  persons: z.number().int().positive().max(100),
  hands: z.strictObject({
    basketLitres: positive.optional(),
    hours: positive.optional(),
    gramsPerHour: positive.optional(),
  }),
  /** One's own scales, in place of the usual weights. */
  weighings: z.array(z.strictObject({ amount: Amount, grams: positive })).max(60),
  /** What was taken, and as a share of what stood there. */
  taken: Amount,
  share: z.number().min(0).max(1),
  /** At which stages it stood, taken over from the find. */
  stages: z.array(StageId).min(1).max(12),
  wetness: z.enum(['dry', 'damp', 'wet']),
  /** By which hand, where that was another than is advised. */
  manner: text,
  /** The bag or basket it lies in. */
  bag: word,
  /** One whole specimen is kept aside, before anything is eaten. */
  specimen: z.boolean(),
  /**
   * Looking again at home: strays that each pass through all pieces found, those of the pass that is going
   * on, and how bad each of them was.
   */
  sorting: z.strictObject({
    pieces: z.number().int('a whole number').positive('one or more').max(100_000),
    found: z.array(z.number().int().nonnegative()).max(40),
    now: z.number().int().nonnegative().max(100_000),
    grades: z.array(HarmGrade).max(1000),
  }),
  note: text,
});

export type HarvestFields = z.infer<typeof HarvestFields>;
