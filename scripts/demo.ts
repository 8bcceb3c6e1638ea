import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startServer, type RunningServer } from '@pause/server';
import { portTaken } from './lib/ports';
import { openCluster, type Cluster } from './lib/postgres';
import { Hitch, say, step } from './lib/say';
import { buildWebApp } from './lib/webapp';

const ROOT = join(import.meta.dirname, '..');
const DEFAULT_PORT = 8087;
const STEPS = 4;
/**
 * Where the project's own database lives; PAUSE_HOME puts it elsewhere, so that two can stand side by side.
 */
const HOME = process.env.PAUSE_HOME ?? join(ROOT, '.pause');
const PID_FILE = join(HOME, 'demo.pid');

function wantedPort(): number {
  const text = process.env.PORT ?? String(DEFAULT_PORT);
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Hitch(`PORT is "${text}"; give a number from 1 to 65535.`);
  return port;
}

const started: (() => Promise<void>)[] = [];
let stopping = false;
async function stopAll(status: number): Promise<never> {
  if (!stopping) {
    stopping = true;
    for (const stop of started.reverse()) await stop().catch(() => undefined);
  }
  process.exit(status);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
  process.on(signal, () => {
    if (!stopping) say('\nStopping …');
    void stopAll(0);
  });
}

function alive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/** Two demos on one database folder would stop each other's database; the second one says so instead. */
function claimHome(): void {
  mkdirSync(HOME, { recursive: true });
  const other = existsSync(PID_FILE) ? Number(readFileSync(PID_FILE, 'utf8')) : 0;
  if (other > 0 && other !== process.pid && alive(other)) {
    throw new Hitch(`Pause is running already (process ${other}); use that one, or stop it first.`);
  }
  writeFileSync(PID_FILE, String(process.pid));
  started.push(() => Promise.resolve(rmSync(PID_FILE, { force: true })));
}

async function openDatabase(): Promise<string> {
  const given = process.env.DATABASE_URL;
  if (given) return given;
  claimHome();
  const cluster: Cluster = await openCluster(join(HOME, 'postgres'));
  started.push(cluster.stop);
  return cluster.url;
}

async function serve(databaseUrl: string, port: number, web: string): Promise<RunningServer> {
  try {
    const server = await startServer({ databaseUrl, port, web, demo: true, mail: { kind: 'mailbox' } });
    started.push(server.stop);
    return server;
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    if (code === 'EADDRINUSE') throw inUse(port);
    throw new Hitch(
      `The database does not accept the work (${message || code || 'no answer'}); check DATABASE_URL, or ` +
        `unset it to use the project's own.`,
    );
  }
}

const inUse = (port: number) =>
  new Hitch(`Port ${port} is in use; stop what uses it, or choose another: PORT=${port + 1} scripts/demo`);

try {
  const port = wantedPort();
  if (await portTaken(port)) throw inUse(port);
  const databaseUrl = await step(
    1,
    STEPS,
    process.env.DATABASE_URL
      ? 'Database: the one of DATABASE_URL'
      : 'Database: the project’s own, on loopback',
    openDatabase,
  );
  const web = await step(
    2,
    STEPS,
    'Web application: building if its sources changed (up to two minutes the first time)',
    () => buildWebApp(ROOT),
  );
  const server = await step(3, STEPS, 'Server: migrating, loading the Ostrel valley', () =>
    serve(databaseUrl, port, web.folder),
  );
  say(`[4/${STEPS}] Ready. Ctrl-C stops everything.\n\n  ${server.url}\n`);
} catch (error) {
  process.stderr.write(
    `pause: ${error instanceof Hitch ? error.message : ((error as Error).stack ?? String(error))}\n`,
  );
  await stopAll(1);
}
