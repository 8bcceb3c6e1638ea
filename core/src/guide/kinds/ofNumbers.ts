import { z } from 'zod';
import { LengthUnit } from '../ids';
import { millimetres } from '../units';
import {
  statementCommon,
  type Answers,
  type Kind,
  type Known,
  type KnownNumber,
  type SeenNumber,
  type Span,
} from './kind';

/** What the kinds have in common whose answers are numbers. */

/** From the smallest to the largest, as a guide gives it. */
export const span = z.tuple([z.number().nonnegative(), z.number().nonnegative()]);

/** What a taxon states of such a character. */
export const RangeStatement = z.strictObject({
  ...statementCommon,
  range: z.strictObject({ usual: span, outer: span, unit: LengthUnit.optional() }),
});
export type RangeStatement = z.infer<typeof RangeStatement>;

/** What sets one kind of number apart from the others. */
interface NumberKind<C, V> extends Pick<Kind<unknown, unknown, unknown>, 'answer' | 'causes'> {
  /** Error of the usual instrument, in the unit in which numbers are compared. */
  readonly error: (character: C) => number;
  /** What is wrong with the unit of a statement. */
  readonly unitProblem: (unit: LengthUnit | undefined) => string | undefined;
  readonly see: (value: V, answers: Answers) => Omit<SeenNumber, 'kind'> & { readonly causes?: number };
  /** A value that shows this number, which lies within the span. */
  readonly valueOf: (number: number, within: Span) => V;
  /** Nothing can be the number of what is not there. */
  readonly canBeNone: boolean;
}

/** A kind of character whose answers are numbers. */
export function kindOfNumbers<C, V>(one: NumberKind<C, V>): Kind<C, V, RangeStatement> {
  const within = ([low, high]: Span, part: number) => low + (high - low) * part;
  return {
    answer: one.answer,
    form: 'number',
    drawn: false,
    causes: one.causes,
    compile: (character) => ({ ...NO_STATES, error: one.error(character) }),
    check: () => [],
    checkStatement: function* ({ range: { usual, outer, unit } }) {
      const problem = one.unitProblem(unit);
      if (problem !== undefined) yield problem;
      if (usual[0] > usual[1] || outer[0] > outer[1]) yield 'a range runs from small to large';
      if (outer[0] > usual[0] || outer[1] < usual[1]) yield 'the outer range must hold the usual one';
    },
    checkValue: () => [],
    know: ({ range: { usual, outer, unit } }) => {
      const inBase = (value: number) => (unit ? millimetres(value, unit) : value);
      return {
        kind: 'number',
        usual: [inBase(usual[0]), inBase(usual[1])],
        possible: [inBase(outer[0]), inBase(outer[1])],
      };
    },
    see: (value, answers) => {
      const { low, high, causes = 0 } = one.see(value, answers);
      return { kind: 'number', low, high, causes };
    },
    withAbsent: (known) =>
      isNumber(known) && one.canBeNone ? { ...known, possible: [0, known.possible[1]] } : known,
    usual: (known, _, parts) =>
      new Map(
        isNumber(known)
          ? parts.map((part) => {
              const number = within(known.usual, part);
              return [String(number), one.valueOf(number, known.usual)];
            })
          : [],
      ),
    typical: (known) => (isNumber(known) ? one.valueOf(within(known.usual, 0.5), known.usual) : undefined),
    individual: (known, _, { odd, at, side }) => {
      if (!isNumber(known)) return undefined;
      const span = odd ? outside(known, side) : known.usual;
      return one.valueOf(within(span, at), span);
    },
  };
}

const NO_STATES: Omit<Answers, 'error'> = {
  stateBit: new Map(),
  absentMask: 0,
  unreadMask: 0,
  stateCauses: [],
  near: [],
  ordered: false,
};

const isNumber = (known: Known): known is KnownNumber => known.kind === 'number';

/** Below what is usual, or above it, as far as that is possible. */
function outside({ usual, possible }: KnownNumber, side: number): Span {
  const [below, above] = [usual[0] - possible[0], possible[1] - usual[1]];
  return side * (below + above) < below ? [possible[0], usual[0]] : [usual[1], possible[1]];
}

const hull = (a: Span, b: Span): Span => [Math.min(a[0], b[0]), Math.max(a[1], b[1])];

/** What two statements on one character state together. */
export const unionOfNumbers = (a: KnownNumber, b: KnownNumber): KnownNumber => ({
  kind: 'number',
  usual: hull(a.usual, b.usual),
  possible: hull(a.possible, b.possible),
});
