import type { Kingdom } from '../guide';
import type { Habitat, PlaceFields } from '../notebook/page';

/**
 * What is known of a place, as an answer to where a find grows. Where a place is several things, they are
 * all answered, as by somebody who is torn; what the guide has no word for is not answered at all. It orders
 * and raises doubts, as any answer about a place.
 */
const OF_PLANT: Readonly<Record<Habitat, readonly string[]>> = {
  'deciduous-wood': ['broadleaf-wood'],
  'conifer-wood': ['conifer-wood'],
  'mixed-wood': ['broadleaf-wood', 'conifer-wood'],
  'wood-edge': ['wood-edge'],
  hedge: ['garden'],
  meadow: ['meadow'],
  pasture: ['meadow', 'alpine-pasture'],
  heath: ['heath'],
  bank: ['riverbank'],
  bog: ['heath'],
  scree: [],
  garden: ['garden'],
  'field-edge': ['waste-ground'],
  wayside: ['waste-ground'],
};
const OF_FUNGUS: Readonly<Record<Habitat, readonly string[]>> = {
  'deciduous-wood': ['broadleaf-wood'],
  'conifer-wood': ['conifer-wood'],
  'mixed-wood': ['mixed-wood'],
  'wood-edge': [],
  hedge: [],
  meadow: ['grassland'],
  pasture: ['grassland'],
  heath: ['heath'],
  bank: [],
  bog: ['heath'],
  scree: [],
  garden: ['park'],
  'field-edge': [],
  wayside: [],
};

export interface GroundAnswer {
  readonly character: string;
  readonly states: readonly string[];
}

/** What is known of the place answers nothing where the guide has a word for only a part of it. */
export function groundAnswers(
  kingdom: Kingdom,
  { habitat = [], trees }: Pick<Partial<PlaceFields>, 'habitat' | 'trees'>,
): readonly GroundAnswer[] {
  const states = habitat.map((one) => (kingdom === 'Fungi' ? OF_FUNGUS : OF_PLANT)[one]);
  const ground =
    states.length === 0 || states.some((one) => one.length === 0)
      ? []
      : [
          {
            character: kingdom === 'Fungi' ? 'fungus.habitat' : 'plant.habitat',
            states: [...new Set(states.flat())],
          },
        ];
  const near =
    kingdom === 'Fungi' && trees
      ? [{ character: 'trees', states: trees.length === 0 ? ['none'] : trees }]
      : [];
  return [...ground, ...near];
}
