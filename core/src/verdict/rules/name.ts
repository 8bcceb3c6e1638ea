import { z } from 'zod';
import { OpenName } from '../../case';
import { TaxonId } from '../../guide';
import { identifiedAs } from '../identified';
import { rule, type BarsBasis, type Basis } from './rule';
import { sentence, taxa, word } from './shapes';

/** What the taxon itself says, whatever was seen of the find. */

export const otherKingdom = rule({
  code: 'other-kingdom',
  weight: 'leave',
  parameters: { target: TaxonId },
  readingsCanUndo: false,
  applies: ({ find, target }: Basis) =>
    target.taxon.kingdom === find.kingdom ? [] : [{ target: target.id }],
});

export const notWanted = rule({
  code: 'not-wanted',
  weight: 'leave',
  parameters: { target: TaxonId },
  readingsCanUndo: false,
  applies: ({ target }: Basis) => (target.taxon.parts.length === 0 ? [{ target: target.id }] : []),
});

/** It is what nobody collects, as far as the guide goes; or one of these few, all of the same kind. */
export const identified = rule({
  code: 'identified',
  weight: 'note',
  parameters: { target: TaxonId, or: taxa },
  readingsCanUndo: true,
  applies: ({ guide, view, target, held }: Basis) => {
    if (target.taxon.parts.length > 0 || target.taxon.kingdom !== view.find.kingdom) return [];
    const or = identifiedAs(guide, view, target, held);
    return or ? [{ target: target.id, or }] : [];
  },
});

/** So alike that nothing which a forager can read parts them. */
export const nearDouble = rule({
  code: 'near-double',
  weight: 'leave',
  parameters: { taxon: TaxonId, why: sentence },
  readingsCanUndo: false,
  applies: ({ target }: Basis) => target.taxon.nearDoubles ?? [],
});

/** The person goes no further than a genus, or one of several names. */
export const nameOpen = rule({
  code: 'name-open',
  weight: 'pause',
  parameters: { name: OpenName },
  readingsCanUndo: false,
  applies: ({ find: { context } }: Basis) => (context.openName ? [{ name: context.openName }] : []),
});

/** No expert has reviewed what the guide says of the target, or of a deadly lookalike that it lists. */
export const unreviewed = rule({
  code: 'unreviewed',
  weight: 'note',
  parameters: { taxa },
  readingsCanUndo: false,
  applies: ({ guide, target, rows }: BarsBasis) => {
    const pair = [
      target.id,
      ...rows.filter((row) => row.listed && row.grade === 'deadly').map((row) => row.taxon),
    ];
    const open = pair.filter((id) => guide.taxon(id)?.taxon.review.reviewedBy === null);
    return open.length > 0 ? [{ taxa: open }] : [];
  },
});

export const nearRelatives = rule({
  code: 'near-relatives',
  weight: 'note',
  parameters: { names: z.array(z.string().max(200)).max(100) },
  readingsCanUndo: false,
  applies: ({ target: { taxon } }: Basis) =>
    taxon.nearRelatives.length > 0 ? [{ names: taxon.nearRelatives }] : [],
});

/** What the group leaves alone, whatever is seen. */
export const forgoneTaxon = rule({
  code: 'forgone-taxon',
  weight: 'leave',
  parameters: { target: TaxonId },
  readingsCanUndo: false,
  applies: ({ find, target }: Basis) =>
    find.policy?.forgoneTaxa?.includes(target.id) === true ? [{ target: target.id }] : [],
});

export const forgoneFamily = rule({
  code: 'forgone-family',
  weight: 'leave',
  parameters: { family: word },
  readingsCanUndo: false,
  applies: ({ find, target: { taxon } }: Basis) =>
    find.policy?.forgoneFamilies?.includes(taxon.family) === true ? [{ family: taxon.family }] : [],
});
