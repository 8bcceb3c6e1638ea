import { z } from 'zod';
import { Instant } from '../../case';
import { TaxonId } from '../../guide';
import { Cooking, Method } from '../../harvest/preparing/names';

/** What is made of what was gathered, what became of it, and how a first taste went. */

const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');
const word = z.string().trim().min(1).max(120);
const text = z.string().trim().min(1).max(2000);
const day = z.iso.date('a day like 2026-09-14');
const positive = z.number('a number').positive('above nothing').max(1e6);
const part = z.string().min(1).max(64);

/** As it is kept: by weight, by volume, or in pieces such as jars. */
export const KeptAmount = z.strictObject({ amount: positive, unit: z.enum(['g', 'ml', 'piece']) });
export type KeptAmount = z.infer<typeof KeptAmount>;

/** Something that something was made of, and how much of it went in; left out: all that there was. */
export const Source = z.strictObject({
  of: z.enum(['find', 'harvest', 'batch']),
  id,
  amount: KeptAmount.optional(),
});
export type Source = z.infer<typeof Source>;

const share = z.number('a number').min(0, 'from 0 to 1').max(1, 'from 0 to 1');
const percent = z.number('a number').min(0, 'from 0 to 100').max(100, 'from 0 to 100');
export const BatchFigures = z.strictObject({
  sugarShare: share.optional(),
  acid: percent.optional(),
  saltShare: share.optional(),
  strength: percent.optional(),
  fresh: z.boolean().optional(),
  reused: z.boolean().optional(),
  /** What was put to what, as it was weighed and measured. */
  plantGrams: positive.optional(),
  liquidMl: positive.optional(),
  liquidGrams: positive.optional(),
  waterMl: z.number().nonnegative('nothing or more').max(1e6).optional(),
  sugarGrams: positive.optional(),
  saltGrams: positive.optional(),
  ratio: positive.optional(),
  spirit: percent.optional(),
  vinegar: percent.optional(),
});
export type BatchFigures = z.infer<typeof BatchFigures>;
export const CookedAs = z.strictObject({
  how: Cooking,
  minutes: z.number().nonnegative('nothing or more').max(2000).optional(),
  poured: z.number().int('a whole number').min(0).max(20).optional(),
});

export const BatchFields = z.strictObject({
  name: word,
  from: z.array(Source).min(1).max(60),
  /** What is in it, taken over from what it was made of. */
  contents: z.array(z.strictObject({ taxon: TaxonId, part })).max(60),
  method: Method,
  on: day,
  /** Steps that were done, or left out and why. */
  steps: z
    .array(z.strictObject({ step: z.string().min(1).max(64), at: Instant, leftOut: text.optional() }))
    .max(200),
  /** Steps that somebody added, in their words. */
  added: z.array(z.strictObject({ id, text: word })).max(40),
  figures: BatchFigures,
  cooked: CookedAs,
  /** While it dries: all of it, or blades and ribs apart. */
  weighings: z
    .array(z.strictObject({ at: Instant, what: z.enum(['all', 'blade', 'rib']), grams: positive }))
    .max(200),
  /** Into the jar while it is conditioned: whether damp had come back. */
  looks: z.array(z.strictObject({ at: Instant, damp: z.boolean() })).max(100),
  timers: z
    .array(
      z.strictObject({
        id,
        step: z.string().min(1).max(64),
        startedAt: Instant,
        minutes: z.number().positive('above nothing').max(600_000),
      }),
    )
    .max(60),
  /** Levels of a pot that boils down. */
  levels: z.array(z.strictObject({ at: Instant, level: positive })).max(40),
  target: positive,
  made: KeptAmount,
  readyOn: day,
  bestBefore: day,
  /** Nothing is left of it, or nobody is to have it. */
  ended: z.strictObject({ on: day, why: z.enum(['used-up', 'thrown-out', 'spoilt']) }),
  /** Somebody saw that it descends from something recalled, and what they did about it. */
  recalled: z.strictObject({
    at: Instant,
    because: z.string().min(1).max(400),
    did: z.enum(['held', 'discarded', 'looked-again']),
  }),
  note: text,
});
export type BatchFields = z.infer<typeof BatchFields>;

/** Something that was eaten, used on the skin, given away or thrown out. */
export const PortionFields = z.strictObject({
  what: z.enum(['meal', 'outward', 'gift', 'thrown-out']),
  at: Instant,
  of: z.array(Source).min(1).max(60),
  /** By whom, or on whom; for a gift, who gave it is the one who tells. */
  who: z.array(word).max(30),
  dish: word,
  cooked: CookedAs,
  /** Who has it now, to be warned if something is wrong with it. */
  toWhom: word,
  /** What was felt after it, and when; empty where nobody felt anything. */
  signs: z.array(z.strictObject({ at: Instant, text: word })).max(60),
  note: text,
});
export type PortionFields = z.infer<typeof PortionFields>;

export const Sign = z.enum(['mouth', 'skin', 'stomach', 'head', 'breath', 'other']);
export type Sign = z.infer<typeof Sign>;
/** The first time that somebody has something new. Only ever in the notebook of one's own. */
export const TasteFields = z.strictObject({
  taxon: TaxonId,
  part,
  eater: word,
  of: Source,
  at: Instant,
  signs: z.array(z.strictObject({ at: Instant, sign: Sign, text: word.optional() })).max(60),
  /** When somebody was asked and had felt nothing so far. */
  asked: z.array(Instant).max(60),
  ended: z.strictObject({ at: Instant, result: z.enum(['nothing-felt', 'signs', 'broken-off']) }),
  /** One's own trial, apart from tradition and study. */
  helped: z.strictObject({ did: z.enum(['helped', 'nothing', 'worse']), text: word }),
  note: text,
});
export type TasteFields = z.infer<typeof TasteFields>;
