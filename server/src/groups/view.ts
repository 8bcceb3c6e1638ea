import type { Policy } from '@pause/core';
import { type Actor, mustBeIn, noSuchGroup } from '../access';
import type { Db } from '../db';
import type { Role } from '../db/schema';
import { withReviews } from './reviews';

/** A group as its members see it. */

export interface GroupView {
  readonly id: string;
  readonly name: string;
  /** What the person who asks is in it. */
  readonly role: Role;
  readonly policy: Policy;
  readonly members: readonly {
    readonly person: string;
    readonly name: string;
    readonly role: Role;
    readonly joinedAt: string;
  }[];
  readonly reviews: readonly {
    readonly taxon: string;
    readonly content: string;
    readonly by: string;
    readonly at: string;
    readonly note?: string;
  }[];
  /** People who belonged to it and whose entries are in its notebook. */
  readonly former: readonly { readonly person: string; readonly name: string }[];
}

export async function groupView(db: Db, actor: Actor, group: string): Promise<GroupView> {
  mustBeIn(actor, group);
  const [view] = await groupViews(db, {
    ...actor,
    groups: actor.groups.filter((membership) => membership.group === group),
  });
  if (!view) throw noSuchGroup(group);
  return view;
}

/** All groups of a person, however many, in three queries. */
export async function groupViews(db: Db, { groups }: Actor): Promise<GroupView[]> {
  if (groups.length === 0) return [];
  const ids = groups.map(({ group }) => group);
  const kept = new Map(
    (await db.selectFrom('groups').selectAll().where('id', 'in', ids).execute()).map((one) => [one.id, one]),
  );
  const people = await db
    .selectFrom('memberships as m')
    .innerJoin('people as p', 'p.id', 'm.person')
    .where('group_id', 'in', ids)
    .select(['m.group_id', 'm.person', 'p.name', 'm.role', 'm.joined_at', 'm.left_at'])
    .orderBy('m.joined_at')
    .orderBy('m.person')
    .execute();
  const reviews = await db
    .selectFrom('reviews')
    .select(['group_id', 'taxon', 'content', 'by', 'at', 'note'])
    .where('group_id', 'in', ids)
    .orderBy('taxon')
    .execute();
  return groups.flatMap(({ group, role }): GroupView[] => {
    const one = kept.get(group);
    if (!one) return [];
    const [own, signed] = [
      people.filter((p) => p.group_id === group),
      reviews.filter((r) => r.group_id === group),
    ];
    return [
      {
        id: one.id,
        name: one.name,
        role,
        policy: withReviews(one.policy, signed),
        reviews: signed.map(({ taxon, content, by, at, note }) => ({
          taxon,
          content,
          by,
          at: at.toISOString(),
          ...(note === null ? {} : { note }),
        })),
        members: own
          .filter((p) => p.left_at === null)
          .map((p) => ({
            person: p.person,
            name: p.name,
            role: p.role,
            joinedAt: p.joined_at.toISOString(),
          })),
        former: own.filter((p) => p.left_at !== null).map((p) => ({ person: p.person, name: p.name })),
      },
    ];
  });
}
