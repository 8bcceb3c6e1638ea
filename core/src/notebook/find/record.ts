import { z } from 'zod';
import { Context, Instant, Piece, PieceId, Reading, Skip, Withdrawal } from '../../case';
import { CharacterId, Kingdom, TaxonId } from '../../guide';
import { renamedField } from '../../lib/renamedField';
import type { Verdict } from '../../verdict';
import { Stamp } from '../stamp';

/**
 * A find on record, as it is parsed where it comes from outside: what was added to it from first to last, its
 * verdicts and the person's decisions.
 */

const id = z.string().min(1).max(64);
export const Outcome = z.enum(['leave', 'pause', 'collect']);
export type Outcome = z.infer<typeof Outcome>;
export const Choice = z.enum(['collect', 'leave', 'later']);
export type Choice = z.infer<typeof Choice>;

export const Decision = z.strictObject({
  id,
  at: Instant,
  /** What it was decided on; a find without a name has no verdict, and can only be left. */
  verdict: id.optional(),
  choice: Choice,
  reason: z.string().optional(),
  by: z.string(),
  stamp: Stamp.optional(),
});
export type Decision = z.infer<typeof Decision>;

/** What was recorded of a find's context at one time. With `changed` only these members, else the whole of it. */
export const ContextEntry = z.strictObject({
  id,
  at: Instant,
  context: Context,
  changed: z
    .array(z.enum(Object.keys(Context.shape) as [keyof Context, ...(keyof Context)[]]))
    .max(40)
    .optional(),
  stamp: Stamp.optional(),
});
export type ContextEntry = z.infer<typeof ContextEntry>;

/** Darwin Core: degrees on WGS 84, and how far in metres the true place can be from there. */
export const Position = z.strictObject({
  decimalLatitude: z.number().min(-90).max(90),
  decimalLongitude: z.number().min(-180).max(180),
  coordinateUncertaintyInMeters: z.number().positive().max(100_000).optional(),
});
export type Position = z.infer<typeof Position>;

const edit = {
  id: z
    .string()
    .min(8)
    .max(64)
    .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only'),
  at: Instant,
  by: z.string().min(1).max(64),
  withheld: z.boolean().optional(),
};
/**
 * The small things of a find that are written over: what was written last counts, and the rest stays visible.
 * `null` empties.
 */
export const Edit = z.discriminatedUnion('field', [
  z.strictObject({
    ...edit,
    field: z.literal('placeNote'),
    value: z.string().trim().min(1).max(200).nullable(),
  }),
  z.strictObject({ ...edit, field: z.literal('note'), value: z.string().trim().min(1).max(2000).nullable() }),
  /** The name that somebody typed and the guide does not know, as it was typed; the term of Darwin Core. */
  z.strictObject({
    ...edit,
    field: z.literal('verbatimIdentification'),
    value: z.string().trim().min(1).max(120).nullable(),
  }),
  z.strictObject({ ...edit, field: z.literal('position'), value: Position.nullable() }),
  /** The page of the place where it was. */
  z.strictObject({ ...edit, field: z.literal('placePage'), value: z.string().min(1).max(64).nullable() }),
  /** Who may see exactly where it was, besides the finder. */
  z.strictObject({
    ...edit,
    field: z.literal('exactFor'),
    value: z.union([z.enum(['finder', 'group']), z.array(z.string().min(1).max(64)).max(50)]),
  }),
  /** What the others of the group may see of the place. */
  z.strictObject({ ...edit, field: z.literal('others'), value: z.enum(['nothing', 'cell']) }),
]);
export type Edit = z.infer<typeof Edit> & { readonly stamp?: Stamp | undefined };
export type EditField = Edit['field'];
const anyVerdict = z.custom<Verdict>((v) => typeof v === 'object' && v !== null && 'outcome' in v);
/** What the server reached from what was on record there when a verdict arrived, where that was another. */
export const Arrival = z.strictObject({
  at: Instant,
  /** What had changed: the guide, the group's rules, or what is on record of the find. */
  because: z.enum(['guide', 'policy', 'record', 'unknown']),
  verdict: anyVerdict,
});
export type Arrival = z.infer<typeof Arrival>;
/** An adult of the group agreed that a young member collects. */
export const Consent = z.strictObject({ id, at: Instant, verdict: id, by: z.string() });
export type Consent = z.infer<typeof Consent>;

const made = {
  id: z
    .string()
    .min(8)
    .max(64)
    .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only'),
  at: Instant,
  by: z.string().min(1).max(64),
};
/**
 * Somebody is asked to look at some characters of a piece without knowing what was read or what it is taken
 * for.
 */
