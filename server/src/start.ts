import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
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

/**
 * Migrates, loads the demo data if asked, and serves.
 *
 * @throws Error with `code` EADDRINUSE if the port is taken, or what the database said
 */
export async function startServer(options: StartOptions): Promise<RunningServer> {
  const log = pino({ level: options.logLevel ?? 'warn' });
  const { url: databaseUrl, owned } = await prepared(options.databaseUrl);
  if (owned)
    log.warn(
      'the application owns its tables: whoever takes it over could change what is on record; see docs/running.md',
    );
  // What was opened is closed again in the opposite order, at the end or where something fails half-way.
  const closers: (() => unknown)[] = [];
  const opened = <T>(one: T, close: (one: T) => unknown): T => {
    closers.push(() => close(one));
    return one;
  };
  const closeAll = async () => {
    for (const close of closers.splice(0).reverse()) await close();
  };
  const database = (more: ConnectOptions) => opened(connect(databaseUrl, more), (one) => one.destroy());
  try {
    const db = database({ ...SERVING, max: options.pool ?? POOL_SIZE });
    // Long work has connections of its own, and may take its time.
    const work = database({ max: options.workPool ?? WORK_POOL_SIZE });
    const pulse = database({ ...SERVING, max: 1 });
    const guide = compileGuide(shippedGuide());
    await keepGuide(work, guide);
    if (options.demo) await loadDemo(work, guide);
    const clock = await openClock(work);
    const objects = options.objects && opened(await openObjects(options.objects), (one) => one.close());
    const mail = options.mail && opened(openMail(options.mail, work, log), (one) => one.close());
    const stopping = <T extends { readonly stop: () => Promise<void> }>(one: T) =>
      opened(one, ({ stop }) => stop());
    const reading = stopping(openReading(databaseUrl));
    const judging = stopping(openJudging(guide));
    const questions = stopping(openQuestions(guide));
    const jobs = stopping(
      await openJobs({
        db: work,
        databaseUrl,
        guide,
        log,
        objects,
        now: clock.now,
        ...(options.takenUpAfterSeconds === undefined
          ? {}
          : { takenUpAfterSeconds: options.takenUpAfterSeconds }),
      }),
    );
    const metrics = options.metricsPort === undefined ? undefined : openMetrics();
    if (metrics && options.metricsPort !== undefined)
      opened(await serveMetrics(metrics, options.metricsPort), (one) => one.close());
    const server = opened(createServer(), closed);
    // Event streams stay open: they end first, so that the server can.
    const live = stopping(openLive(databaseUrl));
    const auth = openAuth({
      db,
      secret: await sharedSecret(db, options.secret),
      demoPerson: options.demo ? DEMO_PERSON : undefined,
      publicUrl: options.publicUrl,
      mail,
    });
    const app = createApp({
      db,
      pulse,
      clock,
      metrics,
      guide,
      questions,
      judging,
      reading,
      live,
      jobs,
      auth,
      log,
      objects,
      mail: mail?.kind,
      ...(options.web === undefined ? {} : { web: options.web }),
      ...(options.proxies === undefined ? {} : { proxies: options.proxies }),
      ...(options.publicUrl === undefined ? {} : { publicUrl: options.publicUrl }),
    });
    const host = options.host ?? '127.0.0.1';
    server.on('request', app);
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject).listen(options.port, host, resolve);
    });
    const { port } = server.address() as AddressInfo;
    return { url: `http://${host}:${port}`, db, jobs, stop: closeAll };
  } catch (error) {
    await closeAll();
    throw error;
  }
}
