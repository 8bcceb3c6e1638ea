import { ellipse, from } from '../../geometry';
import { washOf } from '../colours';
import { body, coarse, FINEST, merged, pen, put, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';
import { AXILLARY, inAxils } from './axils';
import { flowerOf } from './bloom';
import { CLUSTERS, joined, stalked, type Cluster, type ClusterSizes, type Seat } from './cluster';
import { fruitOf, isRound } from './fruits';
import type { Growth } from './nodes';

/** Flowers, or fruits where it no longer flowers: at the ends of stems, or beside the leaves. */
export function topped(one: Subject, growth: Growth): Part[] {
  const kind = standing(one);
  if (kind === undefined) return [];
  const flowers = isFlowering(one);
  const sizes = sizesOf(one, kind, growth);
  const { stalks, spots } = clusterOf(kind, growth, sizes);
  const many = spots.length > MANY;
  const make = (flowers ? flowerOf(one) : fruitOf(one)) ?? bud;
  const drawn = coarse(make(sizes.one, many), growth.high / FINEST);
  const each = spots.map((spot) => put(drawn, { at: spot.at, turn: spot.heading + 90, scale: spot.size }));
  return [
    {
      of: flowers
        ? ['flower.inflorescence']
        : sizes.hangs
          ? ['fruit.position', 'fruit.stalk']
          : ['fruit.position'],
      sketches: stalks.length > 0 ? [pen(stalks, many ? 'fine' : 'line')] : [],
    },
    { of: ['umbel.bracts'], sketches: kind === 'umbel' ? bractsAt(one, growth.seats.tips, sizes) : [] },
    {
      of: flowers ? OF_FLOWERS : ofFruits(one, many),
      sketches: many ? merged(each).map((sketch) => ({ ...sketch, shading: 'none' as const })) : each.flat(),
    },
  ];
}

/** From so many on, flowers are drawn together. */
const MANY = 24;
const OF_FLOWERS = [
  'flower.inflorescence',
  'flower.form',
  'flower.colour',
  'flower.length',
  'flower.petals',
  'umbel.rays',
  'umbel.width',
];
/** Crown and skin show on what is round, the form of what splits in two on one that is drawn by itself. */
function ofFruits(one: Subject, many: boolean): string[] {
  const type = one.state('fruit.type');
  const shown = ['fruit.position', 'fruit.type', 'fruit.colour', 'fruit.diameter', 'umbel.rays'];
  if (isRound(type)) return [...shown, 'fruit.skin', 'fruit.crown'];
  return type === 'schizocarp' && !many ? [...shown, 'fruit.form'] : shown;
}

const isFlowering = (one: Subject) => one.state('flower.inflorescence') !== undefined;

/** How its flowers or fruits stand together. An umbel stays one in fruit: bracts are stated of nothing else. */
function standing(one: Subject): string | undefined {
  const bracts = one.state('umbel.bracts') ?? one.state('umbel.bracteoles');
  return one.state('flower.inflorescence') ?? (bracts === undefined ? one.state('fruit.position') : 'umbel');
}

/** How large a flower is drawn whose size is not stated, as a share of the plant. */
const UNSTATED: Readonly<Record<string, number>> = {
  'single-top': 0.12,
  heads: 0.12,
  ground: 0.12,
  catkins: 0.16,
  umbel: 0.013,
  panicle: 0.03,
  'simple-umbel': 0.04,
};
/** Flowers that hang. */
const NODDING: ReadonlySet<string> = new Set(['bell', 'six-bell', 'urn', 'thimble']);

function sizesOf(one: Subject, kind: string, { high, woody, room }: Growth): ClusterSizes {
  const flowers = isFlowering(one);
  const stated = one.size(flowers ? 'flower.length' : 'fruit.diameter');
  const least = high * (woody || AXILLARY.has(kind) ? 0.03 : 0.013);
  return {
    room: Math.max(room, (one.size('umbel.width') ?? 0) * 0.85),
    one: Math.max(least, stated ?? high * (flowers ? (UNSTATED[kind] ?? 0.06) : 0.04)),
    umbelRays: Math.max(4, Math.min(18, Math.round(one.size('umbel.rays') ?? 9))),
    hangs: flowers ? NODDING.has(one.state('flower.form') ?? '') : one.state('fruit.stalk') === 'hanging',
  };
}

function clusterOf(kind: string, { seats, woody, high }: Growth, sizes: ClusterSizes): Cluster {
  const draw = CLUSTERS[kind];
  // Straight out of the ground, beside the leaves.
  if (kind === 'ground') return stalked({ at: [high * 0.06, 0], heading: -88 }, sizes.one * 0.9, false);
  if (AXILLARY.has(kind) || (woody && kind === 'small-cluster') || !draw)
    return inAxils(kind, seats.axils, sizes);
  const tips = woody && kind === 'cluster' ? seats.tips.slice(0, 1) : seats.tips;
  return joined(tips.map((seat) => draw(seat, { ...sizes, room: sizes.room * seat.size })));
}

/** What is known to be there, but not in which form. */
const bud = (size: number): Sketch[] => [
  body(ellipse(0, -size * 0.4, size * 0.4), 'paper', { ink: 'faint', shading: 'none' }),
];

const BRACTS: Readonly<Record<string, readonly number[]>> = {
  many: [-80, -48, -16, 16, 48, 80],
  few: [-64, 64],
};

function bractsAt(one: Subject, tips: readonly Seat[], { room }: ClusterSizes): Sketch[] {
  const green = washOf(one.colour('leaf.colour'), 0.3);
  const turns = BRACTS[one.state('umbel.bracts') ?? ''] ?? [];
  return tips.slice(0, 1).flatMap(({ at, heading }) =>
    turns.map((turn) => {
      const back = heading + 180 + turn;
      return body(
        [at, from(at, back - 12, room * 0.1), from(at, back, room * 0.2), from(at, back + 12, room * 0.1)],
        green,
        { ink: 'fine', shading: 'none' },
      );
    }),
  );
}
