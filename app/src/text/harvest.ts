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

import { t } from './en/harvest';
import { t as units } from './en/units';
import { listed, sentences } from './messages';
import { numberWord } from './names';
import { amountIn } from './units';

/** Plain words for how much to take, and how. */

export const CEILING: Readonly<Record<CeilingName, string>> = {
  need: t.whatYouNeed,
  patch: t.whatThePatchBears,
  permission: t.whatIsAllowed,
  hands: t.basketAndHands,
};
export const MISSING: Readonly<Record<Missing, string>> = {
  need: t.nobodyHasSaidYetFor,
  count: t.nobodyCountedYet,
  life: t.theGuideDoesNotSay,
  permission: t.askFirstWhetherOneMay,
  hands: t.nobodyHasSaidYetWhat,
};

export const amountOf = (amount: number, unit: AmountUnit): string => amountIn(unit, amount);
/** Grams as one sees them on scales. */
export function weightOf(grams: number): string {
  const step = grams >= 100 ? 10 : 1;
  if (grams >= 1000)
    return units.kilograms(
      (grams / 1000).toLocaleString(undefined, { maximumFractionDigits: grams >= 10_000 ? 0 : 1 }),
    );
  return amountIn('g', Math.floor(grams / step) * step);
}
/** The same in pieces, handfuls and litres: what one can see without scales. */
export function seenAs(grams: number, weights: Weights): string {
  const amounts = (['piece', 'handful', 'litre'] as const)
    .map((unit) => [seenAmount(grams, unit, weights), unit] as const)
    .filter(([amount]) => amount > 0)
    .map(([amount, unit]) => amountOf(amount, unit));
  return amounts.length > 0 ? t.about(listed(amounts, 'disjunction')) : t.lessThanAPiece;
}

export const valueOf = ({ grams, missing }: Ceiling): string =>
  missing[0]
    ? MISSING[missing[0]]
    : grams === undefined
      ? ''
      : grams === Infinity
        ? t.asMuchAsYouLike
        : weightOf(grams);

/** What binds, and what would change it. */
export function bindsWords({ binds, next, short, ceilings }: Take): string {
  if (binds === undefined)
    return ceilings.some(({ missing }) => missing.includes('permission'))
      ? t.beforeAnythingIsTakenSomebody
      : t.answerOneOfTheFour;
  const because =
    binds === 'hands' && short
      ? short === 'basket'
        ? t.theBasketIsFullThen
        : t.moreWouldSpoilBeforeIt
      : {
          need: t.moreIsNotNeeded,
          patch: t.moreWouldCostThePatch,
          permission: t.moreIsNotAllowed,
          hands: '',
        }[binds];
  return sentences(
    t.decides(CEILING[binds], because),
    next && t.wereItNotForThat(CEILING[next.name].toLowerCase(), weightOf(next.grams)),
  );
}

const percent = (share: number) => `${Math.round(share * 100)}\u00A0%`;
export function patchWords(reason: PatchReason): string {
  switch (reason.code) {
    case 'invader':
      return t.itSpreadsWhereItDoes;
    case 'few':
      return t.onlyStandThereOfSo(reason.number);
    case 'share':
      return reason.share >= 1
        ? t.itLivesOnByIts
        : t.takenEveryYearUpTo(
            percent(reason.share),
            reason.years,
            numberWord(Math.round(reason.chance * 10)),
          );
    case 'taken-before':
      return t.ofItWasTakenBefore(percent(reason.share));
    case 'renews-less':
      return t.byHowManyAreYoung(percent(reason.usual));
    case 'shrinking':
      return t.suchAPatchHardlyHolds;
    case 'life-unknown':
      return t.theGuideDoesNotSayHow;
  }
}

export const TOOL: Readonly<Record<Tool, string>> = {
  hand: t.yourHand,
  knife: t.aKnife,
  scissors: t.scissors,
  'digging-stick': t.aDiggingStick,
  gloves: t.gloves,
  brush: t.aBrush,
};
export const WHERE: Readonly<Record<Where, string>> = {
  'pluck-single': t.pluckSingleOnesHereAnd,
  'cut-above-ground': t.cutAboveTheGround,
  'cut-above-leaf-pair': t.cutAboveAPairOf,
  'cut-flower-head': t.cutSingleHeads,
  'pluck-ripe': t.pluckWhatIsRipe,
  'gather-fallen': t.gatherWhatHasFallen,
  'lift-straight': t.loosenRoundAboutAndLift,
  'trace-runner': t.traceTheRunnerToIts,
  'cut-or-twist-at-base': t.lookAtItsBaseFirst,
  'cut-cap': t.lookAtItsBaseFirstThen,
};
export const LEAVE: Readonly<Record<Leave, string>> = {
  'most-leaves': t.mostLeavesOfEachPlant,
  'heart-leaves': t.itsHeart,
  'small-ones': t.theSmallOnes,
  'old-ones': t.theOldOnes,
  'every-second': t.everySecondOne,
  'seed-heads': t.seedHeads,
  'for-animals': t.someForTheAnimals,
  'root-piece': t.aPieceOfRoot,
  twigs: t.everyTwig,
  'the-ground-closed': t.theGroundClosed,
  'its-base-for-looking': t.nothingUnlookedAtBelowThe,
};
export const GIVE_BACK: Readonly<Record<GiveBack, string>> = {
  'scatter-seed': t.scatterRipeSeed,
  'replant-crown': t.plantTheCrownAgain,
  'root-piece-back': t.layAPieceOfRoot,
  'close-hole': t.closeTheHole,
  'close-moss': t.closeMossAndLitter,
  'nothing-it-spreads': t.scatterNothingItSpreadsBy,
};
export const WEATHER: Readonly<Record<Weather, string>> = {
  'dry-after-dew': t.onADryDayWhen,
  any: t.inAnyWeather,
  'after-frost': t.afterFrost,
  'not-frozen': t.whileTheGroundIsNot,
};
export const BAG: Readonly<Record<Bag, string>> = {
  'paper-or-cloth': t.paperOrCloth,
  basket: t.aBasket,
  box: t.aBox,
  'bag-for-roots': t.aBagForRoots,
  'own-bag': t.aBagOfItsOwn,
};
