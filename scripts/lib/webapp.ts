import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip as gzipWith } from 'node:zlib';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { run, tail } from './run';
import { Hitch } from './say';

const [brotli, gzip] = [promisify(brotliCompress), promisify(gzipWith)];
const SOURCES = [
  'app',
  'scripts/lib/webapp.ts',
  'core/src',
  'guide/src',
  'guide/data',
  'package-lock.json',
  'babel.config.cjs',
];
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
 * Screens are programs of their own, so that the first one is soon there. The page names the others, to be
 * fetched when the first one has come to rest (`app/src/notebook/worker.ts`): whoever loses the connection
 * afterwards can still open them.
 */
function fetchAhead(folder: string): void {
  const page = join(folder, 'index.html');
  const html = readFileSync(page, 'utf8');
  const later = readdirSync(join(folder, SCRIPTS))
    .filter((name) => name.endsWith('.js') && !html.includes(name))
    .sort();
  const links = later.map((name) => `<link rel="prefetch" as="script" href="/${SCRIPTS}/${name}">`).join('');
  writeFileSync(page, html.replace('</head>', `<template id="later">${links}</template></head>`));
}
const SCRIPTS = '_expo/static/js/web';

/** What every first screen waits for is asked for at once, not one after the other. */
function askAtOnce(folder: string): void {
  const page = join(folder, 'index.html');
  const built = files(folder).map((file) => file.slice(folder.length));
  const links = [
    '<link rel="preload" as="fetch" crossorigin href="/guide.json">',
    ...built
      .filter((name) => name.startsWith(`/${SCRIPTS}/_layout-`))
      .map((name) => `<link rel="preload" as="script" href="${name}">`),
    ...built
      .filter((name) => name.endsWith('.ttf'))
      .map((name) => `<link rel="preload" as="font" type="font/ttf" crossorigin href="${name}">`),
  ];
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${links.join('')}</head>`));
}

/**
 * Nearly every function of a program is called soon after it came: the first screen's, and those of a screen
 * whose first answer nobody should wait for. Told so by this line, a browser that knows it (V8's explicit
 * compile hints) compiles them while they arrive, away from the thread that draws; to any other it is a
 * comment.
 */
const CALLED_ON_LOAD = '//# allFunctionsCalledOnLoad\n';
function compileAhead(folder: string): void {
  for (const name of readdirSync(join(folder, SCRIPTS))) {
    if (!name.endsWith('.js')) continue;
    const script = join(folder, SCRIPTS, name);
    writeFileSync(script, `${CALLED_ON_LOAD}${readFileSync(script, 'utf8')}`);
  }
}

/** Writes a script under a name that tells what is in it. @returns what asks for it */
function scriptOf(folder: string, kind: string, text: string): string {
  const name = `${kind}-${createHash('sha256').update(text).digest('hex').slice(0, 32)}.js`;
  writeFileSync(join(folder, SCRIPTS, name), text);
  return `<script src="/${SCRIPTS}/${name}" defer></script>`;
}

/**
 * The entry program ends by calling its modules. In a script of its own, that is a task of its own, and a
 * finger that comes between is not kept waiting.
 */
function beginApart(folder: string): void {
  const page = join(folder, 'index.html');
  const html = readFileSync(page, 'utf8');
  const entry = readdirSync(join(folder, SCRIPTS)).find(
    (name) => name.startsWith('entry-') && html.includes(name),
  );
  if (entry === undefined) throw new Hitch('The web application was built without an entry program.');
  const program = readFileSync(join(folder, SCRIPTS, entry), 'utf8');
  const calls = /(?:__r\(\d+\);\s*)+$/.exec(program)?.[0];
  if (calls === undefined) throw new Hitch(`The entry program, ${entry}, does not end with what it calls.`);
  writeFileSync(join(folder, SCRIPTS, entry), program.slice(0, -calls.length));
  const begin = scriptOf(folder, 'begin', calls);
  writeFileSync(
    page,
    html.replace(/<script src="[^"]*\/entry-[^"]*" defer><\/script>/, (script) => `${script}${begin}`),
  );
}

/**
 * So much of a program, in characters, is taken up by the browser in a few milliseconds; with more at once a
 * finger is kept waiting.
 */
const PIECE = 110_000;

/**
 * The first screen's programs in pieces, each taken up in a task of its own. They are lists of modules, and
 * nothing runs before the last piece.
 */
function inPieces(folder: string): void {
  const page = join(folder, 'index.html');
  const html = readFileSync(page, 'utf8').replace(
    new RegExp(`<script src="/${SCRIPTS}/((?:entry|__common)-[^"]*)" defer></script>`, 'g'),
    (_, name: string) => {
      const pieces: string[] = [];
      for (const part of readFileSync(join(folder, SCRIPTS, name), 'utf8').split(/^(?=__d\()/m)) {
        const last = pieces.at(-1);
        if (last !== undefined && last.length + part.length <= PIECE) pieces[pieces.length - 1] = last + part;
        else pieces.push(part);
      }
      rmSync(join(folder, SCRIPTS, name));
      return pieces
        .map((piece) => scriptOf(folder, name.startsWith('entry-') ? 'entry' : '__common', piece))
        .join('');
    },
  );
  writeFileSync(page, html);
}

