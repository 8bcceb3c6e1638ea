import { writeFileSync } from 'node:fs';
import { contours } from 'd3-contour';

/**
 * Draws the invented Ostrel valley for the demo's map: heights made of a few waves, with contours, water,
 * woods, meadows, paths and names, as GeoJSON. `npx tsx scripts/valley.ts` writes it beside the map.
 */
const [WEST, SOUTH, EAST, NORTH] = [12.13, 46.47, 12.27, 46.56] as const;
const [COLUMNS, ROWS] = [112, 104] as const;
type Point = [number, number];

/** Where the river is, as a share of the height of the map, by the share of its width. */
const river = (x: number) => 0.22 + 0.42 * x + 0.05 * Math.sin(x * 8.5) + 0.02 * Math.sin(x * 21);
/** Metres above the sea, by shares of width and height from the south-west. */
export function height(x: number, y: number): number {
  const away = y - river(x);
  const floor = 430 + 330 * x;
  const slope = away > 0 ? 2650 * away ** 1.25 : 1900 * (-away) ** 1.15;
  const waves =
    46 * Math.sin(x * 14 + y * 6) * Math.min(1, Math.abs(away) * 5) +
    32 * Math.sin(x * 29 - y * 17) * Math.min(1, Math.abs(away) * 4);
  // A side valley comes down from the north, where the stream of the spring runs.
  const side =
    220 * Math.exp(-(((x - 0.56 - 0.12 * (y - 0.5)) / 0.07) ** 2)) * Math.max(0, Math.min(1, away * 3));
  return Math.max(420, Math.min(1650, floor + slope + waves - side));
}
const at = (x: number, y: number): Point => [
  Number((WEST + x * (EAST - WEST)).toFixed(4)),
  Number((SOUTH + y * (NORTH - SOUTH)).toFixed(4)),
];

const grid = Array.from({ length: ROWS * COLUMNS }, (_, index) =>
  height((index % COLUMNS) / (COLUMNS - 1), 1 - Math.floor(index / COLUMNS) / (ROWS - 1)),
);
const lines = (level: number): Point[][] => {
  const [found] = contours().size([COLUMNS, ROWS]).smooth(true).thresholds([level])(grid);
  return (
    (found?.coordinates ?? [])
      .flatMap((polygon) =>
        polygon.map((ring) =>
          ring.map(([column = 0, row = 0]) =>
            at((column - 0.5) / (COLUMNS - 1), 1 - (row - 0.5) / (ROWS - 1)),
          ),
        ),
      )
      // Only what lies within the map: a contour does not run along its edge.
      .flatMap((ring) => split(ring))
      .filter((line) => line.length > 3)
  );
};
function split(ring: Point[]): Point[][] {
  const edge = ([x, y]: Point) =>
    x <= WEST + 0.0008 || x >= EAST - 0.0008 || y <= SOUTH + 0.0006 || y >= NORTH - 0.0006;
  const parts: Point[][] = [[]];
  for (const [index, point] of ring.entries()) {
    if (edge(point)) parts.push([]);
    else if (index % 2 === 0 || ring.length < 20) parts.at(-1)?.push(point);
  }
  return parts;
}

const feature = (kind: string, geometry: unknown, more: object = {}) => ({
  type: 'Feature',
  properties: { kind, ...more },
  geometry,
});
const along = (points: readonly Point[]) => points.map(([x, y]) => at(x, y));
/** A patch around a middle, with a ragged edge. */
const patch = (x: number, y: number, wide: number, high: number, seed: number) => {
  const ring = Array.from({ length: 22 }, (_, step): Point => {
    const turn = (2 * Math.PI * step) / 22;
    const ragged = 1 + 0.16 * Math.sin(turn * 3 + seed) + 0.09 * Math.sin(turn * 7 + seed * 2);
    return at(
      Math.max(0, Math.min(1, x + Math.cos(turn) * wide * ragged)),
      Math.max(0, Math.min(1, y + Math.sin(turn) * high * ragged)),
    );
  });
  return { type: 'Polygon', coordinates: [[...ring, ring[0]]] };
};

