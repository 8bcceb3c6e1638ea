import {
  longRun,
  shareOf,
  chanceToKeep,
  momentum,
  project,
  COUNTED_BY_STAGE,
  growth,
  yearOf,
  LIVES,
  offspringOf,
  costOf,
  normalBelow,
  patchCeiling,
  FEW,
} from '../../src/harvest/taking';
import { FORMS, PARTS } from './kit';

describe('the share of a patch', () => {
  test('the more is taken, the less it grows and the less surely it stays', () => {
    for (const form of FORMS) {
      for (const part of PARTS) {
        const at = [0, 0.1, 0.25, 0.5, 0.9, 1].map((share) => longRun(form, part, share));
        expect([...at].sort((a, b) => b - a)).toEqual(at);
        expect(shareOf(form, part, { chance: 0.99 })).toBeLessThanOrEqual(
          shareOf(form, part, { chance: 0.9 }),
        );
        expect(shareOf(form, part, { chance: 0.9 })).toBeLessThanOrEqual(
          shareOf(form, part, { chance: 0.6 }),
        );
        const share = shareOf(form, part, { chance: 0.9 });
        expect(chanceToKeep(form, part, share)).toBeGreaterThan(0.899);
        if (share < 1) expect(chanceToKeep(form, part, share + 0.01)).toBeLessThan(0.9);
      }
    }
  });

  test('is least of what ends the plant, and more of what it can spare', () => {
    for (const form of FORMS) {
      expect(shareOf(form, 'root')).toBeLessThanOrEqual(shareOf(form, 'leaf'));
      expect(shareOf(form, 'root')).toBeLessThanOrEqual(shareOf(form, 'fruit'));
    }
    // A root that lives for decades bears hardly anything; runners bear that all of their berries go.
    expect(shareOf('perennial', 'root')).toBeLessThan(0.05);
    expect(shareOf('clonal', 'fruit')).toBe(1);
  });

  test('momentum, by hand and by letting it grow', () => {
    // Two stages: the left eigenvector of [[0, 2], [0.5, 0.8]] at rate r is (0.5, r); the right one (2, r),
    // of which the parts are taken.
    const matrix = [
      [0, 2],
      [0.5, 0.8],
    ];
    const r = (0.8 + Math.sqrt(4.64)) / 2;
    const worth = 0.5 * 2 + r * r;
    const both = () => true;
    expect(momentum(matrix, [7, 0], both)).toBeCloseTo(((0.5 * 7) / worth) * ((2 + r) / 7), 6);
    expect(momentum(matrix, [0, 3], (stage) => stage === 1)).toBeCloseTo(((r * 3) / worth) * (r / 3), 6);
    let patch: readonly number[] = [90, 10];
    for (let year = 0; year < 80; year += 1) patch = project(matrix, patch);
    expect(patch.reduce((a, b) => a + b, 0) / (100 * r ** 80)).toBeCloseTo(
      momentum(matrix, [90, 10], both),
      4,
    );
    expect((patch[1] ?? 0) / (10 * r ** 80)).toBeCloseTo(
      momentum(matrix, [90, 10], (stage) => stage === 1),
      4,
    );
    expect(() => momentum(matrix, [4, 0], (stage) => stage === 1)).toThrow(/^patch:/);
  });

  test('counted by stage: where fewer young than usual follow less is taken, where more do no more', () => {
    for (const form of COUNTED_BY_STAGE) {
      for (const part of PARTS) {
        const share = shareOf(form, part);
        expect(shareOf(form, part, { stages: [950, 40, 10] })).toBeLessThanOrEqual(share + 1e-9);
        expect(shareOf(form, part, { stages: [0, 5, 95] })).toBeLessThanOrEqual(share + 1e-9);
        // What stands as it usually does bears what is usual.
        const usual = growth(
          yearOf(LIVES[form], offspringOf(LIVES[form]), part, costOf(part, form), share),
        ).stages;
        expect(shareOf(form, part, { stages: usual.map((one) => one * 1000) })).toBeGreaterThan(share - 0.03);
      }
    }
    // Grown ones that bear nothing yet; and bearing ones that nothing follows.
    expect(shareOf('perennial', 'leaf', { stages: [0, 90, 0] })).toBeLessThan(
      shareOf('perennial', 'leaf') - 0.02,
    );
    expect(shareOf('shrub', 'fruit', { stages: [0, 0, 90] })).toBeLessThan(shareOf('shrub', 'fruit') - 0.02);
    // Seed in the ground and threads are not counted by anybody; and where nothing can be taken of any,
    // nothing is known of their order.
    expect(shareOf('mycelium', 'cap', { stages: [0, 1, 95] })).toBe(shareOf('mycelium', 'cap'));
    expect(shareOf('shrub', 'fruit', { stages: [50, 10, 0] })).toBe(shareOf('shrub', 'fruit'));
  });

  test('what nobody wrote a cost for counts as the whole plant', () => {
    expect(shareOf('perennial', 'bark')).toBeLessThanOrEqual(shareOf('perennial', 'fruit'));
    expect(costOf('bark', 'shrub').survival).toBe(1);
  });

  test('the normal distribution, beside its table', () => {
    for (const [z, p] of [
      [0, 0.5],
      [1, 0.841345],
      [-1, 0.158655],
      [1.2816, 0.9],
      [2.3263, 0.99],
      [-3, 0.00135],
    ] as const)
      expect(normalBelow(z)).toBeCloseTo(p, 4);
  });
});

