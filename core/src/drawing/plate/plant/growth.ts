import { along, curve, from, type Point } from '../../geometry';
import type { Subject } from '../sketch';
import { herbSizes, isInBloom, leavesAlong, stemHalf, WOODY, type Growth, type LeafPlace } from './nodes';
import type { Axis } from './stem';
import { climber, runner } from './trailing';
import { twig } from './woody';

/** How plants grow: stems, and where leaves, flowers and fruits come to sit on them. */

const ROSETTE: ReadonlySet<string> = new Set(['rosette', 'ground-leaves', 'leafy-patch']);

/** How a plant grows, from its habit, its branching and how its leaves are arranged. */
export function growthOf(one: Subject): Growth {
  const habit = one.state('habit.form') ?? '';
  const climbs = ['twining', 'tendrils'].includes(one.state('stem.climbing') ?? '');
  if (WOODY.has(habit) && !climbs) return twig(one, habit);
  const basal =
    one.state('leaf.arrangement') === 'basal' ||
    (one.state('leaf.arrangement') === undefined && ROSETTE.has(habit));
  if (basal) return rosette(one);
  if (climbs) return climber(one);
  if (habit === 'creeping' || one.state('stem.climbing') === 'creeping') return runner(one);
  return herb(one);
}

function herb(one: Subject): Growth {
  const sizes = herbSizes(one);
  const { high } = sizes;
  const bloom = isInBloom(one);
  const stemTop = bloom ? high * 0.74 : high * 0.9;
  const half = stemHalf(one, high);
  const sprawls = one.state('stem.climbing') === 'sprawling';
  const lean = sprawls ? high * 0.34 : high * 0.05;
  const main: Axis = {
    line: curve(
      [0, 0],
      [lean * 0.2, -stemTop * 0.36],
      [lean * 0.1, -stemTop * 0.7],
      [lean * (sprawls ? 1 : 0.4), -stemTop],
    ),
    half: [half, half * 0.5],
  };
  const side =
    one.state('stem.branching') === 'branched'
      ? ([
          [0.6, -34, 0.3],
          [0.76, 32, 0.24],
        ] as const)
      : [];
  const branches = side.map(([share, turn, long]): Axis => {
    const { at, heading } = along(main.line, share);
    const tip = from(at, heading + turn, high * long);
    return {
      line: curve(at, from(at, heading + turn * 1.3, high * long * 0.5), tip),
      half: [half * 0.55, half * 0.35],
    };
  });
  const grow = (share: number) => 1 - 0.52 * share;
  const on = leavesAlong(one, main, {
    count: 4,
    between: [0.1, bloom ? 0.86 : 0.98],
    grow: grow,
    alone: [sizes.leafLength * 0.35, 0],
  });
  const small = branches.map((axis) =>
    leavesAlong(one, axis, { count: 1, between: [0.5, 0.8], grow: () => 0.34 }),
  );
  return {
    ...sizes,
    axes: [main, ...branches],
    leaves: [...on.leaves, ...small.flatMap((s) => s.leaves)],
    backLeaves: [],
    seats: {
      tips: [main, ...branches].map((axis, i) => ({ ...along(axis.line, 1), size: i === 0 ? 1 : 0.66 })),
      axils: on.axils.slice(Math.floor(on.axils.length / 3)),
    },
    room: high * 0.27,
    woody: false,
  };
}

/** Leaves from the ground, with a scape between them where it flowers or fruits. */
function rosette(one: Subject): Growth {
  const sizes = herbSizes(one);
  const bloom = isInBloom(one);
  const high = bloom ? sizes.high : Math.min(sizes.high, sizes.leafLength * 1.25);
  const leafLength = Math.min(sizes.leafLength, high * (bloom ? 0.66 : 1));
  const half = stemHalf(one, high);
  const upright = one.state('habit.form') === 'leafy-patch' || one.state('leaf.base') === 'stem-sheath';
  const [front, back]: readonly (readonly LeafPlace[])[] = upright
    ? [
        [-30, 34].map((turn, i) => ({ at: [0, 0] as Point, turn, size: 1 - i * 0.06, bend: turn * 0.5 })),
        [-9, 14].map((turn, i) => ({ at: [0, 0] as Point, turn, size: 0.96 - i * 0.08, bend: turn })),
      ]
    : [
        [-66, 62, -34].map((turn, i) => ({
          at: [0, 0] as Point,
          turn,
          size: 0.94 - i * 0.06,
          bend: turn * 0.45,
        })),
        [-16, 30, 8].map((turn, i) => ({
          at: [0, 0] as Point,
          turn,
          size: 0.9 - i * 0.06,
          bend: turn * 0.5,
        })),
      ];
  const scape: Axis = {
    line: curve([0, 0], [high * 0.02, -high * 0.4], [0, -high * 0.76]),
    half: [half, half * 0.6],
  };
  return {
    ...sizes,
    high,
    leafLength,
    axes: bloom ? [scape] : [],
    leaves: front ?? [],
    backLeaves: back ?? [],
    seats: {
      tips: bloom ? [{ ...along(scape.line, 1), size: 1 }] : [],
      axils: bloom
        ? [0.6, 0.75, 0.9].map((share) => ({
            ...along(scape.line, share),
            heading: -90 + (share === 0.75 ? 50 : -50),
          }))
        : [],
    },
    room: high * 0.26,
    woody: false,
  };
}
