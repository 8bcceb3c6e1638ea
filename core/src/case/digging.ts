import type { CharacterId, CompiledCharacter, CompiledGuide, CompiledTaxon } from '../guide';
import type { Unnamed } from './schema';

/** Whether a look means digging a plant up: few survive it, and the law often forbids it. */
export const isDug = ({ character: { kingdom, organ, damage } }: CompiledCharacter): boolean =>
  kingdom === 'Plantae' && (organ === 'root' || damage === 'whole');

/** The same of a character by its id; one that is not in the guide needs none. */
export function needsDigging(guide: CompiledGuide, id: CharacterId): boolean {
  const character = guide.character(id);
  return character !== undefined && isDug(character);
}

/**
 * Whether a plant may be dug up for looking: somebody said so, the owner allows picking, and no law is open
 * or against it. Of a plant without a name the law is open until it was looked up.
 */
export function mayBeDug(
  { context: { mayDig, permission, protection } }: Pick<Unnamed, 'context'>,
  target: CompiledTaxon | undefined,
): boolean {
  const lawIsKnown =
    protection === 'allowed' || (target !== undefined && target.taxon.protection !== 'often');
  return mayDig === true && permission === 'allowed' && protection !== 'protected' && lawIsKnown;
}
