import { ellipse, type Point } from '../../geometry';
import type { Mark } from '../../mark';
import { penFor } from '../ink';
import type { Sheet } from '../sheet';
import { pen, wash } from '../sketch';

/** What is placed left and right of a whole, and is tied to places on it. */

/** The sheet of a plate with a column on either side, in units. */
export const WIDE_SHEET = { width: 300, height: 240 } as const;
/** So many are placed on one side alone. */
const ONE_SIDE = 3;

/** How many are placed one below the other on a side. */
export const rowsFor = (count: number): number => (count <= ONE_SIDE ? count : Math.ceil(count / 2));

/** The sheet with room for so many, in columns of this width. */
export const sheetFor = (count: number, column: number): Sheet => ({
  ...WIDE_SHEET,
  left: count > ONE_SIDE ? column : 0,
  right: WIDE_SHEET.width - (count > 0 ? column : 0),
});

interface Beside {
  readonly id: string;
  /** Its middle, in its column. */
  readonly at: Point;
  /** The place that it is tied to. */
  readonly to: Point | undefined;
}

/**
 * Left and right of the whole, in the order of their places from top to bottom, so that no two ties cross.
 *
 * @param half half the width of a column
 * @param placeOf where something is on the whole, rather on this side: 0 left to 1 right
 */
export function around(
  ids: readonly string[],
  half: number,
  placeOf: (id: string, aside: number) => Point | undefined,
): Beside[] {
  const { width, height } = WIDE_SHEET;
  const rows = rowsFor(ids.length);
  const inOrder = ids
    .map((id) => ({ id, x: placeOf(id, 0.5)?.[0] ?? width / 2 }))
    .sort((a, b) => a.x - b.x)
    .map(({ id }) => id);
  const left = ids.length <= ONE_SIDE ? [] : inOrder.slice(0, ids.length - rows);
  return [
    { side: left, x: half, aside: 0.1 },
    { side: inOrder.slice(left.length), x: width - half, aside: 0.9 },
  ].flatMap(({ side, x, aside }) =>
    side
      .map((id) => ({ id, to: placeOf(id, aside) }))
      .sort((a, b) => (a.to?.[1] ?? 0) - (b.to?.[1] ?? 0))
      .map(({ id, to }, i): Beside => {
        const share = (i + 0.5) / Math.max(side.length, Math.min(rows, ONE_SIDE));
        return { id, to, at: [x, height * share] };
      }),
  );
}

/** The line from so far beside a point to a place, and a dot there. */
export function tie(at: Point, away: number, to: Point | undefined): Mark[] {
  if (!to) return [];
  const [dx, dy] = [to[0] - at[0], to[1] - at[1]];
  const long = Math.hypot(dx, dy) || 1;
  const edge: Point = [at[0] + (dx / long) * away, at[1] + (dy / long) * away];
  return penFor(1, [0, 0], 3, 'full').ink([
    pen([[edge, to]], 'fine'),
    wash([ellipse(to[0], to[1], 1.7)], 'ink'),
  ]);
}
