import { decide } from '../../src';
import { guide, find, reading } from '../finds';
import { row } from './kit';

describe('measures', () => {
  const width = (number: number, unit: string, error?: number) =>
    decide(
      guide,
      find('vaccinium-myrtillus', [
        reading('fruit.diameter', { kind: 'measure', number, unit, ...(error ? { error } : {}) }),
      ]),
    );

  // Deadly nightshade berries: at least 5 mm; the instrument's own error is 1 mm.
  test.each([
    [3.5, 'mm', 1],
    [4, 'mm', 0],
    [0.35, 'cm', 1],
    [0.14, 'in', 1],
    [0.17, 'in', 0],
  ])('%d %s gives %d bars against nightshade', (number, unit, bars) => {
    expect(row(width(number, unit), 'atropa-bella-donna').bars).toHaveLength(bars);
  });

  test('a larger stated error takes the bar away', () => {
    expect(row(width(3.5, 'mm', 2), 'atropa-bella-donna').bars).toHaveLength(0);
  });

  test('a measure so vague that it says nothing is no fit', () => {
    const vague = decide(
      guide,
      find('vaccinium-myrtillus', [
        reading('fruit.diameter', { kind: 'measure', number: 7, unit: 'mm', error: 100 }),
      ]),
    );
    expect(vague.holds.fitGroups).toEqual([]);
  });
});
