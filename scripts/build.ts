import { join } from 'node:path';
import { Hitch, say } from './lib/say';
import { buildServer } from './lib/serverBuild';
import { buildWebApp } from './lib/webapp';

/** Everything that a server needs to run: the web application and the compiled server. */
const ROOT = join(import.meta.dirname, '..');
try {
  const { folder } = await buildWebApp(ROOT);
  const main = await buildServer(ROOT);
  say(`${folder}\n${main}`);
} catch (error) {
  process.stderr.write(
    `pause: ${error instanceof Hitch ? error.message : ((error as Error).stack ?? String(error))}\n`,
  );
  process.exit(1);
}
