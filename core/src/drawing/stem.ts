import { strewn } from './fungus';
import { type Line, from, closedCurve, ellipse, arc, type Point, curve } from './geometry';
import { type Mark, shape, dot } from './mark';

export * from './habit';
export * from './leafBase';
export * from './leafFoot';
export * from './leafFoot';
export * from './leafSurface';
export * from './stemBark';
export * from './stemLeaves';
export * from './stemMarks';

export function stemSection(state: string): Mark[] | undefined {
  const ring = (of: (degrees: number) => number): Line =>
    Array.from({ length: 120 }, (_, i) => from([60, 40], i * 3, of(i * 3)));
  const outline: Line | undefined = {
    round: ring(() => 26),
    ribbed: ring((a) => 26 + 1.8 * Math.cos((a * 14 * Math.PI) / 180)),
    angled: ring((a) => 21 + 7 * Math.max(0, Math.cos((a * 5 * Math.PI) / 180)) ** 4),
    square: closedSquare(),
    'two-lined': ring((a) => 23 + 6 * Math.exp(-((Math.min(a % 180, 180 - (a % 180)) / 7) ** 2))),
    winged: ring((a) => 17 + 19 * Math.exp(-((Math.min(a % 180, 180 - (a % 180)) / 9) ** 2))),
    'three-edged': closedCurve(
      [60, 12],
      [66, 20],
      [82, 48],
      [86, 58],
      [76, 60],
      [60, 61],
      [44, 60],
      [34, 58],
      [38, 48],
      [54, 20],
    ),
  }[state];
  return outline && [shape(outline, 'shade', 'bold'), shape(ellipse(60, 40, 9), 'paper', 'faint')];
}

function closedSquare(): Line {
  const corner = (x: number, y: number, from: number): Line => arc(x, y, 5, 5, from, from + 90, 6);
  const bent = (a: Point, b: Point): Line =>
    curve(
      a,
      [
        (a[0] + b[0]) / 2 + (60 - (a[0] + b[0]) / 2) * 0.1,
        (a[1] + b[1]) / 2 + (40 - (a[1] + b[1]) / 2) * 0.1,
      ],
      b,
    );
  return [
    ...corner(41, 21, 180),
    ...bent([41, 16], [79, 16]).slice(1, -1),
    ...corner(79, 21, 270),
    ...bent([84, 21], [84, 59]).slice(1, -1),
    ...corner(79, 59, 0),
    ...bent([79, 64], [41, 64]).slice(1, -1),
    ...corner(41, 59, 90),
    ...bent([36, 59], [36, 21]).slice(1, -1),
  ];
}

export function stemCore(state: string): Mark[] | undefined {
  const body: Line = [...arc(60, 18, 22, 8, 180, 360), [82, 70], ...arc(60, 70, 22, 8, 0, 180)];
  if (state === 'hollow')
    return [
      shape(body),
      shape(ellipse(60, 18, 22, 8), 'paper', 'bold'),
      shape(ellipse(60, 18, 16, 5), 'ink', 'fine'),
    ];
  if (state === 'solid')
    return [
      shape(body),
      shape(ellipse(60, 18, 22, 8), 'shade', 'bold'),
      ...strewn(ellipse(60, 18, 18, 5.6), 3.4, 2).map(([x, y]) => dot(x, y, 0.8)),
    ];
  return undefined;
}
