import { curve, mirrored, type Line, type Point } from '../../geometry';
import {
  bladeOutline,
  halfWidth,
  isMargin,
  OUTLINES,
  veins,
  type Margin,
  type Outline,
  type Venation,
} from '../../leaf';
import type { Fill } from '../../mark';
import { lit, shaded } from '../colours';
import { body, pen, wash, type Sketch, type Subject } from '../sketch';

/** A single blade, or one leaflet. */
export interface BladeForm {
  readonly outline: Outline;
  readonly margin: Margin;
  readonly venation: Venation;
  readonly foot: string | undefined;
  readonly fill: Fill;
  readonly glossy: boolean;
}

/** Teeth are drawn for a blade of so many units, and grow with it. */
const UNITS = 60;
/** How a foot begins: what it makes of the outline of a blade. */
const BEGINS: Readonly<Record<string, number>> = {
  wedge: 1.05,
  rounded: 0.45,
  heart: 0.36,
  'arrow-lobes': 0.4,
  uneven: 0.55,
};

/** The form of a blade; undefined where no outline is stated. */
export function formOf(one: Subject, fill: Fill, fallback?: keyof typeof OUTLINES): BladeForm | undefined {
  const state = one.state('leaf.outline');
  const stated = (OUTLINES as Readonly<Record<string, Outline | undefined>>)[
    state === 'arrow' ? 'ovate' : (state ?? '')
  ];
  const outline = stated ?? (fallback && OUTLINES[fallback]);
  if (!outline) return undefined;
  const foot =
    state === 'arrow'
      ? 'arrow-lobes'
      : state === 'round'
        ? (one.state('leaf.foot') ?? 'heart')
        : one.state('leaf.foot');
  const margin = one.state('leaf.margin');
  const narrow = state === 'needle' || state === 'linear';
  const base = narrow ? undefined : BEGINS[foot ?? ''];
  return {
    outline: base === undefined ? outline : { ...outline, base: (base + outline.base) / 2 },
    margin: isMargin(margin) ? margin : 'entire',
    venation: state === 'needle' ? 'one' : ((one.state('leaf.venation') ?? 'one') as Venation),
    foot: narrow ? undefined : foot,
    fill,
    glossy: one.state('leaf.sheen') === 'glossy',
  };
}

/** A blade so long, its foot at the origin, tip up, bent to one side by so many degrees from foot to tip. */
export function bladeOf(form: BladeForm, long: number, bend = 0): Sketch[] {
  const by = long / UNITS;
  const place = (line: Line): Line => bent(line, UNITS, bend).map(([x, y]): Point => [x * by, y * by]);
  const outline = footed(bladeOutline(form.outline, UNITS, form.margin), form);
  const lines = veins(form.outline, UNITS, form.venation);
  const [middle, ...side] = lines.map(place);
  return [
    body(place(outline), form.fill, { shading: 'none' }),
    wash([place(shadow(form.outline))], shaded(form.fill), { detail: true }),
    ...(form.glossy ? [wash([place(glint(form.outline))], lit(lit(form.fill)), { detail: true })] : []),
    ...(form.margin === 'rolled'
      ? [pen([place(inner(form.outline)), place(mirrored(inner(form.outline)))], 'line', { detail: true })]
      : []),
    ...(middle ? [pen([middle], 'line')] : []),
    pen(side, 'fine', { detail: true }),
  ];
}

/** Bent along its length like a blade that hangs over. */
export function bent(line: Line, long: number, degrees: number): Line {
  if (Math.abs(degrees) < 0.5) return line;
  const k = (degrees * Math.PI) / 180 / long;
  return line.map(([x, y]): Point => {
    const a = -y * k;
    // The midrib is an arc; what lies beside it stays square to it.
    return [(1 - Math.cos(a)) / k + x * Math.cos(a), -Math.sin(a) / k + x * Math.sin(a)];
  });
}

/** What the foot of a blade makes of its outline. */
function footed(outline: Line, { foot, outline: { ratio } }: BladeForm): Line {
  const w = UNITS / ratio / 2;
  if (foot === 'uneven')
    return outline.map(([x, y]): Point => (x < 0 ? [x, y * 0.9 - UNITS * 0.1 * (1 + y / UNITS)] : [x, y]));
  if (foot !== 'heart' && foot !== 'arrow-lobes') return outline;
  const cut = 0.16;
  const body = outline.filter(([, y]) => -y / UNITS >= cut);
  const right = body.filter(([x]) => x >= 0);
  const [edge] = right;
  if (!edge) return outline;
  const lobe =
    foot === 'heart'
      ? curve(
          [0, 0],
          [w * 0.22, UNITS * 0.07],
          [w * 0.66, UNITS * 0.06],
          [Math.max(w * 0.9, edge[0]), -UNITS * 0.06],
          edge,
        )
      : curve(
          [0, 0],
          [w * 0.4, UNITS * 0.08],
          [w * 1.05, UNITS * 0.2],
          [w * 0.98, UNITS * 0.05],
          [edge[0], edge[1]],
        );
  return [...lobe.slice(0, -1), ...body, ...[...mirrored(lobe)].reverse().slice(1)];
}

const inner = (outline: Outline): Line =>
  Array.from({ length: 13 }, (_, i) => {
    const t = 0.08 + (0.84 * i) / 12;
    return [(UNITS / outline.ratio / 2) * halfWidth(outline, t) * 0.82, -UNITS * t];
  });

/** The half of a blade that is turned away from the light. */
const shadow = (outline: Outline): Line => [
  [0, -2],
  ...Array.from({ length: 17 }, (_, i): Point => {
    const t = 0.06 + (0.86 * i) / 16;
    return [(UNITS / outline.ratio / 2) * halfWidth(outline, t) * 0.9, -UNITS * t];
  }),
  [0, -UNITS * 0.95],
];

const glint = (outline: Outline): Line => {
  const side = (t: number, share: number): Point => [
    -(UNITS / outline.ratio / 2) * halfWidth(outline, t) * share,
    -UNITS * t,
  ];
  return [side(0.3, 0.3), side(0.5, 0.22), side(0.7, 0.3), side(0.62, 0.62), side(0.45, 0.66)];
};
