import type { CompiledTaxon } from './compiled';
import type { StageId } from './ids';

/**
 * Whether something of it can be collected with Pause: some part is wanted, and no near-double forbids it for
 * ever.
 */
export function isCollectable({ taxon }: Pick<CompiledTaxon, 'taxon'>): boolean {
  return taxon.parts.length > 0 && (taxon.nearDoubles ?? []).length === 0;
}

/** Every stage at which some part of it is worth having, each once. */
export function wantedStages({ taxon }: Pick<CompiledTaxon, 'taxon'>): StageId[] {
  return [...new Set(taxon.parts.flatMap(({ stages }) => stages))];
}
