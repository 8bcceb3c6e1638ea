import { individualPlate } from '../../src/drawing';
import { walkOf, specimenOf, individualOf } from '../../src/practice';
import { guide, taxon } from '../finds';

describe('walks', () => {
  test('are the same for a seed, meet what is about in the month, and lookalikes at the same stage', () => {
    const names = (seed: number) =>
      walkOf(guide, { seed, finds: 5, month: 9 }).map(({ target, specimen }) => [
        target.id,
        specimen.taxon,
        specimen.stage,
        specimen.seed,
      ]);
    expect(names(4)).toEqual(names(4));
    expect(names(4)).not.toEqual(names(5));
    let [same, all] = [0, 0];
    for (let seed = 0; seed < 60; seed += 1) {
      for (const { target, specimen } of walkOf(guide, { seed, finds: 5, month: 9 })) {
        all += 1;
        same += Number(specimen.taxon === target.id);
        expect(specimen.taxon === target.id || target.taxon.lookalikes.includes(specimen.taxon)).toBe(true);
        expect(target.taxon.nearDoubles ?? []).toEqual([]);
      }
    }
    expect(same / all).toBeGreaterThan(0.4);
    expect(same / all).toBeLessThan(0.7);
    const only = walkOf(guide, { seed: 1, finds: 4, among: new Set(['boletus-edulis']) });
    expect(only.every(({ target }) => target.id === 'boletus-edulis')).toBe(true);
    expect(walkOf(guide, { seed: 1, finds: 4, among: new Set() })).toEqual([]);
    const liked = Array.from({ length: 30 }, (_, seed) =>
      walkOf(guide, { seed, finds: 3, rather: new Set(['boletus-edulis']) }),
    )
      .flat()
      .filter(({ target }) => target.id === 'boletus-edulis').length;
    expect(liked).toBeGreaterThan(15);
  });

  test('a specimen is drawn as it shows', () => {
    const specimen = specimenOf(guide, {
      taxon: taxon('amanita-virosa'),
      stage: taxon('amanita-virosa').taxon.stages.at(-1)!,
      seed: 3,
    });
    const plate = individualPlate(guide, individualOf(specimen), 'Fungi');
    expect(plate.parts.some(({ of }) => of.includes('volva'))).toBe(true);
    expect(individualOf(specimen).state('volva')).toBe(
      (specimen.shows.get('volva' as never) as { states: string[] }).states[0],
    );
  });
});
