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
  const followers = new Followers();
  const stopListening = listen(databaseUrl, {
    onOpen: () => followers.notify('event: grew\ndata: {}\n\n'),
    onNews: ({ stream, person }, payload) => {
      if (stream !== undefined)
        followers.notify(`event: grew\ndata: ${payload}\n\n`, (streams) => streams.includes(stream));
      if (person === undefined) return;
      changed(person);
      void followers.askAgain((one) => one === person);
    },
  });
  const alive = setInterval(() => {
    followers.notify(': alive\n\n');
    void followers.askAgain(() => true);
  }, ALIVE_MS);
  alive.unref();
  return {
    onPerson: (hear) => {
      listeners.push(hear);
    },
    follow: (response, follower) => {
      followers.add(response, follower);
    },
    stop: async () => {
      hearNoMore();
      clearInterval(alive);
      followers.end();
      await stopListening();
    },
  };
}

/** Open event streams, and whose they are. */
class Followers {
  private readonly all = new Map<
    Response,
    { person: string; streams: readonly string[]; again: Follower['again'] }
  >();

  /** Beyond so many of one person the oldest is ended. */
  add(response: Response, { person, streams, again }: Follower): void {
    const [oldest, ...more] = [...this.all].flatMap(([other, one]) => (one.person === person ? [other] : []));
    if (oldest && more.length + 1 >= MOST_OF_ONE_PERSON) oldest.end();
    response.status(200).set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-cache, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.flushHeaders();
    response.write('retry: 3000\n\n');
    this.all.set(response, { person, streams, again });
    response.on('close', () => this.all.delete(response));
  }

  notify(text: string, to: (streams: readonly string[]) => boolean = () => true): void {
    for (const [response, { streams }] of this.all) if (to(streams)) response.write(text);
  }

  /** Who has signed out hears no more; who joined or left a group hears of what they may see by now. */
  async askAgain(whose: (person: string) => boolean): Promise<void> {
    await Promise.all(
      [...this.all]
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
  }

  end(): void {
    for (const response of this.all.keys()) response.end();
    this.all.clear();
  }
}

interface Hearing {
  /** Listening began, or began again: what happened meanwhile nobody heard. */
  readonly onOpen: () => void;
  readonly onNews: (news: News, payload: string) => void;
}

/** Listens to the database's news, and begins again where the connection breaks. @returns what ends it */
function listen(databaseUrl: string, { onOpen, onNews }: Hearing): () => Promise<void> {
  let client: pg.Client | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let stopped = false;
  const begin = async () => {
    const fresh = new pg.Client({ connectionString: databaseUrl });
    fresh.on('notification', ({ payload = '{}' }) => {
      onNews(JSON.parse(payload) as News, payload);
    });
    const broken = () => {
      fresh.removeAllListeners('end');
      if (stopped || client !== fresh) return;
      client = undefined;
      again = setTimeout(() => void begin(), AGAIN_MS);
    };
    fresh.on('error', broken);
    fresh.on('end', broken);
    client = fresh;
    try {
      await fresh.connect();
      await fresh.query(`listen ${CHANNEL}`);
      onOpen();
    } catch {
      broken();
    }
  };
  void begin();
  return async () => {
    stopped = true;
    clearTimeout(again);
    await client?.end().catch(() => undefined);
  };
}
