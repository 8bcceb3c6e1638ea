import { z } from 'zod';
import { ANSWER_VALUES, CharacterId, Kingdom, Minded, StageId, TaxonId, type StateId } from '../guide';
import { Policy } from './policy';

/** A find as the deciding function sees it. Everything is data; nothing is looked up elsewhere. */

const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');
export const PieceId = id.brand<'PieceId'>();
export type PieceId = z.infer<typeof PieceId>;
export const ReadingId = id.brand<'ReadingId'>();
export type ReadingId = z.infer<typeof ReadingId>;

/** An instant, ISO 8601 in UTC, as `Date.prototype.toISOString` writes it; so texts sort as times do. */
export const Instant = z.iso.datetime({ precision: 3, error: 'an instant like 2026-09-14T08:30:00.000Z' });

export const Sureness = z.enum(['sure', 'fairly', 'guess']);
export type Sureness = z.infer<typeof Sureness>;

/** What was seen: an answer of the character's kind, or that it could not be seen. */
export const ReadingValue = z.discriminatedUnion('kind', [
  ...ANSWER_VALUES,
  z.strictObject({ kind: z.literal('cant-tell') }),
]);
export type ReadingValue = z.infer<typeof ReadingValue>;

/** The states that were read: several where the person was torn between them, none of a number. */
export const statesRead = (value: ReadingValue | undefined): readonly StateId[] =>
  value && 'states' in value ? value.states : [];

/** Whether states were read both times, and none of them twice. */
export function differInStates(one: ReadingValue | undefined, other: ReadingValue | undefined): boolean {
  const [a, b] = [statesRead(one), statesRead(other)];
  return a.length > 0 && b.length > 0 && !a.some((state) => b.includes(state));
}

/** The number that was read, in the unit of the value. */
export const numberRead = (value: ReadingValue | undefined): number | undefined =>
  value && 'number' in value ? value.number : undefined;

/** What a person saw on one piece. Never edited; a later look is kept beside it. */
export const Reading = z.strictObject({
  id: ReadingId,
  piece: PieceId,
  character: CharacterId,
  value: ReadingValue,
  sureness: Sureness,
  by: id,
  at: Instant,
  /** Made without knowing the answer that was there already. */
  blind: z.boolean().optional(),
  /** Who looked along on the same device and gave their word that they see it so too. */
  together: z.array(id).max(10).optional(),
  /** Where or how it was looked at, in the person's words. */
  note: z.string().max(500).optional(),
});
export type Reading = z.infer<typeof Reading>;

export const Piece = z.strictObject({
  id: PieceId,
  startedAt: Instant,
  /**
   * `decide`: the verdict is about the newest of these. `compare`: looked at beside it, can only lower it.
   */
  purpose: z.enum(['decide', 'compare']),
});
export type Piece = z.infer<typeof Piece>;

/** Taking back a slip of the finger; the reading stays on record. */
export const Withdrawal = z.strictObject({ reading: ReadingId, at: Instant });
export type Withdrawal = z.infer<typeof Withdrawal>;

export const Skip = z.strictObject({ character: CharacterId, piece: PieceId, at: Instant });
export type Skip = z.infer<typeof Skip>;

/** Of the wanted part. `ripe` and `unripe` are said of fruits and cones. */
export const Condition = z.enum([
  'fresh',
  'ripe',
  'unripe',
  'wilted',
  'woody',
  'insect-eaten',
  'frosted',
  'rotten',
]);
export type Condition = z.infer<typeof Condition>;

export const Permission = z.enum(['allowed', 'forbidden', 'unknown']);
export type Permission = z.infer<typeof Permission>;
export const Contamination = z.enum([
  'none-seen',
  'sprayed',
  'roadside',
  'flooded',
  'fouled',
  'polluted',
  'unknown',
]);
export type Contamination = z.infer<typeof Contamination>;
export const Protection = z.enum(['allowed', 'protected', 'unknown']);

/** How many stand there, by order of magnitude: 2 to 9, 10 to 99, 100 to 999, 1000 and more. */
export const PatchSize = z.enum(['few', 'tens', 'hundreds', 'thousands']);
export type PatchSize = z.infer<typeof PatchSize>;

