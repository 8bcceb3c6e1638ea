import {
  statesIn,
  type CharacterId,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
  type StateId,
} from '.';

/**
 * Something in which two taxa never agree: what is usual for the one lies outside all that is known of the
 * other.
 */
export interface Parting {
  readonly character: CharacterId;
  readonly group: string;
  /** Usual states of the target at the stages looked at. */
  readonly target: readonly StateId[];
  /** States that the other can show at any stage; empty for what it cannot show at all. */
  readonly other: readonly StateId[];
}

/**
 * What parts a target from a lookalike, by looks alone: the characters whose answer, read as is usual for the
 * target, would be a ground against the other. In the order of the guide; numbers are left out.
 */
export function partings(
  guide: CompiledGuide,
  target: CompiledTaxon,
  other: CompiledTaxon,
  stages: readonly StageId[] | undefined,
): Parting[] {
  return guide.characters.flatMap((character) => {
    const theirs = other.overall.get(character.index);
    if (character.place || theirs?.kind !== 'states') return [];
    const stated = target.atStage.get(character.index);
    const usual = (stages ?? target.taxon.stages)
      .filter((stage) => character.stages.has(stage))
      .map((stage) => stated?.get(stage))
      .reduce((mask, known) => (known?.kind === 'states' ? (mask | known.usual) >>> 0 : mask), 0);
    if (usual === 0 || (usual & theirs.possible) !== 0) return [];
    return [
      {
        character: character.id,
        group: character.character.group,
        target: statesIn(character, usual),
        other: statesIn(character, theirs.possible),
      },
    ];
  });
}
