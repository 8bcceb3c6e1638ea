import { along, from, type Line, type Point } from '../../geometry';
import type { Fill } from '../../mark';
import { washOf } from '../colours';
import { body, merged, pen, put, type Sketch, type Subject } from '../sketch';
import { bent, bladeOf, formOf, type BladeForm } from './blade';
import { footOf, stalkOf, stalkShare } from './leafBase';

/** Whole leaves, of however many parts. */

export interface Leaf {
  /** One leaf so long, mm, the foot of its stalk at the origin, tip up. */
  readonly draw: (long: number, bend: number) => Sketch[];
  readonly fill: Fill;
}

/** How a leaf of it looks; undefined where neither outline nor division is stated. */
export function leafOf(one: Subject): Leaf | undefined {
  const fill = washOf(one.colour('leaf.colour'), 0.34);
  const division = one.state('leaf.division');
  const outline = one.state('leaf.outline');
  if (outline === 'scale') return undefined;
  if (outline === 'fine-segments' && division !== 'multipinnate')
    return { fill, draw: FANNED.has(division ?? '') ? fannedThreads : threads };
  const make = DIVISIONS[division ?? ''];
  if (make) {
    const form = formOf(one, fill, 'ovate');
    return form && { fill, draw: (long, bend) => make({ one, long, bend, form }) };
  }
  const form = formOf(one, fill);
  if (!form) return undefined;
  const lobed =
    division === 'lobed'
      ? {
          ...form,
          margin: 'cut' as const,
          outline: { ...form.outline, ratio: Math.min(form.outline.ratio, 1.6) },
        }
      : form;
  return {
    fill,
    draw: (long, bend) => {
      const stalk = long * stalkShare(one);
      return [
        ...footOf(one, long, fill),
        ...stalkOf(one, stalk, fill),
        ...put(bladeOf(lobed, long - stalk, bend), { at: [0, -stalk] }),
      ];
    },
  };
}

interface Made {
  readonly one: Subject;
  readonly long: number;
  readonly bend: number;
  readonly form: BladeForm;
}

const axisOf = (long: number, bend: number): Line =>
  bent(
    Array.from({ length: 15 }, (_, i): Point => [0, -(long * i) / 14]),
    long,
    bend,
  );
const upright = (heading: number) => heading + 90;

function pinnate({ one, long, bend, form }: Made): Sketch[] {
  const count = Math.max(3, Math.min(17, Math.round(one.size('leaf.segments') ?? 7)));
  const pairs = Math.max(1, Math.floor((count - 1) / 2));
  const axis = axisOf(long * 0.84, bend);
  const size = Math.min(long * 0.36, Math.max(long * 0.12, one.size('leaflet.length') ?? long * 0.24));
  // Many leaflets are too small for more than their middle vein.
  const whole = bladeOf(form, size);
  const drawn = pairs > 3 ? whole.filter((sketch) => !sketch.detail) : whole;
  const leaflet = (share: number, turn: number, scale: number): Sketch[] => {
    const { at, heading } = along(axis, share);
    return put(drawn, { at, turn: upright(heading) + turn, scale });
  };
  return [
    pen([axis], 'line'),
    ...merged([
      ...Array.from({ length: pairs }, (_, i) => {
        const share = 0.3 + (0.62 * i) / Math.max(1, pairs - 0.4);
        const scale = 1 - 0.25 * Math.abs(i / pairs - 0.4);
        return [leaflet(share, -66, scale), leaflet(share, 66, scale)];
      }).flat(),
      leaflet(1, 0, 1),
    ]),
  ];
}

const fan =
  (turns: readonly number[], sizes: readonly number[], stalk: number) =>
  ({ long, bend, form }: Made): Sketch[] => {
    const axis = axisOf(long * stalk, bend * 0.5);
    const { at, heading } = along(axis, 1);
    return [
      pen([axis], 'bold'),
      ...turns.flatMap((turn, i) =>
        put(bladeOf(form, long * (sizes[i] ?? 0.4)), { at, turn: upright(heading) + turn }),
      ),
    ];
  };

