import { onPlane, planeFromCard, type Pixel } from './plane';
import type { Length } from './ruler';

/** What of known size lies beside the thing on a picture. */
export type Reference =
  /** Two ends of a thing: how far the picture is tilted stays unknown. */
  | { readonly kind: 'length'; readonly ends: readonly [Pixel, Pixel]; readonly millimetres: number }
  /** Four corners of a card, round it, the first two along its width: the tilt is taken out. */
  | {
      readonly kind: 'card';
      readonly corners: readonly [Pixel, Pixel, Pixel, Pixel];
      readonly width: number;
      readonly height: number;
    };

/** How far from a point a finger picks it, in pixels of the picture as shown; each way. */
export const PICKED_WITHIN = 3;
/** A picture that is held as level as it looks is tilted by no more, in degrees. */
export const HELD_WITHIN = 15;
/**
 * A phone's camera stands this many widths of its picture away from what it shows (a field of view of about
 * 65 degrees).
 */
const AWAY = 0.78;

export interface PictureOptions {
  /** Width of the picture, in the same pixels. */
  readonly width: number;
  /** How far off a picked point can be, in those pixels. */
  readonly picked?: number;
}

const between = ([ax, ay]: Pixel, [bx, by]: Pixel) => Math.hypot(bx - ax, by - ay);

/**
 * The length between two picked points, by what of known size lies beside them. The error holds what picking
 * can be out (every point by `picked`) and, where only a length is known, what an unseen tilt up to
 * HELD_WITHIN does: shortening across the tilt, and one end being nearer than the other. It is a bound, not a
 * spread.
 *
 * @returns undefined where the reference has no size, or its corners are no rectangle seen from anywhere
 */
export function lengthOnPicture(
  ends: readonly [Pixel, Pixel],
  reference: Reference,
  { width, picked = PICKED_WITHIN }: PictureOptions,
): Length | undefined {
  return reference.kind === 'card'
    ? byCard(ends, reference, picked)
    : byLength(ends, reference, width, picked);
}

function byLength(
  ends: readonly [Pixel, Pixel],
  reference: Extract<Reference, { kind: 'length' }>,
  width: number,
  picked: number,
): Length | undefined {
  const [a, b] = reference.ends;
  const known = between(a, b);
  if (!(known > 2 * picked) || !(reference.millimetres > 0)) return undefined;
  const seen = between(...ends);
  const millimetres = (seen * reference.millimetres) / known;
  const picking = (2 * picked) / known + (2 * picked) / Math.max(seen, picked);
  const tilt = (HELD_WITHIN * Math.PI) / 180;
  const [from, to] = [direction(ends), direction(reference.ends)];
  let shortening = 0;
  for (let step = 0; step < 36; step += 1) {
    const across = (step * Math.PI) / 36;
    shortening = Math.max(
      shortening,
      Math.abs(Math.log(foreshortened(to - across, tilt) / foreshortened(from - across, tilt))),
    );
  }
  const apart = between(middle(ends), middle(reference.ends)) + Math.abs(seen - known) / 2;
  const nearer = (apart * Math.sin(tilt)) / (AWAY * width);
  return { millimetres, error: millimetres * (picking + Math.expm1(shortening) + nearer) };
}

const direction = ([[ax, ay], [bx, by]]: readonly [Pixel, Pixel]) => Math.atan2(by - ay, bx - ax);
const middle = ([[ax, ay], [bx, by]]: readonly [Pixel, Pixel]): Pixel => [(ax + bx) / 2, (ay + by) / 2];
/** The share of a length that is seen, at this angle to the axis of the tilt. */
const foreshortened = (angle: number, tilt: number) =>
  Math.hypot(Math.cos(angle), Math.sin(angle) * Math.cos(tilt));

function byCard(
  ends: readonly [Pixel, Pixel],
  { corners, width, height }: Extract<Reference, { kind: 'card' }>,
  picked: number,
): Length | undefined {
  const lengthOf = (points: readonly Pixel[]): number | undefined => {
    const [a, b, ...rest] = points as [Pixel, Pixel, Pixel, Pixel, Pixel, Pixel];
    const map = planeFromCard(rest, width, height);
    return map && between(onPlane(map, a), onPlane(map, b));
  };
  const points: readonly Pixel[] = [...ends, ...corners];
  const millimetres = lengthOf(points);
  if (millimetres === undefined || !Number.isFinite(millimetres)) return undefined;
  // How much a point out of place moves the length, one point after the other; all of them can be out at
  // once.
  let error = 0;
  for (let i = 0; i < points.length; i += 1) {
    const shifted = ([dx, dy]: Pixel) =>
      lengthOf(points.map((p, k) => (k === i ? [p[0] + dx, p[1] + dy] : p))) ?? millimetres;
    const [byX, byY] = [(shifted([1, 0]) - shifted([-1, 0])) / 2, (shifted([0, 1]) - shifted([0, -1])) / 2];
    error += picked * Math.hypot(byX, byY);
  }
  return { millimetres, error };
}
