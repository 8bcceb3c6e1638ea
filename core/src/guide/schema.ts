import { z } from 'zod';

/**
 * The guide format, version 1, as Zod schemas. A guide is plain JSON; `parseGuide` adds the checks that
 * a schema alone cannot say (that a statement names a character of the guide, and so on).
 */

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

export const State = z.strictObject({
  id: StateId,
  label: text,
  /** The organ or mark is not there; such a reading rests on absence. */
  absent: z.boolean().optional(),
  /** What a reading of this state rests on besides what every reading of its character does. */
  restsOn: z.array(SharedCause).optional(),
  /** sRGB hex of a typical swatch, for colour characters. */
  swatch: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .optional(),
  /** No second reader was asked about it yet: it never speaks against a dangerous taxon. */
  unread: z.boolean().optional(),
});
export type State = z.infer<typeof State>;

const characterCommon = {
  id: CharacterId,
  kingdom: Kingdom,
  /** The organ, `habit` for the whole, or `place`. Characters of the place never give bars. */
  organ: z.enum([
    'habit',
    'stem',
    'leaf',
    'flower',
    'fruit',
    'root',
    'cap',
    'hymenophore',
    'stipe',
    'flesh',
    'spores',
    'smell',
    'veil',
    'place',
  ]),
  name: text,
  question: text,
  how: text,
  /** Independence group: characters that are misread for the same reason share one. */
  group: slug,
  restsOn: z.array(SharedCause).optional(),
  /** Growth stages at which it can be seen; left out: all of the kingdom's. */
  stages: z.array(StageId).min(1).optional(),
  observe: ObservationMethod,
  seconds: z.number().positive().max(864_000),
  gear: z.array(slug).optional(),
  damage: Damage,
  /** Share of readings that are wrong in ordinary hands; an estimate, used for ordering only. */
  misread: z.number().gt(0).lt(0.5),
  /** Rings fall, bloom wipes off, smells go: then "absent" is always possible. */
  fades: z.boolean().optional(),
};

export const StateCharacter = z.strictObject({
  ...characterCommon,
  kind: z.enum(['states', 'colour']),
  /**
   * The states run from less to more in the order given: what lies between two possible ones is possible too.
   */
  ordered: z.boolean().optional(),
  states: z.array(State).min(2).max(32),
  /**
   * Pairs of states whose border is a matter of degree. Where a taxon shows one of a pair, the other is
   * possible too.
   */
  shades: z.array(z.tuple([StateId, StateId])).optional(),
});
export const MeasureCharacter = z.strictObject({
  ...characterCommon,
  kind: z.literal('measure'),
  unit: LengthUnit,
  /** Error of the usual instrument, in `unit`. */
  error: z.number().positive(),
});
export const CountCharacter = z.strictObject({ ...characterCommon, kind: z.literal('count') });
export const Character = z.discriminatedUnion('kind', [StateCharacter, MeasureCharacter, CountCharacter]);
export type Character = z.infer<typeof Character>;

/** Whether it is told by the nose. */
export function isSmelled({ organ, observe }: Character): boolean {
  return organ === 'smell' || observe === 'crush-and-smell';
}

/**
 * Ids of the readings that support a statement: each was made without sight of the others, and excludes all
 * that the statement excludes.
 */
const readBy = z.array(slug).min(1).optional();

const StateStatement = z.strictObject({
  character: CharacterId,
  stages: z.array(StageId).min(1).optional(),
  usual: z.array(StateId).min(1),
  occasional: z.array(StateId).optional(),
  readBy,
});
const span = z.tuple([z.number().nonnegative(), z.number().nonnegative()]);
const RangeStatement = z.strictObject({
  character: CharacterId,
  stages: z.array(StageId).min(1).optional(),
  range: z.strictObject({ usual: span, outer: span, unit: LengthUnit.optional() }),
  readBy,
});
export const Statement = z.union([StateStatement, RangeStatement]);
export type Statement = z.infer<typeof Statement>;

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

export const Part = z.strictObject({
  part: slug,
  name: text,
  use: slug,
  /** Left out: eaten. */
  route: Route.optional(),
  /** Stages at which this part is worth having for this use. */
  stages: z.array(StageId).min(1),
  before: z.array(text),
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
  /** What it gives as food, and what it stands for in a kitchen. */
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

/**
 * A form that can be told at the first look. It helps to find a target and to judge a guide; it makes no bar
 * by itself.
 */
export const BodyPlan = z.strictObject({
  id: slug,
  kingdom: Kingdom,
  name: text,
  hint: text,
  /** What every taxon of it shows as usual. */
  marks: z.array(z.strictObject({ character: CharacterId, states: z.array(StateId).min(1) })).optional(),
  /** Characters that each deadly or serious taxon of it has to state. */
  core: z.array(CharacterId).optional(),
});
export type BodyPlan = z.infer<typeof BodyPlan>;

/**
 * Somebody's account of what taxa can show, made without sight of any other. Statements name the readings
 * that support them.
 */
export const Reader = z.strictObject({ id: slug, reader: text, about: text });
export type Reader = z.infer<typeof Reader>;

export const Guide = z.strictObject({
  /**
   * In the second format a statement about a dangerous taxon excludes nothing unless two readings support it.
   * The first knows no readings.
   */
  format: z.enum(['pause-guide/1', 'pause-guide/2']),
  id: slug,
  title: text,
  licence: text,
  about: text,
  /** Packs that were laid over it, in this order, each by the hash of what it says. */
  packs: z.array(z.strictObject({ id: slug, version: z.string().regex(/^[0-9a-f]{64}$/) })).optional(),
  /** The readings that its statements name. */
  readings: z.array(Reader).optional(),
  stages: z.array(z.strictObject({ id: StageId, kingdom: Kingdom, name: text })).min(1),
  bodyPlans: z.array(BodyPlan).min(1),
  characters: z.array(Character).min(1),
  taxa: z.array(Taxon).min(1),
});
export type Guide = z.infer<typeof Guide>;
