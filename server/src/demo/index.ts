import { GROUP_POLICY, type CompiledGuide, type PageKind, type Verdict } from '@pause/core';
import { parseEntry, stampOf, type Entry } from '@pause/core/notebook';
import { actorOf } from '../access';
import type { Db } from '../db';
import { putGroup } from '../groups';
import { decideRecord, push, recordsOf } from '../notebook';
import { DEMO_MORNING, setDemoClock } from './clock';
import { DEMO_FINDS, DEMO_GROUP, PEOPLE, type DemoFind } from './ostrel';
import { DEMO_PANTRY } from './pantry';
import { demoPractice } from './practice';
import { DEMO_EATERS, DEMO_PLACES, DEMO_WALKS, type DemoPlace } from './valley';

/** Who is signed in on the demo. */
export const DEMO_PERSON = PEOPLE[0].id;

/**
 * Loads the Ostrel valley: invented people, places and finds. Goes through the same doors as any client,
 * so the demo's verdicts are real ones. Loading it again changes nothing, and an interrupted start is made
 * whole by the next.
 */
export async function loadDemo(db: Db, guide: CompiledGuide, now = Date.now()): Promise<void> {
  await db
    .insertInto('people')
    .values(PEOPLE.map(({ id, name }) => ({ id, name })))
    .onConflict((conflict) => conflict.column('id').doNothing())
    .execute();
  // Accounts without a password: the demo's door is the only one to them.
  await db
    .insertInto('user')
    .values(PEOPLE.map(({ id, name }) => ({ id, name, email: `${id}@ostrel.example`, emailVerified: false })))
    .onConflict((conflict) => conflict.column('id').doNothing())
    .execute();
  await putGroup(db, DEMO_GROUP);
  await db
    .insertInto('memberships')
    .values(PEOPLE.map(({ id, role }) => ({ group_id: DEMO_GROUP.id, person: id, role, left_at: null })))
    .onConflict((conflict) => conflict.columns(['group_id', 'person']).doNothing())
    .execute();
  await setDemoClock(db, now);
  for (const find of DEMO_FINDS) await loadFind(db, guide, find);
  for (const place of DEMO_PLACES) await loadPage(db, guide, 'place', place);
  for (const eater of DEMO_EATERS) await loadPage(db, guide, 'eater', { ...eater, shared: 'own', seen: [] });
  for (const { kind, ...page } of DEMO_PANTRY) await loadPage(db, guide, kind, { ...page, seen: [] });
  await loadPractice(db, guide);
  for (const walk of DEMO_WALKS) await loadPage(db, guide, 'walk', { ...walk, shared: 'own', seen: [] });
}

/** Worked out only where it is not there yet. */
async function loadPractice(db: Db, guide: CompiledGuide): Promise<void> {
  const there = new Set(
    (
      await db
        .selectFrom('pages')
        .select('id')
        .where('kind', 'in', ['practice', 'learner', 'lesson'])
        .execute()
    ).map(({ id }) => id),
  );
  if (there.has('demo-lesson-gills')) return;
  for (const { kind, ...page } of demoPractice(guide, DEMO_GROUP.id))
    await loadPage(db, guide, kind, { ...page, seen: [] });
}

const SEASON_START = Date.parse('2026-01-10T09:00:00.000Z');

/**
 * A place or an eater, with all that was recorded of it over the years. Loaded again it is known, and changes
 * nothing.
 */
async function loadPage(
  db: Db,
  guide: CompiledGuide,
  kind: Exclude<PageKind, 'group'>,
  {
    id,
    keeper,
    shared,
    fields,
    seen,
  }: Pick<DemoPlace, 'id' | 'keeper' | 'shared' | 'seen'> & {
    readonly fields: Readonly<Record<string, unknown>>;
  },
): Promise<void> {
  let sent = 0;
  const entry = (entryKind: Entry['kind'], body: object): Entry => {
    sent += 1;
    // What was seen in the season is recorded in the evening; the rest on its first morning.
    const evening = 'on' in body ? Date.parse(`${String(body.on)}T17:00:00.000Z`) : 0;
    const at = new Date(Math.max(SEASON_START, evening) + sent * 1000).toISOString();
    const parsed = parseEntry({
      page: id,
      kind: entryKind,
      stamp: stampOf({ ms: Date.parse(at), count: 0, device: keeper }),
      body: { at, by: keeper, ...body },
    });
    if ('problems' in parsed) throw new Error(`demo page ${id}: ${JSON.stringify(parsed.problems)}`);
    return parsed.entry;
  };
  const all = shared === 'with-place' && kind === 'place' ? { ...fields, exactFor: 'group' } : fields;
  const entries = [
    entry('pages', { id, kind, ...(shared === 'own' ? {} : { group: DEMO_GROUP.id }) }),
    ...Object.entries(all).map(([field, value]) =>
      entry('fields', { id: `${id}-${field}`, of: kind, field, value }),
    ),
    ...seen.map(([on, taxon, stage, note], index) =>
      entry('sightings', {
        id: `${id}-s${index}`,
        on,
        taxon,
        ...(stage === 'nothing' || stage === 'suspected'
          ? { what: stage }
          : { what: 'seen', stages: [stage] }),
        ...(note === undefined ? {} : { note }),
      }),
    ),
  ];
  const pushed = await push(db, await actorOf(db, keeper), entries, { guide, now: Date.parse(DEMO_MORNING) });
  for (const one of pushed) if (one.status === 'refused') throw one.problem;
}

