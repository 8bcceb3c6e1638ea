/**
 * Stage-structured projection of a patch: from one year to the next, so many of each stage give so many of
 * each (Lefkovitch, "The study of population growth in organisms grouped by stages", Biometrics 21, 1965;
 * Caswell, "Matrix Population Models").
 */

/** `matrix[to][from]`: how many of a stage next year come of one of another now. */
export type Matrix = readonly (readonly number[])[];

/** The patch a year later. */
export function project(matrix: Matrix, patch: readonly number[]): number[] {
  return matrix.map((row) => row.reduce((sum, rate, from) => sum + rate * (patch[from] ?? 0), 0));
}

const STEPS = 4000;
const EXACT = 1e-13;

/**
 * Stages as they come to stand to one another (together 1), and by what the whole grows in a year: the
 * largest eigenvalue, by power iteration.
 */
export function growth(matrix: Matrix): { readonly rate: number; readonly stages: readonly number[] } {
  let stages: readonly number[] = matrix.map(() => 1 / matrix.length);
  let rate = 0;
  for (let step = 0; step < STEPS; step += 1) {
    // Half of what was, so that what only swings to and fro comes to rest too.
    const next = project(matrix, stages).map((value, index) => (value + (stages[index] ?? 0)) / 2);
    const sum = next.reduce((a, b) => a + b, 0);
    if (sum <= 0) return { rate: 0, stages };
    const before = rate;
    rate = 2 * sum - 1;
    stages = next.map((value) => value / sum);
    if (step > 5 && Math.abs(rate - before) < EXACT) break;
  }
  return { rate: Math.max(0, rate), stages };
}

const turned = (matrix: Matrix): Matrix => matrix.map((_, from) => matrix.map((row) => row[from] ?? 0));

/**
 * How many times more of some stages there come to be, for as many of them now, than in a patch whose stages
 * stand as they come to stand: below 1 where hardly any follow those that are old (population momentum;
 * Caswell, chapter 4, by the left eigenvector).
 *
 * @param counts whether a stage is one of those
 * @throws RangeError where there is none of them
 */
export function momentum(
  matrix: Matrix,
  patch: readonly number[],
  counts: (stage: number) => boolean,
): number {
  const [value, settled] = [growth(turned(matrix)).stages, growth(matrix).stages];
  const some = (stages: readonly number[]) =>
    stages.reduce((sum, one, at) => sum + (counts(at) ? one : 0), 0);
  const worth = (stages: readonly number[]) =>
    stages.reduce((sum, one, at) => sum + one * (value[at] ?? 0), 0);
  if (!(some(patch) > 0)) throw new RangeError('patch: one or more of the stages that count');
  return (worth(patch) / worth(settled)) * (some(settled) / some(patch));
}
