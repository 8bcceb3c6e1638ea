import type { Individual } from './build';

export const WOODY: ReadonlySet<string> = new Set(['tree', 'shrub', 'dwarf-shrub']);
const NARROW: ReadonlySet<string> = new Set(['needle', 'linear']);

interface Sizes {
  /** Of a leaf, mm. */
  readonly long: number;
  /** Of what is drawn of the plant, mm. */
  readonly high: number;
  /** Whether something of it is drawn in a size that is stated. */
  readonly sized: boolean;
  /** Whether all of it is drawn, in the height that is stated. */
  readonly whole: boolean;
}

export function sizesOf(one: Individual, woody: boolean): Sizes {
  const [leafLength, stated] = [one.size('leaf.length'), woody ? undefined : one.size('plant.height')];
  const long = leafLength ?? (stated ?? 200) * 0.32;
  // Leaves smaller than this beside their plant would be dots: then the sheet shows a shorter plant, in the
  // size of its leaves.
  const high = woody
    ? long * (NARROW.has(one.state('leaf.outline') ?? '') ? 5 : 3.2)
    : Math.min(stated ?? long * 4, long * 5);
  const whole = stated !== undefined && high === stated;
  return { long, high, sized: leafLength !== undefined || whole, whole };
}

export function hasBasalLeaves(one: Individual): boolean {
  const [arrangement, habit] = [one.state('leaf.arrangement'), one.state('habit.form')];
  return arrangement === undefined
    ? habit === 'rosette' || habit === 'ground-leaves'
    : arrangement === 'basal';
}
