import { z } from 'zod';
import { TaxonId } from '../../guide';
import { groupRulesIn, needSecondLook, notEarnedIn, unreviewedIn, GROUP_RULES } from '../policy';
import { rule, type BarsBasis, type Basis } from './rule';
import { haveAndNeed, taxa } from './shapes';

/** What the group asks for besides the bars. */

export const secondLookMissing = rule({
  code: 'second-look-missing',
  weight: 'pause',
  parameters: { taxon: TaxonId, ...haveAndNeed },
  readingsCanUndo: true,
  applies: ({ guide, view, target, rows, disputed }: BarsBasis) =>
    needSecondLook(guide, view, target, rows, disputed),
});

/** The group asks that whoever decides has earned the pair with these. */
export const notEarned = rule({
  code: 'not-earned',
  weight: 'pause',
  parameters: { taxa },
  readingsCanUndo: true,
  applies: ({ find, rows }: BarsBasis) => {
    const open = notEarnedIn(find, rows);
    return open.length > 0 ? [{ taxa: open }] : [];
  },
});

/** Where the rules of the group are stricter than the model, or leave something out of it. */
export const groupRule = rule({
  code: 'group-rule',
  weight: 'note',
  parameters: { rule: z.enum(GROUP_RULES) },
  readingsCanUndo: false,
  applies: ({ find }: Basis) => groupRulesIn(find.policy).map((one) => ({ rule: one })),
});

/** The group does without the second look that an unreviewed deadly pair would ask for. */
export const secondLookOff = rule({
  code: 'second-look-off',
  weight: 'note',
  parameters: { taxa },
  readingsCanUndo: false,
  applies: ({ guide, find, target, rows }: BarsBasis) => {
    if (find.policy?.secondLookWhenUnreviewed !== false) return [];
    const open = unreviewedIn(guide, target, rows, find.policy).map((row) => row.taxon);
    return open.length > 0 ? [{ taxa: open }] : [];
  },
});
