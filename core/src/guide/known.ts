import type { StateMask, CompiledCharacter, Known } from './compiled';
import type { Statement } from './taxon';
import { millimetres } from './units';

/** What is known of one character of a taxon. */

/**
 * The states that can be meant when one of these is shown: a colour can be called by the name of its
 * neighbour, and firm shades into soft.
 */
function withNear(mask: StateMask, character: CompiledCharacter): StateMask {
  return character.near.reduce(
    (all, near, position) => ((mask & (1 << position)) !== 0 ? (all | near) >>> 0 : all),
    mask,
  );
}

/** With ordered states, everything from the lowest to the highest of these. */
function between(mask: StateMask, { character }: CompiledCharacter): StateMask {
  if (mask === 0 || !('states' in character) || character.ordered !== true) return mask;
  const highest = 31 - Math.clz32(mask);
  const lowest = 31 - Math.clz32(mask & -mask);
  return ((highest === 31 ? 0xffffffff : (1 << (highest + 1)) - 1) & ~((1 << lowest) - 1)) >>> 0;
}

export function known(statement: Statement, character: CompiledCharacter): Known {
  if ('range' in statement) {
    const { usual, outer, unit } = statement.range;
    const toBase = (value: number) => (unit ? millimetres(value, unit) : value);
    return {
      kind: 'number',
      usual: [toBase(usual[0]), toBase(usual[1])],
      possible: [toBase(outer[0]), toBase(outer[1])],
    };
  }
  const mask = (states: readonly string[]) =>
    states.reduce((bits, state) => (bits | (character.stateBit.get(state) ?? 0)) >>> 0, 0);
  const usual = mask(statement.usual);
  return {
    kind: 'states',
    usual,
    typical: mask(statement.usual.slice(0, 1)),
    possible: between(withNear((usual | mask(statement.occasional ?? [])) >>> 0, character), character),
  };
}

/** What two statements about one character say together. */
export function union(a: Known, b: Known, character: CompiledCharacter): Known {
  if (a.kind === 'states' && b.kind === 'states') {
    return {
      kind: 'states',
      usual: (a.usual | b.usual) >>> 0,
      typical: (a.typical | b.typical) >>> 0,
      possible: between((a.possible | b.possible) >>> 0, character),
    };
  }
  if (a.kind === 'number' && b.kind === 'number') {
    const hull = (x: readonly [number, number], y: readonly [number, number]) =>
      [Math.min(x[0], y[0]), Math.max(x[1], y[1])] as const;
    return { kind: 'number', usual: hull(a.usual, b.usual), possible: hull(a.possible, b.possible) };
  }
  throw new Error('states and numbers cannot be joined');
}

/** The same knowledge with "not there" possible: the absent states, or a count of nothing. */
export function withAbsent(what: Known, character: CompiledCharacter): Known {
  if (what.kind === 'states') return { ...what, possible: (what.possible | character.absentMask) >>> 0 };
  return character.character.kind === 'count' ? { ...what, possible: [0, what.possible[1]] } : what;
}

/**
 * How many readings that did not see each other must support a statement before it excludes anything of a
 * dangerous taxon.
 */
export const READINGS_NEEDED = 2;

/** Whether enough readings support a statement. */
export const isConfirmed = ({ readBy }: Statement): boolean => (readBy ?? []).length >= READINGS_NEEDED;

/**
 * The same knowledge as far as it may speak against a dangerous taxon: one that was read once excludes
 * nothing, and neither does a state about which no second reader was asked.
 */
export function asBar(what: Known, character: CompiledCharacter, confirmed: boolean): Known {
  if (what.kind === 'number') return confirmed ? what : { ...what, possible: [0, Infinity] };
  const everything = [...character.stateBit.values()].reduce((mask, bit) => (mask | bit) >>> 0, 0);
  return { ...what, possible: confirmed ? (what.possible | character.unreadMask) >>> 0 : everything };
}
