import { GROUP_POLICY, type CompiledGuide, type PageKind } from '@pause/core';
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
 * A place or an eater, with all that was told of it over the years. Told again it is known, and changes
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
    // What was seen in the season is told in the evening; the rest on its first morning.
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
  const { id, person } = demo;
  const before = (await recordsOf(db, [id])).get(id);
  if (before && (before.decisions.length > 0 || !demo.decision) && before.readings.length > 0) return;
  const start = Date.parse(demo.startedAt);
  const instant = (seconds: number) => new Date(start + seconds * 1000).toISOString();
  /** An entry as the device of its teller would have made it. */
  const entry = (author: string, kind: Entry['kind'], seconds: number, body: object): Entry => {
    const parsed = parseEntry({
      find: id,
      kind,
      stamp: stampOf({ ms: start + seconds * 1000, count: 0, device: author }),
      body,
    });
    if ('problems' in parsed) throw new Error(`demo find ${id}: ${JSON.stringify(parsed.problems)}`);
    return parsed.entry;
  };
  const send = async (author: string, entries: readonly Entry[]) => {
    const pushed = await push(db, await actorOf(db, author), entries, {
      guide,
      now: Date.parse(DEMO_MORNING),
    });
    for (const one of pushed) if (one.status === 'refused') throw one.problem;
  };
  let seconds = 30;
  const readings = (author: string, name: string, blind: boolean) =>
    demo.readings.map(([character, ...states], index) => {
      seconds += 25;
      return entry(author, 'readings', seconds, {
        id: `${id}-${name}${index + 1}`,
        piece: `${id}-p1`,
        character,
        value: { kind: 'states', states },
        sureness: 'sure',
        by: author,
        at: instant(seconds),
        ...(blind ? { blind } : {}),
      });
    });
  await send(person, [
    entry(person, 'finds', 0, {
      id,
      startedAt: demo.startedAt,
      kingdom: demo.kingdom,
      bodyPlan: demo.bodyPlan,
      placeNote: demo.placeNote,
      person,
      ...(demo.shared ? { group: DEMO_GROUP.id } : {}),
    }),
    entry(person, 'pieces', 0, { id: `${id}-p1`, at: instant(0), purpose: 'decide' }),
    ...(demo.shared === 'with-place'
      ? [
          entry(person, 'edits', 1, {
            id: `${id}-e1`,
            at: instant(1),
            by: person,
            field: 'exactFor',
            value: 'group',
          }),
          entry(person, 'edits', 2, {
            id: `${id}-e2`,
            at: instant(2),
            by: person,
            field: 'placeNote',
            value: demo.placeNote,
          }),
        ]
      : []),
    ...(demo.place === undefined
      ? []
      : [
          entry(person, 'edits', 3, {
            id: `${id}-e3`,
            at: instant(3),
            by: person,
            field: 'placePage',
            value: demo.place,
          }),
        ]),
    entry(person, 'targets', 5, { id: `${id}-t1`, at: instant(5), taxon: demo.target }),
    entry(person, 'contexts', 20, { id: `${id}-c1`, at: instant(20), context: demo.context }),
    ...readings(person, 'r', false),
  ]);
  if (demo.secondLookBy) await send(demo.secondLookBy, readings(demo.secondLookBy, 's', true));
  if (!demo.decision) return;
  const record = (await recordsOf(db, [id])).get(id);
  if (!record) throw new Error(`demo find ${id} was not stored`);
  const { verdict } = decideRecord(record, guide, demo.shared ? GROUP_POLICY : undefined);
  await send(person, [
    entry(person, 'verdicts', seconds + 10, { id: `${id}-v1`, at: instant(seconds + 10), verdict }),
    entry(person, 'decisions', seconds + 40, {
      id: `${id}-d1`,
      at: instant(seconds + 40),
      verdict: `${id}-v1`,
      by: person,
      ...demo.decision,
    }),
  ]);
}
