import { preparationsOf } from '../../guide';
import { CONDITIONING_DAYS } from './drying';
import { type Made, type Method, isEaten, mustBeCooked } from './method';
import type { StepCode, Step } from './step';

type Short =
  | StepCode
  | { readonly code: StepCode; readonly required?: true; readonly minutes?: number; readonly days?: number };

const must = (code: StepCode, more: { readonly minutes?: number; readonly days?: number } = {}): Short => ({
  code,
  required: true,
  ...more,
});

/** Of what is already dry, or was made before, only what follows is asked. */
export interface StepsQuestion {
  readonly made: Made;
  readonly method: Method;
  /** Of harvests, not of batches that were gone through before. */
  readonly fromHarvest: boolean;
  /** All that goes in was dried before. */
  readonly dried?: boolean;
}

/**
 * Uses that are a way of making it. What the guide says first of such a part describes that way, step by
 * step, and nothing else that is made of it.
 */
const MAKING: readonly string[] = ['infused-oil', 'salve'];

/** Steps that keep somebody from harm, where they have to be done. */
const SAFETY: readonly StepCode[] = [
  'look-again',
  'cook-through',
  'pour-away',
  'boil-first',
  'boil-jars',
  'keep-cool',
];

export function stepsFor({ made, method, fromHarvest, dried = false }: StepsQuestion): Step[] {
  const first: Short[] = fromHarvest ? [must('look-again'), must('specimen')] : [];
  const withGuide = fromHarvest || method === 'cook' || method === 'freeze';
  const step = numbered();
  return [
    ...first.map(step),
    ...(withGuide ? fromGuide(made, method) : []),
    ...(method === 'distil' ? [] : WAYS[method](wayOf(made, dried))).map(step),
    step(must('label')),
  ];
}

/** What the steps of a method depend on. */
interface Way {
  readonly part: Made['part'];
  readonly kingdom: Made['kingdom'];
  readonly dried: boolean;
  readonly eaten: boolean;
  /** The guide has it cooked beforehand. */
  readonly cooked: boolean;
  /** Heat that keeps from harm, where it has to be cooked. */
  readonly heat: readonly Short[];
}

function wayOf(made: Made, dried: boolean): Way {
  const { part, kingdom } = made;
  const cooked = preparationsOf(part).some(({ cooking }) => cooking);
  const minutes = part.cook?.minutes;
  const through =
    cooked && minutes === undefined ? [] : [must('cook-through', minutes === undefined ? {} : { minutes })];
  const heat = mustBeCooked(made)
    ? [...through, ...(part.cook?.pourAway === true ? [must('pour-away')] : [])]
    : [];
  return { part, kingdom, dried, eaten: isEaten(part), cooked, heat };
}

/** The steps of each method, in order. */
const WAYS: Readonly<Record<Exclude<Method, 'distil'>, (way: Way) => readonly Short[]>> = {
  fresh: () => ['keep-cool'],
  cook: ({ kingdom, heat, cooked }) => [
    kingdom === 'Plantae' ? 'wash' : 'chop',
    ...(heat.length > 0 || cooked ? heat : (['cook-through'] as const)),
  ],
  dry: ({ part, kingdom }) => [
    part.part === 'root' || part.part === 'cone' || kingdom === 'Fungi' ? 'cut-thin' : 'shake-out',
    'spread',
    'turn-daily',
    'test-brittle',
    must('condition', { days: CONDITIONING_DAYS }),
  ],
  infuse: () => ['pour-hot', { code: 'steep-covered', minutes: 10 }, 'filter'],
  decoct: () => ['chop', 'cold-water', { code: 'simmer', minutes: 20 }, 'filter'],
  tincture: () => ['chop', 'cover-with-spirit', { code: 'shake-daily', days: 28 }, 'filter'],
  'infused-oil': ({ dried, eaten }) => [
    ...(dried ? [] : [must('wilt')]),
    'cover-with-oil',
    eaten ? must('keep-cool') : { code: 'stand-in-light', days: 28 },
    must('filter'),
    ...(eaten ? [] : [must('skin-trial', { minutes: 24 * 60 })]),
  ],
  salve: ({ part, dried }) => [
    ...(part.part === 'root' && !dried ? ['wash' as const] : []),
    'chop',
    'warm-in-fat',
    must('filter'),
    'add-wax',
    must('skin-trial', { minutes: 24 * 60 }),
  ],
  syrup: () => ['boil-up', 'filter', 'add-sugar', must('boil-up'), must('fill-hot')],
  pickle: ({ part, kingdom }) => [
    ...(kingdom === 'Fungi'
      ? [must('boil-first', { minutes: part.cook?.minutes ?? 15 })]
      : ['wash' as const]),
    must('cover-with-vinegar'),
    must('boil-up'),
    must('fill-hot'),
    'keep-cool',
  ],
  ferment: () => [
    'wash',
    'chop',
    must('weigh-salt'),
    must('press-under'),
    { code: 'let-gas-out', days: 14 },
    'keep-cool',
  ],
  roast: () => ['shake-out', { code: 'roast', minutes: 25 }],
  freeze: ({ part, kingdom, heat }) => [
    ...(kingdom === 'Fungi'
      ? heat
      : part.part === 'leaf' || part.part === 'shoot'
        ? ['blanch' as const]
        : []),
    'freeze-flat',
  ],
  bottle: () => ['wash', must('fill-hot'), must('boil-jars', { minutes: 20 })],
};

/** What the guide has done before, in its own words. */
function fromGuide({ part, kingdom }: Made, method: Method): Step[] {
  // What is done in the pot does not concern the tray that it dries on.
  const inPot = method === 'cook' || (method === 'freeze' && kingdom === 'Fungi');
  return (MAKING.includes(part.use) ? [] : preparationsOf(part)).flatMap(
    ({ text, safety, cooking }, at): Step[] =>
      cooking && !inPot
        ? []
        : [{ id: `guide-${at + 1}`, code: 'guide', text, required: true, ...(safety ? { safety } : {}) }],
  );
}

/** Writes steps out; one that comes again has a number behind its code. */
function numbered(): (short: Short) => Step {
  const counted = new Map<StepCode, number>();
  return (short) => {
    const {
      code,
      required = false,
      ...more
    }: { code: StepCode; required?: boolean; minutes?: number; days?: number } = typeof short === 'string'
      ? { code: short }
      : short;
    const times = (counted.get(code) ?? 0) + 1;
    counted.set(code, times);
    return {
      id: times === 1 ? code : `${code}-${times}`,
      code,
      required,
      ...more,
      ...(required && SAFETY.includes(code) ? { safety: true } : {}),
    };
  };
}
