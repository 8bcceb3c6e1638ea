import { sql } from 'kysely';
import { type CompiledGuide, compileGuide, type FindRecord, type Reading, canonicalJson } from '@pause/core';
import { CaseError } from '@pause/core/case/parse';
import { parseGuide } from '@pause/core/guide/parse';
import { causeOf, collectedOn, type Cause } from '@pause/core/pantry/recall';
import type { Db } from '../db';
import { groupsOf } from '../notebook/groupRules';
import { outcomesOf } from '../notebook/records';
import { settle } from './settle';

/** Decides finds again that were collected, and recalls what does not hold any more. */

export const AT_ONCE = 500;

/** Asks finds again of this guide and the rules of their groups. */
export async function recheckFinds(db: Db, guide: CompiledGuide, finds: readonly string[]): Promise<void> {
  if (finds.length === 0) return;
  const heads = await db
    .selectFrom('finds')
    .select(['id', 'stream'])
    .where('id', 'in', [...finds])
    .execute();
  const [records, groups] = [
    await outcomesOf(db, finds),
    await groupsOf(db, [...new Set(heads.map(({ stream }) => stream))]),
  ];
  const asked = heads.flatMap(({ id, stream }) => {
    const record = records.get(id);
    return record
      ? [
          {
            record,
            of: id,
            stream,
            cause: causeUnder(() => causeOf(record, guide, groups.get(stream)?.policy), id),
          },
        ]
      : [];
  });
  await settle(db, asked);
  const rows = asked.flatMap(({ record }) => (collectedOn(record) ? [askedNow(record, guide.version)] : []));
  if (rows.length === 0) return;
  await db
    .insertInto('recall_asked')
    .values(rows)
    .onConflict((conflict) =>
      conflict.column('find_id').doUpdateSet({
        version: sql`excluded.version`,
        target: sql`excluded.target`,
        looks: sql`excluded.looks`,
        asked_at: sql`now()`,
      }),
    )
    .execute();
}

/**
 * Decides finds again to which something was added. While servers with different guides run beside each other,
 * one that was asked of a newer one is asked of that again: what a correction called back does not come to
 * stand by the older guide.
 */
export async function recheckAfterEntries(
  db: Db,
  guide: CompiledGuide,
  finds: readonly string[],
): Promise<void> {
  if (finds.length === 0) return;
  const rows = await db
    .selectFrom('recall_asked as asked')
    .innerJoin('guides as theirs', 'theirs.version', 'asked.version')
    .leftJoin('guides as own', (join) => join.on('own.version', '=', guide.version))
    .select(['asked.find_id', 'theirs.version', 'theirs.document'])
    .where('asked.find_id', 'in', [...finds])
    .where('theirs.version', '<>', guide.version)
    .whereRef('theirs.received_at', '>', 'own.received_at')
    .execute();
  const newer = new Map(rows.map(({ version, document }) => [version, document]));
  for (const [version, document] of newer)
    await recheckFinds(
      db,
      compileGuide(parseGuide(document)),
      rows.filter((row) => row.version === version).map(({ find_id }) => find_id),
    );
  const there = new Set(rows.map(({ find_id }) => find_id));
  await recheckFinds(
    db,
    guide,
    finds.filter((find) => !there.has(find)),
  );
}

const askedNow = ({ id, targets, readings, skips }: FindRecord, version: string) => ({
  find_id: id,
  version,
  target: targets.at(-1)?.taxon ?? null,
  looks: [...new Set([...readings.map(lookOf), ...skips.map(({ character }) => character)])],
});

/** A reading as far as it says what was seen: many finds have it in common. */
const lookOf = ({ character, value }: Pick<Reading, 'character' | 'value'>) =>
  `${character} ${canonicalJson(value)}`;

export function readingOf(look: string): Reading | undefined {
  const cut = look.indexOf(' ');
  return cut < 0
    ? undefined
    : ({
        id: '',
        piece: '',
        character: look.slice(0, cut),
        value: JSON.parse(look.slice(cut + 1)) as Reading['value'],
        sureness: 'sure',
        by: '',
        at: '',
      } as Reading);
}

/** What this guide cannot read any more does not stand on it. */
function causeUnder(ask: () => Cause | undefined, of: string): Cause | undefined {
  try {
    return ask();
  } catch (error) {
    if (error instanceof CaseError)
      return { code: 'verdict', of, because: 'guide', outcome: 'pause', grade: 'deadly' };
    throw error;
  }
}
