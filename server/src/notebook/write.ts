import { createHash } from 'node:crypto';
import { applyEntries, canonicalJson, findsOf, type CompiledGuide, type FindRecord, type PageKind, type Policy } from '@pause/core';
import { applyToPage, isInTime, MOST_AHEAD_MS, nextStamp, tellsTime, tooFarAhead, type Arrival, type Entry, type FindEntry, type Stamp } from '@pause/core/notebook';
import { descendantOf } from '@pause/core/pantry';
import { sql } from 'kysely';
import { groupOf, groupStream, mayRead, noSuchFind, noSuchPage, notSignedIn, ownStream, type Actor } from '../access';
import type { Db } from '../db';
import type { Role } from '../db/schema';
import { settleGroups, withReviews } from '../groups';
import { forget } from '../pictures';
import { invalid, Problem, tooBusy, type FieldProblem } from '../problem';
import { checkEntry, checkFind } from './check';
import { checkPage, sourcesIn } from './checkPage';
import { entryKey } from './ids';
import { judgeHere, type Judge } from './judge';
import { noted, onRecordOf, pageOutlines } from './onRecord';
import { aboutOf, writtenBy, type Quotas } from './quotas';
import { casesOf, keepEnds } from './read';

/** The transaction in which entries are put on record. */

/** What became of one entry. */
export type Pushed =
  | {
    readonly status: 'added' | 'known'; readonly stream: string; readonly seq: number; readonly stamp: Stamp; readonly arrival?: Arrival; readonly number?: number;
    /** When it was told by the notebook's clock, where the clock of the device was wrong. */
    readonly at?: string;
  }
  | { readonly status: 'refused'; readonly problem: Problem };

export interface PushOptions {
  readonly guide: CompiledGuide;
  /** Now, by the notebook's clock, in milliseconds. */
  readonly now: number;
  /** Hears of asks once they are on record. */
  readonly asked?: (find: string, ask: string, of: string) => Promise<void>;
  /** Puts it into the queue in the same transaction: what is on record is asked again, whoever is killed. */
  readonly recheck?: (what: Moved, transaction: Db) => Promise<void>;
  /** Works out what this server reaches where a verdict arrives. */
  readonly judge?: Judge;
  /** Whoever asked is gone: nothing is put on record for them. */
  readonly signal?: AbortSignal;
  readonly quotas?: Quotas;
}
/** Of what something was told that may change whether it stands: finds that were collected, with their notebooks, harvests that strays were found in, and groups with other rules. */
export interface Moved {
  readonly finds: readonly string[];
  readonly streams: readonly string[];
  readonly harvests: readonly string[];
  readonly groups: readonly string[];
}
/** What is told of a find that could change its verdict, or what was decided on it. */
export const MOVES: readonly Entry['kind'][] = ['pieces', 'targets', 'contexts', 'readings', 'withdrawals', 'skips', 'decisions'];

