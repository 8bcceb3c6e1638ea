import { ellipse, type Point } from '../../geometry';
import * as root from '../../root';
import { washOf } from '../colours';
import { body, boxOfSketches, coarse, FINEST, fromMarks, put, type Sketch, type Subject } from '../sketch';
import type { Part, Whole } from '../whole';
import { growthOf } from './growth';
import { leafOf } from './leaf';
import type { Growth } from './nodes';
import { barkOf, holdOf, thornsOf } from './onStem';
import { stemsOf } from './stem';
import { topped } from './topped';
import { faintParts, unknownOrgans } from './unknown';

/** What its leaves are drawn from: of what is divided into threads or many segments, no outline shows. */
function ofLeaves(one: Subject): string[] {
  const shown = ['leaf.arrangement', 'leaf.division', 'leaf.length', 'leaf.colour', 'leaf.whorl'];
  if (one.state('leaf.division') === 'multipinnate') return shown;
  const outline = one.state('leaf.outline') ?? '';
  if (outline === 'fine-segments' || outline === 'scale') return [...shown, 'leaf.outline'];
  const division = one.state('leaf.division') ?? 'simple';
  const blade = [...shown, 'leaf.outline', 'leaf.venation', 'leaf.sheen'];
  if (division !== 'lobed') blade.push('leaf.margin');
  if (outline === 'needle' || outline === 'linear') return blade;
  if (outline !== 'arrow') blade.push('leaf.foot');
  if (division === 'pinnate') return [...blade, 'leaf.segments', 'leaflet.length'];
  return division === 'simple' || division === 'lobed' ? [...blade, 'leaf.base'] : blade;
}

/** A herb with its root, or a twig of what is woody, with its leaves, flowers and fruits where they grow. */
export function wholePlant(one: Subject, stage?: string): Whole {
  const growth = growthOf(one);
  const { axes, high } = growth;
  const unknown = unknownOrgans(one, stage);
  return {
    sized: growth.sized,
    unknown,
    parts: [
      { of: ['root.form', 'root.skin'], sketches: growth.whole ? rootBelow(one, high) : [] },
      ...(growth.backLeaves.length > 0
        ? [{ of: ofLeaves(one), sketches: leavesOf(one, growth, growth.backLeaves) }]
        : []),
      ...(growth.climbs && axes[0] ? holdOf(one, axes[0], high * 0.5) : []),
      ...stemsOf(one, axes),
      ...(axes[0] && growth.woody ? barkOf(one, axes[0]) : []),
      ...thornsOf(one, growth.woody ? axes : []),
      { of: ofLeaves(one), sketches: leavesOf(one, growth, growth.leaves) },
      ...topped(one, growth),
      ...faintParts(unknown, one, growth),
      ...(axes.length === 0 ? pieceOfStem(one, growth) : []),
    ],
  };
}

function leavesOf(one: Subject, { leafLength, high }: Growth, places: Growth['leaves']): Sketch[] {
  const leaf = leafOf(one);
  if (!leaf)
    return one.state('leaf.outline') === 'scale'
      ? places.flatMap((place) => scaleLeaf(place.at, place.turn, leafLength * place.size))
      : [];
  const drawn = new Map<string, Sketch[]>();
  return places.flatMap(({ at, turn, size, bend }) => {
    const key = `${size.toFixed(2)} ${bend}`;
    const shape = drawn.get(key) ?? coarse(leaf.draw(leafLength * size, bend), high / FINEST);
    drawn.set(key, shape);
    return put(shape, { at, turn });
  });
}

const scaleLeaf = (at: Point, turn: number, long: number): Sketch[] => [
  put(
    [
      body(
        [
          [0, 0],
          [long * 0.3, -long * 0.4],
          [0, -long],
          [-long * 0.3, -long * 0.4],
        ],
        '#8fae86',
        { ink: 'fine', shading: 'none' },
      ),
    ],
    { at, turn },
  )[0] as Sketch,
];

function rootBelow(one: Subject, high: number): Sketch[] {
  const form = one.state('root.form') ?? '';
  const fill = washOf(one.colour('root.skin'), 0.3);
  const card = fromMarks(root.form(form), fill).filter((sketch) =>
    sketch.lines.every((line) => line.every(([, y]) => y >= 16)),
  );
  if (card.length === 0) return [];
  const box = boxOfSketches(card);
  const top = form === 'rhizome-creeping' ? 39 : box.top + 1;
  const by = (high * 0.26) / 60;
  return put(put(card, { at: [-60, -top] }), { scale: by }).map((sketch) =>
    sketch.closed ? { ...sketch, shading: 'round' as const } : sketch,
  );
}

/** What of a stem shows on a piece of it. */
const ON_STEM = ['stem.marks', 'stem.hairs', 'stem.section', 'stem.bloom'];

/** Where only leaves show, a piece of the stem beside them, larger than they are: what is stated of it. */
function pieceOfStem(one: Subject, { high, leafLength }: Growth): Part[] {
  if (!ON_STEM.some((character) => one.state(character) !== undefined)) return [];
  const [x, long] = [leafLength * 1.06, high * 0.6];
  const half = high * 0.034;
  const parts = stemsOf(one, [
    {
      line: [
        [x, 0],
        [x + half * 0.4, -long * 0.5],
        [x, -long],
      ],
      half: [half, half * 0.94],
      enlarged: 3,
    },
  ]);
  const cut = body(ellipse(x, -long, half, half * 0.42), 'paper', { shading: 'none', ink: 'fine' });
  const bore = body(ellipse(x, -long, half * 0.62, half * 0.24), 'shade', { shading: 'dark', ink: 'fine' });
  return [
    // Of a piece neither height nor branching shows.
    ...parts.map((part) =>
      part.of.includes('plant.height') ? { ...part, of: ['stem.colour', 'stem.width'] } : part,
    ),
    { of: ['stem.core'], sketches: one.state('stem.core') === 'hollow' ? [cut, bore] : [cut] },
  ];
}
