import type { Aspect, Shade } from '../notebook/page';

/** What of a place decides how warm it is there. */
export interface Site {
  /** Metres above the sea; left out: as high as the station. */
  readonly elevation?: number | undefined;
  readonly aspect?: Aspect | undefined;
  readonly shade?: Shade | undefined;
}

/**
 * Degrees that the air cools for each metre upwards: the lapse rate of the standard atmosphere (ISO 2533),
 * 6.5 degrees a kilometre.
 */
export const LAPSE = 0.0065;

/**
 * Degrees by which the mean of a slope differs from level ground, over the growing season in middle
 * latitudes: sun-facing slopes are warmer, and more so in the afternoon; of general microclimatology,
 * rounded, and only where to begin: what is seen at a place corrects them.
 */
const BY_ASPECT: Readonly<Record<Aspect, number>> = {
  flat: 0,
  n: -0.8,
  ne: -0.5,
  e: 0,
  se: 0.5,
  s: 0.8,
  sw: 0.7,
  w: 0.3,
  nw: -0.4,
};
const BY_SHADE: Readonly<Record<Shade, number>> = { open: 0, half: -0.3, shaded: -0.7 };

/** Why a place is warmer or cooler than the station, in degrees. */
export interface Warmer {
  readonly elevation: number;
  readonly aspect: number;
  readonly shade: number;
}

export function warmerThan(
  stationElevation: number,
  { elevation = stationElevation, aspect = 'flat', shade = 'open' }: Site,
): Warmer {
  return {
    elevation: LAPSE * (stationElevation - elevation),
    aspect: BY_ASPECT[aspect],
    shade: BY_SHADE[shade],
  };
}

/**
 * Degrees to add to the station's, to a tenth: nobody knows it better, and places that are alike share what
 * is summed for them.
 */
export function degreesAt(stationElevation: number, site: Site): number {
  const { elevation, aspect, shade } = warmerThan(stationElevation, site);
  return Math.round((elevation + aspect + shade) * 10) / 10;
}

/** The same to half a degree: rain is less particular, and more places share what is summed for them. */
export const roughDegreesAt = (stationElevation: number, site: Site): number =>
  Math.round(degreesAt(stationElevation, site) * 2) / 2;
