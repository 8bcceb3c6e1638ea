import { CAUSE_SETS } from '../../guide';
import type { PlanProblem, Row } from './problem';

/** How many bars and groups a set of options gives. */

export interface Solution {
  /** Indices of the chosen options, ascending. */
  readonly chosen: readonly number[];
  readonly cost: number;
  readonly nodes: number;
}

/**
 * The most bars that these grounds give: groups with a ground free of shared causes count one each, the rest
 * by trying.
 */
export function countBars(groupOf: readonly number[], causesOf: readonly number[]): number {
  const free = new Set<number>();
  for (let i = 0; i < groupOf.length; i += 1) if (causesOf[i] === 0) free.add(groupOf[i]!);
  const bound = new Map<number, number[]>();
  for (let i = 0; i < groupOf.length; i += 1) {
    const group = groupOf[i]!;
    if (free.has(group)) continue;
    const masks = bound.get(group);
    if (masks) masks.push(causesOf[i]!);
    else bound.set(group, [causesOf[i]!]);
  }
  if (bound.size === 0) return free.size;
  const best = new Int8Array(CAUSE_SETS).fill(-1);
  best[0] = 0;
  for (const masks of bound.values()) {
    for (let used = CAUSE_SETS - 1; used >= 0; used -= 1) {
      const have = best[used]!;
      if (have < 0) continue;
      for (const mask of masks) {
        if ((used & mask) === 0 && best[used | mask]! < have + 1) best[used | mask] = have + 1;
      }
    }
  }
  return free.size + Math.max(...best);
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
  for (const ground of row.standing) {
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
