import { isDrawn, type CompiledTaxon, type StageId } from '../../src';
import { lensedPlate } from '../../src/drawing';
import { guide } from '../finds';
import { exchanged } from './exchanged';
import { apart, raster } from './raster';

/** Statements of states that are drawn: of each character up to so many states, where each is stated first. */
const OF_EACH = 2;
/** In so many statements of a hundred the nearest may be another state. */
const MISREAD = 5;
jest.setTimeout(240_000);

interface Stated {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
  readonly character: string;
  readonly state: string;
  readonly states: readonly string[];
}

function statedOf(character: string, states: readonly string[]): Stated[] {
  return states
    .flatMap((state): Stated[] => {
      for (const taxon of guide.taxa)
        for (const stage of taxon.taxon.stages) {
          if (!guide.character(character)?.stages.has(stage)) continue;
          const statement = taxon.taxon.statements.find(
            (s) => s.character === character && (s.stages ?? taxon.taxon.stages).includes(stage),
          );
          if (statement && 'usual' in statement && statement.usual[0] === state)
            return [{ taxon, stage, character, state, states }];
        }
      return [];
    })
    .slice(0, OF_EACH);
}

const statements = guide.characters
  .filter(
    ({ character, place }) =>
      character.kind === 'states' && isDrawn(character) && !place && !/smell/.test(character.id),
  )
  .flatMap((c) => statedOf(c.id, [...c.stateBit.keys()]));

/** The plate of this statement, with a lens where it has one, as cells. */
const cellsOf = ({ taxon, stage, character }: Stated, state: string, hand: number) =>
  raster(
    lensedPlate(guide, { taxon: exchanged(taxon, stage, character, state), stage }, [character], { hand }),
  );

test('readable back: in 95 of 100 statements, the state drawn by another hand is the nearest of all', () => {
  const misread = statements.flatMap((one) => {
    const given = cellsOf(one, one.state, 1);
    const distances = one.states.map((state) => ({ state, far: apart(given, cellsOf(one, state, 0)) }));
    const [nearest] = [...distances].sort((a, b) => a.far - b.far);
    const alike = distances.filter(({ far }) => far === nearest?.far).length;
    return nearest?.state === one.state && alike === 1
      ? []
      : [`${one.taxon.id} ${one.stage} ${one.character}: ${one.state} read as ${nearest?.state}`];
  });
  expect(statements.length).toBeGreaterThan(100);
  // What was misread is seen where it is too much.
  expect(misread.length * 100 > MISREAD * statements.length ? misread : []).toEqual([]);
});
