import {
  type Made,
  stepsFor,
  keepingOf,
  spoilsOf,
  openSteps,
  PICKLE_ACID,
  FERMENT_SALT,
  isSoft,
} from '../../src/harvest/preparing';
import { guide } from '../finds';

const made = (id: string, at = 0): Made => {
  const taxon = guide.taxon(id);
  const part = taxon?.taxon.parts[at];
  if (!taxon || !part) throw new Error(`${id} has no part ${at}`);
  return { kingdom: taxon.taxon.kingdom, part };
};

describe('what is done to it, and how long it keeps', () => {
  test('what keeps somebody from harm cannot be left out, whatever the reason', () => {
    const at = '2026-09-14T10:00:00.000Z';
    const leaving = (id: string, method: 'cook' | 'pickle' | 'dry') => {
      const steps = stepsFor({ made: made(id), method, fromHarvest: true });
      return openSteps(
        steps,
        steps.map((step) => ({ step: step.id, at, leftOut: 'No time.' })),
      ).map(({ id: open }) => open);
    };
    expect(leaving('cantharellus-cibarius', 'cook')).toEqual(['look-again', 'guide-1']);
    expect(leaving('armillaria-mellea', 'cook')).toEqual([
      'look-again',
      'guide-1',
      'cook-through',
      'pour-away',
    ]);
    expect(leaving('morchella-esculenta', 'pickle')).toEqual(
      expect.arrayContaining(['look-again', 'boil-first']),
    );
    // Frost, taste and toughness harm nobody.
    expect(leaving('prunus-spinosa', 'dry')).toEqual(['look-again', 'guide-2']);
  });

  test('what the guide says of making an oil is no step of drying, and what is dry already is not wilted', () => {
    const codes = (method: 'dry' | 'infused-oil' | 'salve', id: string, dried = false) =>
      stepsFor({ made: made(id), method, fromHarvest: !dried, dried }).map(({ code }) => code);
    expect(codes('dry', 'hypericum-perforatum')).not.toContain('guide');
    expect(codes('infused-oil', 'hypericum-perforatum')).toEqual([
      'look-again',
      'specimen',
      'wilt',
      'cover-with-oil',
      'stand-in-light',
      'filter',
      'skin-trial',
      'label',
    ]);
    expect(codes('infused-oil', 'hypericum-perforatum', true)).toEqual([
      'cover-with-oil',
      'stand-in-light',
      'filter',
      'skin-trial',
      'label',
    ]);
    expect(codes('salve', 'symphytum-officinale')).toEqual(
      expect.arrayContaining(['wash', 'chop', 'warm-in-fat', 'filter']),
    );
  });

  test('what keeps, and what spoils it, goes by its figures', () => {
    const ramsons = made('allium-ursinum');
    expect(keepingOf(ramsons, 'infused-oil')).toEqual({ days: 4, store: 'fridge' });
    expect(spoilsOf(ramsons, 'infused-oil')).toEqual(['oil-eaten', 'water-in-oil']);
    const wort = made('hypericum-perforatum');
    expect(keepingOf(wort, 'infused-oil', { fresh: false })?.days).toBe(365);
    expect(spoilsOf(wort, 'infused-oil', { fresh: false })).toEqual(['skin-trial']);
    const berries = made('vaccinium-myrtillus');
    expect(keepingOf(berries, 'syrup', { sugarShare: 0.5 })?.store).toBe('fridge');
    expect(keepingOf(berries, 'syrup', { sugarShare: 0.66 })?.days).toBe(365);
    const ceps = made('boletus-edulis');
    expect(spoilsOf(ceps, 'pickle', { acid: PICKLE_ACID - 0.1 })).toEqual(['acid-short', 'still-cook']);
    expect(spoilsOf(ceps, 'pickle', { acid: 4, reused: true })).toEqual(['brine-reused', 'still-cook']);
    expect(keepingOf(ceps, 'pickle', { acid: 4, reused: true })?.days).toBe(4);
    expect(spoilsOf(ramsons, 'ferment', { saltShare: FERMENT_SALT.most + 0.01 })).toEqual([
      'salt-much',
      'gas',
    ]);
    expect(spoilsOf(ramsons, 'ferment', {})).toEqual(['salt-short', 'gas']);
    expect(keepingOf(made('gentiana-lutea'), 'distil')).toBeUndefined();
    expect(isSoft(made('gentiana-lutea').part)).toBe(false);
  });
});
