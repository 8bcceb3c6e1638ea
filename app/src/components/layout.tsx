import { StyleSheet, View, type ViewProps } from 'react-native';
import { space } from './tokens';

/** Arranging children: side by side, one below the other, or over what room is left. */

type Gap = keyof typeof space;

interface StackProps extends ViewProps {
  /** The space between children. */
  readonly gap?: Gap;
  /** Takes the room that is left. */
  readonly grow?: boolean;
}

interface RowProps extends StackProps {
  readonly align?: keyof typeof ALIGN;
  /** What does not fit goes below. */
  readonly wrap?: boolean;
}

/** Children one below the other. */
export function Stack({ gap, grow = false, style, ...rest }: StackProps) {
  return <View {...rest} style={[gap && GAP[gap], grow && styles.grow, style]} />;
}

/** Children side by side. */
export function Row({ gap, grow = false, align, wrap = false, style, ...rest }: RowProps) {
  return (
    <View
      {...rest}
      style={[
        styles.row,
        gap && GAP[gap],
        align && ALIGN[align],
        wrap && styles.wrap,
        grow && styles.grow,
        style,
      ]}
    />
  );
}

/** Takes the room that is left beside its neighbours. */
export function Grow({ style, ...rest }: ViewProps) {
  return <View {...rest} style={[styles.grow, style]} />;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row' },
  wrap: { flexWrap: 'wrap' },
  grow: { flex: 1 },
});
const GAP = StyleSheet.create({
  xs: { gap: space.xs },
  s: { gap: space.s },
  m: { gap: space.m },
  l: { gap: space.l },
  xl: { gap: space.xl },
});
const ALIGN = StyleSheet.create({
  top: { alignItems: 'flex-start' },
  centre: { alignItems: 'center' },
  bottom: { alignItems: 'flex-end' },
  baseline: { alignItems: 'baseline' },
});
