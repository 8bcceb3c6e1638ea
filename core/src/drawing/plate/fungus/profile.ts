import { curve, type Line, type Point } from '../../geometry';

/** Caps as bodies of revolution: what is drawn on one follows its curve. */

/** The right half of a cap from the middle to the rim: half widths and heights, in half widths of the cap. */
const PROFILES: Readonly<Record<string, Line>> = {
  convex: [
    [0, 0.78],
    [0.3, 0.74],
    [0.62, 0.58],
    [0.88, 0.3],
    [1, 0.02],
    [0.97, -0.06],
  ],
  flat: [
    [0, 0.3],
    [0.45, 0.3],
    [0.8, 0.22],
    [0.98, 0.08],
    [1, 0],
    [0.97, -0.05],
  ],
  conical: [
    [0, 1.25],
    [0.16, 1.08],
    [0.5, 0.62],
    [0.82, 0.24],
    [1, 0],
  ],
  bell: [
    [0, 1.2],
    [0.26, 1.14],
    [0.52, 0.88],
    [0.7, 0.5],
    [0.84, 0.18],
    [1, 0],
  ],
  umbonate: [
    [0, 0.62],
    [0.12, 0.59],
    [0.26, 0.42],
    [0.5, 0.34],
    [0.82, 0.18],
    [1, 0],
    [0.97, -0.05],
  ],
  globe: [
    [0, 1.55],
    [0.45, 1.46],
    [0.86, 1.1],
    [1, 0.62],
    [0.9, 0.2],
    [0.66, -0.02],
  ],
  cylinder: [
    [0, 3.1],
    [0.36, 2.96],
    [0.72, 2.4],
    [0.94, 1.5],
    [1, 0.6],
    [0.98, 0],
  ],
  irregular: [
    [0, 0.5],
    [0.34, 0.56],
    [0.66, 0.42],
    [0.9, 0.24],
    [1, 0.02],
    [0.96, -0.08],
  ],
  thimble: [
    [0, 1.5],
    [0.42, 1.4],
    [0.78, 1.06],
    [0.94, 0.55],
    [1, 0],
  ],
};

export interface Dome {
  /** The right half from the middle to the rim, mm. */
  readonly right: Line;
  /** Half the width, mm. */
  readonly half: number;
  /** The rim, in mm above the origin. */
  readonly foot: number;
  /** Half the width of the rim, mm: less than `half` where the cap closes in. */
  readonly rim: number;
  /** How far the middle of the front rim hangs below its ends, mm. */
  readonly sag: number;
  /**
   * A place on the skin: from the rim (0) to the middle (1), and round it (-1 left edge, 0 front, 1 right
   * edge).
   */
  readonly on: (up: number, round: number) => Point;
}

/** The skin of a cap so wide, its rim at this height over the origin. */
export function domeOf(shape: string, wide: number, foot: number): Dome | undefined {
  const profile = PROFILES[shape];
  if (!profile) return undefined;
  const half = wide / 2;
  const right = curve(...profile).map(([x, y]): Point => [x * half, foot - y * half]);
  const rim = (right[right.length - 1] as Point)[0];
  const sag = rim * 0.13;
  const last = right.length - 1;
  return {
    right,
    half,
    foot,
    rim,
    sag,
    on: (up, round) => {
      const at = (1 - Math.min(1, Math.max(0, up))) * last;
      const [i, w] = [Math.floor(at), at - Math.floor(at)];
      const [a, b] = [right[i] as Point, right[Math.min(last, i + 1)] as Point];
      const [x, y] = [a[0] + (b[0] - a[0]) * w, a[1] + (b[1] - a[1]) * w];
      const angle = (round * Math.PI) / 2;
      return [x * Math.sin(angle), y + (x / half) * sag * Math.cos(angle)];
    },
  };
}

/** The front rim from right to left. */
export function rimLine(dome: Dome, deep = 1, steps = 40): Line {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = (Math.PI * i) / steps;
    return [
      dome.rim * Math.cos(angle),
      (dome.right[dome.right.length - 1] as Point)[1] + dome.sag * deep * Math.sin(angle),
    ];
  });
}
