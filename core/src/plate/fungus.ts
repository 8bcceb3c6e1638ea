import { along, arc, closedCurve, curve, ellipse, inside, mirrored, moved, seeded, type Line, type Point } from './geometry';
import { dot, placed, segment, shape, stroke, strokes, type Fill, type Ink, type Mark } from './mark';

/** All fungi are drawn about an upright at x = 60, the ground at y = 74. */
const MIDDLE = 60;
export const GROUND = 74;

/** Mirrors the left half of a line that ends on the middle, so that the whole runs from left to right. */
function whole(left: Line): Line {
  return [...left, ...[...mirrored(left, MIDDLE)].reverse().slice(1)];
}
const both = (marks: readonly Mark[]): Mark[] => [...marks, ...marks.map((mark) => ({ ...mark, line: mirrored(mark.line, MIDDLE) }))];

type Profile = { readonly over: Line; readonly under: Line };

const CONVEX: Profile = { over: [[26, 40], [30, 26], [42, 16], [60, 12]], under: [[26, 40], [42, 44], [60, 44]] };

/** Left halves of caps, in side view: over the top from the rim, and underneath from the rim to the stem. */
const CAPS: Readonly<Record<string, Profile>> = {
  conical: { over: [[32, 42], [42, 27], [52, 13], [60, 8]], under: [[32, 42], [46, 44], [60, 44]] },
  umbonate: { over: [[24, 40], [32, 30], [45, 26], [52, 18], [60, 15]], under: [[24, 40], [42, 43], [60, 43]] },
  convex: CONVEX,
  flat: { over: [[20, 36], [24, 29], [40, 27], [60, 27]], under: [[20, 36], [40, 39], [60, 39]] },
  funnel: { over: [[22, 22], [30, 20], [46, 29], [60, 33]], under: [[22, 22], [40, 38], [52, 54], [60, 58]] },
  irregular: { over: [[18, 34], [24, 24], [36, 28], [46, 20], [60, 22]], under: [[18, 34], [30, 38], [44, 36], [60, 42]] },
  bell: { over: [[38, 48], [36, 30], [45, 13], [60, 8]], under: [[38, 48], [48, 51], [60, 51]] },
  globe: { over: [[34, 38], [38, 20], [48, 11], [60, 9]], under: [[34, 38], [38, 54], [50, 64], [60, 66]] },
  cylinder: { over: [[44, 56], [43, 30], [46, 12], [60, 6]], under: [[44, 56], [52, 58], [60, 58]] },
};

export function capOutline(name: string): { readonly outline: Line; readonly over: Line; readonly under: Line } {
  const { over, under } = CAPS[name] ?? CONVEX;
  const top = whole(curve(...over));
  const below = whole(curve(...under));
  return { outline: [...top, ...[...below].reverse().slice(1, -1)], over: top, under: below };
}

/** A stem in side view from this height down, half as wide as told at the top and at the foot. */
function stemOutline(top: number, half: number, foot = half, ground = GROUND): Line {
  const left = curve([MIDDLE - half, top], [MIDDLE - (half + foot) / 2, (top + ground) / 2], [MIDDLE - foot, ground]);
  return [...left, ...[...mirrored(left, MIDDLE)].reverse()];
}

export function stem(top: number, half = 6, foot = half, ink: Ink = 'line'): Mark {
  return shape(stemOutline(top, half, foot), 'paper', ink);
}

/** A cap over a stem, as most fungi are built; the cap is drawn over the stem. */
export function mushroom(cap = 'convex', ink: Ink = 'line', half = 6): Mark[] {
  const { outline } = capOutline(cap);
  return [stem(36, half, half * 1.15, ink), shape(outline, 'paper', ink)];
}

const RIM = { cx: MIDDLE, cy: 36, rx: 42, ry: 15 };

/** Seen a little from below: dome, face and stem; what is on the face comes between. */
export function fromBelow(onFace: readonly Mark[], ink: Ink = 'faint'): Mark[] {
  const dome: Line = [...arc(RIM.cx, RIM.cy, RIM.rx, 27, 180, 360), ...arc(RIM.cx, RIM.cy, RIM.rx, RIM.ry, 0, 180)];
  return [
    shape(dome, 'paper', ink), shape(ellipse(RIM.cx, RIM.cy, RIM.rx, RIM.ry), 'paper', ink === 'faint' ? 'fine' : ink), ...onFace,
    shape([...curve([54, 38], [54, 58], [53, GROUND]), ...[...curve([66, 38], [66, 58], [67, GROUND])].reverse()], 'paper', ink === 'faint' ? 'fine' : ink),
  ];
}

const onRim = (degrees: number, share = 1): Point => [RIM.cx + RIM.rx * share * Math.cos((degrees * Math.PI) / 180), RIM.cy + RIM.ry * share * Math.sin((degrees * Math.PI) / 180)];
const radial = (count: number, to = 0.97, start = count > 40 ? 0.42 : 0.24): Line[] => Array.from({ length: count }, (_, i) => [onRim((360 * i) / count, start), onRim((360 * i) / count, to)]);

/** Points strewn over an outline, never two too close, the same for the same seed. */
export function strewn(outline: Line, apart: number, seed: number, most = 200): Point[] {
  const next = seeded(seed);
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const points: Point[] = [];
  for (let tries = 0; tries < 1500 && points.length < most; tries += 1) {
    const p: Point = [left + (right - left) * next(), top + (bottom - top) * next()];
    if (inside(p, outline) && points.every(([x, y]) => Math.hypot(x - p[0], y - p[1]) >= apart)) points.push(p);
  }
  return points;
}

const shrunk = (outline: Line, share: number): Line => {
  const cx = outline.reduce((sum, [x]) => sum + x, 0) / outline.length;
  const cy = outline.reduce((sum, [, y]) => sum + y, 0) / outline.length;
  return outline.map(([x, y]) => [cx + (x - cx) * share, cy + (y - cy) * share]);
};

