import { contentHash } from '../lib/canonical';
import { compileCharacter } from './compileCharacter';
import type { CompiledGuide, CompiledCharacter, CompiledTaxon, GuideTables } from './compiled';
import { compileTaxon, once } from './compileTaxon';
import { isNumber } from './kinds';
import type { Guide } from './schema';

/**
 * Prepares a parsed guide for deciding: masks instead of names, and for every taxon what it can look like
 * over all its stages. Done once a guide, of a taxon when it is first asked for; the result is never changed.
 *
 * @param version its content hash, where that is known already
 */
export function compileGuide(guide: Guide, version = contentHash(guide)): CompiledGuide {
  const groups = [...new Set(guide.characters.map((c) => c.group))].sort();
  const groupIndex = new Map(groups.map((group, index) => [group, index]));
  const characters = guide.characters.map((character, index) =>
    compileCharacter(guide, character, index, groupIndex),
  );
  const byCharacter = new Map<string, CompiledCharacter>(characters.map((c) => [c.id, c]));
  const ranks = new Map(
    guide.taxa
      .map((t) => t.id as string)
      .sort()
      .map((id, rank) => [id, rank]),
  );
  const strict = guide.format !== 'pause-guide/1';
  const taxa = guide.taxa.map((taxon, index) =>
    compileTaxon(taxon, index, ranks.get(taxon.id) ?? index, byCharacter, strict),
  );
  const byTaxon = new Map<string, CompiledTaxon>(taxa.map((t) => [t.id, t]));
  const tables = once(() => tabulate(characters, taxa));
  return {
    guide,
    version,
    groups,
    characters,
    taxa,
    get tables() {
      return tables();
    },
    character: (id) => byCharacter.get(id),
    taxon: (id) => byTaxon.get(id),
  };
}

function tabulate(characters: readonly CompiledCharacter[], taxa: readonly CompiledTaxon[]): GuideTables {
  const columns = taxa.length;
  const possible = new Uint32Array(characters.length * columns);
  const usual = new Uint32Array(characters.length * columns);
  let rows = 0;
  const spanRow = Int32Array.from(characters, (c) => (isNumber(c.character) ? rows++ : -1));
  const spans = new Float64Array(rows * columns * 4).fill(Number.NaN);
  for (const taxon of taxa) {
    for (const [character, known] of taxon.overall) {
      if (known.kind === 'states') {
        possible[character * columns + taxon.index] = known.possible;
        usual[character * columns + taxon.index] = known.usual;
      } else {
        spans.set(
          [...known.possible, ...known.usual],
          ((spanRow[character] ?? 0) * columns + taxon.index) * 4,
        );
      }
    }
  }
  return { taxa: columns, possible, usual, spanRow, spans };
}
