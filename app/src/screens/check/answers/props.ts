import type { AnswerEffect, Character, ReadingValue } from '@pause/core';
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
  readonly onAnswer: (value: ReadingValue) => void;
  /** Where all answers are to be seen at once: the space for them, and what is done where none can be given. */
  readonly fitted?: { readonly room: Room; readonly onCantTell: () => void } | undefined;
}