/**
 * The guide is data that the application fetches, so that a larger guide is no larger program. It is read
 * through here; the page tells by which bytes it is known again, so that no phone has to do that anew.
 */
function guideBeside(folder: string): void {
  const guide = shippedGuide();
  const text = JSON.stringify(guide);
  writeFileSync(join(folder, 'guide.json'), text);
  const page = join(folder, 'index.html');
  const meta = `<meta name="pause-guide" content="${createHash('sha256').update(text).digest('hex')} ${compileGuide(guide).version}">`;
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${meta}</head>`));
}

/**
 * Asks for what stands in the template beside it, in its order and a few at a time, once the first frame is
 * out. A frame that never comes, in a tab that nobody looks at, is not waited for.
 */
const AFTER_FIRST_FRAME = `(() => {
  const wanted = [...document.getElementById('program').content.children];
  let asking = false;
  const next = () => {
    for (const { localName, attributes } of wanted.splice(0, 6)) {
      const made = document.createElement(localName);
      for (const { name, value } of attributes) made.setAttribute(name, value);
      made.async = false;
      document.head.append(made);
    }
    if (wanted.length > 0) setTimeout(next);
  };
  const ask = () => {
    if (!asking) next();
    asking = true;
  };
  requestAnimationFrame(() => setTimeout(ask));
  setTimeout(ask, 300);
})();`;

/**
 * What the page shows by itself is drawn before anything takes the phone's strength: only then is the program
 * asked for. The server names this script in the policy of what may run.
 */
function drawnFirst(folder: string): void {
  const page = join(folder, 'index.html');
  const taken: string[] = [];
  const html = readFileSync(page, 'utf8').replace(
    /<link rel="preload"[^>]*>|<script src="[^"]*" defer><\/script>/g,
    (tag) => {
      taken.push(tag);
      return '';
    },
  );
  writeFileSync(
    page,
    html.replace(
      '</body>',
      `<template id="program">${taken.join('')}</template><script>${AFTER_FIRST_FRAME}</script></body>`,
    ),
  );
}

/** Files whose name carries a hash of what is in them never change. */
const NEVER_CHANGES = /[.-][0-9a-f]{16,}\.[a-z0-9]+$/;

/** What keeps the application on the device, and knows by name every file that was built. */
async function keepOffline(root: string, folder: string): Promise<void> {
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
async function pressed(folder: string): Promise<void> {
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
  const { status, output } = await run(
    'npx',
    ['--no-install', 'expo', 'export', '--platform', 'web', '--output-dir', 'dist'],
    {
      cwd: join(root, 'app'),
      env: { CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', NODE_ENV: 'production' },
    },
  );
  if (status !== 0 || !existsSync(join(folder, 'index.html'))) {
    throw new Hitch(
      `The web application could not be built; this is what the builder said:\n${tail(output, 30)}`,
    );
  }
  beginApart(folder);
  inPieces(folder);
  compileAhead(folder);
  guideBeside(folder);
  askAtOnce(folder);
  fetchAhead(folder);
  drawnFirst(folder);
  await keepOffline(root, folder);
  await pressed(folder);
  writeFileSync(stamp, hash);
  return { folder, built: true };
}
