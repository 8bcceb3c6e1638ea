import type { Individual } from './build';
import { capShape } from './cap';
import { curve, type Point, type Line, mirrored, ellipse, closedCurve } from './geometry';
import { shape, type Mark, strokes, stroke, segment, boxOfMarks } from './mark';
import { type Whole, type Part, solid, fromCard } from './whole';
import { capOver, surface } from './wholeCap';

const SINGLE = new Set(['honeycomb', 'brain', 'thimble', 'trumpet', 'fan', 'globe']);

/** A fungus with its cap, what shows of its underside, veil, stem and foot. */
export function wholeFungus(one: Individual): Whole {
  const wide = one.size('cap.width');
  const [capWidth, long, thick] = [wide ?? 60, one.size('stipe.length') ?? 0, one.size('stipe.width') ?? 0];
  const cap = outlineOf(one);
  const sized = wide !== undefined;
  if (cap !== undefined && SINGLE.has(cap))
    return { parts: singleBody(one, cap, capWidth, long, thick), sized };
  const stemPart = stipe(one, long, thick);
  const capPart = cap === undefined ? [] : capOver(one, cap, capWidth, long);
  return { parts: [...stemPart, ...veilOn(one, long, thick), ...capPart], sized };
}

/**
 * What the body is drawn as: pits, folds and balls follow from the underside, a shelf by where its stem is;
 * else the outline of the cap.
 */
function outlineOf(one: Individual): string | undefined {
  const [under, cap, place] = [one.state('hymenophore'), one.state('cap.shape'), one.state('stipe.place')];
  if (under === 'pits') return 'honeycomb';
  if (under === 'folds') return cap === 'thimble' ? cap : 'brain';
  if (under === 'ball') return 'globe';
  return under === 'gills' && (place === 'side' || place === 'none') ? 'fan' : cap;
}

/** Half-widths of a stem from the top down, as shares of its thickness. */
const STEM_HALVES: Readonly<Record<string, readonly number[]>> = {
  tapering: [0.75, 0.55, 0.42, 0.3],
  cylindrical: [0.5, 0.5, 0.5, 0.5],
  club: [0.42, 0.5, 0.62, 0.85],
  bulbous: [0.42, 0.62, 0.85, 0.8],
  'bulb-foot': [0.42, 0.44, 0.5, 1.05],
};

function stipe(one: Individual, long: number, thick: number): Part[] {
  const form = one.state('stipe.shape');
  if (long <= 0 || thick <= 0 || one.state('stipe.place') === 'none') return [];
  const halves = STEM_HALVES[form ?? 'cylindrical'] ?? [0.5, 0.5, 0.5, 0.5];
  const right = curve(
    ...halves.map((half, i): Point => [half * thick, -long + (long * i) / (halves.length - 1)]),
  );
  const side: Line = [...right, [(halves[halves.length - 1] ?? 0.5) * thick * 0.5, long * 0.03]];
  const outline: Line = [...side, ...[...mirrored(side)].reverse()];
  const body: Part = {
    of: ['stipe.shape', 'stipe.length', 'stipe.width'],
    marks: [shape(outline, 'paper', form === undefined ? 'faint' : 'line')],
  };
  return [
    body,
    { of: ['stipe.net'], marks: pattern(one.state('stipe.net'), thick, long) },
    { of: ['volva'], marks: foot(one.state('volva'), thick, long) },
  ];
}

function pattern(net: string | undefined, thick: number, long: number): Mark[] {
  const rows = (from: number, to: number, count: number) =>
    Array.from({ length: count }, (_, i) => -long * (from + ((to - from) * (i + 0.5)) / count));
  const half = thick * 0.4;
  switch (net) {
    case 'fine-net':
    case 'coarse-net':
      return rows(net === 'fine-net' ? 0.6 : 0.25, 0.95, net === 'fine-net' ? 5 : 6).flatMap((y) =>
        strokes(
          [
            [
              [-half, y - half * 0.5],
              [half, y + half * 0.5],
            ],
            [
              [-half, y + half * 0.5],
              [half, y - half * 0.5],
            ],
          ],
          'fine',
        ),
      );
    case 'bands':
      return rows(0.1, 0.85, 5).map((y) =>
        stroke(
          Array.from({ length: 7 }, (_, k): Point => [
            -half + (2 * half * k) / 6,
            y + (k % 2 ? half * 0.35 : 0),
          ]),
          'fine',
        ),
      );
    case 'scales':
      return rows(0.05, 0.8, 6).flatMap((y, i) =>
        [-0.5, 0.5].map((s) =>
          stroke(
            [
              [half * (s - 0.35), y],
              [half * (s + (i % 2 ? 0.1 : -0.1)), y + half * 0.4],
              [half * (s + 0.35), y],
            ],
            'fine',
          ),
        ),
      );
    case 'pits':
      return rows(0.1, 0.9, 5).map((y, i) =>
        shape(ellipse(half * (i % 2 ? 0.4 : -0.4), y, half * 0.26, half * 0.2), 'shade', 'fine'),
      );
    case 'fibres':
      return [-0.6, 0, 0.6].map((s, i) =>
        stroke(segment(half * s, -long * (0.85 - i * 0.06), half * s, -long * 0.15), 'fine'),
      );
    default:
      return [];
  }
}

