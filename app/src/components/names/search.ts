import type { CompiledGuide, CompiledTaxon } from '@pause/core';

export interface Match {
  readonly taxon: CompiledTaxon;
  /** The name that was found, where it is not the one shown. */
  readonly name?: string;
  /** Its body plan, where it is not the chosen one. */
  readonly otherPlan?: string;
}

/** Lower case, without accents, so that "cepe" finds "cèpe". */
export function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/[’']/g, '')
    .toLowerCase()
    .trim();
}

/** Every name of a taxon, the one shown first. */
export function namesOf({ taxon }: CompiledTaxon): string[] {
  const all = Object.values(taxon.vernacularNames).flat();
  return [taxon.vernacularNames.en?.[0] ?? taxon.scientificName, taxon.scientificName, ...all];
}

/**
 * Taxa whose scientific name, or a common name in any language, holds the text at the start of a word.
 * Those of the chosen body plan first, then by the name shown. Empty text matches all of the chosen plan's
 * kingdom.
 */
export function searchTaxa(guide: CompiledGuide, text: string, plan: string | undefined): Match[] {
  const wanted = plain(text);
  const chosen = guide.guide.bodyPlans.find((p) => p.id === plan);
  const found = guide.taxa.flatMap((taxon): Match[] => {
    if (chosen && chosen.kingdom !== taxon.taxon.kingdom) return [];
    const names = namesOf(taxon);
    const hit = names.find((name) =>
      ` ${plain(name).replace(/-/g, ' ')}`.includes(` ${wanted.replace(/-/g, ' ')}`),
    );
    if (hit === undefined) return [];
    const other =
      chosen && taxon.taxon.bodyPlan !== chosen.id
        ? guide.guide.bodyPlans.find((p) => p.id === taxon.taxon.bodyPlan)?.name.toLowerCase()
        : undefined;
    return [
      {
        taxon,
        ...(hit === names[0] || hit === taxon.taxon.scientificName ? {} : { name: hit }),
        ...(other ? { otherPlan: other } : {}),
      },
    ];
  });
  const label = (match: Match) => match.taxon.taxon.vernacularNames.en?.[0] ?? '';
  return found.sort(
    (a, b) =>
      Number(a.otherPlan !== undefined) - Number(b.otherPlan !== undefined) ||
      label(a).localeCompare(label(b)),
  );
}

/**
 * Taxa that share the common name that was typed in full, in any language: two plants have gone by one name
 * before, and people have died of it. Empty where it means one taxon, or none.
 */
export function sharingName(guide: CompiledGuide, text: string): CompiledTaxon[] {
  const wanted = plain(text);
  if (wanted === '') return [];
  const sharing = guide.taxa.filter(({ taxon }) =>
    Object.values(taxon.vernacularNames)
      .flat()
      .some((name) => plain(name) === wanted),
  );
  return sharing.length > 1 ? sharing : [];
}
