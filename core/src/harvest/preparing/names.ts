import { z } from 'zod';

/** What can be made of something. `fresh`: kept cool as it is; `bottle`: boiled in closed jars. */
export const Method = z.enum([
  'fresh',
  'cook',
  'dry',
  'infuse',
  'decoct',
  'tincture',
  'infused-oil',
  'salve',
  'syrup',
  'pickle',
  'ferment',
  'roast',
  'freeze',
  'bottle',
  'distil',
]);
export type Method = z.infer<typeof Method>;

/** How something is heated: `boil` keeps the water in the dish, `boil-pour` pours it away. */
export const Cooking = z.enum(['raw', 'boil', 'boil-pour', 'steam', 'fry']);
export type Cooking = z.infer<typeof Cooking>;