const SERVER = 'server';
const keyOf = (kind: string, id: string) => `${kind} ${id}`;
const begins = (entry: Entry) => entry.kind === 'finds' || entry.kind === 'pages';
/** The same as `contentHash`, by Node.js' own and faster SHA-256. */
const hashOfContent = (content: unknown) => createHash('sha256').update(canonicalJson(content)).digest('hex');
export const hashOf = (entry: Entry) => hashOfContent(begins(entry) ? entry.body : { ...entry.body, ...(entry.find === undefined ? { page: entry.page } : { find: entry.find }) });
const notThere = (entry: Entry) => (entry.find === undefined ? noSuchPage(entry.page) : noSuchFind(entry.find));
/** The notebook in which a find or a page begins. */
const streamOfNew = (entry: Entry, person: string) => (
  entry.kind === 'finds' || entry.kind === 'pages' ? (entry.body.group === undefined ? ownStream(person) : groupStream(entry.body.group)) : undefined
);
const atField = (entry: Entry) => (entry.kind === 'finds' ? 'startedAt' : 'at');
const toldAt = (entry: Entry): string => (entry.kind === 'finds' ? entry.body.startedAt : entry.body.at);
const movedTo = (entry: Entry, at: string): Entry => ({ ...entry, body: { ...entry.body, [atField(entry)]: at } }) as Entry;
/** No entry is larger, in letters of its JSON: a verdict on a long guide is less than half of it. The photos of a lesson go with it. */
const MOST_LETTERS = 64 * 1024;
const MOST_LETTERS_OF_PHOTOS = 900 * 1024;
const mostLetters = (entry: Entry) => (entry.kind === 'fields' && entry.body.of === 'lesson' && entry.body.field === 'photos' ? MOST_LETTERS_OF_PHOTOS : MOST_LETTERS);
const refused = (problem: Problem): Pushed => ({ status: 'refused', problem });
const taken = (id: string) => new Problem(409, 'duplicate-id', `id: "${id}" is taken by something else`, [{ field: 'id', reason: 'this id was used before, with other content' }]);

/** What one device sends, of one person. */
export interface Sending {
  readonly actor: Actor;
  readonly entries: readonly Entry[];
  readonly options: PushOptions;
}

export interface Scope {
  /** The streams of finds and pages that were there already. What has begun stays where it is. */
  readonly begun: ReadonlyMap<string, string>;
  readonly finds: readonly string[];
  readonly pageIds: readonly string[];
  /** Streams that are written into, by each. */
  readonly wanted: readonly (readonly string[])[];
}

/** What of finds and pages is there, and which notebooks several sendings write into. */
export async function scopeOf(db: Db, sendings: readonly Sending[]): Promise<Scope> {
  const entries = sendings.flatMap((one) => one.entries);
  const finds = [...findsOf(entries)];
  const pageIds = [...new Set(entries.flatMap((entry) => entry.page ?? []))];
  const begun = await heads(db, finds, pageIds);
  const wanted = sendings.map((sending) => [...new Set(sending.entries.flatMap((entry) => {
    const stream = begun.get(aboutOf(entry)) ?? streamOfNew(entry, sending.actor.person);
    return stream !== undefined && mayRead(sending.actor, stream) ? [stream] : [];
  }))]);
  return { begun, finds, pageIds, wanted };
}

/** Writes for one, and waits for the notebooks as long as it takes. */
export async function writeOne(db: Db, sending: Sending, scope: Scope): Promise<Pushed[]> {
  return db.transaction().execute(async (transaction) => {
    // Whoever deletes their account holds the person first and the notebooks afterwards. So does this, and neither waits for the other for ever.
    const person = await transaction.selectFrom('people').select('left_at').where('id', '=', sending.actor.person).forShare().executeTakeFirst();
    if (!person || person.left_at !== null) throw notSignedIn();
    const [pushed] = await write(transaction, [sending], scope, await hold(transaction, [...scope.wanted[0] ?? []].sort()));
    return pushed ?? [];
  });
}

/**
 * Writes for several at once, and waits for nobody: one transaction costs about as much for many small sendings as for one.
 *
 * @returns what became of the entries of each; nothing for a sending that has to be written by itself, because somebody holds what it needs
 */
export async function writeTogether(db: Db, sendings: readonly Sending[], scope: Scope): Promise<(Pushed[] | undefined)[]> {
  return db.transaction().execute(async (transaction) => {
    const people = await transaction.selectFrom('people').select('id').where('id', 'in', [...new Set(sendings.map(({ actor }) => actor.person))]).where('left_at', 'is', null).orderBy('id').forShare().skipLocked().execute();
    const present = new Set(people.map(({ id }) => id));
    const last = await holdFree(transaction, [...new Set(scope.wanted.flat())].sort());
    const free = sendings.map(({ actor, options }, index) => present.has(actor.person) && options.signal?.aborted !== true && (scope.wanted[index] ?? []).every((stream) => last.has(stream)));
    const mine = sendings.filter((_, index) => free[index]);
    if (mine.length === 0) return sendings.map(() => undefined);
    const written = await write(transaction, mine, { ...scope, wanted: scope.wanted.filter((_, index) => free[index]) }, last);
    let next = 0;
    return free.map((one) => (one ? written[next++] : undefined));
  });
}

