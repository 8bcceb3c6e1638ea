import type { FieldsOf } from '@pause/core';
import { type Day, isoOf } from '@pause/core/lib/day';
import type { GeoPosition, Geometry } from '@pause/core/notebook/page';
import { areaOf, lengthOf } from '@pause/core/notebook/page/shape';
import type { PickingReason } from '@pause/core/outings';
import type { When, Why } from '@pause/core/season';
import { formatBy } from './days';
import { t } from './en/places';
import { CommonName, upper, partOfAny } from './names';
import { amountIn, type Unit } from './units';

/** Plain words for places and for what comes when. */

type Fields = FieldsOf<'place'>;

const dayOfYear = formatBy({ day: 'numeric', month: 'long', timeZone: 'UTC' });
const dayAndYear = formatBy({ day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });
const atNoon = (iso: string) => new Date(`${iso}T12:00:00Z`);
export const dayName = (day: Day): string => dayOfYear(atNoon(isoOf(day)));
export const isoDayName = (iso: string): string => dayAndYear(atNoon(iso));
export const metres = (number: number): string => `${Math.round(number).toLocaleString()}\u00A0m`;

export const WHEN: Readonly<Record<When, string>> = {
  last: t.lastChance,
  now: t.now,
  soon: t.soon,
  later: t.laterThisYear,
};

export const ASPECT: Readonly<Record<Fields['aspect'], string>> = {
  flat: t.level,
  n: t.north,
  ne: t.northEast,
  e: t.east,
  se: t.southEast,
  s: t.south,
  sw: t.southWest,
  w: t.west,
  nw: t.northWest,
};

export const SHADE: Readonly<Record<Fields['shade'], string>> = {
  open: t.open,
  half: t.halfShade,
  shaded: t.shaded,
};

export const MOISTURE: Readonly<Record<Fields['moisture'], string>> = {
  dry: t.dry,
  fresh: t.fresh,
  moist: t.moist,
  wet: t.wet,
};

export const SOIL: Readonly<Record<Fields['soil'][number], string>> = {
  calcareous: t.lime,
  acid: t.acid,
  sand: t.sand,
  loam: t.loam,
  clay: t.clay,
  peat: t.peat,
  stones: t.stones,
  rich: t.rich,
  disturbed: t.disturbed,
};

export const TREE: Readonly<Record<Fields['trees'][number], string>> = {
  beech: t.beech,
  oak: t.oakSweetChestnut,
  birch: t.birch,
  hornbeam: t.hornbeamHazel,
  spruce: t.spruceFir,
  pine: t.pine,
  larch: t.larch,
  ash: t.ashElmFruitTrees,
};

export const HABITAT: Readonly<Record<Fields['habitat'][number], string>> = {
  'deciduous-wood': t.broadleavedWood,
  'conifer-wood': t.coniferWood,
  'mixed-wood': t.mixedWood,
  'wood-edge': t.edgeOfAWood,
  hedge: t.hedge,
  meadow: t.meadow,
  pasture: t.pasture,
  heath: t.heath,
  bank: t.bankOfWater,
  bog: t.bog,
  scree: t.scree,
  garden: t.garden,
  'field-edge': t.edgeOfAField,
  wayside: t.wayside,
};

export const SPOIL: Readonly<Record<Fields['spoils'][number], string>> = {
  road: t.road,
  spray: t.sprayed,
  flood: t.floods,
  dogs: t.dogs,
  grazing: t.grazed,
  industry: t.industry,
  dump: t.dump,
};

export const HAZARD: Readonly<Record<Fields['hazards'][number], string>> = {
  steep: t.steep,
  tidal: t.tide,
  bog: t.bog,
  ditch: t.ditch,
  wasps: t.wasps,
  ticks: t.ticks,
  rockfall: t.rockfall,
  traffic: t.traffic,
  stream: t.stream,
  livestock: t.cattle,
};

export const PICKING: Readonly<Record<Fields['picking']['may'], string>> = {
  yes: t.yes,
  ask: t.askFirst,
  permit: t.withAPermit,
  no: t.no,
};

