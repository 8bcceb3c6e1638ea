/** A place on a picture: x to the right, y downwards, in pixels. */
export type Pixel = readonly [x: number, y: number];

/**
 * From a picture to the flat thing it shows: a projective map, row by row, of which the last number is 1.
 * Millimetres come out.
 */
export type PlaneMap = readonly [number, number, number, number, number, number, number, number, 1];

/** Where a pixel lies on the plane, in mm. */
export function onPlane(map: PlaneMap, [x, y]: Pixel): readonly [number, number] {
  const w = map[6] * x + map[7] * y + 1;
  return [(map[0] * x + map[1] * y + map[2]) / w, (map[3] * x + map[4] * y + map[5]) / w];
}

/**
 * The map that sends four corners of a rectangle, as picked on a picture, to their true places: a card that
 * lies in the plane of the leaf takes the tilt out of it.
 *
 * Direct linear transformation of four point pairs (Hartley and Zisserman, Multiple View Geometry, 4.1).
 *
 * @param corners in order round the rectangle, the first two along its width
 * @param width and `height` in mm
 * @returns undefined where three of the corners lie in one line, or the order crosses itself
 */
export function planeFromCard(
  corners: readonly [Pixel, Pixel, Pixel, Pixel],
  width: number,
  height: number,
): PlaneMap | undefined {
  if (!convex(corners)) return undefined;
  const true4 = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ] as const;
  const rows: number[][] = [];
  corners.forEach(([x, y], i) => {
    const [X, Y] = true4[i] as readonly [number, number];
    rows.push([x, y, 1, 0, 0, 0, -X * x, -X * y, X], [0, 0, 0, x, y, 1, -Y * x, -Y * y, Y]);
  });
  const found = eliminated(rows);
  if (!found) return undefined;
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = found;
  return [a, b, c, d, e, f, g, h, 1];
}

/** Whether four corners go round one way, none of them flat. */
function convex(corners: readonly Pixel[]): boolean {
  const turns = corners.map(([x, y], i) => {
    const [[nx, ny], [mx, my]] = [corners[(i + 1) % 4] as Pixel, corners[(i + 2) % 4] as Pixel];
    const [ax, ay, bx, by] = [nx - x, ny - y, mx - nx, my - ny];
    return (ax * by - ay * bx) / (Math.hypot(ax, ay) * Math.hypot(bx, by) || 1);
  });
  return turns.every((turn) => turn > 0.02) || turns.every((turn) => turn < -0.02);
}

/** Gaussian elimination with the largest pivot; the last column is the right side. */
function eliminated(rows: number[][]): number[] | undefined {
  const n = rows.length;
  for (let k = 0; k < n; k += 1) {
    let best = k;
    for (let i = k + 1; i < n; i += 1)
      if (Math.abs(rows[i]?.[k] ?? 0) > Math.abs(rows[best]?.[k] ?? 0)) best = i;
    const pivot = rows[best] as number[];
    if (Math.abs(pivot[k] ?? 0) < 1e-12) return undefined;
    rows[best] = rows[k] as number[];
    rows[k] = pivot;
    for (let i = 0; i < n; i += 1) {
      if (i === k) continue;
      const row = rows[i] as number[];
      const share = (row[k] ?? 0) / (pivot[k] as number);
      for (let j = k; j <= n; j += 1) row[j] = (row[j] ?? 0) - share * (pivot[j] ?? 0);
    }
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] as number));
}
