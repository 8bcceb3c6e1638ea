import { ellipse } from '../../geometry';
import { pen, put, type Sketch, type Subject } from '../sketch';
import type { Part, UnknownOrgan } from '../whole';
import { leafOf } from './leaf';
import type { Growth } from './nodes';

/** Organs that belong to a plant at a stage and of which nothing is stated: a faint outline where they would be. */

export function unknownOrgans(one: Subject, stage: string | undefined): UnknownOrgan[] {
  const isStated = (organ: string, ...characters: readonly string[]) =>
    characters.some((id) => one.state(`${organ}.${id}`) !== undefined);
  return [
    ...(isStated('leaf', 'outline', 'division', 'arrangement', 'margin') ? [] : ['leaf' as const]),
    ...(stage !== 'fruiting' || isStated('fruit', 'type', 'form', 'position', 'colour', 'crown')
      ? []
      : ['fruit' as const]),
  ];
}

export function faintParts(organs: readonly UnknownOrgan[], one: Subject, growth: Growth): Part[] {
  const { leaves, seats, leafLength, room } = growth;
  const outlines = (sketches: Sketch[]): Part[] => (sketches.length > 0 ? [{ of: [], sketches }] : []);
  return organs.flatMap((organ) =>
    organ === 'fruit'
      ? outlines(
          seats.tips.map(({ at: [x, y], size }) =>
            pen([ellipse(x, y - room * 0.3, room * 0.22 * size)], 'faint'),
          ),
        )
      : leafOf(one)
        ? []
        : outlines(
            leaves.flatMap(({ at, turn, size }) =>
              put([pen([ellipse(0, -leafLength * 0.5, leafLength * 0.24, leafLength * 0.5)], 'faint')], {
                at,
                turn,
                scale: size,
              }),
            ),
          ),
  );
}
