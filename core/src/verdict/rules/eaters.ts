import { z } from 'zod';
import type { Caution } from '../../guide';
import { routeOf } from '../bars';
import { cautionsFor } from '../context';
import { rule, type Basis } from './rule';
import { sentence } from './shapes';

/**
 * Each eater's list against the cautions of the taxon, for the route of the wanted use. It refers to a
 * pharmacist or doctor and never prescribes.
 */

const parameters = { eater: z.string().max(80), caution: z.string().max(200), text: sentence };

const cautionsAt = ({ find, target }: Basis, isMeant: (caution: Caution) => boolean) =>
  (find.context.eaters ?? []).flatMap((eater) =>
    cautionsFor(eater, target, routeOf(find, target))
      .filter(isMeant)
      .map((caution) => ({ eater: eater.name, caution: caution.for, text: caution.text })),
  );

export const notForEater = rule({
  code: 'not-for-eater',
  weight: 'leave',
  parameters,
  readingsCanUndo: false,
  applies: (basis: Basis) => cautionsAt(basis, ({ level }) => level === 'rules-out'),
});

export const askForEater = rule({
  code: 'ask-for-eater',
  weight: 'pause',
  parameters,
  readingsCanUndo: false,
  applies: (basis: Basis) => cautionsAt(basis, ({ level }) => level !== 'rules-out'),
});
