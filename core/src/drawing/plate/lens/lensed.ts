import type { CompiledGuide } from '../../../guide';
import { individual, type Individual } from '../../build';
import type { Point } from '../../geometry';
import type { Mark } from '../../mark';
import { drawnWhole } from '../drawn';
import { onSheet, unitsFor, type Part, type TaxonPlate } from '../sheet';
import { subjectOf } from '../sketch';
import type { AtStage } from '../taxon';
import { anchorOf } from './anchor';
import { around, rowsFor, sheetFor, tie, WIDE_SHEET } from './around';
import type { Circle } from './clip';
import { hasInset, inset } from './inset';

/** A round inset that shows a small mark enlarged, tied by a line to where it is on the whole. */
export interface Lens extends Circle {
  readonly character: string;
}
export interface LensedPlate extends TaxonPlate {
  readonly lenses: readonly Lens[];
}

interface Tied extends Lens {
  readonly to: Point | undefined;
}

const [SMALLEST, LARGEST, GAP] = [17, 27, 6];

/** What is drawn on the whole, and is too fine there to be told by. */
const FINE: ReadonlySet<string> = new Set(
  (
    'leaf.margin leaf.base leaf.foot leaf.venation stem.hairs stem.section stem.marks stem.bloom bark.young ' +
    'twig.thorns umbel.bracts umbel.bracteoles fruit.crown fruit.form fruit.skin flower.form flower.disc ' +
    'cap.surface cap.margin hymenophore.attachment hymenophore.branching stipe.net stipe.interior veil volva'
  ).split(' '),
);

/** States in which nothing is to be seen: worth a lens only where that tells it apart. */
const NOTHING_THERE: ReadonlySet<string> = new Set(
  'none bare plain no-marks stays same unchanging by-itself separate solid'.split(' '),
);
/** So many of what it is told by are shown whatever they are. */
const TELLING = 8;

/**
 * A whole taxon, and round it through lenses what the whole does not show, or too finely.
 *
 * @param characters what it is told by, most telling first
 * @param how.most how many lenses there may be
 * @param how.hand whose hand it is drawn by: the same number draws the same lines
 */
export function lensedPlate(
  guide: CompiledGuide,
  { taxon, stage }: AtStage,
  characters: readonly string[],
  { most = 8, hand = 0 }: { readonly most?: number; readonly hand?: number } = {},
): LensedPlate {
  const one = individual(guide, taxon, stage, 0);
  const whole = drawnWhole(guide, { one, kingdom: taxon.taxon.kingdom, stage, cut: true });
  const shown = new Set(whole.parts.flatMap((part) => part.of));
  const drawable = characters.filter((id) => {
    const state = one.state(id);
    return state !== undefined && hasInset(guide, id, state);
  });
  const isLast = (id: string) => NOTHING_THERE.has(one.state(id) ?? '') && characters.indexOf(id) >= TELLING;
  const hidden = drawable.filter((id) => !shown.has(id));
  const fine = drawable.filter((id) => shown.has(id) && FINE.has(id));
  const chosen = [...hidden.filter((id) => !isLast(id)), ...fine, ...hidden.filter(isLast)].slice(0, most);
  const rows = rowsFor(chosen.length);
  const radius = Math.max(SMALLEST, Math.min(LARGEST, WIDE_SHEET.height / Math.max(1, rows) / 2 - GAP / 2));
  const sheet = sheetFor(chosen.length, 2 * radius + GAP);
  const plate = onSheet(whole, unitsFor(whole, sheet), hand, 'full', sheet);
  const lenses = around(chosen, radius + 1, (id, aside) => anchorOf(plate, id, aside)).map(
    ({ id, at, to }): Tied => ({ character: id, at, to, radius: radius - 1 }),
  );
  const added = lenses.flatMap((lens): Part[] => {
    const marks = lensMarks(guide, one, lens.character, lens);
    return marks ? [{ of: [lens.character], marks: [...tie(lens.at, lens.radius, lens.to), ...marks] }] : [];
  });
  return {
    ...plate,
    lenses,
    parts: [...plate.parts, ...added],
    marks: [...plate.marks, ...added.flatMap((part) => part.marks)],
  };
}

/** One character of an individual through a lens; nothing where nothing is stated or drawn. */
export function lensMarks(
  guide: CompiledGuide,
  one: Individual,
  character: string,
  circle: Circle,
): Mark[] | undefined {
  const state = one.state(character);
  return state === undefined ? undefined : inset(guide, subjectOf(guide, one), character, state, circle);
}
