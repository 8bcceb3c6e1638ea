import type { Context } from '../../case';
import type { Entry, FindEntry } from '../entry';
import type { Edit, EditField, FindRecord, ContextEntry } from './record';

/** Texts that begin with an instant sort as instants do, stamped or not. */
const laterOf = (item: { readonly at: string; readonly stamp?: string | undefined }) => item.stamp ?? item.at;

/**
 * The list with one more, where it belongs by time, and by id where two fell together; the same one again
 * changes nothing.
 */
export function placed<T extends { readonly at: string; readonly stamp?: string | undefined }>(
  list: readonly T[],
  item: T,
  id: (item: T) => string,
): T[] {
  const mine = id(item);
  const rest = list.filter((other) => id(other) !== mine);
  const key = laterOf(item);
  let at = rest.length;
  for (
    let before = rest[at - 1];
    before && (laterOf(before) > key || (laterOf(before) === key && id(before) > mine));
    before = rest[at - 1]
  )
    at -= 1;
  return [...rest.slice(0, at), item, ...rest.slice(at)];
}

/**
 * The list with many more at once, each where it belongs: the same as one after the other, for the price of
 * sorting. Of two with the same id the later one of `items` counts.
 */
export function placedAll<T extends { readonly at: string; readonly stamp?: string | undefined }>(
  list: T[],
  items: readonly T[],
  id: (item: T) => string,
): T[] {
  const [only, ...more] = items;
  if (only === undefined) return list;
  if (more.length === 0) return placed(list, only, id);
  const byId = new Map(list.map((item) => [id(item), item] as const));
  for (const item of items) byId.set(id(item), item);
  const before = ([mine, a]: readonly [string, T], [theirs, b]: readonly [string, T]) =>
    compare(laterOf(a), laterOf(b)) || compare(mine, theirs);
  return [...byId].sort(before).map(([, item]) => item);
}
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

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
 * The context of a find by all its changes: each member as it was changed last. What names no
 * changed members is the whole of it as it then stood.
 */
export function contextOf(contexts: readonly ContextEntry[]): Context {
  const context = new Map<string, unknown>();
  for (const { context: stated, changed } of contexts) {
    if (!changed) context.clear();
    for (const name of changed ?? []) context.delete(name);
    for (const [name, value] of Object.entries(stated))
      if (!changed || (changed as readonly string[]).includes(name)) context.set(name, value);
  }
  return Object.fromEntries(context);
}

