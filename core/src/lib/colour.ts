/**
 * Where a swatch lies in a perceptual colour space, and how far two are apart. Colour names are read by
 * different eyes in different light: what lies near a colour that a taxon shows can be called by its
 * neighbour's name.
 */

/** Oklab (Björn Ottosson, 2020): lightness 0 to 1, and two opponent axes. */
export type Oklab = readonly [lightness: number, greenRed: number, blueYellow: number];

/** Two swatches nearer than this can be taken for each other in the field. */
export const NEAR = 0.09;

function linear(channel: number): number {
  return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
}

/** @param hex sRGB as `#rrggbb` */
export function oklab(hex: string): Oklab {
  const channel = (from: number) => linear(Number.parseInt(hex.slice(from, from + 2), 16) / 255);
  const [r, g, b] = [channel(1), channel(3), channel(5)];
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

/**
 * How far two places in Oklab are apart, in a straight line: 0 for the same colour, 1 from black to white.
 */
export function apart(x: Oklab, y: Oklab): number {
  return Math.sqrt((x[0] - y[0]) ** 2 + (x[1] - y[1]) ** 2 + (x[2] - y[2]) ** 2);
}

/** The same for two swatches. @param a, b sRGB as `#rrggbb` */
export const colourDistance = (a: string, b: string): number => apart(oklab(a), oklab(b));
