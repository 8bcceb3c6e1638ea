import { me } from '../../store/slices';
import { loadList, syncAll } from '../../store/actions';
import { Refused } from '../../store/api';
import type { Thunk } from '../../store/store';

/** Accounts, groups and their rules: what can be done only with a connection. */

export type Outcome = { readonly ok: true } | { readonly ok: false; readonly title: string; readonly field?: string | undefined };

/** Does something at the server, then takes what changed. What is wrong is told with its field. */
function atServer(work: (ask: (method: 'GET' | 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown) => Promise<unknown>) => Promise<unknown>): Thunk<Promise<Outcome & { readonly said?: unknown }>> {
  return async (dispatch, _, { api }) => {
    try {
      const said = await work(api.ask);
      await dispatch(syncAll());
      await dispatch(loadList());
      return { ok: true, said };
    } catch (error) {
      const title = error instanceof Error ? error.message : String(error);
      return { ok: false, title, ...(error instanceof Refused && error.errors[0] ? { field: error.errors[0].field, title: error.errors[0].reason } : {}) };
    }
  };
}

export const openDemo = (): Thunk<Promise<Outcome>> => atServer((ask) => ask('POST', '/auth/demo/sign-in', {}));
export const signIn = (email: string, password: string): Thunk<Promise<Outcome>> => atServer((ask) => ask('POST', '/auth/sign-in/email', { email, password }));
export const signUp = (name: string, email: string, password: string): Thunk<Promise<Outcome>> => atServer((ask) => ask('POST', '/auth/sign-up/email', { name, email, password }));

/** Leaves this device empty. Nothing that waits is lost by it: then it is not done. */
function signOutBy(path: string): Thunk<Promise<Outcome>> {
  return async (dispatch, _, { api, album, device }) => {
    // What another window told counts too.
    const waiting = await device.waiting();
    const pictures = await (await album()).unsent().catch(() => []);
    if (pictures.length > 0) return { ok: false, title: `${pictures.length === 1 ? 'One picture waits' : `${pictures.length} pictures wait`} to be sent. Sign out when they have gone.` };
    if (waiting.length > 0) return { ok: false, title: `${waiting.length === 1 ? 'One entry waits' : `${waiting.length} entries wait`} to be sent. Sign out when they have gone.` };
    try {
      await api.ask('POST', path, {});
    } catch (error) {
      return { ok: false, title: error instanceof Error ? error.message : String(error) };
    }
    await device.clear();
    await (await album()).clear().catch(() => undefined);
    dispatch(me.actions.meLoading());
    window.location.assign('/');
    return { ok: true };
  };
}
export const signOut = (): Thunk<Promise<Outcome>> => signOutBy('/auth/sign-out');
export const signOutEverywhere = (): Thunk<Promise<Outcome>> => signOutBy('/auth/revoke-sessions');

export function deleteAccount(name: string): Thunk<Promise<Outcome>> {
  return async (dispatch, _, { device }) => {
    const done = await dispatch(atServer((ask) => ask('DELETE', '/me', { name })));
    if (!done.ok) return done;
    await device.clear();
    window.location.assign('/');
    return done;
  };
}

export const beginGroup = (id: string, name: string): Thunk<Promise<Outcome>> => atServer((ask) => ask('POST', '/groups', { id, name }));
export const joinByCode = (code: string): Thunk<Promise<Outcome & { readonly said?: unknown }>> => atServer((ask) => ask('POST', '/invitations/accept', { code }));
export const inviteTo = (group: string, role: string, days: number): Thunk<Promise<Outcome & { readonly said?: unknown }>> => atServer((ask) => ask('POST', `/groups/${group}/invitations`, { role, days }));
export const changeRole = (group: string, person: string, role: string): Thunk<Promise<Outcome>> => atServer((ask) => ask('PATCH', `/groups/${group}/members/${person}`, { role }));
export const takeOut = (group: string, person: string): Thunk<Promise<Outcome>> => atServer((ask) => ask('DELETE', `/groups/${group}/members/${person}`));
export const signReview = (group: string, taxon: string, content: string, note?: string): Thunk<Promise<Outcome>> => atServer((ask) => ask('POST', `/groups/${group}/reviews`, { taxon, content, ...(note ? { note } : {}) }));
export const unsignReview = (group: string, taxon: string): Thunk<Promise<Outcome>> => atServer((ask) => ask('DELETE', `/groups/${group}/reviews/${taxon}`));
