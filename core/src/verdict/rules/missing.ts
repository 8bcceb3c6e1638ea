import { z } from 'zod';
import { asksForTracing } from '../context';
import { rule, type Basis } from './rule';

/** What has not been answered yet about the find as a whole. */

export const CONTEXT_FIELDS = [
  'stages',
  'condition',
  'part',
  'use',
  'permission',
  'contamination',
  'protection',
  'tracedToBase',
] as const;
export type ContextField = (typeof CONTEXT_FIELDS)[number];
const parameters = { field: z.enum(CONTEXT_FIELDS) };

/** Whether each field is missing, in the order in which they are named. */
const MISSING: Readonly<Record<Exclude<ContextField, 'tracedToBase'>, (basis: Basis) => boolean>> = {
  stages: ({ find }) => !find.context.stages,
  condition: ({ find }) => !find.context.condition,
  part: ({ find, target }) => target.taxon.parts.length > 0 && !find.context.part,
  use: ({ find, target }) => target.taxon.parts.length > 0 && !find.context.use,
  permission: ({ find }) => (find.context.permission ?? 'unknown') === 'unknown',
  contamination: ({ find }) => (find.context.contamination ?? 'unknown') === 'unknown',
  // Where the law often protects it, somebody has to have looked it up.
  protection: ({ find: { context, policy }, target }) =>
    policy?.protectedTaxa?.includes(target.id) !== true &&
    context.protection !== 'protected' &&
    context.protection !== 'allowed' &&
    target.taxon.protection === 'often',
};
/** What is asked also of what nobody collects. */
const OF_ANYTHING: ReadonlySet<ContextField> = new Set(['stages']);
const isAsked = (field: ContextField, { target }: Basis) =>
  target.taxon.parts.length > 0 || OF_ANYTHING.has(field);
const FIELDS = Object.entries(MISSING) as [keyof typeof MISSING, (basis: Basis) => boolean][];

export const contextMissing = rule({
  code: 'context-missing',
  weight: 'pause',
  parameters,
  readingsCanUndo: false,
  applies: (basis: Basis) =>
    FIELDS.filter(([field, isMissing]) => isAsked(field, basis) && isMissing(basis)).map(
      ([field]) => ({ field }) as const,
    ),
});

/** It grows among others, and nobody has traced it to its base yet. */
export const tracingMissing = rule({
  code: 'context-missing',
  weight: 'pause',
  parameters,
  readingsCanUndo: false,
  applies: (basis: Basis) =>
    isAsked('tracedToBase', basis) &&
    basis.find.context.tracedToBase === undefined &&
    asksForTracing(basis.find, basis.target)
      ? [{ field: 'tracedToBase' as const }]
      : [],
});
