import { createHash } from 'node:crypto';
import { readFileSync, readdirSync, writeFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Hitch } from './say';
import { files } from './webappFiles';

/** In which order the scripts of the web application are fetched, begun and compiled. */

/**
 * Screens are programs of their own, so that the first one is soon there. The page names the others, to be
 * fetched when the first one has come to rest (`app/src/notebook/worker.ts`): whoever loses the connection
 * afterwards can still open them.
 */
export function fetchAhead(folder: string): void {
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
export function askAtOnce(folder: string): void {
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
 * whose first answer nobody should wait for. Asked by this line, a browser that knows it (V8's explicit
 * compile hints) compiles them while they arrive, away from the thread that draws; to any other it is a
 * comment.
 */
const CALLED_ON_LOAD = '//# allFunctionsCalledOnLoad\n';

export function compileAhead(folder: string): void {
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
export function beginApart(folder: string): void {
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
export function inPieces(folder: string): void {
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
