import fc from 'fast-check';
import { type StageId, compileGuide, type TaxonId, decide } from '../../src';
import { guide, dangers, taxon, collectable, followChecks } from '../finds';
import { lay } from './kit';

describe('whatever unreviewed pack is applied', () => {
  const stateful = guide.characters.filter((c) => c.stateBit.size > 0 && !c.place);
  const correction = fc.constantFrom(...dangers).chain((danger) =>
    fc
      .constantFrom(...stateful.filter((c) => c.character.kingdom === danger.taxon.kingdom))
      .chain((character) =>
        fc.record({
          taxon: fc.constant(danger.id as string),
          statement: fc.record({
            character: fc.constant(character.id as string),
            stages: fc.subarray<StageId>([...danger.taxon.stages], { minLength: 1 }),
            usual: fc.subarray([...character.stateBit.keys()], { minLength: 1 }),
          }),
        }),
      ),
  );

  const finds = collectable.slice(0, 8).map((t) => {
    const find = followChecks(t.id);
    return {
      find,
      had: new Map<TaxonId, number>(decide(guide, find).rows.map((row) => [row.taxon, row.have])),
    };
  });

  test('no dangerous taxon can look like less than before, and no row gains a bar by it', () => {
    fc.assert(
      fc.property(
        fc.array(correction, { minLength: 1, maxLength: 6 }),
        fc.constantFrom(...finds),
        (statements, { find, had }) => {
          const applied = compileGuide(lay({ statements }).guide);
          for (const {
            taxon: id,
            statement: { character: name },
          } of statements) {
            const index = guide.character(name)!.index;
            const before = taxon(id).overall.get(index);
            const after = applied.taxon(id)!.overall.get(index);
            if (before === undefined) expect(after).toBeUndefined();
            else if (before.kind === 'states' && after?.kind === 'states')
              expect([
                (before.possible & ~after.possible) >>> 0,
                (before.usual & ~after.usual) >>> 0,
              ]).toEqual([0, 0]);
          }
          for (const row of decide(applied, find).rows)
            expect([row.taxon, row.have <= (had.get(row.taxon) ?? 0)]).toEqual([row.taxon, true]);
        },
      ),
      { numRuns: 40 },
    );
  });
});

test('between two ordered states what lies between is possible too', () => {
  const ordered = guide.characters.filter((c) => 'ordered' in c.character && c.character.ordered === true);
  expect(ordered.length).toBeGreaterThan(0);
  const made = (usual: string[]) => {
    const raw = structuredClone(guide.guide);
    // Without the neighbours that are taken for each other, which widen what is stated too.
    for (const one of raw.characters)
      if (one.id === 'hymenophore.spacing') delete (one as { shades?: unknown }).shades;
    const webcap = raw.taxa.find((t) => t.id === 'cortinarius-rubellus')!;
    webcap.statements = [
      ...webcap.statements.filter((s) => s.character !== 'hymenophore.spacing'),
      {
        character: 'hymenophore.spacing',
        usual,
        readBy: ['first', 'second'],
      } as unknown as (typeof webcap.statements)[number],
    ];
    const known = compileGuide(raw)
      .taxon('cortinarius-rubellus')!
      .overall.get(guide.character('hymenophore.spacing')!.index);
    const bits = guide.character('hymenophore.spacing')!.stateBit;
    return known?.kind === 'states'
      ? [...bits].filter(([, bit]) => (bit & known.possible) !== 0).map(([state]) => state)
      : [];
  };
  expect(made(['crowded', 'distant'])).toEqual(['crowded', 'medium', 'distant']);
  expect(made(['crowded', 'medium'])).toEqual(['crowded', 'medium']);
});
