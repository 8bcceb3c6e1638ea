import { z } from 'zod';
import { TaxonId } from '../../guide';
import { LocalDate, word, some, text, person } from './fields';
import { Geometry } from './geometry';

/** A place. */

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
  /** Who may see exactly where it is, besides whoever keeps the page. */
  exactFor: z.union([z.enum(['finder', 'group']), z.array(person).max(50)]),
  /** What the others of the group may see of where it is. */
  others: z.enum(['nothing', 'cell']),
});

export type PlaceFields = z.infer<typeof PlaceFields>;
