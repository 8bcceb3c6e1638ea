import { along, type Point } from '../../geometry';
import type { Subject } from '../sketch';
import type { Seat } from './cluster';
import type { Axis } from './stem';

/** What all forms of growth share: their sizes, and leaves along a stem. In millimetres. */

export interface LeafPlace {
  readonly at: Point;
  /** Degrees clockwise from up. */
  readonly turn: number;
  readonly size: number;
  readonly bend: number;
}

export interface Growth {
  readonly axes: readonly Axis[];
  readonly leaves: readonly LeafPlace[];
  /** Leaves that are behind the stems. */
  readonly backLeaves: readonly LeafPlace[];
  readonly seats: {
    readonly tips: readonly (Seat & { readonly size: number })[];
    readonly axils: readonly Seat[];
  };
  readonly high: number;
  readonly leafLength: number;
  /** Room at the end of the main stem. */
  readonly room: number;
  readonly woody: boolean;
  readonly climbs?: boolean;
  readonly sized: boolean;
  /** Whether all of it is drawn, in the height that is stated. */
  readonly whole: boolean;
}

export const WOODY: ReadonlySet<string> = new Set(['tree', 'shrub', 'dwarf-shrub']);

export interface Sizes {
  readonly leafLength: number;
  readonly high: number;
  readonly sized: boolean;
  readonly whole: boolean;
}

/** Leaves smaller than a quarter of their plant would be dots: then the plate shows a shorter plant. */
export function herbSizes(one: Subject): Sizes {
  const [leaf, height] = [one.size('leaf.length'), one.size('plant.height')];
  const leafLength = leaf ?? (height ?? 200) * 0.3;
  const high = Math.min(height ?? leafLength * 3.2, leafLength * 4);
  return {
    leafLength: Math.min(leafLength, high * 0.62),
    high,
    sized: leaf !== undefined || height !== undefined,
    whole: height !== undefined && high === height,
  };
}

export const stemHalf = (one: Subject, high: number): number => {
  const stated = one.size('stem.width');
  return Math.min(high * 0.026, Math.max(high * 0.006, (stated ?? high * 0.016) / 2));
};

export const isInBloom = (one: Subject) =>
  one.state('flower.inflorescence') !== undefined ||
  one.state('fruit.position') !== undefined ||
  one.state('umbel.bracts') !== undefined;

const isOneAtTop = (one: Subject) =>
  ['single-top', undefined].includes(one.state('flower.inflorescence') ?? one.state('fruit.position'));

interface Nodes {
  /** Turns and sizes of the leaves of one node. */
  readonly at: (node: number) => readonly (readonly [turn: number, size: number])[];
  readonly count: number;
}

/** Leaves at one node; no more nodes than show how they are arranged. */
function nodesOf(one: Subject, count: number): Nodes | undefined {
  switch (one.state('leaf.arrangement')) {
    case 'opposite':
      return {
        count,
        at: (i) =>
          i % 2
            ? [
                [-58, 1],
                [58, 1],
              ]
            : [
                [-66, 1],
                [66, 1],
              ],
      };
    case 'whorl': {
      const leaves = Math.round(one.size('leaf.whorl') ?? 4);
      // How many whorls there are is not stated: one, unless flowers stand in more than one place.
      return {
        count: !WOODY.has(one.state('habit.form') ?? '') && isOneAtTop(one) ? 1 : Math.max(2, count - 1),
        at: () => Array.from({ length: leaves }, (_, i) => [-88 + (176 * i) / (leaves - 1), 1] as const),
      };
    }
    case 'unequal-pairs':
      return {
        count,
        at: (i) =>
          i % 2
            ? [
                [64, 1],
                [26, 0.5],
              ]
            : [
                [-64, 1],
                [-26, 0.5],
              ],
      };
    case 'alternate':
    case 'basal':
      return { count: count + 2, at: (i) => [[i % 2 ? 56 : -56, 1]] };
    default:
      return undefined;
  }
}

/** Where leaves sit along a stem. */
export interface Leafing {
  /** How many nodes, more or less, and between which shares of its length. */
  readonly count: number;
  readonly between: readonly [from: number, to: number];
  /** How large leaves are at a share of its length. */
  readonly grow: (share: number) => number;
  /** Where one leaf lies by itself if it is not stated how they are arranged. */
  readonly alone?: Point;
}

export function leavesAlong(
  one: Subject,
  axis: Axis,
  { count, between: [first, last], grow, alone }: Leafing,
): { readonly leaves: LeafPlace[]; readonly axils: Seat[] } {
  const nodes = nodesOf(one, count);
  if (!nodes)
    return {
      leaves: alone ? [{ at: alone, turn: 8, size: 1, bend: 10 }] : [],
      axils: [along(axis.line, 0.6)],
    };
  const leaves: LeafPlace[] = [];
  const axils: Seat[] = [];
  for (let i = 0; i < nodes.count; i += 1) {
    const share =
      nodes.count === 1 ? (first + last) * 0.55 : first + ((last - first) * i) / (nodes.count - 1);
    const { at, heading } = along(axis.line, share);
    for (const [turn, size] of nodes.at(i)) {
      leaves.push({ at, turn: heading + 90 + turn, size: size * grow(share), bend: Math.round(turn * 0.35) });
      if (size === 1 && (nodes.at(i).length < 3 || turn === nodes.at(i)[0]?.[0]))
        axils.push({ at, heading: heading + turn * 0.55 });
    }
  }
  return { leaves, axils };
}
