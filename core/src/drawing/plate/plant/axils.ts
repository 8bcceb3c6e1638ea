import { joined, rays, stalked, type Cluster, type ClusterSizes, type Seat } from './cluster';

const NOTHING: Cluster = { stalks: [], spots: [] };

/** Beside the leaves: one in each axil, or several. */
export function inAxils(kind: string, nodes: readonly Seat[], { one, hangs, room }: ClusterSizes): Cluster {
  const each: Readonly<Record<string, (node: Seat) => Cluster>> = {
    axil: (node) => stalked(node, one * 0.7 + room * 0.1, hangs),
    pair: (node) =>
      joined([-20, 20].map((turn) => stalked({ ...node, heading: node.heading + turn }, one * 1.2, false))),
    pairs: (node) =>
      joined([-20, 20].map((turn) => stalked({ ...node, heading: node.heading + turn }, one * 1.2, false))),
    'tight-on-twig': (node) =>
      joined(
        [-34, 8, 44].map((turn) => stalked({ ...node, heading: node.heading + turn }, one * 0.5, false)),
      ),
    'on-bare-twig': (node) =>
      joined([-30, 20].map((turn) => stalked({ ...node, heading: node.heading + turn }, one * 0.55, false))),
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