/** A chanterelle's build: cap and stem in one, like a vase. */
const VASE_LEFT = curve([20, 24], [34, 36], [46, 50], [52, 62], [53, GROUND]);
const vase = (): Mark => shape([...whole(curve([20, 24], [30, 16], [44, 22], [60, 20])), ...[...mirrored(VASE_LEFT, MIDDLE)].slice(1), ...[...VASE_LEFT].reverse().slice(0, -1)], 'paper');

function honeycomb(head: Line, seed: number): Mark[] {
  return strewn(shrunk(head, 0.86), 8.5, seed, 30).map(([x, y], i) => shape(closedCurve([x - 3.2, y - 1], [x - 0.5, y - 4 + (i % 2)], [x + 3, y - 1.5], [x + 2.5, y + 3], [x - 2, y + 3.4]), 'shade', 'fine'));
}
const HEAD = closedCurve([60, 6], [74, 14], [80, 30], [74, 44], [60, 48], [46, 44], [40, 30], [46, 14]);
const BRAIN = closedCurve([36, 40], [30, 28], [38, 16], [50, 18], [60, 10], [72, 16], [84, 18], [90, 30], [82, 42], [70, 40], [60, 46], [48, 42]);
const brainFolds = (): Mark[] => strokes([
  curve([40, 34], [38, 26], [46, 22], [50, 28], [46, 34]), curve([52, 38], [56, 30], [54, 22], [62, 18]), curve([60, 40], [66, 34], [62, 26], [70, 22], [74, 28]),
  curve([72, 38], [78, 34], [76, 26], [82, 24]), curve([84, 34], [86, 30], [84, 26]), curve([42, 40], [48, 37]),
], 'line');

export function hymenophore(state: string): Mark[] | undefined {
  switch (state) {
    case 'ridges': return [vase(), ...both(strokes([curve([28, 30], [42, 44], [52, 62], [56, 72]), curve([38, 26], [47, 40], [54, 58], [57, 70]), curve([50, 25], [54, 42], [58, 62])])), ...strokes([curve([33, 25], [38, 32], [46, 44]), curve([44, 24], [48, 32], [52, 44]), curve([78, 25], [74, 34], [70, 46])]), stroke(curve([60, 26], [60, 44], [60, 62]), 'fine')];
    case 'gills': return fromBelow(strokes(radial(44)), 'line');
    case 'pores': return fromBelow(strewn(shrunk(ellipse(RIM.cx, RIM.cy, RIM.rx, RIM.ry), 0.93), 3.6, 5).map(([x, y]) => dot(x, y, 0.85)), 'line');
    case 'spines': return [...fromBelow([], 'line').slice(0, 2), ...[0.9, 0.62, 0.36].flatMap((share) => Array.from({ length: Math.round(26 * share) }, (_, i): Mark => {
      const [x, y] = onRim(8 + (164 * i) / (Math.round(26 * share) - 1), share);
      return shape([[x - 1.2, y], [x, y + 7.5], [x + 1.2, y]], 'paper', 'fine');
    })), ...fromBelow([], 'line').slice(2)];
    case 'smooth': return [vase(), ...both(strokes([curve([36, 34], [46, 46], [52, 58]), curve([48, 32], [53, 42])], 'faint'))];
    case 'pits': return [shape(stemOutline(44, 7, 9), 'paper'), shape(HEAD), ...honeycomb(HEAD, 11)];
    case 'ball': return [shape(closedCurve([60, 10], [84, 20], [90, 42], [78, 62], [60, 68], [42, 62], [30, 42], [36, 20])), ...ground(), ...strokes([curve([52, 68], [54, 72]), curve([68, 68], [66, 72])])];
    case 'folds': return [shape(stemOutline(38, 8, 10), 'paper'), shape(BRAIN), ...brainFolds()];
    default: return undefined;
  }
}

/** The earth that it stands on. */
export function ground(y = GROUND): Mark[] {
  return [stroke(curve([16, y], [38, y - 1], [60, y], [84, y + 1], [104, y]), 'faint')];
}

/** A block of flesh with gills hanging from it, and what a thumbnail does to them. */
export function bond(state: string): Mark[] | undefined {
  const flesh: Line = [[18, 14], [102, 14], [102, 30], [18, 30]];
  const lamella = (x: number, top = 30, long = 22): Mark => shape(closedCurve([x - 2, top], [x + 2, top], [x + 1.2, top + long], [x - 1.2, top + long]), 'paper', 'fine');
  const xs = [24, 33, 42, 51, 60, 69, 78, 87, 96];
  switch (state) {
    case 'inseparable': return [shape(closedCurve([18, 14], [60, 13], [102, 14], [102, 34], [94, 48], [88, 34], [76, 48], [68, 34], [58, 48], [50, 34], [40, 48], [32, 34], [24, 46], [18, 34]), 'paper')];
    case 'separates': return [shape(flesh), ...placed([shape([[18, 30], [102, 30], [102, 33], [18, 33]], 'shade', 'fine'), ...xs.map((x) => lamella(x, 33, 18))], { turn: 9, at: [6, 0] })];
    case 'crumbles': return [shape(flesh), ...xs.slice(0, 5).map((x) => lamella(x, 30, 16)), ...([[66, 48], [73, 56], [82, 50], [88, 62], [76, 66], [95, 56], [66, 62]] as const).map(([x, y], i) => shape(closedCurve([x - 3, y], [x, y - 2.5], [x + 3, y + (i % 2)], [x, y + 2.5]), 'paper', 'fine'))];
    case 'tears': return [shape(flesh), ...xs.filter((x) => x !== 60).map((x) => lamella(x)), shape([...curve([58, 30], [59, 42], [66, 54], [78, 60]), ...[...curve([62, 30], [63, 40], [69, 50], [79, 56])].reverse()], 'shade', 'line')];
    default: return undefined;
  }
}

