import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { pino } from 'pino';
import { applicationRole, connect, migrate, POOL_SIZE, SERVING, type Db } from './db';
import { loadDemo, DEMO_PERSON } from './demo';
import { openClock } from './demo/clock';
import { openAuth, sharedSecret } from './accounts';
import { createApp } from './http/app';
import { openMetrics, serveMetrics } from './http/observe';
import { openJobs, type Jobs } from './jobs';
import { openJudging, type Judging } from './judging';
import { openMail, type Mail, type MailSettings } from './mail';
import { openLive, type Live } from './live';
import { keepGuide, ping } from './notebook';
import { openObjects, type Objects, type ObjectSettings } from './pictures';
import { openQuestions, type Questions } from './questions';
import { openReading, type Reading } from './reading';

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

/** Brings the tables up to date as whoever owns them. @returns the address as which the application goes on, and whether it is still the owner's */
async function prepared(url: string): Promise<{ readonly url: string; readonly owned: boolean }> {
  const owner = connect(url, { max: 1 });
  try {
    await migrate(owner);
    const role = await applicationRole(owner, url);
    const mayEnter = role !== undefined && await answers(role);
    return mayEnter ? { url: role, owned: false } : { url, owned: true };
  } finally {
    await owner.destroy();
  }
}

/** Whether somebody is let in there: a database may let in only those whom it knows by other means than a password. */
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
  if (owned) log.warn('the application owns its tables: whoever takes it over could change what is on record; see docs/running.md');
  const db = connect(databaseUrl, { ...SERVING, max: options.pool ?? POOL_SIZE });
  // Long work has connections of its own, and may take its time.
  const work = connect(databaseUrl, { max: options.workPool ?? WORK_POOL_SIZE });
  const pulse = connect(databaseUrl, { ...SERVING, max: 1 });
  const closeAll = async () => { for (const one of [pulse, work, db]) await one.destroy(); };
  const metrics = options.metricsPort === undefined ? undefined : openMetrics();
  let questions: Questions | undefined;
  let live: Live | undefined;
  let judging: Judging | undefined;
  let reading: Reading | undefined;
  let jobs: Jobs | undefined;
  let mail: Mail | undefined;
  let objects: Objects | undefined;
  try {
    const guide = compileGuide(shippedGuide());
    await keepGuide(work, guide);
    if (options.demo) await loadDemo(work, guide);
    questions = openQuestions(guide);
    judging = openJudging(guide);
    reading = openReading(databaseUrl);
    live = openLive(databaseUrl);
    const clock = await openClock(work);
    objects = options.objects && await openObjects(options.objects);
    const store = objects;
    jobs = await openJobs({ db: work, databaseUrl, guide, log, objects, now: clock.now, ...(options.takenUpAfterSeconds === undefined ? {} : { takenUpAfterSeconds: options.takenUpAfterSeconds }) });
    const [answering, deciding, folding, telling, working] = [questions, judging, reading, live, jobs];
    mail = options.mail && openMail(options.mail, work, log);
    const letters = mail;
    const auth = openAuth({ db, secret: await sharedSecret(db, options.secret), demoPerson: options.demo ? DEMO_PERSON : undefined, publicUrl: options.publicUrl, mail });
    const app = createApp({
      db, pulse, clock, metrics, guide, questions, judging, reading, live, jobs, auth, log, objects, mail: mail?.kind,
      ...(options.web === undefined ? {} : { web: options.web }), ...(options.proxies === undefined ? {} : { proxies: options.proxies }), ...(options.publicUrl === undefined ? {} : { publicUrl: options.publicUrl }),
    });
    const host = options.host ?? '127.0.0.1';
    const server = await new Promise<Server>((resolve, reject) => {
      const listening = app.listen(options.port, host, (error?: Error) => (error ? reject(error) : resolve(listening)));
    });
    const { port } = server.address() as AddressInfo;
    const watched = metrics && options.metricsPort !== undefined ? await serveMetrics(metrics, options.metricsPort) : undefined;
    return {
      url: `http://${host}:${port}`,
      db,
      jobs,
      stop: async () => {
        await telling.stop();
        await closed(server);
        watched?.close();
        await working.stop();
        await answering.stop();
        await deciding.stop();
        await folding.stop();
        letters?.close();
        store?.close();
        await closeAll();
      },
    };
  } catch (error) {
    await jobs?.stop();
    await live?.stop();
    await questions?.stop();
    await judging?.stop();
    await reading?.stop();
    mail?.close();
    objects?.close();
    await closeAll();
    throw error;
  }
}