/** Where a place lies, in a line. */
export function siteWords({ elevation, aspect, shade }: Partial<Fields>): string {
  return [
    elevation === undefined ? undefined : metres(elevation),
    aspect === undefined || aspect === 'flat' ? undefined : t.slope(ASPECT[aspect].toLowerCase()),
    shade === undefined || shade === 'open' ? undefined : SHADE[shade].toLowerCase(),
  ]
    .filter(Boolean)
    .join(' · ');
}

const amountWords = ({ amount, unit }: { readonly amount: number; readonly unit: Unit }) =>
  amountIn(unit, amount);

/** Whether one may pick at a place, in two words. @param today a day like 2026-09-14 */
export function mayWords({ picking }: Partial<Fields>, today: string): string {
  if (picking?.may !== 'permit') return PICKING[picking?.may ?? 'ask'];
  if (picking.permitUntil === undefined) return t.needsAPermit;
  return picking.permitUntil < today ? t.permitEnded : PICKING.permit;
}

const HECTARE = 10_000;

/** How large the ground within a ring is. */
export function areaWords(ring: readonly GeoPosition[]): string {
  const area = areaOf(ring);
  return area >= HECTARE / 10
    ? t.hectares((area / HECTARE).toLocaleString(undefined, { maximumSignificantDigits: 2 }))
    : t.squareMetres(Math.round(area).toLocaleString());
}

/** Where it was drawn. */
export function shapeWords(shape: Geometry): string {
  if (shape.type === 'LineString') return t.aLineOf(metres(lengthOf(shape.coordinates)));
  if (shape.type === 'Polygon') return t.anAreaOf(areaWords(shape.coordinates[0] ?? []));
  return `${shape.coordinates[1].toFixed(4)}, ${shape.coordinates[0].toFixed(4)}`;
}

export function pickingWords(reason: PickingReason): string {
  switch (reason.code) {
    case 'not-known':
      return t.nobodyHasRecordedYetWhether;
    case 'ask-first':
      return reason.owner === undefined ? t.askTheOwnerFirst : t.askOwnerFirst(reason.owner);
    case 'forbidden':
      return reason.owner === undefined ? t.pickingIsNotAllowedHere : t.doesNotAllowPicking(reason.owner);
    case 'permit-missing':
      return t.aPermitIsNeededAnd;
    case 'permit-ended':
      return t.thePermitEndedOn(isoDayName(reason.on));
    case 'permit-ends':
      return t.thePermitEndsOn(isoDayName(reason.on));
    case 'old':
      return t.thisIsKnownFromAsk(isoDayName(reason.on));
    case 'allowance': {
      const { taxon, part, may, perDay } = reason.allowance;
      const what =
        [taxon === undefined ? undefined : CommonName(taxon), part && partOfAny(part)]
          .filter(Boolean)
          .join(', ') || t.everything;
      return may === 'no'
        ? t.notHere(upper(what))
        : perDay
          ? t.answeredYesUpTo(upper(what), amountWords(perDay))
          : t.answeredYes(upper(what));
    }
  }
}

const days = (count: number) => t.days(Math.abs(count));
const LEAST = 3;

/** Why it comes when it comes; nothing where it comes as usual. */
export function whyWords({ place, records, year, metres: higher, warmer }: Why): string {
  const parts: string[] = [];
  if (Math.abs(place) >= LEAST) {
    const because = [
      Math.abs(higher) >= 50 ? `${metres(Math.abs(higher))} ${higher > 0 ? t.higher : t.lower}` : undefined,
      warmer.aspect === 0 ? undefined : warmer.aspect > 0 ? t.facesTheSun : t.facesAwayFromTheSun,
      warmer.shade < 0 ? t.shadedPlace : undefined,
    ]
      .filter(Boolean)
      .join(', ');
    parts.push(
      t.thanOnOpenGroundIn(days(place), place < 0 ? t.earlier : t.later, because ? `: ${because}` : ''),
    );
  }
  if (Math.abs(records) >= LEAST)
    parts.push(t.thanTheGuideHasIt(days(records), records < 0 ? t.earlier : t.later));
  if (Math.abs(year) >= LEAST) parts.push(t.thisYear(days(year), year < 0 ? t.early : t.late));
  const first = parts.slice(0, 2).join('; ');
  return first === '' ? '' : `${first.charAt(0).toUpperCase()}${first.slice(1)}.`;
}