/** @param last of each notebook that is held, how far it has got */
async function write(transaction: Db, sendings: readonly Sending[], { begun, finds, pageIds, wanted: wantedByEach }: Scope, last: Map<string, number>): Promise<Pushed[][]> {
  const entries = sendings.flatMap((sending) => sending.entries);
  const wanted = [...new Set(wantedByEach.flat())];
  const sources = [...new Set(entries.flatMap((entry) => (entry.kind === 'fields' ? sourcesIn(entry.body.field, entry.body.value) : [])))];
  // Read again now that nobody else can add to these streams.
  const head = new Map([...begun, ...await heads(transaction, finds.filter((id) => !begun.has(`find ${id}`)), pageIds.filter((id) => !begun.has(`page ${id}`)))]);
  const above = await heads(transaction, sources, sources);
  const parents = await parentsAbove(transaction, sources);
  const streamOf = (id: string) => head.get(`page ${id}`) ?? head.get(`find ${id}`) ?? above.get(`page ${id}`) ?? above.get(`find ${id}`);
  const descends = new Map<string, readonly string[]>();
  const before = await known(transaction, entries);
  const records = await onRecordOf(transaction, sendings.flatMap(({ actor, entries: sent }) => sent.map((entry) => ({ entry, teller: actor.person }))), wanted);
  const pages = await pageOutlines(transaction, pageIds);
  const groups = await groupsOf(transaction, wanted);
  const written = await writtenBy(transaction, sendings.map(({ actor, entries: sent }) => ({ person: actor.person, entries: sent })), wanted, sendings[0]?.options.quotas);
  const cases = await casesToJudge(transaction, entries, wanted);
  const judgedUntil = Date.now() + MOST_JUDGING_MS;

  const rows: Row[] = [];
  const newFinds: { id: string; stream: string; person: string; started_at: string }[] = [];
  const newPages: { id: string; stream: string; kind: PageKind; person: string }[] = [];
  const arrivals: { id: string; find_id: string; arrival: string }[] = [];
  let lastStamp: Stamp | undefined;
  const addOne = async (sent: Entry, { actor, options: { guide, now, judge = judgeHere(guide) } }: Sending): Promise<Pushed> => {
    const there = (id: string) => { const stream = streamOf(id); return stream !== undefined && mayRead(actor, stream); };
    const hidden = (id: string) => { const stream = streamOf(id); return stream !== undefined && !mayRead(actor, stream); };
    const earlier = before.get(keyOf(sent.kind, sent.body.id));
    if (earlier) {
      const moved = toldAt(sent) > earlier.at;
      const same = earlier.hash === hashOf(sent) || (moved && earlier.hash === hashOf(movedTo(sent, earlier.at)));
      if (!same || !mayRead(actor, earlier.stream)) return refused(taken(sent.body.id));
      return { status: 'known', stream: earlier.stream, seq: earlier.seq, stamp: earlier.stamp, ...(moved ? { at: earlier.at } : {}), ...(earlier.arrival ? { arrival: earlier.arrival } : {}) };
    }
    const toldMs = Date.parse(toldAt(sent));
    if (!isInTime(toldMs)) return refused(invalid([{ field: atField(sent), reason: 'it is no time from 1970 to 2099' }]));
    // A clock that is wrong must not win over everybody else's for as long as it is: what it tells was told when it arrived.
    const late = toldMs > now + MOST_AHEAD_MS ? new Date(now).toISOString() : undefined;
    const entry = late === undefined ? sent : movedTo(sent, late);
    const json = JSON.stringify(entry.body);
    if (json.length > mostLetters(sent)) return refused(invalid([{ field: 'body', reason: `it is too large: ${json.length} letters, at most ${mostLetters(sent)}` }]));
    const hash = hashOf(entry);
    if (entry.stamp !== undefined && !tellsTime(entry.stamp)) return refused(invalid([{ field: 'stamp', reason: 'it tells no time from 1970 to 2099' }]));
    const already = head.get(aboutOf(entry));
    const stream = already ?? streamOfNew(entry, actor.person);
    if (stream === undefined) return refused(notThere(entry));
    if (!mayRead(actor, stream)) return refused(begins(entry) && already === undefined ? invalid([{ field: 'group', reason: 'you do not belong to this group' }]) : notThere(entry));
    if (begins(entry) && already !== undefined) return refused(taken(entry.body.id));
    const group = groups.get(stream);
    // It began in between, in a notebook that is not held here: sent again, it is.
    if (!last.has(stream)) throw tooBusy();
    // Who was put out of a group meanwhile tells no more in it.
    if (groupOf(stream) !== undefined && group?.roles.has(actor.person) !== true) return refused(notThere(entry));
    const roles = group?.roles ?? new Map<string, Role>();
    const record = entry.find === undefined ? undefined : records.get(entry.find);
    const page = entry.page === undefined ? undefined : pages.get(entry.page);
    if (!begins(entry) && !record && !page) return refused(notThere(entry));
    const problems: FieldProblem[] = entry.kind === 'finds' ? checkFind(entry, guide, actor.person)
      : entry.page !== undefined ? checkPage(entry, { guide, person: actor.person, page, roles, parents, there, hidden })
      : record ? checkEntry(entry, { guide, person: actor.person, record, roles }) : [];
    const finder = entry.kind === 'finds' ? entry.body.person : record?.person ?? '';
    const full = problems.length > 0 ? [] : written.full(actor.person, entry, stream, finder, json.length);
    if (problems.length + full.length > 0) return refused(invalid([...problems, ...full]));
    let arrival: Arrival | undefined;
    if (entry.kind === 'verdicts') {
      if (entry.body.verdict.guide.id !== guide.guide.id) return refused(invalid([{ field: 'verdict.guide.id', reason: `this server decides by "${guide.guide.id}"` }]));
      const known = caseWith(cases, entry.find);
      if (!known) return refused(notThere(entry));
      if (Date.now() > judgedUntil) throw new Problem(503, 'too-busy', 'These verdicts take too long to work out. Send fewer of them at once.');
      arrival = await judge(entry.body.verdict, known, group?.policy, new Date(now).toISOString());
    }
    // So are its stamps.
    const stamp = entry.stamp === undefined || tooFarAhead(entry.stamp, now) ? nextStamp(lastStamp, now, SERVER) : entry.stamp;
    if (stamp !== entry.stamp) lastStamp = stamp;
    if (entry.find === undefined) {
      const folded = applyToPage(page, { ...entry, stamp });
      if (folded) pages.set(entry.page, folded);
      const descendant = folded && entry.kind === 'fields' && sourcesIn(entry.body.field, entry.body.value).length > 0 ? descendantOf(folded) : undefined;
      if (descendant) {
        descends.set(descendant.id, descendant.parents);
        parents.set(descendant.id, descendant.parents);
      }
    } else {
      const told = { ...entry, stamp };
      const now = noted(record, told);
      if (now) records.set(entry.find, now);
      cases.get(entry.find)?.more.push(told);
    }
    const seq = (last.get(stream) ?? 0) + 1;
    last.set(stream, seq);
    rows.push({ stream, seq, kind: entry.kind, id: entry.body.id, find_id: entry.find ?? null, page_id: entry.page ?? null, person: actor.person, stamp, body: json, content_hash: hash });
    written.add(actor.person, entry, stream, finder, json.length);
    before.set(keyOf(entry.kind, entry.body.id), { hash, stream, seq, stamp, at: toldAt(entry), ...(arrival ? { arrival } : {}) });
    if (begins(entry)) head.set(aboutOf(entry), stream);
    if (entry.kind === 'finds') newFinds.push({ id: entry.find, stream, person: actor.person, started_at: entry.body.startedAt });
    if (entry.kind === 'pages') newPages.push({ id: entry.page, stream, kind: entry.body.kind, person: actor.person });
    if (arrival && entry.find !== undefined) arrivals.push({ id: entry.body.id, find_id: entry.find, arrival: JSON.stringify(arrival) });
    return { status: 'added', stream, seq, stamp, ...(late === undefined ? {} : { at: late }), ...(arrival ? { arrival } : {}) };
  };
  const pushed: Pushed[][] = [];
  for (const sending of sendings) {
    const became: Pushed[] = [];
    for (const entry of sending.entries) {
      // Together with others it is written all the same: they must not have to begin again.
      if (sendings.length === 1 && sending.options.signal?.aborted) throw new Problem(499, 'gone', 'Whoever sent this is gone.');
      became.push(await addOne(entry, sending).catch((error: unknown) => {
        if (error instanceof Problem && error.status < 500) return refused(error);
        throw error;
      }));
    }
    pushed.push(became);
  }
  await store(transaction, rows, { finds: newFinds, pages: newPages, arrivals });
  await written.keep(transaction);
  await keepDescents(transaction, descends);
  for (const [index, sending] of sendings.entries()) await settleGroups(transaction, sending.actor.person, ofGroups(sending.entries, pushed[index] ?? []));
  const added = sendings.flatMap((sending, index) => sending.entries.filter((_, n) => pushed[index]?.[n]?.status === 'added'));
  await forget(transaction, added.flatMap((entry) => (entry.kind === 'drops' ? [entry.body.picture] : [])));
  await askAgain(transaction, added, wanted, sendings[0]?.options.recheck);
  return pushed;
}

