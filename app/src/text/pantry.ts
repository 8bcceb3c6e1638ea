import type {
  Method,
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
import { GRADE, cautionFor, lowerFirst, commonName } from './names';
import { few } from './reasons';

/** What is made, in the words of a kitchen. */

/** What one does, and what it then is. */
export const METHOD: Readonly<Record<Method, readonly [doing: string, done: string]>> = {
  fresh: ['Keep it fresh', 'fresh'],
  cook: ['Cook it', 'cooked'],
  dry: ['Dry it', 'dried'],
  infuse: ['Steep it', 'infusion'],
  decoct: ['Boil it down', 'decoction'],
  tincture: ['Put it in spirit', 'in spirit'],
  'infused-oil': ['Put it in oil', 'in oil'],
  salve: ['Make a salve', 'salve'],
  syrup: ['Make a syrup', 'syrup'],
  pickle: ['Pickle it', 'pickled'],
  ferment: ['Ferment it', 'fermented'],
  roast: ['Roast it', 'roasted'],
  freeze: ['Freeze it', 'frozen'],
  bottle: ['Boil it in jars', 'in jars'],
  distil: ['Distil an oil', 'distilled'],
};

export const COOKING: Readonly<Record<Cooking, string>> = {
  raw: 'Raw',
  boil: 'Boiled, water kept',
  'boil-pour': 'Boiled, water poured away',
  steam: 'Steamed',
  fry: 'Fried',
};

export const STORE: Readonly<Record<Keeping['store'], string>> = {
  'cool-dark': 'cool and dark',
  fridge: 'in the fridge',
  freezer: 'in the freezer',
};

export function refusalWords(refusal: Refusal): string {
  switch (refusal.code) {
    case 'never':
      return refusal.why;
    case 'not-for-use':
      return refusal.methods.length > 0
        ? 'The guide knows nothing of it being used so.'
        : 'The guide knows of nothing to be made of it.';
    case 'distilled':
      return 'Distilled oils can poison where the herb only flavours.';
    case 'low-acid-jar':
      return 'It is not sour enough: boiling does not kill what makes botulism, and in a closed jar it grows.';
  }
}

export function cookingRefusalWords(refusal: CookingRefusal): string {
  switch (refusal.code) {
    case 'never-raw':
      return 'Nobody eats it raw.';
    case 'too-short':
      return `Not before ${refusal.minutes} minutes of heat.`;
    case 'water-kept':
      return 'The water has to be poured away.';
  }
}

const STEP: Readonly<Record<StepCode, string>> = {
  guide: '',
  own: '',
  'look-again': 'Go through every piece once more, in good light',
  specimen: 'Keep one whole specimen aside',
  wash: 'Wash it in plenty of water',
  'shake-out': 'Shake out insects; do not wash it',
  soak: 'Soak it',
  peel: 'Peel it',
  'cut-thin': 'Cut it thin, all to one thickness',
  spread: 'Spread it in one layer, in shade, where air moves',
  'turn-daily': 'Turn it every day',
  'test-brittle': 'Bend the thickest piece: it has to break',
  condition: 'In a closed jar, opened and shaken each day, until no damp comes back',
  wilt: 'Let it wilt until no water is left on it',
  chop: 'Chop it small',
  'cover-with-spirit': 'Cover it with spirit',
  'shake-daily': 'Shake it every day, out of the light',
  'cover-with-oil': 'Cover it with oil, nothing standing out',
  'stand-in-light': 'Let it stand, covered with a cloth, and stir it',
  filter: 'Strain it through a fine cloth',
  'warm-in-fat': 'Warm it in fat, never boiling',
  'add-wax': 'Stir in wax until a drop sets',
  'skin-trial': 'Try it first: a little inside the arm, and wait a day',
  'pour-hot': 'Pour hot water over it',
  'steep-covered': 'Let it steep, covered',
  'cold-water': 'Put it up with cold water',
  simmer: 'Let it simmer',
  'boil-first': 'Boil it through first, and pour the water away',
  'cover-with-vinegar': 'Cover it with vinegar of known strength, fresh, not used before',
  'weigh-salt': 'Weigh the salt',
  'press-under': 'Press it down until liquid stands above it',
  'let-gas-out': 'Let gas out every day',
  'add-sugar': 'Stir in the sugar',
  'boil-up': 'Bring it to the boil',
  'fill-hot': 'Fill it boiling hot into clean jars, to the brim, and close them',
  'boil-jars': 'Boil the closed jars',
  blanch: 'Blanch it, and cool it at once',
  'freeze-flat': 'Freeze it flat, in portions',
  roast: 'Roast it',
  'cook-through': 'Cook it right through',
  'pour-away': 'Pour the water away',
  'keep-cool': 'Keep it in the fridge',
  label: 'Put a label on it',
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
  `${text ?? STEP[code]}${minutes === undefined ? '' : minutes >= 120 ? ` (${Math.round(minutes / 60)} hours)` : ` (${minutes} minutes)`}${days === undefined ? '' : ` (${days} days)`}`;

export const SPOILS: Readonly<Record<SpoilCode, string>> = {
  'water-in-oil': 'Water in oil spoils it: nothing wet goes in, and no drop settles at the bottom.',
  'oil-eaten':
    'Botulism grows where oil keeps air away from what lies in it: only in the fridge, only some days, and never at room warmth.',
  'sugar-short':
    'Less than two thirds of it is sugar: it keeps only in the fridge, for two weeks, or frozen.',
  'acid-short':
    'Too little acid: household vinegar (5 %) with no more than its own amount of water. So it is for the fridge and the next days.',
  'acid-unknown': 'Nobody recorded how strong the vinegar is, so it is for the fridge and the next days.',
  'brine-reused': 'Nobody knows how strong a used brine still is: it is for the fridge and the next days.',
  'salt-short': 'Less than two per cent of salt, weighed with the water: the wrong ones may grow.',
  'salt-much': 'So much salt that nothing ferments.',
  'weak-alcohol': 'Below 25 % alcohol it does not keep by that alone: a week, in the fridge.',
  'damp-mould': 'Damp turns it mouldy without a smell. What shows any is thrown out whole.',
  'still-cook': 'It still has to be cooked before anybody eats it.',
  gas: 'It makes gas: no jar is closed tight while it works.',
  'cool-at-once': 'What is not eaten at once is cooled within two hours.',
  'skin-trial': 'For whole skin only, and after a small trial.',
  'no-dose':
    'Former uses are shown as tradition. Pause gives no dose and no cure: ask a pharmacist or doctor.',
};

export const UNIT: Readonly<Record<KeptAmount['unit'], string>> = { g: 'g', ml: 'ml', piece: 'pieces' };

export function amountWords({
  amount,
  unit,
}: {
  readonly amount: number;
  readonly unit: KeptAmount['unit'];
}): string {
  const rounded = amount >= 100 ? Math.round(amount) : Math.round(amount * 10) / 10;
  if (unit === 'g' && amount >= 1000) return `${(Math.round(amount / 10) / 100).toLocaleString()}\u00A0kg`;
  if (unit === 'ml' && amount >= 1000) return `${(Math.round(amount / 10) / 100).toLocaleString()}\u00A0l`;
  return `${rounded.toLocaleString()}\u00A0${unit === 'piece' && rounded === 1 ? 'piece' : UNIT[unit]}`;
}

export const SIGN: Readonly<Record<Sign, string>> = {
  mouth: 'In the mouth',
  skin: 'On the skin',
  stomach: 'Stomach',
  head: 'Head, dizzy',
  breath: 'Breath',
  other: 'Something else',
};

export function tasteRefusalWords(refusal: TasteRefusal): string {
  switch (refusal.code) {
    case 'recalled':
      return 'The find that it comes from does not stand.';
    case 'not-eaten':
      return 'It is not for eating.';
    case 'harmful':
      return `It is ${GRADE[refusal.grade]}: nobody tries it.`;
    case 'child':
      return 'A child is not the one who tries something new.';
    case 'pregnant':
      return 'Not in pregnancy.';
    case 'caution':
      return `${cautionFor(refusal.caution)}: ${lowerFirst(refusal.text)}`;
    case 'not-ready':
      return refusal.kingdom === 'Fungi'
        ? 'It has to be cooked first.'
        : 'It is not made ready as it has to be.';
    case 'another-new':
      return `${commonName(refusal.taxon)} was new less than a day ago: one at a time.`;
  }
}

/** What is said beside a meal. */
export function mealReminderWords(reminder: MealReminder): string {
  switch (reminder.code) {
    case 'child':
      return `${reminder.name} is a child: give little of it. In a small body the same amount does more.`;
    case 'new':
      return `${few(reminder.taxa.map(commonName))} ${reminder.taxa.length === 1 ? 'is' : 'are'} new to ${reminder.name}, by all that was put down here: a little of it, nothing else that is new, and a day of waiting before more.`;
  }
}

/** "bilberries and cowberries" of what is in a batch. */
export const contentWords = (contents: readonly { readonly taxon: string }[]): string =>
  few([...new Set(contents.map(({ taxon }) => commonName(taxon)))]);
