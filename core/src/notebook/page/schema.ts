import { z } from 'zod';
import { Instant, Policy } from '../../case';
import { HarmGrade, Minded, StageId, TaxonId } from '../../guide';
import { Amount } from '../../harvest/taking/amount';
import { Count } from '../../harvest/taking/count';
import { Geometry } from './geometry';
import { BatchFields, PortionFields, TasteFields } from './pantry';
import { LearnerFields, LessonFields, PracticeFields } from './practice';

/**
 * A page of the notebook that is not a find: a place, an eater, a walk, what was taken of a find, made of it
 * and became of it, or what a group agreed on. It has fields that are written over one by one, the last one
 * told standing and the rest staying visible; and a place has sightings, which only add.
 */

const id = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');
const person = z.string().min(1).max(64);
const word = z.string().trim().min(1).max(120);
const text = z.string().trim().min(1).max(2000);
const some = <T extends z.ZodType>(one: T) => z.array(one).max(60);
export const LocalDate = z.iso.date('a day like 2026-09-14');

export const Aspect = z.enum(['flat', 'n', 'ne', 'e', 'se', 's', 'sw', 'w', 'nw']);
export type Aspect = z.infer<typeof Aspect>;
export const Shade = z.enum(['open', 'half', 'shaded']);
export type Shade = z.infer<typeof Shade>;
export const Moisture = z.enum(['dry', 'fresh', 'moist', 'wet']);
export type Moisture = z.infer<typeof Moisture>;
export const Soil = z.enum([
  'calcareous',
  'acid',
  'sand',
  'loam',
  'clay',
  'peat',
  'stones',
  'rich',
  'disturbed',
]);
export const Habitat = z.enum([
  'deciduous-wood',
  'conifer-wood',
  'mixed-wood',
  'wood-edge',
  'hedge',
  'meadow',
  'pasture',
  'heath',
  'bank',
  'bog',
  'scree',
  'garden',
  'field-edge',
  'wayside',
]);
export type Habitat = z.infer<typeof Habitat>;
/** Trees, in groups that matter to fungi. */
export const Tree = z.enum(['beech', 'oak', 'birch', 'hornbeam', 'spruce', 'pine', 'larch', 'ash']);
export type Tree = z.infer<typeof Tree>;
/** What could spoil what grows there. */
export const Spoil = z.enum(['road', 'spray', 'flood', 'dogs', 'grazing', 'industry', 'dump']);
export type Spoil = z.infer<typeof Spoil>;
/** What could hurt whoever walks there. */
export const Hazard = z.enum([
  'steep',
  'tidal',
  'bog',
  'ditch',
  'wasps',
  'ticks',
  'rockfall',
  'traffic',
  'stream',
  'livestock',
]);
export type Hazard = z.infer<typeof Hazard>;

/** What may be picked somewhere: of one taxon or part, or of anything; and how much of it. */
export const Allowance = z.strictObject({
  taxon: TaxonId.optional(),
  part: z.string().min(1).max(64).optional(),
  may: z.enum(['yes', 'no']),
  /** The most that one person may take in a day. */
  perDay: z
    .strictObject({
      amount: z.number().positive().max(1e6),
      unit: z.enum(['g', 'litre', 'piece', 'handful']),
    })
    .optional(),
});
export type Allowance = z.infer<typeof Allowance>;

/**
 * Whether picking is allowed at a place, by whom, until when, and how that is known. Nothing here is the law.
 */
export const PickingRight = z.strictObject({
  may: z.enum(['yes', 'no', 'ask', 'permit']),
  /** Where a permit is needed: the last day on which it holds. Without one, it is still to be got. */
  permitUntil: LocalDate.optional(),
  permitName: word.optional(),
});
export type PickingRight = z.infer<typeof PickingRight>;

export const PlaceFields = z.strictObject({
  name: word,
  shape: Geometry,
  /** Metres above the sea. */
  elevation: z.number().min(-500).max(9000),
  aspect: Aspect,
  shade: Shade,
  moisture: Moisture,
  soil: some(Soil),
  habitat: some(Habitat),
  /** Within some twenty metres; an empty list where somebody looked and there are none. */
  trees: some(Tree),
  /** Other plants that stand there, in the person's words. */
  companions: some(word),
  spoils: some(Spoil),
  hazards: some(Hazard),
  /** What was sown, moved or cut there before, and when. */
  history: text,
  note: text,
  owner: word,
  picking: PickingRight,
  allowances: some(Allowance),
  /** Where the knowledge of owner and permission comes from, and of which day it is. */
  source: z.strictObject({ text: word, on: LocalDate }),
  /** Who is told exactly where it is, besides whoever keeps the page. */
  exactFor: z.union([z.enum(['finder', 'group']), z.array(person).max(50)]),
  /** What the others of the group are told of where it is. */
  others: z.enum(['nothing', 'cell']),
});
export type PlaceFields = z.infer<typeof PlaceFields>;

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

