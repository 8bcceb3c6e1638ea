import type { z } from 'zod';
import type { Case, CaseView } from '../../case';
import type { CompiledGuide, CompiledTaxon } from '../../guide';
import type { BarRow, Dangers, Tally } from '../bars';
import type { Contradictions } from '../contradictions';
import type { Shopping } from '../shopping';
import type { TargetHolds } from '../target';

/** What a rule of the verdict is. */

/** What a rule looks at: the find, and how far the target holds. */
export interface Basis {
  readonly guide: CompiledGuide;
  readonly view: CaseView;
  readonly find: Case;
  readonly target: CompiledTaxon;
  readonly held: TargetHolds;
  readonly contradictions: Contradictions;
}

/** What a rule looks at that needs the bars. */
export interface BarsBasis extends Basis {
  readonly disputed: ReadonlySet<number>;
  readonly shopped: Shopping;
  readonly rows: readonly BarRow[];
  readonly dangers: Dangers;
  readonly tallied: Tally;
  /** Something rules it out already, or can still be mended by checks. */
  readonly settledOrOpen: boolean;
}

/** `leave` rules the find out, `pause` means that something is missing, `note` only adds. */
export type Weight = 'leave' | 'pause' | 'note';

type Listed<T> = T extends readonly (infer E)[] ? readonly E[] : T;
/** The parameters of a reason, as its rule declares them. */
type ParametersOf<S extends z.ZodRawShape> = {
  readonly [P in keyof z.infer<z.ZodObject<S>>]: Listed<z.infer<z.ZodObject<S>>[P]>;
};

export interface RuleOf<C extends string, W extends Weight, S extends z.ZodRawShape, B> {
  /** The name of its reason. The interface words it. */
  readonly code: C;
  readonly weight: W;
  /** What its reason says besides. */
  readonly parameters: S;
  /**
   * Whether the loss of a reading can undo it, as long as no look is against the target. What nobody read
   * stays.
   */
  readonly readingsCanUndo: boolean;
  /** More checks can mend it. While they can, nothing is looked at a second time for safety's sake. */
  readonly checksCanMend?: true;
  /** The parameters of each time that it applies. */
  readonly applies: (basis: B) => readonly ParametersOf<S>[];
}

/** A rule, and the reasons that it gives. */
export const rule = <const C extends string, const W extends Weight, S extends z.ZodRawShape, B>(
  one: RuleOf<C, W, S, B>,
) => ({
  ...one,
  reasons: (basis: B): readonly ({ readonly code: C; readonly weight: W } & ParametersOf<S>)[] => {
    const all = one.applies(basis);
    return all.length === 0
      ? []
      : all.map((parameters) => ({ ...parameters, code: one.code, weight: one.weight }));
  },
});

/** The reasons that some rules give. */
export type ReasonBy<R> = R extends { readonly reasons: (basis: never) => readonly (infer X)[] } ? X : never;

/** What these rules say, in their order. */
export const reasonsBy = <B, X>(
  rules: readonly { readonly reasons: (basis: B) => readonly X[] }[],
  basis: B,
): X[] => {
  const all: X[] = [];
  for (const one of rules) for (const reason of one.reasons(basis)) all.push(reason);
  return all;
};

/** Nothing to say, or once without parameters. */
export const once = (applies: boolean): readonly Record<string, never>[] => (applies ? [{}] : []);
