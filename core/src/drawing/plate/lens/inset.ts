import { stateOf, type CompiledGuide } from '../../../guide';
import { answerPlate } from '../../answer';
import { boxOf, closedCurve, ellipse, type Line, type Point } from '../../geometry';
import { linesOf, type Fill, type Mark, type Plate } from '../../mark';
import { washOf } from '../colours';
import { penFor } from '../ink';
import { body, wash, type Sketch, type Subject } from '../sketch';
import { clipped, type Circle } from './clip';

/** What of a lens its drawing fills. */
const FILLED = 0.88;

/** The colour that an organ has been given, for what is drawn as paper. */
const COLOUR_OF: Readonly<Record<string, string>> = {
  leaf: 'leaf.colour',
  stem: 'stem.colour',
  cap: 'cap.colour',
  stipe: 'stipe.colour',
  hymenophore: 'hymenophore.colour',
  fruit: 'fruit.colour',
  flower: 'flower.colour',
  root: 'root.skin',
  flesh: 'flesh.colour',
  section: 'flesh.colour',
};

/**
 * One state of a character through a round lens: as the answer is drawn, in ink and in the colours of the
 * plant, or the colour itself.
 *
 * @returns undefined where nobody has drawn it
 */
export function inset(
  guide: CompiledGuide,
  one: Subject,
  character: string,
  state: string,
  { at, radius }: Circle,
): Mark[] | undefined {
  const inside = contents(guide, one, character, state);
  if (!inside) return undefined;
  const by = (2 * radius * FILLED) / Math.max(1, inside.size);
  const pen = penFor(by, [at[0] - inside.middle[0] * by, at[1] - inside.middle[1] * by], 5, 'full');
  const rim = penFor(1, at, 9, 'full');
  const ground = rim.ink([wash([ellipse(0, 0, radius)], 'paper')]);
  return [
    ...ground,
    ...clipped(pen.ink(inside.sketches), { at, radius: radius * 0.985 }),
    ...rim.ink([body(ellipse(0, 0, radius), 'none', { shading: 'none' })]),
  ];
}

interface Contents {
  readonly sketches: readonly Sketch[];
  readonly middle: Point;
  /** The greater of width and height of what is drawn in full. */
  readonly size: number;
}

/** Drawings of answers, each drawn once. */
const drawn = new Map<string, Plate | undefined>();
function answered(character: string, state: string): Plate | undefined {
  const name = `${character} ${state}`;
  if (!drawn.has(name)) drawn.set(name, answerPlate(character, state));
  return drawn.get(name);
}

/** Whether a state can be shown through a lens. */
export const hasInset = (guide: CompiledGuide, character: string, state: string): boolean =>
  swatchOf(guide, character, state) !== undefined || answered(character, state) !== undefined;

function swatchOf(guide: CompiledGuide, character: string, state: string): string | undefined {
  const known = guide.character(character)?.character;
  return known && stateOf(known, state)?.swatch;
}

function contents(
  guide: CompiledGuide,
  one: Subject,
  character: string,
  state: string,
): Contents | undefined {
  const organ = guide.character(character)?.character.organ ?? '';
  const swatch = swatchOf(guide, character, state);
  const plate = answered(character, state);
  if (!plate)
    return swatch ? { ...BLOT, sketches: [{ ...blot, fill: washOf(swatch as `#${string}`, 0) }] } : undefined;
  const fill = washOf(one.colour(COLOUR_OF[organ] ?? ''), 0.5);
  const solid = plate.marks.filter(
    ({ ink, fill: filled }) => ink !== 'faint' && (ink !== 'none' || filled !== 'none'),
  );
  const { left, right, top, bottom } = boxOf((solid.length > 0 ? solid : plate.marks).flatMap(linesOf));
  return {
    sketches: plate.marks.map((mark) => sketched(mark, fill)),
    middle: [(left + right) / 2, (top + bottom) / 2],
    size: Math.max(right - left, bottom - top),
  };
}

const sketched = (mark: Mark, fill: Fill): Sketch => ({
  lines: linesOf(mark),
  closed: mark.closed,
  ink: mark.ink,
  fill: mark.fill === 'paper' && mark.ink !== 'faint' ? fill : mark.fill,
  shading: 'none',
  detail: false,
});

/** A drop of colour, as a spore print or a juice leaves it on paper. */
const DROP: Line = closedCurve([-26, -8], [-10, -27], [14, -25], [28, -6], [24, 18], [4, 28], [-18, 22]);
const blot = body(DROP, 'paper', { shading: 'none', ink: 'fine' });
const BLOT: Omit<Contents, 'sketches'> = { middle: [0, 0], size: 70 };
