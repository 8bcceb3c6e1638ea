import { type Solution, barsOf } from './count';
import type { PlanProblem } from './problem';

/**
 * Beyond this many nodes the search gives up rather than hang; it has not been seen on guides, only on built
 * riddles.
 */
const MOST_NODES = 200_000;

const ROOT_STEPS = 120;
const NODE_STEPS = 12;
const EPSILON = 1e-9;

/**
 * Whether option `a` does all that `b` does, for no more, without fitting any taxon that `b` does not fit.
 */
function replaces(problem: PlanProblem, a: number, b: number): boolean {
  const [x, y] = [problem.options[a]!, problem.options[b]!];
  if (x.group !== y.group || (x.causes & ~y.causes) !== 0) return false;
  if (x.cost > y.cost || (x.cost === y.cost && a > b)) return false;
  return problem.rows.every((row) => row.against[a]! >= row.against[b]! && row.fits[a]! <= row.fits[b]!);
}

/** @returns the cheapest choice, or undefined if none fills everything */
export function solve(problem: PlanProblem): Solution | undefined {
  const n = problem.options.length;
  const cost = Float64Array.from(problem.options, (o) => o.cost);
  const state = new Int8Array(n).fill(-1);
  for (let b = 0; b < n; b += 1) {
    if (problem.forced.includes(b)) continue;
    for (let a = 0; a < n && state[b] === -1; a += 1)
      if (a !== b && state[a] !== 0 && replaces(problem, a, b)) state[b] = 0;
  }
  for (const i of problem.forced) state[i] = 1;

  // Covering rows: one a dangerous taxon, and a last one for the groups that must fit.
  const m = problem.rows.length + 1;
  const members: number[][] = problem.rows.map((row) =>
    [...row.against.keys()].filter((i) => row.against[i] === 1 && state[i] !== 0),
  );
  members.push([...state.keys()].filter((i) => state[i] !== 0));

  let best: number[] | undefined;
  let bestCost = Infinity;
  let nodes = 0;
  const multipliers = new Float64Array(m);

  /** Residual needs of the covering rows; undefined if some row can no longer be filled. */
  const residual = (): Int32Array | undefined => {
    const lacks = new Int32Array(m);
    for (let r = 0; r < problem.rows.length; r += 1) {
      const row = problem.rows[r]!;
      const have = barsOf(problem, row, state, false);
      if (have >= row.need) continue;
      if (barsOf(problem, row, state, true) < row.need) return undefined;
      lacks[r] = row.need - have;
    }
    const groups = new Set(problem.fitGroups);
    for (let i = 0; i < n; i += 1) if (state[i] === 1) groups.add(problem.options[i]!.group);
    const missing = problem.groupsNeeded - groups.size;
    if (missing > 0) {
      const reachable = new Set<number>();
      for (let i = 0; i < n; i += 1)
        if (state[i] === -1 && !groups.has(problem.options[i]!.group))
          reachable.add(problem.options[i]!.group);
      if (reachable.size < missing) return undefined;
      lacks[m - 1] = missing;
    }
    return lacks;
  };

  const reduced = new Float64Array(n);
  /**
   * The Lagrangian bound on what is still to be paid, improved from the given multipliers, which it changes.
   */
  const bound = (
    lacks: Int32Array,
    groupsDone: ReadonlySet<number>,
    u: Float64Array,
    steps: number,
    wanted: number,
  ): number => {
    let top = 0;
    let scale = 1;
    let sinceBetter = 0;
    const inGroupRow = (i: number) => !groupsDone.has(problem.options[i]!.group);
    for (let step = 0; step <= steps; step += 1) {
      reduced.set(cost);
      let value = 0;
      for (let r = 0; r < m; r += 1) {
        if (lacks[r]! <= 0) continue;
        value += lacks[r]! * u[r]!;
        if (u[r] === 0) continue;
        for (const i of members[r]!) if (r < m - 1 || inGroupRow(i)) reduced[i]! -= u[r]!;
      }
      for (let i = 0; i < n; i += 1) if (state[i] === -1 && reduced[i]! < 0) value += reduced[i]!;
      if (value > top + EPSILON) {
        top = value;
        sinceBetter = 0;
      } else if ((sinceBetter += 1) >= 4) {
        scale /= 2;
        sinceBetter = 0;
      }
      if (top >= wanted - EPSILON || step === steps || scale < 0.01) break;
      let norm = 0;
      const slope = new Float64Array(m);
      for (let r = 0; r < m; r += 1) {
        if (lacks[r]! <= 0) continue;
        let g = lacks[r]!;
        for (const i of members[r]!)
          if (state[i] === -1 && reduced[i]! < 0 && (r < m - 1 || inGroupRow(i))) g -= 1;
        slope[r] = g;
        norm += g * g;
      }
      if (norm === 0) break;
      const aim = Number.isFinite(wanted) ? wanted : Math.max(value * 1.3, value + 20);
      const size = (scale * Math.max(1, aim - value)) / norm;
      for (let r = 0; r < m; r += 1) u[r] = lacks[r]! <= 0 ? u[r]! : Math.max(0, u[r]! + size * slope[r]!);
    }
    return top;
  };

  const search = (paid: number, u: Float64Array, steps: number): void => {
    nodes += 1;
    if (nodes > MOST_NODES) throw new Error('the plan is too tangled to be proved cheapest');
    const lacks = residual();
    if (!lacks) return;
    if (lacks.every((lack) => lack <= 0)) {
      if (paid < bestCost - EPSILON) {
        bestCost = paid;
        best = [...state.keys()].filter((i) => state[i] === 1);
      }
      return;
    }
    const groupsDone = new Set(problem.fitGroups);
    for (let i = 0; i < n; i += 1) if (state[i] === 1) groupsDone.add(problem.options[i]!.group);
    const below = bound(lacks, groupsDone, u, steps, bestCost - paid);
    if (paid + below >= bestCost - EPSILON) return;

    // Branch on the row that is tightest, on the option that the bound likes best.
    let pick = -1;
    let tightest = Infinity;
    let liked = Infinity;
    for (let r = 0; r < m; r += 1) {
      if (lacks[r]! <= 0) continue;
      const open = members[r]!.filter(
        (i) => state[i] === -1 && (r < m - 1 || !groupsDone.has(problem.options[i]!.group)),
      );
      const slack = open.length - lacks[r]!;
      if (slack > tightest) continue;
      const here = open.reduce((a, i) => (a === -1 || reduced[i]! < reduced[a]! ? i : a), -1);
      if (here === -1) return;
      if (slack < tightest || reduced[here]! < liked) {
        tightest = slack;
        liked = reduced[here]!;
        pick = here;
      }
    }
    state[pick] = 1;
    search(paid + cost[pick]!, u.slice(), NODE_STEPS);
    state[pick] = 0;
    search(paid, u.slice(), NODE_STEPS);
    state[pick] = -1;
  };

  search(
    problem.forced.reduce((sum, i) => sum + cost[i]!, 0),
    multipliers,
    ROOT_STEPS,
  );
  return best ? { chosen: best, cost: bestCost, nodes } : undefined;
}
