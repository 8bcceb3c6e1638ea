import type { ReactNode } from 'react';
import type { Character } from '@pause/core';
import { CountAnswer } from './CountAnswer';
import { MeasureAnswer } from './MeasureAnswer';
import type { AnswerProps, OfKind } from './props';
import { StateAnswers } from './StateAnswers';

type Kind = Character['kind'];

/** How each kind of character is answered. */
const ANSWERS: { readonly [K in Kind]: (props: AnswerProps<OfKind<K>>) => ReactNode } = {
  states: StateAnswers,
  colour: StateAnswers,
  measure: MeasureAnswer,
  count: CountAnswer,
};
const answersOf = <K extends Kind>(kind: K): ((props: AnswerProps<OfKind<K>>) => ReactNode) => ANSWERS[kind];

/** The answers to one character. */
export function Answers(props: AnswerProps<Character>) {
  const OfThisKind = answersOf(props.character.kind);
  return <OfThisKind {...props} />;
}
