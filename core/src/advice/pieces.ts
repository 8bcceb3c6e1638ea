import { viewCase, type Case } from '../case';
import type { CharacterId, CompiledGuide, TaxonId } from '../guide';
import { misreadOf } from './misread';
import { buildProblem, mostBars, solve, type Hands, type Obstacle, type PlanProblem } from './plan';

/**
 * The piece check: for the rest of a patch or a basket, the cheapest checks that give the full bars against
 * each *listed* lookalike. The promise reaches as far as that: not to dangerous taxa that nobody listed.
 */
export type PieceCheck =
  | {
      readonly feasible: true;
      /** In the order to make them: each one stops most of what the ones before let through. */
      readonly checks: readonly { readonly character: CharacterId; readonly seconds: number }[];
      readonly seconds: number;
      /**
       * By how many of the checks are made (0 to all): the share of strays that slip through, and of which
       * taxon.
       */
      readonly slips: readonly { readonly share: number; readonly taxon: TaxonId }[];
    }
  | { readonly feasible: false; readonly obstacles: readonly Obstacle[] };

/**
 * @param find the find whose further pieces are to be checked; what was read on its own piece does not count
 * for them
 * @param misread how often this person misreads a character, where that was measured: it changes the chances
 * that are shown, and never which checks are needed
 * @returns no checks at all if the target lists no lookalike of its kingdom
 * @throws Error if the target is not in the guide
 */
export function pieceCheck(
  guide: CompiledGuide,
  find: Case,
  hands: Hands = {},
  misread?: ReadonlyMap<string, number>,
): PieceCheck {
  const target = guide.taxon(find.target);
  if (!target) throw new Error(`target "${find.target}" is not in the guide`);
  const fresh: Case = {
    ...find,
    readings: [],
    withdrawals: [],
    skips: [],
    earlierTargets: [],
    pieces: find.pieces.slice(0, 1).map((p) => ({ ...p, purpose: 'decide' })),
  };
  const whole = buildProblem(guide, viewCase(guide, fresh), target, hands);
  const listed = new Set<string>(target.taxon.lookalikes);
  const problem: PlanProblem = {
    ...whole,
    rows: whole.rows.filter((row) => listed.has(row.taxon.id)),
    forced: [],
    unseen: [],
    groupsNeeded: 0,
  };
  if (problem.rows.length === 0) return { feasible: true, checks: [], seconds: 0, slips: [] };
  const found = solve(problem);
  if (!found) {
    return {
      feasible: false,
      obstacles: problem.rows
        .map(
          (row) =>
            ({
              code: 'cannot-bar',
              taxon: row.taxon.id,
              most: mostBars(problem, row),
              need: row.need,
            }) as const,
        )
        .filter((o) => o.most < o.need),
    };
  }
  return { feasible: true, ...inTellingOrder(problem, found.chosen, misread) };
}

type Own = ReadonlyMap<string, number> | undefined;

/**
 * A stray passes a check if it shows no difference there, or if the difference is misread. Checks of one
 * group are misread together, so of one group only the best counts.
 */
function slip(
  problem: PlanProblem,
  made: readonly number[],
  row: PlanProblem['rows'][number],
  misread: Own,
): number {
  const rates = new Map<number, number>();
  for (const i of made) {
    const option = problem.options[i];
    if (!option || row.against[i] !== 1) continue;
    rates.set(option.group, Math.min(rates.get(option.group) ?? 1, misreadOf(option.character, misread)));
  }
  return [...rates.values()].reduce((product, rate) => product * rate, 1);
}

function worst(
  problem: PlanProblem,
  made: readonly number[],
  misread: Own,
): { share: number; taxon: TaxonId } {
  return problem.rows
    .map((row) => ({ share: slip(problem, made, row, misread), taxon: row.taxon.id }))
    .reduce((a, b) => (b.share > a.share ? b : a));
}

function inTellingOrder(problem: PlanProblem, chosen: readonly number[], misread: Own) {
  const made: number[] = [];
  const left = [...chosen];
  const slips = [worst(problem, [], misread)];
  while (left.length > 0) {
    const total = (i: number) =>
      problem.rows.reduce((sum, row) => sum + slip(problem, [...made, i], row, misread), 0);
    const next = left.reduce((a, b) => (total(b) < total(a) ? b : a));
    made.push(next);
    left.splice(left.indexOf(next), 1);
    slips.push(worst(problem, made, misread));
  }
  const checks = made.flatMap((i) => {
    const option = problem.options[i];
    return option ? [{ character: option.character.id, seconds: option.character.character.seconds }] : [];
  });
  return { checks, seconds: checks.reduce((sum, c) => sum + c.seconds, 0), slips };
}
