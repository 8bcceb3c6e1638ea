import type { Locator, Page } from 'playwright-core';

/** A phone as a browser shows it: its own bars are there too. */
export const IN_BROWSER = { width: 390, height: 664 };
/** One scroll by a thumb: half of the screen. */
const SCROLL = 330;
const MOST_SCROLLS = 80;
/** Above this a thumb has to leave its place: the upper third of the screen. */
const WITHIN_REACH = IN_BROWSER.height / 3;
const SETTLE_MS = 60;
/** A screen that looks alike so many times in a row is at rest; one that only was scrolled, sooner. */
const AT_REST = 8;
const AT_REST_AGAIN = 1;

/** What a hand does: taps, and the scrolls before what is tapped can be seen. */
export interface Thumb {
  readonly page: Page;
  readonly taps: () => number;
  readonly scrolls: () => number;
  /** Of the taps, those for which the thumb has to leave its place at the lower edge. */
  readonly lifts: () => number;
  /** Scrolls to something until all of it that fits is on the screen, without touching it. */
  readonly see: (what: Locator) => Promise<void>;
  readonly tap: (what: Locator) => Promise<void>;
  /** Taps a field and types; leaving it is no tap of its own. */
  readonly type: (what: Locator, text: string) => Promise<void>;
  readonly hold: (what: Locator) => Promise<void>;
}

/**
 * How far something is out of sight, in pixels: above (negative), below, or 0 where a finger could press it.
 * A thumb moves only once the screen is at rest, so the answer is the one that stays.
 */
async function outOfSight(one: Locator, atRest = AT_REST): Promise<number> {
  let [before, alike] = ['', 0];
  for (;;) {
    const { out, place } = await one.evaluate((element) => {
      const box = element.getBoundingClientRect();
      const [x, y] = [box.left + box.width / 2, box.top + Math.min(box.height / 2, 40)];
      const there = document.elementFromPoint(x, y);
      const hit = !!there && (element.contains(there) || there.contains(element));
      const inView = y >= 0 && y <= window.innerHeight;
      const beyond =
        y < window.innerHeight / 2 ? Math.min(y, 0) - 1 : Math.max(y - window.innerHeight, 0) + 1;
      const out = inView && hit ? 0 : beyond;
      return { out, place: `${x} ${y}` };
    });
    if (out === 0) return 0;
    alike = place === before ? alike + 1 : 0;
    if (alike >= atRest) return out;
    before = place;
    await one.page().waitForTimeout(SETTLE_MS);
  }
}

export function thumbOf(page: Page): Thumb {
  let [taps, scrolls, lifts] = [0, 0, 0];
  const see = async (what: Locator) => {
    const one = what.first();
    await one.waitFor({ state: 'attached' });
    for (let tries = 0; tries < MOST_SCROLLS; tries += 1) {
      const out = await outOfSight(one, tries === 0 ? AT_REST : AT_REST_AGAIN);
      if (out === 0) return;
      await page.mouse.move(IN_BROWSER.width / 2, IN_BROWSER.height / 2);
      await page.mouse.wheel(0, out < 0 ? -SCROLL : SCROLL);
      scrolls += 1;
      await page.waitForTimeout(SETTLE_MS);
    }
    throw new Error(`not to be scrolled to: ${String(what)}`);
  };
  /** Counts a touch of what is in view. */
  const count = async (what: Locator) => {
    const box = await what.first().boundingBox();
    taps += 1;
    if (box && box.y + box.height / 2 < WITHIN_REACH) lifts += 1;
  };
  const tap = async (what: Locator) => {
    await see(what);
    await count(what);
    await what.first().click();
  };
  return {
    page,
    taps: () => taps,
    scrolls: () => scrolls,
    lifts: () => lifts,
    see,
    tap,
    type: async (what, text) => {
      await tap(what);
      await what.first().fill(text);
      await what.first().blur();
    },
    hold: async (what) => {
      await see(what);
      await count(what);
      await what.first().hover();
      await page.mouse.down();
      await page.waitForTimeout(1200);
      await page.mouse.up();
    },
  };
}
