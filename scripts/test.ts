import { mkdtempSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { findChromium } from './lib/chromium';
import { failedFiles, failures, jest, jestTwice, type Report } from './lib/jest';
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

/** Prints what failed, and adds a report to the tally. */
function count(name: string, report: Report): void {
  tally.passed += report.numPassedTests;
  tally.failed += failures(report);
  for (const { message } of failedFiles(report)) say(message);
  say(`      ${report.numPassedTests} passed, ${failures(report)} failed in ${name}`);
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
        root: ROOT,
        scratch,
        env: { TEST_DATABASE_URL: cluster?.url ?? '' },
      }),
    );
  });
  await step(4, STEPS, 'Web application: building if its sources changed', () => buildWebApp(ROOT));
  await step(5, STEPS, 'Browser tests', async () => {
    await shareAmongRigs();
    // Two browsers, two databases and two servers share two cores here: a file that failed has another try,
    // with a new database, server and browser.
    const name = 'browser tests';
    const where = { root: ROOT, scratch, env: { CHROMIUM: chromium } };
    const failed = (message: string) => say(`      failed at the first try:\n${message}`);
    count(name, await jestTwice(name, ['--selectProjects', 'browser'], where, failed));
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
