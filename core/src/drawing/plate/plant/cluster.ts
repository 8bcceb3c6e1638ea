import { along, from, type Line, type Point } from '../../geometry';

/** Where flowers or fruits come to stand, and the stalks that lead there. All in millimetres. */

export interface Spot {
  readonly at: Point;
  /** Which way it looks, degrees clockwise from the right; -90 is up. */
  readonly heading: number;
  /** Its size to that of the others. */
  readonly size: number;
}

export interface Cluster {
  readonly stalks: readonly Line[];
  readonly spots: readonly Spot[];
}

/** Where a cluster begins: the end of a stem, or the axil of a leaf. */
export interface Seat {
  readonly at: Point;
  readonly heading: number;
}

/** Several clusters as one. */
export const joined = (clusters: readonly Cluster[]): Cluster => ({
  stalks: clusters.flatMap((c) => c.stalks),
  spots: clusters.flatMap((c) => c.spots),
});
const spread = (count: number, wide: number) =>
  Array.from({ length: count }, (_, i) => (count === 1 ? 0 : -wide + (2 * wide * i) / (count - 1)));

/** One on a stalk, which may hang over. */
export function stalked({ at, heading }: Seat, long: number, hangs: boolean, size = 1): Cluster {
  if (!hangs) {
    const tip = from(at, heading, long);
    return { stalks: [[at, tip]], spots: [{ at: tip, heading, size }] };
  }
  const over = from(at, heading, long * 0.7);
  const tip: Point = [
    over[0] + Math.sign(Math.cos((heading * Math.PI) / 180) || 1) * long * 0.22,
    over[1] + long * 0.4,
  ];
  return { stalks: [[at, over, tip]], spots: [{ at: tip, heading: 90, size }] };
}

/** Rays from one point, each with what ends it. */
export function rays(
  { at, heading }: Seat,
  count: number,
  long: number,
  wide: number,
  end: (seat: Seat, i: number) => Cluster,
): Cluster {
  return joined(
    spread(count, wide).map((turn, i) => {
      const far = long * (1 - 0.16 * (turn / (wide || 1)) ** 2) * (i % 2 ? 0.94 : 1);
      const tip = from(at, heading + turn, far);
      const bend = from(at, heading + turn * 0.7, far * 0.55);
      const last = end({ at: tip, heading: heading + turn * 0.45 }, i);
      return { stalks: [[at, bend, tip], ...last.stalks], spots: last.spots };
    }),
  );
}

export interface ClusterSizes {
  /** How much room there is at the end of a stem, mm. */
  readonly room: number;
  /** Of one flower or fruit, mm. */
  readonly one: number;
  readonly umbelRays: number;
  readonly hangs: boolean;
}

/** Large ones are fewer: how many of `most` there is room for side by side. */
const fits = (room: number, one: number, most: number) =>
  Math.max(3, Math.min(most, Math.round((room * 1.5) / Math.max(one, 1e-6))));

type Draw = (seat: Seat, sizes: ClusterSizes) => Cluster;

/** Spots along an axis from the seat, youngest at the tip. */
function alongAxis(
  seat: Seat,
  long: number,
  count: number,
  make: (at: Point, heading: number, i: number, share: number) => Cluster,
  bend = 0,
): Cluster {
  const line: Line = [
    seat.at,
    from(seat.at, seat.heading + bend * 0.3, long * 0.5),
    from(seat.at, seat.heading + bend, long),
  ];
  return joined([
    { stalks: [line], spots: [] },
    ...Array.from({ length: count }, (_, i) => {
      const share = 0.08 + (0.92 * (i + 0.5)) / count;
      const { at, heading } = along(line, share);
      return make(at, heading, i, share);
    }),
  ]);
}

const single: Draw = (seat, { one, hangs }) => stalked(seat, one * 0.9, hangs, 1);

