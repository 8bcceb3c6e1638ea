import type { CompiledGuide, CompiledTaxon, Kingdom, StageId } from '../../guide';
import { individual, type Individual } from '../build';
import type { Mark, Plate } from '../mark';
import { wholeFungus } from './fungus';
import { penFor, type Detail } from './ink';
import { wholePlant } from './plant';
import { boxOfSketches, subjectOf } from './sketch';
import type { Whole } from './whole';

/** The sheet of a whole taxon, in units. */
export const SHEET = { width: 200, height: 240 } as const;

/** Marks and what they show. */
export interface Part {
  /** Characters that these marks were drawn from. */
  readonly of: readonly string[];
  readonly marks: readonly Mark[];
}

export interface TaxonPlate extends Plate {
  /** What each part was drawn from, so that it can be pointed at; in the order of drawing. */
  readonly parts: readonly Part[];
  /** A length on the sheet and what it is in life; none where no size is stated. */
  readonly scale: { readonly units: number; readonly millimetres: number } | undefined;
}

/**
 * A whole plant or fungus at a stage, in ink and wash, from what the guide states of it: sizes within their
 * usual ranges, parts in their usual states. What is not stated is left out.
 *
 * @param seed 0 for the typical individual, any other whole number for another one
 * @param detail `small` for a plate of a few dozen pixels
 */
export function taxonPlate(
  guide: CompiledGuide,
  taxon: CompiledTaxon,
  stage: StageId,
  seed = 0,
  detail: Detail = 'full',
): TaxonPlate {
  const whole = wholeOf(guide, { taxon, stage }, seed, detail === 'full');
  return onSheet(whole, unitsFor(whole), seed, detail);
}

/** One individual as a whole, as it grows there: not cut through. */
export function individualPlate(
  guide: CompiledGuide,
  one: Individual,
  kingdom: Kingdom,
  detail: Detail = 'full',
): TaxonPlate {
  const whole = drawnWhole(guide, one, kingdom, false);
  return onSheet(whole, unitsFor(whole), 0, detail);
}

/** A taxon at one of its stages. */
export interface AtStage {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
}

/** Further apart than this, the smaller of two would be too small on the sheet to show how it is built. */
const FURTHEST_APART = 2.5;

/**
 * Two taxa to be held against each other, on one common scale where both state a size and the smaller still
 * shows how it is built; else each on its own.
 */
export function pairPlates(
  guide: CompiledGuide,
  pair: readonly [AtStage, AtStage],
  seed = 0,
): { readonly plates: readonly [TaxonPlate, TaxonPlate]; readonly oneScale: boolean } {
  const [a, b] = [wholeOf(guide, pair[0], seed, false), wholeOf(guide, pair[1], seed, false)];
  const [fitA, fitB] = [unitsFor(a), unitsFor(b)];
  const common = Math.min(fitA, fitB);
  const oneScale = a.sized && b.sized && Math.max(fitA, fitB) <= common * FURTHEST_APART;
  return {
    plates: [
      onSheet(a, oneScale ? common : fitA, seed, 'full'),
      onSheet(b, oneScale ? common : fitB, seed, 'full'),
    ],
    oneScale,
  };
}

function wholeOf(guide: CompiledGuide, { taxon, stage }: AtStage, seed: number, cutToo: boolean): Whole {
  return drawnWhole(guide, individual(guide, taxon, stage, seed), taxon.taxon.kingdom, cutToo);
}

function drawnWhole(guide: CompiledGuide, one: Individual, kingdom: Kingdom, cutToo: boolean): Whole {
  const subject = subjectOf(guide, one);
  const { parts, sized } = kingdom === 'Fungi' ? wholeFungus(subject, cutToo) : wholePlant(subject);
  return { parts: parts.filter((part) => part.sketches.length > 0), sized };
}

const NICE = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];
const MARGIN = 9;
const boxOfWhole = ({ parts }: Whole) => boxOfSketches(parts.flatMap((part) => part.sketches));

/** Units for a millimetre, so that it fills the sheet. */
function unitsFor(whole: Whole): number {
  if (whole.parts.length === 0) return 1;
  const { left, right, top, bottom } = boxOfWhole(whole);
  return Math.min(
    (SHEET.width - 2 * MARGIN) / Math.max(1, right - left),
    (SHEET.height - 2 * MARGIN) / Math.max(1, bottom - top),
  );
}

/** Puts what was sketched in millimetres onto the sheet, standing on its lower edge. */
function onSheet(whole: Whole, by: number, seed: number, detail: Detail): TaxonPlate {
  if (whole.parts.length === 0) return { ...SHEET, marks: [], parts: [], scale: undefined };
  const box = boxOfWhole(whole);
  const pen = penFor(
    by,
    [SHEET.width / 2 - ((box.left + box.right) / 2) * by, SHEET.height - MARGIN - box.bottom * by],
    seed,
    detail,
  );
  const parts = whole.parts
    .map((part): Part => ({ of: part.of, marks: pen.ink(part.sketches) }))
    .filter((part) => part.marks.length > 0);
  const millimetres = NICE.find((mm) => mm * by >= 22) ?? 1000;
  return {
    ...SHEET,
    marks: parts.flatMap((part) => part.marks),
    parts,
    scale: whole.sized ? { units: millimetres * by, millimetres } : undefined,
  };
}
