import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { pino } from 'pino';
import { connect, migrate, type Db } from './db';
import { loadDemo, DEMO_PERSON } from './demo';
import { demoOffset } from './demo/clock';
import { openAuth, sharedSecret } from './accounts';
import { createApp } from './http/app';
import { openJobs, type Jobs } from './jobs';
import { openLive, type Live } from './live';
import { keepGuide } from './notebook';
import { openQuestions, type Questions } from './questions';

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
  /** How soon another server takes up what a killed one had begun. */
  readonly takenUpAfterSeconds?: number;
}

export interface RunningServer {
  readonly url: string;
  readonly db: Db;
  readonly jobs: Jobs;
  /** Lets open requests end, then closes the database pool. */
  readonly stop: () => Promise<void>;
}

/**
 * Migrates, loads the demo data if asked, and serves.
 *
 * @throws Error with `code` EADDRINUSE if the port is taken, or what the database said
 */
export async function startServer(options: StartOptions): Promise<RunningServer> {
  const log = pino({ level: options.logLevel ?? 'warn' });
  const db = connect(options.databaseUrl);
  let questions: Questions | undefined;
  let live: Live | undefined;
  let jobs: Jobs | undefined;
  try {
    await migrate(db);
    const guide = compileGuide(shippedGuide());
    await keepGuide(db, guide);
    if (options.demo) await loadDemo(db, guide);
    questions = openQuestions(guide);
    live = openLive(options.databaseUrl);
    jobs = await openJobs({ db, databaseUrl: options.databaseUrl, guide, log, now: async () => Date.now() + ((await demoOffset(db)) ?? 0), ...(options.takenUpAfterSeconds === undefined ? {} : { takenUpAfterSeconds: options.takenUpAfterSeconds }) });
    const [answering, telling, working] = [questions, live, jobs];
    const auth = openAuth({ db, secret: await sharedSecret(db, options.secret), demoPerson: options.demo ? DEMO_PERSON : undefined, publicUrl: options.publicUrl });
    const app = createApp({
      db, guide, questions, live, jobs, auth, log,
      ...(options.web === undefined ? {} : { web: options.web }), ...(options.proxies === undefined ? {} : { proxies: options.proxies }),
    });
    const host = options.host ?? '127.0.0.1';
    const server = await new Promise<Server>((resolve, reject) => {
      const listening = app.listen(options.port, host, (error?: Error) => (error ? reject(error) : resolve(listening)));
    });
    const { port } = server.address() as AddressInfo;
    return {
      url: `http://${host}:${port}`,
      db,
      jobs,
      stop: async () => {
        await telling.stop();
        await new Promise<void>((resolve) => {
          server.close(() => resolve());
          server.closeAllConnections();
        });
        await working.stop();
        await answering.stop();
        await db.destroy();
      },
    };
  } catch (error) {
    await jobs?.stop();
    await live?.stop();
    await questions?.stop();
    await db.destroy();
    throw error;
  }
}
