import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino, type Logger } from 'pino';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { openAuth, sharedSecret } from './accounts';
import { applicationRole, connect, migrate, POOL_SIZE, SERVING, type ConnectOptions, type Db } from './db';
import { loadDemo, DEMO_PERSON } from './demo';
import { openClock } from './demo/clock';
import { createApp } from './http/app';
import { openMetrics, serveMetrics } from './http/observe';
import { openJobs, type Jobs } from './jobs';
import { openJudging } from './judging';
import { openLive } from './live';
import { openMail, type MailSettings } from './mail';
import { keepGuide, ping } from './notebook';
import { openObjects, type ObjectSettings } from './pictures';
import { openQuestions } from './questions';
import { openReading } from './reading';

export interface StartOptions {
  readonly databaseUrl: string;
  /** 0 takes any free port. */
  readonly port: number;
  readonly host?: string;
  readonly web?: string;
  readonly demo: boolean;
  readonly logLevel?: string;
  /** Signs cookies; left out: one that is made once and kept in the database. */
  readonly secret?: string;
  /** The address under which people reach it; https makes cookies secure. */
  readonly publicUrl?: string;
  readonly proxies?: number;
  /** Database connections for requests, and for work that nobody waits for. */
  readonly pool?: number;
  readonly workPool?: number;
  /** Where whoever watches over this server reads its numbers, on loopback only; left out: nowhere. */
  readonly metricsPort?: number;
  /** Where whole pictures lie; left out: in the database. */
  readonly objects?: ObjectSettings;
  /** Where letters go; left out: none are sent. */
  readonly mail?: MailSettings;
  /** How soon another server takes up what a killed one had begun. */
  readonly takenUpAfterSeconds?: number;
}

const WORK_POOL_SIZE = 4;

export interface RunningServer {
  readonly url: string;
  readonly db: Db;
  readonly jobs: Jobs;
  /** Lets open requests end, then closes the database pool. */
  readonly stop: () => Promise<void>;
}

/**
 * Brings the tables up to date as whoever owns them.
 *
 * @returns the address as which the application goes on, and whether it is still the owner's
 */
async function prepared(url: string): Promise<{ readonly url: string; readonly owned: boolean }> {
  const owner = connect(url, { max: 1 });
  try {
    await migrate(owner);
    const role = await applicationRole(owner, url);
    const mayEnter = role !== undefined && (await answers(role));
    return mayEnter ? { url: role, owned: false } : { url, owned: true };
  } finally {
    await owner.destroy();
  }
}

/**
 * Whether somebody is let in there: a database may let in only those whom it knows by other means than a
 * password.
 */
async function answers(url: string): Promise<boolean> {
  const db = connect(url, { max: 1 });
  try {
    await ping(db);
    return true;
  } catch {
    return false;
  } finally {
    await db.destroy();
  }
}

const ENDING_MS = 10_000;
/** Takes no new requests, lets those that are open end, and waits for them no longer than this. */
function closed(server: Server): Promise<void> {
  return new Promise((resolve) => {
    const late = setTimeout(() => server.closeAllConnections(), ENDING_MS);
    server.close(() => {
      clearTimeout(late);
      resolve();
    });
    server.closeIdleConnections();
  });
}

/** What was opened is closed again in the opposite order, at the end or where something fails half-way. */
function openedOneByOne() {
  const closers: (() => unknown)[] = [];
  return {
    opened: <T>(one: T, close: (one: T) => unknown): T => {
      closers.push(() => close(one));
      return one;
    },
    closeAll: async () => {
      for (const close of closers.splice(0).reverse()) await close();
    },
  };
}

/**
 * Longer than proxies and browsers keep a connection that nothing goes over, in milliseconds: it is they who close
 * it, and no request meets one that the server is just closing.
 */
const KEEP_ALIVE_MS = 75_000;

/** @returns the address that the server listens at */
async function listening(
  server: Server,
  { host = '127.0.0.1', port: wanted }: StartOptions,
): Promise<string> {
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject).listen(wanted, host, resolve);
  });
  const { port } = server.address() as AddressInfo;
  return `http://${host}:${port}`;
}

