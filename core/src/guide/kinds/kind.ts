import { z } from 'zod';
import { CharacterId, Damage, Kingdom, ObservationMethod, SharedCause, slug, StageId, text } from '../ids';

/** What every kind of character has: the members that all characters share, and what a kind can do. */

/** States of one character as bits, lowest bit the first state; at most 32. */
export type StateMask = number;

/** From the smallest to the largest; mm for lengths. */
export type Span = readonly [low: number, high: number];

export interface KnownStates {
  readonly kind: 'states';
  readonly usual: StateMask;
  readonly possible: StateMask;
  /** The usual state that is named first, of each statement: what a typical specimen shows. */
  readonly typical: StateMask;
}
export interface KnownNumber {
  readonly kind: 'number';
  readonly usual: Span;
  readonly possible: Span;
}
/** What is known of one taxon and one character. */
export type Known = KnownStates | KnownNumber;

export interface SeenStates {
  readonly kind: 'states';
  readonly mask: StateMask;
}
/** Smallest and largest the true value can be, the instrument's error allowed for; mm for lengths. */
export interface SeenNumber {
  readonly kind: 'number';
  readonly low: number;
  readonly high: number;
}
/** A reading's value, made ready for comparing. */
export type Seen = SeenStates | SeenNumber;

/** What a kind makes of one of its characters, for comparing. */
export interface Answers {
  readonly stateBit: ReadonlyMap<string, StateMask>;
  readonly absentMask: StateMask;
  /** States about which no second reader was asked: they never speak against a dangerous taxon. */
  readonly unreadMask: StateMask;
  /** Shared causes of its states: each as the states that rest on it, and its bit. */
  readonly stateCauses: readonly { readonly states: StateMask; readonly cause: number }[];
  /**
   * By state position: the states that can be taken for it, by colour or because one shades into the other;
   * itself included.
   */
  readonly near: readonly StateMask[];
  /** What lies between two possible states is possible too. */
  readonly ordered: boolean;
  /** Error of the usual instrument, mm. */
  readonly error: number;
}

/** Where in the usual span an individual lies, from 0 to 1. */
export interface Individual {
  /** It is not as usual, yet as it can be. */
  readonly odd: boolean;
  /** Which of its states, or where in the span. */
  readonly at: number;
  /** Of a number that is not as usual: whether it is too small or too large. */
  readonly side: number;
}

/**
 * One kind of character: how it is answered and compared.
 * `C` is its character in the guide, `V` the value of a reading, `S` what a taxon states of it.
 */
export interface Kind<C, V, S> {
  /** `kind` of the values that answer it. */
  readonly answer: string;
  /** What is known of it, and seen: states or a number. */
  readonly form: Known['kind'];
  /** Its answers are shown as drawings. */
  readonly drawn: boolean;
  /** What every reading of it rests on. */
  readonly causes: readonly SharedCause[];
  compile(character: C): Answers;
  /** What is wrong with a character of the guide; `at` is the member. */
  check(character: C): Iterable<{ readonly at: string; readonly reason: string }>;
  /** What is wrong with a statement on a taxon. */
  checkStatement(statement: S, character: C): Iterable<string>;
  /** What is wrong with a value that has the right `kind`; `at` is below the value. */
  checkValue(
    value: V,
    id: string,
    answers: Answers,
  ): Iterable<{ readonly at: string; readonly reason: string }>;
  know(statement: S, answers: Answers): Known;
  /** What was seen, and the shared causes that this very value rests on, as bits. */
  see(value: V, answers: Answers): Seen & { readonly causes: number };
  /** The same knowledge with "not there" possible. */
  withAbsent(known: Known, answers: Answers): Known;
  /**
   * Values that are usual: each state by its id, or a number at each of these parts of the usual span, by the
   * number before it was rounded.
   */
  usual(known: Known, answers: Answers, parts: readonly number[]): ReadonlyMap<string, V>;
  /** What a typical specimen shows. */
  typical(known: Known, answers: Answers): V | undefined;
  /** What one individual shows. */
  individual(known: Known, answers: Answers, which: Individual): V | undefined;
}

/** The members that the characters of every kind have. */
export const characterCommon = {
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

/** The members that a taxon's statements on every kind have. */
export const statementCommon = {
  character: CharacterId,
  stages: z.array(StageId).min(1).optional(),
  /**
   * Ids of the readings that support a statement: each was made without sight of the others, and excludes all
   * that the statement excludes.
   */
  readBy: z.array(slug).min(1).optional(),
};
