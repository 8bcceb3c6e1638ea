import type { Context } from '../case';
import type { Entry, FindEntry } from '../notebook/entry';
import type { Edit, EditField, FindRecord, Told } from './record';

/** Texts that begin with an instant sort as instants do, stamped or not. */
const laterOf = (item: { readonly at: string; readonly stamp?: string | undefined }) => item.stamp ?? item.at;

/** The list with one more, where it belongs by time, and by id where two fell together; the same one again changes nothing. */
export function placed<T extends { readonly at: string; readonly stamp?: string | undefined }>(list: readonly T[], item: T, id: (item: T) => string): T[] {
  const mine = id(item);
  const rest = list.filter((other) => id(other) !== mine);
  const key = laterOf(item);
  let at = rest.length;
  for (let before = rest[at - 1]; before && (laterOf(before) > key || (laterOf(before) === key && id(before) > mine)); before = rest[at - 1]) at -= 1;
  return [...rest.slice(0, at), item, ...rest.slice(at)];
}

/** Of all entries those of one find. */
export function entriesOf(all: readonly Entry[], find: string): FindEntry[] {
  return all.filter((entry): entry is FindEntry => entry.find === find);
}

/** The finds that entries are of, each once. */
export function findsOf(all: readonly Entry[]): Set<string> {
  return new Set(all.flatMap(({ find }) => (find === undefined ? [] : [find])));
}

const idOf = (item: { readonly id: string }) => item.id;

/**
 * What stands around a find by all that was told of it: each member as it was told last. What names no changed members
 * is the whole of it as it then stood.
 */
export function contextOf(told: readonly Told[]): Context {
  const context = new Map<string, unknown>();
  for (const { context: said, changed } of told) {
    if (!changed) context.clear();
    for (const name of changed ?? []) context.delete(name);
    for (const [name, value] of Object.entries(said)) if (!changed || (changed as readonly string[]).includes(name)) context.set(name, value);
  }
  return Object.fromEntries(context);
}

/** What was written last into a small field of a find, and what was written there before, newest first. */
export function edited(record: FindRecord, field: EditField): { readonly now: Edit | undefined; readonly before: readonly Edit[] } {
  const [now, ...before] = record.edits.filter((edit) => edit.field === field).reverse();
  return { now, before };
}

/** What was written last into a field, or what stood there from the beginning. */
function placeNoteOf(record: FindRecord): string | undefined {
  const { now } = edited(record, 'placeNote');
  if (!now) return record.placeNote;
  return typeof now.value === 'string' ? now.value : undefined;
}

/**
 * A record with one more entry. An entry that is there already changes nothing, and the order in which entries arrive does not matter
 * once the find itself is there: devices that heard of the same entries hold the same record.
 *
 * @returns undefined for an entry of a find that is not there yet
 */
export function applyEntry(record: FindRecord | undefined, entry: FindEntry): FindRecord | undefined {
  const { stamp } = entry;
  const stamped = stamp === undefined ? {} : { stamp };
  if (entry.kind === 'finds') {
    return record ?? {
      ...entry.body, pieces: [], targets: [], told: [], context: {}, readings: [], withdrawals: [], skips: [], verdicts: [], decisions: [], edits: [], consents: [], asks: [], reveals: [], pictures: [], drops: [], counted: [],
    };
  }
  if (!record) return undefined;
  switch (entry.kind) {
    case 'pieces': {
      const { id, at, purpose } = entry.body;
      const pieces = placed(record.pieces.map((piece) => ({ ...piece, at: piece.startedAt })), { id, startedAt: at, purpose, at }, idOf);
      return { ...record, pieces: pieces.map(({ at: _, ...piece }) => piece) };
    }
    case 'targets': {
      const { id, taxon, at } = entry.body;
      return { ...record, targets: placed(record.targets, { id, taxon, at, ...stamped }, (target) => target.id ?? `${target.at} ${target.taxon}`) };
    }
    case 'contexts': {
      const { id, at, context, changed } = entry.body;
      // Records of an earlier version say only what stood by then.
      const before = record.told.length > 0 || Object.keys(record.context).length === 0 ? record.told : [{ id: 'before', at: record.startedAt, context: record.context }];
      const told = placed(before, { id, at, context, ...(changed ? { changed } : {}), ...stamped }, idOf);
      return { ...record, told, context: contextOf(told) };
    }
    case 'readings':
      return { ...record, readings: placed(record.readings, entry.body, idOf) };
    case 'withdrawals': {
      const { reading, at } = entry.body;
      // Taken back on two devices that were apart: it was, from the first time on.
      if (record.withdrawals.some((w) => w.reading === reading && w.at <= at)) return record;
      return { ...record, withdrawals: placed(record.withdrawals, { reading, at }, (w) => w.reading) };
    }
    case 'skips': {
      const { character, piece, at } = entry.body;
      return { ...record, skips: placed(record.skips, { character, piece, at }, (s) => `${s.at} ${s.character} ${s.piece}`) };
    }
    case 'verdicts': {
      const { id, at, verdict } = entry.body;
      const known = record.verdicts.find((v) => v.id === id)?.arrival;
      const arrival = entry.arrival ?? known;
      return { ...record, verdicts: placed(record.verdicts, { id, at, verdict, ...(arrival ? { arrival } : {}), ...stamped }, idOf) };
    }
    case 'decisions':
      return { ...record, decisions: placed(record.decisions, { ...entry.body, ...stamped }, idOf) };
    case 'consents':
      return { ...record, consents: placed(record.consents, entry.body, idOf) };
    case 'asks':
      return { ...record, asks: placed(record.asks, entry.body, idOf) };
    case 'reveals':
      return { ...record, reveals: placed(record.reveals, entry.body, idOf) };
    case 'pictures':
      return { ...record, pictures: placed(record.pictures, entry.body, idOf) };
    case 'counts':
      return { ...record, counted: placed(record.counted, entry.body, idOf) };
    case 'drops':
      return { ...record, drops: placed(record.drops, entry.body, idOf) };
    case 'edits': {
      const whole = { ...record, edits: placed(record.edits, { ...entry.body, ...stamped }, idOf) };
      const { placeNote: _, ...rest } = whole;
      const placeNote = placeNoteOf(whole);
      return entry.body.field === 'placeNote' ? { ...rest, ...(placeNote === undefined ? {} : { placeNote }) } : whole;
    }
  }
}
