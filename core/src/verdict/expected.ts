import type { Context } from '../case';
import type { CompiledTaxon, Relation, StageId } from '../guide';

/**
 * What the calendar and the height above the sea say of a taxon, each like a reading: they order and raise
 * doubts, and never rule out.
 */
export interface Expected {
  readonly season: Relation;
  readonly height: Relation;
}

/** Metres by which a band is passed before it is a doubt: slopes and springs differ. */
const HEIGHT_LEEWAY = 150;

/** Months from one to the other, both included; November to February runs over the year's end. */
function monthsAway(month: number, [from, to]: readonly [number, number]): number {
  const within = from <= to ? month >= from && month <= to : month >= from || month <= to;
  if (within) return 0;
  const round = (a: number, b: number) => Math.min((a - b + 12) % 12, (b - a + 12) % 12);
  return Math.min(round(month, from), round(month, to));
}

/**
 * How month and height stand to what the guide says of these stages of a taxon. `strains`: one month beside
 * the usual ones, or a little beyond the band: years and slopes differ. `silent`: nothing was recorded, or
 * nothing is reported.
 */
export function expectedHere(
  { taxon }: CompiledTaxon,
  stages: readonly StageId[] | undefined,
  { month, elevation }: Pick<Context, 'month' | 'elevation'>,
): Expected {
  const seasons = (taxon.phenology ?? []).filter((p) => stages === undefined || stages.includes(p.stage));
  const complete =
    seasons.length > 0 &&
    (stages ?? taxon.stages).every(
      (stage) => !taxon.stages.includes(stage) || seasons.some((p) => p.stage === stage),
    );
  if (!complete) return { season: 'silent', height: 'silent' };
  const beyond = (p: (typeof seasons)[number]) =>
    elevation === undefined ? 0 : Math.max(p.elevation[0] - elevation, elevation - p.elevation[1], 0);
  const nearest = Math.min(...seasons.map(beyond));
  const height: Relation =
    elevation === undefined
      ? 'silent'
      : nearest === 0
        ? 'fits'
        : nearest <= HEIGHT_LEEWAY
          ? 'strains'
          : 'against';
  if (month === undefined) return { season: 'silent', height };
  const away = Math.min(
    ...seasons.filter((p) => beyond(p) === nearest).map((p) => monthsAway(month, p.months)),
  );
  return { season: away === 0 ? 'fits' : away === 1 ? 'strains' : 'against', height };
}