/** Half of a cap cut through, its gill in full, and the stem on the left. */
export function attachment(state: string): Mark[] | undefined {
  const flesh: Line = [...curve([20, 22], [50, 10], [84, 20], [104, 42]), ...curve([98, 42], [78, 30], [46, 28])];
  const inner: Readonly<Record<string, Line>> = {
    decurrent: curve([46, 28], [46, 62], [52, 56], [70, 46], [99, 42]),
    adnate: curve([46, 28], [46, 47], [66, 48], [99, 42]),
    notched: curve([46, 28], [46, 36], [50, 33], [56, 44], [66, 48], [99, 42]),
    free: curve([54, 28], [52, 36], [58, 46], [68, 48], [99, 42]),
    remote: curve([68, 30], [66, 40], [72, 48], [80, 48], [99, 42]),
  };
  const gill = inner[state];
  if (!gill) return undefined;
  return [
    shape([[20, 22], [20, GROUND], [46, GROUND], [46, 28], ...curve([46, 28], [36, 18], [20, 22]).slice(1)], 'paper', 'line'), shape(flesh, 'paper'),
    shape([...gill, ...curve([98, 42], [78, 31], state === 'remote' ? [68, 30] : state === 'free' ? [54, 28] : [46, 28])], 'shade', 'bold'),
    ...(state === 'remote' ? [stroke(curve([48, 28], [56, 33], [66, 30]), 'line')] : []),
  ];
}

/** A piece of the underside seen straight on, lines running from the stem at the bottom to the rim at the top. */
export function branching(state: string): Mark[] | undefined {
  const sector: Line = [...arc(MIDDLE, 96, 86, 86, -130, -50), ...[...arc(MIDDLE, 96, 26, 26, -130, -50)].reverse()];
  const at = (degrees: number, r: number): Point => [MIDDLE + r * Math.cos((degrees * Math.PI) / 180), 96 + r * Math.sin((degrees * Math.PI) / 180)];
  const angles = [-124, -112, -100, -90, -80, -68, -56];
  const plain = angles.map((a): Line => [at(a, 27), at(a, 85)]);
  const forks = angles.flatMap((a): Line[] => [[at(a, 27), at(a, 48)], [at(a, 48), at(a - 3.5, 85)], [at(a, 48), at(a + 3.5, 85)], [at(a + 2, 66), at(a + 0.5, 85)]]);
  const lines = state === 'unbranched' ? plain : state === 'forked' || state === 'cross-veined' ? forks : undefined;
  if (!lines) return undefined;
  const cross = state === 'cross-veined' ? angles.slice(0, -1).flatMap((a, i): Line[] => [[at(a + 1, 42 + (i % 3) * 3), at((angles[i + 1] ?? a) - 1, 45 + (i % 2) * 3)], [at(a + 2.6, 60 + (i % 2) * 4), at((angles[i + 1] ?? a) - 2.4, 58 + (i % 3) * 3)], [at(a + 3, 74), at((angles[i + 1] ?? a) - 3, 76 - (i % 2) * 3)]]) : [];
  return [shape(sector, 'paper', 'faint'), ...strokes(lines, 'line'), ...strokes(cross, 'fine')];
}

export function spacing(state: string): Mark[] | undefined {
  const count = { crowded: 68, medium: 34, distant: 15 }[state];
  return count === undefined ? undefined : fromBelow(strokes(radial(count), count > 40 ? 'fine' : 'line'));
}

/** The underside with a fingertip's print on it, as it was or changed. */
export function pressed(fill: Fill): Mark[] {
  const lines = strokes(radial(40), 'faint');
  return fromBelow([...lines, fill === 'none' ? { ...shape(ellipse(84, 40, 9, 5.5), 'none', 'fine') } : shape(ellipse(84, 40, 9, 5.5), fill, 'line')], 'fine');
}

export function capShape(state: string): Mark[] | undefined {
  const foot = (top: number, half = 6): Mark => shape(stemOutline(top, half, half), 'paper', 'faint');
  switch (state) {
    case 'globe': return [shape(capOutline('globe').outline, 'paper', 'bold'), ...ground()];
    case 'honeycomb': return [foot(44, 7), shape(HEAD, 'paper', 'bold'), ...honeycomb(HEAD, 11)];
    case 'brain': return [foot(38, 8), shape(BRAIN, 'paper', 'bold'), ...brainFolds()];
    case 'thimble': return [foot(26), shape([...curve([46, 44], [44, 26], [50, 14], [60, 11]), ...mirrored([...curve([46, 44], [44, 26], [50, 14], [60, 11])].reverse(), MIDDLE).slice(1), ...curve([74, 44], [60, 47], [46, 44]).slice(1, -1)], 'paper', 'bold'), ...strokes([curve([52, 42], [51, 30], [54, 20]), curve([58, 44], [60, 32], [58, 18]), curve([66, 43], [68, 30], [65, 20])])];
    case 'fan': return [stroke([[14, 8], [14, 74]], 'faint'), shape(closedCurve([16, 40], [34, 26], [66, 18], [98, 28], [106, 42], [92, 52], [58, 52], [30, 50]), 'paper', 'bold'), ...strokes([curve([26, 46], [60, 48], [96, 46]), curve([24, 44], [60, 44], [102, 42])], 'faint')];
    case 'trumpet': return [shape([...whole(curve([24, 14], [40, 10], [60, 12])), ...curve([96, 14], [78, 26], [68, 48], [64, GROUND]).slice(1), ...curve([56, GROUND], [52, 48], [42, 26], [24, 14]).slice(0, -1)], 'paper', 'bold'), shape(ellipse(MIDDLE, 15, 28, 4.5), 'ink', 'fine')];
    case 'funnel': return [shape(stemOutline(50, 6, 6), 'paper', 'faint'), shape(capOutline('funnel').outline, 'paper', 'bold')];
    default: {
      if (!(state in CAPS)) return undefined;
      const { outline } = capOutline(state);
      return [foot(36), shape(outline, 'paper', 'bold')];
    }
  }
}

