import { guide } from '../../src/deciding/guide';
import { faultsOf } from '../faulty';

/** Fails with the lines that are wrong, and what is wrong with each. */
export function expectPlain(lines: readonly string[]): void {
  const faults = lines.flatMap((line) => {
    const found = faultsOf(line);
    return found.length > 0 ? [`${line} <- ${found.join(', ')}`] : [];
  });
  expect(faults).toEqual([]);
}

export const parts = guide.taxa.flatMap(({ taxon }) => taxon.parts.map((part) => ({ taxon, part })));
