import { viewCase, type Case } from '../../case';
import type { CharacterId, CompiledGuide, CompiledTaxon, Damage, TaxonId } from '../../guide';
import { mostBars, mostGroups } from './count';
import { buildProblem, type Hands, type Option, type PlanProblem } from './problem';
import { solve } from './solve';

export { buildProblem, canBeMade, type Hands, type Option, type PlanProblem, type Row } from './problem';
export { solve } from './solve';
export { mostBars, type Solution } from './count';

/** Why there is no plan now: what cannot be filled, however much is looked at. */
export type Obstacle =
  | { readonly code: 'cannot-bar'; readonly taxon: TaxonId; readonly most: number; readonly need: number }
  | { readonly code: 'mark-unseen'; readonly character: CharacterId }
  | { readonly code: 'too-few-groups'; readonly most: number; readonly need: number }
  /** Each could be filled alone, not all together. */
  | { readonly code: 'not-together' };

export type Plan =
  | {
      readonly feasible: true;
      /** In the order to make them: harmless before harmful, then the quick ones first. */
      readonly checks: readonly PlannedCheck[];
      readonly seconds: number;
      readonly damage: Damage;
      readonly gear: readonly string[];
      /** Seconds with damage counted as seconds; no cheaper set fills everything. */
      readonly cost: number;
    }
  | { readonly feasible: false; readonly obstacles: readonly Obstacle[] };

export interface PlannedCheck {
  readonly character: CharacterId;
  readonly seconds: number;
  readonly damage: Damage;
  /** Taxa against which it would be a ground. */
  readonly against: readonly TaxonId[];
}

const DAMAGES: readonly Damage[] = ['none', 'slight', 'part', 'whole'];

/**
 * The cheapest set of checks, from what has been read so far, that would fill all bars, the signature and the
 * groups that must fit, if the specimen shows what is usual for the target at the recorded stages (all its
 * stages, if none is recorded). Proved cheapest. Checks that cannot be made with these hands are left out.
 *
 * @throws Error if the target is not in the guide
 */
export function plan(guide: CompiledGuide, find: Case, hands: Hands = {}): Plan {
  const target = guide.taxon(find.target);
  if (!target) throw new Error(`target "${find.target}" is not in the guide`);
  return planOf(buildProblem(guide, viewCase(guide, find), target, hands));
}

/** For each check of a plan: the plan if it turns out to be impossible, the rest being as it is. */
export function fallbacks(
  guide: CompiledGuide,
  find: Case,
  of: Plan,
  hands: Hands = {},
): { readonly character: CharacterId; readonly plan: Plan }[] {
  if (!of.feasible) return [];
  return of.checks.map(({ character }) => ({
    character,
    plan: plan(guide, find, { ...hands, without: new Set([...(hands.without ?? []), character]) }),
  }));
}

function planOf(problem: PlanProblem): Plan {
  const found = problem.unseen.length === 0 ? solve(problem) : undefined;
  if (!found) return { feasible: false, obstacles: obstacles(problem) };
  const options = found.chosen
    .map((i) => [i, problem.options[i]] as const)
    .filter((pair): pair is readonly [number, Option] => pair[1] !== undefined);
  const checks = options
    .map(([i, option]) =>
      planned(
        option,
        problem.rows.filter((row) => row.against[i] === 1).map((row) => row.taxon),
      ),
    )
    .sort(
      (a, b) =>
        DAMAGES.indexOf(a.damage) - DAMAGES.indexOf(b.damage) ||
        a.seconds - b.seconds ||
        (a.character < b.character ? -1 : 1),
    );
  return {
    feasible: true,
    checks,
    seconds: checks.reduce((sum, c) => sum + c.seconds, 0),
    damage: DAMAGES[Math.max(0, ...checks.map((c) => DAMAGES.indexOf(c.damage)))] ?? 'none',
    gear: [...new Set(options.flatMap(([, o]) => o.character.character.gear ?? []))].sort(),
    cost: found.cost,
  };
}

function planned(option: Option, against: readonly CompiledTaxon[]): PlannedCheck {
  const { id, seconds, damage } = option.character.character;
  return { character: id, seconds, damage, against: against.map((t) => t.id) };
}

function obstacles(problem: PlanProblem): Obstacle[] {
  const found: Obstacle[] = problem.unseen.map((c) => ({ code: 'mark-unseen', character: c.id }));
  for (const row of problem.rows) {
    const most = mostBars(problem, row);
    if (most < row.need) found.push({ code: 'cannot-bar', taxon: row.taxon.id, most, need: row.need });
  }
  const most = mostGroups(problem);
  if (most < problem.groupsNeeded) found.push({ code: 'too-few-groups', most, need: problem.groupsNeeded });
  return found.length > 0 ? found : [{ code: 'not-together' }];
}
