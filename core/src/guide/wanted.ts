import type { CompiledTaxon } from './compile';

/** Whether something of it can be collected with Pause: some part is wanted, and no near-double forbids it for ever. */
export function isCollectable({ taxon }: Pick<CompiledTaxon, 'taxon'>): boolean {
  return taxon.parts.length > 0 && (taxon.nearDoubles ?? []).length === 0;
}
