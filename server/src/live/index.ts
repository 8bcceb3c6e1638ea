import type { Response } from 'express';
import pg from 'pg';
import { CHANNEL } from '../notebook';

/** Tells open devices at once that a stream grew, on whichever server it was written: PostgreSQL passes it on (LISTEN, NOTIFY). */
export interface Live {
  /** Keeps a response open as an event stream (WHATWG server-sent events) and tells it of these streams until it closes. */
  readonly follow: (response: Response, streams: () => readonly string[]) => void;
  readonly stop: () => Promise<void>;
}

const ALIVE_MS = 25_000;
const AGAIN_MS = 2000;

export function openLive(databaseUrl: string): Live {
  const followers = new Map<Response, () => readonly string[]>();
  let client: pg.Client | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let stopped = false;
  const tell = (text: string, to: (streams: readonly string[]) => boolean = () => true) => {
    for (const [response, streams] of followers) if (to(streams())) response.write(text);
  };
  const listen = async () => {
    const fresh = new pg.Client({ connectionString: databaseUrl });
    fresh.on('notification', ({ payload }) => {
      const { stream } = JSON.parse(payload ?? '{}') as { stream?: string };
      if (stream !== undefined) tell(`event: grew\ndata: ${payload ?? ''}\n\n`, (streams) => streams.includes(stream));
    });
    const broken = () => {
      fresh.removeAllListeners('end');
      if (stopped || client !== fresh) return;
      client = undefined;
      again = setTimeout(() => void listen(), AGAIN_MS);
    };
    fresh.on('error', broken);
    fresh.on('end', broken);
    client = fresh;
    try {
      await fresh.connect();
      await fresh.query(`listen ${CHANNEL}`);
      // Whatever grew while nobody listened.
      tell('event: grew\ndata: {}\n\n');
    } catch {
      broken();
    }
  };
  void listen();
  const alive = setInterval(() => tell(': alive\n\n'), ALIVE_MS);
  alive.unref();
  return {
    follow: (response, streams) => {
      response.status(200).set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache, no-transform', 'X-Accel-Buffering': 'no' });
      response.flushHeaders();
      response.write('retry: 3000\n\n');
      followers.set(response, streams);
      response.on('close', () => followers.delete(response));
    },
    stop: async () => {
      stopped = true;
      clearInterval(alive);
      clearTimeout(again);
      for (const response of followers.keys()) response.end();
      followers.clear();
      await client?.end().catch(() => undefined);
    },
  };
}
