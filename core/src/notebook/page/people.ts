import { z } from 'zod';
import { Policy } from '../../case';
import { Minded, TaxonId } from '../../guide';
import { word, text, LocalDate, id } from './fields';

/** An eater, a walk, and what a group agreed on. */

/** Somebody who eats or uses what is gathered. Only ever in the notebook of one's own. */
export const EaterFields = z.strictObject({
  name: word,
  /**
   * What has to be minded, as the guide names it (`pregnancy`, `allergy:apiaceae`, `medicine:blood-thinners`)
   * or in own words (`other:hay fever`).
   */
  cautions: z.array(Minded).max(60),
  likes: z.array(TaxonId).max(200),
  dislikes: z.array(TaxonId).max(200),
  note: text,
  /** Whether the plans count on this one eating along. */
  eatsAlong: z.boolean(),
});

export type EaterFields = z.infer<typeof EaterFields>;

export const WalkFields = z.strictObject({
  name: word,
  on: LocalDate,
  /** When it begins, by the clock of the place: `08:30`. */
  from: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time like 08:30'),
  places: z.array(id).max(60),
  targets: z.array(z.strictObject({ taxon: TaxonId, part: z.string().min(1).max(64) })).max(60),
  child: z.boolean(),
  /** Who knows where the walk goes, and by when to be back. */
  contact: word,
  backBy: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time like 17:00'),
  eaters: z.array(id).max(30),
  note: text,
});

export type WalkFields = z.infer<typeof WalkFields>;

/** What a group agreed on; its keepers tell it. */
export const GroupFields = z.strictObject({
  name: z.string().trim().min(1).max(80),
  ...Policy.omit({ reviews: true }).required().shape,
});

export type GroupFields = z.infer<typeof GroupFields>;
