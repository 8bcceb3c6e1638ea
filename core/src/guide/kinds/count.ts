import { z } from 'zod';
import { CAUSE_BIT } from '../causes';
import { characterCommon } from './kind';
import { kindOfNumbers } from './ofNumbers';

/** Numbers of things: rays, stamens, leaflets. */
export const CountCharacter = z.strictObject({ ...characterCommon, kind: z.literal('count') });

export const CountValue = z.strictObject({
  kind: z.literal('count'),
  number: z.number().int().nonnegative().max(1e6),
  error: z.number().int().nonnegative().max(1e6).optional(),
  /** The number or more: nobody counts forty rays twice. */
  orMore: z.boolean().optional(),
});

export const count = kindOfNumbers<z.infer<typeof CountCharacter>, z.infer<typeof CountValue>>({
  answer: 'count',
  causes: ['number'],
  error: () => 0,
  unitProblem: (unit) => (unit === undefined ? undefined : 'a count has no unit'),
  see: ({ number, error = 0, orMore }) => ({
    low: Math.max(0, number - error),
    high: orMore === true ? Infinity : number + error,
    causes: number - error <= 0 ? CAUSE_BIT.absence : 0,
  }),
  // A whole number, and one that lies within.
  valueOf: (number, [low, high]) => ({
    kind: 'count',
    number: Math.max(0, Math.min(Math.floor(high), Math.max(Math.ceil(low), Math.round(number)))),
  }),
  canBeNone: true,
});
