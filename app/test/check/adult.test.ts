import '../guide';
import type { Check } from '@pause/core';
import { guide } from '../../src/deciding/guide';
import { waitsForAdult } from '../../src/screens/check/AdultFirst';
import { asCheck } from '../../src/screens/check/asCheck';

const check = (character: string, more: Partial<Check> = {}) => ({ ...asCheck(character as never), ...more });

test('a child looks alone, and leaves to an adult what is cut, dug or may harm the skin', () => {
  expect(waitsForAdult(check('hymenophore'))).toBe(false);
  expect(waitsForAdult(check('leaf.outline'))).toBe(false);
  expect(waitsForAdult(check('flesh.colour'))).toBe(true);
  expect(waitsForAdult(check('root.form'))).toBe(true);
  expect(waitsForAdult(check('leaf.margin', { skin: ['heracleum-mantegazzianum' as never] }))).toBe(true);
});

test('whatever needs a blade, or costs more than a mark, waits', () => {
  for (const { id, character } of guide.characters) {
    const harmless = character.damage === 'none' || character.damage === 'slight';
    if (!harmless || character.gear?.includes('knife'))
      expect([id, waitsForAdult(check(id))]).toEqual([id, true]);
    if (harmless && character.observe === 'look' && !character.gear?.length)
      expect([id, waitsForAdult(check(id))]).toEqual([id, false]);
  }
});
