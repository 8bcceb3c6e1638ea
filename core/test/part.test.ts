import { partings, relationOverall, toLook } from '../src';
import { dangers, guide, reading, targets, taxon } from './finds';

test('chanterelle and rollrim part in the underside, its hold and its bruises', () => {
  const parts = partings(guide, taxon('cantharellus-cibarius'), taxon('paxillus-involutus'), undefined).map(
    (p) => p.character,
  );
  expect(parts).toEqual(expect.arrayContaining(['hymenophore.bond', 'hymenophore.bruising']));
  // Both run down the stem, and a rollrim is now and then as yellow below: these are no grounds.
  expect(parts).not.toContain('hymenophore.attachment');
  expect(parts).not.toContain('hymenophore.colour');
});

test('gentian and false hellebore part in flower, and hardly anywhere else', () => {
  const parts = partings(guide, taxon('gentiana-lutea'), taxon('veratrum-album'), undefined).map(
    (p) => p.character,
  );
  expect(parts).toContain('flower.inflorescence');
  // Whoever overlooks the pleats sees its veins run like those of the gentian, and a thick root goes down
  // under both.
  for (const character of ['leaf.venation', 'root.form', 'root.flesh', 'leaf.arrangement'])
    expect(parts).not.toContain(character);
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
