/**
 * Specimens that obey the guide, walks that cannot be gamed, confusion that is found again, and when to look
 * at what.
 */
import * as fc from 'fast-check';
import { lacksOnlySecondLooks, nextChecks } from '../src';
import { toLook } from '../src/case';
import {
  confusionOf,
  dueNow,
  EARNED,
  findOf,
  isEarned,
  met,
  rateOf,
  remembered,
  scoreOf,
  seenRightly,
  specimenOf,
  unseen,
  type Due,
  type Memory,
  type Read,
  type Specimen,
  type WalkDecision,
} from '../src/practice';
import { seeded } from '../src/season/weather';
import { relationAtStages } from '../src/verdict/relation';
import { collectable, guide, taxon } from './finds';

describe('specimens', () => {
  test('obey the guide, every taxon at every stage: as usual where they are not strained, and never beyond what is possible', () => {
    for (const one of guide.taxa) {
      for (const stage of one.taxon.stages) {
        for (const [seed, strain] of [
          [1, 0],
          [2, 0],
          [3, 2],
          [4, 50],
        ] as const) {
          const specimen = specimenOf(guide, { taxon: one, stage, seed, strain });
          const find = findOf(guide, specimen, one, seenRightly(specimen, [...specimen.shows.keys()]));
          for (const reading of find.readings) {
            const look = toLook(guide, reading);
            if (!look) throw new Error(`${one.id} ${reading.character}`);
            const relation = relationAtStages(look, one, [stage]);
            const odd = specimen.strained.includes(reading.character);
            // What is measured is as usual too; only a ruler's own error may reach beyond a narrow range.
            const may = odd || reading.value.kind === 'measure' ? ['fits', 'strains'] : ['fits'];
            if (!may.includes(relation))
              throw new Error(`${one.id} at ${stage}: ${reading.character} ${relation}`);
            const known = one.atStage.get(guide.character(reading.character)!.index)?.get(stage);
            if (known?.kind === 'number' && 'number' in reading.value) {
              const [low, high] = odd ? known.possible : known.usual;
              expect(reading.value.number >= low && reading.value.number <= high).toBe(true);
            }
          }
        }
      }
    }
  });
  test('the same seed is the same one, another is another; strain changes only what it strains', () => {
    const ramsons = taxon('allium-ursinum');
    const [stage] = ramsons.taxon.stages;
    const of = (seed: number, strain = 0): Specimen =>
      specimenOf(guide, { taxon: ramsons, stage: stage!, seed, strain });
    expect(of(5)).toEqual(of(5));
    expect(
      new Set(Array.from({ length: 20 }, (_, seed) => JSON.stringify([...of(seed).shows]))).size,
    ).toBeGreaterThan(10);
    const strained = of(5, 2);
    for (const [character, value] of of(5).shows)
      if (!strained.strained.includes(character)) expect(strained.shows.get(character)).toEqual(value);
    expect(() => specimenOf(guide, { taxon: ramsons, stage: 'nowhere' as never, seed: 1 })).toThrow(/^stage/);
  });
});

/**
 * Walks of many finds, half of them what they are taken for, the others a lookalike; met by somebody who
 * decides in one way.
 */