const positive = z.number().positive('above nothing').max(1e6);
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
  /** By which hand, where that was another than was said. */
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

/** What a group agreed on; its keepers tell it. */
export const GroupFields = z.strictObject({
  name: z.string().trim().min(1).max(80),
  ...Policy.omit({ reviews: true }).required().shape,
});
export type GroupFields = z.infer<typeof GroupFields>;

export const PAGE_FIELDS = {
  place: PlaceFields,
  eater: EaterFields,
  walk: WalkFields,
  harvest: HarvestFields,
  batch: BatchFields,
  portion: PortionFields,
  taste: TasteFields,
  practice: PracticeFields,
  learner: LearnerFields,
  lesson: LessonFields,
  group: GroupFields,
} as const;
export type PageKind = keyof typeof PAGE_FIELDS;
export const PAGE_KINDS = Object.keys(PAGE_FIELDS) as readonly PageKind[];
export type FieldsOf<K extends PageKind> = z.infer<(typeof PAGE_FIELDS)[K]>;

export const NewPage = z.strictObject({
  id,
  at: Instant,
  by: person,
  kind: z.enum([
    'place',
    'eater',
    'walk',
    'harvest',
    'batch',
    'portion',
    'taste',
    'practice',
    'learner',
    'lesson',
  ]),
  /** The group whose notebook it is in; left out: the person's own. */
  group: z.string().min(1).max(64).optional(),
});
export type NewPage = z.infer<typeof NewPage>;

/** One field of a page told anew; `null` empties it. */
export type NewField = {
  [K in PageKind]: {
    [F in keyof FieldsOf<K> & string]: {
      readonly id: string;
      readonly at: string;
      readonly by: string;
      readonly of: K;
      readonly field: F;
      readonly value: FieldsOf<K>[F] | null;
      /** The server left something out that the reader may not know. */
      readonly withheld?: boolean | undefined;
    };
  }[keyof FieldsOf<K> & string];
}[PageKind];

const told = z.strictObject({
  id,
  at: Instant,
  by: person,
  of: z.enum(PAGE_KINDS as [PageKind, ...PageKind[]]),
  field: z.string(),
  value: z.unknown(),
  withheld: z.boolean().optional(),
});
/** Parsed in one go with its value, whose problems are named below `value`. */
export const NewField = told.transform((one, context) => {
  const fields: Readonly<Record<string, z.ZodType>> = PAGE_FIELDS[one.of].shape;
  const field = Object.hasOwn(fields, one.field) ? fields[one.field] : undefined;
  if (!field) {
    context.addIssue({
      code: 'custom',
      path: ['field'],
      message: `"${one.field}" is not a field of a ${one.of}`,
    });
    return z.NEVER;
  }
  const value = field.nullable().safeParse(one.value);
  if (value.success) return { ...one, value: value.data } as NewField;
  for (const { path, message } of value.error.issues)
    context.addIssue({ code: 'custom', path: ['value', ...path], message });
  return z.NEVER;
});

/** Something seen at a place, or looked for and not seen. It needs no check, and settles nothing. */
export const Sighting = z.strictObject({
  id,
  at: Instant,
  by: person,
  /** The day it was seen; by the calendar of the place. */
  on: LocalDate,
  /**
   * `seen`; `nothing`: it was looked for; `suspected`: something dangerous may stand here, and suspicion is
   * enough to warn.
   */
  what: z.enum(['seen', 'nothing', 'suspected']),
  taxon: TaxonId,
  stages: z.array(StageId).min(1).max(12).optional(),
  /** How much stands there. */
  abundance: z.enum(['single', 'few', 'many', 'plenty']).optional(),
  /** Worth coming back for. */
  worthVisit: z.boolean().optional(),
  note: text.optional(),
});
export type Sighting = z.infer<typeof Sighting>;