function foot(volva: string | undefined, thick: number, long: number): Mark[] {
  const w = thick * 1.25;
  const h = Math.min(long * 0.3, thick * 2.2);
  if (volva === 'sac')
    return [
      shape(
        closedCurve(
          [-w, -h],
          [-w * 1.05, -h * 0.3],
          [-w * 0.5, h * 0.22],
          [w * 0.5, h * 0.22],
          [w * 1.05, -h * 0.3],
          [w * 1.05, -h * 1.1],
          [w * 0.5, -h * 0.75],
          [0, -h * 0.95],
          [-w * 0.5, -h * 0.72],
        ),
        'shade',
        'line',
      ),
    ];
  if (volva === 'rim')
    return [-0.28, -0.42].map((share) =>
      stroke(
        curve(
          [-thick * 0.95, long * share * 0.4],
          [0, long * share * 0.4 + thick * 0.25],
          [thick * 0.95, long * share * 0.4],
        ),
        'line',
      ),
    );
  return [];
}

function veilOn(one: Individual, long: number, thick: number): Part[] {
  const kind = one.state('veil');
  if (long <= 0 || kind === undefined) return [];
  const y = -long * 0.68;
  const half = thick * 0.5;
  const skirt = (drop: number, flare: number): Mark =>
    shape(
      [
        [-half, y],
        [-half * flare, y + drop],
        ...curve([-half * flare, y + drop], [0, y + drop * 1.2], [half * flare, y + drop]).slice(1, -1),
        [half * flare, y + drop],
        [half, y],
      ],
      'paper',
      'line',
    );
  const marks: Mark[] =
    kind === 'hanging'
      ? [skirt(thick * 1.1, 2)]
      : kind === 'thin'
        ? [skirt(thick * 0.25, 1.3)]
        : kind === 'movable'
          ? [shape(ellipse(0, y, thick * 1.1, thick * 0.3), 'shade', 'line')]
          : kind === 'cottony'
            ? [
                shape(
                  closedCurve(
                    [-half * 1.5, y - half * 0.5],
                    [0, y - half * 0.3],
                    [half * 1.5, y - half * 0.5],
                    [half * 1.6, y + half * 0.5],
                    [0, y + half * 0.3],
                    [-half * 1.6, y + half * 0.5],
                  ),
                  'paper',
                  'line',
                ),
              ]
            : [];
  return [{ of: ['veil'], marks }];
}

/** Fungi whose cap is no cap: their card, in their own size. */
function singleBody(one: Individual, cap: string, wide: number, long: number, thick: number): Part[] {
  const card = solid(capShape(cap));
  const box = boxOfMarks(card);
  const by = wide / (box.right - box.left);
  const onStem = long > 0 && thick > 0 && (cap === 'honeycomb' || cap === 'brain' || cap === 'thimble');
  const body = fromCard(card, by, [0, onStem ? -long * 0.86 : 0], box.bottom, (box.left + box.right) / 2);
  const ball = ellipse(0, -wide * 0.48, wide / 2, wide * 0.48);
  return [
    ...(onStem ? stipe(one, long, thick) : []),
    {
      of: ['cap.shape', 'cap.width'],
      marks:
        cap === 'globe'
          ? [shape(ball)]
          : body.map((mark) => (mark.ink === 'bold' ? { ...mark, ink: 'line' } : mark)),
    },
    ...(cap === 'globe'
      ? [{ of: ['cap.surface'], marks: surface(one.state('cap.surface'), ball, wide) }]
      : []),
  ];
}
