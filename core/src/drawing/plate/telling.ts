import {
  isDrawn,
  isColour,
  isSmelled,
  type CharacterId,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
} from '../../guide';
import { partings } from '../../guide/partings';

/**
 * What is stated of a taxon at a stage and can be seen on it, most telling first: its own marks, then what
 * parts it from most of what it is taken for, then the rest in the order of the guide.
 */
export function tellingCharacters(
  guide: CompiledGuide,
  taxon: CompiledTaxon,
  stage: StageId,
): readonly CharacterId[] {
  const others = guide.taxa.filter(
    (other) => taxon.taxon.lookalikes.includes(other.id) || other.taxon.lookalikes.includes(taxon.id),
  );
  const parted = new Map<CharacterId, number>();
  for (const other of others)
    for (const { character } of partings(guide, taxon, other, [stage]))
      parted.set(character, (parted.get(character) ?? 0) + 1);
  const parting = [...parted].sort(([, a], [, b]) => b - a).map(([id]) => id);
  const seen = guide.characters
    .filter(
      ({ place, character, index }) =>
        !place &&
        !isSmelled(character) &&
        (isDrawn(character) || isColour(character)) &&
        taxon.atStage.get(index)?.get(stage) !== undefined,
    )
    .map(({ id }) => id);
  const visible = new Set(seen);
  return [...new Set([...taxon.taxon.signature, ...parting, ...seen])].filter((id) => visible.has(id));
}
