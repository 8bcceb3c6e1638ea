import {
  seenAmount,
  type AmountUnit,
  type Bag,
  type Ceiling,
  type CeilingName,
  type GiveBack,
  type Leave,
  type Missing,
  type PatchReason,
  type Take,
  type Tool,
  type Weather,
  type Weights,
  type Where,
} from '@pause/core/harvest/taking';

import { numberWord } from './names';

/** Plain words for how much to take, and how. */

export const CEILING: Readonly<Record<CeilingName, string>> = {
  need: 'What you need',
  patch: 'What the patch bears',
  permission: 'What is allowed',
  hands: 'Basket and hands',
};
export const MISSING: Readonly<Record<Missing, string>> = {
  need: 'Nobody has said yet for whom.',
  count: 'Nobody counted yet.',
  life: 'The guide does not say how it lives.',
  permission: 'Ask first whether one may pick here.',
  hands: 'Nobody has said yet what fits.',
};
const UNIT: Readonly<Record<AmountUnit, readonly [string, string]>> = {
  g: ['g', 'g'],
  piece: ['piece', 'pieces'],
  handful: ['handful', 'handfuls'],
  litre: ['litre', 'litres'],
};

export const amountOf = (amount: number, unit: AmountUnit): string =>
  `${amount.toLocaleString()}\u00A0${UNIT[unit][amount === 1 ? 0 : 1]}`;
/** Grams as one sees them on scales. */
export function weightOf(grams: number): string {
  if (grams >= 1000)
    return `${(grams / 1000).toLocaleString(undefined, { maximumFractionDigits: grams >= 10_000 ? 0 : 1 })}\u00A0kg`;
  return `${Math.floor(grams / (grams >= 100 ? 10 : 1)) * (grams >= 100 ? 10 : 1)}\u00A0g`;
}
/** The same in pieces, handfuls and litres: what one can see without scales. */
export function seenAs(grams: number, weights: Weights): string {
  const units = (['piece', 'handful', 'litre'] as const)
    .map((unit) => [seenAmount(grams, unit, weights), unit] as const)
    .filter(([amount]) => amount > 0)
    .map(([amount, unit]) => amountOf(amount, unit));
  return units.length > 0 ? `about ${units.join(' or ')}` : 'less than a piece';
}

export const valueOf = ({ grams, missing }: Ceiling): string =>
  missing[0]
    ? MISSING[missing[0]]
    : grams === undefined
      ? ''
      : grams === Infinity
        ? 'As much as you like'
        : weightOf(grams);

/** What binds, and what would change it. */
export function bindsWords({ binds, next, short, ceilings }: Take): string {
  if (binds === undefined)
    return ceilings.some(({ missing }) => missing.includes('permission'))
      ? 'Before anything is taken, somebody has to be asked.'
      : 'Answer one of the four, and an amount is shown here.';
  const because =
    binds === 'hands' && short
      ? short === 'basket'
        ? 'the basket is full then'
        : 'more would spoil before it is made ready'
      : {
          need: 'more is not needed',
          patch: 'more would cost the patch',
          permission: 'more is not allowed',
          hands: '',
        }[binds];
  return `${CEILING[binds]} decides: ${because}.${next ? ` Were it not for that, ${CEILING[next.name].toLowerCase()} would stop at ${weightOf(next.grams)}.` : ''}`;
}

const percent = (share: number) => `${Math.round(share * 100)}\u00A0%`;
export function patchWords(reason: PatchReason): string {
  switch (reason.code) {
    case 'invader':
      return 'It spreads where it does not belong: all of it may go, and nothing of it is scattered.';
    case 'few':
      return `Only ${reason.number} stand there: of so few hardly any is taken, and nothing that ends a plant.`;
    case 'share':
      return reason.share >= 1
        ? 'It lives on by its runners: what is taken costs it hardly anything.'
        : `Taken every year, up to ${percent(reason.share)} of it leaves a patch that is no smaller in ${reason.years} years, in ${numberWord(Math.round(reason.chance * 10))} of ten patches.`;
    case 'taken-before':
      return `${percent(reason.share)} of it was taken before and has not grown again yet.`;
    case 'renews-less':
      return `By how many are young, grown and bearing, it renews itself less than such a patch usually does: else it would be ${percent(reason.usual)}.`;
    case 'shrinking':
      return 'Such a patch hardly holds its own even with nothing taken.';
    case 'life-unknown':
      return 'The guide does not say how it lives on, so nobody knows what it bears.';
  }
}

export const TOOL: Readonly<Record<Tool, string>> = {
  hand: 'your hand',
  knife: 'a knife',
  scissors: 'scissors',
  'digging-stick': 'a digging stick',
  gloves: 'gloves',
  brush: 'a brush',
};
export const WHERE: Readonly<Record<Where, string>> = {
  'pluck-single': 'Pluck single ones, here and there',
  'cut-above-ground': 'Cut above the ground',
  'cut-above-leaf-pair': 'Cut above a pair of leaves, so that it shoots again',
  'cut-flower-head': 'Cut single heads',
  'pluck-ripe': 'Pluck what is ripe',
  'gather-fallen': 'Gather what has fallen',
  'lift-straight': 'Loosen round about and lift straight up',
  'trace-runner': 'Trace the runner to its end before you pull',
  'cut-or-twist-at-base': 'Look at its base first; then cut or twist it out',
  'cut-cap': 'Look at its base first; then cut the cap',
};
export const LEAVE: Readonly<Record<Leave, string>> = {
  'most-leaves': 'most leaves of each plant',
  'heart-leaves': 'its heart',
  'small-ones': 'the small ones',
  'old-ones': 'the old ones',
  'every-second': 'every second one',
  'seed-heads': 'seed heads',
  'for-animals': 'some for the animals',
  'root-piece': 'a piece of root',
  twigs: 'every twig',
  'the-ground-closed': 'the ground closed',
  'its-base-for-looking': 'nothing unlooked at below the cap',
};
export const GIVE_BACK: Readonly<Record<GiveBack, string>> = {
  'scatter-seed': 'Scatter ripe seed',
  'replant-crown': 'Plant the crown again',
  'root-piece-back': 'Lay a piece of root back',
  'close-hole': 'Close the hole',
  'close-moss': 'Close moss and litter',
  'nothing-it-spreads': 'Scatter nothing: it spreads by itself',
};
export const WEATHER: Readonly<Record<Weather, string>> = {
  'dry-after-dew': 'On a dry day, when the dew has gone',
  any: 'In any weather',
  'after-frost': 'After frost',
  'not-frozen': 'While the ground is not frozen',
};
export const BAG: Readonly<Record<Bag, string>> = {
  'paper-or-cloth': 'paper or cloth',
  basket: 'a basket',
  box: 'a box',
  'bag-for-roots': 'a bag for roots',
  'own-bag': 'a bag of its own',
};
