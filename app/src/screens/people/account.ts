import { Refused, type Api } from '../../notebook/api';
import { emptyDevice } from '../../notebook/empty';
import { syncAll } from '../../notebook/open';
import { loadList } from '../../notebook/repository/finds';
import { me } from '../../notebook/slices';
import type { Thunk } from '../../notebook/store';
import { t } from '../../text/en/account';

/** Accounts, groups and their rules: what can be done only with a connection. */

export type Outcome =
  | { readonly ok: true }
  | {
      readonly ok: false;
      readonly title: string;
      readonly field?: string | undefined;
      readonly status?: number | undefined;
    };

function failed(error: unknown): Outcome {
  const title = error instanceof Error ? error.message : String(error);
  return {
    ok: false,
    title,
    ...(error instanceof Refused ? { status: error.status } : {}),
    ...(error instanceof Refused && error.errors[0]
      ? { field: error.errors[0].field, title: error.errors[0].reason }
      : {}),
  };
}

/** Does something at the server, then takes what changed. A problem names its field. */
function atServer(
  work: (
    ask: (method: 'GET' | 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown) => Promise<unknown>,
  ) => Promise<unknown>,
): Thunk<Promise<Outcome & { readonly answer?: unknown }>> {
  return async (dispatch, _, { api }) => {
    try {
      const answer = await work(api.ask);
      await dispatch(syncAll());
      await dispatch(loadList());
      return { ok: true, answer };
    } catch (error) {
      return failed(error);
    }
  };
}

/** What the library for accounts says of an answer, in our words. */
function inWords(
  outcome: Outcome & { readonly answer?: unknown },
  status: number,
  words: string,
): Outcome & { readonly answer?: unknown } {
  return !outcome.ok && outcome.status === status ? { ...outcome, title: words } : outcome;
}

export const openDemo = (): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('POST', '/auth/demo/sign-in', {}));
export const signIn =
  (email: string, password: string): Thunk<Promise<Outcome>> =>
  async (dispatch) =>
    inWords(
      await dispatch(atServer((ask) => ask('POST', '/auth/sign-in/email', { email, password }))),
      403,
      t.thisAddressIsNotConfirmed,
    );
/** With letters nobody is signed in by it: the address is confirmed first. */
export const signUp = (
  name: string,
  email: string,
  password: string,
): Thunk<Promise<Outcome & { readonly answer?: unknown }>> =>
  atServer((ask) => ask('POST', '/auth/sign-up/email', { name, email, password }));

const waits = (count: number, one: string, several: string, then: string) =>
  t.waitToBeSentWhen(count, one, several, then);

/**
 * What keeps this device from being emptied: what waits here would be lost with it.
 *
 * @param then what can be done when it has gone
 */
function stillHere(then: string): Thunk<Promise<string | undefined>> {
  return async (_, __, { album, device }) => {
    const pictures = await (await album()).unsent().catch(() => []);
    if (pictures.length > 0) return waits(pictures.length, 'picture', 'pictures', then);
    // What another window recorded counts too.
    const waiting = await device.waiting();
    return waiting.length > 0 ? waits(waiting.length, 'entry', 'entries', then) : undefined;
  };
}

/**
 * Leaves this device empty once the server has done its part, and begins anew, in this window and every
 * other. Nothing that waits is lost by it: then it is not done.
 */
function leave(then: string, atTheServer: (api: Api) => Promise<unknown>): Thunk<Promise<Outcome>> {
  return async (dispatch, _, { api }) => {
    const here = await dispatch(stillHere(then));
    if (here !== undefined) return { ok: false, title: here };
    try {
      await atTheServer(api);
    } catch (error) {
      return failed(error);
    }
    // Recorded in another window just now: it stays, and waits for its account.
    if ((await dispatch(emptyDevice())) > 0) {
      await dispatch(syncAll());
      return {
        ok: false,
        title: t.youAreSignedOutSomething,
      };
    }
    dispatch(me.actions.meLoading());
    window.location.assign('/');
    return { ok: true };
  };
}
export const signOut = (): Thunk<Promise<Outcome>> =>
  leave(t.signOut, (api) => api.ask('POST', '/auth/sign-out', {}));
export const signOutEverywhere = (): Thunk<Promise<Outcome>> =>
  leave(t.signOut, (api) => api.ask('POST', '/auth/revoke-sessions', {}));
export const deleteAccount = (name: string, password?: string): Thunk<Promise<Outcome>> =>
  leave(t.deleteTheAccount, (api) =>
    api.ask('DELETE', '/me', { name, ...(password === undefined ? {} : { password }) }),
  );
export const sessionsOf = (): Thunk<Promise<Outcome & { readonly answer?: unknown }>> =>
  atServer((ask) => ask('GET', '/me/sessions'));
export const endSession = (id: string): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('DELETE', `/me/sessions/${id}`));

export const confirmAddress = (token: string): Thunk<Promise<Outcome & { readonly answer?: unknown }>> =>
  atServer((ask) => ask('POST', '/auth/confirm', { token }));
export const askForPassword = (email: string): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('POST', '/auth/request-password-reset', { email }));
export const setPassword =
  (token: string, newPassword: string): Thunk<Promise<Outcome>> =>
  async (dispatch) =>
    inWords(
      await dispatch(atServer((ask) => ask('POST', '/auth/reset-password', { token, newPassword }))),
      400,
      t.thisLinkIsNoLonger,
    );
export const lettersInMailbox = (): Thunk<Promise<Outcome & { readonly answer?: unknown }>> =>
  atServer((ask) => ask('GET', '/demo/mailbox'));

export const beginGroup = (id: string, name: string): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('POST', '/groups', { id, name }));
export const joinByCode = (code: string): Thunk<Promise<Outcome & { readonly answer?: unknown }>> =>
  atServer((ask) => ask('POST', '/invitations/accept', { code }));
export const inviteTo = (
  group: string,
  role: string,
  days: number,
): Thunk<Promise<Outcome & { readonly answer?: unknown }>> =>
  atServer((ask) => ask('POST', `/groups/${group}/invitations`, { role, days }));
export const invitationsOf = (group: string): Thunk<Promise<Outcome & { readonly answer?: unknown }>> =>
  atServer((ask) => ask('GET', `/groups/${group}/invitations`));
export const takeBackInvitation = (group: string, id: string): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('DELETE', `/groups/${group}/invitations/${id}`));
export const changeRole = (group: string, person: string, role: string): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('PATCH', `/groups/${group}/members/${person}`, { role }));
export const takeOut = (group: string, person: string): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('DELETE', `/groups/${group}/members/${person}`));
export const signReview = (
  group: string,
  taxon: string,
  content: string,
  note?: string,
): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('POST', `/groups/${group}/reviews`, { taxon, content, ...(note ? { note } : {}) }));
export const unsignReview = (group: string, taxon: string): Thunk<Promise<Outcome>> =>
  atServer((ask) => ask('DELETE', `/groups/${group}/reviews/${taxon}`));
