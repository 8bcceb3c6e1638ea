import { NewerDatabase } from './db';
import { readEnvironment } from './environment';
import { startServer } from './start';

/**
 * The server alone, for operating it behind something else. Everything it needs comes from the environment.
 */
const read = readEnvironment(process.env);
if ('problems' in read) {
  process.stderr.write(`${read.problems.join('\n')}\n`);
  process.exit(2);
}
const server = await startServer(read.options).catch((error: unknown) => {
  process.stderr.write(
    `${error instanceof NewerDatabase ? error.message : ((error as Error).stack ?? String(error))}\n`,
  );
  process.exit(1);
});
process.stdout.write(`${server.url}\n`);
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void server.stop());
