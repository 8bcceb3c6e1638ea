import type { Entry } from '@pause/core/notebook';
import { type Actor, mayRead, groupOf } from '../access';
import type { Role } from '../db/schema';
import { invalid, Problem, type FieldProblem, tooBusy } from '../problem';
import { checkFind, checkEntry } from './check';
import { checkPage } from './checkPage';
import { aboutOf, streamOfNew, notThere, begins, type Sending } from './entries';
import type { State } from './state';

/** Who may write an entry where, and what is wrong with it. */

export const taken = (id: string) =>
  new Problem(409, 'duplicate-id', `id: "${id}" is taken by something else`, [
    { field: 'id', reason: 'this id was used before, with other content' },
  ]);

/**
 * The notebook that an entry goes to, and who has which role in it.
 *
 * @throws Problem where the person may not write there
 */
export function placeOf(
  { heads, groups, last }: State,
  actor: Actor,
  entry: Entry,
): { readonly stream: string; readonly roles: ReadonlyMap<string, Role> } {
  const begun = heads.get(aboutOf(entry));
  const stream = begun ?? streamOfNew(entry, actor.person);
  if (stream === undefined) throw notThere(entry);
  if (!mayRead(actor, stream))
    throw begins(entry) && begun === undefined
      ? invalid([{ field: 'group', reason: 'you do not belong to this group' }])
      : notThere(entry);
  if (begins(entry) && begun !== undefined) throw taken(entry.body.id);
  // It began in between, in a notebook that is not held here: sent again, it is.
  if (!last.has(stream)) throw tooBusy();
  // Whoever was put out of a group meanwhile adds nothing more to it.
  const roles = groups.get(stream)?.roles ?? new Map<string, Role>();
  if (groupOf(stream) !== undefined && !roles.has(actor.person)) throw notThere(entry);
  return { stream, roles };
}

export const finderOf = ({ finds }: State, entry: Entry) =>
  entry.kind === 'finds' ? entry.body.person : (finds.get(entry.find ?? '')?.person ?? '');

interface Checking {
  readonly actor: Actor;
  readonly guide: Sending['options']['guide'];
  readonly roles: ReadonlyMap<string, Role>;
}

/** What is wrong with an entry, held against what is on record. */
export function problemsOf(state: State, entry: Entry, { actor, guide, roles }: Checking): FieldProblem[] {
  const { person } = actor;
  if (entry.kind === 'finds') return checkFind(entry, guide, person);
  const record = entry.find === undefined ? undefined : state.finds.get(entry.find);
  const page = entry.page === undefined ? undefined : state.pages.get(entry.page);
  if (!begins(entry) && !record && !page) throw notThere(entry);
  if (entry.page === undefined) return record ? checkEntry(entry, { guide, person, record, roles }) : [];
  const streamOf = (id: string) =>
    state.heads.get(`page ${id}`) ??
    state.heads.get(`find ${id}`) ??
    state.sources.get(`page ${id}`) ??
    state.sources.get(`find ${id}`);
  const isThere = (may: boolean) => (id: string) => {
    const stream = streamOf(id);
    return stream !== undefined && mayRead(actor, stream) === may;
  };
  return checkPage(entry, {
    guide,
    person,
    page,
    roles,
    parents: state.parents,
    there: isThere(true),
    hidden: isThere(false),
  });
}
