import { z } from 'zod';
import { Instant, Sureness } from '../../case';
import { CharacterId, HarmGrade, StageId, StateId, TaxonId } from '../../guide';

/** What somebody practised, how they want to, and lessons made for others. */

const id = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');
const word = z.string().trim().min(1).max(120);
const text = z.string().trim().min(1).max(2000);
const day = z.iso.date('a day like 2026-09-14');
/**
 * A pair, a character, a term of it, or the stages of a taxon: `pair:a:b`, `feature:cap.shape`,
 * `term:cap.shape:bell`, `stages:a`.
 */
export const CardId = z
  .string()
  .max(200)
  .regex(
    /^(pair:[a-z0-9.-]+:[a-z0-9.-]+|feature:[a-z0-9.-]+|term:[a-z0-9.-]+:[a-z0-9.-]+|stages:[a-z0-9.-]+)$/,
    'a card such as "pair:a:b" or "feature:cap.shape"',
  );
export type CardId = z.infer<typeof CardId>;

const looked = { character: CharacterId, shown: StateId, read: StateId, sureness: Sureness };
/** One thing that was asked, and how it went. */
export const PracticeAnswer = z.strictObject({
  card: CardId,
  at: Instant,
  right: z.boolean(),
  sureness: Sureness,
  look: z.strictObject(looked).optional(),
});
export type PracticeAnswer = z.infer<typeof PracticeAnswer>;

/** A find of the practice wood, so that it can be met again as it was. */
export const PracticeFind = z.strictObject({
  at: Instant,
  target: TaxonId,
  was: TaxonId,
  stage: StageId,
  seed: z.number().int().nonnegative().max(1e9),
  strain: z.number().int().nonnegative().max(20),
  decided: z.enum(['collect', 'leave', 'not-yet']),
  points: z.number().min(-1000).max(1000),
  risked: HarmGrade,
  /** The worst that had not all its bars. */
  open: TaxonId.optional(),
  looks: z.array(z.strictObject(looked)).max(60),
});
export type PracticeFind = z.infer<typeof PracticeFind>;

/** A sitting of a few minutes. Only ever in the notebook of one's own. */
export const PracticeFields = z.strictObject({
  on: day,
  what: z.enum(['walk', 'drill', 'lesson']),
  /** The page of the lesson that it was. */
  lesson: id,
  answers: z.array(PracticeAnswer).max(120),
  finds: z.array(PracticeFind).max(20),
});
export type PracticeFields = z.infer<typeof PracticeFields>;

/** How somebody wants to practise. Only ever in the notebook of one's own. */
export const LearnerFields = z.strictObject({
  /** A day. */
  minutes: z.number().int('a whole number').min(1, 'from 1 to 30').max(30, 'from 1 to 30'),
  /** A set for a child, which ends with showing it to an adult. */
  gentle: z.boolean(),
  /** Groups in whose picture what is confused counts along, without a name. */
  countsFor: z.array(z.string().min(1).max(64)).max(20),
});
export type LearnerFields = z.infer<typeof LearnerFields>;

/** Pictures travel with the lesson; each as small as a card needs it. */
const PICTURE_LENGTH = 120_000;
export const LessonPhoto = z.strictObject({
  taxon: TaxonId,
  image: z
    .string()
    .max(PICTURE_LENGTH, 'a picture of no more than some 90 kB')
    .regex(
      /^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/,
      'a JPEG, PNG or WebP picture as a data address',
    ),
  caption: word.optional(),
});
export const LessonPair = z.strictObject({ target: TaxonId, other: TaxonId, note: text.optional() });
/** A lesson that somebody made: pairs to be practised, with what they have to say of them. */
export const LessonFields = z.strictObject({
  title: word,
  note: text,
  pairs: z.array(LessonPair).max(40),
  photos: z.array(LessonPhoto).max(5),
});
export type LessonFields = z.infer<typeof LessonFields>;