export const CLUSTERS: Readonly<Record<string, Draw>> = {
  'single-top': single,
  umbel: (seat, { room, one, umbelRays }) =>
    rays(seat, umbelRays, room * 0.6, 64, (tip) =>
      rays(tip, 5, Math.max(room * 0.1, one * 1.5), 72, (end) => ({
        stalks: [],
        spots: [{ ...end, size: 1 }],
      })),
    ),
  'simple-umbel': (seat, { room, one }) =>
    rays(seat, 11, Math.max(room * 0.34, one * 1.6), 88, (end) => ({
      stalks: [],
      spots: [{ ...end, size: 1 }],
    })),
  'flat-cluster': (seat, { room, one }) =>
    rays(seat, fits(room, one, 7), room * 0.44, 46, (tip) =>
      rays(tip, one > room * 0.2 ? 1 : 3, Math.max(one * 0.7, room * 0.08), 42, (end) => ({
        stalks: [],
        spots: [{ ...end, heading: -90, size: 1 }],
      })),
    ),
  'small-cluster': (seat, { room, one, hangs }) =>
    rays(seat, 4, Math.max(one * 1.3, room * 0.16), 52, (end) =>
      hangs ? stalked(end, one * 0.8, true) : { stalks: [], spots: [{ ...end, size: 1 }] },
    ),
  cluster: (seat, { room, one, hangs }) =>
    rays(
      hangs ? { ...seat, heading: 90 } : seat,
      fits(room, one, 6),
      Math.max(one * 1.9, room * 0.3),
      44,
      (tip) =>
        rays(tip, one > room * 0.2 ? 2 : 3, one * 1.05, 50, (end) => ({
          stalks: [],
          spots: [{ ...end, size: 1 }],
        })),
    ),
  panicle: (seat, { room }) =>
    alongAxis(seat, room, 9, (at, heading, i, share) => {
      const tip = from(at, heading + (i % 2 ? 52 : -52), room * 0.32 * (1.12 - share));
      return joined([
        { stalks: [[at, tip]], spots: [] },
        ...[0.4, 0.7, 1].map((w): Cluster => ({
          stalks: [],
          spots: [{ ...along([at, tip], w), size: 0.85 }],
        })),
        {
          stalks: [],
          spots: share > 0.9 ? [{ at: from(seat.at, seat.heading, room), heading, size: 0.85 }] : [],
        },
      ]);
    }),
  spike: (seat, { room, one }) => {
    const count = Math.max(7, Math.min(26, Math.round((room / Math.max(one, room * 0.05)) * 1.3)));
    return alongAxis(seat, room, count, (at, heading, i, share) =>
      stalked(
        { at, heading: heading + (i % 2 ? 54 : -54) },
        one * 0.5 * (1.2 - share * 0.5),
        false,
        1.1 - share * 0.45,
      ),
    );
  },
  'one-sided': (seat, { room, one }) =>
    alongAxis(
      seat,
      Math.max(room, one * 6),
      7,
      (at, heading, _, share) => stalked({ at, heading: heading + 46 }, one * 0.6, true, 1.1 - share * 0.5),
      16,
    ),
  'one-sided-row': (seat, { room, one }) =>
    alongAxis(
      seat,
      Math.max(room * 0.8, one * 6),
      5,
      (at, heading, _, share) => stalked({ at, heading: heading + 50 }, one * 0.6, true, 1.05 - share * 0.3),
      18,
    ),
  whorls: (seat, { room, one }) =>
    alongAxis(seat, room, 4, (at, heading, _, share) =>
      joined(
        spread(7, 96).map((turn) =>
          stalked({ at, heading: heading + turn }, one * 0.8 * (1.1 - share * 0.4), false, 1 - share * 0.2),
        ),
      ),
    ),
  heads: (seat, { room, one }) =>
    rays(seat, 3, Math.max(room * 0.34, one), 36, (end) => ({ stalks: [], spots: [{ ...end, size: 1 }] })),
  curl: (seat, { room }) => {
    const coil: Line = Array.from({ length: 30 }, (_, i): Point => {
      const a = (i / 29) * 4.6;
      const r = room * 0.2 * (1 - (i / 29) * 0.72);
      return [
        seat.at[0] + room * 0.2 - r * Math.cos(a),
        seat.at[1] - room * 0.26 - r * Math.sin(a) * 0.9 + room * 0.02 * a,
      ];
    });
    return {
      stalks: [[seat.at, coil[0] as Point], coil],
      spots: [2, 6, 10, 14, 18, 22, 26].map((i, k) => ({
        at: coil[i] as Point,
        heading: -150 + k * 42,
        size: 1 - k * 0.1,
      })),
    };
  },
};
