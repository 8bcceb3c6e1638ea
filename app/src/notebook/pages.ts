import type { Entry, FieldsOf, PageEntry, PageKind, Sighting } from '@pause/core';
import { add, now } from './add';
import type { Group } from './api';
import { newId, person } from './open';
import { entriesOfPage, loadPages } from './repository/pages';
import { me } from './slices';
import type { Thunk } from './store';

/** Pages of the notebook that are no finds: places, eaters, walks, and what groups agreed on. */

/** Puts entries of a page on record, and shows it with them. @returns whether they were kept */
function put(page: string, entries: readonly PageEntry[]): Thunk<Promise<boolean>> {
  return async (dispatch) => {
    const kept = await dispatch(add(...entries));
    if (kept) await dispatch(loadPages([page]));
    return kept;
  };
}

type Changes<K extends PageKind> = { readonly [F in keyof FieldsOf<K>]?: FieldsOf<K>[F] | null };

function fields<K extends PageKind>(page: string, of: K, changes: Changes<K>): Thunk<PageEntry[]> {
  return (dispatch) =>
    Object.entries<unknown>(changes).map(
      ([field, value]) =>
        ({
          kind: 'fields',
          page,
          body: { id: newId(), at: dispatch(now()), by: dispatch(person()), of, field, value },
        }) as PageEntry,
    );
}

/** Begins a page with what is known by now. @returns its id, if it was kept */
export function beginPage<K extends Exclude<PageKind, 'group'>>(
  kind: K,
  changes: Changes<K>,
  group?: string,
): Thunk<Promise<string | undefined>> {
  return async (dispatch) => {
    const id = newId();
    const begun: PageEntry = {
      kind: 'pages',
      page: id,
      body: {
        id,
        at: dispatch(now()),
        by: dispatch(person()),
        kind,
        ...(group === undefined ? {} : { group }),
      },
    };
    return (await dispatch(put(id, [begun, ...dispatch(fields(id, kind, changes))]))) ? id : undefined;
  };
}

/** Tells fields of a page anew; `null` empties one. */
export function changePage<K extends PageKind>(
  page: string,
  of: K,
  changes: Changes<K>,
): Thunk<Promise<boolean>> {
  return (dispatch) => dispatch(put(page, dispatch(fields(page, of, changes))));
}

/** Something was seen at a place, or looked for and not seen. */
export function sight(place: string, sighting: Omit<Sighting, 'id' | 'at' | 'by'>): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(
      put(place, [
        {
          kind: 'sightings',
          page: place,
          body: { id: newId(), at: dispatch(now()), by: dispatch(person()), ...sighting },
        },
      ]),
    );
}

/** Groups with what a keeper changed here and the server does not have yet. */
export function withPending(groups: readonly Group[], waiting: readonly Entry[]): Group[] {
  return groups.map((group) =>
    entriesOfPage(waiting, group.id).reduce<Group>((current, entry) => {
      if (entry.kind !== 'fields') return current;
      const { field, value } = entry.body;
      if (field === 'name') return typeof value === 'string' ? { ...current, name: value } : current;
      const { [field as keyof Group['policy']]: _, ...rest } = current.policy;
      return { ...current, policy: value === null ? rest : { ...rest, [field]: value } };
    }, group),
  );
}

/** A keeper tells the group's name or its rules; they count here at once. */
export function changeGroup(group: string, changes: Changes<'group'>): Thunk<Promise<boolean>> {
  return async (dispatch, getState, { device }) => {
    const kept = await dispatch(changePage(group, 'group', changes));
    const was = getState().me.person;
    if (!kept || !was) return kept;
    const changedHere = Object.entries(changes).map(
      ([field, value]) => ({ kind: 'fields', page: group, body: { of: 'group', field, value } }) as Entry,
    );
    const here = { ...was, groups: withPending(was.groups, changedHere) };
    await device.keepPerson(here);
    dispatch(me.actions.meLoaded(here));
    return kept;
  };
}
