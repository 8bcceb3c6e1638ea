import { put, type Subject } from '../sketch';
import type { Part, Whole } from '../whole';
import { capOver } from './cap';
import { funnelOf } from './funnel';
import { groundOf } from './ground';
import { headSectionOf } from './headSection';
import { sectionOf } from './section';
import { shelfOf } from './shelf';
import { ballOf, cupOf, cutOpen, headOf, type Head } from './single';
import { columnOf, stipeOf } from './stipe';
import { veilOf, volvaOf } from './veil';

/** How a fungus is built, which follows from its underside, its cap and where its stem is. */
type Build = 'cap' | 'funnel' | 'ball' | 'head' | 'cup' | 'shelf';

function buildOf(one: Subject): Build | undefined {
  const [under, cap, place] = [one.state('hymenophore'), one.state('cap.shape'), one.state('stipe.place')];
  if (under === 'pits' || under === 'folds') return place === 'none' ? 'cup' : 'head';
  if (under === 'ball') return 'ball';
  const onWood = one.state('substrate') === 'wood';
  if ((place === 'side' && onWood) || (place === 'none' && (under === 'gills' || under === 'pores')))
    return 'shelf';
  if (place === 'none' && under === 'smooth') return 'cup';
  if (cap === 'thimble') return 'head';
  if (cap === 'funnel' || cap === 'trumpet') return 'funnel';
  return cap === undefined ? undefined : 'cap';
}

/** A fungus with its cap, what shows of its underside, veil, stem and foot, and cut through beside it. */
export function wholeFungus(one: Subject, withSection: boolean): Whole {
  const stated = one.size('cap.width');
  const wide = stated ?? 60;
  const [long, thick] = [one.size('stipe.length') ?? 0, one.size('stipe.width') ?? 0];
  const build = buildOf(one);
  const clustered = one.state('growth') === 'clustered' && CLUSTERED.has(build ?? '');
  const single = standing(one, build, wide, long, thick);
  const upright = clustered ? [...cluster(single, wide), ...single] : single;
  const shape = one.state('cap.shape') ?? '';
  const whole = one.state('section') === 'cap-and-stem';
  const cut = !withSection
    ? []
    : !whole
      ? insideOf(one, build, wide, long, thick)
      : (build === 'cap' || build === 'funnel') && long > 0 && thick > 0
        ? sectionOf(one, shape, wide, long, thick)
        : [];
  return {
    sized: stated !== undefined,
    unknown: [],
    parts: [...upright, ...aside(cut, wide, wide * (clustered ? 1.7 : 1))],
  };
}

const headKind = (one: Subject): Head =>
  one.state('hymenophore') === 'pits'
    ? 'honeycomb'
    : one.state('cap.shape') === 'thimble'
      ? 'thimble'
      : 'brain';
/** Where the lower edge of a head lies. */
const headFoot = (head: Head, long: number): number => -long * (head === 'honeycomb' ? 0.88 : 0.94);

/** What has no cap to be cut through: a head in its own sizes, anything else as its answer is drawn. */
function insideOf(one: Subject, build: Build | undefined, wide: number, long: number, thick: number): Part[] {
  const head = headKind(one);
  const cut =
    build === 'head' && long > 0 && thick > 0
      ? headSectionOf(one, {
          head,
          column: columnOf(one.state('stipe.shape'), long, thick),
          wide,
          top: headFoot(head, long),
        })
      : [];
  return cut.length > 0 ? cut : cutOpen(one, wide);
}

function standing(one: Subject, build: Build | undefined, wide: number, long: number, thick: number): Part[] {
  if (build === 'ball') return [...groundOf(one, wide * 0.5), ...ballOf(one, wide)];
  if (build === 'cup') return [...groundOf(one, wide * 0.4), ...cupOf(one, wide)];
  if (build === 'shelf') return shelfOf(one, wide);
  const column = columnOf(one.state('stipe.shape'), long, thick);
  const foot = Math.max(column.half(0) * 1.4, wide * 0.22);
  const stemmed = long > 0 && thick > 0;
  const ground = stemmed ? groundOf(one, foot) : [];
  const stem = stemmed ? stipeOf(one, column) : [];
  const veil = stemmed ? veilOf(one, column) : [];
  const volva = stemmed ? volvaOf(one, column) : [];
  const shape = one.state('cap.shape') ?? '';
  if (build === 'head') {
    const head = headKind(one);
    return [...ground, ...stem, ...volva, ...headOf(one, head, wide, headFoot(head, long))];
  }
  if (build === 'funnel')
    return [...ground, ...stem, ...volva, ...funnelOf(one, shape, wide, long, thick), ...veil];
  if (build !== 'cap') return [...ground, ...stem, ...volva, ...veil];
  // The stem comes out of the underside: what is below the cap first, then the stem, then the skin.
  const [under, ...cap] = capOver(one, shape, wide, long, thick);
  return [...ground, ...(under ? [under] : []), ...stem, ...volva, ...veil, ...cap];
}

/** What grows in clusters as several stems from one spot; shelves and balls have a way of their own. */
const CLUSTERED: ReadonlySet<string> = new Set(['cap', 'funnel']);

/** Others behind it, smaller and leaning away, as they come out of one spot. */
function cluster(single: readonly Part[], wide: number): Part[] {
  const sketches = single.filter(({ of }) => !of.includes('substrate')).flatMap((part) => part.sketches);
  return [
    {
      of: ['growth'],
      sketches: [
        ...put(sketches, { scale: 0.72, at: [-wide * 0.14, 0], turn: -22, mirror: true }),
        ...put(sketches, { scale: 0.6, at: [wide * 0.12, 0], turn: 24 }),
      ],
    },
  ];
}

/** How large the half that is cut through is drawn, to the whole. */
const CUT = 0.56;
const aside = (parts: readonly Part[], wide: number, room: number): Part[] =>
  parts.map((part) => ({
    ...part,
    sketches: put(part.sketches, { scale: CUT, at: [room * 0.54 + (wide * CUT) / 2, 0] }),
  }));