/** The rim seen a little from below, with the dome above it. */
export function capMargin(state: string): Mark[] | undefined {
  const dome = (rim: Line): Mark => shape([...curve([20, 50], [26, 26], [60, 12], [94, 26], [100, 50]), ...[...rim].reverse()], 'paper', 'line');
  const even = curve([20, 50], [40, 58], [60, 60], [80, 58], [100, 50]);
  const foot = shape([...curve([53, 50], [53, GROUND]), ...curve([67, GROUND], [67, 50])], 'paper', 'faint');
  switch (state) {
    case 'inrolled': return [shape([[53, 34], [67, 34], [67, GROUND], [53, GROUND]], 'paper', 'faint'), ...both([stroke(curve([34, 50], [38, 55], [34, 61], [25, 60], [19, 50], [24, 34], [40, 20], [60, 15]), 'bold'), stroke(curve([31, 49], [35, 44], [44, 38], [53, 36]), 'fine')])];
    case 'wavy': return [foot, { ...dome(curve([20, 50], [28, 60], [38, 52], [48, 63], [60, 54], [72, 63], [82, 52], [92, 60], [100, 50])), ink: 'bold' }];
    case 'even': return [foot, dome(even), stroke(even, 'bold')];
    case 'fringed': return [foot, dome(even), ...Array.from({ length: 11 }, (_, i) => {
      const { at: [x, y] } = along(even, (i + 0.5) / 11);
      return shape([[x - 3.4, y - 1], [x - 2, y + 6 + (i % 3) * 2], [x + 1, y + 4], [x + 3.2, y - 1]], 'paper', 'line');
    })];
    case 'lined': return [foot, dome(even), ...Array.from({ length: 21 }, (_, i) => {
      const { at: [x, y] } = along(even, (i + 0.5) / 21);
      return stroke([[x, y - 1], [x - (x - MIDDLE) * 0.09, y - 12]], 'line');
    })];
    case 'splitting': return [foot, dome(even), ...[0.14, 0.38, 0.6, 0.84].map((share) => {
      const { at: [x, y] } = along(even, share);
      return shape([[x - 2.6, y + 0.6], [x - (x - MIDDLE) * 0.12, y - 18], [x + 2.6, y + 0.6]], 'ink', 'fine');
    })];
    default: return undefined;
  }
}

const DOME = [...curve([16, 56], [20, 34], [36, 18], [60, 13], [84, 18], [100, 34], [104, 56]), ...curve([104, 56], [84, 62], [60, 64], [36, 62], [16, 56]).slice(1, -1)];

export function capSurface(state: string): Mark[] | undefined {
  const dome = shape(DOME);
  const over = (apart: number, seed: number, most?: number) => strewn(shrunk(DOME, 0.9), apart, seed, most);
  const outwards = ([x]: Point) => (x - MIDDLE) / 44;
  switch (state) {
    case 'smooth-dry': return [dome, ...strokes([curve([34, 30], [46, 23], [58, 21])], 'faint')];
    case 'greasy': return [dome, shape(closedCurve([32, 34], [44, 24], [58, 21], [56, 25], [44, 30], [36, 38]), 'shade', 'none'), stroke(curve([74, 24], [84, 30], [90, 38]), 'fine')];
    case 'felty': return [dome, ...over(4.2, 3).map(([x, y]) => stroke([[x, y], [x + 0.5, y - 1.9]], 'fine'))];
    case 'fibrillose': return [dome, ...over(6, 4).map((p) => stroke([p, [p[0] + outwards(p) * 7, p[1] + 6 - Math.abs(outwards(p)) * 2]], 'fine'))];
    case 'slimy': return [dome, shape(closedCurve([32, 34], [44, 24], [58, 21], [56, 25], [44, 30], [36, 38]), 'shade', 'none'), ...[30, 52, 76, 94].map((x, i) => shape(closedCurve([x, 57 + (i % 2) * 3], [x + 2.4, 66 + (i % 2) * 4], [x, 70 + (i % 2) * 4], [x - 2.4, 66 + (i % 2) * 4]), 'paper', 'line'))];
    case 'scaly': return [dome, ...over(8, 6).map(([x, y]) => stroke([[x - 2.4, y], [x, y + 2.6], [x + 2.4, y]], 'line'))];
    case 'warts': return [dome, ...over(12, 8).map(([x, y], i) => shape(closedCurve([x - 3.4, y], [x - 1, y - 2.6 - (i % 2)], [x + 3, y - 1], [x + 2.4, y + 2.4], [x - 2, y + 2.6]), 'shade', 'line'))];
    case 'soft-spines': return [dome, ...over(7, 9).map(([x, y]) => shape([[x - 1.8, y + 1.6], [x, y - 3.4], [x + 1.8, y + 1.6]], 'paper', 'fine'))];
    case 'cracked': return [dome, ...strokes([
      curve([24, 44], [36, 40], [42, 30], [56, 32]), curve([42, 30], [40, 20]), curve([56, 32], [66, 24], [64, 14]), curve([66, 24], [82, 30], [86, 20]), curve([82, 30], [86, 42], [102, 44]),
      curve([36, 40], [44, 50], [38, 61]), curve([44, 50], [58, 46], [56, 32]), curve([58, 46], [70, 52], [86, 42]), curve([70, 52], [68, 63]), curve([24, 44], [22, 56]), curve([86, 42], [92, 52], [88, 60]),
    ], 'line')];
    case 'plates': return [dome, shape(ellipse(60, 19, 11, 5), 'shade', 'line'), ...[[40, 30], [60, 32], [80, 30], [28, 44], [50, 46], [72, 46], [93, 44], [38, 57], [62, 58], [84, 57]].map(([x = 0, y = 0]) => shape(closedCurve([x - 6.5, y - 2], [x, y - 4], [x + 6.5, y - 2], [x + 4, y + 3], [x, y + 4.4], [x - 4, y + 3]), 'shade', 'line'))];
    default: return undefined;
  }
}

