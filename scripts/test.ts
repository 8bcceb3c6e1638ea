import { mkdtempSync, readFileSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { findChromium } from './lib/chromium';
import { openCluster, type Cluster } from './lib/postgres';
import { run } from './lib/run';
import { Hitch, say, step } from './lib/say';
import { buildServer } from './lib/serverBuild';
import { startServerProcess } from './lib/serverProcess';
import { buildWebApp } from './lib/webapp';

const ROOT = join(import.meta.dirname, '..');
const STEPS = 5;
const scratch = mkdtempSync(join(tmpdir(), 'pause-test-'));
chmodSync(scratch, 0o755);

interface Tally {
  passed: number;
  failed: number;
}
const tally: Tally = { passed: 0, failed: 0 };

/** A check that is one test by itself. */
async function one(name: string, command: string, args: readonly string[]): Promise<void> {
  const { status, output } = await run(command, args, { cwd: ROOT });
  if (status === 0) tally.passed += 1;
  else {
    tally.failed += 1;
    say(`      ${name} failed:\n${output.trimEnd()}`);
  }
}

/** What is read of Jest's report. */
interface Report {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numRuntimeErrorTestSuites: number;
  readonly testResults: readonly {
    /** The path of the file. */
    readonly name: string;
    readonly message: string;
    readonly status: string;
  }[];
}

/** Runs Jest once. @throws Hitch where it ends without a report */
async function jest(name: string, args: readonly string[], env: NodeJS.ProcessEnv): Promise<Report> {
  const report = join(scratch, `${name}.json`);
  rmSync(report, { force: true });
  const { status } = await run(
    'npx',
    [
      '--no-install',
      'jest',
      '--maxWorkers=2',
      '--testTimeout=60000',
      '--json',
      `--outputFile=${report}`,
      ...args,
    ],
    {
      cwd: ROOT,
      env: { ...env, FORCE_COLOR: '0' },
      echo: process.env.PAUSE_TEST_VERBOSE === '1',
    },
  );
  try {
    return JSON.parse(readFileSync(report, 'utf8')) as Report;
  } catch {
    throw new Hitch(`${name}: Jest ended with status ${status} and no report`);
  }
}

const failedFiles = ({ testResults }: Report) => testResults.filter(({ status }) => status === 'failed');

/** A suite that could not even start counts as one failure. */
const failures = (report: Report) => report.numFailedTests + report.numRuntimeErrorTestSuites;

/** Prints what failed, and adds a report to the tally. */
function count(name: string, report: Report): void {
  tally.passed += report.numPassedTests;
  tally.failed += failures(report);
  for (const { message } of failedFiles(report)) say(message);
  say(`      ${report.numPassedTests} passed, ${failures(report)} failed in ${name}`);
}

/** More failed files than this are a fault of the code, and are not run again. */
const MOST_FILES_AGAIN = 3;

/**
 * Browser tests. Two browsers, two databases and two servers share two cores here, so a file that failed is
 * run once more by itself, with a new database, server and browser. What failed the first time is printed.
 */
async function browserTests(env: NodeJS.ProcessEnv): Promise<void> {
  const name = 'browser tests';
  const first = await jest(name, ['--selectProjects', 'browser'], env);
  const failed = failedFiles(first);
  if (failed.length === 0 || failed.length > MOST_FILES_AGAIN) return count(name, first);
  for (const { message } of failed) say(`      failed at the first try:\n${message}`);
  const paths = failed.map((file) => file.name);
  const second = await jest(
    name,
    ['--selectProjects', 'browser', '--runInBand', '--runTestsByPath', ...paths],
    env,
  );
  if (second.testResults.length !== paths.length) throw new Hitch(`${name}: not all failed files ran again`);
  count(name, {
    ...second,
    numPassedTests: first.numPassedTests + failures(first) - failures(second),
  });
}

/**
 * What the rigs of browser tests share: a compiled server, and a database with the demo in it, which each
 * begins with a copy of. Where they are is told by the environment.
 */
async function shareAmongRigs(): Promise<void> {
  process.env.PAUSE_SERVER_PROGRAM = await buildServer(ROOT, join(ROOT, 'server/test/build/all'));
  const folder = join(scratch, 'demo');
  const demo = await openCluster(folder);
  try {
    await (await startServerProcess({ DATABASE_URL: demo.url, PORT: '0', DEMO: '1' })).stop();
  } finally {
    await demo.stop();
  }
  process.env.PAUSE_DEMO_DATABASE = folder;
}

let cluster: Cluster | undefined;
async function end(status: number): Promise<never> {
  await cluster?.stop().catch(() => undefined);
  rmSync(scratch, { recursive: true, force: true });
  process.exit(status);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end(130));

try {
  const chromium = await step(
    1,
    STEPS,
    'Browser and database: installing what is missing, starting a database for the tests',
    async () => {
      const path = await findChromium();
      cluster = await openCluster(join(scratch, 'postgres'));
      return path;
    },
  );
  await step(2, STEPS, 'Types, lint, format and unused code', () =>
    Promise.all([
      one('type check', 'npm', ['run', '--silent', 'typecheck']),
      one('lint', 'npm', ['run', '--silent', 'lint']),
      one('format', 'npm', ['run', '--silent', 'format']),
      one('unused code', 'npm', ['run', '--silent', 'unused']),
    ]),
  );
  await step(3, STEPS, 'Unit and API tests', async () => {
    const name = 'unit and API tests';
    count(
      name,
      await jest(name, ['--selectProjects', 'core', 'app', 'server'], {
        TEST_DATABASE_URL: cluster?.url ?? '',
      }),
    );
  });
  await step(4, STEPS, 'Web application: building if its sources changed', () => buildWebApp(ROOT));
  await step(5, STEPS, 'Browser tests', async () => {
    await shareAmongRigs();
    await browserTests({ CHROMIUM: chromium });
  });
  say(`\n${tally.passed} passed, ${tally.failed} failed`);
  await end(tally.failed === 0 && tally.passed > 0 ? 0 : 1);
} catch (error) {
  process.stderr.write(
    `pause: ${error instanceof Hitch ? error.message : ((error as Error).stack ?? String(error))}\n`,
  );
  say(`\n${tally.passed} passed, ${tally.failed + 1} failed`);
  await end(1);
}
