import { z } from 'zod';
import { Instant } from '../../case';
import { TaxonId, StageId } from '../../guide';
import { id, person, LocalDate, text } from './fields';
import { HarvestFields } from './harvest';
import { BatchFields, PortionFields, TasteFields } from './pantry';
import { EaterFields, WalkFields, GroupFields } from './people';
import { PlaceFields } from './placeFields';
import { PracticeFields, LearnerFields, LessonFields } from './practice';

/** The kinds of page, each with the schema of its fields. */
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

/** The kinds of page that somebody begins: a group has its page from the beginning. */
type Begun = Exclude<PageKind, 'group'>;
const BEGUN = PAGE_KINDS.filter((kind): kind is Begun => kind !== 'group');

export const NewPage = z.strictObject({
  id,
  at: Instant,
  by: person,
  kind: z.enum(BEGUN),
  /** The group whose notebook it is in; left out: the person's own. */
  group: z.string().min(1).max(64).optional(),
});

export type NewPage = z.infer<typeof NewPage>;

/** A change of one field of a page; `null` empties it. */
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

const fieldBase = z.strictObject({
  id,
  at: Instant,
  by: person,
  of: z.enum(PAGE_KINDS as [PageKind, ...PageKind[]]),
  field: z.string(),
  value: z.unknown(),
  withheld: z.boolean().optional(),
});

/** Parsed in one go with its value, whose problems are named below `value`. */
export const NewField = fieldBase.transform((one, context) => {
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
  /** How much grows there. */
  abundance: z.enum(['single', 'few', 'many', 'plenty']).optional(),
  /** Worth coming back for. */
  worthVisit: z.boolean().optional(),
  note: text.optional(),
});

export type Sighting = z.infer<typeof Sighting>;
