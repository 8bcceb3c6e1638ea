import { onlyWhereItBegan } from '../src/components/whereItBegan';

/**
 * A page with two buttons, of which one appears only once the other is down; what is pressed is written down.
 */
function page() {
  const document = window.document.implementation.createHTMLDocument();
  const pressed: string[] = [];
  const add = (name: string) => {
    const button = document.createElement('button');
    button.append(document.createElement('span'));
    for (const kind of ['click', 'keydown'])
      button.addEventListener(kind, () => pressed.push(`${kind} ${name}`));
    document.body.append(button);
    return button;
  };
  // A test cannot make a click that the browser trusts.
  onlyWhereItBegan(document, ({ detail }) => detail > 0);
  return { add, pressed };
}
const click = (target: Element, detail = 1) =>
  target.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true, detail }));
const down = (target: Element) => target.dispatchEvent(new Event('pointerdown', { bubbles: true }));
const key = (kind: 'keydown' | 'keyup', target: Element, repeat = false) =>
  target.dispatchEvent(new KeyboardEvent(kind, { bubbles: true, cancelable: true, code: 'Enter', repeat }));

test('a click counts on what the finger went down on, on a part of it and on what holds it', () => {
  const { add, pressed } = page();
  const first = add('first');
  down(first);
  click(first);
  down(first.firstElementChild!);
  click(first);
  down(first);
  click(first.firstElementChild!);
  expect(pressed).toEqual(['click first', 'click first', 'click first']);
});

test('what a button shows may be drawn anew under the finger: the press still counts', () => {
  const { add, pressed } = page();
  const button = add('first');
  down(button.firstElementChild!);
  button.replaceChildren(button.ownerDocument.createElement('svg'));
  click(button.firstElementChild!);
  down(button.firstElementChild!);
  button.replaceChildren();
  click(button);
  expect(pressed).toEqual(['click first', 'click first']);
});

test('what appears under a finger that is down is not pressed by its lift, and can be pressed afterwards', () => {
  const { add, pressed } = page();
  const first = add('first');
  down(first);
  first.remove();
  const second = add('second');
  click(second);
  expect(pressed).toEqual([]);
  down(second);
  click(second);
  expect(pressed).toEqual(['click second']);
});

test('a click that a program makes has no finger behind it, and counts', () => {
  const { add, pressed } = page();
  const [first, second] = [add('first'), add('second')];
  down(first);
  click(second, 0);
  expect(pressed).toEqual(['click second']);
});

test('a key that is held presses nothing that gets the focus meanwhile', () => {
  const { add, pressed } = page();
  const [first, second] = [add('first'), add('second')];
  key('keydown', first);
  key('keydown', second, true);
  key('keyup', second);
  expect(pressed).toEqual(['keydown first']);
  key('keydown', second);
  key('keydown', second, true);
  expect(pressed).toEqual(['keydown first', 'keydown second', 'keydown second']);
});
