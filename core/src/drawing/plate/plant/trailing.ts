import { along, curve, type Line, type Point } from '../../geometry';
import type { Subject } from '../sketch';
import { herbSizes, isInBloom, leavesAlong, stemHalf, type Growth } from './nodes';
import type { Axis } from './stem';

/** A stem that winds upwards. */
export function climber(one: Subject): Growth {
  const { leafLength, sized } = herbSizes(one);
  const long = leafLength * 4.2;
  const half = stemHalf(one, long);
  const line: Line = Array.from({ length: 49 }, (_, i): Point => {
    const share = i / 48;
    return [long * 0.09 * Math.sin(share * 13), -long * share];
  });
  const main: Axis = { line, half: [half, half * 0.5] };
  const on = leavesAlong(one, main, {
    count: 3,
    between: [0.12, 0.94],
    grow: (share) => 1 - 0.35 * share,
    alone: [leafLength * 0.35, 0],
  });
  return {
    axes: [main],
    leaves: on.leaves,
    backLeaves: [],
    seats: { tips: [{ ...along(line, 1), size: 1 }], axils: on.axils },
    high: long,
    leafLength,
    room: long * 0.2,
    woody: false,
    climbs: true,
    sized,
    whole: false,
  };
}

/** A stem along the ground that roots and sends up leaves. */
export function runner(one: Subject): Growth {
  const sizes = herbSizes(one);
  const { high, leafLength } = sizes;
  const half = stemHalf(one, high);
  const bloom = isInBloom(one);
  const reach = high * 0.5;
  const ground: Axis = {
    line: curve([-reach, 0], [-reach * 0.3, high * 0.012], [reach * 0.4, -high * 0.006], [reach, 0]),
    half: [half, half * 0.7],
  };
  const up = [-0.5, 0.16, 0.7].map((x, i): Axis => ({
    line: curve(
      [reach * x, 0],
      [reach * (x + 0.06), -high * 0.3],
      [reach * (x + 0.02), -high * (i === 1 ? 0.74 : 0.5)],
    ),
    half: [half * 0.8, half * 0.45],
  }));
  const on = up.map((axis) =>
    leavesAlong(one, axis, { count: 2, between: [0.2, 0.92], grow: (share) => 0.9 - 0.4 * share }),
  );
  const unknown = on.every((o) => o.leaves.length === 0);
  return {
    ...sizes,
    axes: [...up, ground],
    leaves: unknown ? [] : on.flatMap((o) => o.leaves),
    backLeaves: [],
    seats: {
      tips: bloom ? up.map((axis, i) => ({ ...along(axis.line, 1), size: i === 1 ? 1 : 0.7 })) : [],
      axils: on.flatMap((o) => o.axils),
    },
    room: high * 0.24,
    leafLength: Math.min(leafLength, high * 0.4),
    woody: false,
  };
}
