import { BARS_NEEDED, largestIndependent, type Look, weigh, viewCase } from '../../src';
import { seeded } from '../../src/season/weather';
import { dangers, collectable, guide, find, goodContext } from '../finds';
import { againstOf, groundsOf, causesThatMatter, subsets, choices, withReading } from './kit';

const WAYS = Number(process.env.PAUSE_RUNS ?? 6);
describe('the promise, over the whole guide', () => {
  // One look at every alternative at once: whatever the adversary picks is a subset of these grounds, and a
  // largest independent set never grows when grounds are taken away. So this one bound covers all choices,
  // all targets and all stages: bars against a taxon do not depend on the target, nor on the stage.
  test.each(dangers.map((d) => [d.id, d] as const))(
    '%s: every way to spoil k - 1 causes leaves a bar open',
    (_, danger) => {
      const need = BARS_NEEDED[danger.grade];
      const against = [...againstOf(danger)];
      const kinds = groundsOf(against);
      const causes = causesThatMatter(danger);
      const ways = subsets(need - 1, causes);
      expect(ways.length).toBeGreaterThan(0);
      let grounds = 0;
      let most = 0;
      for (const spoiled of ways) {
        // A reading against the true taxon is a mistake, so one of its causes must have gone wrong.
        const possible = kinds.filter((kind) =>
          spoiled.some((cause) =>
            cause.kind === 'group' ? kind.group === cause.group : (kind.causes & cause.bit) !== 0,
          ),
        );
        grounds += possible.length;
        most = Math.max(most, largestIndependent(possible).length);
      }
      expect(most).toBeLessThan(need);
      if (need > 1) expect(grounds).toBeGreaterThan(0);
    },
  );

  // And the whole weighing that every verdict rests on, every taxon taken for every target at every stage, on
  // a sample of the ways to spoil: the reading set that pleases the target most, and each spoiled reading
  // replaced by its alternatives.
  test.each(dangers.map((d) => [d.id, d] as const))(
    '%s taken for any target is never collected',
    (_, danger) => {
      const roll = seeded(1 + danger.index);
      const ways = subsets(BARS_NEEDED[danger.grade] - 1, causesThatMatter(danger));
      for (const target of collectable.filter(
        (t) => t.taxon.kingdom === danger.taxon.kingdom && t.index !== danger.index,
      )) {
        let tried = 0;
        for (const stage of new Set(target.taxon.parts.flatMap((part) => part.stages))) {
          for (let n = 0; n < WAYS; n += 1) {
            const spoiled = ways[Math.floor(roll() * ways.length)] ?? [];
            const { best, instead } = choices(danger, target, stage, spoiled);
            const others =
              instead.length > 0
                ? [0, 1].map(() => withReading(best, instead[Math.floor(roll() * instead.length)] as Look))
                : [];
            for (const looks of [best, ...others]) {
              const readings = looks.map((look) => look.reading);
              const { outcome } = weigh(
                guide,
                viewCase(guide, find(target.id, readings, { context: goodContext(target, stage) })),
              );
              if (outcome === 'collect')
                throw new Error(`${danger.id} was collected as ${target.id} at ${stage}`);
              tried += 1;
            }
          }
        }
        expect(tried).toBeGreaterThan(0);
      }
    },
  );
});
