import { z } from 'zod';
import { Condition } from '../../case';
import { StageId } from '../../guide';
import { rule, type Basis } from './rule';
import { word } from './shapes';

/** What the wanted part, its use and its condition say. */

const BORNE = ['fruit', 'cone'];
/**
 * Conditions in which a part is not worth taking, or not wise to take: all parts but some, or only some. A
 * frost sweetens a sloe and spoils a mushroom; an old stem is no matter to whoever wants the berry on it.
 */
const SPENT: Readonly<
  Partial<Record<Condition, { readonly except: readonly string[] } | { readonly only: readonly string[] }>>
> = {
  rotten: { except: [] },
  wilted: { except: [] },
  frosted: { except: [...BORNE, 'root'] },
  woody: { except: [...BORNE, 'flower'] },
  unripe: { only: BORNE },
};

/** Whether this condition rules the wanted part out; without a wanted part, whether it rules out any. */
function isSpent(condition: Condition, part: string | undefined): boolean {
  const spent = SPENT[condition];
  if (!spent) return false;
  if ('only' in spent) return part !== undefined && spent.only.includes(part);
  return part === undefined || !spent.except.includes(part);
}

export const conditionRulesOut = rule({
  code: 'condition-rules-out',
  weight: 'leave',
  parameters: { condition: Condition },
  readingsCanUndo: false,
  applies: ({ find: { context } }: Basis) =>
    context.condition && isSpent(context.condition, context.part) ? [{ condition: context.condition }] : [],
});

/**
 * Which of the following rules holds for the wanted part, if any. Whether a taxon is wanted at all is asked
 * first, then whether the part is harmful, known, of that use, and good at this stage.
 */
function partProblem({ find: { context }, target: { taxon } }: Basis) {
  const { part, use, stages } = context;
  if (taxon.parts.length === 0 || !part) return undefined;
  if (taxon.harmfulParts?.some((harmful) => harmful.part === part)) return { code: 'harmful', part } as const;
  const entries = taxon.parts.filter((entry) => entry.part === part);
  if (entries.length === 0) return { code: 'not-wanted', part } as const;
  if (!use) return undefined;
  const entry = entries.find((one) => one.use === use);
  if (!entry) return { code: 'use-not-known', part, use } as const;
  if (stages && !stages.some((stage) => entry.stages.includes(stage)))
    return { code: 'not-at-stage', part, good: entry.stages } as const;
  return undefined;
}

export const partHarmful = rule({
  code: 'part-harmful',
  weight: 'leave',
  parameters: { part: word },
  readingsCanUndo: false,
  applies: (basis: Basis) => {
    const problem = partProblem(basis);
    return problem?.code === 'harmful' ? [{ part: problem.part }] : [];
  },
});

export const partNotWanted = rule({
  code: 'part-not-wanted',
  weight: 'leave',
  parameters: { part: word },
  readingsCanUndo: false,
  applies: (basis: Basis) => {
    const problem = partProblem(basis);
    return problem?.code === 'not-wanted' ? [{ part: problem.part }] : [];
  },
});

export const useNotKnown = rule({
  code: 'use-not-known',
  weight: 'leave',
  parameters: { part: word, use: word },
  readingsCanUndo: false,
  applies: (basis: Basis) => {
    const problem = partProblem(basis);
    return problem?.code === 'use-not-known' ? [{ part: problem.part, use: problem.use }] : [];
  },
});

export const partNotAtStage = rule({
  code: 'part-not-at-stage',
  weight: 'leave',
  parameters: { part: word, good: z.array(StageId).max(40) },
  readingsCanUndo: false,
  applies: (basis: Basis) => {
    const problem = partProblem(basis);
    return problem?.code === 'not-at-stage' ? [{ part: problem.part, good: problem.good }] : [];
  },
});