function walks(
  decide: (
    specimen: Specimen,
    target: ReturnType<typeof taxon>,
  ) => {
    checked: Specimen['shows'] extends ReadonlyMap<infer K, unknown> ? K[] : never;
    decided: WalkDecision;
  },
  finds = 120,
) {
  const draw = seeded(11);
  let [points, dangerous] = [0, 0];
  for (let at = 0; at < finds; at += 1) {
    const target = collectable[Math.floor(draw() * collectable.length)]!;
    const others = target.taxon.lookalikes.flatMap((id) => guide.taxon(id) ?? []);
    const stage = target.taxon.parts[0]!.stages.at(-1)!;
    const lookalike = others[Math.floor(draw() * others.length)];
    const what = draw() < 0.5 && lookalike?.taxon.stages.includes(stage) ? lookalike : target;
    const specimen = specimenOf(guide, { taxon: what, stage, seed: at });
    const { checked, decided } = decide(specimen, target);
    const scored = scoreOf(guide, { specimen, target, looks: seenRightly(specimen, checked), decided });
    points += scored.points;
    dangerous += Number(decided === 'collect' && scored.risked !== 'none');
  }
  return { points: points / finds, dangerous: dangerous / finds };
}
/** Checks what is proposed, and decides as the verdict says. */
function carefully(
  specimen: Specimen,
  target: ReturnType<typeof taxon>,
): { checked: never[]; decided: WalkDecision } {
  const checked: never[] = [];
  for (let step = 0; step < 25; step += 1) {
    const [next] = nextChecks(guide, findOf(guide, specimen, target, seenRightly(specimen, checked)));
    if (!next || checked.includes(next.character as never)) break;
    checked.push(next.character as never);
    const { verdict, points: _ } = scoreOf(guide, {
      specimen,
      target,
      looks: seenRightly(specimen, checked),
      decided: 'not-yet',
    });
    if (verdict.outcome === 'collect' || lacksOnlySecondLooks(verdict))
      return { checked, decided: 'collect' };
  }
  return { checked, decided: 'leave' };
}

describe('walks', () => {
  test('are scored by what is risked: neither always collecting nor always leaving comes near to looking', () => {
    const looking = walks(carefully, 40);
    const collecting = walks(() => ({ checked: [], decided: 'collect' }));
    const leaving = walks(() => ({ checked: [], decided: 'leave' }));
    const waiting = walks(() => ({ checked: [], decided: 'not-yet' }));
    expect(looking.dangerous).toBe(0);
    expect(collecting.dangerous).toBeGreaterThan(0.5);
    expect(looking.points).toBeGreaterThan(leaving.points + 1);
    expect(leaving.points).toBeGreaterThan(collecting.points);
    expect(collecting.points).toBeLessThan(-10);
    expect(waiting.points).toBe(0);
  });
  test('what was right by luck is not praised; a check that brings nothing costs a little, a dangerous collect far more', () => {
    const target = taxon('cantharellus-cibarius');
    const stage = target.taxon.parts[0]!.stages.at(-1)!;
    // One that shows enough to be collected: some do not, since each shows something that is not usual now
    // and then.
    const true_one = Array.from({ length: 40 }, (_, seed) =>
      specimenOf(guide, { taxon: target, stage, seed }),
    ).find((one) => scoreOf(guide, { specimen: one, target, looks: [], decided: 'leave' }).could)!;
    const webcap = specimenOf(guide, { taxon: taxon('cortinarius-rubellus'), stage, seed: 3 });
    const score = (specimen: Specimen, decided: WalkDecision, checked: readonly string[] = []) =>
      scoreOf(guide, { specimen, target, looks: seenRightly(specimen, checked as never[]), decided });
    expect(score(true_one, 'collect')).toMatchObject({ was: true, risked: 'deadly', points: -20 });
    expect(score(webcap, 'collect')).toMatchObject({ was: false, risked: 'deadly', points: -100 });
    expect(score(webcap, 'leave').points).toBe(6);
    expect(score(true_one, 'leave').points).toBe(-3);
    const useless = score(true_one, 'leave', ['hymenophore', 'hymenophore']);
    expect(useless.points).toBeGreaterThanOrEqual(-3.8);
    const { checked } = carefully(true_one, target);
    expect(score(true_one, 'collect', checked)).toMatchObject({ risked: 'none', was: true });
    expect(score(true_one, 'collect', checked).points).toBeGreaterThan(5);
  });
});

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
  test('earned is written down: remembered well and long, often enough, with nothing dangerous of late; and it fades', () => {
    const memory = drills([0, 1, 4, 12, 35, 80]);
    expect(memory.stability).toBeGreaterThan(EARNED.stabilityDays);
    expect(isEarned(memory, undefined, day(82))).toBe(true);
    expect(isEarned(memory, day(60).toISOString(), day(82))).toBe(false);
    expect(isEarned(memory, day(10).toISOString(), day(82))).toBe(true);
    expect(isEarned(memory, undefined, day(2000))).toBe(false);
    expect(isEarned(drills([0, 1]), undefined, day(2))).toBe(false);
  });
});