export function texture(state: string): Mark[] | undefined {
  const half = (side: 1 | -1, gap: number, edge: Line): Mark => shape([[MIDDLE + side * (gap + 15), 6], [MIDDLE + side * (gap + 15), GROUND], ...(side === 1 ? moved(mirrored(edge, MIDDLE), gap, 0) : moved(edge, -gap, 0))], 'paper', 'line');
  switch (state) {
    case 'stringy': return [half(-1, 10, [[60, 74], [60, 6]]), half(1, 10, [[60, 74], [60, 6]]), ...[16, 26, 36, 46, 56, 66].map((y, i) => stroke(curve([50, y], [60, y + (i % 2 ? 4 : 2)], [70, y + (i % 2 ? -3 : 4)]), 'fine')), ...strokes([segment(42, 8, 42, 72), segment(46, 8, 46, 72), segment(74, 8, 74, 72), segment(78, 8, 78, 72)], 'faint')];
    case 'brittle': {
      const jagged: Line = [[60, 74], [56, 66], [61, 60], [55, 52], [60, 44], [56, 36], [62, 30], [56, 20], [60, 6]];
      return [half(-1, 9, jagged), half(1, 9, jagged), ...([[60, 70], [57, 58], [64, 62], [61, 48], [58, 36], [63, 26]] as const).map(([x, y]) => shape(closedCurve([x - 2.4, y], [x, y - 2], [x + 2.4, y + 0.6], [x, y + 2]), 'paper', 'fine'))];
    }
    case 'firm': return [shape([[38, 12], [56, 12], [56, 66], [38, 66]]), shape([[66, 12], [84, 12], [84, 66], [66, 66]]), shape([[54, 12], [56, 12], [56, 66], [54, 66]], 'shade', 'fine'), shape([[66, 12], [68, 12], [68, 66], [66, 66]], 'shade', 'fine')];
    case 'soft': return [shape([...curve([34, GROUND], [36, 44], [52, 26], [74, 30], [84, 50], [86, 62]), ...curve([96, 60], [94, 44], [80, 20], [50, 14], [26, 40], [22, GROUND])])];
    case 'tough': return [shape([...curve([22, 62], [40, 40], [60, 34], [80, 40], [98, 62]), ...curve([104, 52], [86, 26], [60, 20], [34, 26], [16, 52])], 'paper', 'bold'), ...strokes([curve([24, 54], [42, 34], [60, 28], [78, 34], [96, 54])], 'faint'), ...strokes([curve([12, 66], [16, 58]), curve([108, 66], [104, 58])], 'fine')];
    default: return undefined;
  }
}

/** Left halves of stems, from the cap down. */
const STEMS: Readonly<Record<string, Line>> = {
  tapering: [[46, 24], [50, 44], [55, 62], [57, GROUND]],
  cylindrical: [[52, 24], [52, 48], [52, GROUND]],
  club: [[54, 24], [52, 44], [46, 62], [45, 72], [52, 76]],
  bulbous: [[51, 26], [46, 40], [36, 58], [38, 72], [50, 76]],
  'bulb-foot': [[55, 24], [54, 46], [53, 60], [47, 66], [47, 73], [54, 77]],
};

export function stipeShape(state: string): Mark[] | undefined {
  const left = STEMS[state];
  if (!left) return undefined;
  const line = curve(...left);
  return [shape([...line, ...[...mirrored(line, MIDDLE)].reverse()], 'paper', 'bold'), shape([...curve([22, 24], [34, 10], [60, 5], [86, 10], [98, 24]), ...curve([98, 24], [60, 29], [22, 24]).slice(1, -1)], 'paper', 'faint')];
}

/** A stout stem with what is drawn on it. */
export function stipeNet(state: string): Mark[] | undefined {
  const body: Line = [...curve([44, 6], [43, 40], [38, GROUND]), ...curve([82, GROUND], [77, 40], [76, 6])];
  const net = (size: number, to: number, ink: Ink) => {
    const lines: Line[] = [];
    for (let y = 4; y < to; y += size * 1.5) for (const slope of [1, -1]) {
      lines.push(Array.from({ length: 15 }, (_, i): Point => [44 + (32 * i) / 14, y + slope * ((size * 5 * i) / 14 - size * 2.5) + 8]));
    }
    return strokes(lines.map((line) => line.filter((p) => inside(p, body) && p[1] < to)).filter((line) => line.length > 1), ink);
  };
  switch (state) {
    case 'none': return [shape(body)];
    case 'fine-net': return [shape(body), ...net(3.4, 34, 'fine')];
    case 'coarse-net': return [shape(body), ...net(6.4, 66, 'line')];
    case 'bands': return [shape(body), ...[16, 28, 40, 52, 64].map((y, i) => stroke(Array.from({ length: 11 }, (_, k): Point => [42 + (36 * k) / 10, y + (k % 2 ? 3.4 : 0) + (i % 2)]), 'line'))];
    case 'scales': return [shape(body), ...strewn(body, 8.4, 12).map(([x, y]) => stroke([[x - 2.6, y - 1], [x, y + 2.6], [x + 2.6, y - 1]], 'line'))];
    case 'pits': return [shape(body), ...strewn(shrunk(body, 0.86), 10, 14).map(([x, y]) => shape(ellipse(x, y, 3, 2), 'shade', 'line'))];
    case 'fibres': return [shape(body), ...strokes([46, 51, 55, 60, 65, 70, 74].map((x, i) => curve([x, 8 + (i % 3) * 5], [x + (x - 60) * 0.06, 38], [x + (x - 60) * 0.14, 68 - (i % 2) * 6])))];
    default: return undefined;
  }
}

