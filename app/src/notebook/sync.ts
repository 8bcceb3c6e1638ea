import { guide } from '../deciding/guide';
import { t } from '../text/en/notebook';
import { Refused, Away, type Me } from './api';
import { NotKept } from './device';
import { emptyDevice } from './empty';
import { outbox } from './outboxSlice';
import { withPending } from './pages';
import { refreshFinds } from './repository/finds';
import { refresh } from './repository/pages';
import { flush, away, sendPictures } from './send';
import { me, type Person, pages } from './slices';
import type { Running, Thunk } from './store';

/**
 * With more entries than this to come, it is shown: a line that comes and goes at once would only push what is
 * about to be tapped.
 */
const LONG = 300;

/** A clock that is off by more counts as wrong, and the notebook's time is reckoned with instead. */
const CLOCK_OFF_MS = 5 * 60_000;

const wantsAgain = (running: Running) => running.again;

/**
 * Who this is, what waits, and what others recorded: all that a connection is for. Asked for while it goes on, it
 * is done once more.
 *
 * @returns whether the server was reached
 */
export function syncAll(): Thunk<Promise<boolean>> {
  return (dispatch, _, { running }) => {
    if (running.syncing) {
      running.again = true;
      return running.syncing;
    }
    const round = async (): Promise<boolean> => {
      running.again = false;
      const reached = await dispatch(syncOnce());
      return wantsAgain(running) ? round() : reached;
    };
    running.syncing = round().finally(() => {
      running.syncing = undefined;
    });
    return running.syncing;
  };
}

function syncOnce(): Thunk<Promise<boolean>> {
  return async (dispatch, getState, { api, clock }) => {
    const before = clock();
    try {
      const account = await api.me();
      await dispatch(becomes(account, before));
      await dispatch(flush());
      if (getState().outbox.away) return false;
      for (const { id, last } of account.streams) await dispatch(pullStream(id, last));
      void dispatch(sendPictures());
      return true;
    } catch (error) {
      if (error instanceof Refused && error.status === 401) {
        await dispatch(staysHere());
        return true;
      }
      if (error instanceof NotKept) {
        dispatch(outbox.actions.learned({ notTaken: error.message }));
        return true;
      }
      if (!(error instanceof Away)) throw error;
      dispatch(away());
      return false;
    }
  };
}

/**
 * Nobody is signed in: the notebook stays on this device. The demo has a time of its own, which is kept to
 * all the same.
 */
function staysHere(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, clock, device }) => {
    const before = clock();
    const { demo, now, mail } = await api.about();
    const { person } = getState().me;
    if (person?.account === false && demo) {
      const here = { ...person, demo, offsetMs: Date.parse(now) - (before + clock()) / 2 };
      await device.keepPerson(here);
      dispatch(me.actions.meLoaded(here));
    }
    dispatch(outbox.actions.learned({ syncedAt: clock() }));
    dispatch(me.actions.notSignedIn({ demo, mail }));
  };
}

/**
 * This device is the account's: what was recorded on it before goes to it; what another account had here is
 * forgotten, once nothing of it waits. Nothing is recorded meanwhile: it would be nobody's.
 */
function becomes(account: Me, asked_at: number): Thunk<Promise<void>> {
  return (dispatch, _, { running }) => {
    const turn = running.lastAdded.then(() => dispatch(belongsTo(account, asked_at)));
    running.lastAdded = turn.catch(() => undefined);
    return turn;
  };
}

function belongsTo(
  { id, name, demo, now, groups, guide: theirs }: Me,
  asked_at: number,
): Thunk<Promise<void>> {
  return async (dispatch, getState, { clock, device }) => {
    const was = getState().me.person;
    // The answer was on its way for as long as nobody knows; the middle is nearest.
    const off = Date.parse(now) - (asked_at + clock()) / 2;
    const wrong = !demo && Math.abs(off) > CLOCK_OFF_MS;
    const person: Person = {
      id,
      name,
      demo,
      groups: withPending(groups, getState().outbox.waiting),
      account: true,
      offsetMs: demo || wrong ? off : 0,
    };
    const another = was !== undefined && was.id !== id;
    if (another && was.account) {
      // What another window recorded counts too.
      if ((await dispatch(emptyDevice())) > 0)
        throw new Refused(401, 'another-account', t.entriesOfAnotherAccount);
    }
    if (another && !was.account) await device.adopt(person);
    else await device.keepPerson(person);
    if (another) {
      dispatch(pages.actions.pagesForgotten());
      dispatch(outbox.actions.noted({ waiting: await device.waiting() }));
    }
    dispatch(me.actions.meLoaded(person));
    if (another) await dispatch(refreshFinds(Object.keys(getState().finds)));
    dispatch(
      outbox.actions.learned({
        syncedAt: clock(),
        otherGuide: theirs.version !== guide.version,
        ...(wrong ? { clockOff: Math.round(-off / 60_000) } : { clockOff: 0 }),
        newerVersion: false,
        notTaken: undefined,
      }),
    );
  };
}

/** Takes what a stream holds beyond what is here. @returns whether a group's rules are among it */
function pullStream(stream: string, last: number): Thunk<Promise<boolean>> {
  return async (dispatch, _, { api, device }) => {
    const from = await device.taken(stream);
    let here = from;
    let all = last;
    const touched = new Set<string>();
    let rules = false;
    try {
      while (here < all) {
        if (all - from > LONG)
          dispatch(outbox.actions.noted({ fetching: { here: here - from, all: all - from } }));
        const page = await api.pull(stream, here);
        if (page.entries.length > 0)
          for (const id of await device.take({ stream, entries: page.entries })) touched.add(id);
        rules ||= page.entries.some(({ entry: { kind, body } }) => kind === 'fields' && body.of === 'group');
        here = page.entries.at(-1)?.seq ?? here;
        all = page.last;
        if (page.newer) {
          dispatch(outbox.actions.learned({ newerVersion: true }));
          break;
        }
        if (page.entries.length === 0) break;
      }
    } finally {
      dispatch(outbox.actions.noted({ fetching: undefined }));
      if (touched.size > 0) await dispatch(refresh([...touched]));
    }
    return rules;
  };
}

/**
 * A stream grew at the server: only that is fetched. Where nobody knows which grew, or a group's rules are
 * among it, everything is asked for.
 */
export function streamGrew(grew?: { readonly stream: string; readonly last: number }): Thunk<Promise<void>> {
  return async (dispatch, getState, { device, running }) => {
    if (grew && ((await device.taken(grew.stream)) >= grew.last || getState().outbox.sending)) return;
    if (grew && !running.syncing && getState().me.person?.account === true) {
      try {
        if (!(await dispatch(pullStream(grew.stream, grew.last)))) return;
      } catch {
        // What went wrong is found out, and shown, by asking for everything.
      }
    }
    await dispatch(syncAll());
  };
}
