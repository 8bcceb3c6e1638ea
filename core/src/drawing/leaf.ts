import { type Line, type Point, mirrored, curve } from './geometry';
import { segment, type Mark, shape, strokes, stroke } from './mark';

/**
 * The outline of a blade: half its width, of 1 where it is broadest, at a share of its length from the base.
 * Two exponents make it: how it begins and how it ends. It is broadest where the first stands to the sum of
 * both (the mode of a beta curve).
 */
export interface Outline {
  readonly base: number;
  readonly tip: number;
  /** Length to width. */
  readonly ratio: number;
  /** Straight sides instead. */
  readonly parallel?: boolean;
}

export const OUTLINES = {
  ovate: { base: 0.5, tip: 1, ratio: 1.7 },
  elliptic: { base: 0.8, tip: 0.8, ratio: 2 },
  obovate: { base: 1.1, tip: 0.5, ratio: 1.8 },
  lanceolate: { base: 0.65, tip: 1.1, ratio: 4.5 },
  linear: { base: 0.2, tip: 0.3, ratio: 9, parallel: true },
  needle: { base: 0.2, tip: 0.6, ratio: 16, parallel: true },
  round: { base: 0.45, tip: 0.55, ratio: 1.05 },
} as const satisfies Record<string, Outline>;

export function halfWidth({ base, tip, parallel }: Outline, t: number): number {
  if (t <= 0 || t >= 1) return 0;
  if (parallel) return Math.min(1, (t / 0.12) ** base, ((1 - t) / 0.18) ** tip);
  const broadest = base / (base + tip);
  return (t / broadest) ** base * ((1 - t) / (1 - broadest)) ** tip;
}

export const MARGINS = [
  'entire',
  'finely-serrate',
  'coarsely-serrate',
  'cut',
  'double-serrate',
  'bristle-toothed',
  'rounded-teeth',
  'rolled',
] as const;

export type Margin = (typeof MARGINS)[number];

export const isMargin = (state: string | undefined): state is Margin =>
  (MARGINS as readonly (string | undefined)[]).includes(state);

const TEETH: Readonly<Record<Margin, { readonly count: number; readonly depth: number }>> = {
  entire: { count: 0, depth: 0 },
  rolled: { count: 0, depth: 0 },
  'finely-serrate': { count: 22, depth: 1.3 },
  'coarsely-serrate': { count: 9, depth: 3.2 },
  'double-serrate': { count: 7, depth: 3.4 },
  'bristle-toothed': { count: 8, depth: 3 },
  'rounded-teeth': { count: 9, depth: 2.2 },
  cut: { count: 4, depth: 0 },
};

/**
 * Points of the right edge from base to tip, teeth pointing to the tip. The blade stands upright, its base at
 * the origin.
 */
function edge(outline: Outline, length: number, margin: Margin): Line {
  const width = length / outline.ratio / 2;
  const at = (t: number): Point => [width * halfWidth(outline, t), -length * t];
  const { count, depth } = TEETH[margin];
  if (margin === 'cut') {
    return Array.from({ length: 97 }, (_, i) => {
      const t = i / 96;
      const [x, y] = at(t);
      return [x * (0.38 + 0.62 * Math.abs(Math.sin(Math.PI * count * t ** 0.9)) ** 0.7), y];
    });
  }
  if (count === 0) return Array.from({ length: 49 }, (_, i) => at(i / 48));
  const out = (t: number, far: number): Point => {
    const [[ax, ay], [bx, by]] = [at(Math.max(0, t - 0.01)), at(Math.min(1, t + 0.01))];
    const long = Math.hypot(bx - ax, by - ay) || 1;
    const [x, y] = at(t);
    return [x + (far * (ay - by)) / long, y + (far * (bx - ax)) / long];
  };
  const line: Point[] = [at(0), at(0.03)];
  for (let i = 0; i < count; i += 1) {
    const [a, b] = [0.05 + (0.9 * i) / count, 0.05 + (0.9 * (i + 1)) / count];
    const span = b - a;
    const here = depth * Math.min(1, 0.5 + halfWidth(outline, (a + b) / 2));
    line.push(at(a));
    if (margin === 'rounded-teeth')
      line.push(out(a + span * 0.2, here * 0.8), out(a + span * 0.5, here), out(a + span * 0.8, here * 0.8));
    else if (margin === 'double-serrate')
      line.push(
        out(a + span * 0.35, here * 0.55),
        out(a + span * 0.4, here * 0.25),
        out(a + span * 0.85, here),
      );
    else line.push(out(a + span * 0.85, here));
  }
  return [...line, at(0.96), at(1)];
}

