import type { FieldsOf } from '@pause/core';
import { type Day, isoOf } from '@pause/core/lib/day';
import type { GeoPosition, Geometry } from '@pause/core/notebook/page';
import { areaOf, lengthOf } from '@pause/core/notebook/page/shape';
import type { PickingReason } from '@pause/core/outings';
import type { When, Why } from '@pause/core/season';
import { formatBy } from './days';
import { CommonName, upper } from './names';

/** Plain words for places and for what comes when. */

type Fields = FieldsOf<'place'>;

const dayOfYear = formatBy({ day: 'numeric', month: 'long', timeZone: 'UTC' });
const dayAndYear = formatBy({ day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });
const atNoon = (iso: string) => new Date(`${iso}T12:00:00Z`);
export const dayName = (day: Day): string => dayOfYear(atNoon(isoOf(day)));
export const isoDayName = (iso: string): string => dayAndYear(atNoon(iso));
export const metres = (number: number): string => `${Math.round(number).toLocaleString()}\u00A0m`;

export const WHEN: Readonly<Record<When, string>> = {
  last: 'Last chance',
  now: 'Now',
  soon: 'Soon',
  later: 'Later this year',
};

export const ASPECT: Readonly<Record<Fields['aspect'], string>> = {
  flat: 'Level',
  n: 'North',
  ne: 'North-east',
  e: 'East',
  se: 'South-east',
  s: 'South',
  sw: 'South-west',
  w: 'West',
  nw: 'North-west',
};

export const SHADE: Readonly<Record<Fields['shade'], string>> = {
  open: 'Open',
  half: 'Half shade',
  shaded: 'Shaded',
};

export const MOISTURE: Readonly<Record<Fields['moisture'], string>> = {
  dry: 'Dry',
  fresh: 'Fresh',
  moist: 'Moist',
  wet: 'Wet',
};

export const SOIL: Readonly<Record<Fields['soil'][number], string>> = {
  calcareous: 'Lime',
  acid: 'Acid',
  sand: 'Sand',
  loam: 'Loam',
  clay: 'Clay',
  peat: 'Peat',
  stones: 'Stones',
  rich: 'Rich',
  disturbed: 'Disturbed',
};

export const TREE: Readonly<Record<Fields['trees'][number], string>> = {
  beech: 'Beech',
  oak: 'Oak, sweet chestnut',
  birch: 'Birch',
  hornbeam: 'Hornbeam, hazel',
  spruce: 'Spruce, fir',
  pine: 'Pine',
  larch: 'Larch',
  ash: 'Ash, elm, fruit trees',
};

export const HABITAT: Readonly<Record<Fields['habitat'][number], string>> = {
  'deciduous-wood': 'Broadleaved wood',
  'conifer-wood': 'Conifer wood',
  'mixed-wood': 'Mixed wood',
  'wood-edge': 'Edge of a wood',
  hedge: 'Hedge',
  meadow: 'Meadow',
  pasture: 'Pasture',
  heath: 'Heath',
  bank: 'Bank of water',
  bog: 'Bog',
  scree: 'Scree',
  garden: 'Garden',
  'field-edge': 'Edge of a field',
  wayside: 'Wayside',
};

export const SPOIL: Readonly<Record<Fields['spoils'][number], string>> = {
  road: 'Road',
  spray: 'Sprayed',
  flood: 'Floods',
  dogs: 'Dogs',
  grazing: 'Grazed',
  industry: 'Industry',
  dump: 'Dump',
};

export const HAZARD: Readonly<Record<Fields['hazards'][number], string>> = {
  steep: 'Steep',
  tidal: 'Tide',
  bog: 'Bog',
  ditch: 'Ditch',
  wasps: 'Wasps',
  ticks: 'Ticks',
  rockfall: 'Rockfall',
  traffic: 'Traffic',
  stream: 'Stream',
  livestock: 'Cattle',
};

export const PICKING: Readonly<Record<Fields['picking']['may'], string>> = {
  yes: 'Yes',
  ask: 'Ask first',
  permit: 'With a permit',
  no: 'No',
};

/** Where a place lies, in a line. */
export function siteWords({ elevation, aspect, shade }: Partial<Fields>): string {
  return [
    elevation === undefined ? undefined : metres(elevation),
    aspect === undefined || aspect === 'flat' ? undefined : `${ASPECT[aspect].toLowerCase()} slope`,
    shade === undefined || shade === 'open' ? undefined : SHADE[shade].toLowerCase(),
  ]
    .filter(Boolean)
    .join(' · ');
}

