import { mkdtempSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';
import { freePort } from '../scripts/lib/ports';
import { openCluster, type Cluster } from '../scripts/lib/postgres';
import { startServerProcess, type ServerProcess } from '../scripts/lib/serverProcess';

/**
 * The whole of Pause for a browser test: a database and a server of its own, and the built app in a real
 * browser.
 */

// Tests and scripts both run from the root of the repository.
const ROOT = process.cwd();
export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };
export const BROWSER_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export interface Rig {
  readonly url: string;
  readonly databaseUrl: string;
  readonly browser: Browser;
  /**
   * A browser of its own. With `kept`, one that may keep the application on the device; else every file comes
   * from the server. Signed in to the demo unless asked otherwise.
   *
   * @param locale - the language of the device, BCP 47
   */
  readonly open: (
    size?: { width: number; height: number },
    kept?: boolean,
    signedIn?: boolean,
    locale?: string,
  ) => Promise<{ page: Page; context: BrowserContext; errors: string[] }>;
  readonly stopServer: () => Promise<void>;
  readonly startServer: () => Promise<void>;
  /** Stops server and database, and starts both again on what is on disk. */
  readonly restart: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/** Pages that are open, for `environment.ts`, which says what they showed when a test failed. */
const openPages = new Set<Page>();
Object.assign(globalThis, { openPages });

const QUIET_MS = 400;
const underway = new WeakMap<Page, Set<unknown>>();

/**
 * Waits until a page that the rig opened has asked for nothing for a while; that it goes on hearing of the
 * server does not count.
 */
export async function quiet(page: Page): Promise<void> {
  for (let since = Date.now(); Date.now() - since < QUIET_MS; await page.waitForTimeout(50)) {
    if ((underway.get(page)?.size ?? 0) > 0) since = Date.now();
  }
}

/**
 * Makes an account, and confirms its address by the letter in the simulated mailbox; the browser is signed in
 * then.
 */
export async function signUp(context: BrowserContext, url: string, name: string): Promise<void> {
  const email = `${name.toLowerCase()}@ostrel.example`;
  const send = async (path: string, data: object) => {
    const response = await context.request.post(`/api/v1/auth${path}`, { data, headers: { origin: url } });
    if (!response.ok()) throw new Error(`${path}: ${response.status()} ${await response.text()}`);
  };
  await send('/sign-up/email', { name, email, password: 'a long enough password' });
  await send('/confirm', { token: await confirmationToken(url, email) });
}

/** The token in the letter that asks somebody to confirm their address, read from the simulated mailbox. */
export async function confirmationToken(url: string, email: string): Promise<string> {
  for (let tries = 0; tries < 50; tries += 1) {
    const { letters } = (await (await fetch(`${url}/api/v1/demo/mailbox`)).json()) as {
      letters: { to: string; text: string }[];
    };
    const token = /confirm\?token=(\S+)/.exec(letters.find(({ to }) => to === email)?.text ?? '')?.[1];
    if (token !== undefined) return decodeURIComponent(token);
  }
  throw new Error(`no letter came to ${email}`);
}

/** Somebody who is not new: what a touch and a hold do is shown no more. */
function knowHolding(): void {
  const kept = window.localStorage.getItem('pause:look');
  if (kept === null) window.localStorage.setItem('pause:look', JSON.stringify({ holdKnown: true }));
}

/** @param web the folder of the built application; another than the usual one where a test changes it */
export async function startRig(web = join(ROOT, 'app/dist')): Promise<Rig> {
  const scratch = mkdtempSync(join(tmpdir(), 'pause-browser-'));
  chmodSync(scratch, 0o755);
  // What `scripts/test` made once: a database with the demo in it.
  const cluster: Cluster = await openCluster(join(scratch, 'postgres'), {
    copyOf: process.env.PAUSE_DEMO_DATABASE,
  });
  let port = await freePort();
  let server: ServerProcess | undefined;
  const start = async () => {
    server = await startServerProcess({
      DATABASE_URL: cluster.url,
      PORT: String(port),
      WEB: web,
      DEMO: '1',
    });
  };
  const stop = async () => {
    await server?.stop();
    server = undefined;
  };
  try {
    await start();
  } catch {
    // Another rig may have taken the port since it was looked up.
    port = await freePort();
    await start();
  }
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
    args: BROWSER_FLAGS,
  });
  const url = `http://127.0.0.1:${port}`;
  return {
    url,
    databaseUrl: cluster.url,
    browser,
    open: async (size = PHONE, kept = false, signedIn = true, locale = 'en-GB') => {
      const context = await browser.newContext({
        viewport: size,
        baseURL: url,
        locale,
        timezoneId: 'Europe/Vienna',
        serviceWorkers: kept ? 'allow' : 'block',
      });
      context.setDefaultTimeout(30_000);
      if (signedIn) await context.request.post('/api/v1/auth/demo/sign-in', { data: {} });
      await context.addInitScript(knowHolding);
      const page = await context.newPage();
      openPages.add(page);
      page.on('close', () => openPages.delete(page));
      const asked = new Set<unknown>();
      underway.set(page, asked);
      page.on('request', (request) => {
        if (!request.url().endsWith('/sync/events')) asked.add(request);
      });
      for (const ended of ['requestfinished', 'requestfailed'] as const)
        page.on(ended as 'requestfinished', (request) => asked.delete(request));
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
