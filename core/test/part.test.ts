import { partings, relationOverall, toLook } from '../src';
import { dangers, guide, reading, targets, taxon } from './finds';

test('gentian and false hellebore part in base and root, and in flower in arrangement', () => {
  const parts = partings(guide, taxon('gentiana-lutea'), taxon('veratrum-album'), undefined).map((p) => p.character);
  expect(parts).toEqual(expect.arrayContaining(['leaf.base', 'root.form', 'root.flesh']));
  // Whoever overlooks the pleats sees its veins run like those of the gentian: they are no ground.
  expect(parts).not.toContain('leaf.venation');
  // Leaves from the ground are seen in both before they flower, so over all stages the arrangement does not part them.
  expect(parts).not.toContain('leaf.arrangement');
  const inFlower = partings(guide, taxon('gentiana-lutea'), taxon('veratrum-album'), [taxon('gentiana-lutea').taxon.stages[1]!]);
  expect(inFlower.map((p) => p.character)).toContain('leaf.arrangement');
});

test('every usual state named is a ground against the other', () => {
  for (const target of targets) {
    for (const other of dangers.filter((d) => d.taxon.kingdom === target.taxon.kingdom)) {
      for (const parting of partings(guide, target, other, undefined)) {
        for (const state of parting.target) {
          const look = toLook(guide, reading(parting.character, state) as never);
          expect(look && relationOverall(look, other)).toBe('against');
        }
      }
    }
  }
});
