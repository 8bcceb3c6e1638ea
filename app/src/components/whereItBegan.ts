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
  let touched: Touched | undefined;
  const keys = new Map<string, EventTarget | null>();
  const stop = (event: Event) => {
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  page.addEventListener(
    'pointerdown',
    ({ target }) => {
      touched = target instanceof Node ? { node: target, control: controlOf(target) } : undefined;
    },
    true,
  );
  page.addEventListener(
    'click',
    (event) => {
      const { target } = event;
      if (touched !== undefined && target instanceof Node && byFinger(event) && !belongs(touched, target))
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

/** What a finger came down on. */
interface Touched {
  readonly node: Node;
  /** What can be pressed around it. */
  readonly control: Element | null;
}

const CONTROL = [
  ...['a', 'button', 'input', 'select', 'textarea', 'label'],
  ...['button', 'link', 'radio', 'checkbox'].map((role) => `[role="${role}"]`),
].join();

const controlOf = (node: Node): Element | null =>
  (node instanceof Element ? node : node.parentElement)?.closest(CONTROL) ?? null;

const overlap = (one: Node, other: Node): boolean => one.contains(other) || other.contains(one);

/**
 * Whether what is clicked is what was touched, or a part or a whole of it. What a control shows may be drawn
 * anew while the finger is down, for example when its drawing arrives: the control is the same.
 */
function belongs({ node, control }: Touched, clicked: Node): boolean {
  if (node.isConnected && overlap(node, clicked)) return true;
  return control !== null && control.isConnected && control.contains(clicked);
}
