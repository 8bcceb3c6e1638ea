import type { Circus } from '@jest/types';
import { TestEnvironment } from 'jest-environment-node';
import type { Page } from 'playwright-core';

/** What a test's own globals hold of its pages; see `openPages` in `rig.ts`. */
interface Globals {
  readonly openPages?: ReadonlySet<Page>;
}

const MOST_LINES = 60;

async function shown(page: Page): Promise<string> {
  const text = await page.locator('body').ariaSnapshot({ timeout: 2000 }).catch(String);
  return [page.url(), ...text.split('\n').slice(0, MOST_LINES)].join('\n    ');
}

/** Says with a failed browser test what its pages showed then. */
export default class BrowserEnvironment extends TestEnvironment {
  async handleTestEvent(event: Circus.Event): Promise<void> {
    if (event.name !== 'test_fn_failure') return;
    const { error } = event as { readonly error: unknown };
    const pages = [...((this.global as Globals).openPages ?? [])].filter((page) => !page.isClosed());
    // Tests have globals of their own, so an error of theirs is no `Error` here.
    if (typeof error !== 'object' || error === null || !('stack' in error)) return;
    for (const page of pages)
      error.stack = `${String(error.stack)}\n\n    A page showed: ${await shown(page)}`;
  }
}
