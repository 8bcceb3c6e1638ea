import type { CaseView } from '../case';
import type { CompiledGuide, CharacterId, CompiledTaxon, TaxonId } from '../guide';
import { relationAtStages, relationOverall } from './relation';
import { settle, LOOKS_THAT_COUNT } from './settle';
import type { TargetHolds } from './target';

/** Readings that contradict the target. */

/** Characters at which the target is contradicted for good. */
export interface Contradictions {
  /** By a majority of at least four looks. */
  readonly final: readonly {
    readonly character: CharacterId;
    readonly against: number;
    readonly looks: number;
  }[];
  /** By two looks, while these deadly and serious taxa fit everything seen. */
  readonly dangerFits: readonly { readonly character: CharacterId; readonly taxa: readonly TaxonId[] }[];
}
const NONE: Contradictions = { final: [], dangerFits: [] };

export function characterId(guide: CompiledGuide, index: number): CharacterId {
  const character = guide.characters[index];
  if (!character) throw new Error(`no character ${index}`);
  return character.id;
}

/**
 * Contradicted for good: by a majority of at least four looks, or by two while a deadly or serious taxon fits
 * everything seen. Looks that were taken back still count here: a slip can be mended, a refusal not undone.
 */
export function contradictions(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  held: TargetHolds,
): Contradictions {
  const { withdrawn } = view;
  if (withdrawn.length === 0 && [...held.settled.values()].every((settled) => settled.against === 0))
    return NONE;
  const stages = view.find.context.stages;
  const indices = new Set([
    ...held.settled.keys(),
    ...withdrawn.filter((l) => !l.character.place).map((l) => l.character.index),
  ]);
  const final: Contradictions['final'][number][] = [];
  const dangerFits: Contradictions['dangerFits'][number][] = [];
  let dangers: TaxonId[] | undefined;
  for (const index of [...indices].sort((a, b) => a - b)) {
    const now = held.settled.get(index);
    const withTakenBack = [
      ...(view.onPiece.get(index) ?? []),
      ...withdrawn.filter((look) => look.character.index === index && look.reading.piece === view.piece),
    ].sort((a, b) =>
      a.reading.at < b.reading.at
        ? -1
        : a.reading.at > b.reading.at
          ? 1
          : a.reading.id < b.reading.id
            ? -1
            : 1,
    );
    const everLooked = settle(withTakenBack, target, stages);
    const character = characterId(guide, index);
    const settled =
      now?.outcome === 'contradicted' ? now : everLooked.outcome === 'contradicted' ? everLooked : undefined;
    if (settled) {
      final.push({ character, against: settled.against, looks: settled.looks.length });
      continue;
    }
    const against = withTakenBack
      .slice(0, LOOKS_THAT_COUNT)
      .filter((look) => relationAtStages(look, target, stages) === 'against');
    if (against.length < 2 || everLooked.outcome === 'outvoted') continue;
    dangers ??= dangersThatFitEverything(guide, view, target);
    const taxa = dangers.filter((id) => {
      const taxon = guide.taxon(id);
      return taxon && against.every((look) => ['fits', 'strains'].includes(relationOverall(look, taxon)));
    });
    if (taxa.length > 0) dangerFits.push({ character, taxa });
  }
  return { final, dangerFits };
}

/** Deadly and serious taxa that nothing seen on the decided piece is against. */
function dangersThatFitEverything(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): TaxonId[] {
  const seen = [...view.onPiece.values()].flat().filter((look) => !look.character.place);
  return guide.taxa
    .filter(
      (taxon) => (taxon.grade === 'deadly' || taxon.grade === 'serious') && taxon.index !== target.index,
    )
    .filter((taxon) => taxon.taxon.kingdom === view.find.kingdom)
    .filter((taxon) => seen.every((look) => relationOverall(look, taxon) !== 'against'))
    .map((taxon) => taxon.id)
    .sort();
}
