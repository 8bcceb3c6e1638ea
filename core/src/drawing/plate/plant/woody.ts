import { along, curve, from } from '../../geometry';
import type { Subject } from '../sketch';
import { leavesAlong, type Growth } from './nodes';
import type { Axis } from './stem';

/** A twig with side twigs. */
export function twig(one: Subject, habit: string): Growth {
  const outline = one.state('leaf.outline') ?? '';
  const leaf = one.size('leaf.length');
  const leafLength = leaf ?? 40;
  const needles = outline === 'needle' || outline === 'scale' || outline === 'linear';
  const fruits = one.size('fruit.diameter') ?? 0;
  const long = Math.max(leafLength * (outline === 'scale' ? 16 : needles ? 6 : 3.6), fruits * 6);
  const half = long * (habit === 'dwarf-shrub' ? 0.011 : 0.017);
  const main: Axis = {
    line: curve([0, 0], [long * 0.06, -long * 0.34], [long * 0.02, -long * 0.66], [long * 0.16, -long]),
    half: [half, half * 0.4],
  };
  const sides = one.state('stem.branching') === 'branched' ? sideTwigs(main, long) : [];
  const bare =
    one.state('flower.inflorescence') === 'on-bare-twig' || one.state('flower.inflorescence') === 'catkins';
  const count = outline === 'scale' ? 30 : needles ? 18 : 3;
  const on = leavesAlong(one, main, {
    count,
    between: [0.2, 0.99],
    grow: (share) => 0.86 + 0.14 * Math.sin(share * 3),
    alone: [leafLength * 0.35, 0],
  });
  const onSides = sides.map((axis) =>
    leavesAlong(one, axis, { count: needles ? count / 2 : 1, between: [0.4, 0.98], grow: () => 0.82 }),
  );
  return {
    axes: [main, ...sides],
    leaves: bare ? [] : [...on.leaves, ...onSides.flatMap((s) => s.leaves)],
    backLeaves: [],
    seats: {
      tips: [main, ...sides].map((axis, i) => ({ ...along(axis.line, 1), size: i === 0 ? 1 : 0.7 })),
      axils: [...on.axils, ...onSides.flatMap((s) => s.axils.slice(0, 1))].filter(
        (_, i) => !needles || i % 3 === 0,
      ),
    },
    high: long,
    leafLength,
    room: long * 0.24,
    woody: true,
    sized: leaf !== undefined,
    whole: false,
  };
}

/** One to each side, thinner than the twig itself. */
const sideTwigs = ({ line, half }: Axis, long: number): Axis[] =>
  (
    [
      [0.34, -48, 0.42],
      [0.56, 52, 0.36],
    ] as const
  ).map(([share, turn, reach]) => {
    const { at, heading } = along(line, share);
    const middle = from(at, heading + turn * 1.15, long * reach * 0.5);
    return {
      line: curve(at, middle, from(at, heading + turn * 0.9, long * reach)),
      half: [half[0] * 0.6, half[0] * 0.3],
    };
  });
