import { currentFields, type CompiledGuide, type Sureness, type TaxonId } from '@pause/core';
import { historyOf, type PairHistory, type Read } from '@pause/core/practice';
import { ownStream } from '../access';
import type { Db } from '../db';
import { pagesOf } from '../notebook/pages';

/** What the people of a group take for what, added up without names, of those who let it count. */

export interface GroupConfusion {
  /** How many let theirs count. Of fewer than `FEWEST` nothing is shown: it would show who. */
  readonly people: number;
  readonly reads: readonly {
    readonly character: string;
    readonly shown: string;
    readonly read: string;
    readonly sureness: Sureness;
    readonly times: number;
  }[];
  /** Pairs as they were told apart in practice, and how often they were not. */
  readonly pairs: readonly PairHistory[];
  /** What was collected in practice and was another. */
  readonly taken: readonly { readonly was: TaxonId; readonly as: TaxonId; readonly times: number }[];
}
const FEWEST = 3;

export async function confusionOfGroup(db: Db, guide: CompiledGuide, group: string): Promise<GroupConfusion> {
  const members = (
    await db
      .selectFrom('memberships')
      .select('person')
      .where('group_id', '=', group)
      .where('left_at', 'is', null)
      .execute()
  ).map(({ person }) => person);
  const heads = await db
    .selectFrom('pages')
    .select(['id', 'kind', 'person'])
    .where('kind', 'in', ['learner', 'practice'])
    .where('stream', 'in', members.map(ownStream))
    .execute();
  const learners = await pagesOf(
    db,
    heads.filter(({ kind }) => kind === 'learner').map(({ id }) => id),
  );
  const people = new Set(
    [...learners.values()]
      .filter((page) => currentFields(page, 'learner').countsFor?.includes(group))
      .flatMap(({ person }) => person ?? []),
  );
  if (people.size < FEWEST) return { people: people.size, reads: [], pairs: [], taken: [] };
  const sittings = await pagesOf(
    db,
    heads
      .filter(({ kind, person }) => kind === 'practice' && person !== null && people.has(person))
      .map(({ id }) => id),
  );
  // As if they were one: nothing shows whose each was.
  const { reads, pairs, taken } = historyOf(
    guide,
    [...sittings.values()].map((page) => currentFields(page, 'practice')),
  );
  return {
    people: people.size,
    reads: counted(reads),
    pairs,
    taken: taken.map(({ was, as, times }) => ({ was, as, times })),
  };
}

function counted(reads: readonly Read[]): GroupConfusion['reads'] {
  const counts = new Map<string, GroupConfusion['reads'][number]>();
  for (const { character, shown, read, sureness } of reads) {
    const key = `${character} ${shown} ${read} ${sureness}`;
    counts.set(key, { character, shown, read, sureness, times: (counts.get(key)?.times ?? 0) + 1 });
  }
  return [...counts.values()];
}
