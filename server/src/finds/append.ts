import { canonicalJson, caseOf, checkValue, contentHash, decide, parseCase, CaseError, type Case, type CompiledGuide, type FindRecord, type Verdict } from '@pause/core';
import { sql } from 'kysely';
import type { z } from 'zod';
import type { Database, Db } from '../db';
import { invalid, Problem, type FieldProblem } from '../problem';
import type { NewContext, NewDecision, NewFind, NewPiece, NewReading, NewSkip, NewTarget, NewVerdict, NewWithdrawal } from './entries';
import { readFind } from './record';

/** Whether something was new, or had arrived before with the same content. */
export type Appended = 'added' | 'known';

type Table = Exclude<keyof Database, 'guides' | 'people' | 'demo_clock'>;

/**
 * Adds one row, once. The same id with the same content is known and changes nothing;
 * with other content it is refused.
 */
async function once(db: Db, table: Table, content: { id: string; find?: string }, row: Record<string, unknown>): Promise<Appended> {
  const hash = contentHash(content);
  const added = await db.insertInto(table)
    .values({ ...row, id: content.id, content_hash: hash } as never)
    .onConflict((conflict) => conflict.column('id').doNothing())
    .returning('id')
    .executeTakeFirst();
  return added ? 'added' : known(db, table, content.id, hash);
}

/** For an id that is there already: the same content is known, other content is refused. */
async function known(db: Db, table: Table, id: string, hash: string): Promise<Appended> {
  const row = await db.selectFrom(table).select('content_hash').where('id', '=', id).executeTakeFirst();
  if (row?.content_hash === hash) return 'known';
  throw new Problem(409, 'duplicate-id', `id: "${id}" is taken by something else`, [
    { field: 'id', reason: 'this id was used before, with other content' },
  ]);
}

async function mustBePerson(db: Db, field: string, id: string): Promise<void> {
  const person = await db.selectFrom('people').select('id').where('id', '=', id).executeTakeFirst();
  if (!person) throw invalid([{ field, reason: `"${id}" is not a person of this notebook` }]);
}

async function mustFind(db: Db, id: string): Promise<FindRecord> {
  const record = await readFind(db, id);
  if (!record) throw new Problem(404, 'no-such-find', `There is no find "${id}".`);
  return record;
}

function mustHold(problems: readonly FieldProblem[]): void {
  if (problems.length > 0) throw invalid(problems);
}

