import { CAUSE_BIT } from './causes';
import type { CompiledCharacter } from './compiled';
import type { SharedCause } from './ids';
import { causesOfKind, compileAnswers, type Character } from './kinds';
import type { Guide } from './schema';
import { isSmelled } from './smelled';

/** Compiles one character. */
export function compileCharacter(
  guide: Guide,
  character: Character,
  index: number,
  groupIndex: Map<string, number>,
): CompiledCharacter {
  const smell: SharedCause[] = isSmelled(character) ? ['smell'] : [];
  return {
    ...compileAnswers(character),
    index,
    id: character.id,
    character,
    group: groupIndex.get(character.group) ?? 0,
    place: character.organ === 'place',
    restsOn: [...causesOfKind(character), ...smell, ...(character.restsOn ?? [])].reduce(
      (mask, cause) => mask | CAUSE_BIT[cause],
      0,
    ),
    stages: new Set(
      character.stages ?? guide.stages.filter((s) => s.kingdom === character.kingdom).map((s) => s.id),
    ),
  };
}
