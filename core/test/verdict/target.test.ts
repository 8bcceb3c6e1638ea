import { decide } from '../../src';
import { allUsual, guide, find, collectable, reading, taxon, goodContext } from '../finds';
import { codes, chanterelle, usualWithout } from './kit';

describe('the target', () => {
  /** A usual specimen with as few groups as there can be while every bar and every mark is there. */
  const fewest = (id: string) => {
    let kept = allUsual(id);
    for (const one of allUsual(id)) {
      const without = kept.filter((r) => r.character !== one.character);
      if (codes(decide(guide, find(id, without)), 'pause').every((code) => code === 'groups-short'))
        kept = without;
      if (decide(guide, find(id, kept)).holds.fitGroups.length === 7) break;
    }
    return kept;
  };

  test('seven groups are not eight', () => {
    const id = collectable.find(
      (t) => decide(guide, find(t.id, fewest(t.id))).holds.fitGroups.length === 7,
    )!.id;
    const seven = fewest(id);
    const verdict = decide(guide, find(id, seven));
    expect(verdict.holds).toMatchObject({ groupsNeeded: 8 });
    expect(codes(verdict, 'pause')).toEqual(['groups-short']);
    expect(decide(guide, find(id, allUsual(id))).outcome).toBe('collect');
  });

  test('two readings of one group are one fit', () => {
    const verdict = chanterelle([
      reading('hymenophore', 'ridges'),
      reading('hymenophore.branching', 'cross-veined'),
    ]);
    expect(verdict.holds.fitGroups).toEqual(['hymenophore']);
  });

  test('a signature mark that was not looked at keeps it at pause', () => {
    const verdict = chanterelle(usualWithout('cantharellus-cibarius', 'stipe.interior'));
    expect(codes(verdict, 'pause')).toEqual(['signature-missing']);
  });

  test('one strained reading in six is allowed, more are not', () => {
    const target = taxon('corylus-avellana');
    const all = allUsual('corylus-avellana');
    // What it shows now and then, of characters that are no marks of it.
    const odd = all.flatMap(({ character: id }) => {
      const known = target.atStage.get(guide.character(id)!.index)?.get('fruiting' as never);
      const state =
        known?.kind === 'states' && !(target.taxon.signature as string[]).includes(id)
          ? [...guide.character(id)!.stateBit].find(
              ([, bit]) => (known.possible & ~known.usual & bit) !== 0,
            )?.[0]
          : undefined;
      return state === undefined ? [] : [reading(id, state)];
    });
    const strained = (count: number) =>
      decide(
        guide,
        find('corylus-avellana', [
          ...all.filter((r) => !odd.slice(0, count).some((o) => o.character === r.character)),
          ...odd.slice(0, count),
        ]),
      );
    expect(strained(1).holds.strains).toBe(1);
    expect(codes(strained(1), 'pause')).not.toContain('strained');
    const many = Math.ceil(all.length / 6) + 1;
    expect(odd.length).toBeGreaterThanOrEqual(many);
    expect(codes(strained(many), 'pause')).toContain('strained');
  });

  test('a reading of what cannot be seen at the recorded stage puts the stage in dispute', () => {
    const context = goodContext(taxon('galium-odoratum'), 'vegetative' as never);
    const seen = allUsual('galium-odoratum').filter((r) =>
      guide.character(r.character)!.stages.has('vegetative' as never),
    );
    const verdict = decide(
      guide,
      find('galium-odoratum', [...seen, reading('flower.colour', 'white')], { context }),
    );
    expect(verdict.reasons).toContainEqual({
      weight: 'pause',
      code: 'stage-disputed',
      character: 'flower.colour',
    });
    expect(codes(decide(guide, find('galium-odoratum', seen, { context })))).not.toContain('stage-disputed');
  });

  test('several stages on one plant: each may show what it shows', () => {
    const context = { ...goodContext(taxon('cantharellus-cibarius')), stages: ['young', 'mature'] };
    const verdict = chanterelle([reading('cap.shape', 'convex')], { context });
    expect(codes(verdict)).not.toContain('contradicted-open');
  });
});
