import { StyleSheet, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import type { Rate } from '@pause/core/practice';
import { colour, Small, SmallStrong, space, Row } from '../../components';
import { t } from '../../text/en/practice';
import { percent } from '../../text/practice';

interface RateBarProps {
  readonly name: string;
  readonly rate: Rate;
  /** Beside it: what is usual, as the guide estimates it, or what the word promises. */
  readonly usual?: number | undefined;
  /** The right end of the scale. */
  readonly most: number;
  readonly line: string;
}

const [WIDTH, HEIGHT] = [300, 18];

const box = (x: number, y: number, width: number, height: number) =>
  `M${x} ${y}h${width}v${height}h${-width}z`;

/**
 * One rate as a bar, with the span in which it most likely lies and a tick where it usually is. Given in words
 * beside.
 */
export function RateBar({ name, rate, usual, most, line }: RateBarProps) {
  const x = (share: number) => Math.min(1, share / most) * WIDTH;
  return (
    <View role="listitem" aria-label={`${name}: ${line}`} style={styles.bar}>
      <Row gap="m" align="baseline">
        <SmallStrong style={styles.grow}>{name}</SmallStrong>
        <Small soft>{line}</Small>
      </Row>
      <Svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        aria-hidden
      >
        <Path d={box(0, 5, WIDTH, 8)} fill={colour.shade} />
        <Path d={box(0, 5, x(rate.mid), 8)} fill={colour.ink} />
        <Path d={box(x(rate.low), 14.5, x(rate.high) - x(rate.low), 2)} fill={colour.inkSoft} />
        {usual === undefined ? null : (
          <Path d={box(Math.max(0, x(usual) - 1.5), 0, 3, HEIGHT)} fill={colour.collect} />
        )}
      </Svg>
    </View>
  );
}

/** What the parts of these bars mean. */
export function BarKey({ usual }: { readonly usual: string }) {
  return <Small soft>{t.darkHowOftenTheLine(usual)}</Small>;
}

export const spanWords = ({ times, wrong, low, high }: Rate): string =>
  times === 0 ? t.notLookedAtYet : t.ofTo(wrong, times, percent(low), percent(high));

const styles = StyleSheet.create({
  bar: { gap: 2, paddingVertical: space.xs },
  grow: { flex: 1 },
});
