import { FindRecord, FindSummary } from '@pause/core';
import { sql } from 'kysely';
import type { Db } from '../db';

const iso = (date: Date) => date.toISOString();
const orLeftOut = (key: string, value: unknown) => (value === null ? {} : { [key]: value });

/** A find with everything that was ever added to it, oldest first. */
export async function readFind(db: Db, id: string): Promise<FindRecord | undefined> {
  const find = await db.selectFrom('finds').selectAll().where('id', '=', id).executeTakeFirst();
  if (!find) return undefined;
  const [pieces, targets, contexts, readings, withdrawals, skips, verdicts, decisions] = await Promise.all([
    db.selectFrom('pieces').selectAll().where('find_id', '=', id).orderBy('at').orderBy('id').execute(),
    db.selectFrom('targets').selectAll().where('find_id', '=', id).orderBy('at').orderBy('id').execute(),
    db.selectFrom('contexts').selectAll().where('find_id', '=', id).orderBy('at').orderBy('received_at').execute(),
    db.selectFrom('readings').selectAll().where('find_id', '=', id).orderBy('at').orderBy('id').execute(),
    db.selectFrom('withdrawals').selectAll().where('find_id', '=', id).orderBy('at').orderBy('id').execute(),
    db.selectFrom('skips').selectAll().where('find_id', '=', id).orderBy('at').orderBy('id').execute(),
    db.selectFrom('verdicts').selectAll().where('find_id', '=', id).orderBy('at').orderBy('id').execute(),
    db.selectFrom('decisions').selectAll().where('find_id', '=', id).orderBy('at').orderBy('id').execute(),
  ]);
  return FindRecord.parse({
    id: find.id,
    number: find.number,
    startedAt: iso(find.started_at),
    kingdom: find.kingdom,
    ...orLeftOut('bodyPlan', find.body_plan),
    ...orLeftOut('placeNote', find.place_note),
    person: find.person,
    pieces: pieces.map((p) => ({ id: p.id, startedAt: iso(p.at), purpose: p.purpose })),
    targets: targets.map((t) => ({ taxon: t.taxon, at: iso(t.at) })),
    context: contexts.at(-1)?.context ?? {},
    readings: readings.map((r) => ({
      id: r.id, piece: r.piece_id, character: r.character, value: r.value, sureness: r.sureness, by: r.by, at: iso(r.at),
      ...orLeftOut('blind', r.blind), ...orLeftOut('note', r.note),
    })),
    withdrawals: withdrawals.map((w) => ({ reading: w.reading_id, at: iso(w.at) })),
    skips: skips.map((s) => ({ character: s.character, piece: s.piece_id, at: iso(s.at) })),
    verdicts: verdicts.map((v) => ({ id: v.id, at: iso(v.at), verdict: v.verdict })),
    decisions: decisions.map((d) => ({
      id: d.id, at: iso(d.at), verdict: d.verdict_id, choice: d.choice, by: d.by, ...orLeftOut('reason', d.reason),
    })),
  });
}

/** The newest finds first, with the last verdict and decision of each. */
export async function listFinds(db: Db, limit: number): Promise<FindSummary[]> {
  const rows = await db.selectFrom('finds')
    .leftJoinLateral((eb) => eb.selectFrom('targets').select('taxon').whereRef('find_id', '=', 'finds.id')
      .orderBy('at', 'desc').limit(1).as('target'), (join) => join.onTrue())
    .leftJoinLateral((eb) => eb.selectFrom('verdicts').select('outcome').whereRef('find_id', '=', 'finds.id')
      .orderBy('at', 'desc').limit(1).as('verdict'), (join) => join.onTrue())
    .leftJoinLateral((eb) => eb.selectFrom('decisions').select('choice').whereRef('find_id', '=', 'finds.id')
      .orderBy('at', 'desc').limit(1).as('decision'), (join) => join.onTrue())
    .select(['finds.id', 'finds.number', 'finds.started_at', 'finds.kingdom', 'finds.place_note', 'target.taxon', 'verdict.outcome', 'decision.choice'])
    .select((eb) => eb.selectFrom('readings').select(sql<number>`count(*)::int`.as('n')).whereRef('find_id', '=', 'finds.id').as('readings'))
    .orderBy('finds.started_at', 'desc').orderBy('finds.number', 'desc')
    .limit(limit)
    .execute();
  return rows.map((row) => FindSummary.parse({
    id: row.id,
    number: row.number,
    startedAt: iso(row.started_at),
    kingdom: row.kingdom,
    ...orLeftOut('placeNote', row.place_note),
    ...orLeftOut('target', row.taxon),
    readings: row.readings ?? 0,
    ...orLeftOut('outcome', row.outcome),
    ...orLeftOut('choice', row.choice),
  }));
}
