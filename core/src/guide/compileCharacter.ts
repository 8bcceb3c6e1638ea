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
  const answers = compileAnswers(character);
  // Member by member: characters of all kinds have one shape in memory, or comparing takes twice as long.
  return {
    stateBit: answers.stateBit,
    absentMask: answers.absentMask,
    unreadMask: answers.unreadMask,
    stateCauses: answers.stateCauses,
    near: answers.near,
    ordered: answers.ordered,
    error: answers.error,
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
