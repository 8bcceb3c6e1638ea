import type { CompiledGuide, TaxonId } from '../../guide';
import type { LintFinding } from './finding';

/** Characters that no taxon states, and states that none of them names. */
export function unused(guide: CompiledGuide): LintFinding[] {
  return guide.characters.flatMap((character): LintFinding[] => {
    const stated = guide.taxa.flatMap((t) => t.taxon.statements.filter((s) => s.character === character.id));
    if (stated.length === 0) return [{ level: 'note', code: 'unused-character', character: character.id }];
    const used = new Set<string>(
      stated.flatMap((s) => ('usual' in s ? [...s.usual, ...(s.occasional ?? [])] : [])),
    );
    return [...character.stateBit.keys()]
      .filter((state) => !used.has(state))
      .map((state) => ({ level: 'note', code: 'unused-state', character: character.id, state }));
  });
}

/** Names, in any language, that mean more than one taxon; whoever searches one is warned. */
export function sharedNames(guide: CompiledGuide): LintFinding[] {
  const means = new Map<string, Set<TaxonId>>();
  for (const taxon of guide.taxa) {
    for (const name of Object.values(taxon.taxon.vernacularNames).flat()) {
      const key = name.toLowerCase();
      means.set(key, (means.get(key) ?? new Set<TaxonId>()).add(taxon.id));
    }
  }
  return [...means]
    .filter(([, taxa]) => taxa.size > 1)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, taxa]) => ({ level: 'note', code: 'name-means-two', name, taxa: [...taxa].sort() }));
}
