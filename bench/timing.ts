/** How long things take, in milliseconds. */

export const milliseconds = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};

/** How long each of some runs took. */
export function times(runs: number, work: (run: number) => unknown): number[] {
  return Array.from({ length: runs }, (_, run) => {
    const start = performance.now();
    work(run);
    return performance.now() - start;
  });
}

/** The value below which this share of all lies; NaN where there is none. */
export const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))] ?? Number.NaN;

export async function median(work: () => Promise<unknown>, runs = 15): Promise<number> {
  const all: number[] = [];
  for (let n = 0; n < runs; n += 1) all.push(await milliseconds(work));
  return quantile(all, 0.5);
}
