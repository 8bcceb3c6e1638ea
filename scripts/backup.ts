import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { backUp } from './lib/copy';
import { openCluster } from './lib/postgres';
import { Hitch, say } from './lib/say';

/** One file with everything of a notebook: of DATABASE_URL, or of the project's own database. */
const ROOT = join(import.meta.dirname, '..');
const HOME = process.env.PAUSE_HOME ?? join(ROOT, '.pause');
const file = resolve(process.argv[2] ?? `pause-${new Date().toISOString().slice(0, 10)}.backup`);
try {
  if (existsSync(file)) throw new Hitch(`${file} is there already; name another file.`);
  const own = process.env.DATABASE_URL
    ? undefined
    : await openCluster(join(HOME, 'postgres'), { leaveRunning: true });
  const summary = await backUp(process.env.DATABASE_URL ?? own?.url ?? '', file);
  await own?.stop();
  say(
    `${file}\n${summary.finds} finds, ${summary.entries} entries, ${summary.readings} readings, ` +
      `${summary.verdicts} verdicts.`,
  );
  for (const problem of summary.problems) say(`  not as it must be: ${problem}`);
  process.exit(summary.problems.length === 0 ? 0 : 1);
} catch (error) {
  process.stderr.write(
    `pause: ${error instanceof Hitch ? error.message : ((error as Error).stack ?? String(error))}\n`,
  );
  process.exit(1);
}