type Opened = ReturnType<typeof openedOneByOne>['opened'];

interface Base {
  readonly databaseUrl: string;
  readonly log: Logger;
  readonly opened: Opened;
}

/** Connections to the database, the guide, and the clock; loads the demo data if asked. */
async function openData({ databaseUrl, opened }: Base, options: StartOptions) {
  const database = (more: ConnectOptions) => opened(connect(databaseUrl, more), (one) => one.destroy());
  const db = database({ ...SERVING, max: options.pool ?? POOL_SIZE });
  // Long work has connections of its own, and may take its time.
  const work = database({ max: options.workPool ?? WORK_POOL_SIZE });
  const pulse = database({ ...SERVING, max: 1 });
  const guide = compileGuide(shippedGuide());
  await keepGuide(work, guide);
  if (options.demo) await loadDemo(work, guide);
  return { db, work, pulse, guide, clock: await openClock(work) };
}

/** Pictures, letters, worker threads, and work that nobody waits for. */
async function openWork(
  { databaseUrl, log, opened }: Base,
  { work, guide, clock }: Awaited<ReturnType<typeof openData>>,
  options: StartOptions,
) {
  const stopping = <T extends { readonly stop: () => Promise<void> }>(one: T) =>
    opened(one, ({ stop }) => stop());
  const objects = options.objects && opened(await openObjects(options.objects), (one) => one.close());
  const mail = options.mail && opened(openMail(options.mail, work, log), (one) => one.close());
  const { takenUpAfterSeconds } = options;
  return {
    objects,
    mail,
    reading: stopping(openReading(databaseUrl)),
    judging: stopping(openJudging(guide)),
    questions: stopping(openQuestions(guide)),
    jobs: stopping(
      await openJobs({
        db: work,
        databaseUrl,
        guide,
        log,
        objects,
        now: clock.now,
        ...(takenUpAfterSeconds === undefined ? {} : { takenUpAfterSeconds }),
      }),
    ),
  };
}

/**
 * Migrates, loads the demo data if asked, and serves.
 *
 * @throws Error with `code` EADDRINUSE if the port is taken, or the database's own error
 */
export async function startServer(options: StartOptions): Promise<RunningServer> {
  const log = pino({ level: options.logLevel ?? 'warn' });
  const { url: databaseUrl, owned } = await prepared(options.databaseUrl);
  if (owned)
    log.warn(
      'the application owns its tables: whoever takes it over could change what is on record; see docs/running.md',
    );
  const { opened, closeAll } = openedOneByOne();
  const base = { databaseUrl, log, opened };
  try {
    const { work, ...data } = await openData(base, options);
    const { mail, ...services } = await openWork(base, { work, ...data }, options);
    const metrics = options.metricsPort === undefined ? undefined : openMetrics();
    if (metrics && options.metricsPort !== undefined)
      opened(await serveMetrics(metrics, options.metricsPort), (one) => one.close());
    const server = opened(createServer({ keepAliveTimeout: KEEP_ALIVE_MS }), closed);
    // Event streams stay open: they end first, so that the server can.
    const live = opened(openLive(databaseUrl), ({ stop }) => stop());
    const { db } = data;
    const auth = openAuth({
      db,
      secret: await sharedSecret(db, options.secret),
      demoPerson: options.demo ? DEMO_PERSON : undefined,
      publicUrl: options.publicUrl,
      mail,
    });
    const app = createApp({
      ...data,
      ...services,
      metrics,
      live,
      auth,
      log,
      mail: mail?.kind,
      ...(options.web === undefined ? {} : { web: options.web }),
      ...(options.proxies === undefined ? {} : { proxies: options.proxies }),
      ...(options.publicUrl === undefined ? {} : { publicUrl: options.publicUrl }),
    });
    server.on('request', app);
    return { url: await listening(server, options), db, jobs: services.jobs, stop: closeAll };
  } catch (error) {
    await closeAll();
    throw error;
  }
}
