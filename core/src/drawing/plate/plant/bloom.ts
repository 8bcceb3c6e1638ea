import * as flower from '../../flower';
import { arc, curve, ellipse, from, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { mixed, isHex, shaded, washOf } from '../colours';
import { body, boxOfSketches, fromMarks, pen, put, wash, type Sketch, type Subject } from '../sketch';

/** Single flowers, on the end of their stalk at the origin, looking up. */

const RADIAL: Readonly<Record<string, readonly [petals: number, slim: number]>> = {
  'five-petals': [5, 0.5],
  'small-five': [5, 0.44],
  cross: [4, 0.46],
  star: [5, 0.32],
  'six-star': [6, 0.34],
  spider: [8, 0.12],
  'tiny-green': [4, 0.3],
  brush: [11, 0.1],
};
const HANGING: Readonly<Record<string, readonly [wide: number, long: number, mouth: number]>> = {
  bell: [0.42, 0.95, 0.5],
  'six-bell': [0.46, 0.8, 0.5],
  urn: [0.44, 0.8, 0.2],
  thimble: [0.34, 1.15, 0.42],
  tube: [0.2, 1.05, 0.34],
  trumpet: [0.22, 1.25, 0.62],
  goblet: [0.3, 1.2, 0.5],
};

/** A flower so large, mm, from its form and colour; undefined where no form is stated. */
export function flowerOf(one: Subject): ((size: number, small: boolean) => Sketch[]) | undefined {
  const form = one.state('flower.form');
  if (form === undefined) return undefined;
  const fill = washOf(one.colour('flower.colour'), 0.12);
  const radial = RADIAL[form];
  const hanging = HANGING[form];
  return (size, small) => {
    if (radial) return rosette(petalsOf(one, radial[0]), radial[1], size, fill, small);
    if (hanging) return bell(hanging, size, fill);
    if (form === 'daisy') return daisy(size, fill, small);
    const card = fromMarks(flower.form(form), fill);
    if (card.length === 0) return [];
    const { left, right, top, bottom } = boxOfSketches(card);
    const by = (size * 1.3) / Math.max(right - left, bottom - top);
    return put(put(card, { at: [-(left + right) / 2, -bottom] }), { scale: by });
  };
}

const petalsOf = (one: Subject, usual: number): number => {
  const stated = one.size('flower.petals');
  return stated === undefined || stated < 3 || stated > 12 ? usual : Math.round(stated);
};

function rosette(count: number, slim: number, size: number, fill: Fill, small: boolean): Sketch[] {
  const r = size / 2;
  const middle: Point = [0, -r * 0.7];
  const petals = Array.from({ length: count }, (_, i): Line => {
    const turn = -90 + (360 * i) / count;
    const tip = (aside: number, far: number): Point => {
      const [x, y] = from(middle, turn, far * r);
      const [dx, dy] = from([0, 0], turn + 90, aside * r);
      // Seen a little from the side.
      return [x + dx, middle[1] + (y + dy - middle[1]) * 0.86];
    };
    if (small) return [tip(0, 0.1), tip(slim, 0.75), tip(0, 1), tip(-slim, 0.75)];
    return [
      tip(0, 0.1),
      tip(slim * 0.7, 0.45),
      tip(slim, 0.78),
      tip(slim * 0.45, 1),
      tip(0, 0.95),
      tip(-slim * 0.45, 1),
      tip(-slim, 0.78),
      tip(-slim * 0.7, 0.45),
    ];
  });
  return [
    body(petals[0] as Line, fill, { lines: petals, shading: 'none', ink: 'fine' }),
    wash(
      [arc(middle[0], middle[1], r * 0.17, r * 0.17, 0, 315, 7)],
      shaded(isHex(fill) ? mixed(fill, '#d8b23a', 0.5) : '#d8c070'),
    ),
  ];
}

function bell([wide, long, mouth]: readonly [number, number, number], size: number, fill: Fill): Sketch[] {
  const [w, l, m] = [wide * size, long * size, mouth * size];
  const right = curve([0, 0], [w * 0.62, -l * 0.08], [w * 0.96, -l * 0.34], [w * 0.98, -l * 0.66], [m, -l]);
  const hem = curve([m, -l], [m * 0.5, -l * 0.9], [0, -l * 1.04], [-m * 0.5, -l * 0.9], [-m, -l]);
  return [
    body([...right, ...hem.slice(1, -1), ...[...right].reverse().map(([x, y]): Point => [-x, y])], fill, {
      shading: 'none',
      ink: 'line',
    }),
    pen(
      [
        [
          [-w * 0.3, -l * 0.3],
          [-w * 0.34, -l * 0.8],
        ],
        [
          [w * 0.36, -l * 0.3],
          [w * 0.4, -l * 0.8],
        ],
      ],
      'fine',
      { detail: true },
    ),
  ];
}

function daisy(size: number, fill: Fill, small: boolean): Sketch[] {
  const r = size / 2;
  const middle: Point = [0, -r * 0.4];
  const count = small ? 11 : 17;
  const petals = Array.from({ length: count }, (_, i): Line => {
    const turn = (360 * i) / count;
    const p = (aside: number, far: number): Point => {
      const [x, y] = from(middle, turn + aside, far * r);
      return [x, middle[1] + (y - middle[1]) * 0.62];
    };
    return [p(-9, 0.3), p(-8, 0.9), p(0, 1), p(8, 0.9), p(9, 0.3)];
  });
  return [
    body(petals[0] as Line, fill, { lines: petals, shading: 'none', ink: 'fine' }),
    body(ellipse(0, -r * 0.46, r * 0.36, r * 0.3), '#e8c34a', {
      ink: 'fine',
      shading: small ? 'none' : 'round',
    }),
  ];
}
