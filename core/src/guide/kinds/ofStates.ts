import { z } from 'zod';
import { apart, NEAR, oklab } from '../../lib/colour';
import { CAUSE_BIT, causesOfStates } from '../causes';
import { SharedCause, StateId, text } from '../ids';
import {
  characterCommon,
  statementCommon,
  type Answers,
  type Kind,
  type Known,
  type KnownStates,
  type StateMask,
} from './kind';

/** What the kinds have in common whose answers are states. */

export const State = z.strictObject({
  id: StateId,
  label: text,
  /** The label where there is no room for all of it: an answer beside many others. */
  short: text.max(24).optional(),
  /** The organ or mark is not there; such a reading rests on absence. */
  absent: z.boolean().optional(),
  /** What a reading of this state rests on besides what every reading of its character does. */
  restsOn: z.array(SharedCause).optional(),
  /** sRGB hex of a typical swatch, for colour characters. */
  swatch: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .optional(),
  /** No second reader was asked about it yet: it never speaks against a dangerous taxon. */
  unread: z.boolean().optional(),
});
export type State = z.infer<typeof State>;

/** The members of a character of states. */
export const statesCommon = {
  ...characterCommon,
  /**
   * The states run from less to more in the order given: what lies between two possible ones is possible too.
   */
  ordered: z.boolean().optional(),
  states: z.array(State).min(2).max(32),
  /**
   * Pairs of states whose border is a matter of degree. Where a taxon shows one of a pair, the other is
   * possible too.
   */
  shades: z.array(z.tuple([StateId, StateId])).optional(),
};
type Common = z.infer<z.ZodObject<typeof statesCommon>>;

/** What a taxon states of such a character. */
export const StateStatement = z.strictObject({
  ...statementCommon,
  usual: z.array(StateId).min(1),
  occasional: z.array(StateId).optional(),
});
export type StateStatement = z.infer<typeof StateStatement>;

/** One state, or several that the person is torn between. */
export const StatesValue = z.strictObject({
  kind: z.literal('states'),
  states: z.array(StateId).min(1).max(32),
});
export type StatesValue = z.infer<typeof StatesValue>;

/** A kind of character whose answers are states. */
export function kindOfStates({
  causes,
  drawn,
}: Pick<Kind<unknown, unknown, unknown>, 'causes' | 'drawn'>): Kind<Common, StatesValue, StateStatement> {
  return {
    answer: 'states',
    form: 'states',
    causes,
    drawn,
    compile,
    check,
    checkStatement,
    checkValue,
    know,
    see: ({ states }, answers) => {
      const mask = maskOf(states, answers);
      return { kind: 'states', mask, causes: causesOfStates(answers, mask) };
    },
    withAbsent: (known, { absentMask }) =>
      isStates(known) ? { ...known, possible: (known.possible | absentMask) >>> 0 } : known,
    usual: (known, answers) =>
      new Map(isStates(known) ? statesIn(answers, known.usual).map((state) => [state, valueOf(state)]) : []),
    typical: (known, answers) => {
      const [state] = isStates(known) ? statesIn(answers, known.typical) : [];
      return state === undefined ? undefined : valueOf(state);
    },
    individual: (known, answers, { odd, at }) => {
      if (!isStates(known)) return undefined;
      const states = statesIn(answers, odd ? known.possible & ~known.usual : known.usual);
      const state = states[Math.floor(at * states.length)];
      return state === undefined ? undefined : valueOf(state);
    },
  };
}

const isStates = (known: Known): known is KnownStates => known.kind === 'states';
const valueOf = (state: StateId): StatesValue => ({ kind: 'states', states: [state] });

/** The states that are bits of a mask, in the order of the character. */
export const statesIn = ({ stateBit }: Pick<Answers, 'stateBit'>, mask: StateMask): StateId[] =>
  [...stateBit].filter(([, bit]) => (bit & mask) !== 0).map(([state]) => state as StateId);

const maskOf = (states: readonly string[], { stateBit }: Answers): StateMask =>
  states.reduce((bits, state) => (bits | (stateBit.get(state) ?? 0)) >>> 0, 0);

