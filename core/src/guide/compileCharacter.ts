import { oklab, apart, NEAR } from '../lib/colour';
import { CAUSE_BIT } from './causes';
import type { Character } from './character';
import type { CompiledCharacter, StateMask } from './compiled';
import type { SharedCause, StateId } from './ids';
import type { Guide } from './schema';

/** Compiles one character. */

export function compileCharacter(
  guide: Guide,
  character: Character,
  index: number,
  groupIndex: Map<string, number>,
): CompiledCharacter {
  const kindCause: SharedCause[] =
    character.kind === 'colour'
      ? ['colour']
      : character.kind === 'measure' || character.kind === 'count'
        ? ['number']
        : [];
  const smell: SharedCause[] =
    character.organ === 'smell' || character.observe === 'crush-and-smell' ? ['smell'] : [];
  const restsOn = [...kindCause, ...smell, ...(character.restsOn ?? [])].reduce(
    (mask, cause) => mask | CAUSE_BIT[cause],
    0,
  );
  const stateBit = new Map<string, StateMask>();
  let absentMask = 0;
  let unreadMask = 0;
  const stateCauses: { states: StateMask; cause: number }[] = [];
  if (character.kind === 'states' || character.kind === 'colour') {
    for (const [position, state] of character.states.entries()) {
      const bit = (1 << position) >>> 0;
      stateBit.set(state.id, bit);
      if (state.absent) absentMask = (absentMask | bit) >>> 0;
      for (const cause of [...(state.absent ? ['absence' as const] : []), ...(state.restsOn ?? [])])
        stateCauses.push({ states: bit, cause: CAUSE_BIT[cause] });
      if (state.unread) unreadMask = (unreadMask | bit) >>> 0;
    }
  }
  return {
    index,
    id: character.id,
    character,
    group: groupIndex.get(character.group) ?? 0,
    place: character.organ === 'place',
    restsOn,
    absentMask,
    stateCauses,
    stateBit,
    near: nearStates(character),
    unreadMask,
    stages: new Set(
      character.stages ?? guide.stages.filter((s) => s.kingdom === character.kingdom).map((s) => s.id),
    ),
  };
}

function nearStates(character: Character): StateMask[] {
  if (character.kind !== 'states' && character.kind !== 'colour') return [];
  const { states, shades = [] } = character;
  const places = states.map(({ swatch }) => (swatch === undefined ? undefined : oklab(swatch)));
  const shaded = (a: StateId | undefined, b: StateId | undefined) =>
    shades.some(([one, other]) => (one === a && other === b) || (one === b && other === a));
  return places.map((place, position) =>
    places.reduce<number>((mask, other, index) => {
      const alike = place !== undefined && other !== undefined && apart(place, other) < NEAR;
      const near = index === position || alike || shaded(states[position]?.id, states[index]?.id);
      return near ? (mask | (1 << index)) >>> 0 : mask;
    }, 0),
  );
}
