import type {
  Method,
  Cooked,
  Cooking,
  Keeping,
  Refusal,
  CookingRefusal,
  StepCode,
  Step,
  SpoilCode,
} from '@pause/core/harvest/preparing';
import type { KeptAmount, Sign } from '@pause/core/pantry';
import type { TasteRefusal, MealReminder } from '@pause/core/pantry/tasting';
import { t } from './en/pantry';
import { t as units } from './en/units';
import { GRADE, cautionFor, lowerFirst, commonName } from './names';
import { few } from './reasons';
import { amountIn } from './units';

/** What is made, in the words of a kitchen. */

/** What one does, and what it then is. */
export const METHOD: Readonly<Record<Method, readonly [doing: string, done: string]>> = {
  fresh: [t.keepItFresh, t.fresh],
  cook: [t.cookIt, t.cooked],
  dry: [t.dryIt, t.dried],
  infuse: [t.steepIt, t.infusion],
  decoct: [t.boilItDown, t.decoction],
  tincture: [t.putItInSpirit, t.inSpirit],
  'infused-oil': [t.putItInOil, t.inOil],
  salve: [t.makeASalve, t.salve],
  syrup: [t.makeASyrup, t.syrup],
  pickle: [t.pickleIt, t.pickled],
  ferment: [t.fermentIt, t.fermented],
  roast: [t.roastIt, t.roasted],
  freeze: [t.freezeIt, t.frozen],
  bottle: [t.boilItInJars, t.inJars],
  distil: [t.distilAnOil, t.distilled],
};

export const COOKING: Readonly<Record<Cooking, string>> = {
  raw: t.raw,
  boil: t.boiledWaterKept,
  'boil-pour': t.boiledWaterPouredAway,
  steam: t.steamed,
  fry: t.fried,
};

export const STORE: Readonly<Record<Keeping['store'], string>> = {
  'cool-dark': t.coolAndDark,
  fridge: t.inTheFridge,
  freezer: t.inTheFreezer,
};

export function refusalWords(refusal: Refusal): string {
  switch (refusal.code) {
    case 'never':
      return refusal.why;
    case 'not-for-use':
      return refusal.methods.length > 0 ? t.theGuideKnowsNothingOf : t.theGuideKnowsOfNothing;
    case 'distilled':
      return t.distilledOilsCanPoisonWhere;
    case 'low-acid-jar':
      return t.itIsNotSourEnough;
  }
}

export function cookingRefusalWords(refusal: CookingRefusal): string {
  switch (refusal.code) {
    case 'never-raw':
      return t.nobodyEatsItRaw;
    case 'too-short':
      return t.notBeforeMinutesOfHeat(refusal.minutes);
    case 'water-kept':
      return t.theWaterHasToBe;
  }
}

const STEP: Readonly<Record<StepCode, string>> = {
  guide: '',
  own: '',
  'look-again': t.goThroughEveryPieceOnce,
  specimen: t.keepOneWholeSpecimenAside,
  wash: t.washItInPlentyOf,
  'shake-out': t.shakeOutInsectsDoNot,
  soak: t.soakIt,
  peel: t.peelIt,
  'cut-thin': t.cutItThinAllTo,
  spread: t.spreadItInOneLayer,
  'turn-daily': t.turnItEveryDay,
  'test-brittle': t.bendTheThickestPieceIt,
  condition: t.inAClosedJarOpened,
  wilt: t.letItWiltUntilNo,
  chop: t.chopItSmall,
  'cover-with-spirit': t.coverItWithSpirit,
  'shake-daily': t.shakeItEveryDayOut,
  'cover-with-oil': t.coverItWithOilNothing,
  'stand-in-light': t.letItStandCoveredWith,
  filter: t.strainItThroughAFine,
  'warm-in-fat': t.warmItInFatNever,
  'add-wax': t.stirInWaxUntilA,
  'skin-trial': t.tryItFirstALittle,
  'pour-hot': t.pourHotWaterOverIt,
  'steep-covered': t.letItSteepCovered,
  'cold-water': t.putItUpWithCold,
  simmer: t.letItSimmer,
  'boil-first': t.boilItThroughFirstAnd,
  'cover-with-vinegar': t.coverItWithVinegarOf,
  'weigh-salt': t.weighTheSalt,
  'press-under': t.pressItDownUntilLiquid,
  'let-gas-out': t.letGasOutEveryDay,
  'add-sugar': t.stirInTheSugar,
  'boil-up': t.bringItToTheBoil,
  'fill-hot': t.fillItBoilingHotInto,
  'boil-jars': t.boilTheClosedJars,
  blanch: t.blanchItAndCoolIt,
  'freeze-flat': t.freezeItFlatInPortions,
  roast: t.roastIt,
  'cook-through': t.cookItRightThrough,
  'pour-away': t.pourTheWaterAway,
  'keep-cool': t.keepItInTheFridge,
  label: t.putALabelOnIt,
};

