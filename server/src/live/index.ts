import type { Response } from 'express';
import pg from 'pg';
import { CHANNEL, onPersonNews } from '../notebook';

/**
 * Tells open devices at once that a stream grew, on whichever server it was written: PostgreSQL passes it on
 * (LISTEN, NOTIFY).
 */
export interface Live {
  /**
   * Keeps a response open as an event stream (WHATWG server-sent events) and tells it of the streams of
   * whoever follows, as long as they may.
   */
  readonly follow: (response: Response, follower: Follower) => void;
  /**
   * Hears of people of whose sessions or groups something changed, on whichever server, before anything is
   * asked again.
   */
  readonly onPerson: (hear: (person: string) => void) => void;
  readonly stop: () => Promise<void>;
}

export interface Follower {
  readonly person: string;
  readonly streams: readonly string[];
  /**
   * Asked now and then, and when something became of the person's sessions: the streams by now; none where
   * the session has ended.
   */
  readonly again: () => Promise<readonly string[] | undefined>;
}

interface News {
  readonly stream?: string;
  /** Whose sessions or groups changed. */
  readonly person?: string;
}

const ALIVE_MS = 25_000;
const AGAIN_MS = 2000;
const MOST_OF_ONE_PERSON = 30;

export function openLive(databaseUrl: string): Live {
  const listeners: ((person: string) => void)[] = [];
  const changed = (person: string) => {
    for (const hear of listeners) hear(person);
  };
  const hearNoMore = onPersonNews(changed);
  const followers = new Map<
    Response,
    { person: string; streams: readonly string[]; again: Follower['again'] }
  >();
  let client: pg.Client | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let stopped = false;
  const notify = (text: string, to: (streams: readonly string[]) => boolean = () => true) => {
    for (const [response, { streams }] of followers) if (to(streams)) response.write(text);
  };
  /** Who has signed out is told no more; who joined or left a group, of what they may see by now. */
  const look = async (whose: (person: string) => boolean) => {
    await Promise.all(
      [...followers]
        .filter(([, { person }]) => whose(person))
        .map(async ([response, follower]) => {
          try {
            const streams = await follower.again();
            if (streams) follower.streams = streams;
            else response.end();
          } catch {
            // Whether they still may is not known: they ask again.
            response.end();
          }
        }),
    );
  };
  const listen = async () => {
    const fresh = new pg.Client({ connectionString: databaseUrl });
    fresh.on('notification', ({ payload }) => {
      const { stream, person } = JSON.parse(payload ?? '{}') as News;
      if (stream !== undefined)
        notify(`event: grew\ndata: ${payload ?? ''}\n\n`, (streams) => streams.includes(stream));
      if (person === undefined) return;
      changed(person);
      void look((one) => one === person);
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
      notify('event: grew\ndata: {}\n\n');
    } catch {
      broken();
    }
  };
  void listen();
  const alive = setInterval(() => {
    notify(': alive\n\n');
    void look(() => true);
  }, ALIVE_MS);
  alive.unref();
  return {
    onPerson: (hear) => {
      listeners.push(hear);
    },
    follow: (response, { person, streams, again: asked }) => {
      const [oldest, ...more] = [...followers].flatMap(([other, one]) =>
        one.person === person ? [other] : [],
      );
      if (oldest && more.length + 1 >= MOST_OF_ONE_PERSON) oldest.end();
      response.status(200).set({
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-cache, no-transform',
        'X-Accel-Buffering': 'no',
      });
      response.flushHeaders();
      response.write('retry: 3000\n\n');
      followers.set(response, { person, streams, again: asked });
      response.on('close', () => followers.delete(response));
    },
    stop: async () => {
      stopped = true;
      hearNoMore();
      clearInterval(alive);
      clearTimeout(again);
      for (const response of followers.keys()) response.end();
      followers.clear();
      await client?.end().catch(() => undefined);
    },
  };
}
