import * as fc from 'fast-check';
import {
  type Read,
  confusionOf,
  rateOf,
  type Memory,
  met,
  unseen,
  remembered,
  type Due,
  dueNow,
  EARNED,
  isEarned,
} from '../../src/practice';
import { seeded } from '../../src/season/weather';

describe('what somebody confuses', () => {
  /** Somebody who takes one state for another at a known rate, and says "sure" a little too often. */
  function learner(rate: number, times: number, seed: number): Read[] {
    const draw = seeded(seed);
    return Array.from({ length: times }, (): Read => {
      const wrong = draw() < rate;
      return {
        character: 'stem.section' as never,
        shown: 'round' as never,
        read: (wrong ? 'angled' : 'round') as never,
        sureness: draw() < (wrong ? 0.5 : 0.8) ? 'sure' : 'fairly',
      };
    });
  }
  test('is found again, with the rate inside what is said in about eight of ten', () => {
    let inside = 0;
    for (let run = 0; run < 200; run += 1) {
      const rate = 0.02 + 0.3 * seeded(run)();
      const { byCharacter, pairs } = confusionOf(learner(rate, 120, run + 1));
      const found = byCharacter.get('stem.section' as never)!;
      inside += Number(rate >= found.low && rate <= found.high);
      if (found.wrong > 0)
        expect(pairs[0]).toMatchObject({ shown: 'round', read: 'angled', times: found.wrong });
    }
    expect(inside / 200).toBeGreaterThan(0.7);
    expect(inside / 200).toBeLessThan(0.9);
  });
  test('says how often “sure” was right', () => {
    const { calibration } = confusionOf(learner(0.2, 4000, 5));
    // By hand: of a hundred, 80 right of which 64 are sure, and 20 wrong of which 10 are: 10 in 74 wrong.
    expect(calibration.sure.mid).toBeCloseTo(10 / 74, 1);
    expect(calibration.fairly.mid).toBeCloseTo(10 / 26, 1);
    expect(calibration.guess).toMatchObject({ times: 0, wrong: 0 });
    expect(() => rateOf(3, 2)).toThrow(/^wrong/);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 300 }), (wrong, right) => {
        const { low, mid, high } = rateOf(wrong, wrong + right);
        expect(low).toBeLessThanOrEqual(mid + 0.02);
        expect(high).toBeGreaterThanOrEqual(mid - 0.02);
      }),
    );
  });
});

describe('when to look at what again', () => {
  const day = (number: number) => new Date(Date.UTC(2026, 3, 1) + number * 86_400_000);
  const drills = (days: readonly number[], right = true): Memory =>
    days.reduce((memory, at) => met(memory, { kind: 'drill', right, sure: true }, day(at)), unseen(day(0)));

  test('what is known comes back later and later, what was mistaken at once, and in earnest weighs more', () => {
    const once = drills([0]);
    const often = drills([0, 1, 4, 12, 35]);
    expect(often.stability).toBeGreaterThan(once.stability * 5);
    expect(remembered(often, day(40))).toBeGreaterThan(remembered(once, day(40)));
    const drilled = met(often, { kind: 'drill', right: false, sure: true }, day(70));
    const field = met(often, { kind: 'field-wrong' }, day(70));
    const stray = met(often, { kind: 'stray-through' }, day(70));
    expect(drilled.stability).toBeLessThan(often.stability);
    expect(field.difficulty).toBeGreaterThan(drilled.difficulty);
    expect(stray.difficulty).toBeGreaterThanOrEqual(field.difficulty);
    expect(remembered(unseen(day(0)), day(1))).toBe(0);
  });
  test('a clock that was set back is no time gone by, and loses nothing', () => {
    const often = drills([0, 1, 4, 12]);
    const back = met(often, { kind: 'drill', right: true, sure: true }, day(2));
    expect(back.lastReview).toBe(day(12).toISOString());
    expect(back.stability).toBeGreaterThanOrEqual(often.stability);
    expect(remembered(often, day(3))).toBeLessThanOrEqual(1);
  });
  test('what is due and stands around just now comes first, then what is worst to forget', () => {
    const card = (id: string, grade: Due['grade'], soon: Due['soon'] = 0, memory = drills([0])): Due => ({
      id,
      grade,
      soon,
      memory,
    });
    const cards = [
      card('a', 'none'),
      card('b', 'deadly'),
      card('c', 'unpleasant', 1),
      card('d', 'serious'),
      card('e', 'deadly', 0, drills([0, 3, 10, 30])),
    ];
    expect(dueNow(cards, day(20), 3).map(({ id }) => id)).toEqual(['c', 'b', 'd']);
    // What the next walk is for comes before all that only stands around.
    expect(dueNow([...cards, card('f', 'none', 2)], day(20), 2).map(({ id }) => id)).toEqual(['f', 'c']);
    expect(dueNow(cards, day(0), 9).map(({ id }) => id)).toEqual([]);
  });
  test('a pair is earned by long memory, enough looks and no recent danger; and it fades', () => {
    const memory = drills([0, 1, 4, 12, 35, 80]);
    expect(memory.stability).toBeGreaterThan(EARNED.stabilityDays);
    expect(isEarned(memory, undefined, day(82))).toBe(true);
    expect(isEarned(memory, day(60).toISOString(), day(82))).toBe(false);
    expect(isEarned(memory, day(10).toISOString(), day(82))).toBe(true);
    expect(isEarned(memory, undefined, day(2000))).toBe(false);
    expect(isEarned(drills([0, 1]), undefined, day(2))).toBe(false);
  });
});