/** What is often done besides, and is no step of every kitchen. */
export const BESIDES: readonly string[] = (['wash', 'soak', 'peel', 'chop', 'filter'] as const).map(
  (code) => STEP[code],
);

export const stepWords = ({
  code,
  text,
  minutes,
  days,
}: Pick<Step, 'code' | 'text' | 'minutes' | 'days'>): string =>
  withDays(withMinutes(text ?? STEP[code], minutes), days);

const withMinutes = (step: string, minutes: number | undefined): string =>
  minutes === undefined
    ? step
    : minutes >= 120
      ? t.forHours(step, Math.round(minutes / 60))
      : t.forMinutes(step, minutes);

const withDays = (step: string, days: number | undefined): string =>
  days === undefined ? step : t.forDays(step, days);

/** "Boiled, 10 minutes, water poured away 2 times". */
export function cookedWords({ how, minutes, poured }: Cooked): string {
  const timed = minutes === undefined ? COOKING[how] : t.cookedForMinutes(COOKING[how], minutes);
  return poured === undefined ? timed : t.withWaterPouredAway(timed, poured);
}

export const SPOILS: Readonly<Record<SpoilCode, string>> = {
  'water-in-oil': t.waterInOilSpoilsIt,
  'oil-eaten': t.botulismGrowsWhereOilKeeps,
  'sugar-short': t.lessThanTwoThirdsOf,
  'acid-short': t.tooLittleAcidHouseholdVinegar,
  'acid-unknown': t.nobodyRecordedHowStrongThe,
  'brine-reused': t.nobodyKnowsHowStrongA,
  'salt-short': t.lessThanTwoPerCent,
  'salt-much': t.soMuchSaltThatNothing,
  'weak-alcohol': t.below25PercentAlcoholIt,
  'damp-mould': t.dampTurnsItMouldyWithout,
  'still-cook': t.itStillHasToBe,
  gas: t.itMakesGasNoJar,
  'cool-at-once': t.whatIsNotEatenAt,
  'skin-trial': t.forWholeSkinOnlyAnd,
  'no-dose': t.formerUsesAreShownAs,
};

export function amountWords({
  amount,
  unit,
}: {
  readonly amount: number;
  readonly unit: KeptAmount['unit'];
}): string {
  const rounded = amount >= 100 ? Math.round(amount) : Math.round(amount * 10) / 10;
  if (unit === 'g' && amount >= 1000)
    return units.kilograms((Math.round(amount / 10) / 100).toLocaleString());
  if (unit === 'ml' && amount >= 1000) return units.l((Math.round(amount / 10) / 100).toLocaleString());
  return amountIn(unit, rounded);
}

export const SIGN: Readonly<Record<Sign, string>> = {
  mouth: t.inTheMouth,
  skin: t.onTheSkin,
  stomach: t.stomach,
  head: t.headDizzy,
  breath: t.breath,
  other: t.somethingElse,
};

export function tasteRefusalWords(refusal: TasteRefusal): string {
  switch (refusal.code) {
    case 'recalled':
      return t.theFindThatItComes;
    case 'not-eaten':
      return t.itIsNotForEating;
    case 'harmful':
      return t.itIsNobodyTriesIt(GRADE[refusal.grade]);
    case 'child':
      return t.aChildIsNotThe;
    case 'pregnant':
      return t.notInPregnancy;
    case 'caution':
      return `${cautionFor(refusal.caution)}: ${lowerFirst(refusal.text)}`;
    case 'not-ready':
      return refusal.kingdom === 'Fungi' ? t.itHasToBeCooked : t.itIsNotMadeReady;
    case 'another-new':
      return t.wasNewLessThanA(commonName(refusal.taxon));
  }
}

/** What is shown beside a meal. */
export function mealReminderWords(reminder: MealReminder): string {
  switch (reminder.code) {
    case 'child':
      return t.isAChildGiveLittle(reminder.name);
    case 'new':
      return t.areNewToByAll(few(reminder.taxa.map(commonName)), reminder.taxa.length, reminder.name);
  }
}

/** "bilberries and cowberries" of what is in a batch. */
export const contentWords = (contents: readonly { readonly taxon: string }[]): string =>
  few([...new Set(contents.map(({ taxon }) => commonName(taxon)))]);