/** What was written last into a small field of a find, and what was written there before, newest first. */
export function edited(
  record: Pick<FindRecord, 'edits'>,
  field: EditField,
): { readonly now: Edit | undefined; readonly before: readonly Edit[] } {
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
 * A record with one more entry. An entry that is there already changes nothing, and the order in which
 * entries arrive does not matter once the find itself is there: devices that heard of the same entries hold
 * the same record.
 *
 * @returns undefined for an entry of a find that is not there yet
 */
export function applyEntry(record: FindRecord | undefined, entry: FindEntry): FindRecord | undefined {
  return applyEntries(record, [entry]);
}

type BodyOf<K extends FindEntry['kind']> = Extract<FindEntry, { kind: K }>['body'];
const ofKind = <K extends FindEntry['kind']>(entries: readonly FindEntry[], kind: K) =>
  entries.filter((entry): entry is Extract<FindEntry, { kind: K }> => entry.kind === kind);
const stamped = ({ stamp }: FindEntry) => (stamp === undefined ? {} : { stamp });

/**
 * A record with many more entries, in one sorted pass: the same as one `applyEntry` after another.
 *
 * @returns undefined where the find itself is in neither
 */
export function applyEntries(
  record: FindRecord | undefined,
  entries: readonly FindEntry[],
): FindRecord | undefined {
  const [begins] = ofKind(entries, 'finds');
  const begun = record ?? (begins && emptyRecord(begins.body));
  if (!begun || entries.every(({ kind }) => kind === 'finds')) return begun;
  const bodies = <K extends FindEntry['kind']>(kind: K) =>
    ofKind(entries, kind).map(({ body }) => body as BodyOf<K>);
  const contexts = withContexts(begun, ofKind(entries, 'contexts'));
  const next: FindRecord = {
    ...begun,
    pieces: withPieces(begun.pieces, bodies('pieces')),
    targets: placedAll(
      begun.targets,
      ofKind(entries, 'targets').map((entry) => ({ ...entry.body, ...stamped(entry) })),
      (target) => target.id ?? `${target.at} ${target.taxon}`,
    ),
    ...(contexts === begun.told ? {} : { told: contexts, context: contextOf(contexts) }),
    readings: placedAll(begun.readings, bodies('readings'), idOf),
    withdrawals: withWithdrawals(begun.withdrawals, bodies('withdrawals')),
    skips: placedAll(
      begun.skips,
      bodies('skips').map(({ character, piece, at }) => ({ character, piece, at })),
      (s) => `${s.at} ${s.character} ${s.piece}`,
    ),
    verdicts: withVerdicts(begun.verdicts, ofKind(entries, 'verdicts')),
    decisions: placedAll(
      begun.decisions,
      ofKind(entries, 'decisions').map((entry) => ({ ...entry.body, ...stamped(entry) })),
      idOf,
    ),
    edits: placedAll(
      begun.edits,
      ofKind(entries, 'edits').map((entry) => ({ ...entry.body, ...stamped(entry) })),
      idOf,
    ),
    consents: placedAll(begun.consents, bodies('consents'), idOf),
    asks: placedAll(begun.asks, bodies('asks'), idOf),
    reveals: placedAll(begun.reveals, bodies('reveals'), idOf),
    pictures: placedAll(begun.pictures, bodies('pictures'), idOf),
    drops: placedAll(begun.drops, bodies('drops'), idOf),
    counted: placedAll(begun.counted, bodies('counts'), idOf),
  };
  if (!bodies('edits').some(({ field }) => field === 'placeNote')) return next;
  const { placeNote: _, ...rest } = next;
  const placeNote = placeNoteOf(next);
  return { ...rest, ...(placeNote === undefined ? {} : { placeNote }) };
}

const emptyRecord = (find: BodyOf<'finds'>): FindRecord => ({
  ...find,
  pieces: [],
  targets: [],
  told: [],
  context: {},
  readings: [],
  withdrawals: [],
  skips: [],
  verdicts: [],
  decisions: [],
  edits: [],
  consents: [],
  asks: [],
  reveals: [],
  pictures: [],
  drops: [],
  counted: [],
});

function withPieces(pieces: FindRecord['pieces'], more: readonly BodyOf<'pieces'>[]): FindRecord['pieces'] {
  if (more.length === 0) return pieces;
  const all = placedAll(
    pieces.map((piece) => ({ ...piece, at: piece.startedAt })),
    more.map(({ id, at, purpose }) => ({ id, startedAt: at, purpose, at })),
    idOf,
  );
  return all.map(({ at: _, ...piece }) => piece);
}

function withContexts(
  { told, context, startedAt }: FindRecord,
  more: readonly Extract<FindEntry, { kind: 'contexts' }>[],
): FindRecord['told'] {
  if (more.length === 0) return told;
  // Records of an earlier version say only what stood by then.
  const before =
    told.length > 0 || Object.keys(context).length === 0 ? told : [{ id: 'before', at: startedAt, context }];
  return placedAll(
    before,
    more.map((entry) => ({ ...entry.body, ...stamped(entry) })),
    idOf,
  );
}

/** Taken back on two devices that were apart: it was, from the first time on. */
function withWithdrawals(
  withdrawals: FindRecord['withdrawals'],
  more: readonly BodyOf<'withdrawals'>[],
): FindRecord['withdrawals'] {
  const first = new Map(withdrawals.map(({ reading, at }) => [reading, at] as const));
  const earlier = new Map<(typeof more)[number]['reading'], string>();
  for (const { reading, at } of more) {
    const known = earlier.get(reading) ?? first.get(reading);
    if (known === undefined || at < known) earlier.set(reading, at);
  }
  return placedAll(
    withdrawals,
    [...earlier].map(([reading, at]) => ({ reading, at })),
    ({ reading }) => reading,
  );
}

function withVerdicts(
  verdicts: FindRecord['verdicts'],
  more: readonly Extract<FindEntry, { kind: 'verdicts' }>[],
): FindRecord['verdicts'] {
  const arrivals = new Map<string, FindRecord['verdicts'][number]['arrival']>();
  if (more.length > 0) for (const { id, arrival } of verdicts) if (arrival) arrivals.set(id, arrival);
  return placedAll(
    verdicts,
    more.map((entry) => {
      const { id, at, verdict } = entry.body;
      const arrival = entry.arrival ?? arrivals.get(id);
      if (arrival) arrivals.set(id, arrival);
      return { id, at, verdict, ...(arrival ? { arrival } : {}), ...stamped(entry) };
    }),
    idOf,
  );
}
