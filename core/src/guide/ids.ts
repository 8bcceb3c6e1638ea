import { z } from 'zod';

/** Names and fixed lists of the guide format. */

/** An id: lower-case words joined by "-" or ".". */
export const slug = z.string().regex(/^[a-z0-9]+([.-][a-z0-9]+)*$/, 'lower-case words joined by "-" or "."');

/** Something to be read. */
export const text = z.string().trim().min(1).max(2000);

export const TaxonId = slug.brand<'TaxonId'>();
export type TaxonId = z.infer<typeof TaxonId>;
export const CharacterId = slug.brand<'CharacterId'>();
export type CharacterId = z.infer<typeof CharacterId>;
export const StateId = slug.brand<'StateId'>();
export type StateId = z.infer<typeof StateId>;
export const StageId = slug.brand<'StageId'>();
export type StageId = z.infer<typeof StageId>;
export const Kingdom = z.enum(['Fungi', 'Plantae']);
export type Kingdom = z.infer<typeof Kingdom>;

/** How much harm a mistake does, mildest first; it sets the number of bars (`BARS_NEEDED`). */
export const HarmGrade = z.enum(['none', 'unpleasant', 'serious', 'deadly']);

export type HarmGrade = z.infer<typeof HarmGrade>;

/**
 * What readings can rest on together beyond their own group. Each is shared by all readings that rest on it.
 */
export const SharedCause = z.enum(['colour', 'smell', 'number', 'absence', 'outline']);

export type SharedCause = z.infer<typeof SharedCause>;

export const ObservationMethod = z.enum([
  'look',
  'touch',
  'rub',
  'crush-and-smell',
  'water',
  'snap',
  'measure',
  'cut',
  'dig',
  'print',
  'wait',
]);

export type ObservationMethod = z.infer<typeof ObservationMethod>;

/** What the observation takes from the specimen: nothing, a small part, one organ, or its life. */
export const Damage = z.enum(['none', 'slight', 'part', 'whole']);

export type Damage = z.infer<typeof Damage>;

/** How something reaches the body. `none`: it does not, as with dye or cord. */
export const Route = z.enum(['eaten', 'skin', 'wound', 'inhaled', 'ear', 'smoked', 'none']);

export type Route = z.infer<typeof Route>;

/** Whom a caution is for; allergies and medicines name their family or class after a colon. */
export const CautionFor = z
  .string()
  .regex(
    /^(everyone|pregnancy|child|ulcer|blood-pressure|heart|diabetes|gout|kidney-disease|liver-disease|kidney-stones|mineral-shortage|alcohol|skin|(allergy|medicine):[a-z]+(-[a-z]+)*)$/,
    'a caution of the format, like "pregnancy" or "allergy:apiaceae"',
  );

/** What somebody has to mind: as a guide names it, or after `other:` in own words, which no guide knows. */
export const Minded = z.union([
  CautionFor,
  z.string().regex(/^other:\S[^\n]{0,79}$/, 'own words after "other:", up to 80 characters'),
]);

export const LengthUnit = z.enum(['mm', 'cm', 'm', 'in']);
export type LengthUnit = z.infer<typeof LengthUnit>;
