import { wantedStages, type CharacterId, type CompiledGuide, type CompiledTaxon, type StageId } from '../guide';

const found = new WeakMap<CompiledGuide, Map<string, ReadonlySet<CharacterId>>>();

/**
 * Marks of a target that may be seen in a form that it shows now and then, if all its other marks are seen in their
 * usual form: those where no lookalike of the target, and nothing deadly, can show the whole signature even then.
 * Worked out once for each target of a guide.
 */
export function marksThatMayVary(guide: CompiledGuide, target: CompiledTaxon): ReadonlySet<CharacterId> {
  const ofGuide = found.get(guide) ?? new Map<string, ReadonlySet<CharacterId>>();
  found.set(guide, ofGuide);
  const known = ofGuide.get(target.id);
  if (known) return known;
  const others = guide.taxa.filter((taxon) => (
    taxon.index !== target.index && taxon.taxon.kingdom === target.taxon.kingdom
    && (taxon.grade === 'deadly' || (taxon.grade !== 'none' && target.taxon.lookalikes.includes(taxon.id)))
  ));
  const stages = wantedStages(target);
  const marks = new Set(target.taxon.signature.filter((mark) => others.every((other) => (
    stages.every((stage) => !other.taxon.stages.includes(stage) || isParted(guide, target, other, stage, mark))
  ))));
  ofGuide.set(target.id, marks);
  return marks;
}

/** Whether some mark of the target, with one of them in any of its forms, excludes all that the other can show at this stage. */
function isParted(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon, stage: StageId, varying: CharacterId): boolean {
  return target.taxon.signature.some((id) => {
    const index = guide.character(id)?.index ?? -1;
    const mine = target.atStage.get(index)?.get(stage);
    const theirs = other.atStage.get(index)?.get(stage);
    if (mine?.kind !== 'states' || theirs?.kind !== 'states') return false;
    return ((id === varying ? mine.possible : mine.usual) & theirs.possible) === 0;
  });
}
