import { type Solution, barsOf } from './count';
import type { PlanProblem } from './problem';

/**
 * Beyond this many nodes the search gives up rather than hang; it has not been seen on guides, only on built
 * riddles.
 */
const MOST_NODES = 200_000;

/** Steps by which the bound is improved: at the root of the search, and at every other node. */
const ROOT_STEPS = 120;
const NODE_STEPS = 12;
/** The bound halves its steps after so many that brought nothing, and ends where they are this small. */
const STEPS_WITHOUT_GAIN = 4;
const SMALLEST_SCALE = 0.01;
const EPSILON = 1e-9;

/** What is decided of an option. */
const [OPEN, LEFT_OUT, CHOSEN] = [-1, 0, 1];

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
  return new Search(problem).run();
}

/** Branch and bound over the options, with a Lagrangian bound on what is still to be paid. */
class Search {
  private readonly n: number;
  /** Covering rows: one a dangerous taxon, and a last one for the groups that must fit. */
  private readonly m: number;
  private readonly cost: Float64Array;
  private readonly state: Int8Array;
  /** The options that can help to fill each covering row. */
  private readonly members: readonly (readonly number[])[];
  /** Costs less what an option is worth by the multipliers of the last bound. */
  private readonly reduced: Float64Array;
  private best: number[] | undefined;
  private bestCost = Infinity;
  private nodes = 0;

  constructor(private readonly problem: PlanProblem) {
    this.n = problem.options.length;
    this.m = problem.rows.length + 1;
    this.cost = Float64Array.from(problem.options, (o) => o.cost);
    this.state = this.withoutReplaced();
    this.members = [
      ...problem.rows.map((row) =>
        [...row.against.keys()].filter((i) => row.against[i] === 1 && this.state[i] !== LEFT_OUT),
      ),
      [...this.state.keys()].filter((i) => this.state[i] !== LEFT_OUT),
    ];
    this.reduced = new Float64Array(this.n);
  }

  run(): Solution | undefined {
    const paid = this.problem.forced.reduce((sum, i) => sum + this.cost[i]!, 0);
    this.search(paid, new Float64Array(this.m), ROOT_STEPS);
    return this.best ? { chosen: this.best, cost: this.bestCost, nodes: this.nodes } : undefined;
  }

  /** Forced options are chosen, and those that another one replaces are left out. */
  private withoutReplaced(): Int8Array {
    const state = new Int8Array(this.n).fill(OPEN);
    for (let b = 0; b < this.n; b += 1) {
      if (this.problem.forced.includes(b)) continue;
      for (let a = 0; a < this.n && state[b] === OPEN; a += 1)
        if (a !== b && state[a] !== LEFT_OUT && replaces(this.problem, a, b)) state[b] = LEFT_OUT;
    }
    for (const i of this.problem.forced) state[i] = CHOSEN;
    return state;
  }

  private search(paid: number, multipliers: Float64Array, steps: number): void {
    this.nodes += 1;
    if (this.nodes > MOST_NODES) throw new Error('the plan is too tangled to be proved cheapest');
    const groups = this.groupsThatFit();
    const lacks = this.lacks(groups);
    if (!lacks) return;
    if (lacks.every((lack) => lack <= 0)) {
      this.keepIfCheaper(paid);
      return;
    }
    const below = this.bound(lacks, groups, multipliers, steps, this.bestCost - paid);
    if (paid + below >= this.bestCost - EPSILON) return;
    const pick = this.branchOn(lacks, groups);
    if (pick === undefined) return;
    this.state[pick] = CHOSEN;
    this.search(paid + this.cost[pick]!, multipliers.slice(), NODE_STEPS);
    this.state[pick] = LEFT_OUT;
    this.search(paid, multipliers.slice(), NODE_STEPS);
    this.state[pick] = OPEN;
  }

  private keepIfCheaper(paid: number): void {
    if (paid >= this.bestCost - EPSILON) return;
    this.bestCost = paid;
    this.best = [...this.state.keys()].filter((i) => this.state[i] === CHOSEN);
  }

  private groupsThatFit(): ReadonlySet<number> {
    const groups = new Set(this.problem.fitGroups);
    for (let i = 0; i < this.n; i += 1)
      if (this.state[i] === CHOSEN) groups.add(this.problem.options[i]!.group);
    return groups;
  }