describe('the patch ceiling', () => {
  const count = { low: 200, mid: 240, high: 280 };
  const ask = (more: object = {}) => patchCeiling({ lifeForm: 'perennial', part: 'leaf', count, ...more });
  const share = shareOf('perennial', 'leaf');

  test('is the share of the fewest that there may be', () => {
    expect(ask()).toEqual({
      share,
      pieces: Math.floor(200 * share),
      reasons: [{ code: 'share', share, chance: 0.9, years: 50 }],
    });
    expect(ask({ count: undefined }).pieces).toBeUndefined();
  });

  test('what was taken before counts until it is there again: leaves for weeks, anything else for a year', () => {
    const half = ask({ taken: [{ daysAgo: 0, share: share / 2 }] });
    expect(half.share).toBeCloseTo(share / 2, 9);
    expect(ask({ taken: [{ daysAgo: 0, share: 1 }] }).pieces).toBe(0);
    expect(ask({ taken: [{ daysAgo: 200, share: 1 }] }).share).toBe(share);
    const fruit = (daysAgo: number) =>
      patchCeiling({ lifeForm: 'shrub', part: 'fruit', count, taken: [{ daysAgo, share: 0.2 }] }).share!;
    expect(fruit(10)).toBeLessThan(fruit(300));
    expect(fruit(400)).toBe(shareOf('shrub', 'fruit'));
  });

  test('says why where it renews itself less than usual', () => {
    const old = ask({ stages: [0, 120, 0] });
    expect(old.share).toBeLessThan(share);
    expect(old.reasons).toEqual([
      expect.objectContaining({ code: 'share' }),
      { code: 'renews-less', usual: share },
    ]);
    expect(ask({ stages: [900, 120, 120] })).toMatchObject({ share, reasons: [{ code: 'share' }] });
  });

  test('of few: none that ends the plant, hardly any of the rest', () => {
    const few = { low: FEW - 1, mid: FEW, high: FEW + 1 };
    expect(patchCeiling({ lifeForm: 'annual', part: 'root', count: few })).toMatchObject({
      share: 0,
      pieces: 0,
      reasons: [{ code: 'few', number: 9 }, { code: 'share' }],
    });
    expect(patchCeiling({ lifeForm: 'annual', part: 'flower', count: few }).share).toBe(0.1);
  });

  test('an invader may be taken whole; of what nobody knows the life of, nothing is known', () => {
    expect(ask({ invader: true, count: { low: 3, mid: 3, high: 3 } })).toEqual({
      share: 1,
      pieces: 3,
      reasons: [{ code: 'invader' }],
    });
    expect(ask({ lifeForm: undefined })).toEqual({
      share: undefined,
      pieces: undefined,
      reasons: [{ code: 'life-unknown' }],
    });
  });
});
