import { countBars } from '../../verdict';
import type { PlanProblem, Row } from './problem';

/** How many bars and groups a set of options gives. */

export interface Solution {
  /** Indices of the chosen options, ascending. */
  readonly chosen: readonly number[];
  readonly cost: number;
  readonly nodes: number;
}

/**
 * Bars of one row under a choice. With `optimistic`, options not decided yet (-1) count as grounds, never as
 * fits.
 */
export function barsOf(problem: PlanProblem, row: Row, state: Int8Array, optimistic: boolean): number {
  const none = new Set(row.spoiled);
  for (let i = 0; i < state.length; i += 1)
    if (state[i] === 1 && row.fits[i] === 1) none.add(problem.options[i]!.group);
  const groups: number[] = [];
  const causes: number[] = [];
  for (const ground of row.grounds) {
    if (none.has(ground.group)) continue;
    groups.push(ground.group);
    causes.push(ground.causes);
  }
  for (let i = 0; i < state.length; i += 1) {
    if (row.against[i] !== 1 || (state[i] !== 1 && !(optimistic && state[i] === -1))) continue;
    const option = problem.options[i]!;
    if (none.has(option.group)) continue;
    groups.push(option.group);
    causes.push(option.causes);
  }
  return countBars(groups, causes);
}

/** The most bars each row could get, all options taken together; for saying what is in the way. */
export function mostBars(problem: PlanProblem, row: Row): number {
  return barsOf(problem, row, new Int8Array(problem.options.length).fill(-1), true);
}

/** The most groups that could fit. */
export function mostGroups(problem: PlanProblem): number {
  return new Set([...problem.fitGroups, ...problem.options.map((o) => o.group)]).size;
}
