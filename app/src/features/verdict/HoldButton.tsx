import { useEffect, useRef, useState } from 'react';
import { Animated, Easing, Pressable, StyleSheet, View } from 'react-native';
import { colour, corner, Small, space, Strong, stroke } from '../../ui';

const HOLD_MS = 900;

interface HoldButtonProps {
  readonly label: string;
  readonly hint: string;
  readonly tone: 'ink' | 'collect' | 'outline';
  readonly disabled?: boolean;
  readonly onHeld: () => void;
}

/** A button that has to be held: a decision is not a slip of the finger. Enter or the space bar can be held too. */
export function HoldButton({ label, hint, tone, disabled = false, onHeld }: HoldButtonProps) {
  const [filled] = useState(() => new Animated.Value(0));
  const [holding, setHolding] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);

  const press = () => {
    if (disabled) return;
    setHolding(true);
    Animated.timing(filled, { toValue: 1, duration: HOLD_MS, easing: Easing.linear, useNativeDriver: false }).start();
    timer.current = setTimeout(() => {
      setHolding(false);
      onHeld();
    }, HOLD_MS);
  };
  const release = () => {
    clearTimeout(timer.current);
    setHolding(false);
    filled.stopAnimation();
    filled.setValue(0);
  };
  const dark = tone !== 'outline';
  return (
    <Pressable
      role="button"
      aria-label={`${label}: ${hint}`}
      disabled={disabled}
      onPressIn={press}
      onPressOut={release}
      style={[styles.button, styles[tone], disabled && styles.disabled]}
    >
      <Animated.View
        style={[styles.fill, dark ? styles.fillDark : styles.fillLight, { width: filled.interpolate({ inputRange: [0, 1], outputRange: ['0%', '100%'] }) }]}
      />
      <View style={styles.words}>
        <Strong on={dark ? 'dark' : 'light'}>{label}</Strong>
        <Small on={dark ? 'dark' : 'light'}>{holding ? 'Keep holding …' : hint}</Small>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  button: { minHeight: 64, borderRadius: corner, borderWidth: stroke.medium, overflow: 'hidden', justifyContent: 'center', borderColor: colour.ink },
  ink: { backgroundColor: colour.ink },
  collect: { backgroundColor: colour.collect, borderColor: colour.collect },
  outline: { backgroundColor: colour.card },
  disabled: { opacity: 0.35 },
  fill: { position: 'absolute', left: 0, top: 0, bottom: 0 },
  fillDark: { backgroundColor: 'rgba(238, 241, 236, 0.28)' },
  fillLight: { backgroundColor: colour.pause },
  words: { paddingHorizontal: space.l, paddingVertical: space.s },
});