export const Eater = z.strictObject({
  name: z.string().trim().min(1).max(80),
  cautions: z.array(Minded).max(30),
});
export type Eater = z.infer<typeof Eater>;

/** A name that stays open: a genus or family only, or one of two or more. */
export const OpenName = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.enum(['genus', 'family']), name: z.string().trim().min(1).max(80) }),
  z.strictObject({ kind: z.literal('one-of'), taxa: z.array(TaxonId).min(2).max(10) }),
]);
export type OpenName = z.infer<typeof OpenName>;

/** Around the specimen. A member left out has not been asked yet. */
export const Context = z.strictObject({
  stages: z.array(StageId).min(1).optional(),
  condition: Condition.optional(),
  /** Of a plant whose flowers are of one sex. */
  sex: z.enum(['female', 'male', 'both']).optional(),
  part: z.string().min(1).max(64).optional(),
  use: z.string().min(1).max(64).optional(),
  permission: Permission.optional(),
  contamination: Contamination.optional(),
  /** What the person found out of the local law on this taxon. */
  protection: Protection.optional(),
  /** The person sees other plants twined in, or a mixed cluster. */
  growsMixed: z.boolean().optional(),
  /** Dangerous ones that were seen or suspected where this grows, by whoever recorded the place. */
  neighbours: z.array(TaxonId).max(40).optional(),
  /** All that was read hangs together with the wanted part. */
  tracedToBase: z.boolean().optional(),
  /** Who will eat or use it, each with what has to be minded. */
  eaters: z.array(Eater).max(30).optional(),
  /** The person goes no further than this: recorded, and never collected. */
  openName: OpenName.optional(),
  /**
   * How well whoever decides knows the target from some of its lookalikes, by what they practised: the day it
   * was last, and whether it is earned.
   */
  practised: z
    .array(
      z.strictObject({
        taxon: TaxonId,
        last: z.iso.date('a day like 2026-09-14').optional(),
        earned: z.boolean(),
      }),
    )
    .max(60)
    .optional(),
  /** Gear at hand, gloves included; left out: everything. It only matters for what is proposed. */
  gear: z.array(z.string().min(1).max(64)).max(30).optional(),
  patchSize: PatchSize.optional(),
  /** It is dense and was not dug before. */
  patchThrives: z.boolean().optional(),
  /**
   * One may be dug up for looking: owner and law allow it, ten or more stand there, and the patch thrives.
   * Left out: nothing is dug. It only matters for what is proposed.
   */
  mayDig: z.boolean().optional(),
  /** A cold, a smoker's day: what is smelled is not proposed. */
  cannotSmell: z.boolean().optional(),
  /**
   * Calendar month of the find, 1 to 12, and its height above the sea in metres: they order and raise doubts.
   */
  month: z.number().int().min(1).max(12).optional(),
  elevation: z.number().min(-500).max(9000).optional(),
});
export type Context = z.infer<typeof Context>;

export const Case = z.strictObject({
  /** `version` pins a content hash; without it, whatever version of that guide is at hand. */
  guide: z.strictObject({
    id: z.string(),
    version: z
      .string()
      .regex(/^[0-9a-f]{64}$/)
      .optional(),
  }),
  kingdom: Kingdom,
  bodyPlan: z.string().min(1).max(64).optional(),
  target: TaxonId,
  /** Targets given up on this find, with the instant each was left. */
  earlierTargets: z.array(z.strictObject({ taxon: TaxonId, at: Instant })).optional(),
  pieces: z.array(Piece).min(1).max(50),
  readings: z.array(Reading).max(500),
  withdrawals: z.array(Withdrawal).max(500).optional(),
  skips: z.array(Skip).max(500).optional(),
  context: Context,
  /** The group's rules; left out: those of a person alone. */
  policy: Policy.optional(),
});
export type Case = z.infer<typeof Case>;

/** A find that nobody has put a name to yet. */
export const Unnamed = Case.omit({ target: true, earlierTargets: true });
export type Unnamed = z.infer<typeof Unnamed>;
