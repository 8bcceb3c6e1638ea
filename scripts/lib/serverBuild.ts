import { realpathSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { build } from 'esbuild';

/** The programs of a server: itself, and its threads. */
const PROGRAMS = {
  main: 'server/src/main.ts',
  questions: 'server/src/questions/worker.ts',
  judging: 'server/src/judging/worker.ts',
  reading: 'server/src/reading/worker.ts',
} as const;

/**
 * Compiles the server and its threads, with the core and the guide in them; packages from the registry stay
 * where they are, and are found from beside them.
 *
 * @param outdir below the server's folder
 * @returns the file to start
 */
export async function buildServer(root: string, outdir = join(root, 'server/build')): Promise<string> {
  const resolver = createRequire(join(root, 'server/package.json'));
  rmSync(outdir, { recursive: true, force: true });
  await build({
    absWorkingDir: root,
    entryPoints: PROGRAMS,
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    sourcemap: true,
    logLevel: 'warning',
    define: { PAUSE_BUILD: 'true' },
    plugins: [
      {
        name: 'own packages',
        setup: (at) =>
          at.onResolve({ filter: /^@pause\// }, ({ path }) => ({
            path: realpathSync(resolver.resolve(path)),
          })),
      },
    ],
  });
  return join(outdir, 'main.mjs');
}
