import { boxOf, moved, scaled, seeded, type Line, type Point } from '../geometry';
import type { Mark } from '../mark';
import { isHex, lightness, lit } from './colours';
import { denser, field, hatching, stroked, thinned } from './pen';
import type { Sketch } from './sketch';

/** How much of a plate is drawn: a small one has neither hatching nor fine lines. */
export type Detail = 'small' | 'full';

/** Half the greatest width of a stroke, in units of the sheet. */
const HALF = { none: 0, faint: 0.3, fine: 0.36, line: 0.72, bold: 1.05 } as const;
/** How far the hand trembles, and over which distance. */
const TREMBLE = { by: 0.55, across: 17 } as const;

export interface Pen {
  readonly ink: (sketches: readonly Sketch[]) => Mark[];
}

/**
 * A pen for one sheet: puts sketches in millimetres onto it, in ink and wash. The same seed gives the same
 * hand.
 *
 * @param by units of the sheet for a millimetre
 * @param to where the origin of the sketches comes to lie on the sheet
 */
export function penFor(by: number, to: Point, seed: number, detail: Detail): Pen {
  const next = seeded(seed + 17);
  const [aside, down] = [field(seed + 1, TREMBLE.across), field(seed + 2, TREMBLE.across)];
  const pressure = field(seed + 3, 9);
  const tremble = detail === 'small' ? 0 : TREMBLE.by;
  const onto = (line: Line): Line => {
    const there = thinned(moved(scaled(line, by), to[0], to[1]), NEAREST[detail]);
    if (tremble === 0) return there;
    return denser(there, 7).map(([x, y]): Point => [x + tremble * aside(x, y), y + tremble * down(x, y)]);
  };
  const inkOf = (sketch: Sketch, lines: readonly Line[]): Mark[] => {
    if (sketch.ink === 'none' || isSwarm(sketch, lines)) return [];
    if (detail === 'small' || sketch.ink === 'faint')
      return [mark(lines, sketch.closed, { ink: sketch.ink, fill: 'none' })];
    return [
      mark(
        lines.map((line) => stroked(line, sketch.closed, halfFor(sketch, line), pressure)),
        true,
        { ink: 'none', fill: 'ink' },
      ),
    ];
  };
  return {
    ink: (sketches) =>
      sketches
        .filter((sketch) => detail === 'full' || !sketch.detail)
        .flatMap((sketch) => {
          const lines = sketch.lines.filter((line) => line.length > 1).map(onto);
          if (lines.length === 0 || (sketch.detail && isTiny(lines))) return [];
          return [
            ...(sketch.closed && sketch.fill !== 'none'
              ? [mark(lines, true, { ink: 'none', fill: sketch.fill })]
              : []),
            ...(sketch.closed && detail === 'full' ? shading(sketch, lines[0] as Line, next) : []),
            ...inkOf(sketch, lines),
          ];
        }),
  };
}

/** Points nearer to each other than this make no difference on the sheet. */
const NEAREST: Readonly<Record<Detail, number>> = { small: 1.5, full: 0.75 };

/** Fine lines on something smaller than this would only blacken it. */
const TINY = 9;
function isTiny(lines: readonly Line[]): boolean {
  const { left, right, top, bottom } = boxOf(lines);
  return Math.max(right - left, bottom - top) < TINY;
}

/** What is paler than this is not seen without an edge. */
const PALE = 0.85;

/** Many small washes next to each other: their edges would only blacken them. */
function isSwarm({ closed, fill }: Sketch, lines: readonly Line[]): boolean {
  if (!closed || !isHex(fill) || lightness(fill) > PALE || lines.length < 40) return false;
  const { left, right } = boxOf([lines[Math.floor(lines.length / 2)] as Line]);
  return right - left < 3.4;
}

/** Small things are drawn with less pressure, so that they do not fill with ink. */
function halfFor({ ink, closed }: Sketch, line: Line): number {
  const { left, right, top, bottom } = boxOf([line]);
  const size = closed ? Math.min(right - left, bottom - top) * 2 : Math.hypot(right - left, bottom - top);
  return Math.min(HALF[ink], 0.12 + size * 0.022);
}

const mark = (lines: readonly Line[], closed: boolean, how: Pick<Mark, 'ink' | 'fill'>): Mark => ({
  line: lines[0] as Line,
  ...(lines.length > 1 ? { more: lines.slice(1) } : {}),
  closed,
  ...how,
});

/** Light on one side, hatching on the other. */
function shading(sketch: Sketch, outline: Line, next: () => number): Mark[] {
  if (sketch.shading === 'none') return [];
  const { left, right, top, bottom } = boxOf([outline]);
  const [wide, high] = [right - left, bottom - top];
  const least = Math.min(wide, high);
  if (least < 4) return [];
  const away = Math.min(least * 0.3, 11);
  const dark = 1 - lightness(sketch.fill);
  const gap = Math.max(1.5, 2.9 - dark * 1.3);
  const lines = hatching(
    outline,
    { gap, slant: 24, ...(sketch.shading === 'dark' ? {} : { away: [-away, -away * 0.55] }) },
    next,
  );
  return [
    ...(sketch.shading === 'round' && isHex(sketch.fill) && least > 12
      ? [mark([gleam(outline, left, top, wide, high)], true, { ink: 'none', fill: lit(sketch.fill) })]
      : []),
    ...(lines.length > 0
      ? [
          mark(
            lines.map((line) => stroked(line, false, 0.26, () => 0)),
            true,
            { ink: 'none', fill: 'ink' },
          ),
        ]
      : []),
  ];
}

/** The lit part: the outline itself, smaller and towards the light. */
function gleam(outline: Line, left: number, top: number, wide: number, high: number): Line {
  const [cx, cy] = [left + wide * 0.4, top + high * 0.38];
  return outline.map(([x, y]): Point => [cx + (x - cx) * 0.62, cy + (y - cy) * 0.62]);
}