type GroupField = Extract<Entry, { page: string; kind: 'fields' }>;
const isOfGroup = (entry: Entry): entry is GroupField => entry.kind === 'fields' && entry.body.of === 'group';
const ofGroups = (entries: readonly Entry[], became: readonly Pushed[]) => entries.filter((entry, index) => became[index]?.status === 'added').filter(isOfGroup);

/** Has asked again whatever may stand otherwise after what was added. */
async function askAgain(db: Db, added: readonly Entry[], streams: readonly string[], recheck: PushOptions['recheck']): Promise<void> {
  if (!recheck) return;
  const moved = added.flatMap(({ find, kind }) => (find !== undefined && MOVES.includes(kind) ? [find] : []));
  const strays = added.flatMap((entry) => (entry.kind === 'fields' && entry.body.of === 'harvest' && (entry.body.field === 'sorting' || entry.body.field === 'bag') ? [entry.page] : []));
  const collected = await collectedOf(db, moved, streams);
  const again: Moved = {
    finds: collected.map(({ id }) => id), streams: [...new Set(collected.map(({ stream }) => stream))], harvests: [...new Set(strays)],
    groups: [...new Set(added.filter(isOfGroup).filter(({ body }) => body.field !== 'name').map(({ page }) => page))],
  };
  if ([again.finds, again.harvests, again.groups].some((ids) => ids.length > 0)) await recheck(again, db);
}

