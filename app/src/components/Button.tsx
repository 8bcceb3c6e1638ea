import { Pressable, StyleSheet, type PressableProps, type ViewStyle } from 'react-native';
import { Row } from './layout';
import { colour, corner, space, stroke, TARGET } from './tokens';
import { Strong } from './Words';

interface ButtonProps extends Omit<PressableProps, 'children' | 'style'> {
  readonly label: string;
  readonly tone?: 'ink' | 'outline' | 'plain';
  readonly icon?: React.ReactNode;
  readonly style?: ViewStyle;
}

export function Button({ label, tone = 'ink', icon, style, disabled, ...props }: ButtonProps) {
  return (
    <Pressable
      role="button"
      disabled={disabled}
      {...props}
      style={({ pressed }) => [
        styles.button,
        styles[tone],
        pressed && styles.pressed,
        disabled === true && styles.disabled,
        style,
      ]}
    >
      <Strong
        on={tone === 'ink' ? 'dark' : 'light'}
        style={[styles.label, tone === 'plain' && styles.underlined]}
      >
        {label}
      </Strong>
      {icon}
    </Pressable>
  );
}

interface ChipProps extends Omit<PressableProps, 'children' | 'style'> {
  readonly label: string;
  readonly chosen: boolean;
  /** One of several that exclude each other, or one alone. */
  readonly kind?: 'radio' | 'checkbox';
}

/** An answer of few words. */
export function Chip({ label, chosen, kind = 'radio', ...props }: ChipProps) {
  return (
    <Pressable
      role={kind}
      aria-checked={chosen}
      {...props}
      style={({ pressed }) => [styles.chip, chosen && styles.chosen, pressed && styles.pressed]}
    >
      <Strong on={chosen ? 'dark' : 'light'}>{label}</Strong>
    </Pressable>
  );
}

export function ChipRow({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <Row wrap gap="s" role="group" aria-label={label}>
      {children}
    </Row>
  );
}

const styles = StyleSheet.create({
  // A long label in large letters takes two lines, and stays on the screen.
  button: {
    minHeight: 52,
    maxWidth: '100%',
    paddingHorizontal: space.l,
    paddingVertical: space.s,
    borderRadius: corner,
    borderWidth: stroke.medium,
    flexDirection: 'row',
    gap: space.s,
    alignItems: 'center',
    justifyContent: 'center',
  },
  ink: { backgroundColor: colour.ink, borderColor: colour.ink },
  outline: { backgroundColor: 'transparent', borderColor: colour.ink },
  plain: { backgroundColor: 'transparent', borderWidth: 0, paddingHorizontal: 0 },
  label: { flexShrink: 1 },
  underlined: { textDecorationLine: 'underline' },
  pressed: { opacity: 0.7 },
  disabled: { opacity: 0.35 },
  chip: {
    minHeight: TARGET,
    maxWidth: '100%',
    paddingHorizontal: space.m + 2,
    paddingVertical: space.s,
    borderRadius: corner,
    justifyContent: 'center',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    backgroundColor: colour.card,
  },
  chosen: { backgroundColor: colour.ink },
});
