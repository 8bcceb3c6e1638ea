/**
 * A press counts only where it began: what appears under a finger that is down, or gets the focus while a key
 * is down, stays dead until finger and key are up. Without this the lift would press what a slow answer, or a
 * decision held long enough, has just brought there.
 *
 * @param byFinger whether a click was made by a finger or a mouse; one that a program, a key or a label makes
 * began nowhere
 */
export function onlyWhereItBegan(
  page: Document,
  byFinger = ({ isTrusted, detail }: MouseEvent) => isTrusted && detail > 0,
): void {
  let under: Node | undefined;
  const keys = new Map<string, EventTarget | null>();
  const stop = (event: Event) => {
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  page.addEventListener(
    'pointerdown',
    ({ target }) => {
      under = target instanceof Node ? target : undefined;
    },
    true,
  );
  page.addEventListener(
    'click',
    (event) => {
      const { target } = event;
      if (under !== undefined && target instanceof Node && byFinger(event) && !belongs(under, target))
        stop(event);
    },
    true,
  );
  page.addEventListener(
    'keydown',
    (event) => {
      if (!event.repeat) keys.set(event.code, event.target);
      else if (keys.has(event.code) && keys.get(event.code) !== event.target) stop(event);
    },
    true,
  );
  page.addEventListener(
    'keyup',
    ({ code }) => {
      keys.delete(code);
    },
    true,
  );
}

/** Whether what is clicked is what was touched, or a part or a whole of it. */
function belongs(touched: Node, clicked: Node): boolean {
  return touched.isConnected && (clicked.contains(touched) || touched.contains(clicked));
}
