import type { Fill } from '../mark';

/** Colours as a wash: what ink is drawn over has to stay pale enough for it. */

type Hex = `#${string}`;
const channels = (hex: Hex): number[] => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
const hexOf = (rgb: readonly number[]): Hex =>
  `#${rgb
    .map((v) =>
      Math.round(Math.min(255, Math.max(0, v)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** So much of another colour mixed in, 0 to 1. */
export function mixed(hex: Hex, other: Hex, share: number): Hex {
  const b = channels(other);
  return hexOf(channels(hex).map((v, i) => v + ((b[i] ?? 0) - v) * share));
}

/** The wash of a swatch; paper where the colour is not stated. */
export const washOf = (swatch: Hex | undefined, pale = 0.22): Fill =>
  swatch === undefined ? 'paper' : mixed(swatch, '#ffffff', pale);

/** The same wash where light falls on it. */
export const lit = (fill: Fill): Fill => (isHex(fill) ? mixed(fill, '#ffffff', 0.26) : fill);
/** The same wash in its own shadow. */
export const shaded = (fill: Fill): Fill =>
  isHex(fill) ? mixed(fill, '#14201b', 0.16) : fill === 'paper' ? 'shade' : fill;

export const isHex = (fill: Fill): fill is Hex => fill.startsWith('#');

/** How light a fill is, 0 black to 1 white; what is not coloured is paper. */
export function lightness(fill: Fill): number {
  if (fill === 'ink') return 0.1;
  if (!isHex(fill)) return 1;
  const [r = 0, g = 0, b = 0] = channels(fill);
  return (0.299 * r + 0.587 * g + 0.114 * b) / 255;
}
