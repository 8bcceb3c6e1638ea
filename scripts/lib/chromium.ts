import { existsSync } from 'node:fs';
import { installPackages } from './debian';
import { Hitch } from './say';

/** Chromium without windows: it opens a page in about half the processor time of the whole browser. */
const SHELL = '/usr/bin/chromium-headless-shell';
const WHOLE = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Path of a Chromium for tests. Debian's without windows is installed if it is missing and can be had. */
export async function findChromium(): Promise<string> {
  if (existsSync(SHELL)) return SHELL;
  const whole = WHOLE.find((path) => existsSync(path));
  try {
    await installPackages(['chromium-headless-shell']);
  } catch (failure) {
    if (whole === undefined) throw failure;
  }
  const path = existsSync(SHELL) ? SHELL : whole;
  if (path === undefined)
    throw new Hitch(`Chromium was installed but not found; the browser tests need ${SHELL}.`);
  return path;
}
