import type { CompiledGuide, TaxonId } from '../guide';
import type { Sighting } from '../notebook/page';

/**
 * The dangerous ones that were seen or suspected at a place, but for those that are wanted themselves;
 * suspicion is enough to warn. The newest word on each counts: who looked again and found nothing takes it
 * back.
 */
export function dangerousAt(sightings: readonly Sighting[], guide: CompiledGuide): TaxonId[] {
  const last = new Map<TaxonId, Sighting>();
  for (const one of sightings) {
    const before = last.get(one.taxon);
    if (!before || one.on > before.on || (one.on === before.on && one.at >= before.at))
      last.set(one.taxon, one);
  }
  const dangerous = (id: TaxonId) => {
    const taxon = guide.taxon(id);
    return taxon !== undefined && taxon.grade !== 'none' && taxon.taxon.parts.length === 0;
  };
  return [...last.values()]
    .filter(({ what, taxon }) => what !== 'nothing' && dangerous(taxon))
    .map(({ taxon }) => taxon)
    .sort();
}
