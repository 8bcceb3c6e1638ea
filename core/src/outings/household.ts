import type { CompiledTaxon, Caution, Part } from '../guide';
import type { EaterFields } from '../notebook/page';
import { cautionsFor } from '../verdict';

/**
 * Who eats or uses what is gathered: what each has to mind of a plant, its part and the way it reaches the
 * body. It warns and refers; it never prescribes.
 */

export interface HouseholdEater extends Partial<EaterFields> {
  readonly id: string;
}
export interface Match {
  readonly eater: string;
  readonly name: string;
  readonly caution: Caution;
}
export interface Suits {
  /** `none`: nobody may; `some`: not everybody may, or somebody has to ask first; `all`. */
  readonly for: 'all' | 'some' | 'none';
  readonly matches: readonly Match[];
  /** By their ids: who likes it, and who does not. */
  readonly likes: readonly string[];
  readonly dislikes: readonly string[];
}

/** How a part suits those who eat along. A household of nobody has nothing against anything. */
export function suits(eaters: readonly HouseholdEater[], taxon: CompiledTaxon, part: Part): Suits {
  const along = eaters.filter(({ eatsAlong }) => eatsAlong !== false);
  const route = part.route ?? 'eaten';
  const matches = along.flatMap(({ id, name = '', cautions = [] }) =>
    cautionsFor({ cautions }, taxon, route).map((caution): Match => ({ eater: id, name, caution })),
  );
  const excluded = new Set(
    matches.filter(({ caution }) => caution.level === 'rules-out').map(({ eater }) => eater),
  );
  return {
    for: along.length > 0 && excluded.size === along.length ? 'none' : matches.length > 0 ? 'some' : 'all',
    matches,
    likes: along.filter(({ likes }) => likes?.includes(taxon.id)).map(({ id }) => id),
    dislikes: along.filter(({ dislikes }) => dislikes?.includes(taxon.id)).map(({ id }) => id),
  };
}

/** Whether this household should not bother: nobody may have it, or all who eat along do not like it. */
export function notWorthIt(eaters: readonly HouseholdEater[], { for: whom, dislikes }: Suits): boolean {
  const along = eaters.filter(({ eatsAlong }) => eatsAlong !== false).length;
  return whom === 'none' || (along > 0 && dislikes.length === along);
}