async function loadFind(db: Db, guide: CompiledGuide, demo: DemoFind): Promise<void> {
  const { id, person, secondLookBy } = demo;
  const before = (await recordsOf(db, [id])).get(id);
  if (before && (before.decisions.length > 0 || !demo.decision) && before.readings.length > 0) return;
  const send = async (author: string, entries: readonly Entry[]) => {
    const now = Date.parse(DEMO_MORNING);
    const pushed = await push(db, await actorOf(db, author), entries, { guide, now });
    for (const one of pushed) if (one.status === 'refused') throw one.problem;
  };
  const readings = readingsOf(demo, person, FIRST_READING);
  await send(person, [...beginningOf(demo), ...readings]);
  const again = secondLookBy
    ? readingsOf(demo, secondLookBy, FIRST_READING + readings.length * PER_READING)
    : [];
  if (secondLookBy) await send(secondLookBy, again);
  if (!demo.decision) return;
  const record = (await recordsOf(db, [id])).get(id);
  if (!record) throw new Error(`demo find ${id} was not stored`);
  const { verdict } = decideRecord(record, guide, demo.shared ? GROUP_POLICY : undefined);
  const end = FIRST_READING + (readings.length + again.length) * PER_READING;
  await send(person, decidedBy(demo, verdict, end));
}

/** Seconds after the find was begun at which the first character is read, and between two. */
const FIRST_READING = 30;
const PER_READING = 25;

const instantOf = ({ startedAt }: DemoFind, seconds: number) =>
  new Date(Date.parse(startedAt) + seconds * 1000).toISOString();

/** An entry as the device of its author would have made it, so many seconds after the find was begun. */
function entryOf(demo: DemoFind, author: string, kind: Entry['kind'], seconds: number, body: object): Entry {
  const parsed = parseEntry({
    find: demo.id,
    kind,
    stamp: stampOf({ ms: Date.parse(demo.startedAt) + seconds * 1000, count: 0, device: author }),
    body: kind === 'finds' ? body : { at: instantOf(demo, seconds), ...body },
  });
  if ('problems' in parsed) throw new Error(`demo find ${demo.id}: ${JSON.stringify(parsed.problems)}`);
  return parsed.entry;
}

/** The find with its piece, place, name and context. */
function beginningOf(demo: DemoFind): Entry[] {
  const { id, person, placeNote } = demo;
  const entry = (kind: Entry['kind'], seconds: number, body: object) =>
    entryOf(demo, person, kind, seconds, body);
  const edit = (seconds: number, field: string, value: string) =>
    entry('edits', seconds, { id: `${id}-e${seconds}`, by: person, field, value });
  return [
    entry('finds', 0, {
      id,
      startedAt: demo.startedAt,
      kingdom: demo.kingdom,
      bodyPlan: demo.bodyPlan,
      placeNote,
      person,
      ...(demo.shared ? { group: DEMO_GROUP.id } : {}),
    }),
    entry('pieces', 0, { id: `${id}-p1`, purpose: 'decide' }),
    ...(demo.shared === 'with-place' ? [edit(1, 'exactFor', 'group'), edit(2, 'placeNote', placeNote)] : []),
    ...(demo.place === undefined ? [] : [edit(3, 'placePage', demo.place)]),
    entry('targets', 5, { id: `${id}-t1`, taxon: demo.target }),
    entry('contexts', 20, { id: `${id}-c1`, context: demo.context }),
  ];
}

/** What one person read; somebody who looks a second time reads it blind. */
function readingsOf(demo: DemoFind, author: string, from: number): Entry[] {
  const blind = author !== demo.person;
  return demo.readings.map(([character, ...states], index) =>
    entryOf(demo, author, 'readings', from + (index + 1) * PER_READING, {
      id: `${demo.id}-${blind ? 's' : 'r'}${index + 1}`,
      piece: `${demo.id}-p1`,
      character,
      value: { kind: 'states', states },
      sureness: 'sure',
      by: author,
      ...(blind ? { blind } : {}),
    }),
  );
}

function decidedBy(demo: DemoFind, verdict: Verdict, from: number): Entry[] {
  const { id, person, decision } = demo;
  return [
    entryOf(demo, person, 'verdicts', from + 10, { id: `${id}-v1`, verdict }),
    entryOf(demo, person, 'decisions', from + 40, {
      id: `${id}-d1`,
      verdict: `${id}-v1`,
      by: person,
      ...decision,
    }),
  ];
}