function compile(character: Common): Answers {
  const stateBit = new Map<string, StateMask>();
  let absentMask = 0;
  let unreadMask = 0;
  const stateCauses: { states: StateMask; cause: number }[] = [];
  for (const [position, state] of character.states.entries()) {
    const bit = (1 << position) >>> 0;
    stateBit.set(state.id, bit);
    if (state.absent) absentMask = (absentMask | bit) >>> 0;
    for (const cause of [...(state.absent ? ['absence' as const] : []), ...(state.restsOn ?? [])])
      stateCauses.push({ states: bit, cause: CAUSE_BIT[cause] });
    if (state.unread) unreadMask = (unreadMask | bit) >>> 0;
  }
  const near = nearStates(character);
  return {
    stateBit,
    absentMask,
    unreadMask,
    stateCauses,
    near,
    ordered: character.ordered === true,
    error: 0,
  };
}

function nearStates({ states, shades = [] }: Common): StateMask[] {
  const places = states.map(({ swatch }) => (swatch === undefined ? undefined : oklab(swatch)));
  const shaded = (a: StateId | undefined, b: StateId | undefined) =>
    shades.some(([one, other]) => (one === a && other === b) || (one === b && other === a));
  return places.map((place, position) =>
    places.reduce<number>((mask, other, index) => {
      const alike = place !== undefined && other !== undefined && apart(place, other) < NEAR;
      const near = index === position || alike || shaded(states[position]?.id, states[index]?.id);
      return near ? (mask | (1 << index)) >>> 0 : mask;
    }, 0),
  );
}

function* check(character: Common): Generator<{ at: string; reason: string }> {
  const seen = new Set<string>();
  for (const state of character.states) {
    if (seen.has(state.id)) yield { at: 'states', reason: `state "${state.id}" is there twice` };
    seen.add(state.id);
  }
  for (const [index, pair] of (character.shades ?? []).entries()) {
    const at = `shades[${index}]`;
    for (const state of pair)
      if (!seen.has(state)) yield { at, reason: `state "${state}" is not in the character` };
    if (pair[0] === pair[1]) yield { at, reason: 'a state shades into another one' };
  }
  if (character.fades && !character.states.some((s) => s.absent))
    yield { at: 'fades', reason: 'what fades needs a state marked absent' };
}

function* checkStatement(statement: StateStatement, character: Common): Generator<string> {
  const known = new Set<string>(character.states.map((s) => s.id));
  const named = [...statement.usual, ...(statement.occasional ?? [])];
  for (const state of named) if (!known.has(state)) yield `state "${state}" is not in the character`;
  if (new Set(named).size !== named.length) yield 'a state is named twice';
}

function* checkValue(
  { states }: StatesValue,
  id: string,
  { stateBit }: Answers,
): Generator<{ at: string; reason: string }> {
  for (const [position, state] of states.entries()) {
    const at = `states[${position}]`;
    if (!stateBit.has(state)) yield { at, reason: `"${state}" is not a state of "${id}"` };
    else if (states.indexOf(state) !== position) yield { at, reason: `"${state}" is named twice` };
  }
}

function know(statement: StateStatement, answers: Answers): KnownStates {
  const usual = maskOf(statement.usual, answers);
  const stated = (usual | maskOf(statement.occasional ?? [], answers)) >>> 0;
  return {
    kind: 'states',
    usual,
    typical: maskOf(statement.usual.slice(0, 1), answers),
    possible: between(withNear(stated, answers), answers),
  };
}

/**
 * The states that can be meant when one of these is shown: a colour can be called by the name of its
 * neighbour, and firm shades into soft.
 */
function withNear(mask: StateMask, { near }: Answers): StateMask {
  return near.reduce(
    (all, states, position) => ((mask & (1 << position)) !== 0 ? (all | states) >>> 0 : all),
    mask,
  );
}

/** With ordered states, everything from the lowest to the highest of these. */
function between(mask: StateMask, { ordered }: Answers): StateMask {
  if (mask === 0 || !ordered) return mask;
  const highest = 31 - Math.clz32(mask);
  const lowest = 31 - Math.clz32(mask & -mask);
  return ((highest === 31 ? 0xffffffff : (1 << (highest + 1)) - 1) & ~((1 << lowest) - 1)) >>> 0;
}

/** What two statements on one character state together. */
export const unionOfStates = (a: KnownStates, b: KnownStates, answers: Answers): KnownStates => ({
  kind: 'states',
  usual: (a.usual | b.usual) >>> 0,
  typical: (a.typical | b.typical) >>> 0,
  possible: between((a.possible | b.possible) >>> 0, answers),
});

/** All states of a character. */
export const everyState = ({ stateBit }: Answers): StateMask =>
  [...stateBit.values()].reduce((mask, bit) => (mask | bit) >>> 0, 0);