/** The closed outline of a blade, base at the origin, tip straight up. */
export function bladeOutline(outline: Outline, length: number, margin: Margin = 'entire'): Line {
  const right = edge(outline, length, margin);
  return [...right, ...[...mirrored(right)].reverse().slice(1, -1)];
}

export type Venation = 'net' | 'arching' | 'pleated' | 'parallel' | 'curved-pairs' | 'one';

/** The veins of a blade that stands upright, base at the origin. */
export function veins(outline: Outline, length: number, kind: Venation): Line[] {
  const width = length / outline.ratio / 2;
  const side = (t: number, share: number): Point => [width * halfWidth(outline, t) * share, -length * t];
  const middle: Line = segment(0, 0, 0, -length * 0.97);
  const both = (lines: readonly Line[]) => lines.flatMap((line) => [line, mirrored(line)]);
  const lengthwise = (shares: readonly number[]) =>
    both(shares.map((share) => Array.from({ length: 25 }, (_, i) => side(i / 24, share))));
  if (kind === 'one') return [middle];
  if (kind === 'arching') return [middle, ...lengthwise([0.4, 0.75])];
  if (kind === 'parallel') return [middle, ...lengthwise([0.3, 0.62])];
  if (kind === 'pleated') return [middle, ...lengthwise([0.2, 0.4, 0.6, 0.8])];
  const starts = kind === 'net' ? [0.12, 0.26, 0.4, 0.54, 0.68, 0.8] : [0.1, 0.25, 0.4];
  return [
    middle,
    ...both(
      starts.map((t) =>
        kind === 'net'
          ? curve([0, -length * t], side(t + 0.08, 0.45), side(Math.min(0.96, t + 0.14), 0.93))
          : curve(
              [0, -length * t],
              side(t + 0.1, 0.55),
              side(Math.min(0.9, t + 0.28), 0.72),
              side(Math.min(0.97, t + 0.5), 0.5),
            ),
      ),
    ),
  ];
}

export interface Blade {
  readonly outline: Outline;
  readonly length: number;
  readonly margin?: Margin;
  readonly venation?: Venation;
}

/** One blade: base at the origin, tip straight up. */
export function blade({ outline, length, margin = 'entire', venation = 'net' }: Blade): Mark[] {
  const marks = [shape(bladeOutline(outline, length, margin)), ...strokes(veins(outline, length, venation))];
  if (margin === 'bristle-toothed') {
    const right = edge(outline, length, margin);
    for (let i = 2; i < right.length - 2; i += 1) {
      const [a, b, c] = [right[i - 1] as Point, right[i] as Point, right[i + 1] as Point];
      if (b[0] <= a[0] || b[0] <= c[0]) continue;
      const bristle: Line = [b, [b[0] + 2.2, b[1] - 2.4]];
      marks.push(stroke(bristle, 'fine'), stroke(mirrored(bristle), 'fine'));
    }
  }
  if (margin === 'rolled') {
    const inner = edge({ ...outline, ratio: outline.ratio * 1.28 }, length * 0.94, 'entire').map(
      ([x, y]): Point => [x, y - length * 0.03],
    );
    marks.push(stroke(inner, 'line'), stroke(mirrored(inner), 'line'));
  }
  return marks;
}

/** An arrowhead blade, foot of the stalk at the origin. */
export function arrowBlade(): Mark[] {
  const right: Line = curve([0, -20], [7, -14], [17, -7], [14, -22], [9, -42], [0, -68]);
  return [
    stroke(segment(0, 0, 0, -20)),
    shape([...right, ...[...mirrored(right)].reverse().slice(1)]),
    stroke(segment(0, -20, 0, -64), 'fine'),
    ...strokes(
      [segment(0, -24, 11, -14), segment(0, -34, 9, -30), segment(0, -44, 6, -42)].flatMap((line) => [
        line,
        mirrored(line),
      ]),
    ),
  ];
}

/** Two heart lobes at the foot of a blade. */
export function heartBlade(length: number): Mark[] {
  const w = length * 0.46;
  const right: Line = curve(
    [0, 0],
    [w * 0.35, length * 0.13],
    [w * 0.9, length * 0.02],
    [w, -length * 0.28],
    [w * 0.6, -length * 0.65],
    [0, -length * 0.92],
  );
  return [
    shape([...right, ...[...mirrored(right)].reverse().slice(1)]),
    stroke(segment(0, 0, 0, -length * 0.88), 'fine'),
    ...strokes(
      [0.14, 0.34, 0.52].flatMap((t) =>
        [1, -1].map((s): Line =>
          curve(
            [0, -length * t + length * 0.1],
            [s * w * 0.4, -length * (t + 0.02)],
            [s * w * (0.85 - t * 0.5), -length * (t + 0.14)],
          ),
        ),
      ),
    ),
  ];
}
