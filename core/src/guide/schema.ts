import { z } from 'zod';
import { slug, Kingdom, text, CharacterId, StateId, StageId } from './ids';
import { Character } from './kinds';
import { Taxon } from './taxon';

/**
 * A form that can be seen at the first look. It helps to find a target and to judge a guide; it makes no bar
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
  /** Packs that were applied to it, in this order, each by the hash of what it says. */
  packs: z.array(z.strictObject({ id: slug, version: z.string().regex(/^[0-9a-f]{64}$/) })).optional(),
  /** The readings that its statements name. */
  readings: z.array(Reader).optional(),
  stages: z.array(z.strictObject({ id: StageId, kingdom: Kingdom, name: text })).min(1),
  bodyPlans: z.array(BodyPlan).min(1),
  characters: z.array(Character).min(1),
  taxa: z.array(Taxon).min(1),
});

export type Guide = z.infer<typeof Guide>;
