import type { Mark, Plate } from '../mark';
import { penFor, type Detail } from './ink';
import { boxOfSketches } from './sketch';
import type { UnknownOrgan, Whole } from './whole';

/** The sheet of a whole taxon, in units. */
export const SHEET = { width: 200, height: 240, left: 0, right: 200 } as const;
/** A sheet, and from where to where across it a whole may be drawn, in units. */
export interface Sheet {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
}

/** Marks and what they show. */
export interface Part {
  /** Characters that these marks were drawn from. */
  readonly of: readonly string[];
  readonly marks: readonly Mark[];
}

export interface TaxonPlate extends Plate {
  /** What each part was drawn from, so that it can be pointed at; in the order of drawing. */
  readonly parts: readonly Part[];
  /** Organs of which nothing is stated: they are drawn as a faint outline. */
  readonly unknown: readonly UnknownOrgan[];
  /** A length on the sheet and what it is in life; none where no size is stated. */
  readonly scale: { readonly units: number; readonly millimetres: number } | undefined;
}

const NICE = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];
const MARGIN = 9;
const boxOfWhole = ({ parts }: Whole) => boxOfSketches(parts.flatMap((part) => part.sketches));

/** Units for a millimetre, so that it fills a sheet. */
export function unitsFor(whole: Whole, sheet: Sheet = SHEET): number {
  if (whole.parts.length === 0) return 1;
  const { left, right, top, bottom } = boxOfWhole(whole);
  return Math.min(
    (sheet.right - sheet.left - 2 * MARGIN) / Math.max(1, right - left),
    (sheet.height - 2 * MARGIN) / Math.max(1, bottom - top),
  );
}

/** Puts what was sketched in millimetres onto the sheet, standing on its lower edge. */
export function onSheet(
  whole: Whole,
  by: number,
  seed: number,
  detail: Detail,
  sheet: Sheet = SHEET,
): TaxonPlate {
  const { width, height } = sheet;
  if (whole.parts.length === 0)
    return { width, height, marks: [], parts: [], unknown: whole.unknown, scale: undefined };
  const box = boxOfWhole(whole);
  const pen = penFor(
    by,
    [(sheet.left + sheet.right) / 2 - ((box.left + box.right) / 2) * by, height - MARGIN - box.bottom * by],
    seed,
    detail,
  );
  const parts = whole.parts
    .map((part): Part => ({ of: part.of, marks: pen.ink(part.sketches) }))
    .filter((part) => part.marks.length > 0);
  const millimetres = NICE.find((mm) => mm * by >= 22) ?? 1000;
  return {
    width,
    height,
    marks: parts.flatMap((part) => part.marks),
    parts,
    unknown: whole.unknown,
    scale: whole.sized ? { units: millimetres * by, millimetres } : undefined,
  };
}
