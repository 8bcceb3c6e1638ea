import {
  stemOutline,
  capOutline,
  ground,
  HEAD,
  honeycomb,
  BRAIN,
  brainFolds,
  MIDDLE,
  whole,
  GROUND,
  both,
} from './fungus';
import { CAPS } from './fungusCaps';
import { curve, mirrored, closedCurve, ellipse, type Line, along } from './geometry';
import { type Mark, shape, strokes, stroke, type Drawings } from './mark';

export * from './capSurface';
export * from './capTexture';
export * from './capTexture';
export * from './capSection';

export function capShape(state: string): Mark[] | undefined {
  const drawn = CAP_SHAPES[state];
  if (drawn) return drawn();
  return state in CAPS ? [stemBelow(36), shape(capOutline(state).outline, 'paper', 'bold')] : undefined;
}

const stemBelow = (top: number, half = 6): Mark => shape(stemOutline(top, half, half), 'paper', 'faint');

/** Caps that are no plain outline on a stem. */
const CAP_SHAPES: Drawings = {
  globe: () => [shape(capOutline('globe').outline, 'paper', 'bold'), ...ground()],
  honeycomb: () => [stemBelow(44, 7), shape(HEAD, 'paper', 'bold'), ...honeycomb(HEAD, 11)],
  brain: () => [stemBelow(38, 8), shape(BRAIN, 'paper', 'bold'), ...brainFolds()],
  thimble: () => [
    stemBelow(26),
    shape(
      [
        ...curve([46, 44], [44, 26], [50, 14], [60, 11]),
        ...mirrored([...curve([46, 44], [44, 26], [50, 14], [60, 11])].reverse(), MIDDLE).slice(1),
        ...curve([74, 44], [60, 47], [46, 44]).slice(1, -1),
      ],
      'paper',
      'bold',
    ),
    ...strokes([
      curve([52, 42], [51, 30], [54, 20]),
      curve([58, 44], [60, 32], [58, 18]),
      curve([66, 43], [68, 30], [65, 20]),
    ]),
  ],
  fan: () => [
    stroke(
      [
        [14, 8],
        [14, 74],
      ],
      'faint',
    ),
    shape(
      closedCurve([16, 40], [34, 26], [66, 18], [98, 28], [106, 42], [92, 52], [58, 52], [30, 50]),
      'paper',
      'bold',
    ),
    ...strokes([curve([26, 46], [60, 48], [96, 46]), curve([24, 44], [60, 44], [102, 42])], 'faint'),
  ],
  trumpet: () => [
    shape(
      [
        ...whole(curve([24, 14], [40, 10], [60, 12])),
        ...curve([96, 14], [78, 26], [68, 48], [64, GROUND]).slice(1),
        ...curve([56, GROUND], [52, 48], [42, 26], [24, 14]).slice(0, -1),
      ],
      'paper',
      'bold',
    ),
    shape(ellipse(MIDDLE, 15, 28, 4.5), 'ink', 'fine'),
  ],
  funnel: () => [
    shape(stemOutline(50, 6, 6), 'paper', 'faint'),
    shape(capOutline('funnel').outline, 'paper', 'bold'),
  ],
};
const domeOver = (rim: Line): Mark =>
  shape(
    [...curve([20, 50], [26, 26], [60, 12], [94, 26], [100, 50]), ...[...rim].reverse()],
    'paper',
    'line',
  );
const EVEN_RIM = curve([20, 50], [40, 58], [60, 60], [80, 58], [100, 50]);
const marginFoot = shape(
  [...curve([53, 50], [53, GROUND]), ...curve([67, GROUND], [67, 50])],
  'paper',
  'faint',
);

/** The rim seen a little from below, with the dome above it. */
export function capMargin(state: string): Mark[] | undefined {
  return CAP_MARGINS[state]?.();
}

const CAP_MARGINS: Drawings = {
  inrolled: () => [
    shape(
      [
        [53, 34],
        [67, 34],
        [67, GROUND],
        [53, GROUND],
      ],
      'paper',
      'faint',
    ),
    ...both([
      stroke(curve([34, 50], [38, 55], [34, 61], [25, 60], [19, 50], [24, 34], [40, 20], [60, 15]), 'bold'),
      stroke(curve([31, 49], [35, 44], [44, 38], [53, 36]), 'fine'),
    ]),
  ],
  wavy: () => [
    marginFoot,
    {
      ...domeOver(
        curve([20, 50], [28, 60], [38, 52], [48, 63], [60, 54], [72, 63], [82, 52], [92, 60], [100, 50]),
      ),
      ink: 'bold',
    },
  ],
  even: () => [marginFoot, domeOver(EVEN_RIM), stroke(EVEN_RIM, 'bold')],
  fringed: () => [
    marginFoot,
    domeOver(EVEN_RIM),
    ...Array.from({ length: 11 }, (_, i) => {
      const {
        at: [x, y],
      } = along(EVEN_RIM, (i + 0.5) / 11);
      return shape(
        [
          [x - 3.4, y - 1],
          [x - 2, y + 6 + (i % 3) * 2],
          [x + 1, y + 4],
          [x + 3.2, y - 1],
        ],
        'paper',
        'line',
      );
    }),
  ],
  lined: () => [
    marginFoot,
    domeOver(EVEN_RIM),
    ...Array.from({ length: 21 }, (_, i) => {
      const {
        at: [x, y],
      } = along(EVEN_RIM, (i + 0.5) / 21);
      return stroke(
        [
          [x, y - 1],
          [x - (x - MIDDLE) * 0.09, y - 12],
        ],
        'line',
      );
    }),
  ],
  splitting: () => [
    marginFoot,
    domeOver(EVEN_RIM),
    ...[0.14, 0.38, 0.6, 0.84].map((share) => {
      const {
        at: [x, y],
      } = along(EVEN_RIM, share);
      return shape(
        [
          [x - 2.6, y + 0.6],
          [x - (x - MIDDLE) * 0.12, y - 18],
          [x + 2.6, y + 0.6],
        ],
        'ink',
        'fine',
      );
    }),
  ],
};
