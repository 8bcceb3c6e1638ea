import type { CompiledGuide } from '@pause/core';
import type { Db } from '../db';
import { decideRecord, finds, readFind, NewContext, NewDecision, NewFind, NewPiece, NewReading, NewTarget } from '../finds';
import { setDemoClock } from './clock';
import { DEMO_FINDS, PEOPLE, type DemoFind } from './ostrel';

/** Who is signed in on the demo. */
export const DEMO_PERSON = PEOPLE[0].id;

/**
 * Loads the Ostrel valley: invented people, places and finds. Goes through the same doors as any client,
 * so the demo's verdicts are real ones. Loading it again changes nothing.
 */
export async function loadDemo(db: Db, guide: CompiledGuide, now = Date.now()): Promise<void> {
  await db.insertInto('people').values([...PEOPLE]).onConflict((conflict) => conflict.column('id').doNothing()).execute();
  await setDemoClock(db, now);
  for (const find of DEMO_FINDS) {
    if (!(await readFind(db, find.id))) await loadFind(db, guide, find);
  }
}

async function loadFind(db: Db, guide: CompiledGuide, demo: DemoFind): Promise<void> {
  // All of it or nothing: an interrupted start must not leave half a find behind.
  await db.transaction().execute(async (transaction) => {
    const store = finds(transaction, guide);
    const start = Date.parse(demo.startedAt);
    const at = (seconds: number) => new Date(start + seconds * 1000).toISOString();
    const { id } = demo;
    await store.find(NewFind.parse({
      id, startedAt: demo.startedAt, kingdom: demo.kingdom, bodyPlan: demo.bodyPlan, placeNote: demo.placeNote, person: demo.person,
    }));
    await store.piece(id, NewPiece.parse({ id: `${id}-p1`, at: at(0), purpose: 'decide' }));
    await store.target(id, NewTarget.parse({ id: `${id}-t1`, at: at(5), taxon: demo.target }));
    await store.context(id, NewContext.parse({ id: `${id}-c1`, at: at(20), context: demo.context }));
    let seconds = 30;
    for (const [index, [character, ...states]] of demo.readings.entries()) {
      seconds += 25;
      await store.reading(id, NewReading.parse({
        id: `${id}-r${index + 1}`, piece: `${id}-p1`, character, value: { kind: 'states', states },
        sureness: 'sure', by: demo.person, at: at(seconds),
      }));
    }
    if (!demo.decision) return;
    const record = await readFind(transaction, id);
    if (!record) throw new Error(`demo find ${id} was not stored`);
    const { verdict } = decideRecord(record, guide);
    await store.verdict(id, { id: `${id}-v1`, at: at(seconds + 10), verdict: { ...verdict } });
    await store.decision(id, NewDecision.parse({
      id: `${id}-d1`, at: at(seconds + 40), verdict: `${id}-v1`, by: demo.person, ...demo.decision,
    }));
  });
}
