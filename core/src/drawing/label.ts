import type { Line, Point } from './geometry';
import { boxOfMarks } from './mark';
import type { TaxonPlate } from './plate';

/** Where a number is drawn that points at what a character says. */
export interface Label {
  readonly character: string;
  readonly at: Point;
}

/** Characters of one organ share the first part of their ids. */
const organOf = (character: string) => character.split('.')[0];

/** A number may stand beside what it points at, at this cost. */
const BESIDE = [
  [0, 0],
  [-0.6, 0],
  [0.6, 0],
  [-1.5, 1.5],
  [1.5, 1.5],
] as const;

/** Points along a line, at most so far apart. */
function along(line: Line, step: number): Point[] {
  return line.flatMap((point, i): Point[] => {
    const next = line[i + 1];
    if (!next) return [point];
    const count = Math.max(1, Math.ceil(Math.hypot(next[0] - point[0], next[1] - point[1]) / step));
    return Array.from({ length: count }, (_, k): Point => [
      point[0] + ((next[0] - point[0]) * k) / count,
      point[1] + ((next[1] - point[1]) * k) / count,
    ]);
  });
}

/**
 * Places for numbers on a plate: each on the part that was drawn from its character, else on one of the same
 * organ, as far out as it goes, none nearer to another than given as long as there is room. Characters that
 * this plate does not show have none.
 *
 * @param room half the width of a number, in units of the sheet
 */
export function labels(plate: TaxonPlate, characters: readonly string[], room: number): Label[] {
  const placed: Label[] = [];
  if (plate.marks.length === 0) return placed;
  const whole = boxOfMarks(plate.marks);
  const middle: Point = [(whole.left + whole.right) / 2, (whole.top + whole.bottom) / 2];
  const held = (value: number, most: number) => Math.min(most - room, Math.max(room, value));
  for (const character of characters) {
    const exact = plate.parts.filter((part) => part.of.includes(character));
    const lines = (
      exact.length > 0
        ? exact
        : plate.parts.filter((part) => part.of.some((c) => organOf(c) === organOf(character)))
    )
      .flatMap((part) => part.marks)
      .map((mark) => mark.line);
    let best: { readonly at: Point; readonly worth: number } | undefined;
    for (const [x, y] of lines.flatMap((line) => along(line, room)))
      for (const [aside, cost] of BESIDE) {
        const at: Point = [held(x + aside * room, plate.width), held(y, plate.height)];
        const apart = Math.min(
          2.4 * room,
          ...placed.map((label) => Math.hypot(label.at[0] - at[0], label.at[1] - at[1])),
        );
        // Far from the others first, then far out, where it covers little, then near what it points at.
        const worth = apart * 100 + Math.hypot(at[0] - middle[0], (at[1] - middle[1]) * 0.6) - cost * room;
        if (!best || worth > best.worth) best = { at, worth };
      }
    if (best) placed.push({ character, at: best.at });
  }
  return placed;
}
