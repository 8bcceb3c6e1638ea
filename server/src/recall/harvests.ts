import { currentFields } from '@pause/core';
import { strayCauses } from '@pause/core/pantry/recall';
import type { Db } from '../db';
import { pagesOf } from '../notebook/pages';
import { settle } from './settle';

/** Harvests in which strays were found. */

/** Looks whether a stray that was found in a harvest puts it in question. */
export async function recheckHarvests(db: Db, harvests: readonly string[]): Promise<void> {
  if (harvests.length === 0) return;
  const rows = await db
    .selectFrom('pages')
    .select('person')
    .distinct()
    .where('id', 'in', [...harvests])
    .where('kind', '=', 'harvest')
    .execute();
  const people = rows.flatMap(({ person }) => person ?? []);
  if (people.length === 0) return;
  // What lay in one bag with it is in question too: everything that the same ones took is looked at.
  const heads = await db
    .selectFrom('pages')
    .select(['id', 'stream'])
    .where('person', 'in', people)
    .where('kind', '=', 'harvest')
    .execute();
  const pages = await pagesOf(
    db,
    heads.map(({ id }) => id),
  );
  const causes = strayCauses(
    [...pages.values()].map((page) => {
      const { on, bag, sorting } = currentFields(page, 'harvest');
      return { id: page.id, person: page.person ?? '', on, bag, grades: sorting?.grades ?? [] };
    }),
  );
  const before = new Set(
    (
      await db
        .selectFrom('recalls')
        .select('of')
        .where(
          'of',
          'in',
          heads.map(({ id }) => id),
        )
        .execute()
    ).map(({ of }) => of),
  );
  const causeOfOne = new Map(causes.map((cause) => [cause.of, cause]));
  await settle(
    db,
    heads.flatMap(({ id, stream }) =>
      causeOfOne.has(id) || before.has(id) ? [{ of: id, stream, cause: causeOfOne.get(id) }] : [],
    ),
  );
}
