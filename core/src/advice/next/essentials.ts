import type { CaseView } from '../../case';
import { isColour } from '../../guide';
import type { Character, CompiledCharacter, CompiledGuide, CompiledTaxon } from '../../guide';

type Kingdom = Character['kingdom'];

/**
 * What anybody who gathers looks at first, whatever they take it for: a few things of each kingdom, each with
 * the characters that show it.
 */
const ESSENTIALS: Readonly<Record<Kingdom, readonly ((character: Character) => boolean)[]>> = {
  Fungi: [
    ({ organ }) => organ === 'hymenophore',
    ({ organ }) => organ === 'flesh',
    (character) => isColour(character) && (character.organ === 'cap' || character.organ === 'stipe'),
    // The base of the stem has to be freed, or it is not seen.
    ({ organ, observe }) => organ === 'stipe' && observe === 'dig',
    // The ground, and the trees on it.
    ({ organ, observe }) => organ === 'place' || (organ === 'habit' && observe === 'dig'),
  ],
  Plantae: [
    ({ organ }) => organ === 'leaf',
    ({ organ }) => organ === 'stem',
    ({ organ }) => organ === 'smell',
    ({ organ }) => organ === 'flower' || organ === 'fruit',
  ],
};

/**
 * What of these essentials nobody has looked at yet, nor passed over: for each such thing the characters that
 * show it and of which the guide states something for the target.
 *
 * @param askable whether a character can be looked at now
 */
export function essentialsUnseen(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  askable: (character: CompiledCharacter) => boolean,
): readonly (readonly CompiledCharacter[])[] {
  const { find } = view;
  const lookedFor = new Set<string>(
    [...find.readings, ...(find.skips ?? [])]
      .filter(({ piece }) => piece === view.piece)
      .map(({ character }) => character),
  );
  const known = guide.characters.filter(
    (one) => one.character.kingdom === find.kingdom && target.atStage.has(one.index) && askable(one),
  );
  return ESSENTIALS[find.kingdom].flatMap((shows) => {
    const characters = known.filter(({ character }) => shows(character));
    return characters.length > 0 && !characters.some(({ id }) => lookedFor.has(id)) ? [characters] : [];
  });
}