const steps = Array.from({ length: 41 }, (_, index) => index / 40);
const valley = {
  type: 'FeatureCollection',
  features: [
    ...[
      [0.27, 0.72, 0.15, 0.11, 1],
      [0.66, 0.88, 0.2, 0.08, 2],
      [0.12, 0.5, 0.08, 0.1, 3],
    ].map(([x, y, w, h, s]) =>
      feature('wood', patch(x ?? 0, y ?? 0, w ?? 0, h ?? 0, s ?? 0), { of: 'spruce' }),
    ),
    ...[
      [0.5, 0.17, 0.2, 0.1, 4],
      [0.82, 0.32, 0.12, 0.12, 5],
    ].map(([x, y, w, h, s]) =>
      feature('wood', patch(x ?? 0, y ?? 0, w ?? 0, h ?? 0, s ?? 0), { of: 'beech' }),
    ),
    ...[
      [0.24, 0.36, 0.1, 0.05, 6],
      [0.44, 0.47, 0.09, 0.045, 7],
      [0.88, 0.72, 0.08, 0.06, 8],
      [0.46, 0.72, 0.06, 0.05, 9],
    ].map(([x, y, w, h, s]) => feature('meadow', patch(x ?? 0, y ?? 0, w ?? 0, h ?? 0, s ?? 0))),
    ...Array.from({ length: 12 }, (_, index) => 500 + index * 100).flatMap((level) =>
      lines(level).map((coordinates) =>
        feature('contour', { type: 'LineString', coordinates }, { metres: level }),
      ),
    ),
    feature(
      'water',
      { type: 'LineString', coordinates: steps.map((x) => at(x, river(x))) },
      { name: 'Ostrel', width: 3 },
    ),
    feature(
      'water',
      {
        type: 'LineString',
        coordinates: along([
          [0.6, 0.9],
          [0.59, 0.82],
          [0.575, 0.74],
          [0.565, 0.66],
          [0.56, 0.58],
          [0.555, 0.52],
          [0.55, river(0.55)],
        ]),
      },
      { name: 'Karrow stream', width: 1.5 },
    ),
    feature('path', {
      type: 'LineString',
      coordinates: along([
        [0.02, 0.2],
        [0.12, 0.24],
        [0.22, 0.29],
        [0.33, 0.35],
        [0.42, 0.41],
        [0.52, 0.46],
        [0.66, 0.55],
        [0.8, 0.62],
        [0.98, 0.7],
      ]),
    }),
    feature('path', {
      type: 'LineString',
      coordinates: along([
        [0.42, 0.41],
        [0.45, 0.5],
        [0.47, 0.58],
        [0.52, 0.66],
        [0.58, 0.74],
        [0.63, 0.8],
        [0.72, 0.86],
        [0.84, 0.92],
      ]),
    }),
    feature('path', {
      type: 'LineString',
      coordinates: along([
        [0.22, 0.29],
        [0.2, 0.4],
        [0.22, 0.52],
        [0.27, 0.62],
        [0.34, 0.74],
        [0.4, 0.86],
      ]),
    }),
    feature('path', {
      type: 'LineString',
      coordinates: along([
        [0.52, 0.46],
        [0.56, 0.36],
        [0.55, 0.26],
        [0.5, 0.15],
      ]),
    }),
    ...(
      [
        ['Lower Ostrel', 0.23, 0.3],
        ['Vessen hut', 0.46, 0.73],
        ['Karrow', 0.54, 0.45],
        ['Tollar ridge', 0.75, 0.93],
      ] as const
    ).map(([name, x, y]) =>
      feature(
        'name',
        { type: 'Point', coordinates: at(x, y) },
        { name, metres: Math.round(height(x, y) / 10) * 10 },
      ),
    ),
  ],
};
writeFileSync('app/src/screens/places/valley.json', `${JSON.stringify(valley)}\n`);
for (const [name, x, y] of [
  ['weir', 0.5, 0.42],
  ['slope', 0.52, 0.2],
  ['spring', 0.6, 0.86],
  ['ridge', 0.72, 0.9],
  ['hut', 0.46, 0.72],
  ['hedge', 0.28, 0.34],
  ['meadow', 0.25, 0.37],
  ['alder', 0.35, 0.37],
  ['spruce', 0.28, 0.68],
  ['chestnut', 0.6, 0.3],
] as const)
  console.log(name, at(x, y), Math.round(height(x, y)));