const UNIT = {
  g: ['g', 'g'],
  litre: ['litre', 'litres'],
  piece: ['piece', 'pieces'],
  handful: ['handful', 'handfuls'],
} as const;

const amountWords = ({ amount, unit }: { readonly amount: number; readonly unit: keyof typeof UNIT }) =>
  `${amount}\u00A0${UNIT[unit][amount === 1 ? 0 : 1]}`;

/** Whether one may pick at a place, in two words. @param today a day like 2026-09-14 */
export function mayWords({ picking }: Partial<Fields>, today: string): string {
  if (picking?.may !== 'permit') return PICKING[picking?.may ?? 'ask'];
  if (picking.permitUntil === undefined) return 'Needs a permit';
  return picking.permitUntil < today ? 'Permit ended' : PICKING.permit;
}

const HECTARE = 10_000;

/** How large the ground within a ring is. */
export function areaWords(ring: readonly GeoPosition[]): string {
  const area = areaOf(ring);
  return area >= HECTARE / 10
    ? `${(area / HECTARE).toLocaleString(undefined, { maximumSignificantDigits: 2 })}\u00A0hectares`
    : `${Math.round(area).toLocaleString()}\u00A0square metres`;
}

/** Where it was drawn. */
export function shapeWords(shape: Geometry): string {
  if (shape.type === 'LineString') return `A line of ${metres(lengthOf(shape.coordinates))}`;
  if (shape.type === 'Polygon') return `An area of ${areaWords(shape.coordinates[0] ?? [])}`;
  return `${shape.coordinates[1].toFixed(4)}, ${shape.coordinates[0].toFixed(4)}`;
}

export function pickingWords(reason: PickingReason): string {
  switch (reason.code) {
    case 'not-told':
      return 'Nobody has recorded yet whether picking is allowed here: ask first.';
    case 'ask-first':
      return reason.owner === undefined ? 'Ask the owner first.' : `Ask first: ${reason.owner}.`;
    case 'forbidden':
      return reason.owner === undefined
        ? 'Picking is not allowed here.'
        : `${reason.owner} does not allow picking.`;
    case 'permit-missing':
      return 'A permit is needed, and none is put down.';
    case 'permit-ended':
      return `The permit ended on ${isoDayName(reason.on)}.`;
    case 'permit-ends':
      return `The permit ends on ${isoDayName(reason.on)}.`;
    case 'old':
      return `This is known from ${isoDayName(reason.on)}: ask again.`;
    case 'allowance': {
      const { taxon, part, may, perDay } = reason.allowance;
      const what =
        [taxon === undefined ? undefined : CommonName(taxon), part?.split('-').join(' ')]
          .filter(Boolean)
          .join(', ') || 'Everything';
      return may === 'no'
        ? `${upper(what)}: not here.`
        : `${upper(what)}: yes${perDay ? `, up to ${amountWords(perDay)} a day` : ''}.`;
    }
  }
}

const days = (count: number) => (Math.abs(count) === 1 ? 'a day' : `${Math.abs(count)} days`);
const LEAST = 3;

/** Why it comes when it comes; nothing where it comes as usual. */
export function whyWords({ place, records, year, metres: higher, warmer }: Why): string {
  const parts: string[] = [];
  if (Math.abs(place) >= LEAST) {
    const because = [
      Math.abs(higher) >= 50 ? `${metres(Math.abs(higher))} ${higher > 0 ? 'higher' : 'lower'}` : undefined,
      warmer.aspect === 0 ? undefined : warmer.aspect > 0 ? 'faces the sun' : 'faces away from the sun',
      warmer.shade < 0 ? 'shaded' : undefined,
    ]
      .filter(Boolean)
      .join(', ');
    parts.push(
      `${days(place)} ${place < 0 ? 'earlier' : 'later'} than on open ground in the valley${because ? `: ${because}` : ''}`,
    );
  }
  if (Math.abs(records) >= LEAST)
    parts.push(
      `${days(records)} ${records < 0 ? 'earlier' : 'later'} than the guide has it, by what was seen`,
    );
  if (Math.abs(year) >= LEAST) parts.push(`this year ${days(year)} ${year < 0 ? 'early' : 'late'}`);
  const first = parts.slice(0, 2).join('; ');
  return first === '' ? '' : `${first.charAt(0).toUpperCase()}${first.slice(1)}.`;
}
