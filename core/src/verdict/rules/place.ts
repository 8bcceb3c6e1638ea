import { z } from 'zod';
import { Contamination } from '../../case';
import { asksForTracing } from '../context';
import { expectedHere } from '../expected';
import { once, rule, type Basis } from './rule';
import { character, taxa } from './shapes';

/** What the place, the law, season and height say. */

export const placeForbidden = rule({
  code: 'place-forbidden',
  weight: 'leave',
  parameters: {},
  readingsCanUndo: false,
  applies: ({ find: { context } }: Basis) => once(context.permission === 'forbidden'),
});

export const placeContaminated = rule({
  code: 'place-contaminated',
  weight: 'leave',
  parameters: { contamination: Contamination },
  readingsCanUndo: false,
  applies: ({ find: { context } }: Basis) => {
    const { contamination = 'unknown' } = context;
    return contamination === 'unknown' || contamination === 'none-seen' ? [] : [{ contamination }];
  },
});

/** By law, or because a keeper of the group confirmed it for where they gather. */
export const protectedHere = rule({
  code: 'protected',
  weight: 'leave',
  parameters: { by: z.literal('group').optional() },
  readingsCanUndo: false,
  applies: ({ find, target }: Basis) => {
    if (find.policy?.protectedTaxa?.includes(target.id) === true) return [{ by: 'group' as const }];
    return once(find.context.protection === 'protected');
  },
});

/** It grows among others, and what was read does not hang together with the wanted part. */
export const notTraced = rule({
  code: 'not-traced',
  weight: 'pause',
  parameters: {},
  readingsCanUndo: false,
  applies: ({ find, target }: Basis) =>
    once(find.context.tracedToBase === false && asksForTracing(find, target)),
});

/** Dangerous ones are known to stand there, whatever was seen of this piece. */
export const dangerousNeighbours = rule({
  code: 'dangerous-neighbours',
  weight: 'note',
  parameters: { taxa },
  readingsCanUndo: false,
  applies: ({ guide, find, target }: Basis) => {
    const near = (find.context.neighbours ?? []).filter(
      (id) => id !== target.id && (guide.taxon(id)?.grade ?? 'none') !== 'none',
    );
    return near.length > 0 ? [{ taxa: near }] : [];
  },
});

/** The group leaves the place out of its verdicts. */
const isIgnored = ({ find }: Basis) => find.policy?.place === 'ignored';

export const placeDoubt = rule({
  code: 'place-doubt',
  weight: 'note',
  parameters: character,
  readingsCanUndo: true,
  applies: (basis: Basis) =>
    isIgnored(basis) ? [] : basis.held.placeDoubts.map((id) => ({ character: id })),
});

export const placeStrains = rule({
  code: 'place-strains',
  weight: 'note',
  parameters: character,
  readingsCanUndo: true,
  applies: (basis: Basis) =>
    isIgnored(basis) ? [] : basis.held.placeStrains.map((id) => ({ character: id })),
});

/** Not usual in this month, at the recorded stages. */
export const seasonDoubt = rule({
  code: 'season-doubt',
  weight: 'note',
  parameters: { month: z.number().int().min(1).max(12) },
  readingsCanUndo: false,
  applies: (basis: Basis) => {
    const { stages, month } = basis.find.context;
    if (isIgnored(basis) || month === undefined) return [];
    return expectedHere(basis.target, stages, basis.find.context).season === 'against' ? [{ month }] : [];
  },
});

/** Not usual at this height above the sea, at the recorded stages. */
export const heightDoubt = rule({
  code: 'height-doubt',
  weight: 'note',
  parameters: { elevation: z.number().min(-500).max(9000) },
  readingsCanUndo: false,
  applies: (basis: Basis) => {
    const { stages, elevation } = basis.find.context;
    if (isIgnored(basis) || elevation === undefined) return [];
    return expectedHere(basis.target, stages, basis.find.context).height === 'against' ? [{ elevation }] : [];
  },
});