function biternate(made: Made): Sketch[] {
  const { long, bend } = made;
  const axis = axisOf(long * 0.44, bend * 0.5);
  const { at, heading } = along(axis, 1);
  const three = fan([-58, 58, 0], [0.5, 0.5, 0.62], 0.3);
  return [
    pen([axis], 'bold'),
    ...[-64, 64, 0].flatMap((turn, i) =>
      put(three({ ...made, long: long * (i === 2 ? 0.56 : 0.5), bend: 0 }), {
        at,
        turn: upright(heading) + turn,
      }),
    ),
  ];
}

/** Divided again and again: many small cut segments, as two things to draw. */
function multipinnate({ long, bend, form }: Made): Sketch[] {
  const axis = axisOf(long * 0.94, bend);
  const stalks: Line[] = [axis];
  const segments: Line[] = [];
  const pairs = 6;
  for (let i = 0; i < pairs; i += 1) {
    const share = 0.28 + (0.64 * i) / (pairs - 1);
    const base = along(axis, share);
    for (const side of [-1, 1]) {
      const reach = long * 0.34 * (1 - 0.86 * (i / pairs) ** 1.15);
      const tip = from(base.at, base.heading + side * 58, reach);
      const branch: Line = [
        base.at,
        [(base.at[0] + tip[0]) / 2, (base.at[1] + tip[1]) / 2 - reach * 0.04],
        tip,
      ];
      stalks.push(branch);
      const cuts = Math.max(2, 5 - Math.floor(i / 2));
      for (let k = 0; k < cuts; k += 1) {
        const on = along(branch, 0.22 + (0.7 * k) / cuts);
        const size = reach * 0.3 * (1 - 0.5 * (k / cuts)) + long * 0.012;
        for (const s of [-1, 1]) segments.push(segment(on.at, on.heading + s * 52, size));
      }
      segments.push(segment(tip, base.heading + side * 58, reach * 0.2 + long * 0.01));
    }
  }
  segments.push(segment(along(axis, 1).at, along(axis, 1).heading, long * 0.06));
  return [
    body(segments[0] as Line, form.fill, { lines: segments, shading: 'none', ink: 'fine' }),
    pen(stalks, 'fine'),
  ];
}

/** A small segment with three points. */
function segment(at: Point, heading: number, size: number): Line {
  const p = (turn: number, far: number) => from(at, heading + turn, size * far);
  return [at, p(-38, 0.5), p(-28, 0.86), p(-14, 0.66), p(0, 1.1), p(14, 0.66), p(28, 0.86), p(38, 0.5)];
}

const FANNED: ReadonlySet<string> = new Set(['palmate', 'lobed', 'ternate']);

/** Threads that part from the end of the stalk, like the fingers of a hand. */
function fannedThreads(long: number): Sketch[] {
  const at: Point = [0, -long * 0.4];
  const finger = threads(long * 0.54);
  return [
    pen([[[0, 0], at]], 'bold'),
    ...[-92, -46, 0, 46, 92].flatMap((turn) => put(finger, { at, turn, scale: turn === 0 ? 1 : 0.86 })),
  ];
}

/** Nothing but threads, on both sides of a middle one. */
function threads(long: number): Sketch[] {
  const axis = axisOf(long, 8);
  const lines: Line[] = [axis];
  for (let i = 0; i < 9; i += 1) {
    const { at, heading } = along(axis, 0.14 + i * 0.09);
    for (const side of [-1, 1]) {
      const reach = long * 0.24 * (1 - i * 0.07);
      const tip = from(at, heading + side * 48, reach);
      lines.push([at, tip]);
      for (const share of [0.35, 0.62]) {
        const on = along([at, tip], share);
        for (const s of [-1, 1]) lines.push([on.at, from(on.at, on.heading + s * 40, reach * 0.36)]);
      }
    }
  }
  return [pen(lines, 'line')];
}

const DIVISIONS: Readonly<Record<string, (made: Made) => Sketch[]>> = {
  ternate: fan([-62, 62, 0], [0.46, 0.46, 0.54], 0.46),
  biternate,
  pinnate,
  palmate: fan([-104, 104, -52, 52, 0], [0.36, 0.36, 0.5, 0.5, 0.56], 0.42),
  multipinnate,
};