export function stipeInterior(state: string): Mark[] | undefined {
  const outer: Line = [...arc(60, 16, 20, 7, 180, 360), [80, 68], ...arc(60, 68, 20, 7, 0, 180)];
  const face = shape(ellipse(60, 16, 20, 7), state === 'solid' ? 'shade' : 'paper', 'bold');
  const bore = shape(ellipse(60, 16, 12, 4), 'ink', 'line');
  const inner = strokes([segment(48, 17, 48, 70), segment(72, 17, 72, 70)], 'faint');
  switch (state) {
    case 'solid': return [shape(outer), face];
    case 'hollow': return [shape(outer), face, bore, ...inner];
    case 'stuffed': return [shape(outer), face, shape(ellipse(60, 16, 12, 4), 'paper', 'line'), ...strewn(ellipse(60, 16, 11, 3.4), 2.2, 3).map(([x, y]) => dot(x, y, 0.7)), ...inner, ...strewn([[48, 24], [72, 24], [72, 68], [48, 68]], 4, 4).map(([x, y]) => dot(x, y, 0.8))];
    case 'thread': return [shape(outer), face, bore, ...inner, stroke(curve([60, 16], [57, 30], [63, 44], [58, 58], [61, 72]), 'line')];
    default: return undefined;
  }
}

export function growth(state: string): Mark[] | undefined {
  const small = (x: number, tilt: number, size: number) => placed(placed(mushroom(), { at: [-60, -GROUND] }), { scale: size, turn: tilt, at: [x, 72] });
  if (state === 'separate') return [...ground(72), ...small(24, 0, 0.5), ...small(62, 0, 0.6), ...small(98, 0, 0.45)];
  if (state === 'clustered') return [...ground(72), ...small(54, -26, 0.66), ...small(66, 26, 0.66), ...small(60, 0, 0.74), shape(closedCurve([48, 70], [60, 67], [72, 70], [68, 76], [52, 76]), 'shade', 'fine')];
  return undefined;
}

/** Drawn large: a stout stem under the rim of a cap, and what a veil has left between them. */
export function veil(state: string): Mark[] | undefined {
  const cap = [...curve([16, 26], [32, 9], [60, 4], [88, 9], [104, 26]), ...curve([104, 26], [60, 32], [16, 26]).slice(1, -1)];
  const base = (ink: Ink): Mark[] => [shape(stemOutline(28, 10, 11), 'paper', ink), shape(cap, 'paper', ink)];
  const surroundings = base('faint');
  const skirt = (half: number, y: number, drop: number, ink: Ink = 'bold'): Mark => shape([
    ...curve([50, y], [50 - half * 0.5, y + drop * 0.5], [48 - half, y + drop]), ...curve([48 - half, y + drop], [60, y + drop + 4], [72 + half, y + drop]).slice(1), ...curve([72 + half, y + drop], [70 + half * 0.5, y + drop * 0.5], [70, y]).slice(1),
  ], 'paper', ink);
  switch (state) {
    case 'none': return base('line');
    case 'cobweb': return [...surroundings, ...both(strokes([[20, 27], [26, 28], [32, 29], [38, 30], [44, 30.5]].map(([x = 0, y = 0]) => curve([x, y], [(x + 50) / 2 - 2, y + 9], [50, 52 + (20 - x) * 0.3])), 'line')), ...strokes([curve([50, 58], [60, 61], [70, 58]), curve([50, 62], [60, 65], [70, 62])], 'line')];
    case 'thin': return [...surroundings, shape(closedCurve([48, 46], [60, 49], [72, 46], [72, 50], [60, 53], [48, 50]), 'paper', 'bold')];
    case 'hanging': return [...surroundings, skirt(8, 38, 18), ...strokes([segment(52, 43, 46, 55), segment(60, 43, 60, 58), segment(68, 43, 74, 55)])];
    case 'movable': return [...surroundings, shape(ellipse(60, 50, 22, 6.5), 'shade', 'bold'), shape(ellipse(60, 46, 12, 3.4), 'paper', 'line'), stroke([[96, 38], [96, 62]], 'line'), stroke([[92, 43], [96, 37], [100, 43]], 'line'), stroke([[92, 57], [96, 63], [100, 57]], 'line')];
    case 'cottony': return [...surroundings, shape(closedCurve([43, 46], [49, 40], [60, 43], [71, 40], [77, 46], [78, 54], [70, 60], [60, 57], [50, 60], [42, 54]), 'paper', 'bold'), ...strewn(closedCurve([46, 46], [60, 46], [74, 46], [74, 54], [60, 54], [46, 54]), 5, 3).map(([x, y]) => stroke(curve([x - 1.6, y], [x, y - 1.4], [x + 1.6, y]), 'fine'))];
    case 'sheath': return [...surroundings, ...[54, 60, 66, 72].flatMap((y, i) => [53, 60, 67].map((x) => stroke([[x - 3.4 + (i % 2) * 2, y - 2], [x + (i % 2) * 2, y + 1.8], [x + 3.4 + (i % 2) * 2, y - 2]], 'line'))), skirt(4, 38, 10)];
    default: return undefined;
  }
}

/** The edge of a cap broken off, with what runs out. */
export function latex(fill: Fill): Mark[] {
  const cap: Line = [...curve([14, 46], [20, 28], [44, 18], [66, 20]), [62, 27], [67, 33], [61, 40], [65, 46], ...curve([62, 48], [40, 50], [14, 46])];
  const piece: Line = [[74, 22], ...curve([76, 22], [94, 30], [104, 48]), ...curve([104, 48], [88, 50], [72, 48]).slice(1), [76, 42], [71, 35], [76, 28]];
  const drop = (x: number, y: number): Mark => shape(closedCurve([x, y - 7], [x + 4, y + 1], [x, y + 5], [x - 4, y + 1]), fill, 'line');
  return [shape(cap), shape(piece), ...strokes([segment(60, 40, 30, 46), segment(58, 44, 28, 48), segment(78, 43, 96, 48)], 'faint'), ...(fill !== 'none' ? [drop(63, 54), drop(74, 57), drop(66, 68)] : [])];
}

