import type { AnswerEffect, Character, ReadingValue, StateId, Sureness } from '@pause/core';
import type { Room } from './fit';

/** The characters of this kind. */
export type OfKind<K extends Character['kind']> = Extract<Character, { readonly kind: K }>;

/** What the answers to one character get. */
export interface AnswerProps<C extends Character> {
  readonly character: C;
  /** What each answer would do to the bars. */
  readonly effects: readonly AnswerEffect[];
  /** There is a keyboard: the keys are shown. */
  readonly keys: boolean;
  /** @param sureness - where it is given with the answer; else as it was chosen for the question */
  readonly onAnswer: (value: ReadingValue, sureness?: Sureness) => void;
  /** The states that one is unsure between; undefined where one answer is given. */
  readonly several: readonly StateId[] | undefined;
  readonly setSeveral: (several: readonly StateId[] | undefined) => void;
  /** Where all answers are to be seen at once: the space for them, and what is done where none can be given. */
  readonly fitted?: { readonly room: Room; readonly onCantTell: () => void } | undefined;
}
