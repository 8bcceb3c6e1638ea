import { createHash } from 'node:crypto';
import { statSync, readdirSync, readFileSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip as gzipWith } from 'node:zlib';

/** The files of the web application: compressed, and named to the service worker. */

const [brotli, gzip] = [promisify(brotliCompress), promisify(gzipWith)];

const NOT_SOURCES = new Set(['node_modules', 'dist', '.expo', 'test', 'expo-env.d.ts']);

/** Every source file below a path, in a fixed order. */
export function files(path: string): string[] {
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .filter((name) => !NOT_SOURCES.has(name))
    .sort()
    .flatMap((name) => files(join(path, name)));
}

/** Files whose name carries a hash of what is in them never change. */
const NEVER_CHANGES = /[.-][0-9a-f]{16,}\.[a-z0-9]+$/;

/** What keeps the application on the device, and knows by name every file that was built. */
export async function keepOffline(root: string, folder: string): Promise<void> {
  // Loaded only to build: it does not run inside Jest.
  const { build } = await import('esbuild');
  const kept = files(folder)
    .filter((file) => !/\.map$|\/\.[^/]*$/.test(file))
    .map((file) => {
      const url = file.slice(folder.length);
      return {
        url,
        revision: NEVER_CHANGES.test(url)
          ? null
          : createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16),
      };
    });
  await build({
    entryPoints: [join(root, 'app/offline/sw.ts')],
    outfile: join(folder, 'sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2020',
    logLevel: 'silent',
    define: { FILES: JSON.stringify(kept), 'process.env.NODE_ENV': '"production"' },
  });
}

/**
 * Everything that is worth pressing, once and as far as it goes: the server would else do it anew for every
 * phone, and less well.
 */
export async function pressed(folder: string): Promise<void> {
  const worth = files(folder).filter(
    (file) => /\.(js|json|ttf|css)$/.test(file) && (NEVER_CHANGES.test(file) || file.endsWith('/guide.json')),
  );
  await Promise.all(
    worth.flatMap((file) => {
      const bytes = readFileSync(file);
      return [
        brotli(bytes).then((small) => writeFile(`${file}.br`, small)),
        gzip(bytes, { level: constants.Z_BEST_COMPRESSION }).then((small) => writeFile(`${file}.gz`, small)),
      ];
    }),
  );
}
