import { z } from 'zod';
import { slug, CharacterId, StageId, HarmGrade, text, Route, CautionFor, TaxonId, Kingdom } from './ids';
import { span, Statement } from './kinds';

/** A taxon: its names, statements, harm, parts, cautions and season. */

export const Harm = z.strictObject({
  grade: HarmGrade,
  syndrome: text.optional(),
  /** Hours from eating to the first signs, earliest and latest usual. */
  onsetHours: span.optional(),
  effects: text.optional(),
  /** What touching it does, what its sap does, and what sunlight does to skin that its sap has reached. */
  touch: text.optional(),
  sap: text.optional(),
  sun: text.optional(),
  /** Where it does less harm, or more, by another route than eating. Left out: as eaten. */
  byRoute: z.partialRecord(Route, HarmGrade).optional(),
});

export type Harm = z.infer<typeof Harm>;

/** Whether it harms anybody, by any route. */
export function harms({ grade, byRoute }: Harm): boolean {
  return grade !== 'none' || Object.values(byRoute ?? {}).some((by) => by !== 'none');
}

const celsius = z.number().min(-40).max(50);

/**
 * One thing that is done with a part before it is used. `safety`: it keeps somebody from harm, as heat does and
 * looking again, while frost and toughness do not. `cooking`: it is done in the pot, so it is not asked of what
 * is only dried. A text alone is taken for safety, and is asked for at once.
 */
const Preparation = z.union([
  text,
  z.strictObject({ text, safety: z.boolean().optional(), cooking: z.boolean().optional() }),
]);
type Preparation = z.infer<typeof Preparation>;

export const Part = z.strictObject({
  part: slug,
  name: text,
  use: slug,
  /** Left out: eaten. */
  route: Route.optional(),
  /** Stages at which this part is worth having for this use. */
  stages: z.array(StageId).min(1),
  /** What is done with it before it is used. */
  before: z.array(Preparation),
  /** Worth having only after a night as cold as that: some fruit is sweet after frost. */
  afterFrost: celsius.optional(),
  /**
   * Never raw: for so many minutes at least where references name a number, and with the water poured away.
   * Left out: also raw, except of fungi.
   */
  cook: z
    .strictObject({ minutes: z.number().positive().max(240).optional(), pourAway: z.boolean().optional() })
    .optional(),
  /** Sour enough by itself that nothing deadly grows in a closed jar of it: a pH below 4.6. */
  acid: z.boolean().optional(),
  /** What must never be made of it. */
  never: z.array(z.strictObject({ method: slug, why: text })).optional(),
});

export type Part = z.infer<typeof Part>;

/** What is done with a part before it is used. */
export const preparationsOf = ({
  before,
}: Pick<Part, 'before'>): { readonly text: string; readonly safety: boolean; readonly cooking: boolean }[] =>
  before.map((one: Preparation) =>
    typeof one === 'string'
      ? { text: one, safety: true, cooking: false }
      : { text: one.text, safety: one.safety === true, cooking: one.cooking === true },
  );

/**
 * `rules-out`: not for such a person. `ask`: only after a pharmacist or doctor said so. `note`: to be known.
 */
export const Caution = z.strictObject({
  for: CautionFor,
  level: z.enum(['rules-out', 'ask', 'note']),
  routes: z.array(Route).min(1).optional(),
  text,
});

export type Caution = z.infer<typeof Caution>;
const month = z.number().int().min(1).max(12);

/**
 * When a stage is usual: between two heights (metres above the sea), from one month to another; 11 to 2 runs
 * over the year's end.
 */
export const Phenology = z.strictObject({
  stage: StageId,
  elevation: z.tuple([z.number().min(-400).max(9000), z.number().min(-400).max(9000)]),
  months: z.tuple([month, month]),
});

export type Phenology = z.infer<typeof Phenology>;

