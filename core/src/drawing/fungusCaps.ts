import type { Line } from './geometry';

/** Outlines of caps. */

type Profile = { readonly over: Line; readonly under: Line };

export const CONVEX: Profile = {
  over: [
    [26, 40],
    [30, 26],
    [42, 16],
    [60, 12],
  ],
  under: [
    [26, 40],
    [42, 44],
    [60, 44],
  ],
};

/** Left halves of caps, in side view: over the top from the rim, and underneath from the rim to the stem. */
export const CAPS: Readonly<Record<string, Profile>> = {
  conical: {
    over: [
      [32, 42],
      [42, 27],
      [52, 13],
      [60, 8],
    ],
    under: [
      [32, 42],
      [46, 44],
      [60, 44],
    ],
  },
  umbonate: {
    over: [
      [24, 40],
      [32, 30],
      [45, 26],
      [52, 18],
      [60, 15],
    ],
    under: [
      [24, 40],
      [42, 43],
      [60, 43],
    ],
  },
  convex: CONVEX,
  flat: {
    over: [
      [20, 36],
      [24, 29],
      [40, 27],
      [60, 27],
    ],
    under: [
      [20, 36],
      [40, 39],
      [60, 39],
    ],
  },
  funnel: {
    over: [
      [22, 22],
      [30, 20],
      [46, 29],
      [60, 33],
    ],
    under: [
      [22, 22],
      [40, 38],
      [52, 54],
      [60, 58],
    ],
  },
  irregular: {
    over: [
      [18, 34],
      [24, 24],
      [36, 28],
      [46, 20],
      [60, 22],
    ],
    under: [
      [18, 34],
      [30, 38],
      [44, 36],
      [60, 42],
    ],
  },
  bell: {
    over: [
      [38, 48],
      [36, 30],
      [45, 13],
      [60, 8],
    ],
    under: [
      [38, 48],
      [48, 51],
      [60, 51],
    ],
  },
  globe: {
    over: [
      [34, 38],
      [38, 20],
      [48, 11],
      [60, 9],
    ],
    under: [
      [34, 38],
      [38, 54],
      [50, 64],
      [60, 66],
    ],
  },
  cylinder: {
    over: [
      [44, 56],
      [43, 30],
      [46, 12],
      [60, 6],
    ],
    under: [
      [44, 56],
      [52, 58],
      [60, 58],
    ],
  },
};
