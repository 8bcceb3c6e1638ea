import { type Entry, findsOf } from '@pause/core';
import { t } from '../text/en/notebook';
import { type Api, type Sent, Refused, Away } from './api';
import type { Settled } from './device';
import { syncAll } from './open';
import { outbox } from './outboxSlice';
import { refreshFinds } from './repository/finds';
import { loadPages } from './repository/pages';
import { me } from './slices';
import type { Thunk } from './store';

/** Sending entries and pictures to the server. */

const RETRY_MS = 4000;
const AT_ONCE = 100;

/** A server reads one megabyte; a letter takes up to three bytes. */
const LETTERS_AT_ONCE = 300_000;

/** A server that answers so has read what was sent, and will answer the same to the same. */
const ABOUT_WHAT_WAS_SENT: ReadonlySet<number> = new Set([400, 413, 415, 422]);

export function away(): Thunk {
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
          reason: error.status === 413 ? t.tooLargeToBeSent : error.message,
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
            return { status: 'refused', entry, reason: one?.reason ?? t.serverDidNotSayWhy };
          const { stamp, at, arrival, stream, seq } = one;
          // The server moves what a wrong clock dated.
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
        await dispatch(refreshFinds(changed));
        const takenBack = settled.flatMap(({ status, entry }) =>
          status === 'refused' ? (entry.page ?? []) : [],
        );
        if (takenBack.length > 0) await dispatch(loadPages(takenBack));
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
