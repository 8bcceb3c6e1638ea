import type { Individual } from './build';
import * as flower from './flower';
import * as fruit from './fruit';
import type { Point } from './geometry';
import { arrowBlade, blade, heartBlade, isMargin, OUTLINES, type Outline, type Venation } from './leaf';
import { dividedLeaf, fineSegments, isDivision } from './leafDivided';
import { boxOfMarks, placed, segment, stroke, type Mark } from './mark';
import { WOODY, sizesOf, hasBasalLeaves } from './plantSizes';
import * as root from './root';
import * as stem from './stem';
import { fromCard, solid, type Part, type Whole } from './whole';

/** Much divided leaves are small on the sheet: finer ink keeps them open. */
const thin = (marks: readonly Mark[]): Mark[] =>
  marks.map((mark) => (mark.ink === 'line' ? { ...mark, ink: 'fine' } : mark));

/**
 * One leaf, foot of its stalk at the origin, pointing up, so many millimetres long; none where neither
 * division nor outline is stated.
 */
function leafOf(one: Individual, long: number): Mark[] {
  const division = one.state('leaf.division');
  if (isDivision(division) && division !== 'simple')
    return thin(placed(dividedLeaf(division), { scale: long / 70 }));
  const form = one.state('leaf.outline');
  const margin = one.state('leaf.margin');
  const stalked = !['sessile', 'pair-cup', 'clasping', 'running-down', 'stem-sheath'].includes(
    one.state('leaf.base') ?? '',
  );
  if (form === 'fine-segments') return thin(placed(fineSegments(), { scale: long / 66 }));
  if (form === 'arrow') return placed(arrowBlade(), { scale: long / 68 });
  if (form === 'round')
    return [
      stroke(segment(0, 0, 0, -long * 0.3)),
      ...placed(heartBlade(long * 0.72), { at: [0, -long * 0.3] }),
    ];
  const outline = (OUTLINES as Readonly<Record<string, Outline | undefined>>)[form ?? ''];
  if (!outline) return [];
  const stalk = stalked && form !== 'needle' && form !== 'linear' ? long * 0.14 : 0;
  const venation = one.state('leaf.venation');
  // Teeth are drawn for a blade of some sixty units, and grow with it.
  const drawn = blade({
    outline,
    length: 60,
    margin: isMargin(margin) ? margin : 'entire',
    venation: form === 'needle' || form === 'linear' ? 'one' : ((venation ?? 'one') as Venation),
  });
  return [
    ...(stalk > 0 ? [stroke(segment(0, 0, 0, -stalk))] : []),
    ...placed(drawn, { scale: (long - stalk) / 60, at: [0, -stalk] }),
  ];
}

interface Nodes {
  readonly heights: readonly number[];
  readonly turns: (node: number) => readonly (readonly [turn: number, size: number])[];
}

/**
 * How many nodes show an arrangement, and how the leaves of one lean: no more than it takes, since their
 * number is not stated. None where the arrangement is not.
 */
function nodesOf(one: Individual, woody: boolean): Nodes | undefined {
  const needles = ['needle', 'linear'].includes(one.state('leaf.outline') ?? '');
  const even = (count: number, from: number, to: number) =>
    Array.from({ length: count }, (_, i) => from + ((to - from) * i) / Math.max(1, count - 1));
  const [from, to] = woody ? [0.2, 0.95] : [0.12, 0.54];
  switch (one.state('leaf.arrangement')) {
    case 'opposite':
      return {
        heights: even(needles ? 7 : 2, from + 0.08, to - 0.06),
        turns: () => [
          [-58, 1],
          [58, 1],
        ],
      };
    case 'whorl': {
      const count = Math.round(one.size('leaf.whorl') ?? 0);
      return count < 3
        ? undefined
        : {
            heights: woody ? even(5, from, to) : [0.4],
            turns: () => even(count, woody ? -64 : -92, woody ? 64 : 92).map((turn) => [turn, 1] as const),
          };
    }
    case 'unequal-pairs':
      return {
        heights: even(2, from, to),
        turns: (i) =>
          i % 2
            ? [
                [62, 1],
                [28, 0.5],
              ]
            : [
                [-62, 1],
                [-28, 0.5],
              ],
      };
    case 'alternate':
      return { heights: even(needles ? 9 : 3, from, to), turns: (i) => [[i % 2 ? 58 : -58, 1]] };
    default:
      return undefined;
  }
}

