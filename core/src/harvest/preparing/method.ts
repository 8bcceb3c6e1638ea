import type { Kingdom, Part } from '../../guide';
import { Cooking, Method } from './names';

export { Cooking, Method } from './names';
export const METHODS: readonly Method[] = Method.options;
export const COOKING_WAYS: readonly Cooking[] = Cooking.options;

/** A taxon's part, as far as making something of it asks. */
export interface Made {
  readonly kingdom: Kingdom;
  readonly part: Part;
}

const BORNE = ['fruit', 'cone'];
const SOFT = ['leaf', 'shoot', 'flower', ...BORNE];

/** What is made of a part for each use; what is not here is nothing that the guide knows of. */
export function methodsFor({ kingdom, part: { part, use } }: Made): readonly Method[] {
  switch (use) {
    case 'food': {
      if (kingdom === 'Fungi') return ['fresh', 'cook', 'dry', 'pickle', 'freeze'];
      return [
        'fresh',
        'cook',
        'dry',
        'pickle',
        'ferment',
        'freeze',
        ...(BORNE.includes(part)
          ? (['syrup', 'tincture', 'roast', 'bottle'] as const)
          : (['infused-oil'] as const)),
      ];
    }
    case 'flavour':
      return ['fresh', 'dry', 'infuse', 'syrup', 'tincture', 'freeze'];
    case 'tea':
      return ['fresh', 'dry', 'infuse', 'freeze'];
    case 'bitter-infusion':
      return ['fresh', 'dry', 'infuse', 'decoct'];
    case 'infused-oil':
    case 'salve':
      return ['fresh', 'dry', 'infused-oil', 'salve'];
    default:
      return ['fresh', 'dry'];
  }
}

/** Whether it is eaten or drunk in the end; else it is for the skin or for the air. */
export const isEaten = ({ route }: Part): boolean => route === undefined || route === 'eaten';
/** Whether nobody may eat it raw. */
export const mustBeCooked = ({ kingdom, part }: Made): boolean =>
  isEaten(part) && part.use === 'food' && (kingdom === 'Fungi' || part.cook !== undefined);
/** Whether it is soft enough to be steeped, not boiled down. */
export const isSoft = ({ part }: Part): boolean => SOFT.includes(part);

export type Refusal =
  /** The guide says so, and why. */
  | { readonly code: 'never'; readonly why: string }
  /** Nothing that the guide knows it for. */
  | { readonly code: 'not-for-use'; readonly methods: readonly Method[] }
  /** Distilled oils can poison where the herb only flavours. */
  | { readonly code: 'distilled' }
  /**
   * Too little acid: what makes the deadliest of poisons is not killed by boiling, and grows in a closed jar.
   */
  | { readonly code: 'low-acid-jar' };

/** Why something must not be made of a part; nothing where it may. */
export function refusalOf(made: Made, method: Method): Refusal | undefined {
  const never = made.part.never?.find((one) => one.method === method);
  if (never) return { code: 'never', why: never.why };
  if (method === 'distil') return { code: 'distilled' };
  const methods = methodsFor(made);
  if (method === 'bottle' && made.part.acid !== true) return { code: 'low-acid-jar' };
  return methods.includes(method)
    ? undefined
    : { code: 'not-for-use', methods: methods.filter((one) => refusalOf(made, one) === undefined) };
}

export interface Cooked {
  readonly how: Cooking;
  /** Minutes of heat; how often the water was poured away is beside it. */
  readonly minutes?: number | undefined;
  readonly poured?: number | undefined;
}
export type CookingRefusal =
  | { readonly code: 'never-raw' }
  | { readonly code: 'too-short'; readonly minutes: number }
  /** The water has to go, and with it what is in it. */
  | { readonly code: 'water-kept' };

/**
 * Why a part must not be eaten so; nothing where it may.
 *
 * @throws RangeError naming the field that is no such number
 */
export function cookingRefusal(made: Made, { how, minutes, poured }: Cooked): CookingRefusal | undefined {
  if (minutes !== undefined && !(Number.isFinite(minutes) && minutes >= 0))
    throw new RangeError('minutes: nothing or more');
  if (poured !== undefined && !(Number.isInteger(poured) && poured >= 0))
    throw new RangeError('poured: a whole number from 0');
  if (!mustBeCooked(made)) return undefined;
  const { cook } = made.part;
  if (how === 'raw') return { code: 'never-raw' };
  if (cook?.pourAway === true && how !== 'boil-pour' && !(poured !== undefined && poured > 0))
    return { code: 'water-kept' };
  if (cook?.minutes !== undefined && (minutes ?? 0) < cook.minutes)
    return { code: 'too-short', minutes: cook.minutes };
  return undefined;
}