/** Everything that can be added to the log of finds. Each call stores the whole of it or nothing. */
export function finds(db: Db, guide: CompiledGuide) {
  const mustBePiece = (record: FindRecord, piece: string) =>
    mustHold(record.pieces.some((p) => p.id === piece) ? [] : [{ field: 'piece', reason: `"${piece}" is not a piece of this find` }]);

  return {
    find: async (body: NewFind): Promise<Appended> => {
      await mustBePerson(db, 'person', body.person);
      const plan = guide.guide.bodyPlans.find((p) => p.id === body.bodyPlan);
      if (body.bodyPlan !== undefined && plan?.kingdom !== body.kingdom) {
        throw invalid([{ field: 'bodyPlan', reason: `"${body.bodyPlan}" is not a body plan of ${body.kingdom}` }]);
      }
      return once(db, 'finds', body, {
        started_at: body.startedAt, kingdom: body.kingdom, body_plan: body.bodyPlan ?? null,
        place_note: body.placeNote ?? null, person: body.person,
      });
    },

    piece: async (findId: string, body: z.infer<typeof NewPiece>): Promise<Appended> => {
      await mustFind(db, findId);
      return once(db, 'pieces', { ...body, find: findId }, { find_id: findId, at: body.at, purpose: body.purpose });
    },

    target: async (findId: string, body: z.infer<typeof NewTarget>): Promise<Appended> => {
      await mustFind(db, findId);
      mustHold(guide.taxon(body.taxon) ? [] : [{ field: 'taxon', reason: `"${body.taxon}" is not a taxon of the guide` }]);
      return once(db, 'targets', { ...body, find: findId }, { find_id: findId, at: body.at, taxon: body.taxon });
    },

    context: async (findId: string, body: z.infer<typeof NewContext>): Promise<Appended> => {
      const record = await mustFind(db, findId);
      const stages = new Set<string>(guide.guide.stages.filter((s) => s.kingdom === record.kingdom).map((s) => s.id));
      mustHold((body.context.stages ?? []).flatMap((stage, index) => (
        stages.has(stage) ? [] : [{ field: `context.stages[${index}]`, reason: `"${stage}" is not a growth stage of ${record.kingdom}` }]
      )));
      return once(db, 'contexts', { ...body, find: findId }, { find_id: findId, at: body.at, context: JSON.stringify(body.context) });
    },

    reading: async (findId: string, body: z.infer<typeof NewReading>): Promise<Appended> => {
      const record = await mustFind(db, findId);
      mustBePiece(record, body.piece);
      mustHold([...checkValue(body, record.kingdom, guide)]);
      await mustBePerson(db, 'by', body.by);
      return once(db, 'readings', { ...body, find: findId }, {
        find_id: findId, at: body.at, piece_id: body.piece, character: body.character, value: JSON.stringify(body.value),
        sureness: body.sureness, by: body.by, blind: body.blind ?? null, note: body.note ?? null,
      });
    },

    withdrawal: async (findId: string, body: z.infer<typeof NewWithdrawal>): Promise<Appended> => {
      const record = await mustFind(db, findId);
      mustHold(record.readings.some((r) => r.id === body.reading) ? [] : [{ field: 'reading', reason: `"${body.reading}" is not a reading of this find` }]);
      const before = await db.selectFrom('withdrawals').select('id').where('reading_id', '=', body.reading).executeTakeFirst();
      mustHold(before === undefined || before.id === body.id ? [] : [{ field: 'reading', reason: `"${body.reading}" was taken back already` }]);
      return once(db, 'withdrawals', { ...body, find: findId }, { find_id: findId, at: body.at, reading_id: body.reading });
    },

    skip: async (findId: string, body: z.infer<typeof NewSkip>): Promise<Appended> => {
      const record = await mustFind(db, findId);
      mustBePiece(record, body.piece);
      mustHold(guide.character(body.character) ? [] : [{ field: 'character', reason: `"${body.character}" is not a character of the guide` }]);
      return once(db, 'skips', { ...body, find: findId }, { find_id: findId, at: body.at, piece_id: body.piece, character: body.character });
    },

    /** Keeps a verdict only if this server reaches the same one, to the byte, from what it has on record. */
    verdict: async (findId: string, body: z.infer<typeof NewVerdict>): Promise<Appended> => {
      const record = await mustFind(db, findId);
      if (record.verdicts.some((v) => v.id === body.id)) return known(db, 'verdicts', body.id, contentHash({ ...body, find: findId }));
      const { guide: asked } = body.verdict;
      if (asked.id !== guide.guide.id || asked.version !== guide.version) {
        throw new Problem(409, 'other-guide', 'verdict.guide: this server decides by another guide version', [
          { field: 'verdict.guide.version', reason: `this server has ${guide.guide.id} ${guide.version}` },
        ], { guide: { id: guide.guide.id, version: guide.version } });
      }
      const { find, verdict } = decideRecord(record, guide);
      if (canonicalJson(body.verdict) !== canonicalJson(verdict)) {
        throw new Problem(409, 'verdict-differs', `verdict: from what is on record here the verdict is ${verdict.outcome}`, [
          { field: 'verdict', reason: 'it is not the one that the record gives' },
        ], { verdict });
      }
      return once(db, 'verdicts', { ...body, find: findId }, {
        find_id: findId, at: body.at, guide_version: guide.version, outcome: verdict.outcome,
        find_case: JSON.stringify(find), verdict: JSON.stringify(verdict),
      });
    },

    decision: async (findId: string, body: NewDecision): Promise<Appended> => {
      const record = await mustFind(db, findId);
      const judged = record.verdicts.find((v) => v.id === body.verdict);
      if (!judged) throw invalid([{ field: 'verdict', reason: `"${body.verdict}" is not a verdict of this find` }]);
      await mustBePerson(db, 'by', body.by);
      if (body.choice === 'collect' && judged.verdict.outcome !== 'collect' && body.reason === undefined) {
        throw invalid([{ field: 'reason', reason: `collecting against "${judged.verdict.outcome}" needs a reason` }]);
      }
      return once(db, 'decisions', { ...body, find: findId }, {
        find_id: findId, at: body.at, verdict_id: body.verdict, choice: body.choice, reason: body.reason ?? null, by: body.by,
      });
    },
  };
}

/** The verdict that a record gives under this guide. */
export function decideRecord(record: FindRecord, guide: CompiledGuide): { find: Case; verdict: Verdict } {
  const raw = caseOf(record, guide);
  if (!raw) throw invalid([{ field: 'find', reason: 'it has no target or no piece yet' }]);
  try {
    const find = parseCase(raw, guide);
    return { find, verdict: decide(guide, find) };
  } catch (error) {
    if (error instanceof CaseError) throw invalid(error.problems);
    throw error;
  }
}

/** Keeps this version of the guide, so that verdicts can name it. */
export async function keepGuide(db: Db, guide: CompiledGuide): Promise<void> {
  await db.insertInto('guides')
    .values({ version: guide.version, id: guide.guide.id, document: JSON.stringify(guide.guide) })
    .onConflict((conflict) => conflict.column('version').doNothing())
    .execute();
}

/** Resolves when the database answers. */
export async function ping(db: Db): Promise<void> {
  await sql`select 1`.execute(db);
}
