import { join, resolve } from 'node:path';
import { restore } from './lib/copy';
import { openCluster } from './lib/postgres';
import { Hitch, say } from './lib/say';

/** A new database made of a copy, beside what is there, and checked: nothing is written over. */
const ROOT = join(import.meta.dirname, '..');
const HOME = process.env.PAUSE_HOME ?? join(ROOT, '.pause');
const [given, name = `restored_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}`] =
  process.argv.slice(2);
try {
  if (given === undefined) throw new Hitch('Name the file: scripts/restore pause-2026-11-25.backup');
  if (!/^[a-z][a-z0-9_]{0,50}$/.test(name))
    throw new Hitch(`"${name}" is no name for a database; small letters, digits and "_".`);
  const own = process.env.DATABASE_URL
    ? undefined
    : await openCluster(join(HOME, 'postgres'), { leaveRunning: true });
  const { url, summary, wrong } = await restore(
    resolve(given),
    process.env.DATABASE_URL ?? own?.url ?? '',
    name,
  );
  await own?.stop();
  if (wrong.length > 0)
    throw new Hitch(`It is not what the copy was made of, and was not kept:\n  ${wrong.join('\n  ')}`);
  say(
    `${summary.finds} finds, ${summary.entries} entries, ${summary.readings} readings, ${summary.verdicts} ` +
      `verdicts are in the database ${name}.`,
  );
  say(
    `Every one of them is there and every find decides as ` +
      `before.${process.env.DATABASE_URL ? `\nDATABASE_URL=${url.replace(/:[^:@/]+@/, ':…@')}` : ''}`,
  );
} catch (error) {
  process.stderr.write(
    `pause: ${error instanceof Hitch ? error.message : ((error as Error).stack ?? String(error))}\n`,
  );
  process.exit(1);
}
