import { edited } from '../find/fold';
import type { FindRecord, Position } from '../find/record';
import type { Entry } from './entry';

/** Side of the squares that stand for a place where it is not told exactly, in degrees; about eleven kilometres from south to north. */
const CELL_DEGREES = 0.1;
const METRES_PER_DEGREE = 111_320;

/**
 * The square that a place lies in, as its middle with an uncertainty that reaches its corners. Every place of one square gives the same.
 * Members are Darwin Core terms.
 */
export function coarse({ decimalLatitude, decimalLongitude }: Position): Position {
  const middle = (degrees: number, most: number) => Math.min(most, Number(((Math.floor(degrees / CELL_DEGREES) + 0.5) * CELL_DEGREES).toFixed(2)));
  const half = (CELL_DEGREES / 2) * METRES_PER_DEGREE;
  return {
    decimalLatitude: middle(decimalLatitude, 90), decimalLongitude: middle(decimalLongitude, 180),
    coordinateUncertaintyInMeters: Math.ceil(Math.hypot(half, half)),
  };
}

/** Whether a person is told exactly where a find was. The finder always is; others only as the finder chose last. */
export function toldExactly(record: FindRecord, reader: string): boolean {
  if (record.person === reader) return true;
  const chosen = edited(record, 'exactFor').now?.value;
  return chosen === 'group' || (Array.isArray(chosen) && chosen.includes(reader));
}

/** Whether others are told the square it lies in. */
function toldCoarsely(record: FindRecord): boolean {
  return edited(record, 'others').now?.value === 'cell';
}

/** An entry as a reader may see it: what tells the place is left out, or told as a square. */
export function entryFor(entry: Entry, record: FindRecord, reader: string): Entry {
  if (toldExactly(record, reader)) return entry;
  if (entry.kind === 'finds') {
    const { placeNote, ...body } = entry.body;
    return placeNote === undefined ? entry : { ...entry, body };
  }
  if (entry.kind !== 'edits') return entry;
  const { body } = entry;
  if (body.field === 'exactFor' && Array.isArray(body.value)) return { ...entry, body: { ...body, value: body.value.filter((person) => person === reader) } };
  if (body.field === 'placeNote' && body.value !== null) return { ...entry, body: { ...body, value: null, withheld: true } };
  if (body.field === 'position' && body.value !== null) return { ...entry, body: { ...body, value: toldCoarsely(record) ? coarse(body.value) : null, withheld: true } };
  return entry;
}