/**
 * What a stage waits for, counted from 1 January at the place itself: the warmth summed up over a base, then
 * a cool spell, then a soaking rain, as far as each is named; and what ends it, whichever comes first. Of
 * general phenology, so only where to begin: what is seen at a place corrects it.
 */
export const Need = z.strictObject({
  stage: StageId,
  begins: z.strictObject({
    /** Degree-days over `base`, and how far plants differ from that as a share of it (standard deviation). */
    warmth: z
      .strictObject({ base: celsius, sum: z.number().positive().max(6000), spread: z.number().gt(0).lt(1) })
      .optional(),
    /** The mean temperature of ten days, in degrees. */
    cool: z.strictObject({ below: celsius }).optional(),
    /**
     * So much rain within so many days; it comes `lag` days later, give or take `spread` (standard
     * deviation).
     */
    rain: z
      .strictObject({
        millimetres: z.number().positive().max(500),
        days: z.number().int().min(1).max(30),
        lag: z.number().min(0).max(60),
        spread: z.number().min(0).max(30),
      })
      .optional(),
  }),
  ends: z.strictObject({
    warmth: z.strictObject({ sum: z.number().positive().max(9000) }).optional(),
    /** A night as cold as that. */
    frost: z.strictObject({ below: celsius }).optional(),
    /** Days after it began. */
    days: z.number().int().min(1).max(300).optional(),
  }),
});

export type Need = z.infer<typeof Need>;

/** How it lives on, and with that what taking a part costs it. */
export const Regrowth = z.strictObject({
  lifeForm: z.enum(['annual', 'biennial', 'perennial', 'clonal', 'shrub', 'tree', 'mycelium']),
  text,
});

export type Regrowth = z.infer<typeof Regrowth>;

/** What it is said to be good for, and who says so; never a dose. */
export const Benefit = z.strictObject({ source: z.enum(['tradition', 'trial', 'study']), text });

export const Taxon = z.strictObject({
  id: TaxonId,
  scientificName: text,
  scientificNameAuthorship: text,
  family: text,
  kingdom: Kingdom,
  bodyPlan: slug,
  /** By ISO 639-1 language code; the first of a language is the one shown. */
  vernacularNames: z.record(z.string().regex(/^[a-z]{2}$/), z.array(text).min(1)),
  harm: Harm,
  stages: z.array(StageId).min(1),
  /** Twines, or grows in mixed clusters: then "traced to one base" is asked. */
  growsMixed: z.boolean().optional(),
  parts: z.array(Part),
  /** Parts that harm although another part of the same taxon is wanted. */
  harmfulParts: z.array(z.strictObject({ part: slug, name: text, why: text })).optional(),
  lookalikes: z.array(TaxonId),
  signature: z.array(CharacterId),
  /** More groups that must fit than the model's eight; never fewer. */
  groupsNeeded: z.number().int().min(8).max(20).optional(),
  /** Relatives that this guide does not cover; the verdict repeats them. */
  nearRelatives: z.array(text),
  cautions: z.array(Caution),
  /** So alike that nobody should rely on telling them apart: it is never collected, and this says why. */
  nearDoubles: z.array(z.strictObject({ taxon: TaxonId, why: text })).optional(),
  phenology: z.array(Phenology).optional(),
  needs: z.array(Need).max(12).optional(),
  /** What it gives as food, and what it replaces in a kitchen. */
  food: z.strictObject({ gives: text, replaces: text }).optional(),
  benefits: z.array(Benefit).optional(),
  /** Uses that are not food; a part that is named here is not wanted for it by this guide. */
  otherUses: z.array(z.strictObject({ part: slug, use: text, route: Route })).optional(),
  regrowth: Regrowth.optional(),
  /** `often`: protected in many places, so one's own law is to be looked up. */
  protection: z.enum(['none', 'often']),
  review: z.strictObject({ reviewedBy: text.nullable() }),
  statements: z.array(Statement),
});

export type Taxon = z.infer<typeof Taxon>;
