import { boxOf, type Line, type Point } from '../../geometry';
import { linesOf } from '../../mark';
import type { TaxonPlate } from '../sheet';

/** Where on a plant or fungus a small mark is to be found. */

interface Spot {
  /** Another organ to look on, where the character's own is not drawn. */
  readonly on?: readonly string[];
  /** From the top of the organ down, 0 to 1. */
  readonly down?: number;
}
const SPOTS: Readonly<Record<string, Spot>> = {
  volva: { on: ['stipe'], down: 1 },
  veil: { on: ['stipe'], down: 0.25 },
  growth: { on: ['stipe'], down: 1 },
  substrate: { on: ['stipe'], down: 1 },
  wood: { on: ['stipe'], down: 1 },
  'stipe.separates': { down: 0.02 },
  'stipe.net': { down: 0.4 },
  'stipe.interior': { down: 0.6 },
  'stipe.place': { down: 0.1 },
  'cap.join': { on: ['stipe'], down: 0.05 },
  'cap.margin': { down: 1 },
  latex: { on: ['hymenophore', 'cap'] },
  flesh: { on: ['section', 'cap'] },
  section: { on: ['cap'] },
  spore: { on: ['hymenophore', 'cap'] },
  hymenophore: { on: ['cap'], down: 0.9 },
  'leaf.base': { down: 0.9 },
  'leaf.stalk-section': { down: 0.9 },
  'leaf.sheath': { down: 0.9 },
  'stem.marks-extent': { down: 0.8 },
  'stem.core': { down: 0.7 },
  'stem.section': { down: 0.55 },
  'stem.wood': { down: 0.9 },
  bark: { on: ['stem'], down: 0.8 },
  twig: { on: ['stem'], down: 0.5 },
  habit: { on: ['stem', 'leaf'] },
  umbel: { on: ['flower', 'fruit'], down: 0.7 },
  nut: { on: ['fruit'] },
  flower: { on: ['umbel'] },
  root: { on: ['stem', 'leaf'], down: 1 },
};

const organOf = (character: string) => character.split('.')[0] as string;

/**
 * The place on a drawing at which a character is seen, on the side where `aside` lies: on what was drawn from
 * it, else on its organ, else on the organ that it grows on.
 */
export function anchorOf(plate: TaxonPlate, character: string, aside: number): Point | undefined {
  const organ = organOf(character);
  const spot = { ...SPOTS[organ], ...SPOTS[character] };
  const lines = linesFor(plate, [
    (of) => of === character,
    (of) => organOf(of) === organ,
    ...(spot.on ?? []).map((other) => (of: string) => organOf(of) === other),
  ]);
  if (lines.length === 0) return undefined;
  const { left, right, top, bottom } = boxOf(lines);
  const [x, y] = [left + (right - left) * aside, top + (bottom - top) * (spot.down ?? 0.4)];
  let best: Point | undefined;
  let least = Infinity;
  for (const line of lines)
    for (const point of line) {
      const away = Math.abs(point[0] - x) * 0.5 + Math.abs(point[1] - y);
      if (away < least) [best, least] = [point, away];
    }
  return best;
}

/** So many marks are enough to find a place on. */
const ENOUGH = 60;

/** The lines of the first kind of part that there is. */
function linesFor({ parts }: TaxonPlate, wanted: readonly ((of: string) => boolean)[]): Line[] {
  for (const isWanted of wanted) {
    const marks = parts.filter((part) => part.of.some(isWanted)).flatMap((part) => part.marks);
    if (marks.length > 0)
      return marks.flatMap(linesOf).filter((_, i) => i % Math.ceil(marks.length / ENOUGH) === 0);
  }
  return [];
}
