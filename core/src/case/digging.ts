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
 * Whether nothing is against digging a plant up for looking, or still open: the owner allows picking, no law
 * forbids it, ten or more stand there, and the patch thrives. Of a plant without a name the law is open until
 * it was looked up.
 */
export function bearsDigging(
  { context: { permission, protection, patchSize, patchThrives } }: Pick<Unnamed, 'context'>,
  target: CompiledTaxon | undefined,
): boolean {
  const lawIsKnown =
    protection === 'allowed' || (target !== undefined && target.taxon.protection !== 'often');
  const manyStandHere = patchSize !== undefined && patchSize !== 'few';
  return (
    permission === 'allowed' &&
    protection !== 'protected' &&
    lawIsKnown &&
    manyStandHere &&
    patchThrives === true
  );
}

/** A context in which any plant may be dug up for looking. */
export const MAY_DIG = {
  mayDig: true,
  permission: 'allowed',
  protection: 'allowed',
  patchSize: 'tens',
  patchThrives: true,
} as const;

/** Whether a plant may be dug up for looking: somebody said so, and nothing is against it or open. */
export const mayBeDug = (find: Pick<Unnamed, 'context'>, target: CompiledTaxon | undefined): boolean =>
  find.context.mayDig === true && bearsDigging(find, target);
