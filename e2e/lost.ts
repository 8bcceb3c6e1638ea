import type { Page } from 'playwright-core';

/**
 * What is lost of the words on a page: beyond its sides (where nothing scrolls), beyond what is tapped, cut
 * short, or broken in the middle of a short word. Text, since a compiler's helpers are not there in the page.
 */
const LOST = `((cutOnPurpose) => {
  const lost = new Set();
  const scrolls = (element) => {
    for (let at = element; at && at !== document.body; at = at.parentElement) {
      if (['auto', 'scroll'].includes(getComputedStyle(at).overflowX) && at.scrollWidth > at.clientWidth + 1)
        return true;
    }
    return false;
  };
  const range = document.createRange();
  const texts = document.createTreeWalker(document.getElementById('root'), NodeFilter.SHOW_TEXT);
  while (texts.nextNode()) {
    const { currentNode: node } = texts;
    const element = node.parentElement;
    if (element.closest('svg') || (cutOnPurpose && getComputedStyle(element).textOverflow === 'ellipsis')) continue;
    const words = node.textContent.trim().slice(0, 40);
    const tapped = element
      .closest('a, button, [role="link"], [role="button"], [role="radio"], [role="checkbox"]')
      ?.getBoundingClientRect();
    const tooHigh = element.clientHeight > 0 && element.scrollHeight > element.clientHeight + 3;
    if (tooHigh && getComputedStyle(element).overflowY === 'hidden') lost.add('cut short: ' + words);
    for (const { 0: word, index } of node.textContent.matchAll(/[^\\s\\u00a0-]+/g)) {
      range.setStart(node, index);
      range.setEnd(node, index + word.length);
      const boxes = [...range.getClientRects()].filter(({ width }) => width > 1);
      if (boxes.some(({ left, right }) => left < -1 || right > innerWidth + 1) && !scrolls(element))
        lost.add('beyond the side: ' + words);
      if (tapped && boxes.some(({ left, right }) => left < tapped.left - 2 || right > tapped.right + 2))
        lost.add('beyond what is tapped: ' + words);
      if (word.length <= 9 && new Set(boxes.map(({ top }) => Math.round(top / 8))).size > 1)
        lost.add('broken: ' + word + ' of ' + words);
    }
  }
  if (document.scrollingElement.scrollWidth > innerWidth + 1) lost.add('the page is wider than the screen');
  return [...lost];
})`;

/**
 * What is lost of the words that a page shows.
 *
 * @param cutOnPurpose - lets the lines of a list end with an ellipsis, as they do in letters of the usual size
 */
export const lostOn = (page: Page, cutOnPurpose = false): Promise<string[]> =>
  page.evaluate<string[]>(`${LOST}(${cutOnPurpose})`);