export function substrate(state: string): Mark[] | undefined {
  const small = placed(placed(mushroom(), { at: [-60, -GROUND] }), { scale: 0.66, at: [56, 58] });
  if (state === 'soil') return [...small, stroke(curve([10, 58], [40, 57], [60, 59], [110, 57]), 'bold'), ...strokes([[18, 57], [30, 56], [80, 57], [92, 57], [102, 56]].flatMap(([x = 0, y = 0]): Line[] => [[[x, y], [x - 3, y - 7]], [[x, y], [x, y - 9]], [[x, y], [x + 3, y - 7]]])), ...strewn([[10, 62], [110, 62], [110, 76], [10, 76]], 8, 5).map(([x, y]) => dot(x, y, 1))];
  if (state === 'wood') return [...small, shape([...curve([14, 60], [50, 57], [100, 58]), ...curve([100, 76], [50, 78], [14, 78])], 'paper', 'bold'), shape(ellipse(100, 67, 6, 9), 'paper', 'bold'), ...strokes([ellipse(100, 67, 3.5, 5.5), curve([20, 66], [50, 64], [90, 65]), curve([22, 72], [56, 71], [88, 72])])];
  return undefined;
}

export function volva(state: string): Mark[] | undefined {
  const body: Line = [...curve([52, 4], [52, 30], [50, 50]), ...curve([50, 50], [46, 60], [52, 70], [60, 72], [68, 70], [74, 60], [70, 50]).slice(1), ...curve([70, 50], [68, 30], [68, 4]).slice(1)];
  const soil = [stroke(curve([8, 40], [30, 39], [46, 41]), 'faint'), stroke(curve([74, 41], [90, 39], [112, 40]), 'faint')];
  switch (state) {
    case 'none': return [...soil, shape([...curve([53, 4], [52, 40], [50, 66]), ...curve([50, 66], [60, 71], [70, 66]).slice(1), ...curve([70, 66], [68, 40], [67, 4]).slice(1)]), ...strokes([curve([54, 69], [51, 75]), curve([60, 70], [60, 77]), curve([66, 69], [69, 75])], 'faint')];
    case 'sac': return [...soil, shape(body), shape([...curve([36, 34], [40, 44], [37, 60], [46, 74], [60, 77], [74, 74], [83, 60], [80, 44], [84, 32]), ...curve([84, 32], [74, 40], [66, 36], [58, 42], [48, 36], [36, 34]).slice(1, -1)], 'shade', 'bold')];
    case 'rim': return [...soil, shape(body), stroke(curve([46, 56], [60, 60], [74, 56]), 'bold'), stroke(curve([47, 51], [60, 55], [73, 51]), 'bold'), ...[50, 57, 64, 71].map((x, i) => dot(x, 48 + (i % 2), 1.8))];
    default: return undefined;
  }
}

const CUT_BALL = closedCurve([60, 8], [84, 18], [92, 40], [80, 60], [60, 68], [40, 60], [28, 40], [36, 18]);

/** Cut from top to bottom. */
export function section(state: string): Mark[] | undefined {
  switch (state) {
    case 'cap-and-stem': return [shape([...curve([22, 38], [34, 16], [60, 9], [86, 16], [98, 38]), [69, 34], [69, GROUND], [51, GROUND], [51, 34]], 'shade', 'bold'), ...both(strokes([[[51, 35], [26, 40]]])), ...both([shape([[51, 34], [24, 38], [32, 42], [51, 46]], 'paper', 'line')])];
    case 'cap-inside': return [shape(CUT_BALL, 'paper', 'bold'), shape([...curve([42, 40], [46, 24], [60, 18], [74, 24], [78, 40]), [65, 38], [66, 60], [54, 60], [55, 38]], 'shade', 'line'), ...both(strokes([[[55, 40], [43, 42]], [[55, 43], [46, 45]]]))];
    case 'even-white': return [shape(CUT_BALL, 'paper', 'bold'), stroke(curve([38, 44], [36, 34], [42, 22]), 'faint')];
    case 'dark-marbled': return [shape(CUT_BALL, 'paper', 'bold'), shape(shrunk(CUT_BALL, 0.8), 'ink', 'line'), ...strewn(shrunk(CUT_BALL, 0.7), 9, 5).map(([x, y], i) => shape(closedCurve([x - 3, y], [x, y - 1], [x + 3, y + (i % 2)], [x, y + 0.8]), 'paper', 'none'))];
    case 'powder': return [shape(CUT_BALL, 'paper', 'bold'), ...strewn(shrunk(CUT_BALL, 0.84), 3, 6, 170).map(([x, y]) => dot(x, y, 0.9))];
    case 'one-hollow': return [shape([...curve([44, 40], [42, 20], [60, 6], [78, 20], [76, 40]), ...curve([76, 40], [70, 48], [72, GROUND]).slice(1), ...curve([48, GROUND], [50, 48], [44, 40]).slice(0, -1)], 'shade', 'bold'), shape([...curve([49, 38], [48, 22], [60, 11], [72, 22], [71, 38]), ...curve([71, 38], [65, 48], [67, GROUND]).slice(1), ...curve([53, GROUND], [55, 48], [49, 38]).slice(0, -1)], 'paper', 'line')];
    case 'chambers': return [shape(BRAIN, 'shade', 'bold'), shape(stemOutline(40, 10, 13), 'shade', 'bold'), ...[[40, 30, 5, 6], [54, 24, 5, 7], [68, 26, 6, 6], [81, 30, 5, 6], [56, 52, 4, 7], [65, 54, 4, 8], [60, 68, 5, 4]].map(([x = 0, y = 0, a = 0, b = 0]) => shape(ellipse(x, y, a, b), 'paper', 'line'))];
    case 'cotton': return [shape([[44, 14], [76, 14], [76, GROUND], [44, GROUND]], 'shade', 'bold'), shape([[50, 14], [70, 14], [70, GROUND], [50, GROUND]], 'paper', 'line'), ...strewn([[51, 18], [69, 18], [69, 72], [51, 72]], 4.4, 5).map(([x, y], i) => stroke(curve([x - 1.8, y], [x, y - 1.8 + (i % 2) * 3], [x + 1.8, y]), 'fine')), shape([...curve([40, 20], [44, 6], [60, 2], [76, 6], [80, 20]), [76, 20], [76, 14], [44, 14], [44, 20]], 'shade', 'faint')];
    default: return undefined;
  }
}

