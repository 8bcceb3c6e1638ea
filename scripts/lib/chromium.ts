import { existsSync } from 'node:fs';
import { installPackages } from './debian';
import { Hitch } from './say';

const PATHS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Path of a Chromium, installing Debian's if there is none. */
export async function findChromium(): Promise<string> {
  const found = () => PATHS.find((path) => existsSync(path));
  const there = found();
  if (there) return there;
  await installPackages(['chromium']);
  const installed = found();
  if (!installed)
    throw new Hitch('Chromium was installed but not found; the browser tests need /usr/bin/chromium.');
  return installed;
}
