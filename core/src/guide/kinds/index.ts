import { z } from 'zod';
import { ColourCharacter, colour } from './colour';
import { CountCharacter, CountValue, count } from './count';
import type { Answers, Individual, Kind, Known, Seen } from './kind';
import { MeasureCharacter, MeasureValue, measure } from './measure';
import { RangeStatement, unionOfNumbers } from './ofNumbers';
import { everyState, StateStatement, StatesValue, unionOfStates, type State } from './ofStates';
import { StatesCharacter, states } from './states';

/**
 * The kinds of character, each in a file of its own. A new one is named three times here: its character, its
 * value unless it has that of another kind, and itself.
 */

export const Character = z.discriminatedUnion('kind', [
  StatesCharacter,
  ColourCharacter,
  MeasureCharacter,
  CountCharacter,
]);
export type Character = z.infer<typeof Character>;

/** The values that answer a character. */
export const ANSWER_VALUES = [StatesValue, MeasureValue, CountValue] as const;
export type AnswerValue = z.infer<(typeof ANSWER_VALUES)[number]>;

/** What a taxon states of a character. */
export const Statement = z.union([StateStatement, RangeStatement]);
export type Statement = z.infer<typeof Statement>;

type KindName = Character['kind'];
type KindOf<K extends KindName> = Kind<Extract<Character, { kind: K }>, AnswerValue, Statement>;
const KINDS: { readonly [K in KindName]: KindOf<K> } = { states, colour, measure, count };

/** The kind of a character. */
const kindOf = <K extends KindName>({ kind }: { readonly kind: K }): KindOf<K> => KINDS[kind];

/** The states among which a character is answered; none of a number. */
export const statesOfCharacter = (character: Character): readonly State[] =>
  'states' in character ? character.states : [];

/** One state of a character. */
export const stateOf = (character: Character, id: string): State | undefined =>
  statesOfCharacter(character).find((state) => state.id === id);

/** Whether its answers are shown as drawings. */
export const isDrawn = (character: Character): boolean => kindOf(character).drawn;

/** Whether its answers are colours. */
export const isColour = (character: Character): boolean => character.kind === 'colour';

/** Whether it is answered with a number. */
export const isNumber = (character: Character): boolean => kindOf(character).form === 'number';

/** The causes that every reading of a character shares by its kind. */
export const causesOfKind = (character: Character) => kindOf(character).causes;

export const compileAnswers = (character: Character): Answers => kindOf(character).compile(character);

/** What is wrong with a character of the guide by itself; `at` is the member. */
export const checkAnswers = (character: Character) => kindOf(character).check(character);

/** What is wrong with a statement on a character. */
export function checkStatement(statement: Statement, character: Character): Iterable<string> {
  const kind = kindOf(character);
  const form = 'range' in statement ? 'number' : 'states';
  if (form === kind.form) return kind.checkStatement(statement, character);
  return form === 'number'
    ? ['the character has states, the statement gives a range']
    : ['the character is a number, the statement gives states'];
}

/** A compiled character, as far as its kind goes. */
interface Compiled extends Answers {
  readonly id: string;
  readonly character: Character;
}

/** What is wrong with a value as the answer to a character; `at` is the member. */
export function checkAnswer(
  value: AnswerValue,
  compiled: Compiled,
): Iterable<{ readonly at: string; readonly reason: string }> {
  const kind = kindOf(compiled.character);
  return value.kind === kind.answer
    ? kind.checkValue(value, compiled.id, compiled)
    : [{ at: 'kind', reason: `"${compiled.id}" is answered with ${kind.answer}, not ${value.kind}` }];
}

/** What a statement says of a character. */
export const know = (statement: Statement, compiled: Compiled): Known =>
  kindOf(compiled.character).know(statement, compiled);

/** What was seen, and the shared causes of this very value; nothing where the value answers another kind. */
export function see(
  value: AnswerValue,
  compiled: Compiled,
): (Seen & { readonly causes: number }) | undefined {
  const kind = kindOf(compiled.character);
  return value.kind === kind.answer ? kind.see(value, compiled) : undefined;
}

/** The same knowledge with "not there" possible: the absent states, or a count of nothing. */
export const withAbsent = (known: Known, compiled: Compiled): Known =>
  kindOf(compiled.character).withAbsent(known, compiled);

/**
 * Values that are usual: each state by its id, or a number at each of these parts of the usual span (0 the
 * smallest, 1 the largest), by the number before it was rounded.
 */
export const usualValues = (
  known: Known,
  compiled: Compiled,
  parts: readonly number[],
): ReadonlyMap<string, AnswerValue> => kindOf(compiled.character).usual(known, compiled, parts);

/** What a typical specimen shows. */
export const typicalValue = (known: Known, compiled: Compiled): AnswerValue | undefined =>
  kindOf(compiled.character).typical(known, compiled);

/** What one individual shows. */
export const individualValue = (
  known: Known,
  compiled: Compiled,
  which: Individual,
): AnswerValue | undefined => kindOf(compiled.character).individual(known, compiled, which);

/** What two statements on one character state together. */
export function union(a: Known, b: Known, answers: Answers): Known {
  if (a.kind === 'states' && b.kind === 'states') return unionOfStates(a, b, answers);
  if (a.kind === 'number' && b.kind === 'number') return unionOfNumbers(a, b);
  throw new Error('states and numbers cannot be joined');
}

/** The same knowledge, excluding nothing. */
export const excludingNothing = (known: Known, answers: Answers): Known =>
  known.kind === 'states'
    ? { ...known, possible: everyState(answers) }
    : { ...known, possible: [0, Infinity] };

/** The same knowledge, excluding no state about which no second reader was asked. */
export const withUnread = (known: Known, { unreadMask }: Answers): Known =>
  known.kind === 'states' ? { ...known, possible: (known.possible | unreadMask) >>> 0 } : known;

export { span } from './ofNumbers';
export { statesIn, State } from './ofStates';
export {
  canBeOdd,
  compare,
  isPossible,
  isUsual,
  overlap,
  typicallySeen,
  withError,
  type Relation,
} from './compare';
export type { Answers, Individual, Known, Seen, SeenNumber, SeenStates, Span, StateMask } from './kind';
