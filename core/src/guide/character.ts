import { z } from 'zod';
import {
  StateId,
  text,
  SharedCause,
  CharacterId,
  Kingdom,
  slug,
  StageId,
  ObservationMethod,
  Damage,
  LengthUnit,
} from './ids';

/** A character: one question about a find, with its answers. */

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

/** Whether it is smelled. */
export function isSmelled({ organ, observe }: Character): boolean {
  return organ === 'smell' || observe === 'crush-and-smell';
}
