import { STRAIN_SHARE } from '../target';
import { rule, type Basis } from './rule';
import { character, count, haveAndNeed } from './shapes';

/** Whether enough speaks for the target. */

export const signatureMissing = rule({
  code: 'signature-missing',
  weight: 'pause',
  parameters: character,
  readingsCanUndo: false,
  checksCanMend: true,
  applies: ({ held }: Basis) =>
    held.signature.filter((mark) => !mark.held).map((mark) => ({ character: mark.character })),
});

export const groupsShort = rule({
  code: 'groups-short',
  weight: 'pause',
  parameters: haveAndNeed,
  readingsCanUndo: false,
  checksCanMend: true,
  applies: ({ held }: Basis) =>
    held.fitGroups.length < held.groupsNeeded
      ? [{ have: held.fitGroups.length, need: held.groupsNeeded }]
      : [],
});

/** Too much of what was read is only occasional. */
export const strained = rule({
  code: 'strained',
  weight: 'pause',
  parameters: { strains: count, readings: count },
  readingsCanUndo: true,
  checksCanMend: true,
  applies: ({ held: { strains, readings } }: Basis) =>
    strains * STRAIN_SHARE > readings ? [{ strains, readings }] : [],
});
