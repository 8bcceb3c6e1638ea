import { z } from 'zod';
import { HarmGrade, TaxonId } from '../guide';

/**
 * The schools on which practitioners disagree, as the settings of a group. Each can only make the model
 * stricter. Whatever is left out is the model's own default.
 */
export const Policy = z.strictObject({
  /** Bars on top of the model's, by harm grade. */
  extraBars: z.partialRecord(HarmGrade.exclude(['none']), z.number().int().min(0).max(5)).optional(),
  /** More groups that must fit than eight. */
  groupsNeeded: z.number().int().min(8).max(30).optional(),
  /** The risky edible: left alone by this group, whatever is seen. */
  forgoneTaxa: z.array(TaxonId).max(500).optional(),
  /**
   * Taxa that are protected where this group gathers, confirmed by a keeper. It is not the law, and does not
   * replace looking it up.
   */
  protectedTaxa: z.array(TaxonId).max(500).optional(),
  /** Families left alone whole, by their scientific name. */
  forgoneFamilies: z
    .array(z.string().regex(/^[A-Z][a-z]+$/, 'a scientific family name'))
    .max(200)
    .optional(),
  /**
   * Whether place, season and height order candidates and raise doubts, or are left out of it altogether
   * (`ignored`). They never rule anything out either way.
   */
  place: z.enum(['orders', 'ignored']).optional(),
  /**
   * Whether the family of the likeliest candidates is shown as a hint, or each plant counts by itself
   * (`false`).
   */
  familyHint: z.boolean().optional(),
  /** Harm grades for which a second person must have looked, blind, at what the bars lean on. */
  secondLook: z
    .array(HarmGrade.exclude(['none']))
    .max(3)
    .optional(),
  /**
   * The same for listed deadly lookalikes that no expert has reviewed. In a group it is on unless turned off.
   */
  secondLookWhenUnreviewed: z.boolean().optional(),
  /**
   * Harm grades of listed lookalikes of which whoever decides must have earned the pair: practised well,
   * lately, and with nothing dangerous in between.
   */
  earned: z
    .array(HarmGrade.exclude(['none']))
    .max(3)
    .optional(),
  /**
   * Taxa that a keeper of the group has reviewed, each with the content that was signed (SHA-256). A
   * signature is worth nothing any more once the taxon says something else.
   */
  reviews: z
    .array(
      z.strictObject({
        taxon: TaxonId,
        content: z.string().regex(/^[0-9a-f]{64}$/, '64 hexadecimal digits'),
      }),
    )
    .max(2000)
    .optional(),
});
export type Policy = z.infer<typeof Policy>;

/** What a group begins with. A person alone has no second person to ask, and the verdict says so. */
export const GROUP_POLICY: Policy = { secondLookWhenUnreviewed: true };
