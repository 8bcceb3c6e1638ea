import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { shippedGuide } from '@pause/guide';
import { run, tail } from './run';
import { Hitch } from './say';

const SOURCES = ['app', 'core/src', 'guide/src', 'guide/data', 'package-lock.json', 'babel.config.cjs'];
const NOT_SOURCES = new Set(['node_modules', 'dist', '.expo', 'test', 'expo-env.d.ts']);

/** Every source file below a path, in a fixed order. */
function files(path: string): string[] {
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .filter((name) => !NOT_SOURCES.has(name))
    .sort()
    .flatMap((name) => files(join(path, name)));
}

function sourceHash(root: string): string {
  const hash = createHash('sha256');
  for (const file of SOURCES.flatMap((source) => files(join(root, source)))) {
    hash.update(file.slice(root.length)).update(readFileSync(file));
  }
  return hash.digest('hex');
}

/**
 * Builds the web application into `app/dist` if its sources changed since the last build.
 *
 * @returns the folder, and whether it was built now
 */
export async function buildWebApp(root: string): Promise<{ folder: string; built: boolean }> {
  const folder = join(root, 'app/dist');
  const stamp = join(folder, '.built-from');
  const hash = sourceHash(root);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return { folder, built: false };
  rmSync(folder, { recursive: true, force: true });
  const { status, output } = await run('npx', ['--no-install', 'expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: join(root, 'app'), env: { CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', NODE_ENV: 'production' },
  });
  if (status !== 0 || !existsSync(join(folder, 'index.html'))) {
    throw new Hitch(`The web application could not be built; this is what the builder said:\n${tail(output, 30)}`);
  }
  // The guide is data that the application fetches, so that a larger guide is no larger program.
  writeFileSync(join(folder, 'guide.json'), JSON.stringify(shippedGuide()));
  writeFileSync(stamp, hash);
  return { folder, built: true };
}
