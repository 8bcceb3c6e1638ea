import type { CompiledTaxon, StageId } from '../../src';

/** The same taxon, of which something else is stated at this stage. */
export function exchanged(
  taxon: CompiledTaxon,
  stage: StageId,
  character: string,
  state: string,
): CompiledTaxon {
  const statements = taxon.taxon.statements.map((s) =>
    s.character === character && (s.stages ?? taxon.taxon.stages).includes(stage)
      ? { ...s, usual: [state] }
      : s,
  );
  return { ...taxon, taxon: { ...taxon.taxon, statements } } as CompiledTaxon;
}