/** Verdicts of one push are worked out for no longer than this: its notebooks are held meanwhile. */
const MOST_JUDGING_MS = 10_000;

/** A find of which a verdict arrives, and what was added to it in the same push. */
interface Judged {
  record: FindRecord | undefined;
  more: FindEntry[];
}
async function casesToJudge(db: Db, entries: readonly Entry[], streams: readonly string[]): Promise<Map<string, Judged>> {
  const finds = [...new Set(entries.flatMap((entry) => (entry.kind === 'verdicts' ? [entry.find] : [])))];
  const records = await casesOf(db, finds, streams);
  return new Map(finds.map((find) => [find, { record: records.get(find), more: [] }]));
}
function caseWith(cases: ReadonlyMap<string, Judged>, find: string): FindRecord | undefined {
  const judged = cases.get(find);
  if (!judged) return undefined;
  judged.record = applyEntries(judged.record, judged.more);
  judged.more = [];
  return judged.record;
}

/** Of these finds, the ones that were collected. */
async function collectedOf(db: Db, finds: readonly string[], streams: readonly string[]): Promise<{ id: string; stream: string }[]> {
  if (finds.length === 0) return [];
  const { rows } = await sql<{ id: string; stream: string }>`select distinct find_id as id, stream from entries where stream = any(${[...streams]}::text[]) and find_id = any(${[...finds]}::text[]) and kind = 'decisions' and body->>'choice' = 'collect'`.execute(db);
  return rows;
}

