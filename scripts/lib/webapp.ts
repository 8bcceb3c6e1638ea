import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync, existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { run, tail } from './run';
import { Hitch } from './say';
import { files, keepOffline, pressed } from './webappFiles';
import { beginApart, inPieces, compileAhead, askAtOnce, fetchAhead } from './webappScripts';

const SOURCES = [
  'app',
  'scripts/lib/webapp.ts',
  'scripts/lib/webappFiles.ts',
  'scripts/lib/webappScripts.ts',
  'core/src',
  'guide/src',
  'guide/data',
  'package-lock.json',
  'babel.config.cjs',
];

function sourceHash(root: string): string {
  const hash = createHash('sha256');
  for (const file of SOURCES.flatMap((source) => files(join(root, source)))) {
    hash.update(file.slice(root.length)).update(readFileSync(file));
  }
  return hash.digest('hex');
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
  const meta =
    `<meta name="pause-guide" content="${createHash('sha256').update(text).digest('hex')} ` +
    `${compileGuide(guide).version}">`;
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${meta}</head>`));
}

/**
 * Asks for what the template beside it names, in its order and a few at a time, once the first frame is
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
      `The web application could not be built; this is what the builder wrote:\n${tail(output, 30)}`,
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
