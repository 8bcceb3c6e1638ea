/**
 * What the windows of one device tell each other. Where a browser has no way for it, each window finds out
 * with the server's next answer.
 */

const CHANNEL = 'pause';
const EMPTIED = 'emptied';
let channel: BroadcastChannel | undefined;

function others(): BroadcastChannel | undefined {
  if (typeof BroadcastChannel === 'undefined') return undefined;
  return (channel ??= new BroadcastChannel(CHANNEL));
}

/** Tells the other windows that nothing is left here of the notebook that they show. */
export function tellEmptied(): void {
  others()?.postMessage(EMPTIED);
}

/** Calls back when another window says so; a window does not hear itself. */
export function whenEmptied(then: () => void): void {
  others()?.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (data === EMPTIED) then();
  });
}
