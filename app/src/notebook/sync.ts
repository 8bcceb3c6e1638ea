import { findsOf, type Entry } from '@pause/core';
import { guide } from '../deciding/guide';
import { layFind, loadList } from './actions';
import { Away, Refused, type Api, type Me, type Sent } from './api';
import { NotKept, type Settled } from './device';
import { emptyDevice } from './empty';
import { layPages, withTold } from './pages';
import { me, outbox, pages, type Person } from './slices';
import type { Running, State, Thunk } from './store';

/**
 * What goes to the server and what comes from it. Everything is on the device first; nothing here is waited
 * for by a screen.
 */

const RETRY_MS = 4000;
const AT_ONCE = 100;
/** A server reads one megabyte; a letter takes up to three bytes. */
const LETTERS_AT_ONCE = 300_000;
/** A server that answers so has read what was sent, and will answer the same to the same. */
const ABOUT_WHAT_WAS_SENT: ReadonlySet<number> = new Set([400, 413, 415, 422]);
/**
 * With more entries than this to come, it is said: a line that comes and goes at once would only push what is
 * about to be tapped.
 */
const LONG = 300;
/** A clock that is off by more is said to be wrong, and the notebook's time is reckoned with instead. */
const CLOCK_OFF_MS = 5 * 60_000;

/** Whether pages are shown: all of them, or a single one. */
const anyOpen = ({ pages: { status, all } }: State) => status === 'ready' || Object.keys(all).length > 0;

function away(): Thunk {
  return (dispatch, _, { running }) => {
    dispatch(outbox.actions.noted({ away: true }));
    clearTimeout(running.retry);
    running.retry = setTimeout(() => void dispatch(syncAll()), RETRY_MS);
  };
}

/** The next entries to send: as many as fit, and one at least. */
function nextBatch(waiting: readonly Entry[]): Entry[] {
  const batch: Entry[] = [];
  let letters = 0;
  for (const entry of waiting.slice(0, AT_ONCE)) {
    letters += JSON.stringify(entry).length;
    if (batch.length > 0 && letters > LETTERS_AT_ONCE) break;
    batch.push(entry);
  }
  return batch;
}

/**
 * Sends entries; where a server refuses them whole, each half by itself, until the one that it refuses is
 * alone. That one is put aside.
 */
async function sendAll(api: Api, batch: readonly Entry[]): Promise<readonly Sent[]> {
  try {
    return await api.push(batch);
  } catch (error) {
    if (!(error instanceof Refused) || !ABOUT_WHAT_WAS_SENT.has(error.status)) throw error;
    if (batch.length === 1)
      return [
        {
          status: 'refused',
          reason: error.status === 413 ? 'It is too large to be sent: one megabyte at most.' : error.message,
        },
      ];
    const half = Math.ceil(batch.length / 2);
    return [...(await sendAll(api, batch.slice(0, half))), ...(await sendAll(api, batch.slice(half)))];
  }
}

/**
 * Sends what waits, oldest first; tries again later if the server is away. Without an account it stays here.
 */
export function flush(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, device, running }) => {
    if (getState().outbox.sending || getState().me.person?.account !== true) return;
    dispatch(outbox.actions.noted({ sending: true }));
    clearTimeout(running.retry);
    try {
      for (
        let batch = nextBatch(getState().outbox.waiting);
        batch.length > 0;
        batch = nextBatch(getState().outbox.waiting)
      ) {
        const sent = await sendAll(api, batch);
        const settled = batch.map((entry, index): Settled => {
          const one = sent[index];
          if (one?.status !== 'arrived')
            return { status: 'refused', entry, reason: one?.reason ?? 'The server did not say why.' };
          const { stamp, at, arrival, stream, seq } = one;
          // The server moves what a clock told that is wrong.
          const body =
            at === undefined
              ? entry.body
              : { ...entry.body, [entry.kind === 'finds' ? 'startedAt' : 'at']: at };
          return {
            status: 'arrived',
            entry: { ...entry, body, stamp, ...(arrival ? { arrival } : {}) } as typeof entry,
            stream,
            seq,
          };
        });
        await device.settle(settled);
        dispatch(
          outbox.actions.sent({
            arrived: settled.flatMap((one) => (one.status === 'arrived' ? [one.entry] : [])),
            refused: settled.flatMap((one) =>
              one.status === 'refused' ? [{ entry: one.entry, reason: one.reason }] : [],
            ),
          }),
        );
        const changed = findsOf(
          settled.flatMap((one) => (one.status === 'refused' || one.entry.arrival ? [one.entry] : [])),
        );
        for (const id of changed) if (getState().finds[id]) dispatch(layFind(id, await device.record(id)));
        const takenBack = settled.flatMap(({ status, entry }) =>
          status === 'refused' ? (entry.page ?? []) : [],
        );
        if (takenBack.length > 0) await dispatch(layPages(takenBack));
      }
    } catch (error) {
      if (error instanceof Refused && error.status === 401) dispatch(me.actions.notSignedIn({ demo: false }));
      else dispatch(away());
    } finally {
      dispatch(outbox.actions.noted({ sending: false }));
    }
    if (getState().outbox.waiting.length === 0) void dispatch(sendPictures());
  };
}

