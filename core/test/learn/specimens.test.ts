import { nextChecks, lacksOnlySecondLooks } from '../../src';
import { toLook } from '../../src/case';
import {
  specimenOf,
  findOf,
  seenRightly,
  type Specimen,
  type WalkDecision,
  scoreOf,
} from '../../src/practice';
import { seeded } from '../../src/season/weather';
import { relationAtStages } from '../../src/verdict/relation';
import { guide, taxon, collectable } from '../finds';

describe('specimens', () => {
  test('obey the guide, every taxon at every stage: usual unless strained, never impossible', () => {
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
  test('luck is not praised; an idle check costs little, a dangerous collect far more', () => {
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
