import { CAUSE_SETS } from '../../guide';

/**
 * What counts as bars: grounds that share no cause. Here it is in plain, and `Tally` counts the same for a
 * whole guide at once; tests hold them against each other.
 */

/** A reading that could be a bar: its group, and the shared causes it rests on as bits. */
export interface Ground {
  readonly group: number;
  readonly causes: number;
}

/**
 * The largest set of grounds that share no cause: at most one a group, at most one on each shared cause.
 * Exact: groups one after the other, over the sets of shared causes used so far
 * (a maximum set packing, small because only five causes are shared between groups).
 * Grounds named first are preferred among equals, so the answer is the same for the same order.
 *
 * @example
 * largestIndependent([{ group: 0, causes: 1 }, { group: 1, causes: 1 }, { group: 2, causes: 0 }])
 * // the first and the third: two of them rest on colour
 */
export function largestIndependent<G extends Ground>(grounds: readonly G[]): G[] {
  const groups = new Map<number, G[]>();
  for (const ground of grounds) groups.set(ground.group, [...(groups.get(ground.group) ?? []), ground]);

  let best: (readonly G[] | undefined)[] = new Array<readonly G[] | undefined>(CAUSE_SETS).fill(undefined);
  best[0] = [];
  for (const members of groups.values()) {
    const next = [...best];
    for (let used = 0; used < CAUSE_SETS; used += 1) {
      const chosen = best[used];
      if (!chosen) continue;
      for (const ground of members) {
        if ((used & ground.causes) !== 0) continue;
        const now = used | ground.causes;
        if ((next[now]?.length ?? -1) < chosen.length + 1) next[now] = [...chosen, ground];
      }
    }
    best = next;
  }
  return [
    ...best.reduce<readonly G[]>((top, chosen) => (chosen && chosen.length > top.length ? chosen : top), []),
  ];
}

/**
 * How many grounds the largest set has, without naming them, of plain arrays: groups with a ground free of
 * shared causes count one each, the rest by trying.
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
