import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { run, tail } from './run';
import { Hitch } from './say';

/** What is read of Jest's report. */
export interface Report {
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

interface Jest {
  /** The folder of Jest's configuration. */
  readonly root: string;
  /** A folder for the reports. */
  readonly scratch: string;
  readonly env: NodeJS.ProcessEnv;
}

/** Runs Jest once. @throws Hitch where it ends without a report */
export async function jest(
  name: string,
  args: readonly string[],
  { root, scratch, env }: Jest,
): Promise<Report> {
  const report = join(scratch, `${name}.json`);
  rmSync(report, { force: true });
  const { status, output } = await run(
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
      cwd: root,
      env: { ...env, FORCE_COLOR: '0' },
      echo: process.env.PAUSE_TEST_VERBOSE === '1',
    },
  );
  try {
    return JSON.parse(readFileSync(report, 'utf8')) as Report;
  } catch {
    throw new Hitch(`${name}: Jest ended with status ${status} and no report\n${tail(output)}`);
  }
}

export const failedFiles = ({ testResults }: Report) =>
  testResults.filter(({ status }) => status === 'failed');

/** A suite that could not even start counts as one failure. */
export const failures = (report: Report) => report.numFailedTests + report.numRuntimeErrorTestSuites;

/** More failed files than this are a fault of the code, and are not run again. */
const MOST_FILES_AGAIN = 3;

/**
 * Runs Jest, and a file that failed once more as a whole. What failed the first time is given to `onFailed`.
 *
 * @throws Hitch where not all files that failed ran again
 */
export async function jestTwice(
  name: string,
  args: readonly string[],
  where: Jest,
  onFailed: (message: string) => void,
): Promise<Report> {
  const first = await jest(name, args, where);
  const failed = failedFiles(first);
  if (failed.length === 0 || failed.length > MOST_FILES_AGAIN) return first;
  for (const { message } of failed) onFailed(message);
  const paths = failed.map((file) => file.name);
  const second = await jest(name, [...args, '--runTestsByPath', ...paths], where);
  if (second.testResults.length !== paths.length) throw new Hitch(`${name}: not all failed files ran again`);
  return { ...second, numPassedTests: first.numPassedTests + failures(first) - failures(second) };
}
