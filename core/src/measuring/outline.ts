import type { Pixel } from './plane';

/**
 * Outline terms that measures can tell; the others (needles, scales, arrowheads, cut leaves) are recognised by
 * looking.
 */
export const OUTLINE_TERMS = ['ovate', 'elliptic', 'obovate', 'lanceolate', 'linear', 'round'] as const;
export type OutlineTerm = (typeof OUTLINE_TERMS)[number];

/** The form of a blade, from its drawn outline. */
export interface BladeForm {
  /** Length to width. */
  readonly ratio: number;
  /** Where it is broadest: the share of its length from the base. */
  readonly broadest: number;
  /** Angle between both edges over the first and the last quarter, in degrees. */
  readonly baseAngle: number;
  readonly tipAngle: number;
  /** Share of its length over which it is at least nine tenths as wide as where it is broadest. */
  readonly parallel: number;
}

/** An outline has at least this many points. */
export const OUTLINE_POINTS = 8;
const STEPS = 200;
/** A quarter of the blade at either end tells its angle. */
const END = 0.25;

/**
 * The form of a blade whose outline was drawn round it, starting where the stalk joins. It lies along the
 * line from there to the point farthest away; widths are taken across that line.
 *
 * @param outline in pixels, or mm where a card took out the tilt
 * @returns undefined where it encloses nothing that could be a blade
 */
export function bladeForm(outline: readonly Pixel[]): BladeForm | undefined {
  const [base] = outline;
  if (!base || outline.length < OUTLINE_POINTS) return undefined;
  const tip = outline.reduce((far, p) => (apart(base, p) > apart(base, far) ? p : far), base);
  const length = apart(base, tip);
  if (!(length > 0)) return undefined;
  const [ux, uy] = [(tip[0] - base[0]) / length, (tip[1] - base[1]) / length];
  // Along the blade as a share of its length, and across it.
  const turned = outline.map(([x, y]): Pixel => {
    const [dx, dy] = [x - base[0], y - base[1]];
    return [(dx * ux + dy * uy) / length, (dy * ux - dx * uy) / length];
  });
  const widths = Array.from({ length: STEPS - 1 }, (_, i) => widthAt(turned, (i + 1) / STEPS));
  const most = Math.max(...widths);
  if (!(most > 0.005)) return undefined;
  const wide = widths.flatMap((w, i) => (w >= most * 0.98 ? [(i + 1) / STEPS] : []));
  return {
    ratio: 1 / most,
    broadest: wide.reduce((sum, t) => sum + t, 0) / wide.length,
    baseAngle: angle(widthAt(turned, END), END),
    tipAngle: angle(widthAt(turned, 1 - END), END),
    parallel: widths.filter((w) => w >= most * 0.9).length / STEPS,
  };
}

const apart = ([ax, ay]: Pixel, [bx, by]: Pixel) => Math.hypot(bx - ax, by - ay);
const angle = (width: number, far: number) => (2 * Math.atan2(width / 2, far) * 180) / Math.PI;

/**
 * How wide the laid outline is at a share of its length: from its outermost crossing on one side to that on
 * the other.
 */
function widthAt(turned: readonly Pixel[], t: number): number {
  let [least, most] = [Infinity, -Infinity];
  turned.forEach((a, i) => {
    const b = turned[(i + 1) % turned.length] as Pixel;
    if ((a[0] - t) * (b[0] - t) > 0 || a[0] === b[0]) return;
    const across = a[1] + ((t - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
    least = Math.min(least, across);
    most = Math.max(most, across);
  });
  return most > least ? most - least : 0;
}

/**
 * Where one term ends and the next begins. Leaf architecture calls it elliptic where it is broadest in the
 * middle fifth.
 */
const ROUND_BELOW = 1.2;
const NARROW_FROM = 3;
const LINEAR_FROM = 6;
const LINEAR_PARALLEL = 0.6;
const MIDDLE = [0.4, 0.6] as const;

export interface NamedOutline {
  readonly term: OutlineTerm;
  /** The term that comes next, and how little would make it that: a share of the measure that decides. */
  readonly next: { readonly term: OutlineTerm; readonly by: 'ratio' | 'broadest'; readonly away: number };
}

/** The outline term that a form comes to, and how close the next one is. */
export function outlineTerm(form: BladeForm): NamedOutline {
  const { ratio, broadest } = form;
  const byBroadest = broadest < MIDDLE[0] ? 'ovate' : broadest > MIDDLE[1] ? 'obovate' : 'elliptic';
  const narrow = form.parallel >= LINEAR_PARALLEL ? 'linear' : 'lanceolate';
  if (ratio < ROUND_BELOW)
    return { term: 'round', next: { term: byBroadest, by: 'ratio', away: ROUND_BELOW / ratio - 1 } };
  if (ratio >= LINEAR_FROM && narrow === 'linear')
    return { term: 'linear', next: { term: 'lanceolate', by: 'ratio', away: 1 - LINEAR_FROM / ratio } };
  if (ratio >= NARROW_FROM) {
    const [lower, upper] = [1 - NARROW_FROM / ratio, LINEAR_FROM / ratio - 1];
    return narrow === 'linear' && upper < lower
      ? { term: 'lanceolate', next: { term: 'linear', by: 'ratio', away: upper } }
      : { term: 'lanceolate', next: { term: byBroadest, by: 'ratio', away: lower } };
  }
  const [lower, upper] = [broadest - MIDDLE[0], MIDDLE[1] - broadest];
  const others: NamedOutline['next'][] = [
    { term: 'round', by: 'ratio', away: 1 - ROUND_BELOW / ratio },
    { term: 'lanceolate', by: 'ratio', away: NARROW_FROM / ratio - 1 },
    byBroadest === 'elliptic'
      ? { term: lower < upper ? 'ovate' : 'obovate', by: 'broadest', away: Math.min(lower, upper) }
      : { term: 'elliptic', by: 'broadest', away: Math.max(-lower, -upper) },
  ];
  return { term: byBroadest, next: others.reduce((near, other) => (other.away < near.away ? other : near)) };
}

/** Closer than this to the next term, both are the answer. */
export const TOO_CLOSE_TO_TELL = 0.08;
