import type { Db } from '../db';

/** The demo begins on this morning, whatever day it really is. */
export const DEMO_MORNING = '2026-09-14T07:40:00.000Z';

/** Milliseconds to add to the real time to get the demo's; undefined where no demo is loaded. */
export async function demoOffset(db: Db): Promise<number | undefined> {
  const row = await db.selectFrom('demo_clock').select('offset_ms').executeTakeFirst();
  return row === undefined ? undefined : Number(row.offset_ms);
}

/** Sets the demo's clock once; later calls leave it, so that time never runs backwards in a notebook. */
export async function setDemoClock(db: Db, now: number): Promise<void> {
  await db
    .insertInto('demo_clock')
    .values({ offset_ms: Date.parse(DEMO_MORNING) - now })
    .onConflict((conflict) => conflict.column('only').doNothing())
    .execute();
}

/** The time by the notebook, which in a demo is another one. */
export interface Clock {
  /** In milliseconds. */
  readonly now: () => number;
  readonly demo: boolean;
}
/** Read once: no demo's clock is ever set anew. */
export async function openClock(db: Db): Promise<Clock> {
  const offset = await demoOffset(db);
  return { now: () => Date.now() + (offset ?? 0), demo: offset !== undefined };
}
