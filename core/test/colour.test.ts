import { colourDistance, NEAR, oklab, relationOverall, toLook } from '../src';
import { guide, reading, taxon } from './finds';

// Reference values from the definition of Oklab: white is (1, 0, 0), black (0, 0, 0), and sRGB red about
// (0.628, 0.225, 0.126).
test.each([
  ['#ffffff', [1, 0, 0]],
  ['#000000', [0, 0, 0]],
  ['#ff0000', [0.62796, 0.22486, 0.12585]],
  ['#0000ff', [0.45201, -0.03246, -0.31153]],
])('%s', (hex, expected) => {
  oklab(hex).forEach((value, i) => expect(value).toBeCloseTo(expected[i]!, 3));
});

test('distance is symmetric, and nothing between a colour and itself', () => {
  expect(colourDistance('#efb32f', '#efb32f')).toBe(0);
  expect(colourDistance('#efb32f', '#ffffff')).toBeCloseTo(colourDistance('#ffffff', '#efb32f'), 12);
  expect(colourDistance('#000000', '#ffffff')).toBeCloseTo(1, 3);
});

const relation = (character: string, state: string, id: string) => {
  const look = toLook(guide, reading(character, state) as never);
  if (!look) throw new Error('it is a look');
  return relationOverall(look, taxon(id));
};

test('a near colour is never against, a far one is', () => {
  expect(colourDistance('#f7f5ee', '#f1e6c8')).toBeLessThan(NEAR);
  // A bolete's print is olive brown; rusty brown is near to it, white is not.
  expect(relation('spore.print', 'rusty', 'boletus-edulis')).toBe('strains');
  expect(relation('spore.print', 'pale', 'boletus-edulis')).toBe('against');
  expect(relation('flesh.colour', 'ochre', 'omphalotus-olearius')).toBe('strains');
  expect(relation('flesh.colour', 'white', 'omphalotus-olearius')).toBe('against');
  expect(relation('cap.colour', 'grey-white', 'cortinarius-rubellus')).toBe('against');
});
