import type { CompiledTaxon } from '../../guide';
import type { LifeForm } from './life';

/**
 * By which hand: tool, where to cut or lift, what to leave, how to give back, weather and bag, for a part of
 * a plant by how it grows. Codes; the words are the interface's.
 */

export type Tool = 'hand' | 'knife' | 'scissors' | 'digging-stick' | 'gloves' | 'brush';
export type Where =
  | 'pluck-single'
  | 'cut-above-ground'
  | 'cut-above-leaf-pair'
  | 'cut-flower-head'
  | 'pluck-ripe'
  | 'gather-fallen'
  | 'lift-straight'
  | 'trace-runner'
  | 'cut-or-twist-at-base'
  | 'cut-cap';
export type Leave =
  | 'most-leaves'
  | 'heart-leaves'
  | 'small-ones'
  | 'old-ones'
  | 'every-second'
  | 'seed-heads'
  | 'for-animals'
  | 'root-piece'
  | 'twigs'
  | 'the-ground-closed'
  | 'its-base-for-looking';
export type GiveBack =
  'scatter-seed' | 'replant-crown' | 'root-piece-back' | 'close-hole' | 'close-moss' | 'nothing-it-spreads';
export type Weather = 'dry-after-dew' | 'any' | 'after-frost' | 'not-frozen';
export type Bag = 'paper-or-cloth' | 'basket' | 'box' | 'bag-for-roots' | 'own-bag';

export interface Manner {
  readonly tools: readonly Tool[];
  readonly where: Where;
  readonly leave: readonly Leave[];
  readonly giveBack: readonly GiveBack[];
  readonly weather: Weather;
  readonly bag: Bag;
}

/** Uses for which it is dried or put into oil, which wants it dry. */
const WANTS_DRY: readonly string[] = ['tea', 'bitter-infusion', 'infused-oil', 'flavour'];

export interface MannerQuestion {
  readonly part: string;
  readonly use: string;
  readonly lifeForm: LifeForm | undefined;
  /** Stings, blisters or irritates. */
  readonly hurtsSkin?: boolean;
  readonly invader?: boolean;
  readonly afterFrost?: boolean;
}

export function mannerOf({
  part,
  use,
  lifeForm,
  hurtsSkin = false,
  invader = false,
  afterFrost = false,
}: MannerQuestion): Manner {
  const base = ofPart(part, lifeForm);
  const dry = WANTS_DRY.includes(use) && !base.bag.startsWith('bag-for');
  return {
    ...base,
    tools: hurtsSkin ? ['gloves', ...base.tools] : base.tools,
    // An invader is taken whole, and nothing of it is given back.
    ...(invader ? { leave: [], giveBack: ['nothing-it-spreads'] as const } : {}),
    weather: afterFrost ? 'after-frost' : dry ? 'dry-after-dew' : base.weather,
    bag: dry ? 'paper-or-cloth' : base.bag,
  };
}

function ofPart(part: string, lifeForm: LifeForm | undefined): Manner {
  const seeds = lifeForm === 'biennial' || lifeForm === 'annual';
  switch (part) {
    case 'fruit':
      return lifeForm === 'tree' ? FALLEN_FRUIT : seeds ? SEED_FRUIT : FRUIT;
    case 'root':
    case 'bulb':
      return lifeForm === 'clonal' ? { ...ROOT, where: 'trace-runner' } : ROOT;
    default:
      return BY_PART[part] ?? ANY_PART;
  }
}

const ANY_PART: Manner = {
  tools: ['hand'],
  where: 'pluck-single',
  leave: ['small-ones'],
  giveBack: [],
  weather: 'any',
  bag: 'own-bag',
};

const BY_PART: Readonly<Record<string, Manner>> = {
  leaf: { ...ANY_PART, leave: ['most-leaves', 'heart-leaves', 'small-ones'] },
  shoot: {
    ...ANY_PART,
    tools: ['scissors'],
    where: 'cut-above-leaf-pair',
    leave: ['every-second', 'small-ones'],
  },
  flower: {
    tools: ['scissors'],
    where: 'cut-flower-head',
    leave: ['every-second', 'for-animals'],
    giveBack: [],
    weather: 'dry-after-dew',
    bag: 'paper-or-cloth',
  },
  cone: {
    tools: ['gloves', 'hand'],
    where: 'pluck-ripe',
    leave: ['twigs', 'for-animals'],
    giveBack: [],
    weather: 'any',
    bag: 'box',
  },
  cap: {
    tools: ['knife', 'brush'],
    where: 'cut-cap',
    leave: ['small-ones', 'old-ones', 'its-base-for-looking'],
    giveBack: ['close-moss'],
    weather: 'any',
    bag: 'basket',
  },
  'fruiting-body': {
    tools: ['knife', 'brush'],
    where: 'cut-or-twist-at-base',
    leave: ['small-ones', 'old-ones', 'the-ground-closed'],
    giveBack: ['close-moss'],
    weather: 'any',
    bag: 'basket',
  },
};

const FRUIT: Manner = {
  tools: ['hand'],
  where: 'pluck-ripe',
  leave: ['for-animals', 'twigs'],
  giveBack: [],
  weather: 'any',
  bag: 'box',
};

/** Of a plant that lives on by its seed alone. */
const SEED_FRUIT: Manner = {
  ...FRUIT,
  leave: ['for-animals', 'twigs', 'seed-heads'],
  giveBack: ['scatter-seed'],
};

const FALLEN_FRUIT: Manner = {
  ...FRUIT,
  tools: ['hand', 'gloves'],
  where: 'gather-fallen',
  leave: ['for-animals'],
  bag: 'basket',
};

const ROOT: Manner = {
  tools: ['digging-stick'],
  where: 'lift-straight',
  leave: ['small-ones', 'root-piece', 'seed-heads'],
  giveBack: ['root-piece-back', 'replant-crown', 'scatter-seed', 'close-hole'],
  weather: 'not-frozen',
  bag: 'bag-for-roots',
};

/** For a part as the guide has it. @param part its place in the taxon's list */
export function mannerFor({ taxon }: CompiledTaxon, part: number, invader = false): Manner | undefined {
  const wanted = taxon.parts[part];
  return (
    wanted &&
    mannerOf({
      part: wanted.part,
      use: wanted.use,
      lifeForm: taxon.regrowth?.lifeForm,
      hurtsSkin: [taxon.harm.touch, taxon.harm.sap, taxon.harm.sun].some((one) => one !== undefined),
      invader,
      afterFrost: wanted.afterFrost !== undefined,
    })
  );
}
