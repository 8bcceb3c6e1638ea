import { z } from 'zod';
import { LengthUnit } from '../ids';
import { millimetres } from '../units';
import { characterCommon } from './kind';
import { kindOfNumbers } from './ofNumbers';

/** Lengths. */
export const MeasureCharacter = z.strictObject({
  ...characterCommon,
  kind: z.literal('measure'),
  unit: LengthUnit,
  /** Error of the usual instrument, in `unit`. */
  error: z.number().positive(),
});

export const MeasureValue = z.strictObject({
  kind: z.literal('measure'),
  number: z.number().nonnegative().max(1e6),
  unit: LengthUnit,
  error: z.number().nonnegative().max(1e6).optional(),
});

export const measure = kindOfNumbers<z.infer<typeof MeasureCharacter>, z.infer<typeof MeasureValue>>({
  answer: 'measure',
  causes: ['number'],
  error: ({ error, unit }) => millimetres(error, unit),
  unitProblem: (unit) => (unit === undefined ? 'a measure needs its unit' : undefined),
  see: (value, answers) => {
    const own = value.error === undefined ? 0 : millimetres(value.error, value.unit);
    const error = Math.max(answers.error, own);
    const size = millimetres(value.number, value.unit);
    return { low: Math.max(0, size - error), high: size + error };
  },
  valueOf: (number) => ({ kind: 'measure', number: Math.max(0, number), unit: 'mm' }),
  canBeNone: false,
});
