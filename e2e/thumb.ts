import type { Locator, Page } from 'playwright-core';

/** A phone as a browser shows it: its own bars are there too. */
export const IN_BROWSER = { width: 390, height: 664 };
/** One scroll by a thumb: half of the screen. */
const SCROLL = 330;
const MOST_SCROLLS = 80;
const SETTLE_MS = 60;

/** What a hand does: taps, and the scrolls before what is tapped can be seen. */
export interface Thumb {
  readonly page: Page;
  readonly taps: () => number;
  readonly scrolls: () => number;
  /** Scrolls to something until all of it that fits is on the screen, without touching it. */
  readonly see: (what: Locator) => Promise<void>;
  readonly tap: (what: Locator) => Promise<void>;
  /** Taps a field and types; leaving it is no tap of its own. */
  readonly type: (what: Locator, text: string) => Promise<void>;
  readonly hold: (what: Locator) => Promise<void>;
}

export function thumbOf(page: Page): Thumb {
  let [taps, scrolls] = [0, 0];
  const see = async (what: Locator) => {
    const one = what.first();
    await one.waitFor({ state: 'attached' });
    for (let tries = 0; tries < MOST_SCROLLS; tries += 1) {
      // How far it is out of sight, in pixels: above (negative), below, or 0 where a finger could press it.
      const out = await one.evaluate((element) => {
        const box = element.getBoundingClientRect();
        const [x, y] = [box.left + box.width / 2, box.top + Math.min(box.height / 2, 40)];
        if (y < 0) return y - 1;
        if (y > window.innerHeight) return y - window.innerHeight + 1;
        const there = document.elementFromPoint(x, y);
        if (there && (element.contains(there) || there.contains(element))) return 0;
        return y > window.innerHeight / 2 ? 1 : -1;
      });
      if (out === 0) return;
      await page.mouse.move(IN_BROWSER.width / 2, IN_BROWSER.height / 2);
      await page.mouse.wheel(0, out < 0 ? -SCROLL : SCROLL);
      scrolls += 1;
      await page.waitForTimeout(SETTLE_MS);
    }
    throw new Error(`not to be scrolled to: ${String(what)}`);
  };
  const tap = async (what: Locator) => {
    await see(what);
    await what.first().click();
    taps += 1;
  };
  return {
    page,
    taps: () => taps,
    scrolls: () => scrolls,
    see,
    tap,
    type: async (what, text) => {
      await tap(what);
      await what.first().fill(text);
      await what.first().blur();
    },
    hold: async (what) => {
      await see(what);
      await what.first().hover();
      await page.mouse.down();
      await page.waitForTimeout(1200);
      await page.mouse.up();
      taps += 1;
    },
  };
}