export function stipePlace(state: string): Mark[] | undefined {
  const cap = closedCurve([20, 30], [36, 18], [62, 14], [88, 18], [102, 30], [84, 38], [60, 40], [36, 38]);
  switch (state) {
    case 'central': return [shape(stemOutline(34, 6, 6), 'paper', 'bold'), shape(cap, 'paper', 'fine')];
    case 'side': return [stroke([[12, 6], [12, 76]], 'faint'), shape([...curve([12, 46], [26, 44], [36, 34]), ...curve([30, 26], [22, 34], [12, 36])], 'paper', 'bold'), shape(moved(cap, 8, -2), 'paper', 'fine')];
    case 'none': return [stroke([[14, 6], [14, 76]], 'bold'), shape(closedCurve([14, 26], [46, 18], [84, 22], [100, 34], [82, 44], [44, 48], [14, 46]), 'paper', 'fine')];
    default: return undefined;
  }
}

/** A thimble or a morel's head cut from top to bottom. */
export function capJoin(state: string): Mark[] | undefined {
  const stemHalf = shape([...curve([52, 16], [53, 44], [50, GROUND]), ...curve([70, GROUND], [67, 44], [68, 16]), ...arc(60, 16, 8, 6, 0, -180).slice(1, -1)], 'paper', 'line');
  const hood = (rim: number, inner: number): Mark[] => both([stroke(curve([60, 6], [46, 12], [40, 28], [44, rim], [inner, rim + 2]), 'bold')]);
  switch (state) {
    case 'fused': return [stemHalf, ...hood(46, 53)];
    case 'thimble': return [stemHalf, ...both([stroke(curve([60, 8], [50, 12], [43, 26], [42, 46]), 'bold')])];
    case 'patchy': return [stemHalf, ...both([stroke(curve([60, 6], [44, 10], [32, 26], [36, 46], [44, 42]), 'bold')]), stroke([[44, 42], [53, 40]], 'bold'), stroke([[68, 30], [86, 30]], 'bold')];
    case 'open': return [shape(stemOutline(30, 6, 6), 'paper', 'line'), stroke(curve([22, 40], [34, 18], [60, 11], [86, 18], [98, 40]), 'bold'), ...both([stroke(curve([22, 40], [38, 34], [54, 32]), 'line')])];
    default: return undefined;
  }
}

/** The rim rubbed with a thumb. */
export function rubbed(fill: Fill): Mark[] {
  const patch = closedCurve([72, 50], [76, 42], [88, 40], [98, 48], [92, 57], [80, 59]);
  return [shape(DOME, 'paper', 'fine'), shape(patch, fill, fill === 'none' ? 'fine' : 'line'), ...strokes([curve([102, 66], [98, 60], [94, 58]), curve([110, 60], [104, 56], [98, 54])], 'faint')];
}

export function separates(state: string): Mark[] | undefined {
  const { outline } = capOutline('convex');
  const lifted = outline.map(([x, y]): Point => [x + 16, y - 8]);
  if (state === 'socket') return [shape(lifted), stroke(curve([66, 36], [74, 28], [86, 36]), 'bold'), shape([...arc(50, 52, 8, 8, 180, 360), [58, 76], [42, 76]], 'paper', 'bold')];
  const ragged: Line = [[42, 50], [45, 42], [48, 49], [51, 40], [54, 48], [57, 43], [58, 50]];
  if (state === 'torn') return [shape(lifted), ...strokes([[[66, 35], [68, 42], [71, 36], [74, 44], [77, 36], [80, 42], [83, 36]]], 'bold'), shape([...ragged, [58, 76], [42, 76]], 'paper', 'bold')];
  return undefined;
}

export function overnight(state: string): Mark[] | undefined {
  const cap = mushroom('bell', 'line');
  if (state === 'ink') return [...cap.slice(1), stem(50), shape(closedCurve([38, 48], [48, 51], [60, 51], [72, 51], [82, 48], [80, 54], [74, 60], [72, 54], [66, 66], [62, 55], [54, 62], [50, 55], [42, 56]), 'ink', 'line'), shape(closedCurve([28, 74], [60, 70], [92, 74], [60, 78]), 'ink', 'none')];
  if (state === 'same') return fromBelow(strokes(radial(36)), 'line');
  return undefined;
}

/** Under a lens. */
export function poreSize(state: string): Mark[] | undefined {
  const lens = ellipse(MIDDLE, 40, 34, 34);
  if (state === 'fine') return [shape(lens, 'paper', 'bold'), ...strewn(shrunk(lens, 0.94), 4.6, 2, 170).map(([x, y]) => dot(x, y, 1.1))];
  if (state === 'wide') return [shape(lens, 'paper', 'bold'), ...strewn(shrunk(lens, 0.84), 12.5, 3).map(([x, y], i) => shape(Array.from({ length: 5 }, (_, k): Point => [x + (5.4 + (i % 2)) * Math.cos((k * 72 + i * 20) * Math.PI / 180), y + 5 * Math.sin((k * 72 + i * 20) * Math.PI / 180)]), 'shade', 'line'))];
  return undefined;
}
