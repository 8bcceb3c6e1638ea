import { mkdtempSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';
import { startServer, type RunningServer } from '@pause/server';
import { openCluster, type Cluster } from '../scripts/lib/postgres';
import { freePort } from '../scripts/lib/ports';

/** The whole of Pause for a browser test: a database and a server of its own, and the built app in a real browser. */

// Tests and scripts both run from the root of the repository.
const ROOT = process.cwd();
export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };
export const BROWSER_FLAGS = [
  '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
  '--disable-component-update', '--disable-sync',
];

export interface Rig {
  readonly url: string;
  readonly databaseUrl: string;
  readonly browser: Browser;
  /** A browser of its own. With `kept`, one that may keep the application on the device; else every file comes from the server. */
  readonly open: (size?: { width: number; height: number }, kept?: boolean) => Promise<{ page: Page; context: BrowserContext; errors: string[] }>;
  readonly stopServer: () => Promise<void>;
  readonly startServer: () => Promise<void>;
  /** Stops server and database, and starts both again on what is on disk. */
  readonly restart: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/** @param web the folder of the built application; another than the usual one where a test changes it */
export async function startRig(web = join(ROOT, 'app/dist')): Promise<Rig> {
  const scratch = mkdtempSync(join(tmpdir(), 'pause-browser-'));
  chmodSync(scratch, 0o755);
  const cluster: Cluster = await openCluster(join(scratch, 'postgres'));
  const port = await freePort();
  let server: RunningServer | undefined;
  const start = async () => {
    server = await startServer({ databaseUrl: cluster.url, port, web, demo: true, logLevel: 'silent' });
  };
  const stop = async () => {
    await server?.stop();
    server = undefined;
  };
  await start();
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: BROWSER_FLAGS });
  const url = `http://127.0.0.1:${port}`;
  return {
    url,
    databaseUrl: cluster.url,
    browser,
    open: async (size = PHONE, kept = false) => {
      const context = await browser.newContext({ viewport: size, baseURL: url, locale: 'en-GB', timezoneId: 'Europe/Vienna', serviceWorkers: kept ? 'allow' : 'block' });
      context.setDefaultTimeout(30_000);
      const page = await context.newPage();
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      return { page, context, errors };
    },
    stopServer: stop,
    startServer: start,
    restart: async () => {
      await stop();
      await cluster.stop();
      await cluster.start();
      await start();
    },
    close: async () => {
      await browser.close();
      await stop();
      await cluster.stop();
      rmSync(scratch, { recursive: true, force: true });
    },
  };
}
