import { useEffect, useRef, useState } from 'react';
import { Pressable, StyleSheet, View, type GestureResponderEvent, type ViewStyle } from 'react-native';
import { colour, corner, Small, space, Strong, stroke } from '../../../components';
import { elementOf } from '../../../lib/element';
import { t } from '../../../text/en/verdict';

const HOLD_MS = 900;
/** Fills while it is held; the browser does it, so that nothing is fetched for it. */
const FILLING = {
  width: '100%',
  transitionProperty: 'width',
  transitionDuration: `${HOLD_MS}ms`,
  transitionTimingFunction: 'linear',
} as unknown as ViewStyle;

interface HoldButtonProps {
  readonly label: string;
  readonly hint: string;
  readonly tone: 'ink' | 'collect' | 'outline';
  readonly disabled?: boolean;
  readonly onHeld: () => void;
}

/**
 * What ends a press: a finger, a mouse or a key that is let go. A press can also end because the page
 * scrolls, or a menu opens.
 */
const LIFTS = new Set(['touchend', 'mouseup', 'pointerup', 'keyup']);

/**
 * A button that has to be held: a decision is not a slip of the finger. It acts when the finger is lifted,
 * after it was down long enough; whoever slides off it first has decided nothing. Enter or the space bar can
 * be held too.
 */
export function HoldButton({ label, hint, tone, disabled = false, onHeld }: HoldButtonProps) {
  const [holding, setHolding] = useState<'not' | 'short' | 'enough'>('not');
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const button = useRef<View>(null);
  useEffect(() => () => clearTimeout(timer.current), []);

  const press = () => {
    if (disabled) return;
    setHolding('short');
    timer.current = setTimeout(() => setHolding('enough'), HOLD_MS);
  };
  const release = (event: GestureResponderEvent) => {
    clearTimeout(timer.current);
    setHolding('not');
    if (holding === 'enough' && isLift(event, button.current)) onHeld();
  };
  const dark = tone !== 'outline';
  return (
    <Pressable
      ref={button}
      role="button"
      aria-label={`${label}: ${hint}`}
      disabled={disabled}
      onPressIn={press}
      onPressOut={release}
      // With this, a browser opens no menu on a long touch.
      onLongPress={() => undefined}
      style={[styles.button, styles[tone], disabled && styles.disabled]}
    >
      <View
        style={[
          styles.fill,
          dark ? styles.fillDark : styles.fillLight,
          holding === 'not' ? styles.empty : FILLING,
        ]}
      />
      <View style={styles.words}>
        <Strong on={dark ? 'dark' : 'light'}>{label}</Strong>
        <Small on={dark ? 'dark' : 'light'}>
          {holding === 'not' ? hint : holding === 'short' ? t.keepHolding : t.nowLetGo}
        </Small>
      </View>
    </Pressable>
  );
}

/**
 * Whether a press ended with a lift on the button itself. On the web a key's event is the browser's own, and
 * a view is an element.
 */
function isLift(event: GestureResponderEvent, button: View | null): boolean {
  const ended = ((event.nativeEvent as unknown) ?? event) as {
    readonly type: string;
    readonly pageX?: number;
    readonly pageY?: number;
  };
  if (!LIFTS.has(ended.type)) return false;
  const box = elementOf(button)?.getBoundingClientRect();
  if (ended.type === 'keyup' || ended.pageX === undefined || ended.pageY === undefined || !box) return true;
  const [x, y] = [ended.pageX - window.scrollX, ended.pageY - window.scrollY];
  return x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
}

const styles = StyleSheet.create({
  button: {
    minHeight: 64,
    borderRadius: corner,
    borderWidth: stroke.medium,
    overflow: 'hidden',
    justifyContent: 'center',
    borderColor: colour.ink,
  },
  ink: { backgroundColor: colour.ink },
  collect: { backgroundColor: colour.collect, borderColor: colour.collect },
  outline: { backgroundColor: colour.card },
  disabled: { opacity: 0.35 },
  fill: { position: 'absolute', left: 0, top: 0, bottom: 0 },
  empty: { width: 0 },
  fillDark: { backgroundColor: 'rgba(238, 241, 236, 0.28)' },
  fillLight: { backgroundColor: colour.pause },
  words: { paddingHorizontal: space.l, paddingVertical: space.s },
});
