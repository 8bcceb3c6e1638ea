import type { FindRecord } from './record';

/** Pieces of a patch that were gone through after one of them was decided. */
export interface PieceCount {
  readonly passed: number;
  readonly strays: number;
  /** What could still be taken back as a slip: only the last one, once. */
  readonly last?: 'passed' | 'stray';
}

/** How many passed and how many were strays, by everything that was counted. */
export function countOf({ counted }: Pick<FindRecord, 'counted'>): PieceCount {
  let [passed, strays] = [0, 0];
  let last: PieceCount['last'];
  for (const { result } of counted) {
    if (result === 'taken-back') {
      if (last === 'passed') passed -= 1;
      if (last === 'stray') strays -= 1;
      last = undefined;
    } else {
      if (result === 'passed') passed += 1;
      else strays += 1;
      last = result;
    }
  }
  return { passed, strays, ...(last ? { last } : {}) };
}
