import { mkdtempSync, readFileSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { findChromium } from './lib/chromium';
import { openCluster, type Cluster } from './lib/postgres';
import { run } from './lib/run';
import { Hitch, say, step } from './lib/say';
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
    readonly message: string;
    readonly status: string;
    readonly assertionResults: readonly {
      readonly fullName: string;
      readonly status: string;
      readonly invocations?: number;
      readonly retryReasons?: readonly string[];
    }[];
  }[];
}

/** A run of Jest; its own counts are added up. A suite that could not even start counts as one failure. */
async function jest(name: string, args: readonly string[], env: NodeJS.ProcessEnv): Promise<void> {
  const report = join(scratch, `${name}.json`);
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
  let result: Report;
  try {
    result = JSON.parse(readFileSync(report, 'utf8')) as Report;
  } catch {
    tally.failed += 1;
    say(`      ${name}: Jest ended with status ${status} and no report`);
    return;
  }
  tally.passed += result.numPassedTests;
  tally.failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  for (const suite of result.testResults) {
    if (suite.status === 'failed') say(suite.message);
    for (const test of suite.assertionResults) {
      if (test.status === 'passed' && (test.invocations ?? 1) > 1)
        say(`      passed at the second try: ${test.fullName}\n${(test.retryReasons ?? []).join('\n')}`);
    }
  }
  say(
    `      ${result.numPassedTests} passed, ${result.numFailedTests + result.numRuntimeErrorTestSuites} failed in ${name}`,
  );
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
  await step(3, STEPS, 'Unit and API tests', () =>
    jest('unit and API tests', ['--selectProjects', 'core', 'app', 'server'], {
      TEST_DATABASE_URL: cluster?.url ?? '',
    }),
  );
  await step(4, STEPS, 'Web application: building if its sources changed', () => buildWebApp(ROOT));
  await step(5, STEPS, 'Browser tests', () =>
    jest('browser tests', ['--selectProjects', 'browser'], { CHROMIUM: chromium }),
  );
  say(`\n${tally.passed} passed, ${tally.failed} failed`);
  await end(tally.failed === 0 && tally.passed > 0 ? 0 : 1);
} catch (error) {
  process.stderr.write(
    `pause: ${error instanceof Hitch ? error.message : ((error as Error).stack ?? String(error))}\n`,
  );
  say(`\n${tally.passed} passed, ${tally.failed + 1} failed`);
  await end(1);
}
