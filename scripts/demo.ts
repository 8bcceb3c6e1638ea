import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { startServer, type RunningServer } from '@pause/server';
import { openCluster, type Cluster } from './lib/postgres';
import { portTaken } from './lib/ports';
import { Hitch, say, step } from './lib/say';
import { buildWebApp } from './lib/webapp';

const ROOT = join(import.meta.dirname, '..');
const DEFAULT_PORT = 8087;
const STEPS = 4;

function wantedPort(): number {
  const text = process.env.PORT ?? String(DEFAULT_PORT);
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Hitch(`PORT is "${text}"; give a number from 1 to 65535.`);
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

async function openDatabase(): Promise<string> {
  const given = process.env.DATABASE_URL;
  if (given) return given;
  const home = join(ROOT, '.pause');
  mkdirSync(home, { recursive: true });
  const cluster: Cluster = await openCluster(join(home, 'postgres'));
  started.push(cluster.stop);
  return cluster.url;
}

async function serve(databaseUrl: string, port: number, web: string): Promise<RunningServer> {
  try {
    const server = await startServer({ databaseUrl, port, web, demo: true });
    started.push(server.stop);
    return server;
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    if (code === 'EADDRINUSE') throw inUse(port);
    throw new Hitch(`The database does not accept the work (${message || code || 'no answer'}); check DATABASE_URL, or unset it to use the project's own.`);
  }
}

const inUse = (port: number) =>
  new Hitch(`Port ${port} is in use; stop what uses it, or choose another: PORT=${port + 1} scripts/demo`);

try {
  const port = wantedPort();
  if (await portTaken(port)) throw inUse(port);
  const databaseUrl = await step(1, STEPS, process.env.DATABASE_URL ? 'Database: the one of DATABASE_URL' : 'Database: the project’s own, on loopback', openDatabase);
  const web = await step(2, STEPS, 'Web application: building if its sources changed (up to two minutes the first time)', () => buildWebApp(ROOT));
  const server = await step(3, STEPS, 'Server: migrating, loading the Ostrel valley', () => serve(databaseUrl, port, web.folder));
  say(`[4/${STEPS}] Ready. Ctrl-C stops everything.\n\n  ${server.url}\n`);
} catch (error) {
  process.stderr.write(`pause: ${error instanceof Hitch ? error.message : (error as Error).stack ?? String(error)}\n`);
  await stopAll(1);
}
