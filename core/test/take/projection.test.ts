import { project, growth, LIVES, yearOf, offspringOf, costOf, chanceToKeep } from '../../src/harvest/taking';
import { FORMS } from './kit';

describe('projection', () => {
  test('of one year, by hand', () => {
    expect(
      project(
        [
          [0, 2],
          [0.5, 0.8],
        ],
        [10, 20],
      ),
    ).toEqual([40, 21]);
  });

  test.each<[string, number[][], number]>([
    // The larger root of x² - trace x + determinant.
    [
      'two stages',
      [
        [0, 2],
        [0.5, 0.8],
      ],
      (0.8 + Math.sqrt(0.64 + 4)) / 2,
    ],
    [
      'an annual with seed in the ground',
      [
        [0.5, 5],
        [0.25, 0],
      ],
      (0.5 + Math.sqrt(0.25 + 5)) / 2,
    ],
    [
      'what dies out',
      [
        [0.5, 0.1],
        [0.2, 0.3],
      ],
      (0.8 + Math.sqrt(0.64 - 4 * (0.15 - 0.02))) / 2,
    ],
    // Three stages in a ring: the cube root of the product of what passes on.
    [
      'a ring of three',
      [
        [0, 0, 8],
        [0.5, 0, 0],
        [0, 0.5, 0],
      ],
      2 ** (1 / 3),
    ],
    // Triangular: the largest on the diagonal.
    [
      'no young at all',
      [
        [0.2, 0, 0],
        [0.3, 0.7, 0],
        [0, 0.2, 0.95],
      ],
      0.95,
    ],
    ['one that stays', [[1]], 1],
  ])('grows by the largest eigenvalue: %s', (_, matrix, rate) => {
    const found = growth(matrix);
    expect(found.rate).toBeCloseTo(rate, 8);
    expect(found.stages.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    // And so it does, whatever it begins with.
    let patch: readonly number[] = matrix.map((__, index) => index + 1);
    let log = 0;
    for (let year = 0; year < 600; year += 1) {
      const next = project(matrix, patch);
      const sum = next.reduce((a, b) => a + b, 0) / patch.reduce((a, b) => a + b, 0);
      if (year >= 300) log += Math.log(sum);
      patch = next.map((one) => one / sum);
    }
    expect(Math.exp(log / 300)).toBeCloseTo(rate, 5);
  });

  test('with nothing taken every way of living grows as it does, and keeps its own', () => {
    for (const form of FORMS) {
      const life = LIVES[form];
      expect(growth(yearOf(life, offspringOf(life), 'fruit', costOf('fruit', form), 0)).rate).toBeCloseTo(
        life.grows,
        6,
      );
      expect(chanceToKeep(form, 'root', 0)).toBeGreaterThan(0.97);
      for (const { stays, grows, shrinks = 0 } of life.stages)
        expect(stays + grows + shrinks).toBeLessThanOrEqual(1);
    }
  });
});
