import type { CompiledGuide } from '../../guide';
import type { Individual } from '../build';
import { boxOf, mirrored, moved, scaled, turned, type Line, type Point } from '../geometry';
import { linesOf, type Fill, type Ink, type Mark } from '../mark';
import { thinned } from './pen';

/** How a shape is made round or rough with the pen. */
export type Shading = 'round' | 'dark' | 'none';

/**
 * What is drawn before the pen touches paper: a line or an outline in millimetres, with what the pen is to do
 * with it. Several lines may go together as one sketch, so that a hundred hairs are one thing to draw.
 */
export interface Sketch {
  readonly lines: readonly Line[];
  readonly closed: boolean;
  readonly ink: Ink;
  readonly fill: Fill;
  readonly shading: Shading;
  /** Left out where the plate is small. */
  readonly detail: boolean;
}

const base: Omit<Sketch, 'lines'> = {
  closed: true,
  ink: 'line',
  fill: 'paper',
  shading: 'none',
  detail: false,
};

/** A filled outline that hides what is behind it. */
export const body = (line: Line, fill: Fill = 'paper', more: Partial<Sketch> = {}): Sketch => ({
  ...base,
  lines: [line],
  fill,
  shading: 'round',
  ...more,
});
/** A filled outline without an edge of its own. */
export const wash = (lines: readonly Line[], fill: Fill, more: Partial<Sketch> = {}): Sketch => ({
  ...base,
  lines,
  fill,
  ink: 'none',
  ...more,
});
/** Lines that swell and thin. */
export const pen = (lines: readonly Line[], ink: Ink = 'line', more: Partial<Sketch> = {}): Sketch => ({
  ...base,
  lines,
  closed: false,
  ink,
  fill: 'none',
  ...more,
});
/** Fine lines that only a large plate has room for. */
export const hairs = (lines: readonly Line[]): Sketch => pen(lines, 'fine', { detail: true });

/** The same elsewhere: mirrored left to right, scaled, turned about the origin, then moved. */
export function put(
  sketches: readonly Sketch[],
  to: { readonly at?: Point; readonly turn?: number; readonly scale?: number; readonly mirror?: boolean },
): Sketch[] {
  const [dx, dy] = to.at ?? [0, 0];
  return sketches.map((sketch) => ({
    ...sketch,
    lines: sketch.lines.map((line) =>
      moved(turned(scaled(to.mirror ? mirrored(line) : line, to.scale ?? 1), to.turn ?? 0), dx, dy),
    ),
  }));
}

/** One individual, and the colours of its states. */
export interface Subject extends Individual {
  /** The swatch of a colour that is stated, as sRGB `#rrggbb`. */
  readonly colour: (character: string) => `#${string}` | undefined;
}

/** An individual with the swatches of a guide. */
export function subjectOf(guide: CompiledGuide, one: Individual): Subject {
  return {
    ...one,
    colour: (id) => {
      const state = one.state(id);
      const character = guide.character(id)?.character;
      if (state === undefined || !character || !('states' in character)) return undefined;
      return character.states.find((s) => s.id === state)?.swatch as `#${string}` | undefined;
    },
  };
}

/** Marks of a card, as sketches; what is paper on it gets this wash. */
export function fromMarks(marks: readonly Mark[] | undefined, fill: Fill = 'paper'): Sketch[] {
  return (marks ?? [])
    .filter((mark) => mark.ink !== 'faint')
    .map((mark) => ({
      ...base,
      lines: linesOf(mark),
      closed: mark.closed,
      ink: mark.ink === 'bold' ? 'line' : mark.ink,
      fill: mark.fill === 'paper' ? fill : mark.fill,
    }));
}

/** The smallest box round sketches. */
export const boxOfSketches = (sketches: readonly Sketch[]) => boxOf(sketches.flatMap((s) => s.lines));

/** What is smaller than this part of a plant does not show on its sheet. */
export const FINEST = 260;

/** With no more points than the sheet can show: none nearer to the one before than this, mm. */
export const coarse = (sketches: readonly Sketch[], least: number): Sketch[] =>
  sketches.map((sketch) => ({ ...sketch, lines: sketch.lines.map((line) => thinned(line, least)) }));

/** The same thing many times, as one sketch for each of its parts: a hundred flowers are few things to draw. */
export function merged(each: readonly (readonly Sketch[])[]): Sketch[] {
  return (each[0] ?? []).map((first, i) => ({
    ...first,
    lines: each.flatMap((sketches) => sketches[i]?.lines ?? []),
  }));
}
