import type { CompiledGuide } from '../../../guide';
import { individual, type Individual } from '../../build';
import { ellipse, type Point } from '../../geometry';
import type { Mark } from '../../mark';
import { drawnWhole } from '../drawn';
import { penFor } from '../ink';
import { onSheet, unitsFor, type Part, type TaxonPlate } from '../sheet';
import { pen, subjectOf, wash } from '../sketch';
import type { AtStage } from '../taxon';
import { anchorOf } from './anchor';
import type { Circle } from './clip';
import { hasInset, inset } from './inset';

/** A round inset that shows a small mark enlarged, tied by a line to where it is on the whole. */
export interface Lens extends Circle {
  readonly character: string;
}
export interface LensedPlate extends TaxonPlate {
  readonly lenses: readonly Lens[];
}

/** The sheet of a plate with lenses, in units. */
const WIDTH = 300;
const HEIGHT = 240;
const [SMALLEST, LARGEST, GAP] = [17, 27, 6];
/** So many lenses stand on one side alone. */
const ONE_SIDE = 3;

/** What is drawn on the whole, and is too fine there to be told by. */
const FINE: ReadonlySet<string> = new Set(
  (
    'leaf.margin leaf.base leaf.foot leaf.venation stem.hairs stem.section stem.marks stem.bloom bark.young ' +
    'twig.thorns umbel.bracts umbel.bracteoles fruit.crown fruit.form fruit.skin flower.form flower.disc ' +
    'cap.surface cap.margin hymenophore.attachment hymenophore.branching stipe.net stipe.interior veil volva'
  ).split(' '),
);

/**
 * A whole taxon, and round it through lenses what the whole does not show, or too finely.
 *
 * @param characters what it is told by, most telling first
 * @param most how many lenses there may be
 */
export function lensedPlate(
  guide: CompiledGuide,
  { taxon, stage }: AtStage,
  characters: readonly string[],
  most = 8,
): LensedPlate {
  const one = individual(guide, taxon, stage, 0);
  const whole = drawnWhole(guide, one, taxon.taxon.kingdom, true);
  const shown = new Set(whole.parts.flatMap((part) => part.of));
  const drawable = characters.filter((id) => {
    const state = one.state(id);
    return state !== undefined && hasInset(guide, id, state);
  });
  const hidden = drawable.filter((id) => !shown.has(id));
  const fine = drawable.filter((id) => shown.has(id) && FINE.has(id));
  const chosen = [...hidden, ...fine].slice(0, most);
  const rows = chosen.length <= ONE_SIDE ? chosen.length : Math.ceil(chosen.length / 2);
  const radius = Math.max(SMALLEST, Math.min(LARGEST, HEIGHT / Math.max(1, rows) / 2 - GAP / 2));
  const column = chosen.length === 0 ? 0 : 2 * radius + GAP;
  const sheet = {
    width: WIDTH,
    height: HEIGHT,
    left: chosen.length > ONE_SIDE ? column : 0,
    right: WIDTH - column,
  };
  const plate = onSheet(whole, unitsFor(whole, sheet), 0, 'full', sheet);
  const lenses = arranged(plate, chosen, radius, rows);
  const added = lenses.flatMap((lens): Part[] => {
    const marks = lensMarks(guide, one, lens.character, lens);
    return marks ? [{ of: [lens.character], marks: [...tie(lens), ...marks] }] : [];
  });
  return {
    ...plate,
    lenses,
    parts: [...plate.parts, ...added],
    marks: [...plate.marks, ...added.flatMap((part) => part.marks)],
  };
}

/** One character of an individual through a lens; nothing where nothing is stated or drawn. */
export function lensMarks(
  guide: CompiledGuide,
  one: Individual,
  character: string,
  circle: Circle,
): Mark[] | undefined {
  const state = one.state(character);
  return state === undefined ? undefined : inset(guide, subjectOf(guide, one), character, state, circle);
}

interface Tied extends Lens {
  readonly to: Point | undefined;
}

/** Left and right of the whole, in the order of their places from top to bottom, so that no two ties cross. */
function arranged(plate: TaxonPlate, characters: readonly string[], radius: number, rows: number): Tied[] {
  const middle = plate.width / 2;
  const anchored = characters
    .map((character) => ({ character, x: anchorOf(plate, character, 0.5)?.[0] ?? middle }))
    .sort((a, b) => a.x - b.x);
  const left = characters.length <= ONE_SIDE ? [] : anchored.slice(0, characters.length - rows);
  const right = anchored.slice(left.length);
  return [
    { side: left, x: radius + 1, aside: 0.1 },
    { side: right, x: WIDTH - radius - 1, aside: 0.9 },
  ].flatMap(({ side, x, aside }) =>
    side
      .map(({ character }) => ({ character, to: anchorOf(plate, character, aside) }))
      .sort((a, b) => (a.to?.[1] ?? 0) - (b.to?.[1] ?? 0))
      .map(({ character, to }, i, { length }) => ({
        character,
        to,
        radius: radius - 1,
        at: [x, (HEIGHT * (i + 0.5)) / Math.max(length, Math.min(rows, 3))] as Point,
      })),
  );
}

/** The line from the edge of a lens to its place, and a ring there. */
function tie({ at, radius, to }: Tied): Mark[] {
  if (!to) return [];
  const [dx, dy] = [to[0] - at[0], to[1] - at[1]];
  const long = Math.hypot(dx, dy);
  const edge: Point = [at[0] + (dx / long) * radius, at[1] + (dy / long) * radius];
  return penFor(1, [0, 0], 3, 'full').ink([
    pen([[edge, to]], 'fine'),
    wash([ellipse(to[0], to[1], 1.7)], 'ink'),
  ]);
}
