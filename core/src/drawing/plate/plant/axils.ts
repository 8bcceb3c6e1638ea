import { joined, rays, stalked, type Cluster, type ClusterSizes, type Seat } from './cluster';

const NOTHING: Cluster = { stalks: [], spots: [] };

/** Beside the leaves: one in each axil, or several. */
export function inAxils(kind: string, nodes: readonly Seat[], { one, hangs, room }: ClusterSizes): Cluster {
  /** Several side by side in one axil, turned so. */
  const together = (turns: readonly number[], stalk: number) => (node: Seat) =>
    joined(turns.map((turn) => stalked({ ...node, heading: node.heading + turn }, one * stalk, false)));
  const each: Readonly<Record<string, (node: Seat) => Cluster>> = {
    axil: (node) => stalked(node, one * 0.7 + room * 0.1, hangs),
    pair: together([-20, 20], 1.2),
    pairs: together([-20, 20], 1.2),
    'tight-on-twig': together([-34, 8, 44], 0.5),
    'on-bare-twig': together([-30, 20], 0.55),
    catkins: (node) => stalked(node, one * 0.2, true),
    'small-cluster': (node) =>
      rays(node, 3, one * 1.1, 44, (end) =>
        hangs ? stalked(end, one * 0.5, true) : { stalks: [], spots: [{ ...end, size: 1 }] },
      ),
  };
  const make = each[kind];
  return make ? joined(nodes.map(make)) : NOTHING;
}

export const AXILLARY: ReadonlySet<string> = new Set([
  'axil',
  'pair',
  'pairs',
  'tight-on-twig',
  'on-bare-twig',
  'catkins',
]);
