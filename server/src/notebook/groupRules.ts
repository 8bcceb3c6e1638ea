import type { Policy } from '@pause/core';
import { groupOf, groupStream } from '../access';
import type { Db } from '../db';
import type { Role } from '../db/schema';
import { withReviews } from '../groups';

/** The rules and the people of the groups whose streams these are. */
export async function groupsOf(
  db: Db,
  streams: readonly string[],
): Promise<Map<string, { policy: Policy; roles: ReadonlyMap<string, Role> }>> {
  const ids = streams.flatMap((stream) => groupOf(stream) ?? []);
  if (ids.length === 0) return new Map();
  const [groups, members] = [
    await db.selectFrom('groups').select(['id', 'policy']).where('id', 'in', ids).execute(),
    await db
      .selectFrom('memberships')
      .select(['group_id', 'person', 'role'])
      .where('group_id', 'in', ids)
      .where('left_at', 'is', null)
      .execute(),
  ];
  const reviews = await db
    .selectFrom('reviews')
    .select(['group_id', 'taxon', 'content'])
    .where('group_id', 'in', ids)
    .orderBy('taxon')
    .execute();
  return new Map(
    groups.map(({ id, policy }) => [
      groupStream(id),
      {
        policy: withReviews(
          policy,
          reviews.filter((r) => r.group_id === id),
        ),
        roles: new Map(members.filter((m) => m.group_id === id).map((m) => [m.person, m.role])),
      },
    ]),
  );
}