  /** What each covering row still lacks; undefined if one can no longer be filled. */
  private lacks(groups: ReadonlySet<number>): Int32Array | undefined {
    const { problem, state } = this;
    const lacks = new Int32Array(this.m);
    for (let r = 0; r < problem.rows.length; r += 1) {
      const row = problem.rows[r]!;
      const have = barsOf(problem, row, state, false);
      if (have >= row.need) continue;
      if (barsOf(problem, row, state, true) < row.need) return undefined;
      lacks[r] = row.need - have;
    }
    const missing = problem.groupsNeeded - groups.size;
    if (missing > 0) {
      const reachable = new Set<number>();
      for (let i = 0; i < this.n; i += 1)
        if (state[i] === OPEN && !groups.has(problem.options[i]!.group))
          reachable.add(problem.options[i]!.group);
      if (reachable.size < missing) return undefined;
      lacks[this.m - 1] = missing;
    }
    return lacks;
  }

  /** Whether an option can help to fill a row: in the last one only where its group does not fit yet. */
  private helps(r: number, i: number, groups: ReadonlySet<number>): boolean {
    return r < this.m - 1 || !groups.has(this.problem.options[i]!.group);
  }

  /**
   * The Lagrangian bound on what is still to be paid, improved by subgradient steps from the given multipliers,
   * which it changes. Ends early once it reaches `wanted`.
   */
  private bound(
    lacks: Int32Array,
    groups: ReadonlySet<number>,
    multipliers: Float64Array,
    steps: number,
    wanted: number,
  ): number {
    let top = 0;
    let scale = 1;
    let sinceBetter = 0;
    for (let step = 0; step <= steps; step += 1) {
      const value = this.relaxed(lacks, groups, multipliers);
      if (value > top + EPSILON) {
        top = value;
        sinceBetter = 0;
      } else if ((sinceBetter += 1) >= STEPS_WITHOUT_GAIN) {
        scale /= 2;
        sinceBetter = 0;
      }
      if (top >= wanted - EPSILON || step === steps || scale < SMALLEST_SCALE) break;
      const aim = Number.isFinite(wanted) ? wanted : Math.max(value * 1.3, value + 20);
      if (!this.improve(lacks, groups, multipliers, scale * Math.max(1, aim - value))) break;
    }
    return top;
  }

  /** The value of the relaxed problem; leaves the reduced costs in `reduced`. */
  private relaxed(lacks: Int32Array, groups: ReadonlySet<number>, multipliers: Float64Array): number {
    const { members, n, m, reduced, state } = this;
    reduced.set(this.cost);
    let value = 0;
    for (let r = 0; r < m; r += 1) {
      const u = multipliers[r]!;
      if (lacks[r]! <= 0) continue;
      value += lacks[r]! * u;
      if (u === 0) continue;
      for (const i of members[r]!) if (this.helps(r, i, groups)) reduced[i]! -= u;
    }
    for (let i = 0; i < n; i += 1) if (state[i] === OPEN && reduced[i]! < 0) value += reduced[i]!;
    return value;
  }

  /** One subgradient step of a length. @returns false where there is no way up */
  private improve(
    lacks: Int32Array,
    groups: ReadonlySet<number>,
    multipliers: Float64Array,
    length: number,
  ): boolean {
    const { members, m, reduced, state } = this;
    let norm = 0;
    const slope = new Float64Array(m);
    for (let r = 0; r < m; r += 1) {
      if (lacks[r]! <= 0) continue;
      let g = lacks[r]!;
      for (const i of members[r]!)
        if (state[i] === OPEN && reduced[i]! < 0 && this.helps(r, i, groups)) g -= 1;
      slope[r] = g;
      norm += g * g;
    }
    if (norm === 0) return false;
    const size = length / norm;
    for (let r = 0; r < m; r += 1)
      if (lacks[r]! > 0) multipliers[r] = Math.max(0, multipliers[r]! + size * slope[r]!);
    return true;
  }

  /**
   * The option to branch on: of the row that is tightest, the one that the bound likes best.
   *
   * @returns undefined where a row has nothing left that could fill it
   */
  private branchOn(lacks: Int32Array, groups: ReadonlySet<number>): number | undefined {
    const { members, m, reduced, state } = this;
    let pick: number | undefined;
    let tightest = Infinity;
    let liked = Infinity;
    for (let r = 0; r < m; r += 1) {
      if (lacks[r]! <= 0) continue;
      const open = members[r]!.filter((i) => state[i] === OPEN && this.helps(r, i, groups));
      const slack = open.length - lacks[r]!;
      if (slack > tightest) continue;
      const here = open.reduce((a, i) => (a === -1 || reduced[i]! < reduced[a]! ? i : a), -1);
      if (here === -1) return undefined;
      if (slack < tightest || reduced[here]! < liked) {
        tightest = slack;
        liked = reduced[here]!;
        pick = here;
      }
    }
    return pick;
  }
}
