import { closedCurve, type Line, curve, type Point } from './geometry';
import {
  OUTLINES,
  arrowBlade,
  heartBlade,
  blade,
  type Outline,
  isMargin,
  bladeOutline,
  veins,
  type Venation,
} from './leaf';
import { isDivision, dividedLeaf, fineSegments } from './leafDivided';
import { type Mark, placed, stroke, segment, shape, strokes } from './mark';
import { small } from './stemMarks';
import { upright, leafAt, earth, standing } from './stemParts';

/** Leaves on a stem. */

export function arrangement(state: string): Mark[] | undefined {
  switch (state) {
    case 'alternate':
      return [
        ...upright(),
        ...[
          [64, -58],
          [50, 58],
          [36, -58],
          [22, 58],
        ].flatMap(([y = 0, turn = 0]) => leafAt([60, y], turn, 25)),
      ];
    case 'opposite':
      return [
        ...upright(),
        ...[62, 42, 22].flatMap((y) => [-64, 64].flatMap((turn) => leafAt([60, y], turn, 25))),
      ];
    case 'whorl':
      return [
        ...upright(),
        ...[60, 34].flatMap((y) =>
          [-94, -56, 56, 94, -22, 22].flatMap((turn) =>
            placed(small(24, OUTLINES.lanceolate).slice(0, 1), { at: [60, y], turn }),
          ),
        ),
      ];
    case 'unequal-pairs':
      return [
        ...upright(),
        ...[
          [62, -66, -30],
          [42, 66, 30],
          [22, -66, -30],
        ].flatMap(([y = 0, large = 0, little = 0]) => [
          ...leafAt([60, y], large, 27),
          ...leafAt([60, y - 1], little, 12),
        ]),
      ];
    case 'basal':
      return [
        earth(),
        ...[-66, -34, 0, 34, 66].flatMap((turn) =>
          placed([stroke(segment(0, 0, 0, -20)), ...placed(small(30), { at: [0, -19] })], {
            at: [60, 72],
            turn,
          }),
        ),
      ];
    default:
      return undefined;
  }
}

export function leafDivision(state: string): Mark[] | undefined {
  return isDivision(state) ? standing(dividedLeaf(state)) : undefined;
}

export function leafOutline(state: string): Mark[] | undefined {
  switch (state) {
    case 'fine-segments':
      return standing(fineSegments());
    case 'arrow':
      return standing(arrowBlade(), 78);
    case 'round':
      return [stroke(segment(60, 78, 60, 62)), ...placed(heartBlade(56), { at: [60, 60] })];
    case 'needle':
      return [
        ...[-26, 0, 26].flatMap((x) =>
          placed(blade({ outline: OUTLINES.needle, length: 66, venation: 'one' }).slice(0, 1), {
            at: [60 + x, 73],
          }),
        ),
      ];
    case 'scale':
      return [
        stroke(segment(60, 78, 60, 4), 'faint'),
        ...[70, 58, 46, 34, 22].flatMap((y) => [
          ...[-1, 1].map((s) =>
            shape(closedCurve([60, y + 2], [60 + s * 7, y - 2], [60 + s * 5.4, y - 12], [60 + s * 1, y - 8])),
          ),
          shape(closedCurve([56, y - 3], [60, y + 2], [64, y - 3], [60, y - 12]), 'shade'),
        ]),
      ];
    default: {
      const outline = (OUTLINES as Readonly<Record<string, Outline>>)[state];
      return (
        outline && [
          stroke(segment(60, 78, 60, 70)),
          ...placed(blade({ outline, length: 62 }), { at: [60, 71] }),
        ]
      );
    }
  }
}

export function leafMargin(state: string): Mark[] | undefined {
  if (!isMargin(state)) return undefined;
  return [
    stroke(segment(60, 78, 60, 72)),
    ...placed(
      blade({ outline: { base: 0.7, tip: 0.8, ratio: 1.7 }, length: 66, margin: state, venation: 'one' }),
      { at: [60, 74] },
    ),
  ];
}

export function leafVenation(state: string): Mark[] | undefined {
  const broad: Outline = { base: 0.7, tip: 0.85, ratio: 1.75 };
  const outline =
    state === 'one'
      ? { base: 0.6, tip: 1, ratio: 3.2 }
      : state === 'parallel'
        ? { base: 0.6, tip: 1, ratio: 2.2 }
        : broad;
  if (!['net', 'arching', 'pleated', 'parallel', 'curved-pairs', 'one'].includes(state)) return undefined;
  const marks: Mark[] = [
    stroke(segment(0, 2, 0, -2)),
    shape(bladeOutline(outline, 68), 'paper', 'line'),
    ...strokes(
      veins(outline, 68, state as Venation),
      state === 'pleated' || state === 'parallel' ? 'fine' : 'line',
    ),
  ];
  if (state === 'net')
    marks.push(
      ...strokes(
        [-22, -32, -42].flatMap((y): Line[] => [
          curve([6, y - 3], [7.5, y - 7], [6, y - 11]),
          curve([-6, y - 3], [-7.5, y - 7], [-6, y - 11]),
          curve([12, y - 8], [13, y - 12], [11, y - 15]),
          curve([-12, y - 8], [-13, y - 12], [-11, y - 15]),
        ]),
      ),
    );
  if (state === 'pleated')
    marks.push(
      stroke(
        [
          [-20, 8 - 8],
          [-16, -3],
          [-12, 0],
          [-8, -3],
          [-4, 0],
          [0, -3],
          [4, 0],
          [8, -3],
          [12, 0],
          [16, -3],
          [20, 0],
        ].map(([x = 0, y = 0]): Point => [x * 0.8 + 40, y * 1.6 - 30]),
        'bold',
      ),
    );
  return placed(marks, { at: [60, 75] });
}