type Row = Record<'stream' | 'kind' | 'id' | 'person' | 'stamp' | 'body' | 'content_hash', string> & Record<'find_id' | 'page_id', string | null> & { seq: number };

/** Rows sent as columns: one statement however many they are. */
async function store(db: Db, rows: readonly Row[], { finds, pages, arrivals }: {
  readonly finds: readonly { id: string; stream: string; person: string; started_at: string }[];
  readonly pages: readonly { id: string; stream: string; kind: PageKind; person: string }[];
  readonly arrivals: readonly { id: string; find_id: string; arrival: string }[];
}): Promise<void> {
  if (rows.length === 0) return;
  if (finds.length > 0) await db.insertInto('finds').values([...finds]).execute();
  if (pages.length > 0) await db.insertInto('pages').values([...pages]).execute();
  const column = (name: keyof Row) => rows.map((row) => row[name]);
  await sql`with used as (
      insert into entry_ids (key, stream, seq) select * from unnest(${rows.map(({ kind, id }) => entryKey(kind, id))}::uuid[], ${column('stream')}::text[], ${column('seq')}::bigint[])
    )
    insert into entries (stream, seq, kind, id, find_id, page_id, person, stamp, body, content_hash, form)
    select *, 1 from unnest(${column('stream')}::text[], ${column('seq')}::bigint[], ${column('kind')}::text[], ${column('id')}::text[], ${column('find_id')}::text[],
      ${column('page_id')}::text[], ${column('person')}::text[], ${column('stamp')}::text[], ${column('body')}::jsonb[], ${column('content_hash')}::text[])`.execute(db);
  if (arrivals.length > 0) await db.insertInto('arrivals').values([...arrivals]).execute();
  const ends = new Map(rows.map((row) => [row.stream, row.seq]));
  await keepEnds(db, ends);
}

/** What comes from what, from these on up. */
async function parentsAbove(db: Db, ids: readonly string[]): Promise<Map<string, readonly string[]>> {
  const parents = new Map<string, readonly string[]>();
  if (ids.length === 0) return parents;
  const { rows } = await sql<{ child: string; parents: string[] }>`
    with recursive up (id) as (select unnest(${[...ids]}::text[]) union select descents.parent from up join descents on descents.child = up.id)
    select child, array_agg(parent) as parents from descents where child in (select id from up) group by child`.execute(db);
  for (const row of rows) parents.set(row.child, row.parents);
  return parents;
}

async function keepDescents(db: Db, descends: ReadonlyMap<string, readonly string[]>): Promise<void> {
  if (descends.size === 0) return;
  await db.deleteFrom('descents').where('child', 'in', [...descends.keys()]).execute();
  const rows = [...descends].flatMap(([child, parents]) => parents.map((parent) => ({ child, parent })));
  if (rows.length > 0) await db.insertInto('descents').values(rows).execute();
}

