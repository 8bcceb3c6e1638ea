import { boxOf, ellipse, mirrored, moved, scaled, turned, type Line, type Point } from './geometry';

/** How strongly a line is drawn: `faint` is what only helps to see where one is. */
export type Ink = 'none' | 'faint' | 'fine' | 'line' | 'bold';
/** What an outline is filled with; a colour only where the colour is the answer. */
export type Fill = 'none' | 'paper' | 'shade' | 'ink' | `#${string}`;

/** One stroke or one filled outline. */
export interface Mark {
  readonly line: Line;
  /** Further lines, drawn in the same way. */
  readonly more?: readonly Line[];
  readonly closed: boolean;
  readonly ink: Ink;
  readonly fill: Fill;
}

/** Marks in the order in which they are drawn, on a sheet of this size. */
export interface Plate {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly Mark[];
}

export const stroke = (line: Line, ink: Ink = 'line'): Mark => ({ line, closed: false, ink, fill: 'none' });
export const strokes = (lines: readonly Line[], ink: Ink = 'fine'): Mark[] =>
  lines.map((line) => stroke(line, ink));
export const shape = (line: Line, fill: Fill = 'paper', ink: Ink = 'line'): Mark => ({
  line,
  closed: true,
  ink,
  fill,
});
export const dot = (x: number, y: number, r = 1.2, fill: Fill = 'ink'): Mark =>
  shape(ellipse(x, y, r), fill, 'none');
export const segment = (x1: number, y1: number, x2: number, y2: number): Line => [
  [x1, y1],
  [x2, y2],
];

/** The same marks elsewhere: mirrored left to right, scaled, turned about the origin, then moved. */
export function placed(
  marks: readonly Mark[],
  to: { readonly at?: Point; readonly turn?: number; readonly scale?: number; readonly mirror?: boolean },
): Mark[] {
  const [dx, dy] = to.at ?? [0, 0];
  return marks.map((mark) => {
    const line = to.mirror ? mirrored(mark.line) : mark.line;
    return { ...mark, line: moved(turned(scaled(line, to.scale ?? 1), to.turn ?? 0), dx, dy) };
  });
}

/** With other ink: what was drawn in full becomes mere surroundings. */
export function faint(marks: readonly Mark[]): Mark[] {
  return marks.map((mark) => ({ ...mark, ink: mark.ink === 'none' ? 'none' : 'faint' }));
}

/** All lines of a mark. */
export const linesOf = ({ line, more }: Mark): readonly Line[] => (more ? [line, ...more] : [line]);

/** The smallest box round all marks. */
export function boxOfMarks(marks: readonly Mark[]) {
  return boxOf(marks.flatMap(linesOf));
}

/** Tenths of a unit as text: a plate has thousands of points, and writing numbers takes longest of all. */
const TENTHS = Array.from({ length: 4000 }, (_, i) => String(i / 10));
const written = (value: number): string => {
  const tenths = Math.round(value * 10);
  return TENTHS[tenths] ?? String(tenths / 10);
};

/** A mark as SVG path data, to a tenth of a unit. */
export function pathData(mark: Mark): string {
  let data = '';
  for (const line of linesOf(mark)) {
    let step = 'M';
    for (const [x, y] of line) {
      data += `${step}${written(x)} ${written(y)}`;
      step = 'L';
    }
    if (mark.closed) data += 'Z';
  }
  return data;
}

/** What is drawn for each state of a character; nothing for one that the drawings do not know. */
export type Drawings<Parameters extends unknown[] = [], Drawn = Mark[]> = Readonly<
  Record<string, (...parameters: Parameters) => Drawn | undefined>
>;