const PART_BYTES = 128 * 1024;

async function sendBytes(
  api: Api,
  id: string,
  bytes: Uint8Array<ArrayBuffer>,
  going: (share: number) => void,
): Promise<void> {
  try {
    let { received, size } = await api.received(id);
    for (let begunAnew = 0; received < size && begunAnew < 2;) {
      going(received / size);
      const before = received;
      ({ received, size } = await api.sendPart(id, received, bytes.slice(received, received + PART_BYTES)));
      if (received <= before) begunAnew += 1;
    }
  } catch (error) {
    // Taken out again meanwhile, or refused: sending it again will not help.
    if (!(error instanceof Refused)) throw error;
  }
}

/**
 * The bytes of photos and sketches, after what is on record of them: in parts, going on where it broke off.
 * Nothing else waits for it.
 */
export function sendPictures(): Thunk<Promise<void>> {
  return async (dispatch, getState, { api, album, running }) => {
    if (running.sendingPictures || getState().me.person?.account !== true) return;
    running.sendingPictures = true;
    try {
      const all = await album();
      const waiting = new Set(getState().outbox.waiting.map((entry) => entry.body.id));
      const ready = (await all.unsent()).filter(({ id }) => !waiting.has(id));
      for (const [index, { id, image }] of ready.entries()) {
        const bytes = new Uint8Array(await image.arrayBuffer());
        await sendBytes(api, id, bytes, (share) =>
          dispatch(outbox.actions.noted({ pictures: { left: ready.length - index, share } })),
        );
        await all.markSent(id);
      }
    } catch (error) {
      // Without a connection, or where this browser keeps no pictures: another time.
      if (error instanceof Away) dispatch(away());
    } finally {
      running.sendingPictures = false;
      dispatch(outbox.actions.noted({ pictures: undefined }));
    }
  };
}

const askedAgain = (running: Running) => running.again;

/**
 * Who this is, what waits, and what others told: all that a connection is for. Asked for while it goes on, it
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
      return askedAgain(running) ? round() : reached;
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
      const told = await api.me();
      await dispatch(becomes(told, before));
      await dispatch(flush());
      if (getState().outbox.away) return false;
      for (const { id, last } of told.streams) await dispatch(pullStream(id, last));
      void dispatch(sendPictures());
      return true;
    } catch (error) {
      if (error instanceof Refused && error.status === 401) {
        await dispatch(staysHere());
        return true;
      }
      if (error instanceof NotKept) {
        dispatch(outbox.actions.told({ notTaken: error.message }));
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
    dispatch(outbox.actions.told({ heardAt: clock() }));
    dispatch(me.actions.notSignedIn({ demo, mail }));
  };
}

/**
 * This device is the account's: what was told on it before goes to it; what another account had here is
 * forgotten, once nothing of it waits. Nothing is told meanwhile: it would be nobody's.
 */
function becomes(told: Me, asked_at: number): Thunk<Promise<void>> {
  return (dispatch, _, { running }) => {
    const turn = running.lastTold.then(() => dispatch(belongsTo(told, asked_at)));
    running.lastTold = turn.catch(() => undefined);
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
      groups: withTold(groups, getState().outbox.waiting),
      account: true,
      offsetMs: demo || wrong ? off : 0,
    };
    const another = was !== undefined && was.id !== id;
    if (another && was.account) {
      // What another window told counts too.
      if ((await dispatch(emptyDevice())) > 0)
        throw new Refused(401, 'another-account', 'Entries of another account wait on this device.');
    }
    if (another && !was.account) await device.adopt(person);
    else await device.keepPerson(person);
    if (another) {
      dispatch(pages.actions.pagesForgotten());
      dispatch(outbox.actions.noted({ waiting: await device.waiting() }));
    }
    dispatch(me.actions.meLoaded(person));
    if (another)
      for (const find of Object.keys(getState().finds)) dispatch(layFind(find, await device.record(find)));
    dispatch(
      outbox.actions.told({
        heardAt: clock(),
        otherGuide: theirs.version !== guide.version,
        ...(wrong ? { clockOff: Math.round(-off / 60_000) } : { clockOff: 0 }),
        newerTold: false,
        notTaken: undefined,
      }),
    );
  };
}

/** Takes what a stream holds beyond what is here. @returns whether a group's rules are among it */
function pullStream(stream: string, last: number): Thunk<Promise<boolean>> {
  return async (dispatch, getState, { api, device }) => {
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
          dispatch(outbox.actions.told({ newerTold: true }));
          break;
        }
        if (page.entries.length === 0) break;
      }
    } finally {
      dispatch(outbox.actions.noted({ fetching: undefined }));
      if (touched.size > 0) {
        for (const id of touched) if (getState().finds[id]) dispatch(layFind(id, await device.record(id)));
        if (anyOpen(getState())) await dispatch(layPages([...touched]));
        if (getState().list.status === 'ready') await dispatch(loadList());
      }
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
        // What went wrong is found out, and said, by asking for everything.
      }
    }
    await dispatch(syncAll());
  };
}
