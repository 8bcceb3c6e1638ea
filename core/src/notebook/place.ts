import type { FindEntry, PageEntry } from './entry';
import { edited } from './find';
import type { FindRecord, Position } from './find/record';
import { currentFields } from './page/currentFields';
import type { PageRecord } from './page/fold';
import { middleOf } from './page/shape';

/**
 * Side of the squares that are shown for a place instead of the place itself, in degrees; about eleven
 * kilometres from south to north.
 */
const CELL_DEGREES = 0.1;
const METRES_PER_DEGREE = 111_320;

/**
 * The square that a place lies in, as its middle with an uncertainty that reaches its corners. Every place of
 * one square gives the same. Members are Darwin Core terms.
 */
export function coarse({ decimalLatitude, decimalLongitude }: Position): Position {
  const middle = (degrees: number, most: number) =>
    Math.min(most, Number(((Math.floor(degrees / CELL_DEGREES) + 0.5) * CELL_DEGREES).toFixed(2)));
  const half = (CELL_DEGREES / 2) * METRES_PER_DEGREE;
  return {
    decimalLatitude: middle(decimalLatitude, 90),
    decimalLongitude: middle(decimalLongitude, 180),
    coordinateUncertaintyInMeters: Math.ceil(Math.hypot(half, half)),
  };
}

/** Of a find, what decides who may see where it was. */
export type Placed = Pick<FindRecord, 'person' | 'edits'>;

/**
 * The same with only what was chosen last, so that whoever asks it of every entry does not go through all
 * that was ever written.
 */
export function chosenLast(record: Placed): Placed {
  const edits = (['exactFor', 'others'] as const).flatMap((field) => edited(record, field).now ?? []);
  return { person: record.person, edits };
}

/**
 * Whether a person may see exactly where a find was. The finder always is; others only as the finder chose
 * last.
 */
export function seesExactPlace(record: Placed, reader: string): boolean {
  if (record.person === reader) return true;
  const chosen = edited(record, 'exactFor').now?.value;
  return chosen === 'group' || (Array.isArray(chosen) && chosen.includes(reader));
}

/** Whether others may see the square it lies in. */
function isPlacedCoarsely(record: Placed): boolean {
  return edited(record, 'others').now?.value === 'cell';
}

/** An entry as a reader may see it: what gives the place away is left out, or becomes a square. */
export function entryFor(entry: FindEntry, record: Placed, reader: string): FindEntry {
  if (seesExactPlace(record, reader)) return entry;
  if (entry.kind === 'finds') {
    const { placeNote, ...body } = entry.body;
    return placeNote === undefined ? entry : { ...entry, body };
  }
  if (entry.kind !== 'edits') return entry;
  const { body } = entry;
  if (body.field === 'exactFor' && Array.isArray(body.value))
    return { ...entry, body: { ...body, value: body.value.filter((person) => person === reader) } };
  if (body.field === 'placePage' && body.value !== null)
    return { ...entry, body: { ...body, value: null, withheld: true } };
  if (body.field === 'placeNote' && body.value !== null)
    return { ...entry, body: { ...body, value: null, withheld: true } };
  if (body.field === 'position' && body.value !== null)
    return {
      ...entry,
      body: { ...body, value: isPlacedCoarsely(record) ? coarse(body.value) : null, withheld: true },
    };
  return entry;
}

/**
 * Whether a person may see everything of a place in a group's notebook: who keeps it is, others as that one
 * chose last.
 */
export function seesExactShape(page: PageRecord, reader: string): boolean {
  if (page.kind !== 'place' || page.group === undefined || page.person === reader) return true;
  const chosen = currentFields(page, 'place').exactFor;
  return chosen === 'group' || (Array.isArray(chosen) && chosen.includes(reader));
}

/** What others learn of a place whatever was chosen: only that choice. */
const OPEN_FIELDS: readonly string[] = ['exactFor', 'others'];

/**
 * An entry of a page as a reader may see it. Of a place that this reader may not see, the shape is left out
 * or becomes a square, every other field is left out, and of what was seen there only what
 * and when.
 */
export function pageEntryFor(entry: PageEntry, page: PageRecord, reader: string): PageEntry {
  if (seesExactShape(page, reader)) return entry;
  if (entry.kind === 'sightings') {
    const { note: _, ...body } = entry.body;
    return { ...entry, body };
  }
  if (entry.kind !== 'fields') return entry;
  const { body } = entry;
  if (body.field === 'exactFor' && Array.isArray(body.value))
    return { ...entry, body: { ...body, value: body.value.filter((person) => person === reader) } };
  if (OPEN_FIELDS.includes(body.field) || body.value === null) return entry;
  if (body.field === 'shape' && currentFields(page, 'place').others === 'cell') {
    const [decimalLongitude, decimalLatitude] = middleOf(body.value);
    const square = coarse({ decimalLatitude, decimalLongitude });
    return {
      ...entry,
      body: {
        ...body,
        value: { type: 'Point', coordinates: [square.decimalLongitude, square.decimalLatitude] },
        withheld: true,
      },
    };
  }
  return { ...entry, body: { ...body, value: null, withheld: true } };
}