/** A herb as a whole with its root, of what is woody a twig with its flowers or fruits beside it. */
export function wholePlant(one: Individual): Whole {
  const woody = WOODY.has(one.state('habit.form') ?? '');
  const { long, high, sized, whole } = sizesOf(one, woody);
  const basal = hasBasalLeaves(one);
  const { of, card, detail } = flowersAndFruits(one);
  const axis = high * (woody ? 1 : 0.74);
  const leafMarks = leaves(one, long, high, basal, woody);
  const reach = (leafMarks.length > 0 ? boxOfMarks(leafMarks).right : 0) + high * 0.04;
  return {
    sized,
    parts: [
      { of: ['root.form', 'root.skin'], marks: whole ? rootBelow(one, high) : [] },
      {
        of: ['stem.branching', 'plant.height', 'habit.form'],
        marks: basal && card.length === 0 ? [] : [stroke(segment(0, 0, 0, -axis), 'bold')],
      },
      { of: LEAF_CHARACTERS, marks: leafMarks },
      { of, marks: woody ? beside(card, reach, high) : onTop(card, high, axis) },
      { of: ['fruit.type'], marks: beside(detail, reach, high * (woody ? 0.5 : 0.36)) },
    ],
  };
}

const LEAF_CHARACTERS: Part['of'] = [
  'leaf.arrangement',
  'leaf.division',
  'leaf.outline',
  'leaf.margin',
  'leaf.venation',
  'leaf.length',
  'leaf.base',
];

/** The flowers or fruits of a plant, of which characters they are drawn, and one fruit beside it. */
function flowersAndFruits(one: Individual): {
  readonly of: Part['of'];
  readonly card: Mark[];
  readonly detail: Mark[];
} {
  const flowering = one.state('flower.inflorescence');
  // An umbel stays one in fruit: it has bracts, or has none, only where it stands.
  const inFruit =
    flowering === undefined && (one.state('umbel.bracts') ?? one.state('umbel.bracteoles')) !== undefined;
  const flowers = flowering ?? (inFruit ? 'umbel' : undefined);
  const fruits = one.state('fruit.position');
  const kind = one.state('fruit.type');
  // Where they sit is drawn with round fruits: of any other kind one is shown beside the plant.
  const round = kind !== undefined && ROUND.has(kind);
  return {
    of: inFruit
      ? ['umbel.bracts', 'umbel.bracteoles']
      : flowers !== undefined
        ? ['flower.inflorescence']
        : ['fruit.position'],
    card: solid(
      flowers !== undefined
        ? flower.inflorescence(flowers)
        : fruits !== undefined && round
          ? fruit.position(fruits)
          : undefined,
    ),
    detail: flowering === undefined && kind !== undefined && !round ? solid(fruit.type(kind)) : [],
  };
}

const ROUND = new Set(['berry', 'stone-fruit', 'fleshy-cone', 'aril']);

function leaves(one: Individual, long: number, high: number, basal: boolean, woody: boolean): Mark[] {
  if (one.state('leaf.outline') === undefined && one.state('leaf.division') === undefined) return [];
  const leaf = (at: Point, turn: number, size: number): Mark[] =>
    placed(leafOf(one, long * size), { at, turn });
  if (one.state('leaf.outline') === 'scale')
    return fromCard(solid(stem.leafOutline('scale')), high / 76, [0, 0], 78);
  if (basal) return [-56, 56, -20, 20].flatMap((turn) => leaf([0, 0], turn, 1));
  const nodes = nodesOf(one, woody);
  // How they stand is not stated: one leaf by itself, beside the stem.
  if (!nodes) return leaf([long * 0.5, 0], 8, 1);
  const { heights, turns } = nodes;
  return heights.flatMap((share, i) =>
    turns(i).flatMap(([turn, size]) => leaf([0, -high * share], turn, size * (woody ? 1 : 1 - i * 0.13))),
  );
}

/** Flowers or fruits at the end of a herb's stem. */
function onTop(card: readonly Mark[], high: number, axis: number): Mark[] {
  // Their own axis may begin beside the middle of the card.
  const start = card
    .flatMap((mark) => mark.line)
    .reduce<Point>((low, p) => (p[1] > low[1] ? p : low), [60, 0]);
  return fromCard(card, (high * 0.3) / 76, [0, -axis], start[1], start[0]);
}

/** A detail to the right of everything else, not to the scale of the whole. */
function beside(card: readonly Mark[], reach: number, high: number): Mark[] {
  if (card.length === 0) return [];
  const box = boxOfMarks(card);
  const by = (high * 0.42) / (box.bottom - box.top);
  return fromCard(
    card,
    by,
    [reach + ((box.right - box.left) * by) / 2, -high * 0.3],
    box.bottom,
    (box.left + box.right) / 2,
  );
}

function rootBelow(one: Individual, high: number): Mark[] {
  const card = solid(root.form(one.state('root.form') ?? '')).filter((mark) =>
    mark.line.every(([, y]) => y >= 16),
  );
  // A creeping one is drawn deeper on its card than the rest.
  return fromCard(card, (high * 0.26) / 60, [0, 0], one.state('root.form') === 'rhizome-creeping' ? 39 : 18);
}
