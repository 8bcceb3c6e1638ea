import { memo, useMemo } from 'react';
import Svg, { Circle, Path, Text } from 'react-native-svg';
import type { Fill, Ink, Plate } from '@pause/core/plate';
import { colour, font } from './tokens';

const WIDTH: Readonly<Record<Ink, number>> = { none: 0, faint: 1.2, fine: 1.2, line: 2, bold: 3 };
const FILL: Readonly<Record<string, string>> = { none: 'none', paper: colour.card, shade: colour.shade, ink: colour.ink };
const filled = (fill: Fill): string => FILL[fill] ?? fill;

/** A number that points at a part; filled where the part has been read. */
export interface Badge {
  readonly number: number;
  readonly at: readonly [x: number, y: number];
  readonly filled: boolean;
}
/** Half the width of a number, on the screen. */
export const BADGE = 11;

interface PlateViewProps {
  readonly plate: Plate;
  readonly pathOf: (mark: Plate['marks'][number]) => string;
  readonly height: number;
  /** Marks that are pointed at, drawn in the accent. */
  readonly accent?: ReadonlySet<Plate['marks'][number]>;
  readonly badges?: readonly Badge[];
}

/** A plate in ink. Hidden from readers that speak: what it shows always stands beside it in words. */
export const PlateView = memo(function PlateView({ plate, pathOf, height, accent, badges = [] }: PlateViewProps) {
  const px = plate.height / height;
  const paths = useMemo(() => plate.marks.map(pathOf), [plate, pathOf]);
  return (
    <Svg width={(height * plate.width) / plate.height} height={height} viewBox={`0 0 ${plate.width} ${plate.height}`} aria-hidden>
      {plate.marks.map((mark, i) => (
        <Path
          key={i}
          d={paths[i] as string}
          fill={filled(mark.fill)}
          stroke={mark.ink === 'none' ? 'none' : accent?.has(mark) ? colour.collect : mark.ink === 'faint' ? colour.faint : colour.ink}
          strokeWidth={WIDTH[mark.ink]}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ))}
      {badges.map(({ number, at: [x, y], filled: read }) => (
        <Circle key={`o${number}`} cx={x} cy={y} r={(BADGE - 1) * px} fill={read ? colour.collect : colour.card} stroke={colour.collect} strokeWidth={2 * px} />
      ))}
      {badges.map(({ number, at: [x, y], filled: read }) => (
        <Text key={number} transform={`translate(${x} ${y + 5 * px})`} textAnchor="middle" fontFamily={font.readBold} fontSize={14 * px} fill={read ? colour.onDark : colour.collect}>{number}</Text>
      ))}
    </Svg>
  );
});
