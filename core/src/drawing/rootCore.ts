import { strewn } from './fungus';
import { closedCurve } from './geometry';
import { dot, faint, segment, shape, stroke, type Mark } from './mark';

/** A root cut lengthways. */
export function rootCore(state: string): Mark[] | undefined {
  const outline = closedCurve([40, 12], [60, 9], [80, 12], [84, 36], [76, 62], [60, 72], [44, 62], [36, 36]);
  const top = faint([stroke(segment(56, 2, 56, 10)), stroke(segment(64, 2, 64, 10))]);
  switch (state) {
    case 'solid':
      return [
        ...top,
        shape(outline, 'shade', 'bold'),
        ...strewn(outline, 9, 4).map(([x, y]) => dot(x, y, 0.8)),
      ];
    case 'chambers':
      return [
        ...top,
        shape(outline, 'shade', 'bold'),
        ...[20, 32, 44, 56].map((y, i) =>
          shape(
            closedCurve(
              [45 + (i === 3 ? 4 : 0), y - 3.6],
              [60, y - 4.6],
              [75 - (i === 3 ? 4 : 0), y - 3.6],
              [74 - (i === 3 ? 4 : 0), y + 3],
              [60, y + 4],
              [46 + (i === 3 ? 4 : 0), y + 3],
            ),
            'paper',
            'line',
          ),
        ),
      ];
    case 'hollow':
      return [
        ...top,
        shape(outline, 'shade', 'bold'),
        shape(
          closedCurve([48, 18], [60, 16], [72, 18], [74, 36], [68, 56], [60, 62], [52, 56], [46, 36]),
          'paper',
          'line',
        ),
      ];
    default:
      return undefined;
  }
}