/** The streams of finds and pages that are there, by what they are. */
async function heads(db: Db, finds: readonly string[], pages: readonly string[]): Promise<Map<string, string>> {
  const of = (table: 'finds' | 'pages', ids: readonly string[]) => (ids.length > 0 ? db.selectFrom(table).select(['id', 'stream']).where('id', 'in', [...ids]).execute() : Promise.resolve([]));
  const [begun, kept] = [await of('finds', finds), await of('pages', pages)];
  return new Map([...begun.map(({ id, stream }) => [`find ${id}`, stream] as const), ...kept.map(({ id, stream }) => [`page ${id}`, stream] as const)]);
}

/** Holds streams until the transaction ends, and tells how far each has got. Always in the same order, so that two pushes do not wait for each other. */
async function hold(db: Db, streams: readonly string[]): Promise<Map<string, number>> {
  if (streams.length === 0) return new Map();
  const held = async () => new Map((await db.selectFrom('streams').select(['id', 'last']).where('id', 'in', [...streams]).orderBy('id').forNoKeyUpdate().execute()).map(({ id, last }) => [id, Number(last)]));
  const there = await held();
  if (there.size === streams.length) return there;
  await db.insertInto('streams').values(streams.filter((id) => !there.has(id)).map((id) => ({ id, last: 0 }))).onConflict((conflict) => conflict.column('id').doNothing()).execute();
  return held();
}

/** Holds those streams that nobody else holds, and waits for none. One that is not there yet is not held either. */
async function holdFree(db: Db, streams: readonly string[]): Promise<Map<string, number>> {
  if (streams.length === 0) return new Map();
  const rows = await db.selectFrom('streams').select(['id', 'last']).where('id', 'in', [...streams]).orderBy('id').forNoKeyUpdate().skipLocked().execute();
  return new Map(rows.map(({ id, last }) => [id, Number(last)]));
}

interface Known {
  readonly hash: string;
  readonly stream: string;
  readonly seq: number;
  readonly stamp: Stamp;
  readonly at: string;
  readonly arrival?: Arrival;
}
async function known(db: Db, entries: readonly Entry[]): Promise<Map<string, Known>> {
  const { rows } = await sql<{ kind: string; id: string; content_hash: string; stream: string; seq: string; stamp: Stamp; at: string; arrival: Arrival | null }>`
    select e.kind, e.id, e.content_hash, e.stream, e.seq, e.stamp, coalesce(e.body->>'at', e.body->>'startedAt') as at, a.arrival
    from entry_ids used join entries e on e.stream = used.stream and e.seq = used.seq left join arrivals a on a.id = e.id and e.kind = 'verdicts'
    where used.key = any(${entries.map((e) => entryKey(e.kind, e.body.id))}::uuid[])`.execute(db);
  return new Map(rows.map((row) => [keyOf(row.kind, row.id), { hash: row.content_hash, stream: row.stream, seq: Number(row.seq), stamp: row.stamp, at: row.at, ...(row.arrival ? { arrival: row.arrival } : {}) }]));
}

/** The rules and the people of the groups whose streams these are. */
export async function groupsOf(db: Db, streams: readonly string[]): Promise<Map<string, { policy: Policy; roles: ReadonlyMap<string, Role> }>> {
  const ids = streams.flatMap((stream) => groupOf(stream) ?? []);
  if (ids.length === 0) return new Map();
  const [groups, members] = [
    await db.selectFrom('groups').select(['id', 'policy']).where('id', 'in', ids).execute(),
    await db.selectFrom('memberships').select(['group_id', 'person', 'role']).where('group_id', 'in', ids).where('left_at', 'is', null).execute(),
  ];
  const reviews = await db.selectFrom('reviews').select(['group_id', 'taxon', 'content']).where('group_id', 'in', ids).orderBy('taxon').execute();
  return new Map(groups.map(({ id, policy }) => [
    groupStream(id), { policy: withReviews(policy, reviews.filter((r) => r.group_id === id)), roles: new Map(members.filter((m) => m.group_id === id).map((m) => [m.person, m.role])) },
  ]));
}


