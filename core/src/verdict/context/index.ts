import type { Case } from '../../case';
import type { CompiledTaxon } from '../../guide';

export { cautionsFor, isLookedAt, meets } from './mind';

/**
 * Where things twine or grow in mixed clusters, by the guide or by what the person sees, or where something
 * dangerous is known to stand among them.
 */
export function asksForTracing(find: Case, target: CompiledTaxon): boolean {
  const { growsMixed, neighbours = [] } = find.context;
  return (
    target.taxon.growsMixed === true || growsMixed === true || neighbours.some((taxon) => taxon !== target.id)
  );
}
