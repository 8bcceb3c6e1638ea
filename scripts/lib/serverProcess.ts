import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildServer } from './serverBuild';

/** A server in a process of its own, compiled as it is for people; for tests and benches. */
export interface ServerProcess {
  /** Where it listens. */
  readonly url: string;
  readonly pid: number;
  /** Lets it end what it began. */
  readonly stop: () => Promise<void>;
  /** Ends it as a lost power supply would. */
  readonly kill: () => Promise<void>;
}

// Tests and benches both run from the root of the repository.
const ROOT = process.cwd();
const START_MS = 60_000;

let compiled: Promise<string> | undefined;

/** The compiled server: the one that `scripts/test` made for all tests, else one of this process. */
const program = (): Promise<string> => {
  const made = process.env.PAUSE_SERVER_PROGRAM;
  compiled ??=
    made === undefined
      ? buildServer(ROOT, join(ROOT, 'server/test/build', process.env.JEST_WORKER_ID ?? '0'))
      : Promise.resolve(made);
  return compiled;
};

/** @param environment what docs/running.md names; the database at least */
export async function startServerProcess(
  environment: Readonly<Record<string, string>>,
): Promise<ServerProcess> {
  const child = spawn(process.execPath, ['--enable-source-maps', await program()], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, HOST: '127.0.0.1', LOG_LEVEL: 'silent', ...environment },
  });
  const ended = new Promise<void>((resolve) => {
    child.once('exit', () => resolve());
  });
  const url = await new Promise<string>((resolve, reject) => {
    const late = setTimeout(() => {
      child.kill('SIGKILL');
      reject(new Error(`the server did not start within ${START_MS} ms`));
    }, START_MS);
    child.stdout.once('data', (line: Buffer) => {
      clearTimeout(late);
      resolve(line.toString().trim());
    });
    child.once('exit', (code) => {
      clearTimeout(late);
      reject(new Error(`the server ended with ${code ?? 'a signal'}`));
    });
  });
  const endBy = (signal: NodeJS.Signals) => async () => {
    child.kill(signal);
    await ended;
  };
  return { url, pid: child.pid ?? 0, stop: endBy('SIGTERM'), kill: endBy('SIGKILL') };
}
