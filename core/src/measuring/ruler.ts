/** A length read off something, and how far it can be out either way; both in mm. */
export interface Length {
  readonly millimetres: number;
  readonly error: number;
}

/** A card as banks and libraries hand out: ISO/IEC 7810, ID-1. In mm. */
export const CARD = { width: 85.6, height: 53.98 } as const;

/** A ruler on the screen, after a card was held to it once. */
export interface ScreenRuler {
  readonly pixelsPerMillimetre: number;
}

/** Screens of phones and tablets lie between these; what comes out otherwise was no card. */
const PLAUSIBLE = { least: 2.5, most: 12 } as const;

/**
 * @param pixels how wide the card came out, in pixels of the screen
 * @returns undefined where no screen is like that: the card was not held to it
 */
export function rulerFromCard(pixels: number): ScreenRuler | undefined {
  const pixelsPerMillimetre = pixels / CARD.width;
  return pixelsPerMillimetre >= PLAUSIBLE.least && pixelsPerMillimetre <= PLAUSIBLE.most
    ? { pixelsPerMillimetre }
    : undefined;
}

/**
 * A length held along the screen, by a thing held to the glass: half a millimetre at each end, and what the
 * card was out.
 */
export function lengthOnScreen(pixels: number, { pixelsPerMillimetre }: ScreenRuler): Length {
  const millimetres = pixels / pixelsPerMillimetre;
  return { millimetres, error: 1 + millimetres * (1 / CARD.width) };
}
