/** One step of making something, and whether it was done. */

export type StepCode =
  | 'guide'
  | 'own'
  | 'look-again'
  | 'specimen'
  | 'wash'
  | 'shake-out'
  | 'soak'
  | 'peel'
  | 'cut-thin'
  | 'spread'
  | 'turn-daily'
  | 'test-brittle'
  | 'condition'
  | 'wilt'
  | 'chop'
  | 'cover-with-spirit'
  | 'shake-daily'
  | 'cover-with-oil'
  | 'stand-in-light'
  | 'filter'
  | 'warm-in-fat'
  | 'add-wax'
  | 'skin-trial'
  | 'pour-hot'
  | 'steep-covered'
  | 'cold-water'
  | 'simmer'
  | 'boil-first'
  | 'cover-with-vinegar'
  | 'weigh-salt'
  | 'press-under'
  | 'let-gas-out'
  | 'add-sugar'
  | 'boil-up'
  | 'fill-hot'
  | 'boil-jars'
  | 'blanch'
  | 'freeze-flat'
  | 'roast'
  | 'cook-through'
  | 'pour-away'
  | 'keep-cool'
  | 'label';

export interface Step {
  readonly id: string;
  readonly code: StepCode;
  /** In the guide's words, where it is the guide that asks for it; in somebody's own where they added it. */
  readonly text?: string;
  /** Cannot be left out without saying why. */
  readonly required: boolean;
  /** It keeps somebody from harm: it cannot be left out at all. */
  readonly safety?: true;
  /** How long it takes: it has a timer. */
  readonly minutes?: number;
  readonly days?: number;
}

/** What became of a step: done, or left out and why. */
export interface StepDone {
  readonly step: string;
  readonly at: string;
  readonly leftOut?: string | undefined;
}

/**
 * Steps that have to be done before it is ready, or left out with a reason, unless they keep somebody from
 * harm.
 */
export function openSteps(steps: readonly Step[], done: readonly StepDone[]): Step[] {
  return steps.filter(
    ({ id, required, safety }) =>
      required &&
      !done.some(
        ({ step, leftOut }) =>
          step === id && (leftOut === undefined || (safety !== true && leftOut.trim() !== '')),
      ),
  );
}

/** Those that had to be done and were left out: the label says so. */
export function leftOutOf(
  steps: readonly Step[],
  done: readonly StepDone[],
): readonly { readonly step: Step; readonly why: string }[] {
  return steps.flatMap((step) => {
    const last = done.findLast((one) => one.step === step.id);
    return step.required && last?.leftOut !== undefined ? [{ step, why: last.leftOut }] : [];
  });
}
