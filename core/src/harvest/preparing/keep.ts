import { FERMENT_SALT, PICKLE_ACID, SUGAR_KEEPS } from './liquid';
import { isEaten, mustBeCooked, type Made, type Method } from './method';
import { KEEPS_FROM_STRENGTH } from './spirit';

/**
 * How long what was made keeps, and what spoils it: the short end of what general household references agree
 * on.
 */

/** Where it has to stand. */
export type Store = 'cool-dark' | 'fridge' | 'freezer';
export interface Keeping {
  readonly days: number;
  readonly store: Store;
  /** Days after it was opened. */
  readonly openedDays?: number;
}

const YEAR = 365;
const KEEPS: Readonly<Record<Exclude<Method, 'distil'>, Keeping>> = {
  fresh: { days: 2, store: 'fridge' },
  cook: { days: 2, store: 'fridge' },
  infuse: { days: 1, store: 'fridge' },
  decoct: { days: 2, store: 'fridge' },
  dry: { days: YEAR, store: 'cool-dark' },
  roast: { days: 30, store: 'cool-dark' },
  tincture: { days: 3 * YEAR, store: 'cool-dark' },
  'infused-oil': { days: YEAR, store: 'cool-dark' },
  salve: { days: YEAR, store: 'cool-dark' },
  syrup: { days: YEAR, store: 'cool-dark', openedDays: 30 },
  pickle: { days: 180, store: 'fridge', openedDays: 30 },
  ferment: { days: 180, store: 'fridge', openedDays: 30 },
  bottle: { days: YEAR, store: 'cool-dark', openedDays: 5 },
  freeze: { days: 300, store: 'freezer' },
};

/** What is recorded of how it was made, as far as it decides whether it keeps. */
export interface Figures {
  /** Share of sugar by weight. */
  readonly sugarShare?: number | undefined;
  /** Per cent of acid in the liquid. */
  readonly acid?: number | undefined;
  /** Share of salt by weight. */
  readonly saltShare?: number | undefined;
  /** Per cent of alcohol by volume, finished. */
  readonly strength?: number | undefined;
  /** The plant went into the oil as it was picked. */
  readonly fresh?: boolean | undefined;
  /** The brine had been used before. */
  readonly reused?: boolean | undefined;
}

export type SpoilCode =
  | 'water-in-oil'
  | 'oil-eaten'
  | 'sugar-short'
  | 'acid-short'
  | 'acid-unknown'
  | 'brine-reused'
  | 'salt-short'
  | 'salt-much'
  | 'weak-alcohol'
  | 'damp-mould'
  | 'still-cook'
  | 'gas'
  | 'cool-at-once'
  | 'skin-trial'
  | 'no-dose';

/**
 * What its figures leave of that. An eaten oil, and a syrup or spirit too weak to keep, are for a few days in
 * the fridge only.
 */
export function keepingOf(made: Made, method: Method, figures: Figures = {}): Keeping | undefined {
  if (method === 'distil') return undefined;
  if (method === 'infused-oil' && isEaten(made.part)) return { days: 4, store: 'fridge' };
  if (method === 'syrup' && (figures.sugarShare ?? 0) < SUGAR_KEEPS) return { days: 14, store: 'fridge' };
  if (method === 'tincture' && (figures.strength ?? 0) < KEEPS_FROM_STRENGTH)
    return { days: 7, store: 'fridge' };
  if (method === 'pickle' && (figures.reused === true || (figures.acid ?? 0) < PICKLE_ACID))
    return { days: 4, store: 'fridge' };
  if (method === 'ferment' && (figures.saltShare ?? 0) < FERMENT_SALT.least)
    return { days: 4, store: 'fridge' };
  if (method === 'infused-oil' && figures.fresh === true) return { days: 30, store: 'cool-dark' };
  return KEEPS[method];
}

/** What has to be minded of it, the worst first. */
export function spoilsOf(made: Made, method: Method, figures: Figures = {}): readonly SpoilCode[] {
  const eaten = isEaten(made.part);
  const all: (SpoilCode | false)[] = [
    ...spoilsOfOil(eaten, method, figures),
    method === 'syrup' && (figures.sugarShare ?? 0) < SUGAR_KEEPS && 'sugar-short',
    ...(method === 'pickle' ? spoilsOfPickle(figures) : []),
    ...(method === 'ferment' ? spoilsOfFerment(figures) : []),
    method === 'tincture' && (figures.strength ?? 0) < KEEPS_FROM_STRENGTH && 'weak-alcohol',
    DRIED.has(method) && 'damp-mould',
    HEATED_IN_WATER.has(method) && 'cool-at-once',
    method !== 'cook' && mustBeCooked(made) && 'still-cook',
    !eaten && 'skin-trial',
    eaten && WITHOUT_DOSE.has(method) && 'no-dose',
  ];
  return all.filter((one) => one !== false);
}

const DRIED: ReadonlySet<Method> = new Set(['dry', 'roast']);
const HEATED_IN_WATER: ReadonlySet<Method> = new Set(['cook', 'infuse', 'decoct']);
/** What is drunk of them has no dose that is known. */
const WITHOUT_DOSE: ReadonlySet<Method> = new Set(['infuse', 'decoct', 'tincture']);

function spoilsOfOil(eaten: boolean, method: Method, figures: Figures): (SpoilCode | false)[] {
  const infused = method === 'infused-oil';
  return [
    infused && eaten && 'oil-eaten',
    (infused || method === 'salve') && figures.fresh !== false && 'water-in-oil',
  ];
}

function spoilsOfPickle({ reused, acid }: Figures): SpoilCode[] {
  if (reused === true) return ['brine-reused'];
  if (acid === undefined) return ['acid-unknown'];
  return acid < PICKLE_ACID ? ['acid-short'] : [];
}

function spoilsOfFerment({ saltShare }: Figures): (SpoilCode | false)[] {
  return [
    saltShare !== undefined && saltShare > FERMENT_SALT.most && 'salt-much',
    (saltShare ?? 0) < FERMENT_SALT.least && 'salt-short',
    'gas',
  ];
}
