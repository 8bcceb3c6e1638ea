import type { CompiledGuide, StageId } from '@pause/core';
import type { Point, WrittenPlate } from '@pause/core/drawing';
import { compiled, type GuideFile } from '../guide';

/** What draws: a program of its own, which the page fetches when it needs it and the worker brings along. */
export type Drawing = typeof import('@pause/core/drawing');

/** Draws whole taxa; in a worker, or where the page itself is. */

let guide: CompiledGuide | undefined;
let file: unknown;

/** Takes the guide that is drawn from. */
export function takeGuide(given: GuideFile): void {
  const raw = 'raw' in given ? given.raw : given;
  if (file === raw) return;
  file = raw;
  guide = compiled(given);
}

/** A character that a number on the plate points at. */
export interface Pointed {
  readonly character: string;
  readonly number: number;
  /** Where the number is drawn, in units of the sheet. */
  readonly at: Point;
  /** The lens that shows it; none where the whole itself does. */
  readonly lens: { readonly at: Point; readonly radius: number } | undefined;
}
/** A large plate with lenses, and numbers at what identifies the taxon. */
export interface Numbered {
  readonly plate: WrittenPlate;
  readonly points: readonly Pointed[];
}

const taxonOf = (id: string) => {
  const taxon = guide?.taxon(id);
  if (!guide || !taxon) throw new RangeError(`taxon: ${id} is not in this guide`);
  return { guide, taxon };
};

/** @throws RangeError for a taxon that the guide does not have */
export function fullPlate(drawing: Drawing, id: string, stage: StageId): WrittenPlate {
  const known = taxonOf(id);
  return drawing.writtenPlate(drawing.taxonPlate(known.guide, known.taxon, stage));
}

/** So many numbers are drawn on the whole itself; a lens has its own. */
const ON_THE_WHOLE = 5;

/**
 * @param room half the width of a number, as a share of the width of the plate
 * @throws RangeError for a taxon that the guide does not have
 */
export function numberedPlate(drawing: Drawing, id: string, stage: StageId, room: number): Numbered {
  const known = taxonOf(id);
  const telling = drawing.tellingCharacters(known.guide, known.taxon, stage);
  const plate = drawing.lensedPlate(known.guide, { taxon: known.taxon, stage }, telling);
  const lenses = new Map(plate.lenses.map((lens) => [lens.character, lens]));
  const onWhole = telling
    .filter((one) => !lenses.has(one) && plate.parts.some((part) => part.of.includes(one)))
    .slice(0, ON_THE_WHOLE);
  const places = new Map<string, Point>([
    ...drawing
      .labels(plate, onWhole, room * plate.width)
      .map(({ character, at }) => [character, at] as const),
    ...plate.lenses.map(({ character, at: [x, y], radius }): readonly [string, Point] => {
      const side = x < plate.width / 2 ? 1 : -1;
      return [character, [x + side * radius * 0.72, y - radius * 0.72]];
    }),
  ]);
  const points = telling.flatMap((character) => {
    const at = places.get(character);
    return at ? [{ character, at, lens: lenses.get(character) }] : [];
  });
  return { plate: drawing.writtenPlate(plate), points: points.map((one, i) => ({ ...one, number: i + 1 })) };
}
