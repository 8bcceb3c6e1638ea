import { isColour, isDrawn, type CompiledTaxon, type StageId } from '../../src';
import { taxonPlate } from '../../src/drawing';
import { guide } from '../finds';
import { exchanged } from './exchanged';
import { apart, raster } from './raster';

/** Every character that some plate is drawn from, with its states. */
const characters = guide.characters
  .filter((c) => c.character.kind === 'states' && (isDrawn(c.character) || isColour(c.character)))
  .map((c) => [c.id as string, [...c.stateBit.keys()] as string[]] as const);

const drawn = new Map<string, ReturnType<typeof taxonPlate>>();
/** The plate of a taxon at a stage, drawn once. */
function plateOf(taxon: CompiledTaxon, stage: StageId) {
  const name = `${taxon.id} ${stage}`;
  const plate = drawn.get(name) ?? taxonPlate(guide, taxon, stage);
  drawn.set(name, plate);
  return plate;
}

/** In how many cells of 48,000 two plates differ at least: what can be seen where a plate fills a phone. */
const LEAST = 4;
/** What looks the same from outside, or is a line on a berry of a few millimetres. */
const LOOK_ALIKE: ReadonlySet<string> = new Set([
  'fruit.type berry stone-fruit',
  'fruit.crown neither three-seam',
]);

/** Where a state is stated first: a taxon at a stage whose plate is drawn from this character. */
function plateWith(character: string, state: string) {
  for (const taxon of guide.taxa)
    for (const stage of taxon.taxon.stages) {
      const statement = taxon.taxon.statements.find(
        (s) => s.character === character && (s.stages ?? taxon.taxon.stages).includes(stage),
      );
      if (!statement || !('usual' in statement) || statement.usual[0] !== state) continue;
      const plate = plateOf(taxon, stage);
      if (plate.parts.some((part) => part.of.includes(character))) return { taxon, stage, plate };
    }
  return undefined;
}

describe('nothing hidden', () => {
  test.each(characters)('%s: with another state the plate is another one', (character, states) => {
    for (const state of states) {
      const found = plateWith(character, state);
      if (!found) continue;
      const other = states[(states.indexOf(state) + 1) % states.length] as string;
      const changed = taxonPlate(guide, exchanged(found.taxon, found.stage, character, other), found.stage);
      const where = `${state}, then ${other}, of ${found.taxon.id} ${found.stage}`;
      expect({ where, shows: apart(raster(found.plate), raster(changed)) >= LEAST }).toEqual({
        where,
        shows: !LOOK_ALIKE.has(`${character} ${state} ${other}`),
      });
    }
  });
});