export const Ask = z.strictObject({
  ...made,
  /** A person of the group; or anybody who is there too, under an id of its own. */
  of: z
    .string()
    .min(1)
    .max(64)
    .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only'),
  /** What somebody is called who is no person of the group. */
  name: z.string().trim().min(1).max(80).optional(),
  /** Face to face: the answers are given on the device of whoever asks. */
  here: z.boolean(),
  piece: PieceId,
  characters: z.array(CharacterId).min(1).max(40),
});
export type Ask = z.infer<typeof Ask>;
/**
 * Somebody who was asked had the name and the readings shown instead: what they read from then on is not
 * blind.
 */
export const Reveal = z.strictObject(made);
export type Reveal = z.infer<typeof Reveal>;

/**
 * A photo or a sketch of a find: what it is, and by which its bytes are known; they go by a way of their own.
 */
export const PictureEntry = z.strictObject({
  ...made,
  picture: z.enum(['photo', 'sketch']),
  /** What was being looked at when it was made. */
  character: CharacterId.optional(),
  type: z.enum(['image/jpeg', 'image/png', 'image/webp', 'image/svg+xml']),
  /** In bytes. */
  size: z.number().int().min(1).max(6_000_000),
  /** SHA-256 of the bytes. */
  content: z.string().regex(/^[0-9a-f]{64}$/, '64 hexadecimal digits'),
});
export type PictureEntry = z.infer<typeof PictureEntry>;
/** Whoever made a picture takes it out again: its bytes are gone, and that there was one stays visible. */
export const Drop = z.strictObject({ ...made, picture: z.string().min(1).max(64) });

/**
 * A further piece of the patch was gone through: it passed, or was a stray; or the last count of all was a
 * slip of the thumb.
 */
export const Counted = z.strictObject({ ...made, result: z.enum(['passed', 'stray', 'taken-back']) });
export type Counted = z.infer<typeof Counted>;

const FindFields = z.strictObject({
  id,
  number: z.number().int().positive().optional(),
  startedAt: Instant,
  kingdom: Kingdom,
  bodyPlan: z.string().optional(),
  placeNote: z.string().optional(),
  person: z.string(),
  /** The group whose notebook it is in. */
  group: z.string().optional(),
  pieces: z.array(Piece),
  /** What it was believed to be, oldest first; the last one is the target. */
  targets: z.array(
    z.strictObject({ taxon: TaxonId, at: Instant, id: id.optional(), stamp: Stamp.optional() }),
  ),
  /** All changes of its context, oldest first, and the context they make. */
  contexts: z.array(ContextEntry).default([]),
  context: Context,
  readings: z.array(Reading),
  withdrawals: z.array(Withdrawal),
  skips: z.array(Skip),
  verdicts: z.array(
    z.strictObject({
      id,
      at: Instant,
      verdict: anyVerdict,
      arrival: Arrival.optional(),
      stamp: Stamp.optional(),
    }),
  ),
  decisions: z.array(Decision),
  edits: z
    .array(z.custom<Edit>((value) => typeof value === 'object' && value !== null && 'field' in value))
    .default([]),
  consents: z.array(Consent).default([]),
  asks: z.array(Ask).default([]),
  reveals: z.array(Reveal).default([]),
  pictures: z.array(PictureEntry).default([]),
  drops: z.array(Drop).default([]),
  counted: z.array(Counted).default([]),
});
export const FindRecord = z.preprocess(renamedField('told', 'contexts'), FindFields);
export type FindRecord = z.infer<typeof FindRecord>;

/** A line of the log of finds. */
export const FindSummary = z.strictObject({
  id,
  /** Given by the server; a find that has not been there yet has none. */
  number: z.number().int().positive().optional(),
  startedAt: Instant,
  kingdom: Kingdom,
  placeNote: z.string().optional(),
  person: z.string().optional(),
  /** The group whose notebook it is in. */
  group: z.string().optional(),
  target: z.string().optional(),
  /** A name that the guide does not know, as it was typed. */
  verbatimIdentification: z.string().optional(),
  readings: z.number().int().nonnegative(),
  outcome: Outcome.optional(),
  choice: Choice.optional(),
  /** Whoever is asked to look at some of it without knowing the answers, and has not done so yet. */
  asked: z.array(z.string()).optional(),
  /** Whoever was asked so, and has looked at all of it. */
  lookedAgain: z.array(z.string()).optional(),
  /** A verdict that was made without a connection differs from what the notebook reached. */
  differs: z.boolean().optional(),
});
export type FindSummary = z.infer<typeof FindSummary>;
