import type { CompiledGuide, CompiledTaxon, Kingdom, StageId } from '../guide';
import { individual, type Individual } from './build';
import { moved, scaled, type Line } from './geometry';
import { boxOfMarks, type Plate } from './mark';
import type { Part, Whole } from './whole';
import { wholeFungus } from './wholeFungus';
import { wholePlant } from './wholePlant';

/** The sheet of a whole taxon, in units. */
export const SHEET = { width: 200, height: 240 } as const;

export interface TaxonPlate extends Plate {
  /** What each part was drawn from, so that it can be pointed at; in the order of drawing. */
  readonly parts: readonly Part[];
  /** A length on the sheet and what it is in life; none where no size is stated. */
  readonly scale: { readonly units: number; readonly millimetres: number } | undefined;
}

/**
 * A whole plant or fungus at a stage, in ink, from what the guide states of it: sizes within their usual
 * ranges, parts in their usual states. What is not stated is left out.
 *
 * @param seed 0 for the typical individual, any other whole number for another one
 */
export function taxonPlate(guide: CompiledGuide, taxon: CompiledTaxon, stage: StageId, seed = 0): TaxonPlate {
  const whole = wholeOf(guide, { taxon, stage }, seed);
  return onSheet(whole, unitsFor(whole));
}

/** One individual as a whole, whatever it was made of. */
export function individualPlate(one: Individual, kingdom: Kingdom): TaxonPlate {
  const whole = drawnWhole(one, kingdom);
  return onSheet(whole, unitsFor(whole));
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
  const [a, b] = [wholeOf(guide, pair[0], seed), wholeOf(guide, pair[1], seed)];
  const [fitA, fitB] = [unitsFor(a), unitsFor(b)];
  const common = Math.min(fitA, fitB);
  const oneScale = a.sized && b.sized && Math.max(fitA, fitB) <= common * FURTHEST_APART;
  return { plates: [onSheet(a, oneScale ? common : fitA), onSheet(b, oneScale ? common : fitB)], oneScale };
}

function wholeOf(guide: CompiledGuide, { taxon, stage }: AtStage, seed: number): Whole {
  return drawnWhole(individual(guide, taxon, stage, seed), taxon.taxon.kingdom);
}

function drawnWhole(one: Individual, kingdom: Kingdom): Whole {
  const { parts, sized } = kingdom === 'Fungi' ? wholeFungus(one) : wholePlant(one);
  return { parts: parts.filter((part) => part.marks.length > 0), sized };
}

const NICE = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];
const MARGIN = 8;
const boxOfParts = (parts: readonly Part[]) => boxOfMarks(parts.flatMap((part) => part.marks));

/** Units for a millimetre, so that it fills the sheet. */
function unitsFor({ parts }: Whole): number {
  if (parts.length === 0) return 1;
  const { left, right, top, bottom } = boxOfParts(parts);
  return Math.min(
    (SHEET.width - 2 * MARGIN) / Math.max(1, right - left),
    (SHEET.height - 2 * MARGIN) / Math.max(1, bottom - top),
  );
}

/** Puts what was drawn in millimetres onto the sheet, standing on its lower edge. */
function onSheet({ parts, sized }: Whole, by: number): TaxonPlate {
  if (parts.length === 0) return { ...SHEET, marks: [], parts: [], scale: undefined };
  const box = boxOfParts(parts);
  const onto = (line: Line): Line =>
    moved(
      scaled(moved(line, -(box.left + box.right) / 2, -box.bottom), by),
      SHEET.width / 2,
      SHEET.height - MARGIN,
    );
  const fitted = parts.map((part): Part => ({
    ...part,
    marks: part.marks.map((mark) => ({ ...mark, line: onto(mark.line) })),
  }));
  const millimetres = NICE.find((mm) => mm * by >= 22) ?? 1000;
  return {
    ...SHEET,
    marks: fitted.flatMap((part) => part.marks),
    parts: fitted,
    scale: sized ? { units: millimetres * by, millimetres } : undefined,
  };
}
